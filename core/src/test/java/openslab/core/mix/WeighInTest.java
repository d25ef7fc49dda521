package openslab.core.mix;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import openslab.core.Formula;
import openslab.core.Stories;
import openslab.core.mix.recipe.Extra;
import openslab.core.mix.recipe.Measuring;
import openslab.core.mix.recipe.Portion;
import openslab.core.mix.recipe.Recipe;
import openslab.core.mix.recipe.Thinner;
import openslab.core.mix.recipe.Vessel;
import openslab.core.mix.recipe.Wanted;
import openslab.core.mix.recipe.WeighIn;
import openslab.core.mix.recipe.WeighIn.Call;
import openslab.core.mix.recipe.WeighIn.Weighed;
import openslab.core.product.Liquid;
import openslab.core.product.Powder;
import openslab.core.product.ProductSheet;
import openslab.core.product.Spread;
import openslab.core.product.TwoPart;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.Test;

public class WeighInTest {
    private static final UnitSystem METRIC = UnitSystem.METRIC;
    private static final Vessel PAIL = new Vessel(20, 1, 0, 0);
    private static final double ROOM = 40;

    private static ProductSheet sheet() {
        return Stories.of(Stories.twoPart(2, 1.10, 1.00, 4, TwoPart.First.A), openslab.core.product.Chemistry.EPOXY);
    }

    /** 6 L of 2:1 at 1.10 and 1.00: A 4.4 kg first, then B 2.0 kg, in a pail of 1 kg. */
    private static Recipe sixLitres() {
        return Recipe.of(sheet(), new Wanted.Mixed(6), PAIL, Measuring.SCALE, List.of(), METRIC);
    }

    private static WeighIn weighed(Double... readings) {
        return WeighIn.of(sixLitres(), PAIL, List.of(readings), ROOM, 0, METRIC);
    }

    @Test
    public void what_is_within_two_hundredths_is_stirred() {
        assertEquals(weighed(5.4, 7.4).call(), Call.GO);
        // B 1.97 where 2.00: a hundredth and a half short
        assertEquals(weighed(5.4, 7.37).call(), Call.GO);
        assertEquals(weighed(5.4, 7.35).call(), Call.ADD);
    }

    /** B slipped to 2.5 kg: A must be 5.5, so 1.1 kg more of A; the scale then shows 1 + 5.5 + 2.5 = 9. */
    @Test
    public void the_part_of_which_there_is_most_decides() {
        WeighIn in = weighed(5.4, 7.9);
        assertEquals(in.call(), Call.ADD);
        assertEquals(in.parts().get(0).add().orElseThrow().base(), 1.1, 1e-9);
        assertTrue(in.parts().get(1).add().isEmpty());
        assertEquals(in.parts().get(1).target().base(), 9, 1e-9);
        assertEquals(in.kg().base(), 8, 1e-9);
        // 6.4 kg were planned to be 6 L
        assertEquals(in.amount().base(), 7.5, 1e-9);
        Formula.assertRecomputes(in.amount());
        assertTrue(in.words().startsWith("Add 1.10\u00a0kg of A"), in.words());
        for (Weighed p : in.parts()) {
            Formula.assertRecomputes(p.target());
            Formula.assertRecomputes(p.off().orElseThrow());
            p.add().ifPresent(Formula::assertRecomputes);
        }
        Formula.assertRecomputes(in.kg());
    }

    /** A went over to 4.84 kg, a tenth too much: nothing is wrong yet, B follows to 2.2, and the scale shows 1 + 4.84 + 2.2. */
    @Test
    public void the_next_part_follows_what_is_in() {
        WeighIn in = weighed(5.84);
        assertEquals(in.call(), Call.GO);
        assertEquals(in.parts().get(1).target().base(), 8.04, 1e-9);
        assertTrue(in.parts().get(1).shown().isEmpty());
    }

