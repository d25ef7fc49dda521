package openslab.core.mix;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import openslab.core.Cases;
import openslab.core.Formula;
import openslab.core.Stories;
import openslab.core.course.Wait;
import openslab.core.mix.recipe.Extra;
import openslab.core.mix.recipe.Measuring;
import openslab.core.mix.recipe.MixStage;
import openslab.core.mix.recipe.Portion;
import openslab.core.mix.recipe.Recipe;
import openslab.core.mix.recipe.Spoken;
import openslab.core.mix.recipe.Thinned;
import openslab.core.mix.recipe.Thinner;
import openslab.core.mix.recipe.Vessel;
import openslab.core.mix.recipe.Wanted;
import openslab.core.product.Chemistry;
import openslab.core.product.Concentrate;
import openslab.core.product.Dosing;
import openslab.core.product.Fan;
import openslab.core.product.Handling;
import openslab.core.product.Kit;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.OnePart;
import openslab.core.product.Packed;
import openslab.core.product.Powder;
import openslab.core.product.ProductSheet;
import openslab.core.product.Spread;
import openslab.core.product.TwoPart;
import openslab.core.quantity.Figure;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Measure;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.system.LayWait;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class RecipeTest {
    private static final UnitSystem US = UnitSystem.US;
    private static final UnitSystem METRIC = UnitSystem.METRIC;

    /** 50 lb of powder, 0.45 ft³ of mix, 4 to 5 qt of water and 1 to 4 fl oz of colour to a bag (SYSTEMS 9, STANDARDS 11.5). */
    private static final Powder BAG = new Powder(
            Unit.POUND.toBase(50),
            0.45 * 28.316846592,
            Unit.QUART.toBase(4),
            Unit.QUART.toBase(5),
            Unit.FLUID_OUNCE.toBase(1),
            Unit.FLUID_OUNCE.toBase(4),
            Unit.INCH.toBase(0.25),
            Unit.INCH.toBase(0.5));

    static ProductSheet sheet(Material material, Dosing dosing) {
        ProductSheet plain = Stories.of(material, Chemistry.EPOXY);
        return new ProductSheet(
                plain.slug(),
                plain.name(),
                plain.role(),
                material,
                plain.limits(),
                plain.clocks(),
                plain.kits(),
                plain.resealYears(),
                plain.traits(),
                new Handling(2, 3, 5, "", List.of(), Fan.UNSAID, 0, 0, dosing),
                plain.advice());
    }

    private static ProductSheet sheet(Material material) {
        return sheet(material, Dosing.SILENT);
    }

    private static Recipe mixed(ProductSheet sheet, double litres, Vessel vessel, UnitSystem units) {
        return Recipe.of(sheet, new Wanted.Mixed(litres), vessel, Recipe.usual(sheet), List.of(), units);
    }

    private static Portion part(Recipe recipe, String name) {
        return recipe.portions().stream()
                .filter(p -> p.part().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static final Vessel PAIL = Vessel.holding(15);

    private static double litres(String text) {
        return Measure.parse("case", text, Unit.LITRE, 0, 1e6);
    }

    @DataProvider
    Object[][] recipes() {
        return Cases.read("recipes.csv");
    }

    @Test(dataProvider = "recipes")
    public void a_recipe_is_what_is_worked_by_hand(Cases c) {
        String[] parts = c.text("parts").split(":");
        var material = new TwoPart(
                new Liquid.Part("A", Double.parseDouble(parts[0]), c.number("densityA")),
                new Liquid.Part("B", Double.parseDouble(parts[1]), c.number("densityB")),
                Optional.empty(),
                1,
                Spread.of(5),
                TwoPart.First.A);
        double wanted = litres(c.text("wanted"));
        Recipe recipe = mixed(sheet(material), wanted, Vessel.holding(2000), US);
        assertEquals(part(recipe, "A").volume().base(), litres(c.text("a")), 1e-9 * wanted);
        assertEquals(part(recipe, "B").volume().base(), litres(c.text("b")), 1e-9 * wanted);
        double grams = 1000 * part(recipe, "A").mass().orElseThrow().base();
        assertEquals(grams, c.number("grams_per_a"), 1e-4 * grams, c.toString());
    }

    @DataProvider
    Object[][] spoken() {
        return Cases.read("spoken.csv");
    }

    @Test(dataProvider = "spoken")
    public void a_volume_is_said_as_it_is_measured_out(Cases c) {
        String said = Spoken.of(c.number("ml") / 1000, US).replace('\u00a0', ' ');
        assertTrue(List.of(c.text("said").split("\\|")).contains(said), said + " for " + c);
    }

    /** How many of each US measure make the next one; NIST Handbook 44, Appendix C; from memory. */
    private static final Map<String, Double> REACHES =
            Map.of("fl oz", 32.0, "qt", 4.0, "cup", 4.0, "cups", 4.0, "tbsp", 16.0, "tsp", 3.0, "mL", 1000.0);

    private static final Pattern TERM =
            Pattern.compile(" ?(\\d/\\d|\\d+ \\d/\\d|[\\d.\u202f]+)\u00a0(fl oz|[A-Za-z]+)");

    @Test
    public void what_is_said_is_what_is_meant_and_no_measure_reaches_the_next() {
        var random = new Random(11);
        for (int i = 0; i < 20_000; i++) {
            double whole = (1 + random.nextInt(64)) * litres("1 qt") / (random.nextBoolean() ? 1 : 32);
            // what a conversion leaves of a whole measure, in its last bits and in its last hundredth
            double near = whole * (1 + (random.nextInt(5) - 2) * Math.pow(10, -2.1 - random.nextInt(13)));
            double litres = i % 2 == 0 ? near : Math.pow(10, -5 + 8 * random.nextDouble());
            for (UnitSystem units : UnitSystem.values()) {
                assertSaid(Spoken.of(litres, units), litres);
            }
        }
    }

    private static void assertSaid(String said, double litres) {
        assertEquals(litres(said), litres, 0.0101 * litres, said);
        Matcher term = TERM.matcher(said);
        int end = 0;
        while (term.find()) {
            double number = Measure.parse("said", term.group(1), Unit.ONE, 0, 1e9);
            assertTrue(number < REACHES.getOrDefault(term.group(2), 1e9), said);
            end = term.end();
        }
        assertEquals(end, said.length(), said);
    }

    @Test
    public void the_shortest_words_win() {
        double gallon = Unit.GALLON.toBase(1);
        Map.of(
                        3.0,
                        "3 gal",
                        2.0,
                        "2 gal",
                        2.9999,
                        "3 gal",
                        1.995,
                        "2 gal",
                        2.75,
                        "2 gal 3 qt",
                        0.5,
                        "2 qt",
                        4 / 1.0001,
                        "4 gal")
                .forEach((gallons, said) ->
                        assertEquals(Spoken.of(gallons * gallon, US).replace('\u00a0', ' '), said));
    }

    @Test
    public void a_ratio_says_which_is_which() {
        var two = Stories.twoPart(2, 1.13, 1.02, 4, TwoPart.First.B);
        // STANDARDS 11.1: 2:1 by volume is 2.216:1 by weight; 100/2.2157 = 45.1
        assertEquals(
                mixed(sheet(two), 3, PAIL, US).words(), "2 of A to 1 of B by volume; by weight 100 of A to 45.1 of B");
        assertEquals(
                mixed(sheet(new Concentrate(4, 1.05, 0, Spread.of(5))), 5, PAIL, METRIC)
                        .words(),
                "1 part of concentrate into 4 of water by volume (20.0 % of the mix)");
        assertTrue(mixed(sheet(BAG), 12, PAIL, US).words().contains("4\u00a0qt")
                || mixed(sheet(BAG), 12, PAIL, US).words().contains("1\u00a0gal to 1\u00a0gal 1\u00a0qt"));
    }

    @Test
    public void the_scale_shows_what_is_in_and_the_vessel() {
        var two = Stories.twoPart(2, 1.13, 1.02, 4, TwoPart.First.B);
        // 6 L: B 2 L = 2.04 kg, A 4 L = 4.52 kg; the pail weighs 0.9 kg; B goes in first
        Recipe recipe = Recipe.of(
                sheet(two), new Wanted.Mixed(6), new Vessel(20, 0.9, 10, 0), Measuring.SCALE, List.of(), METRIC);
        assertEquals(recipe.portions().get(0).part(), "B");
        assertEquals(recipe.portions().get(0).scale().orElseThrow().value(), 2.94, 1e-9);
        assertEquals(recipe.portions().get(1).scale().orElseThrow().value(), 7.46, 1e-9);
        // ten lines on a 20 L pail are 2 L apart: B to the first, both to the third
        assertEquals(recipe.portions().get(0).line().orElseThrow().value(), 1, 1e-9);
        assertEquals(recipe.portions().get(1).line().orElseThrow().value(), 3, 1e-9);
        assertEquals(
                recipe.stages().stream().map(MixStage::kind).toList(),
                List.of(
                        MixStage.Kind.STIR,
                        MixStage.Kind.STIR,
                        MixStage.Kind.POUR,
                        MixStage.Kind.POUR,
                        MixStage.Kind.COMBINE,
                        MixStage.Kind.STAND,
                        MixStage.Kind.SPREAD));
    }

    /** Card and course are read by one crew: 2 min for each can, 3 together, whatever goes in first; silence is 3 min for what reacts. */
    @Test
    public void the_course_waits_as_long_as_the_card_stirs() {
        for (Material material : List.of(
                Stories.twoPart(2, 1.13, 1.02, 4, TwoPart.First.B),
                Stories.twoPart(2, 1.13, 1.02, 4, TwoPart.First.A),
                BAG)) {
            ProductSheet sheet = sheet(material);
            double card = mixed(sheet, 6, new Vessel(20, 0.9, 10, 0), METRIC).stages().stream()
                    .filter(s ->
                            Set.of(MixStage.Kind.STIR, MixStage.Kind.COMBINE).contains(s.kind()))
                    .mapToDouble(MixStage::minutes)
                    .sum();
            assertEquals(new LayWait.OfSheet(LayWait.Says.STIR).of(sheet), new Wait.Fixed(card), material.toString());
            assertEquals(card, material == BAG ? 3 : 7, 0, material.toString());
        }
        var silent = Stories.of(Stories.twoPart(2, 1.13, 1.02, 4, TwoPart.First.A), Chemistry.EPOXY);
        assertEquals(new LayWait.OfSheet(LayWait.Says.STIR).of(silent), new Wait.Fixed(3));
    }

    @Test
    public void where_the_sheet_wants_own_pails_nothing_is_poured_on_top() {
        ProductSheet own = sheet(Stories.twoPart(1, 1.15, 1.07, 4, TwoPart.First.A), new Dosing(true, 0, 0, 0));
        assertEquals(Recipe.usual(own), Measuring.OWN_PAILS);
        // SYSTEMS 19: a sample board of 10 fl oz is 5 and 5, each to its own line: a 1 qt pail with 32 lines, line 5
        var quart = new Vessel(Unit.QUART.toBase(1), 0, 32, 0);
        Recipe recipe = Recipe.of(
                own, new Wanted.Mixed(Unit.FLUID_OUNCE.toBase(10)), quart, Measuring.OWN_PAILS, List.of(), US);
        for (Portion p : recipe.portions()) {
            assertEquals(p.volume().base(), Unit.FLUID_OUNCE.toBase(5), 1e-12);
            assertEquals(p.line().orElseThrow().value(), 5, 1e-9);
            assertTrue(p.scale().isEmpty());
        }
        var refused = expectThrows(
                InvalidInput.class, () -> Recipe.of(own, new Wanted.Mixed(1), quart, Measuring.SCALE, List.of(), US));
        assertEquals(refused.faults().get(0).field(), "measuring");
    }

    @Test
    public void half_a_kit_is_half_of_each_part() {
        ProductSheet sheet = sheet(Stories.twoPart(2, 1.13, 1.02, 4, TwoPart.First.A));
        var kit = new Kit("Kit, 3 gal", new Packed(Unit.GALLON.toBase(3)), 17_800);
        Recipe half = Recipe.of(sheet, new Wanted.OfKit(kit, 0.5), PAIL, Measuring.SCALE, List.of(), US);
        assertEquals(part(half, "A").volume().base(), Unit.GALLON.toBase(1), 1e-9);
        assertEquals(part(half, "B").volume().base(), Unit.GALLON.toBase(0.5), 1e-9);
    }

    /** A jug of 1 gal of concentrate at 1:3 makes 4 gal, half a jug 2: the water comes to it. */
    @Test
    public void a_jug_of_concentrate_makes_more_than_it_holds() {
        ProductSheet sheet = sheet(new Concentrate(3, 1.05, 0, Spread.of(5)));
        var jug = new Kit("Jug, 1 gal", new Packed(Unit.GALLON.toBase(1)), 11_800);
        Recipe half = Recipe.of(sheet, new Wanted.OfKit(jug, 0.5), PAIL, Measuring.SCALE, List.of(), US);
        assertEquals(Unit.GALLON.fromBase(half.amount().base()), 2, 1e-9);
        assertEquals(Unit.GALLON.fromBase(part(half, "Concentrate").volume().base()), 0.5, 1e-9);
        assertEquals(Unit.GALLON.fromBase(part(half, "Water").volume().base()), 1.5, 1e-9);
        Formula.assertRecomputes(half.amount());
    }

    /** A can that is short by its label: 2.7 L of A where 3 would be whole, 1.5 L of B. A runs out; 0.15 L of B stays. */
    @Test
    public void the_can_that_runs_out_decides() {
        ProductSheet sheet = sheet(Stories.twoPart(2, 1.13, 1.02, 4, TwoPart.First.A));
        Recipe recipe =
                Recipe.of(sheet, new Wanted.Cans(Map.of("A", 2.7, "B", 1.5)), PAIL, Measuring.SCALE, List.of(), METRIC);
        assertEquals(recipe.amount().base(), 4.05, 1e-9);
        assertEquals(part(recipe, "A").volume().base(), 2.7, 1e-9);
        assertEquals(part(recipe, "B").volume().base(), 1.35, 1e-9);
        assertEquals(recipe.left().get(0).base(), 0, 1e-9);
        assertEquals(recipe.left().get(1).base(), 0.15, 1e-9);
    }

    /** SYSTEMS 9: to a bag 4 to 5 quarts of water and 1 to 4 fl oz of colour; 216 ft² at 1/4 in are ten bags (STANDARDS 11.5). */
    @Test
    public void a_bag_takes_its_water_and_its_colour() {
        Recipe recipe = Recipe.of(
                sheet(BAG),
                new Wanted.Floor(Unit.SQUARE_FOOT.toBase(216), 0),
                Vessel.holding(Unit.GALLON.toBase(10)),
                Measuring.SCALE,
                List.of(),
                US);
        assertEquals(recipe.amount().value(), 10, 1e-9);
        // 10 bags make 4.5 ft³ = 33.66 gal: four vessels of 10 gal
        assertEquals(recipe.fillings().value(), 4);
        assertEquals(recipe.portions().stream().map(Portion::part).toList(), List.of("Water", "Colour", "Powder"));
        assertEquals(part(recipe, "Water").volume().base(), Unit.QUART.toBase(10), 1e-9);
        assertEquals(part(recipe, "Water").most().orElseThrow().base(), Unit.QUART.toBase(12.5), 1e-9);
        assertEquals(part(recipe, "Colour").most().orElseThrow().base(), Unit.FLUID_OUNCE.toBase(10), 1e-9);
        assertEquals(part(recipe, "Powder").volume().value(), 2.5, 1e-9);
        // colour is not weighed, so nothing after it is told by the scale
        assertTrue(part(recipe, "Water").scale().isPresent());
        assertTrue(part(recipe, "Powder").scale().isEmpty());
    }

    @Test
    public void what_is_thrown_is_not_mixed() {
        assertThrows(InvalidInput.class, () -> mixed(Stories.flake(), 5, PAIL, US));
    }

    /** TRADE 6: up to 1 qt of grit in 5 gal. Five and a quarter in all are 5 gal and 1 qt. */
    @Test
    public void grit_is_stirred_in_up_to_its_dose() {
        var sealer = new OnePart(0.9, 0.25, Spread.of(8));
        ProductSheet sheet = sheet(sealer, new Dosing(false, 0, 0.05, 0));
        Recipe recipe = Recipe.of(
                sheet,
                new Wanted.Mixed(Unit.GALLON.toBase(5.25)),
                Vessel.holding(100),
                Measuring.VOLUME,
                List.of(Extra.Grit.of("1 qt/5 gal", 0.05, sheet)),
                US);
        assertEquals(part(recipe, "Grit").volume().base(), Unit.QUART.toBase(1), 1e-9);
        assertEquals(part(recipe, "A").volume().base(), Unit.GALLON.toBase(5), 1e-9);
        var refused = expectThrows(InvalidInput.class, () -> Extra.Grit.of("5 gal/qt", 20, sheet));
        assertTrue(refused.faults().get(0).accepted().contains("the other way round"), refused.getMessage());
        assertThrows(InvalidInput.class, () -> Extra.Grit.of("1:4", 0.25, sheet(sealer)));
    }

    /**
     * STANDARDS 5: 60 % solids at 5 mil, thinned by a tenth: wet 9.167 where it was 8.333, so the spread falls from 192.5 to
     * 175 ft²/gal. STANDARDS 6.1: 80 g/L and a tenth of an 860 g/L thinner are 150.9.
     */
    @Test
    public void thinner_adds_volume_and_no_solids() {
        var film = new OnePart(1, 0.6, Spread.of(Unit.SQUARE_FOOT_PER_GALLON.toBase(192.5)));
        Thinned thin = Thinned.of(film, 80, Thinner.XYLENE, 0.1, US);
        assertEquals(thin.solids().value(), 60 / 1.1, 1e-9);
        assertEquals(Unit.SQUARE_FOOT_PER_GALLON.fromBase(thin.spread().base()), 175, 1e-9);
        assertEquals(Unit.MIL.fromBase(thin.film().base()), 5.0 / 1.1, 1e-3);
        assertEquals(thin.voc().orElseThrow().value(), (80 + 864 * 0.1) / 1.1, 1e-9);
        // the case of STANDARDS 6.1, with its own thinner
        assertEquals((80 + 860 * 0.1) / 1.1, 150.9, 0.05);
        // acetone is left out of the volume by which it is told, and lowers what is in a litre of all of it
        Thinned exempt = Thinned.of(film, 80, Thinner.ACETONE, 0.1, US);
        assertEquals(exempt.voc().orElseThrow().value(), 80, 1e-9);
        assertEquals(exempt.material().orElseThrow().value(), 80 / 1.1, 1e-9);
        // a sheet that is silent of VOC has none told
        assertTrue(Thinned.of(film, 0, Thinner.ACETONE, 0.1, US).voc().isEmpty());
        for (Figure f :
                List.of(thin.solids(), thin.film(), thin.spread(), thin.voc().orElseThrow())) {
            Formula.assertRecomputes(f);
        }
    }

    /** TRADE 6: 10 % sealer in 90 % acetone. */
    @Test
    public void the_preview_is_a_tenth_of_sealer() {
        ProductSheet sheet = sheet(new OnePart(0.9, 0.16, Spread.of(8)), new Dosing(false, 0, 0, 0.1));
        Recipe mist =
                Recipe.of(sheet, new Wanted.Mixed(1), PAIL, Measuring.VOLUME, List.of(Extra.Thin.PREVIEW), METRIC);
        assertEquals(mist.each().base(), 1, 1e-12);
        assertEquals(part(mist, "Acetone").volume().base(), 0.9, 1e-12);
        // a quart in all is 32 fl oz: 3.2 of sealer and 28.8 of acetone
        Recipe quart = Recipe.of(
                sheet, new Wanted.Mixed(Unit.QUART.toBase(1)), PAIL, Measuring.VOLUME, List.of(Extra.Thin.PREVIEW), US);
        assertEquals(Unit.FLUID_OUNCE.fromBase(part(quart, "A").volume().base()), 3.2, 1e-9);
        assertEquals(Unit.FLUID_OUNCE.fromBase(part(quart, "Acetone").volume().base()), 28.8, 1e-9);
        assertEquals(quart.measured(), "1\u00a0qt");
        Formula.assertRecomputes(quart.amount());
        assertTrue(mist.thinned().isEmpty());
        assertEquals(mist.findings().get(0).rule(), "preview-mist");
        // as a thinner it would be refused
        assertThrows(InvalidInput.class, () -> Extra.Thin.of("90 %", Thinner.ACETONE, 9, sheet));
    }

    /**
     * One scoop of a cup to a gallon, 1:16. 2 gal are 32 cups and 1/17 of them powder, 1.88 cups: 2 scoops, into 2 gal of water.
     * 12 gal are 11.29 cups over vessels of 4 gal: 3.76 a vessel, so 4 scoops, but 4 of them make 4.25 gal: four vessels of 3.
     */
    @Test
    public void what_is_let_down_by_the_scoop_is_whole_and_half_ones() {
        ProductSheet antique = sheet(new Concentrate(16, 1.4, 0, Spread.of(4)));
        var pail = new Vessel(Unit.GALLON.toBase(4), 0, 0, Unit.CUP.toBase(1));
        Recipe two = mixed(antique, Unit.GALLON.toBase(2), pail, US);
        assertEquals(part(two, "Concentrate").scoops().orElseThrow().text(), "2\u00a0scoops");
        assertEquals(part(two, "Water").measured(), "2\u00a0gal");
        Recipe twelve = mixed(antique, Unit.GALLON.toBase(12), pail, US);
        assertEquals(twelve.fillings().value(), 4, 0);
        assertEquals(part(twelve, "Concentrate").scoops().orElseThrow().value(), 3, 1e-9);
        var random = new Random(3);
        for (int i = 0; i < 500; i++) {
            double litres = 0.2 + 40 * random.nextDouble();
            Recipe any = mixed(antique, litres, pail, US);
            double scoops = part(any, "Concentrate").scoops().orElseThrow().value();
            assertEquals(2 * scoops, Math.rint(2 * scoops), 1e-9);
            double slack = any.fillings().value() * 0.0051 * 17 * Unit.CUP.toBase(1);
            assertTrue(any.amount().base() >= litres - slack, any.amount() + " for " + litres);
            assertTrue(any.each().base() <= Unit.GALLON.toBase(4) * (1 + 1e-6));
            assertEquals(
                    part(any, "Water").volume().base()
                            / part(any, "Concentrate").volume().base(),
                    16,
                    1e-9);
            Formula.assertRecomputes(any.amount());
            Formula.assertRecomputes(any.fillings());
        }
    }

    /** By hand: 1 pint of 1:7 is 2 fl oz into 14; a scoop of 4 tbsp holds 2 fl oz. */
    @Test
    public void a_scoop_tells_how_many_of_it() {
        double scoop = Unit.TABLESPOON.toBase(4);
        Recipe recipe = mixed(
                sheet(Stories.twoPart(7, 1, 1, 4, TwoPart.First.A)),
                Unit.FLUID_OUNCE.toBase(16),
                new Vessel(20, 0, 0, scoop),
                US);
        assertEquals(part(recipe, "A").scoops().orElseThrow().value(), 7, 1e-9);
        assertEquals(part(recipe, "B").scoops().orElseThrow().value(), 1, 1e-9);
        // nobody knows how a powder lies in a scoop
        Recipe bag = mixed(sheet(BAG), 30, new Vessel(20, 1, 5, scoop), US);
        assertTrue(part(bag, "Powder").scoops().isEmpty());
        assertTrue(part(bag, "Water").scoops().isPresent());
    }

    /** What a floor takes covers that floor, of liquids and of powders, on any texture. */
    @Test
    public void what_a_floor_takes_covers_it() {
        var rough = new Allowance(1.25, 0.08, 0);
        for (Material material : List.of(Stories.twoPart(2, 1.1, 1, 4, TwoPart.First.A), BAG)) {
            ProductSheet sheet = sheet(material);
            Figure takes = TakeOff.of(37, material, rough, METRIC);
            double amount = material instanceof Powder p ? takes.base() / p.bagKg() : takes.base();
            Wanted wanted = material instanceof Powder ? new Wanted.Bags(amount) : new Wanted.Mixed(amount);
            Recipe recipe = Recipe.of(sheet, wanted, Vessel.holding(2000), Measuring.SCALE, List.of(), METRIC);
            assertTrue(recipe.covers().isEmpty());
            Figure covers = recipe.covering(sheet, rough, METRIC).covers().orElseThrow();
            assertEquals(covers.base(), 37, 1e-9);
            Formula.assertRecomputes(covers);
        }
    }

    @Test
    public void the_working_of_every_part_runs() {
        var three = new TwoPart(
                new Liquid.Part("A", 3, 1.1),
                new Liquid.Part("B", 1, 1.15),
                Optional.of(new Liquid.Part("C", 0.5, 0.9)),
                0.4,
                Spread.of(10),
                TwoPart.First.A);
        ProductSheet thinned = sheet(three, new Dosing(false, 5, 0.05, 0.1));
        Recipe recipe = Recipe.of(
                thinned,
                new Wanted.Floor(120, 0.1),
                new Vessel(20, 1.2, 8, 0.1),
                Measuring.SCALE,
                List.of(Extra.Thin.of("5 %", Thinner.XYLENE, 0.05, thinned), Extra.Grit.of("2 %", 0.02, thinned)),
                METRIC);
        assertEquals(recipe.fillings().value(), 3);
        for (Recipe r : List.of(recipe, mixed(sheet(BAG), 30, new Vessel(20, 1, 5, 0), US))) {
            Formula.assertRecomputes(r.fillings());
            Formula.assertRecomputes(r.each());
            for (Portion p : r.portions()) {
                Formula.assertRecomputes(p.volume());
                p.mass().ifPresent(Formula::assertRecomputes);
                p.scale().ifPresent(Formula::assertRecomputes);
                p.line().ifPresent(Formula::assertRecomputes);
                p.scoops().ifPresent(Formula::assertRecomputes);
                p.within().ifPresent(w -> {
                    Formula.assertRecomputes(w.from());
                    Formula.assertRecomputes(w.to());
                });
            }
        }
        double poured =
                recipe.portions().stream().mapToDouble(p -> p.volume().base()).sum();
        assertEquals(poured, recipe.each().base(), 1e-9);
        assertFalse(recipe.findings().isEmpty());
    }
}
