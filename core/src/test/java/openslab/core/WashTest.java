package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Chemical.Family;
import openslab.core.prep.wash.Neutralising;
import openslab.core.prep.wash.Neutralising.Acid;
import openslab.core.prep.wash.Ratio;
import openslab.core.prep.wash.WashMix;
import openslab.core.quantity.Figure;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Any ratio into any vessel, and what must never meet. */
public class WashTest {
    private static final double GAL = Unit.GALLON.toBase(1);
    private static final double SPREAD = Unit.SQUARE_FOOT_PER_GALLON.toBase(100);

    @DataProvider
    Object[][] dilutions() {
        return Cases.read("dilutions.csv");
    }

    @Test(dataProvider = "dilutions")
    public void a_ratio_says_how_much_of_each(Cases c) {
        Ratio ratio = Ratio.parse("ratio", c.text("ratio"));
        assertEquals(ratio.share() * c.number("mix_gal"), c.number("concentrate_gal"), 1e-6);
        assertEquals((1 - ratio.share()) * c.number("mix_gal"), c.number("water_gal"), 1e-6);
        assertEquals(100 * ratio.share(), c.number("percent"), 1e-4);
    }

    /** However it is written, the concentrate and the water of all vessels come to the mix, and give the ratio back. */
    @Test(dataProvider = "dilutions")
    public void every_vessel_gives_the_ratio_back(Cases c) {
        Ratio ratio = Ratio.parse("ratio", c.text("ratio"));
        Chemical chemical =
                ratio.water() < 3.9 ? null : ratio.water() <= 16 ? Chemical.DEGREASER : Chemical.NEUTRAL_CLEANER;
        if (chemical == null) {
            return;
        }
        for (double vessel : new double[] {0.4, 1, 2, 5}) {
            var mix = WashMix.of(chemical, ratio, vessel * GAL, 40, SPREAD, 0, UnitSystem.US);
            double each = mix.water().base() + mix.concentrate().base();
            assertTrue(each <= vessel * GAL + 1e-9);
            assertEquals(each * mix.vessels(), mix.total().base(), 1e-9);
            assertEquals(mix.water().base() / mix.concentrate().base(), ratio.water(), 1e-9);
            assertEquals(mix.waterLine().value() / 100, mix.water().base() / each, 1e-9);
            Formula.assertRecomputes(mix.total());
            Formula.assertRecomputes(mix.water());
            Formula.assertRecomputes(mix.concentrate());
            Formula.assertRecomputes(mix.waterLine());
        }
    }

    /** 400 ft² at 100 ft²/gal: 4 gal in all; in quarters a gallon for 100 ft² each, in eight half a gallon; else by 10 × 10 ft. */
    @Test
    public void a_wash_is_parted_as_somebody_works() {
        double ft2 = 0.09290304;
        for (int sections : new int[] {0, 4, 8}) {
            var mix = WashMix.of(
                    Chemical.STRIPPER,
                    Ratio.parse("ratio", "1:8"),
                    5 * GAL,
                    400 * ft2,
                    100 * ft2 / GAL,
                    sections,
                    UnitSystem.US);
            assertEquals(mix.section().base(), sections == 8 ? GAL / 2 : GAL, 1e-9);
            assertEquals(
                    mix.of().replace('\u00a0', ' '),
                    sections == 0
                            ? "for 10 × 10 ft"
                            : "for each of " + sections + " sections, " + 400 / sections + " ft²");
            Formula.assertRecomputes(mix.section());
        }
    }

    @DataProvider
    Object[][] refused() {
        return Cases.read("dilutions-refused.csv");
    }

    @Test(dataProvider = "refused")
    public void what_says_no_ratio_is_refused(Cases c) {
        assertThrows(InvalidInput.class, () -> Ratio.parse("ratio", c.text("ratio")));
    }

