package openslab.core.mix;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import openslab.core.Formula;
import openslab.core.Stories;
import openslab.core.cure.CureTime;
import openslab.core.product.Chemistry;
import openslab.core.product.Clock;
import openslab.core.product.Concentrate;
import openslab.core.product.Dosing;
import openslab.core.product.LayerRole;
import openslab.core.product.OnePart;
import openslab.core.product.Powder;
import openslab.core.product.ProductSheet;
import openslab.core.product.Spread;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.Test;

public class BatchPlanTest {
    private static final UnitSystem US = UnitSystem.US;
    private static final ProductSheet BODY = Stories.liquid("Body", LayerRole.BODY, 4, Map.of());
    private static final Crew ROOMY = new Crew(1, 0.8, Allowance.of(0.1), 1000);

    private static Optional<Figure> life(double slabC) {
        return CureTime.of(BODY, Clock.POT_LIFE, slabC, US).minutes();
    }

    private static void assertShown(BatchPlan plan) {
        Formula.assertRecomputes(plan.count());
        Formula.assertRecomputes(plan.most());
        plan.boxed().ifPresent(Formula::assertRecomputes);
        for (BatchPlan.BatchRun run : plan.runs()) {
            Formula.assertRecomputes(run.area());
            Formula.assertRecomputes(run.volume());
        }
    }

    /**
     * By hand: 100 m² at 1 m²/min, pot life 40 min, four fifths of it: 32 m² a batch, so 4 batches of 25 m²; 25 / 4 m²/L · 1.1 =
     * 6.875 L. All A is two thirds of 27.5 L.
     */
    @Test
    public void batches_fit_the_pot_life() {
        BatchPlan plan = BatchPlan.of(List.of(Bay.whole(100)), BODY, life(20), ROOMY, US);
        assertEquals(plan.count().value(), 4);
        BatchPlan.BatchRun run = plan.batch(3).orElseThrow();
        assertEquals(run.area().value(), 25, 1e-9);
        assertEquals(run.volume().value(), 6.875, 1e-9);
        assertEquals(plan.boxed().orElseThrow().value(), 27.5 * 2 / 3, 1e-9);
        assertTrue(plan.batch(5).isEmpty());
        assertShown(plan);
    }

    /** A pail of 5 L holds 18.18 m² of it, so 6 batches; a sheet that allows 2 L at once 7.27 m², so 14. */
    @Test
    public void no_batch_is_more_than_the_vessel_or_the_sheet_allows() {
        var small = new Crew(1, 0.8, Allowance.of(0.1), 5);
        BatchPlan plan = BatchPlan.of(List.of(Bay.whole(100)), BODY, life(20), small, US);
        assertEquals(plan.count().value(), 6);
        ProductSheet little = RecipeTest.sheet(BODY.material(), new Dosing(false, 2, 0, 0));
        assertEquals(
                BatchPlan.of(List.of(Bay.whole(100)), little, life(20), small, US)
                        .count()
                        .value(),
                14);
        assertShown(plan);
    }

    @Test
    public void what_keeps_is_bounded_by_the_vessel_alone() {
        ProductSheet stain = Stories.of(new Concentrate(3, 1.05, 0, Spread.of(5)), Chemistry.UNSAID);
        assertTrue(BatchPlan.isOf(stain));
        // 100 m² · 1.1 / 5 = 22 L, 15 in a pail
        BatchPlan plan = BatchPlan.of(List.of(Bay.whole(100)), stain, Optional.empty(), Crew.DEFAULT, US);
        assertEquals(plan.count().value(), 2);
        assertTrue(plan.boxed().isEmpty());
        ProductSheet bags = Stories.of(new Powder(22.7, 12.7, 3.8, 4.7, 0, 0, 0.006, 0.012), Chemistry.CEMENT);
        // 100 m² · 6 mm · 1.1 = 660 L, 51.97 bags of 12.7 L: one goes into 15 L, so 52 mixes of one, never 44 of 1.18
        BatchPlan one = BatchPlan.of(List.of(Bay.whole(100)), bags, Optional.empty(), Crew.DEFAULT, US);
        assertEquals(one.count().value(), 52);
        assertShown(one);
        assertEquals(one.batch(1).orElseThrow().volume().base(), 12.7, 1e-9);
        assertTrue(!BatchPlan.isOf(Stories.of(new OnePart(1, 0.2, Spread.of(8)), Chemistry.UNSAID)));
        assertShown(plan);
    }

