package openslab.core.prep;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.Formula;
import openslab.core.course.Step;
import openslab.core.course.Wait;
import openslab.core.floor.Substrate;
import openslab.core.floor.plan.Flaws;
import openslab.core.floor.plan.Room;
import openslab.core.prep.repair.PatchLimits;
import openslab.core.prep.repair.Repair;
import openslab.core.prep.repair.Repairs;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Cracks, hollow places, lips, coves and joints made good: how much, in what order, and what is said in writing. */
public class RepairTest {
    private static final double INCH = 0.0254;

    private static Flaws cracks(Flaws.Crack... cracks) {
        return new Flaws(
                List.of(cracks),
                List.of(),
                List.of(),
                Optional.empty(),
                0,
                Optional.empty(),
                Optional.empty(),
                List.of());
    }

    private static List<Repair> repairs(Flaws flaws, double hollowM2) {
        return Repairs.of(Substrate.BARE_CONCRETE, flaws, hollowM2, PatchLimits.DEFAULT, UnitSystem.METRIC);
    }

    private static Repair only(String id, List<Repair> repairs) {
        return repairs.stream().filter(r -> r.id().equals(id)).findFirst().orElseThrow();
    }

    private static Figure figure(Repair repair, String label) {
        Figure figure = repair.figures().stream()
                .filter(f -> f.label().equals(label))
                .findFirst()
                .orElseThrow(() -> new AssertionError(label + " not in " + repair.figures()));
        Formula.assertRecomputes(figure);
        return figure;
    }

    /** A hairline is chased to 1/4 × 1/2 in: 10 m are 10 · 6.35 · 12.7 mm² = 0.806 L; sand at 0.5 lb/ft² in a band of 100 mm. */
    @Test
    public void a_narrow_crack_is_chased_taped_and_filled_flexible() {
        Repair r = only("cracks", repairs(cracks(new Flaws.Crack("k1", 10, 0.001, 0.005, false)), 0));
        assertEquals(figure(r, "flexible filler").value(), 10 * 6.35 * 12.7 / 1000, 1e-9);
        assertEquals(figure(r, "30-mesh sand").value(), 10 * 0.1 * 2.44, 1e-9);
        assertEquals(figure(r, "lifts in the deepest crack").value(), 1.0);
        assertEquals(r.steps().stream().map(Step::id).toList(), List.of("chase", "fill.1"));
        assertTrue(r.figures().stream().noneMatch(f -> f.label().equals("structural filler")));
        assertTrue(r.exclusion().isEmpty());
    }

    /** CP: 1/4 in and narrower takes a flexible filler, wider a structural patch. */
    @Test
    public void a_quarter_inch_parts_flexible_from_structural() {
        Repair r = only(
                "cracks",
                repairs(
                        cracks(
                                new Flaws.Crack("a", 2, INCH / 4 - 0.0005, INCH / 2, false),
                                new Flaws.Crack("b", 3, INCH / 4, INCH, false)),
                        0));
        assertEquals(figure(r, "flexible filler").value(), 2000 * INCH / 4 * INCH / 2, 1e-9);
        assertEquals(figure(r, "structural filler").value(), 3000 * INCH / 4 * INCH, 1e-9);
        assertEquals(figure(r, "lifts in the deepest crack").value(), 2.0);
        assertEquals(r.steps().stream().map(Step::id).toList(), List.of("chase", "fill.1", "fill.2"));
    }

    @DataProvider
    Object[][] depths() {
        return new Object[][] {{0.25, 0.5, 1}, {0.5, 0.5, 1}, {0.51, 0.5, 2}, {1.0, 0.5, 2}, {2.1, 0.5, 5}, {2, 3, 1}};
    }

    /** CP: a resurfacer lifts at most 1/2 in; no lift is deeper than that. */
    @Test(dataProvider = "depths")
    public void no_lift_is_deeper_than_the_product_allows(double depthIn, double liftIn, int lifts) {
        var patch = new PatchLimits(liftIn * INCH, 120, depthIn * INCH);
        List<Repair> all = Repairs.of(Substrate.BARE_CONCRETE, Flaws.NONE, 4, patch, UnitSystem.US);
        Repair r = only("hollow", all);
        assertEquals(figure(r, "lifts").value(), (double) lifts);
        assertEquals(r.steps().size(), lifts);
        assertEquals(figure(r, "patching mortar").value(), 4 * depthIn * INCH * 1000, 1e-9);
        assertTrue(r.steps().stream().allMatch(s -> s.waits().equals(new Wait.Fixed(120))));
        assertTrue(depthIn * INCH / lifts <= liftIn * INCH + 1e-12);
    }