    /** 1:4 of descaler is meant as one into four; four into one is stronger than any label goes. */
    @Test
    public void a_dose_the_wrong_way_round_is_refused_with_the_reason() {
        WashMix.of(Chemical.DESCALER, Ratio.parse("ratio", "1:4"), 5 * GAL, 40, SPREAD, 0, UnitSystem.US);
        for (String wrong : new String[] {"4:1", "80 %"}) {
            var e = org.testng.Assert.expectThrows(
                    InvalidInput.class,
                    () -> WashMix.of(
                            Chemical.DESCALER, Ratio.parse("ratio", wrong), 5 * GAL, 40, SPREAD, 0, UnitSystem.US));
            assertTrue(e.getMessage().contains("the other way round"), e.getMessage());
        }
        var neat = org.testng.Assert.expectThrows(
                InvalidInput.class,
                () -> WashMix.of(
                        Chemical.DESCALER, Ratio.parse("ratio", "neat"), 5 * GAL, 40, SPREAD, 0, UnitSystem.US));
        assertFalse(neat.getMessage().contains("the other way round"), "nothing turned round is neat");
        // 300 ft²/gal neat is how a profiler is used (TRADE 6)
        var profiler =
                WashMix.of(Chemical.ETCH_LIQUID, Ratio.parse("ratio", "neat"), 5 * GAL, 40, SPREAD, 0, UnitSystem.US);
        assertEquals(profiler.water().value(), 0, 1e-12);
        var weak = org.testng.Assert.expectThrows(
                InvalidInput.class,
                () -> WashMix.of(
                        Chemical.STRIPPER, Ratio.parse("ratio", "1:100"), 5 * GAL, 40, SPREAD, 0, UnitSystem.US));
        assertTrue(weak.getMessage().contains("only water"), weak.getMessage());
    }

    /** Ammonia is what an acid stain is usually neutralised with once it has reacted; bleach is never near either. */
    @Test
    public void ammonia_neutralises_a_stain_that_has_reacted() {
        assertEquals(Chemical.never(Chemical.AMMONIA, Chemical.ACID_STAIN), Optional.empty());
        assertTrue(Chemical.never(Chemical.AMMONIA, Chemical.MURIATIC).isPresent());
        assertTrue(Chemical.never(Chemical.AMMONIA, Chemical.BLEACH).isPresent());
        assertTrue(Chemical.never(Chemical.ACID_STAIN, Chemical.BLEACH).isPresent());
        assertTrue(Family.AMMONIA.caution().contains("once it has reacted"), Family.AMMONIA.caution());
    }

    @Test
    public void acid_goes_into_water_and_every_chemical_has_its_caution() {
        for (Chemical chemical : Chemical.values()) {
            assertTrue(chemical.strongest().thinness() < chemical.weakest().thinness(), chemical.name());
            var mix = WashMix.of(chemical, chemical.strongest(), 5 * GAL, 40, SPREAD, 0, UnitSystem.METRIC);
            assertEquals(mix.order().get(0), "Water first, to its line.");
            assertEquals(mix.order().get(1).contains("never water into acid"), chemical.family() == Family.ACID);
            assertTrue(mix.caution().length() > 20);
        }
    }

    /** STANDARDS 9 and TRADE 15: bleach with ammonia, acid or stripper; acid with stripper, ammonia or alkali. */
    @Test
    public void what_must_never_meet_is_blocked_both_ways() {
        Chemical[][] never = {
            {Chemical.BLEACH, Chemical.AMMONIA},
            {Chemical.BLEACH, Chemical.MURIATIC},
            {Chemical.BLEACH, Chemical.STRIPPER},
            {Chemical.MURIATIC, Chemical.STRIPPER},
            {Chemical.ETCH_LIQUID, Chemical.AMMONIA},
            {Chemical.DESCALER, Chemical.DEGREASER}
        };
        for (Chemical[] pair : never) {
            assertTrue(Chemical.never(pair[0], pair[1]).isPresent(), pair[0] + " with " + pair[1]);
            assertEquals(Chemical.never(pair[0], pair[1]), Chemical.never(pair[1], pair[0]));
        }
        for (Chemical chemical : Chemical.values()) {
            assertTrue(Chemical.never(chemical, chemical).isEmpty());
            assertTrue(Chemical.never(chemical, Chemical.NEUTRAL_CLEANER).isEmpty());
        }
    }

    /** STANDARDS 9: grams of bicarbonate to a gram of acid, and 1 gal of 20 °Bé muriatic takes 3182 g. */
    @Test
    public void soda_takes_up_as_much_acid_as_its_moles_say() {
        assertEquals(Neutralising.sodaPerGram(Acid.HYDROCHLORIC), 2.304, 0.0005);
        assertEquals(Neutralising.sodaPerGram(Acid.SULFAMIC), 0.865, 0.0005);
        assertEquals(Neutralising.sodaPerGram(Acid.PHOSPHORIC), 1.715, 0.0005);
        assertEquals(Neutralising.sodaPerGram(Acid.CITRIC), 1.312, 0.0005);
        var soda = Neutralising.sodaForMuriatic(GAL, UnitSystem.US);
        assertEquals(soda.base(), 3.182, 0.002);
        Formula.assertRecomputes(soda);
        // 10 gal of 1:3 mix, none of it used: 17.54 lb
        var mix = WashMix.of(
                Chemical.MURIATIC, Ratio.parse("ratio", "1:3"), 5 * GAL, 10 * GAL * SPREAD, SPREAD, 0, UnitSystem.US);
        assertEquals(Unit.POUND.fromBase(mix.soda().orElseThrow().base()), 17.54, 0.01);
        assertEquals(mix.vessels(), 2);
    }

