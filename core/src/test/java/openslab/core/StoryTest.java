package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import openslab.core.air.Daylight;
import openslab.core.air.Location;
import openslab.core.air.SunDay;
import openslab.core.floor.Ell;
import openslab.core.floor.Outline;
import openslab.core.floor.Rectangle;
import openslab.core.floor.Shapes;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.floor.plan.Doubt;
import openslab.core.job.LayerChoice;
import openslab.core.job.LayerReport;
import openslab.core.job.LogEntry;
import openslab.core.job.Mark;
import openslab.core.job.RunningClock;
import openslab.core.job.Stratum;
import openslab.core.job.ZoneFields;
import openslab.core.job.ZoneReport;
import openslab.core.product.Advice;
import openslab.core.product.Clock;
import openslab.core.product.Exposure;
import openslab.core.product.Handling;
import openslab.core.product.LayerRole;
import openslab.core.product.ProductSheet;
import openslab.core.product.TemperatureCurve;
import openslab.core.product.Traits;
import openslab.core.quantity.Field;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Verdict;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What must hold of any story, and the corners of a few. */
public class StoryTest {
    private static final double PRIMER = 10;

    private static Stories ready() {
        return new Stories().surveyed().ground();
    }

    @Test
    public void the_same_facts_at_the_same_moment_give_the_same_report() {
        var facts = ready().coat(PRIMER, "primer").facts();
        var once = ZoneReport.of(facts, UnitSystem.US, Stories.WHERE, Stories.moment(20));
        assertEquals(ZoneReport.of(facts, UnitSystem.US, Stories.WHERE, Stories.moment(20)), once);
    }

    /** Kept until something turns: whatever moment it is looked at before that, working it out anew gives the same. */
    @Test
    public void a_head_stays_as_it_is_until_something_turns() {
        var random = new Random(17);
        int kept = 0;
        for (int round = 0; round < 300; round++) {
            var story = random.nextBoolean() ? ready() : new Stories().surveyed();
            for (int i = random.nextInt(8); i > 0; i--) {
                double at = random.nextInt(60) / (random.nextBoolean() ? 1.0 : 7.0);
                switch (random.nextInt(6)) {
                    case 0 ->
                        story.coat(
                                at, List.of("primer", "body", "flake", "clear").get(random.nextInt(4)));
                    case 1 ->
                        story.reading(
                                at, "climate", "whole floor", "air=21 °C rh=50 % slab=" + random.nextInt(30) + " °C");
                    case 2 -> story.set(at, "calcium-chloride", "D");
                    case 3 ->
                        story.reading(at, "concrete-age", "whole floor", "age=" + (1 + random.nextInt(40)) + " d");
                    case 4 -> story.begun(at, "sweep");
                    default -> story.gate(at, "profile", "csp=" + (1 + random.nextInt(5)));
                }
            }
            var facts = story.facts();
            Instant now = Stories.moment(random.nextInt(24 * 60) / 5.0);
            var report = ZoneReport.of(facts, UnitSystem.US, Stories.WHERE, now);
            Instant until = report.headHolds(now);
            long ahead = until.equals(Instant.MAX)
                    ? 400L * 86_400
                    : Duration.between(now, until).toSeconds();
            if (ahead > 0) {
                kept++;
                for (long later : new long[] {(long) (random.nextDouble() * ahead), ahead - 1}) {
                    Instant then = now.plusSeconds(later);
                    assertEquals(
                            ZoneReport.of(facts, UnitSystem.US, Stories.WHERE, then)
                                    .head(),
                            report.head(),
                            now + " to " + until + " at " + then);
                }
            }
        }
        assertTrue(kept > 250, kept + " of 300 are kept at all");
    }

    @Test
    public void units_change_what_is_read_and_never_what_is_so() {
        var facts = ready().coat(PRIMER, "primer").facts();
        var us = ZoneReport.of(facts, UnitSystem.US, Stories.WHERE, Stories.moment(12));
        var metric = ZoneReport.of(facts, UnitSystem.METRIC, Stories.WHERE, Stories.moment(12));
        assertEquals(us.survey().verdict(), metric.survey().verdict());
        assertEquals(us.area().base(), metric.area().base());
        assertEquals(us.clocks(), metric.clocks());
        assertEquals(us.area().text(), "861\u00a0ft²");
        assertEquals(metric.area().text(), "80.0\u00a0m²");
    }