    /**
     * A is 4.84 kg where 4.4 were meant: B stands at a tenth more too, 2.2 kg and 2.2 L of it, and the batch is 6.6 L. At 4 m²/L and a
     * tenth on top 6 L were for 21.82 m², and 6.6 are for 24.
     */
    @Test
    public void what_follows_is_told_as_it_is_measured() {
        Recipe recipe = sixLitres().covering(sheet(), Allowance.of(0.1), METRIC);
        WeighIn in = WeighIn.of(recipe, PAIL, List.of(5.84), ROOM, 0, METRIC);
        Weighed b = in.parts().get(1);
        assertEquals(b.amount().base(), 2.2, 1e-9);
        assertEquals(b.measured(), "2.20\u00a0L");
        assertEquals(in.amount().base(), 6.6, 1e-9);
        assertTrue(in.grown());
        assertEquals(in.covers().orElseThrow().base(), 24, 1e-9);
        // in the pail are 4.84 of 7.04 kg
        assertEquals(in.inside().base(), 6.6 * 4.84 / 7.04, 1e-9);
        for (Figure f : List.of(b.amount(), in.amount(), in.covers().orElseThrow(), in.inside())) {
            Formula.assertRecomputes(f);
        }
        assertFalse(WeighIn.of(recipe, PAIL, List.of(5.4), ROOM, 0, METRIC).grown());
    }

    @Test
    public void what_no_longer_fits_is_thrown_away() {
        // B 9 kg asks for 19.8 of A
        WeighIn in = WeighIn.of(sixLitres(), PAIL, List.of(5.4, 14.4), 22, 0, METRIC);
        assertEquals(in.call(), Call.DISCARD);
        assertTrue(in.words().contains("28.80"), in.words());
        // and a mix that has stood for half its life is not mended
        assertEquals(
                WeighIn.of(sixLitres(), PAIL, List.of(5.4, 7.9), ROOM, 0.5, METRIC)
                        .call(),
                Call.DISCARD);
        assertEquals(
                WeighIn.of(sixLitres(), PAIL, List.of(5.4, 7.4), ROOM, 0.5, METRIC)
                        .call(),
                Call.GO);
    }

    /** Thinner is on the scale, and is no coat: a tenth more than planned went in, and so much more of the coat is there. */
    @Test
    public void what_is_stirred_in_besides_counts_as_no_coat() {
        var two = Stories.twoPart(2, 1.10, 1.00, 4, TwoPart.First.A);
        var sheet = Stories.of(two, openslab.core.product.Chemistry.EPOXY);
        Recipe recipe = Recipe.of(
                sheet,
                new Wanted.Mixed(6.3),
                PAIL,
                Measuring.SCALE,
                List.of(Extra.Thin.of("5 %", Thinner.XYLENE, 0.05, sheet)),
                METRIC);
        List<Double> readings = recipe.portions().stream()
                .map(p -> 1 + 1.1 * (p.scale().orElseThrow().base() - 1))
                .toList();
        WeighIn in = WeighIn.of(recipe, PAIL, readings, ROOM, 0, METRIC);
        assertEquals(in.call(), Call.GO);
        assertEquals(in.amount().base(), 6.6, 1e-9);
    }

    /** Whoever has no signal goes by the range alone: wherever in it each reading is, the batch is right. */
    @Test
    public void whatever_each_reading_within_its_range_the_batch_is_right() {
        var random = new Random(11);
        for (int i = 0; i < 2000; i++) {
            Optional<Liquid.Part> third = random.nextBoolean()
                    ? Optional.of(new Liquid.Part("C", 0.2 + random.nextDouble(), 1))
                    : Optional.empty();
            var material = new TwoPart(
                    new Liquid.Part("A", 0.5 + 4 * random.nextDouble(), 0.8 + random.nextDouble()),
                    new Liquid.Part("B", 1, 0.8 + random.nextDouble()),
                    third,
                    0.4,
                    Spread.of(10),
                    random.nextBoolean() ? TwoPart.First.A : TwoPart.First.B);
            var vessel = new Vessel(30, random.nextDouble(), 0, 0);
            Recipe recipe = Recipe.of(
                    Stories.of(material, openslab.core.product.Chemistry.EPOXY),
                    new Wanted.Mixed(1 + 20 * random.nextDouble()),
                    vessel,
                    Measuring.SCALE,
                    List.of(),
                    METRIC);
            var readings = new ArrayList<Double>();
            for (Portion p : recipe.portions()) {
                Portion.Within within = p.within().orElseThrow();
                // the ends of the range are what it stands or falls with
                double share = random.nextInt(3) == 0 ? random.nextDouble() : random.nextInt(2);
                readings.add(within.from().base()
                        + share * (within.to().base() - within.from().base()));
            }
            assertEquals(WeighIn.of(recipe, vessel, readings, 1000, 0, METRIC).call(), Call.GO, readings.toString());
        }
    }