    /** TRADE 6: one bag in 2 US gal; in pails of 5 gal that are 2.5 bags, and 1 pack in 10 L makes half a pack in 5 L. */
    @Test
    public void powder_is_told_in_bags_and_adds_nothing_to_the_pail() {
        for (double vessel : new double[] {1, 2, 5, 12.5}) {
            Ratio bags = Ratio.parse("ratio", "1 bag/2 gal");
            var mix = WashMix.of(Chemical.ETCH_GRANULES, bags, vessel * GAL, 40, SPREAD, 0, UnitSystem.US);
            assertEquals(mix.water().base() * mix.vessels(), mix.total().base(), 1e-9);
            assertEquals(mix.concentrate().value() * 2 * GAL, mix.water().base(), 1e-9);
            assertEquals(mix.waterLine().value(), 100.0);
            for (Figure f : List.of(mix.total(), mix.section(), mix.water(), mix.concentrate(), mix.waterLine())) {
                Formula.assertRecomputes(f);
            }
        }
        var five = WashMix.of(
                Chemical.ETCH_GRANULES,
                Ratio.parse("r", "1 bag per 2 gal"),
                5 * GAL,
                5 * GAL * SPREAD,
                SPREAD,
                0,
                UnitSystem.US);
        assertEquals(five.concentrate().value(), 2.5, 1e-9);
        assertEquals(Ratio.parse("r", "1 pack in 10 L").bagL(), 10.0, 1e-9);
        assertEquals(Ratio.parse("r", "2 bags/4 gal").words(), "one bag into 7.57 L (2.00 gal) of water");
        for (String wrong : new String[] {"1 bag/1 qt", "3 bags/gal", "1 bag/50 gal", "1:4", "12 oz/gal"}) {
            assertThrows(
                    InvalidInput.class,
                    () -> WashMix.of(
                            Chemical.ETCH_GRANULES, Ratio.parse("r", wrong), 5 * GAL, 40, SPREAD, 0, UnitSystem.US));
        }
        assertThrows(
                InvalidInput.class,
                () -> WashMix.of(
                        Chemical.MURIATIC, Ratio.parse("r", "1 bag/2 gal"), GAL, 40, SPREAD, 0, UnitSystem.US));
        assertThrows(InvalidInput.class, () -> Ratio.parse("r", "1 bag/5 ft²"));
    }

    /** 1:4 in a pail of 5 gal with 5 lines: 4 gal of water stand at line 4; with 10 lines at line 8. */
    @Test
    public void water_stands_at_a_line_of_the_pail() {
        var mix = WashMix.of(
                Chemical.DESCALER, Ratio.parse("r", "1:4"), 5 * GAL, 5 * GAL * SPREAD, SPREAD, 0, UnitSystem.US);
        assertEquals(mix.mark(5, 5 * GAL, UnitSystem.US).value(), 4.0, 1e-9);
        assertEquals(mix.mark(10, 5 * GAL, UnitSystem.US).value(), 8.0, 1e-9);
        Formula.assertRecomputes(mix.mark(3, 5 * GAL, UnitSystem.US));
    }

    /** Said so that nobody takes one for the other. */
    @Test
    public void a_ratio_is_told_in_words() {
        assertEquals(Ratio.parse("r", "1:4").words(), "1 part into 4 of water (20.0 % of the mix)");
        assertEquals(
                Ratio.parse("r", "12 oz/gal").words(), "12 oz/gal, 1 part into 10.67 of water (8.57 % of the mix)");
        assertEquals(Ratio.parse("r", "4 water : 1").words(), "1 part into 4 of water (20.0 % of the mix)");
        assertEquals(Ratio.parse("r", "Neat").words(), "neat, no water");
        assertEquals(Ratio.parse("r", " 1 : 4 ").typed(), "1 : 4");
    }

    @Test
    public void a_metric_crew_reads_litres_and_millilitres() {
        var mix = WashMix.of(Chemical.STRIPPER, Ratio.parse("ratio", "1:8"), 10, 90, 5, 0, UnitSystem.METRIC);
        assertEquals(mix.vessels(), 2);
        assertEquals(mix.total().text(), "18.00\u00a0L");
        assertEquals(mix.water().text(), "8.00\u00a0L");
        assertEquals(mix.concentrate().text(), "1\u202f000\u00a0mL".replace("\u202f", ""));
        assertEquals(mix.concentrate().base(), 1, 1e-9);
        assertTrue(mix.soda().isEmpty());
    }
}