    @Test
    public void no_reading_ever_makes_a_bad_floor_better_than_nothing() {
        // whatever is read, in whatever order, GO needs every required count
        var random = new Random(11);
        var full = new ArrayList<>(new Stories().surveyed().facts().log());
        for (int round = 0; round < 60; round++) {
            Collections.shuffle(full, random);
            var some = full.subList(0, random.nextInt(full.size()));
            var facts = new Stories().facts();
            var partial = new openslab.core.job.ZoneFacts(
                    facts.id(),
                    facts.name(),
                    facts.shape(),
                    facts.plan(),
                    facts.substrate(),
                    facts.use(),
                    facts.exposure(),
                    facts.site(),
                    facts.settings(),
                    facts.cycles(),
                    some);
            var judged = ZoneReport.of(partial, UnitSystem.US, Stories.WHERE, Stories.moment(2))
                    .survey();
            assertEquals(judged.verdict(), Verdict.HOLD, some.size() + " of " + full.size() + " readings");
        }
    }

    @Test
    public void striking_everything_leaves_a_bare_floor() {
        var story = ready().coat(PRIMER, "primer");
        for (LogEntry entry : List.copyOf(story.facts().log())) {
            story.strike(11, entry);
        }
        assertTrue(LogEntry.unstruck(story.facts().log()).isEmpty());
        var bare = new Stories().at(12);
        var report = story.at(12);
        assertEquals(report.survey(), bare.survey());
        assertEquals(report.strata(), bare.strata());
        assertEquals(report.next(), bare.next());
    }

    @Test
    public void marks_only_climb_as_time_goes_by() {
        var story = ready().coat(PRIMER, "primer")
                .coat(22, "body")
                .coat(22, "flake")
                .coat(36, "clear");
        List<Mark> seen = new ArrayList<>();
        for (double h = 36; h < 36 + 300; h += 3) {
            Mark mark = story.at(h).layers().get(3).mark();
            if (seen.isEmpty() || seen.get(seen.size() - 1) != mark) {
                seen.add(mark);
            }
        }
        assertEquals(seen, List.of(Mark.WET, Mark.CURING, Mark.DONE));
    }

    @Test
    public void a_wet_layer_shows_through_the_flake_in_it() {
        var report = ready().coat(PRIMER, "primer")
                .coat(22, "body")
                .coat(22.2, "flake")
                .at(23);
        assertEquals(report.layers().get(1).mark(), Mark.WET);
        assertEquals(report.layers().get(2).mark(), Mark.WET);
        assertEquals(
                ready().coat(PRIMER, "primer")
                        .coat(22, "body")
                        .at(23)
                        .layers()
                        .get(2)
                        .mark(),
                Mark.NOT_STARTED);
    }

    @Test
    public void the_day_line_shows_what_runs_and_leaves_out_what_is_over() {
        var report = ready().coat(PRIMER, "primer").coat(22, "body").at(23);
        List<String> labels = report.clocks().stream().map(RunningClock::label).toList();
        assertFalse(labels.contains("primer recoat window"), "the body coat is on it");
        assertTrue(
                labels.containsAll(List.of("body coat too wet to recoat", "body coat recoat window", "until vehicles")),
                labels.toString());
        RunningClock wet = report.clocks().stream()
                .filter(c -> c.label().equals("body coat too wet to recoat"))
                .findFirst()
                .orElseThrow();
        assertEquals(wet.from(), Stories.moment(22));
        assertEquals(wet.to(), Stories.moment(32));
        assertFalse(wet.planned());
        RunningClock later = report.clocks().stream()
                .filter(c -> c.label().equals("until vehicles"))
                .findFirst()
                .orElseThrow();
        assertTrue(later.planned(), "the clear coat is not on yet");
        assertEquals(later.from(), Stories.moment(32));
        report.clocks().forEach(c -> assertFalse(c.to().isBefore(c.from()), c.toString()));
    }