    /** Added as it says, the ratio is whole to the last bit, whatever was poured. */
    @Test
    public void a_correction_makes_the_ratio_whole() {
        var random = new Random(5);
        int added = 0;
        for (int i = 0; i < 3000; i++) {
            var two = Stories.twoPart(
                    1 + 4 * random.nextDouble(),
                    0.8 + random.nextDouble(),
                    0.8 + random.nextDouble(),
                    4,
                    random.nextBoolean() ? TwoPart.First.A : TwoPart.First.B);
            var vessel = new Vessel(20, random.nextDouble(), 0, 0);
            Recipe recipe = Recipe.of(
                    Stories.of(two, openslab.core.product.Chemistry.EPOXY),
                    new Wanted.Mixed(4 + 10 * random.nextDouble()),
                    vessel,
                    Measuring.SCALE,
                    List.of(),
                    METRIC);
            var readings = new ArrayList<Double>();
            double shown = vessel.tareKg();
            for (Portion p : recipe.portions()) {
                shown += p.mass().orElseThrow().base() * (0.7 + 0.6 * random.nextDouble());
                readings.add(shown);
            }
            WeighIn in = WeighIn.of(recipe, vessel, readings, 1000, 0, METRIC);
            if (in.call() != Call.ADD) {
                continue;
            }
            added++;
            double first = 0;
            for (int k = 0; k < in.parts().size(); k++) {
                Weighed p = in.parts().get(k);
                double kg = p.shown().orElseThrow().base()
                        + p.add().map(a -> a.base()).orElse(0.0);
                double share =
                        kg / recipe.portions().get(k).mass().orElseThrow().base();
                first = k == 0 ? share : first;
                assertEquals(share, first, 1e-9 * first);
            }
        }
        assertTrue(added > 1000, "added " + added);
    }

    /** A bag of 22.7 kg with 3.8 to 4.7 L: 4.2 kg of water is right as it is, 5.2 asks for more powder, 3.4 for more water. */
    @Test
    public void powder_has_a_range_of_water() {
        var powder = new Powder(22.7, 12.7, 3.8, 4.7, 0, 0, 0.006, 0.012);
        Recipe recipe = Recipe.of(
                Stories.of(powder, openslab.core.product.Chemistry.CEMENT),
                new Wanted.Bags(1),
                PAIL,
                Measuring.SCALE,
                List.of(),
                METRIC);
        var right = WeighIn.of(recipe, PAIL, List.of(5.2, 27.9), 60, 0, METRIC);
        assertEquals(right.call(), Call.GO, right.words());
        var wet = WeighIn.of(recipe, PAIL, List.of(6.2, 28.9), 60, 0, METRIC);
        assertEquals(wet.call(), Call.ADD);
        assertEquals(
                wet.parts().get(1).add().orElseThrow().base(), 5.2 / (4.7 * Recipe.WATER_KG_PER_L) * 22.7 - 22.7, 1e-9);
        var dry = WeighIn.of(recipe, PAIL, List.of(4.4, 27.1), 60, 0, METRIC);
        assertEquals(dry.call(), Call.ADD);
        assertEquals(dry.parts().get(0).add().orElseThrow().base(), 3.8 * Recipe.WATER_KG_PER_L - 3.4, 1e-9);
    }
}