    /** Bays of 10, 10, 10 and 40 m², 32 to a batch: the three go into one, the large one has two of 20. */
    @Test
    public void small_bays_share_a_batch_and_large_ones_have_their_own() {
        var bays = List.of(new Bay("1", 10), new Bay("2", 10), new Bay("3", 10), new Bay("4", 40));
        BatchPlan plan = BatchPlan.of(bays, BODY, life(20), ROOMY, US);
        assertEquals(plan.count().value(), 3);
        assertEquals(plan.runs().get(0).bays(), "1 to 3");
        assertEquals(plan.runs().get(1).bays(), "4");
        assertEquals(plan.runs().get(1).first(), 2);
        assertEquals(plan.runs().get(1).last(), 3);
        assertEquals(plan.runs().get(1).area().value(), 20, 1e-9);
        assertShown(plan);
    }

    /** Every way to put bays together, tried: none has fewer batches, none of as few a smaller largest one. */
    @Test
    public void no_way_to_share_is_better() {
        var random = new Random(17);
        for (int i = 0; i < 2000; i++) {
            int n = 1 + random.nextInt(9);
            double most = 10;
            var areas = new ArrayList<Double>();
            for (int k = 0; k < n; k++) {
                areas.add(0.5 + (random.nextInt(4) == 0 ? 30 : 9) * random.nextDouble());
            }
            List<Split.Part> parts = Split.of(areas, most);
            int count = 0;
            double largest = 0;
            int at = 0;
            for (Split.Part p : parts) {
                assertEquals(p.from(), at);
                at = p.to();
                double sum = areas.subList(p.from(), p.to()).stream()
                        .mapToDouble(Double::doubleValue)
                        .sum();
                assertTrue(p.batches() == 1 || p.to() - p.from() == 1);
                assertTrue(sum / p.batches() <= most * (1 + 1e-9), p + " of " + areas);
                count += p.batches();
                largest = Math.max(largest, sum / p.batches());
            }
            assertEquals(at, n);
            double[] best = best(areas, most);
            assertEquals(count, (int) best[0], areas.toString());
            assertEquals(largest, best[1], 1e-9, areas.toString());
        }
    }