    @Test
    public void waits_of_the_survey_stand_on_the_day_line() {
        var report = new Stories()
                .reading(2, "plastic-sheet", "A", "hours=10 h under=dry")
                .at(3);
        RunningClock wait = report.clocks().get(0);
        assertEquals(wait.label(), "sheet at A lifted too early");
        assertEquals(wait.from(), Stories.moment(2));
        assertEquals(wait.to(), Stories.moment(8));
    }

    @Test
    public void the_rack_puts_first_what_turns_today() {
        var stop = next("oil", Optional.empty(), Mark.STOP, RunningClock.Urgency.ACT);
        var go = next("grind", Optional.empty(), Mark.GO, RunningClock.Urgency.ACT);
        var missed = next("missed", Optional.of(Stories.moment(-900)), Mark.OVERDUE, RunningClock.Urgency.ACT);
        var closing = next("closes", Optional.of(Stories.moment(2)), Mark.WINDOW_OPEN, RunningClock.Urgency.SOON);
        var wet = next("opens", Optional.of(Stories.moment(5)), Mark.WET, RunningClock.Urgency.SOON);
        var late = next("reseal", Optional.of(Stories.moment(9000)), Mark.GO, RunningClock.Urgency.LATER);
        var rests = next("in service", Optional.empty(), Mark.GO, RunningClock.Urgency.RESTS);
        var rack = new ArrayList<>(List.of(rests, late, go, wet, stop, closing, missed));
        rack.sort(RunningClock.Next.FIRST);
        assertEquals(rack, List.of(closing, wet, missed, stop, go, late, rests));
    }

    private static RunningClock.Next next(String label, Optional<Instant> at, Mark mark, RunningClock.Urgency urgency) {
        return new RunningClock.Next(label, at, mark, mark.word(), urgency, "");
    }

    /** A floor without an interval rests behind every clock that runs, a window that closes stands before an idle hold. */
    @Test
    public void a_floor_without_a_day_to_reseal_rests() {
        var full = Stories.liquid("Clear", LayerRole.CLEAR, 5, Map.of());
        var resting = ready().layers(List.of(Stories.layer("clear", full)))
                .coat(PRIMER, "clear")
                .at(PRIMER + 24 * 30);
        assertEquals(resting.next().urgency(), RunningClock.Urgency.RESTS);
        var idle = new Stories().at(0);
        assertEquals(idle.next().urgency(), RunningClock.Urgency.ACT);
        var closing = ready().coat(PRIMER, "primer").at(PRIMER + 12);
        assertEquals(closing.next().mark(), Mark.WINDOW_OPEN);
        var rack = new ArrayList<>(List.of(resting.next(), idle.next(), closing.next()));
        rack.sort(RunningClock.Next.FIRST);
        assertEquals(rack, List.of(closing.next(), idle.next(), resting.next()));
    }

    /** NREL's example place and day (Reda and Andreas 2003, from memory): sunrise 06:12:43; noon by halves of the day. */
    @Test
    public void the_sun_rises_where_the_floor_is() {
        var golden = new Location.Position(39.742476, -105.1786);
        SunDay sun = SunDay.of(golden, java.time.ZoneId.of("-07:00"), java.time.LocalDate.of(2003, 10, 17));
        assertNear(sun.rise().orElseThrow(), "2003-10-17T13:12:43Z", 89);
        // worked independently for that evening (STANDARDS 12.1): 17:18:52
        assertNear(sun.set().orElseThrow(), "2003-10-18T00:18:52Z", 89);
        assertNear(sun.noon(), "2003-10-17T18:45:50Z", 119);
        var polar = new Location.Position(80, 20);
        assertTrue(SunDay.of(polar, java.time.ZoneId.of("UTC"), java.time.LocalDate.of(2026, 12, 21))
                .rise()
                .isEmpty());
        // nor does it set there in June: a slab warms from the day's beginning
        SunDay summer = SunDay.of(polar, java.time.ZoneId.of("UTC"), java.time.LocalDate.of(2026, 6, 21));
        assertEquals(summer.rise().orElseThrow(), Instant.parse("2026-06-21T00:00:00Z"));
        assertTrue(summer.set().isEmpty());
    }