    @Test
    public void a_moving_crack_is_excluded_in_writing_before_anything_covers_it() {
        List<Repair> all = repairs(cracks(new Flaws.Crack("K7", 3.2, 0.002, 0.01, true)), 0);
        assertEquals(all.get(0).id(), "moving-cracks");
        assertTrue(all.get(0).exclusion().contains("K7 (3.20\u00a0m)"));
        assertTrue(all.get(0).exclusion().contains("not part of what is promised"));
        assertEquals(all.get(0).steps().get(0).gate().orElseThrow().id(), "told");
        assertEquals(all.get(1).id(), "cracks");
    }

    /** CP: a 1/2 in lip goes back about 18 in: over 2 m that are 2 · 36 · 12.7 mm = 0.9144 m². */
    @Test
    public void a_lip_is_ground_back_one_in_thirty_six() {
        var lip = new Flaws.Rise("l", "Door", 2, INCH / 2);
        var flaws = new Flaws(
                List.of(), List.of(), List.of(lip), Optional.empty(), 0, Optional.empty(), Optional.empty(), List.of());
        Repair r = only("lips", repairs(flaws, 0));
        assertEquals(figure(r, "lips to grind back").value(), 0.9144, 1e-9);
        assertEquals(r.steps().get(0).own().orElseThrow(), 0.9144, 1e-9);
    }

    @Test
    public void as_many_joints_come_out_as_went_in_and_expansion_joints_stay_open() {
        var joints = List.of(
                new Flaws.Joint("a", Room.Joint.Kind.CONTROL, 4, true),
                new Flaws.Joint("b", Room.Joint.Kind.EXPANSION, 6, false));
        var flaws = new Flaws(
                List.of(), joints, List.of(), Optional.empty(), 0, Optional.empty(), Optional.empty(), List.of());
        Repair r = only("joints", repairs(flaws, 0));
        assertEquals(figure(r, "pins").value(), 4.0);
        assertEquals(figure(r, "joints to cut again").value(), 10.0);
        assertEquals(figure(r, "of them expansion joints, kept open").value(), 6.0);
        assertTrue(r.steps().get(0).does().contains("1 are not marked"));
    }

    @Test
    public void repairs_come_before_the_floor_is_closed_and_only_where_it_is_opened() {
        var need = new PrepNeed(3, 5, ours());
        var bare = new Condition(Substrate.BARE_CONCRETE, Set.of(), Optional.of(false), Optional.empty(), true, false);
        List<Step> repairs = repairs(cracks(new Flaws.Crack("k", 5, 0.002, 0.01, false)), 0).stream()
                .flatMap(r -> r.steps().stream())
                .toList();
        PrepPlan ground =
                PrepPlan.choose(bare, need, new SiteLimits(true, true)).with(repairs);
        assertEquals(
                ground.steps().stream().map(Step::id).toList(),
                List.of("sweep", "hand-grind", "grind", "chase", "fill.1", "vacuum", "check.drop", "vacuum.last"));
        var unknown =
                new Condition(Substrate.BARE_CONCRETE, Set.of(), Optional.empty(), Optional.empty(), false, false);
        PrepPlan looked = PrepPlan.choose(unknown, need, new SiteLimits(true, true));
        assertEquals(looked.with(repairs), looked, "a floor that is looked at again is not repaired yet");
        assertTrue(Repairs.of(Substrate.VCT, Flaws.NONE, 5, PatchLimits.DEFAULT, UnitSystem.US)
                .isEmpty());
        assertFalse(repairs(Flaws.NONE, 0).stream().anyMatch(r -> true));
        assertThrows(IllegalArgumentException.class, () -> new PatchLimits(0, 1, 1));
    }

    private static Source ours() {
        return Source.ours("test");
    }

    /** STANDARDS 11.4: r 1 in takes 89.70 lf a gallon, so 30 m of it 1.097 gal; the plan reckons it, the repair hands it on. */
    @Test
    public void a_cove_takes_its_metres_and_its_mortar() {
        double litres = 30 / 0.3048 / 89.70 * 3.785411784;
        var w = new Worksheet(UnitSystem.METRIC);
        double section = (1 - Math.PI / 4) * INCH * INCH;
        Figure mortar = w.figure("cove mortar", "V", "1", 1000 * 30 * section, Unit.LITRE, ours());
        assertEquals(mortar.value(), litres, 0.001 * litres);
        var flaws = new Flaws(
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                30,
                Optional.of(mortar),
                Optional.empty(),
                List.of());
        Repair r = only("cove", repairs(flaws, 0));
        assertEquals(r.figures().get(1), mortar);
        assertEquals(figure(r, "cove to trowel").value(), 30.0);
        assertEquals(r.steps().get(0).own().orElseThrow(), 30.0);
    }
}
