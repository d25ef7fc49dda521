package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.air.SlabHistory;
import openslab.core.course.Course;
import openslab.core.course.Deed;
import openslab.core.course.Extent;
import openslab.core.course.Gate;
import openslab.core.course.Progress;
import openslab.core.course.Step;
import openslab.core.course.Wait;
import openslab.core.floor.Use;
import openslab.core.job.BuildUpGuard;
import openslab.core.job.Conduct;
import openslab.core.job.LayerChoice;
import openslab.core.job.LayerMoisture;
import openslab.core.job.LayerReport;
import openslab.core.job.LogEntry;
import openslab.core.job.LogGuard;
import openslab.core.job.Mark;
import openslab.core.mix.Allowance;
import openslab.core.mix.TakeOff;
import openslab.core.mix.Used;
import openslab.core.product.Broadcast;
import openslab.core.product.Chemistry;
import openslab.core.product.Clock;
import openslab.core.product.Concentrate;
import openslab.core.product.Exposure;
import openslab.core.product.Laid;
import openslab.core.product.LayerRole;
import openslab.core.product.Liquid;
import openslab.core.product.Powder;
import openslab.core.product.ProductSheet;
import openslab.core.product.Spread;
import openslab.core.product.Stain;
import openslab.core.quantity.Field;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.core.system.Film;
import openslab.core.system.LayGates;
import openslab.core.system.LayStep;
import openslab.core.system.LayUp;
import openslab.core.system.LayWait;
import openslab.core.system.LayWorks;
import openslab.core.system.LayerChecks;
import openslab.core.system.Way;
import openslab.core.system.Ways;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** How layers are laid: materials and their numbers, ways as courses, what may be changed, and what is told of it. */
public class LayingTest {
    private static final UnitSystem METRIC = UnitSystem.METRIC;

    private static Stories ready() {
        return new Stories().surveyed().ground();
    }