    /** Days and nights take turns; a night that does not fall is one long day, and one that does not end has none. */
    @Test
    public void daylight_is_from_sunrise_to_sunset() {
        Instant now = Instant.parse("2003-10-17T20:00:00Z");
        var golden = Location.of(java.time.ZoneId.of("-07:00"), 39.742476, -105.1786);
        List<Daylight> days = Daylight.around(golden, now);
        assertEquals(days.size(), 4);
        assertNear(days.get(1).rise(), "2003-10-17T13:12:43Z", 89);
        assertNear(days.get(1).set(), "2003-10-18T00:18:52Z", 89);
        for (int i = 1; i < days.size(); i++) {
            assertTrue(days.get(i).rise().isAfter(days.get(i - 1).set()), days.toString());
        }
        var utc = java.time.ZoneId.of("UTC");
        List<Daylight> summer = Daylight.around(Location.of(utc, 80, 20), Instant.parse("2026-06-21T12:00:00Z"));
        assertEquals(summer.get(0).rise(), Instant.parse("2026-06-20T00:00:00Z"));
        assertEquals(summer.get(3).set(), Instant.parse("2026-06-24T00:00:00Z"));
        assertEquals(Daylight.around(Location.of(utc, 80, 20), Instant.parse("2026-12-21T12:00:00Z")), List.of());
        assertEquals(Daylight.around(new Location(utc, java.util.Optional.empty()), now), List.of());
        // the sun that went down after midnight belongs to the night's own day: 66.5 N on the last days it sets in June
        List<Daylight> late = Daylight.around(Location.of(utc, 65.7, -24.1), Instant.parse("2026-06-21T12:00:00Z"));
        for (Daylight spell : late) {
            assertTrue(spell.set().isAfter(spell.rise()), late.toString());
        }
        assertTrue(late.size() > 4, late.toString());
    }

    /** How exactly the almanac is met: nothing that a clock here measures. */
    private static void assertNear(Instant reckoned, String almanac, int mostApart) {
        long apart = Math.abs(
                java.time.Duration.between(reckoned, Instant.parse(almanac)).toSeconds());
        assertTrue(apart <= mostApart, reckoned + " for " + almanac);
    }

    /** The story begins at 08:00Z, 05:00 in the morning there; primer at +5 h is at 10:00 by the wall, the sun is up. */
    @Test
    public void a_coat_outdoors_is_not_begun_on_a_warming_slab() {
        var morning = planned(5).used(Use.PATIO, Exposure.SUN).at(2).layers().get(0);
        assertEquals(morning.findings().get(0).verdict(), Verdict.WATCH);
        assertTrue(
                morning.findings().get(0).measured().contains("10:00"),
                morning.findings().toString());
        assertTrue(planned(5).at(2).layers().get(0).findings().isEmpty(), "indoors no sun reaches it");
        assertTrue(
                planned(14)
                        .used(Use.PATIO, Exposure.SUN)
                        .at(2)
                        .layers()
                        .get(0)
                        .findings()
                        .isEmpty(),
                "evening");
    }

    private static Stories planned(double hours) {
        List<LayerChoice> layers = new ArrayList<>(Stories.epoxyWithFlake());
        layers.set(0, LayerChoice.of("primer", layers.get(0).sheet(), Optional.of(Stories.moment(hours))));
        return ready().layers(layers);
    }

    /** ANSI A326.3 and ANSI/ESD S20.20, from memory; only what was read on the finished floor answers. */
    @Test
    public void a_use_asks_of_the_finished_floor() {
        assertTrue(ready().at(2).service().asked().isEmpty());
        var kitchen = ready().used(Use.KITCHEN, Exposure.INDOORS)
                .reading(1, "slip", "A", "dcof=0.6 wet=wet")
                .coat(PRIMER, "primer")
                .coat(PRIMER + 12, "body")
                .coat(PRIMER + 24, "clear");
        var asked = kitchen.at(40).service().asked();
        assertEquals(asked.get(0).needed(), "0.55 or more");
        assertEquals(asked.get(0).verdict(), Verdict.HOLD, "read before it was coated says nothing");
        kitchen.reading(50, "slip", "A", "dcof=0.548 wet=wet");
        assertEquals(kitchen.at(60).service().asked().get(0).found(), "0.548");
        assertEquals(kitchen.at(60).service().asked().get(0).verdict(), Verdict.HOLD);
        kitchen.reading(51, "slip", "A", "dcof=0.58 wet=wet");
        assertEquals(kitchen.at(60).service().asked().get(0).verdict(), Verdict.GO);
        var laboratory =
                ready().used(Use.LABORATORY, Exposure.INDOORS).at(2).service().asked();
        assertEquals(laboratory.stream().map(a -> a.method()).toList(), List.of("slip", "resistance"));
        assertEquals(laboratory.get(1).needed(), "below 1.00\u00a0GΩ");
    }