    /** How few batches, and of these how small their largest. */
    private static double[] best(List<Double> areas, double most) {
        double[] best = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY};
        for (int cuts = 0; cuts < 1 << (areas.size() - 1); cuts++) {
            int count = 0;
            double largest = 0;
            double sum = 0;
            int bays = 0;
            boolean ok = true;
            for (int k = 0; k < areas.size(); k++) {
                sum += areas.get(k);
                bays++;
                boolean ends = k == areas.size() - 1 || (cuts & (1 << k)) != 0;
                if (ends) {
                    int batches = bays == 1 ? (int) Math.ceil(sum / most - 1e-9) : 1;
                    ok &= sum / batches <= most * (1 + 1e-9);
                    count += batches;
                    largest = Math.max(largest, sum / batches);
                    sum = 0;
                    bays = 0;
                }
            }
            if (ok && (count < best[0] || count == best[0] && largest < best[1])) {
                best = new double[] {count, largest};
            }
        }
        return best;
    }

    @Test
    public void no_batch_outlives_its_pot_life() {
        var random = new Random(3);
        for (int i = 0; i < 500; i++) {
            var crew = new Crew(0.2 + 2 * random.nextDouble(), 0.3 + 0.7 * random.nextDouble(), Allowance.of(0.1), 30);
            double area = 1 + 500 * random.nextDouble();
            Optional<Figure> life = life(10 + 20 * random.nextDouble());
            BatchPlan plan = BatchPlan.of(List.of(Bay.whole(area)), BODY, life, crew, US);
            for (BatchPlan.BatchRun run : plan.runs()) {
                double minutes = run.area().value() / crew.paceM2PerMin();
                assertTrue(minutes <= life.orElseThrow().value() * crew.potLifeShare() * (1 + 1e-6));
                assertTrue(run.volume().base() <= crew.vesselL() * (1 + 1e-6));
            }
        }
    }

    /**
     * Four bays of 20 m², a batch for each. The first two went 26 m² far: 14 of the second bay are bare, and what is left is 14, 20
     * and 20, batch 3 to 5. A batch that was thrown away puts its bay off to the next number.
     */
    @Test
    public void what_went_otherwise_is_planned_anew_from_where_the_coat_has_come_to() {
        // 0.65 m²/min for four fifths of 40 min: 20.8 m² a batch
        var crew = new Crew(0.65, 0.8, Allowance.of(0.1), 1000);
        List<Bay> bays = List.of(new Bay("a", 20), new Bay("b", 20), new Bay("c", 20), new Bay("d", 20));
        BatchPlan plan = BatchPlan.of(bays, BODY, life(20), crew, UnitSystem.METRIC);
        assertEquals(plan.count().value(), 4, 0);
        BatchPlan rest = BatchPlan.rest(bays, 26, 2, BODY, life(20), crew, UnitSystem.METRIC);
        assertEquals(
                rest.runs().stream()
                        .map(r -> r.first() + " " + r.bays() + " "
                                + Math.round(r.area().base()) + " " + r.from())
                        .toList(),
                List.of("3 b 14 1", "4 c 20 2", "5 d 20 3"));
        assertEquals(rest.count().value(), 5, 0);
        Formula.assertRecomputes(rest.count());
        BatchPlan thrown = BatchPlan.rest(bays, 20, 2, BODY, life(20), crew, UnitSystem.METRIC);
        assertEquals(thrown.runs().get(0).first(), 3);
        assertEquals(thrown.runs().get(0).bays(), "b");
        BatchPlan done = BatchPlan.rest(bays, 80, 3, BODY, life(20), crew, UnitSystem.METRIC);
        assertTrue(done.runs().isEmpty());
        assertEquals(done.count().value(), 3, 0);
    }

    /** However much was covered with however many batches, what is planned covers the rest, once. */
    @Test
    public void what_is_planned_anew_covers_what_is_bare() {
        var random = new Random(5);
        for (int i = 0; i < 1000; i++) {
            var bays = new ArrayList<Bay>();
            int n = 1 + random.nextInt(9);
            for (int b = 0; b < n; b++) {
                bays.add(new Bay("bay " + b, 2 + 40 * random.nextDouble()));
            }
            double all = bays.stream().mapToDouble(Bay::areaM2).sum();
            double covered = all * random.nextDouble();
            int mixed = 1 + random.nextInt(6);
            BatchPlan rest = BatchPlan.rest(bays, covered, mixed, BODY, life(20), ROOMY, UnitSystem.METRIC);
            double planned = rest.runs().stream()
                    .mapToDouble(r -> (r.last() - r.first() + 1) * r.area().base())
                    .sum();
            // a hundredth of a bay is nobody's
            assertEquals(planned, all - covered, 0.011 * 42);
            int next = mixed + 1;
            for (BatchPlan.BatchRun run : rest.runs()) {
                assertEquals(run.first(), next);
                assertTrue(run.area().base() <= rest.most().base() * (1 + 1e-9));
                next = run.last() + 1;
            }
            assertEquals(rest.count().value(), next - 1.0, 0);
        }
    }
}