    private static LayerReport layer(openslab.core.job.ZoneReport report, String id) {
        return report.layers().stream()
                .filter(l -> l.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** SYSTEMS 9: yield = bag volume / depth. A bag of 0.45 ft³ at 1/4 in covers 21.6 ft² (STANDARDS 11.5). */
    @Test
    public void a_bag_covers_what_its_yield_over_the_depth_is() {
        double bagL = 0.45 * Math.pow(0.3048, 3) * 1000;
        var powder =
                new Powder(Unit.POUND.toBase(50), bagL, 4, 5, 0, 0.1, Unit.INCH.toBase(0.25), Unit.INCH.toBase(0.5));
        assertEquals(Unit.SQUARE_FOOT.fromBase(powder.bagM2()), 21.6, 1e-9);
        // 216 ft² are ten bags, and a tenth on top
        double m2 = Unit.SQUARE_FOOT.toBase(216);
        assertEquals(
                Unit.POUND.fromBase(
                        TakeOff.of(m2, powder, Allowance.of(0.1), METRIC).value()),
                550,
                1e-6);
        assertEquals(Film.of(powder, METRIC).orElseThrow().value(), 6350, 1e-6);
        assertThrows(IllegalArgumentException.class, () -> powder.at(Unit.INCH.toBase(0.75)));
    }

    /** SYSTEMS 6: 3 water : 1, so a quarter of what is spread is concentrate. Water goes in first. */
    @Test
    public void a_concentrate_is_let_down_whole() {
        var stain = new Concentrate(3, 1.05, 0, Spread.of(5));
        assertEquals(stain.packedShare(), 0.25, 1e-12);
        assertEquals(stain.pouring().get(0).name(), "Water");
        assertFalse(stain.isFilm());
        assertTrue(Film.of(stain, METRIC).isEmpty());
    }

    @Test
    public void a_reducer_is_a_third_part_of_the_whole() {
        var three = new openslab.core.product.TwoPart(
                new Liquid.Part("A", 3, 1.1),
                new Liquid.Part("B", 1, 1.0),
                Optional.of(new Liquid.Part("C", 0.5, 0.9)),
                0.4,
                Spread.of(10),
                openslab.core.product.TwoPart.First.B);
        assertEquals(three.allParts(), 4.5, 1e-12);
        assertEquals(three.pouring().stream().map(Liquid.Part::name).toList(), List.of("B", "A", "C"));
    }

    @Test
    public void what_is_thrown_is_weighed_against_the_plan() {
        var flake = new Broadcast(0.6, true, List.of());
        var planned = TakeOff.of(80, flake, Allowance.of(0.1), METRIC);
        // 52.8 kg planned; 24 kg over 30 m² are 0.8 kg/m²: the other 50 m² take 40, and 28.8 are left
        Used used = Used.of(
                        List.of(new Used.Batch(new Laid(24), new Laid(0), 30)),
                        new Used.Plan(planned, 0.66, 80, false, flake),
                        METRIC)
                .orElseThrow();
        assertEquals(used.rate().value(), 0.8, 1e-12);
        assertEquals(used.left().value(), 28.8, 1e-9);
        assertEquals(used.rest().value(), 40, 1e-9);
        assertFalse(used.reaches());
    }

    @Test
    public void a_rate_of_ones_own_makes_another_film_and_another_amount() {
        var sheet = Stories.liquid("Body", LayerRole.BODY, 4, Map.of());
        LayerChoice usual = LayerChoice.of("body", sheet, Optional.empty());
        var thin = new LayerChoice(
                "body",
                "Body coat",
                LayerRole.BODY,
                sheet,
                Ways.usual(sheet),
                Optional.of(new Value("8 m²/L", 8)),
                Optional.of(new Value("5 %", 5)),
                Optional.empty());
        var first = layer(ready().layers(List.of(usual)).at(11), "body");
        var second = layer(ready().layers(List.of(thin)).at(11), "body");
        assertEquals(
                second.dry().orElseThrow().value(), first.dry().orElseThrow().value() / 2, 1e-9);
        // 80 m² at 8 m²/L are 10 L; a tenth and a twentieth on top
        assertEquals(second.amount().value(), 11.5, 1e-9);
    }

    @Test
    public void words_are_kept_up_to_their_length() {
        Field name = Field.words("with", "Agreed with", 12, "");
        assertEquals(name.parse("with", "  Mara   Quay ", METRIC).typed(), "Mara Quay");
        assertThrows(InvalidInput.class, () -> name.parse("with", "  ", METRIC));
        assertThrows(InvalidInput.class, () -> name.parse("with", "thirteen long", METRIC));
    }

    @Test
    public void putting_it_on_proves_what_went_before() {
        var report = ready().coat(11, "primer").at(11.5);
        for (var step : layer(report, "primer").steps()) {
            assertEquals(step.progress(), Progress.DONE, step.id());
        }
        assertEquals(layer(report, "primer").mark(), Mark.WET);
        assertEquals(layer(report, "body").mark(), Mark.NOT_STARTED);
    }

    private static List<Field> coat() {
        return LogEntry.coatFields(Stories.twoPart(2, 1, 1, 4, openslab.core.product.TwoPart.First.A));
    }

    @Test
    public void half_a_floor_is_no_coat() {
        var story = ready().entry(LogEntry.Kind.COAT, "primer", "", 11, coat(), "amount=40 m²");
        assertEquals(layer(story.at(11.5), "primer").mark(), Mark.IN_HAND);
        assertTrue(layer(story.at(11.5), "primer").started() != LayerReport.Started.COATED);
        story.entry(LogEntry.Kind.COAT, "primer", "", 12, coat(), "amount=40 m²");
        assertEquals(layer(story.at(12.5), "primer").mark(), Mark.WET);
    }

    /** A way with something to settle, a coat, a look that repeats it, and a wait. */
    private static Way looked() {
        LayStep coat = new LayStep(
                LayWorks.ROLL_THIN,
                "",
                "Roll",
                "Roll it.",
                "It has to be on.",
                List.of(),
                Optional.empty(),
                LayWait.NONE,
                List.of(),
                true);
        LayStep look = new LayStep(
                LayWorks.LOOK,
                "",
                "Look",
                "Look at it.",
                "What shows now shows for good.",
                List.of(),
                LayGates.find("hides"),
                LayWait.NONE,
                List.of("roll-thin"),
                false);
        return new Way("looked", List.of(LayStep.settle("", "Colour agreed", "It never comes off."), coat, look));
    }

    private static List<LayerChoice> twoCoats() {
        var sheet = Stories.liquid("Body", LayerRole.BODY, 4, Map.of());
        return List.of(
                new LayerChoice(
                        "one",
                        "One",
                        LayerRole.BODY,
                        sheet,
                        looked(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()),
                LayerChoice.of("two", sheet, Optional.empty()));
    }

    private static List<String> rules(List<openslab.core.survey.Finding> findings) {
        return findings.stream().map(openslab.core.survey.Finding::rule).toList();
    }

    @Test
    public void what_cannot_be_undone_is_settled_first() {
        var story = ready().layers(twoCoats());
        assertTrue(rules(layer(story.at(11), "one").against()).contains("coat-before-its-gate"));
        story.gate(11, "one/settled", "settled=no with=Mara");
        assertTrue(rules(layer(story.at(11.2), "one").against()).contains("coat-before-its-gate"));
        story.gate(11.3, "one/settled", "settled=yes with=Mara");
        assertFalse(rules(layer(story.at(11.4), "one").against()).contains("coat-before-its-gate"));
    }

    @Test
    public void a_gate_that_fails_has_the_coat_laid_again_and_holds_the_next() {
        var story = ready().layers(twoCoats());
        story.gate(11, "one/settled", "settled=yes with=Mara").coat(11.5, "one").gate(24, "one/hides", "hides=shows");
        assertEquals(layer(story.at(24.5), "one").mark(), Mark.HOLD);
        assertTrue(rules(layer(story.at(24.5), "two").against()).isEmpty());
        story.coat(25, "one");
        assertTrue(rules(layer(story.at(37), "two").against()).contains("coat-on-unfinished"));
        story.gate(37, "one/hides", "hides=hides");
        assertEquals(layer(story.at(37.5), "one").mark(), Mark.WINDOW_OPEN);
        assertFalse(rules(layer(story.at(37.5), "two").against()).contains("coat-on-unfinished"));
    }

    @Test
    public void what_was_begun_stays_as_it_was_begun() {
        var story = ready().coat(11, "primer");
        var facts = story.facts();
        List<LayerChoice> was = facts.layers();
        BuildUpGuard.require(facts, was);
        var without = new ArrayList<>(was);
        LayerChoice primer = without.remove(0);
        assertThrows(InvalidInput.class, () -> BuildUpGuard.require(facts, without));
        var other = new ArrayList<>(was);
        other.set(
                0, LayerChoice.of("primer", Stories.liquid("Other", LayerRole.PRIMER, 9, Map.of()), Optional.empty()));
        assertThrows(InvalidInput.class, () -> BuildUpGuard.require(facts, other));
        var under = new ArrayList<>(was);
        under.add(0, LayerChoice.of("under", Stories.flake(), Optional.empty()));
        assertThrows(InvalidInput.class, () -> BuildUpGuard.require(facts, under));
        var twice = new ArrayList<>(was);
        twice.add(primer);
        assertThrows(InvalidInput.class, () -> BuildUpGuard.require(facts, twice));
        var more = new ArrayList<>(was);
        more.add(LayerChoice.of("over", Stories.liquid("Over", LayerRole.CLEAR, 9, Map.of()), Optional.empty()));
        BuildUpGuard.require(facts, more);
    }

    /** SYSTEMS 9: stamping, 3 to 5 h after placing at 50 °F, 15 to 30 min at 80 °F. Between them log(time) over temperature. */
    @Test
    public void a_window_opens_and_closes_by_the_slab() {
        double c50 = Unit.FAHRENHEIT.toBase(50);
        double c80 = Unit.FAHRENHEIT.toBase(80);
        Wait window = new LayWait.Window(
                        Stories.curve(c50, 180, c80, 15), Stories.curve(c50, 300, c80, 30), "a hand only just dents it")
                .of(Stories.flake());
        double c65 = Unit.FAHRENHEIT.toBase(65);
        var slab = new SlabHistory(List.of(new SlabHistory.Read(Stories.START, c65)));
        Wait.Timer timer = window.from(Stories.START, slab);
        // half way: 180 · (15/180)^0.5 = 51.96 min, 300 · 0.1^0.5 = 94.87 min
        assertEquals(
                (timer.ready().orElseThrow().toEpochMilli() - Stories.START.toEpochMilli()) / 60_000.0, 51.96, 0.01);
        assertEquals(
                (timer.closes().orElseThrow().toEpochMilli() - Stories.START.toEpochMilli()) / 60_000.0, 94.87, 0.01);
        var cold = new SlabHistory(List.of(new SlabHistory.Read(Stories.START, 2)));
        assertTrue(window.from(Stories.START, cold).ready().isEmpty());
    }

    /** Placed at 11 h on 20 °C: 20 °C is 0.6 of the way from 10 °C to 80 °F, so 180 · (15/180)^0.6 = 40.5 min open it and 300 · 0.1^0.6 = 75.4 close it. */
    @Test
    public void what_is_stamped_after_its_window_is_told() {
        LayStep place = step(LayWorks.PLACE, LayWait.NONE, Optional.empty(), true);
        var curves = new LayWait.Window(
                Stories.curve(10, 180, Unit.FAHRENHEIT.toBase(80), 15),
                Stories.curve(10, 300, Unit.FAHRENHEIT.toBase(80), 30),
                "a hand only just dents it");
        LayStep watch = step(LayWorks.WATCH, curves, LayGates.find("dents"), false);
        LayStep stamp = step(LayWorks.STAMP, LayWait.NONE, LayGates.find("prints"), false);
        var sheet = Stories.of(new Powder(22, 12, 4, 5, 0, 0, 0.006, 0.012), Chemistry.CEMENT);
        var overlay = new LayerChoice(
                "overlay",
                "Overlay",
                LayerRole.OVERLAY,
                sheet,
                new Way("stamped", List.of(place, watch, stamp)),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        for (double minutes : new double[] {70, 80}) {
            var story = ready().slab(20)
                    .layers(List.of(overlay))
                    .coat(11, "overlay")
                    .gate(11.7, "overlay/dents", "dents=dents");
            story.entry(LogEntry.Kind.DONE, "overlay/stamp", "", 11 + minutes / 60, List.of(), "");
            boolean late = minutes > 75.4;
            assertEquals(
                    story.at(13).conduct().stream()
                            .filter(c -> c.subject().equals("overlay/stamp"))
                            .flatMap(c -> rules(c.findings()).stream())
                            .anyMatch("after-its-window"::equals),
                    late,
                    minutes + " min");
        }
    }

    private static LayStep step(
            openslab.core.course.work.Work work,
            LayWait waits,
            Optional<openslab.core.course.Gate> gate,
            boolean coat) {
        return new LayStep(work, "", work.title(), "Do it.", "It is so.", List.of(), gate, waits, List.of(), coat);
    }

    /** Out of doors a sheet's word on rain is a clock like the others; indoors nobody asks. */
    @Test
    public void rain_is_a_clock_where_it_rains() {
        var liquid = Stories.liquid("Clear", LayerRole.CLEAR, 5, Map.of());
        var handling = new openslab.core.product.Handling(
                0, 0, 0, "", List.of(), openslab.core.product.Fan.UNSAID, 360, 0, openslab.core.product.Dosing.SILENT);
        var sheet = new ProductSheet(
                liquid.slug(),
                liquid.name(),
                liquid.role(),
                liquid.material(),
                liquid.limits(),
                liquid.clocks(),
                liquid.kits(),
                liquid.resealYears(),
                liquid.traits(),
                handling,
                liquid.advice());
        for (var exposure : List.of(Exposure.SUN, Exposure.INDOORS)) {
            var story = ready().used(Use.PATIO, exposure)
                    .layers(List.of(LayerChoice.of("clear", sheet, Optional.empty())))
                    .coat(11, "clear");
            Optional<Instant> rain = layer(story.at(12), "clear").at(Clock.RAIN);
            assertEquals(rain, exposure == Exposure.SUN ? Optional.of(Stories.moment(17)) : Optional.empty());
        }
    }

    @DataProvider
    Object[][] materials() {
        return new Object[][] {
            {Stories.liquid("Body", LayerRole.BODY, 4, Map.of())},
            {Stories.flake()},
            {Stories.of(new Stain(1.2, Spread.of(5), 180, 480, 600), Chemistry.ACID_STAIN)},
            {Stories.of(new Concentrate(3, 1, 0.1, Spread.of(5)), Chemistry.WATER_STAIN)},
            {Stories.of(new openslab.core.product.OnePart(1, 0.3, Spread.of(8)), Chemistry.SOLVENT_ACRYLIC)},
            {Stories.of(new openslab.core.product.Finish(1, 0.2, Spread.of(40)), Chemistry.WAX)},
            {
                Stories.of(
                        new openslab.core.product.Dye(0.8, openslab.core.product.Dye.Solvent.ACETONE, Spread.of(8)),
                        Chemistry.SOLVENT_DYE)
            },
            {Stories.of(new Powder(22, 12, 4, 5, 0, 0, 0.006, 0.012), Chemistry.CEMENT)}
        };
    }

    /** Whatever it is, it has a way, tools for each step, and a report that nothing throws in. */
    @Test(dataProvider = "materials")
    public void every_material_is_laid_somehow(ProductSheet sheet) {
        Way way = Ways.usual(sheet);
        assertFalse(way.coat().harms().isEmpty());
        for (Step step : LayUp.steps("x", way, sheet)) {
            assertTrue(step.id().startsWith("x/"));
            assertFalse(step.why().isBlank() || step.does().isBlank());
        }
        var story = ready().layers(List.of(LayerChoice.of("x", sheet, Optional.empty())))
                .coat(11, "x");
        assertTrue(layer(story.at(11.1), "x").amount().value() > 0);
    }

    /** Every gate of laying passes with one answer and fails with another. */
    @Test
    public void every_gate_can_pass_and_fail() {
        for (String id : LayGates.ids()) {
            Gate gate = LayGates.find(id)
                    .orElseGet(() -> id.equals(LayGates.DRY) ? LayGates.dry(24, true) : LayGates.settled("It"));
            boolean passed = false;
            boolean failed = false;
            for (Map<String, Value> answer : answers(gate.fields(), Map.of())) {
                passed |= gate.passes().test(answer);
                failed |= !gate.passes().test(answer);
            }
            assertTrue(passed && failed, id);
        }
    }

    private static List<Map<String, Value>> answers(List<Field> fields, Map<String, Value> so) {
        if (fields.isEmpty()) {
            return List.of(so);
        }
        Field first = fields.get(0);
        List<Value> values = first.words()
                ? List.of(new Value("Mara", 0))
                : first.choices().isEmpty()
                        ? List.of(new Value("0", 0), new Value("48 h", Unit.HOUR.toBase(48)))
                        : first.choices().stream()
                                .map(c -> new Value(c.id(), 0))
                                .toList();
        var all = new ArrayList<Map<String, Value>>();
        for (Value v : values) {
            var next = new java.util.HashMap<>(so);
            next.put(first.id(), v);
            all.addAll(answers(fields.subList(1, fields.size()), next));
        }
        return all;
    }

    @Test
    public void a_step_of_another_layer_is_refused_and_an_early_one_asks_why() {
        var story = ready().layers(twoCoats());
        var facts = story.facts();
        var strange =
                new LogEntry("k", LogEntry.Kind.DONE, "one/spray-stain", "", Stories.moment(11), "Wren", "", Map.of());
        assertThrows(InvalidInput.class, () -> LogGuard.take(facts, strange, METRIC));
        var early = new LogEntry(
                "k",
                LogEntry.Kind.GATE,
                "one/hides",
                "",
                Stories.moment(11),
                "Wren",
                "",
                Map.of("hides", new Value("hides", 0)));
        assertThrows(InvalidInput.class, () -> LogGuard.take(facts, early, METRIC));
    }

    @Test
    public void a_batch_is_held_to_the_range_of_its_sheet() {
        var sheet =
                Stories.of(new openslab.core.product.OnePart(1, 0.3, new Spread(7, 8, 9.5)), Chemistry.WATER_ACRYLIC);
        var layers = List.of(LayerChoice.of("seal", sheet, Optional.empty()));
        var inside = ready().layers(layers)
                .batch(11, "seal", "volume=5 L area=47 m²")
                .at(12);
        assertFalse(told(inside).contains("batch-off-its-rate"));
        var thin = ready().layers(layers)
                .batch(11, "seal", "volume=5 L area=48 m²")
                .at(12);
        assertTrue(told(thin).contains("batch-off-its-rate"));
    }

    private static List<String> told(openslab.core.job.ZoneReport report) {
        return report.conduct().stream()
                .map(Conduct.Stood::findings)
                .flatMap(f -> rules(f).stream())
                .toList();
    }

    @Test
    public void a_deed_of_a_course_by_its_layer_is_read_in_order() {
        var sheet = Stories.liquid("Body", LayerRole.BODY, 4, Map.of());
        List<Step> steps = LayUp.steps("one", looked(), sheet);
        var course = Course.of(
                steps,
                List.of(new Deed("a", Deed.Kind.DONE, "one/roll-thin", Stories.START, "Wren", "", Map.of())),
                new Extent(80, 36),
                new SlabHistory(List.of()));
        assertEquals(course.misfits().size(), 1);
        assertEquals(course.misfits().get(0).kind(), Course.Misfit.Kind.EARLY);
    }

    /** 80 % in the slab: each coat that takes less says so itself; over a barrier that shields, none does. */
    @Test
    public void moisture_is_held_against_each_layer_by_itself() {
        Stories wet = new Stories()
                .surveyed()
                .reading(3, "in-slab-rh", "A", "rh=80 % depth=40 mm thickness=100 mm drying=one wait=24 h");
        List<LayerChecks.LayerCheck> told = LayerMoisture.of(wet.facts(), UnitSystem.METRIC, Stories.moment(4));
        assertEquals(
                told.stream().map(c -> c.layer() + " " + c.rule()).toList(),
                List.of("primer in-slab-rh", "body in-slab-rh", "clear in-slab-rh"));
        assertTrue(told.get(0).words().contains("80"), told.get(0).words());
        assertEquals(
                LayerMoisture.of(new Stories().surveyed().facts(), UnitSystem.METRIC, Stories.moment(4)), List.of());
    }
}