    @Test
    public void a_planned_start_moves_what_stands_on_it() {
        List<LayerChoice> layers = new ArrayList<>(Stories.epoxyWithFlake());
        Instant planned = Stories.moment(100);
        layers.set(1, LayerChoice.of("body", layers.get(1).sheet(), Optional.of(planned)));
        var report = ready().layers(layers).coat(PRIMER, "primer").at(12);
        assertEquals(report.layers().get(1).started(), LayerReport.Started.PLANNED);
        assertEquals(report.layers().get(2).start(), Optional.of(planned));
        assertEquals(report.layers().get(3).start(), Optional.of(Stories.moment(110)));
        assertEquals(report.service().reseal().orElseThrow().due(), Instant.parse("2031-05-08T22:00:00Z"));
    }

    @Test
    public void a_sheet_that_is_silent_leaves_the_clock_out_and_the_reseal_unknown() {
        var full = Stories.liquid("Clear", LayerRole.CLEAR, 5, Map.of());
        var clocks = Map.of(
                Clock.POT_LIFE,
                full.clocks().get(Clock.POT_LIFE),
                Clock.RECOAT_OPENS,
                full.clocks().get(Clock.RECOAT_OPENS));
        var silent = new ProductSheet(
                "clear",
                "Clear",
                LayerRole.CLEAR,
                full.material(),
                full.limits(),
                clocks,
                List.of(),
                Map.of(),
                Traits.SILENT,
                Handling.SILENT,
                Advice.NONE);
        var report = ready().layers(List.of(Stories.layer("clear", silent)))
                .coat(PRIMER, "clear")
                .at(11);
        assertTrue(report.service().ladder().isEmpty());
        assertEquals(report.service().whyNoReseal(), "The sheet gives no interval for this exposure.");
        // no light-foot time: nobody may rely on it, so it stays wet
        assertEquals(report.layers().get(0).mark(), Mark.WET);
    }

    @Test
    public void a_curve_lists_each_temperature_once_and_only_positive_times() {
        org.testng.Assert.assertThrows(IllegalArgumentException.class, () -> Stories.curve(20, 40, 20, 50));
        org.testng.Assert.assertThrows(IllegalArgumentException.class, () -> Stories.curve(20, 0));
        org.testng.Assert.assertThrows(IllegalArgumentException.class, () -> new TemperatureCurve(List.of()));
        assertEquals(Stories.curve(30, 10, 10, 40, 20, 20).minutesAt(15), Math.sqrt(40 * 20), 1e-9);
    }

    @Test
    public void between_two_temperatures_a_time_lies_between_the_two_times() {
        var random = new Random(5);
        for (int i = 0; i < 1000; i++) {
            double slow = 1 + 1000 * random.nextDouble();
            double quick = slow * random.nextDouble() + 0.01;
            double at = 10 + 20 * random.nextDouble();
            double minutes = Stories.curve(10, slow, 30, quick).minutesAt(at);
            assertTrue(minutes <= Math.max(slow, quick) + 1e-9 && minutes >= Math.min(slow, quick) - 1e-9);
        }
    }

    @DataProvider
    Object[][] ells() {
        return new Object[][] {{10.0, 8.0, 3.0, 2.0}, {1.0, 1.0, 0.5, 0.5}, {120.0, 0.5, 119.0, 0.1}};
    }

    @Test(dataProvider = "ells")
    public void an_ell_is_its_rectangle_less_its_corner_and_as_long_round(double a, double b, double c, double d) {
        var ell = new Ell(a, b, c, d);
        var whole = new Rectangle(a, b);
        assertEquals(ell.outline().areaM2(), whole.outline().areaM2() - c * d, 1e-9);
        assertEquals(ell.outline().perimeterM(), whole.outline().perimeterM(), 1e-9);
        assertEquals(ell.sides().size(), 4);
        assertEquals(Shapes.of("ell", Map.of("length", a, "width", b, "cutLength", c, "cutWidth", d)), ell);
    }

    @Test
    public void area_does_not_care_where_one_starts_or_which_way_one_walks() {
        List<Outline.Corner> corners =
                new ArrayList<>(new Ell(10, 8, 3, 2).outline().corners());
        double area = new Outline(corners).areaM2();
        for (int turn = 0; turn < corners.size(); turn++) {
            Collections.rotate(corners, 1);
            assertEquals(new Outline(corners).areaM2(), area, 1e-9);
            var back = new ArrayList<>(corners);
            Collections.reverse(back);
            assertEquals(new Outline(back).areaM2(), area, 1e-9);
        }
    }

    @Test
    public void a_cut_must_be_smaller_than_what_it_is_cut_from() {
        var e = org.testng.Assert.expectThrows(InvalidInput.class, () -> new Ell(10, 8, 3, 8));
        assertEquals(e.faults().get(0).field(), "sides.cutWidth");
        assertEquals(Shapes.kinds(), List.of("rectangle", "ell"));
        assertEquals(Shapes.fields("rectangle").stream().map(Field::id).toList(), List.of("length", "width"));
    }

    @Test
    public void the_crews_own_numbers_are_used() {
        var values = Field.parseAll(
                "settings",
                ZoneFields.CREW,
                Map.of("pace", "11 ft²/min", "share", "75", "allowance", "5 %"),
                UnitSystem.METRIC);
        var crew = ZoneFields.crew(values, UnitSystem.METRIC);
        assertEquals(crew.paceM2PerMin(), 11 * 0.09290304, 1e-12);
        assertEquals(crew.potLifeShare(), 0.75, 1e-12);
        assertEquals(crew.allowance().loss(), 0.05, 1e-12);
    }

    @Test
    public void a_stratum_says_why_the_slab_is_held() {
        Stratum slab = new Stories().at(0).strata().get(0);
        assertEquals(slab.mark(), Mark.HOLD);
        assertEquals(slab.detail(), "8 reasons");
        assertEquals(ready().at(2).strata().get(0).detail(), "tested enough");
        assertEquals(ready().at(20).strata().get(0).detail(), "1 reason");
        assertEquals(ready().at(2).strata().get(1).detail(), "grind, CSP 3 to 5");
    }

    /** A floor that was measured badly is not coated, however dry it is. */
    @Test
    public void a_plan_that_does_not_close_is_a_hold() {
        var doubt = new Doubt(
                "closure",
                "The walls do not close",
                "1.00 ft short",
                "at most 0.18 ft",
                "why",
                "Measure again.",
                List.of());
        var report = ready().doubted(doubt).at(10);
        assertEquals(report.survey().verdict(), Verdict.HOLD);
        assertEquals(report.survey().summary(), "The walls do not close.");
    }

    /** What was tested as concrete is not known of anything else, however well it was tested. */
    @Test
    public void a_floor_that_is_no_concrete_is_held() {
        for (Substrate substrate : Substrate.values()) {
            var judged = new Stories().surveyed().on(substrate).at(2).survey();
            boolean suspect =
                    substrate.family() == Substrate.Family.RESILIENT || substrate == Substrate.COATED_CONCRETE;
            // powder on a stamp and what lies below an overlay were asked of no slab
            boolean cement = substrate == Substrate.BARE_CONCRETE;
            Verdict expected = suspect ? Verdict.STOP : cement ? Verdict.GO : Verdict.HOLD;
            assertEquals(judged.verdict(), expected, substrate.label());
            boolean warned =
                    judged.findings().stream().anyMatch(f -> f.because().contains("asbestos"));
            assertEquals(warned, suspect, substrate.label());
        }
    }
}
