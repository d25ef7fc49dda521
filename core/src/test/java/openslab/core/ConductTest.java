package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import openslab.core.course.Progress;
import openslab.core.floor.Substrate;
import openslab.core.job.Conduct;
import openslab.core.job.LogEntry;
import openslab.core.job.LogGuard;
import openslab.core.job.ZoneReport;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What was done is kept, with what stood against it then. */
public class ConductTest {
    /** At 20 °C the primer's window is open from 10 to 48 h. */
    private static final double PRIMER = 10;

    private static Stories ready() {
        return new Stories().surveyed().ground();
    }

    private static Map<String, List<String>> rules(ZoneReport report) {
        return report.conduct().stream()
                .collect(Collectors.toMap(
                        s -> s.subject() + " " + s.kind(),
                        s -> s.findings().stream().map(Finding::rule).toList(),
                        (a, b) -> b));
    }

    @Test
    public void a_floor_coated_by_the_book_has_nothing_against_it() {
        var story = ready().batch(PRIMER, "primer", "volume=10 L area=80 m²")
                .coat(PRIMER, "primer")
                .reading(21, "climate", "whole floor", "air=21 °C rh=50 % slab=20 °C")
                .coat(22, "body")
                .coat(22, "flake")
                .reading(33, "climate", "whole floor", "air=21 °C rh=50 % slab=20 °C")
                .coat(34, "clear");
        assertEquals(story.at(400).conduct(), List.of());
    }

    /** 80 m². The batches tell of 60, of 80 and of 160; nothing was logged at all; it took what it says. */
    @DataProvider
    Object[][] told() {
        return new Object[][] {
            {"volume=8 L area=60 m²", "", "coat-bare HOLD"},
            {"volume=8 L area=60 m²", "amount=60 m²", ""},
            {"volume=8 L area=40 m²", "amount=60 m²", "coat-unlike-its-batches WATCH"},
            {"volume=10 L area=80 m²", "", ""},
            {"volume=20 L area=160 m²", "", "coat-unlike-its-batches WATCH"},
            {"", "", "coat-unlogged WATCH"},
            {"", "used=10 L", ""},
            {"volume=10 L area=80 m² wasted=2 L", "used=0.5 L", ""},
        };
    }

    @Test(dataProvider = "told")
    public void a_coat_that_is_done_is_held_against_what_was_mixed(String batch, String coat, String against) {
        var story = ready();
        if (!batch.isEmpty()) {
            story.batch(PRIMER, "primer", batch);
        }
        story.coat(PRIMER + 0.5, "primer", coat);
        var found = story.at(PRIMER + 1).conduct().stream()
                .filter(s -> s.kind() == LogEntry.Kind.COAT)
                .flatMap(s -> s.findings().stream())
                .map(f -> f.rule() + " " + f.verdict())
                .toList();
        assertEquals(found, against.isEmpty() ? List.of() : List.of(against));
    }

    /** 40 min at 20 °C from the first turn: 39 min are in time, 41 are not, whenever it is logged. */
    @Test
    public void what_was_spread_after_its_pot_life_is_kept_with_it() {
        for (int minutes : new int[] {39, 41}) {
            var story = ready().batch(PRIMER, "primer", "volume=10 L area=80 m²");
            story.coat(PRIMER + minutes / 60.0, "primer", "");
            assertEquals(
                    rules(story.at(PRIMER + 1)).getOrDefault("primer COAT", List.of()),
                    minutes > 40 ? List.of("coat-past-its-pot-life") : List.of());
        }
        // a batch that never got onto the floor is not awaited
        var wasted = ready().batch(PRIMER - 2, "primer", "volume=10 L area=80 m²")
                .batch(PRIMER - 1.9, "primer", "volume=2 L area=0 m² wasted=2 L");
        wasted.coat(PRIMER - 1.5, "primer", "");
        assertTrue(
                rules(wasted.at(PRIMER)).getOrDefault("primer COAT", List.of()).isEmpty());
    }

    /** Slab at 110 °F, air at 95 %, the survey on hold, every coat in the same minute: each of it stands for ever. */
    @Test
    public void three_coats_in_one_minute_on_a_hot_wet_floor_are_told_one_by_one() {
        var story = new Stories()
                .reading(1, "climate", "whole floor", "air=40 °C rh=95 % slab=110 °F")
                .coat(2, "primer")
                .coat(2, "body")
                .coat(2, "clear");
        var rules = rules(story.at(3));
        for (String layer : List.of("primer", "body", "clear")) {
            var found = rules.get(layer + " COAT");
            assertTrue(
                    found.containsAll(
                            List.of("slab-temperature", "air-humidity", "coat-against-survey", "coat-before-gate")),
                    layer + ": " + found);
        }
        assertFalse(rules.get("primer COAT").contains("coat-outside-its-window"));
        // mended a day later, it stands all the same
        for (String gate : List.of("profile csp=3", "rub rub=clean", "soaks soaks=soaks", "no-dust no-dust=clean")) {
            story.gate(26, gate.split(" ")[0], gate.split(" ")[1]);
        }
        assertTrue(rules(story.at(30)).get("primer COAT").contains("coat-before-gate"));
    }

    @DataProvider
    Object[][] windows() {
        return new Object[][] {
            {9.9, "not before 10"}, {10.0, ""}, {48.0, ""}, {48.1, "not after 48"},
        };
    }

    /** 600 min and 2,880 min at 20 °C: 10 h and 48 h. */
    @Test(dataProvider = "windows")
    public void the_window_of_the_coat_below_is_kept_to_the_minute(double hours, String needed) {
        var story = ready().coat(PRIMER, "primer")
                .reading(PRIMER + hours, "climate", "whole floor", "air=21 °C rh=50 % slab=20 °C")
                .coat(PRIMER + hours, "body");
        var found = story.at(100).conduct().stream()
                .flatMap(s -> s.findings().stream())
                .filter(f -> f.rule().equals("coat-outside-its-window"))
                .toList();
        assertEquals(found.size(), needed.isEmpty() ? 0 : 1);
        found.forEach(f -> assertTrue(f.needed().startsWith(needed), f.needed()));
    }

    @Test
    public void a_coat_wants_its_ground_and_air_that_was_read() {
        var report = ready().coat(PRIMER, "body").at(11);
        assertEquals(rules(report).get("body COAT"), List.of("coat-without-its-ground"));
        assertTrue(report.conduct().get(0).findings().get(0).brief().contains("body coat without its primer"));
        var late = ready().coat(20, "primer").at(21);
        assertEquals(rules(late).get("primer COAT"), List.of("climate-fresh"));
    }

    /** The primer goes 8 m² a litre: 10 L on 60 m² is 6, on 80 m² 8, on 101 m² 10.1, a quarter and a little more. */
    @Test
    public void a_batch_far_off_its_rate_is_told() {
        var rules =
                ready().batch(PRIMER, "primer", "volume=10 L area=60 m²").at(11).conduct();
        assertEquals(rules, List.of(), "6 is a quarter less, and no more");
        var thin = ready().batch(PRIMER, "primer", "volume=10 L area=101 m²")
                .at(11)
                .conduct();
        assertEquals(thin.get(0).findings().get(0).brief(), "spread too thin");
        assertFalse(asked(ready(), new Stories().batch(PRIMER, "primer", "volume=10 L area=101 m²")));
        var thick =
                ready().batch(PRIMER, "primer", "volume=10 L area=59 m²").at(11).conduct();
        assertEquals(thick.get(0).findings().get(0).brief(), "spread too thick");
    }

    /** A test made for concrete proves nothing of tile: it goes by its gates, and no coat is asked for a reason because of that. */
    @Test
    public void tile_is_not_held_for_being_tile() {
        var story = new Stories().on(Substrate.CERAMIC).surveyed();
        var against = story.at(2).layers().get(0).against();
        assertFalse(against.stream().anyMatch(f -> f.measured().contains("under it")), against.toString());
    }

    @Test
    public void it_is_told_before_and_asks_for_a_reason() {
        var report = new Stories().surveyed().at(2);
        assertTrue(report.layers().get(0).asksReason());
        assertEquals(report.layers().get(0).against().get(0).rule(), "coat-before-gate");
        assertEquals(report.layers().get(1).against(), List.of(), "only the next coat can go on");
        assertFalse(ready().at(3).layers().get(0).asksReason());
        assertTrue(asked(new Stories().surveyed(), new Stories().coat(2, "primer")));
        assertFalse(asked(ready(), new Stories().coat(2, "primer")));
        LogEntry coat = new Stories().coat(2, "primer").last();
        LogGuard.take(new Stories().surveyed().facts(), withNote(coat), UnitSystem.METRIC);
    }

    /** Vacuumed before the profile was compared: it is done, it was too early, and both stand. */
    @Test
    public void a_step_before_its_gate_is_kept_with_its_reason() {
        var story = new Stories().surveyed().done(2, "vacuum", "");
        var report = story.at(3);
        assertEquals(rules(report), Map.of("vacuum DONE", List.of("before-a-gate")));
        Conduct.Stood stood = report.conduct().get(0);
        assertTrue(stood.findings().get(0).needed().contains("Profile"), stood.toString());
        assertTrue(report.prep().steps().stream()
                .anyMatch(s -> s.id().equals("vacuum") && s.done().isPresent() && s.progress() == Progress.WAITING));
    }

    /** Thousands of steps with a reason each: a plan is worked out as often as something decides it, and not for each of them. */
    @Test
    public void a_long_log_of_noted_steps_is_judged_as_each_of_them_is() {
        var story = new Stories().surveyed();
        for (int i = 0; i < 3000; i++) {
            LogEntry e = new Stories().done(2 + i / 100.0, "vacuum", "").last();
            story.kept(new LogEntry(e.key(), e.kind(), e.subject(), "", e.at(), "Wren", "Because", e.values()));
        }
        var stood = story.at(40).conduct();
        assertEquals(stood.size(), 3000);
        assertTrue(stood.stream().allMatch(s -> s.findings().get(0).rule().equals("before-a-gate")));
    }

    /** A test, a gate and a defect that are no more, and a reading that lacks what is asked today. */
    @Test
    public void what_names_something_that_is_no_more_is_kept_and_counts_for_nothing() {
        var story = ready();
        var before = story.at(3);
        for (var kind : List.of(LogEntry.Kind.READING, LogEntry.Kind.GATE, LogEntry.Kind.AREA, LogEntry.Kind.SET)) {
            story.kept(new LogEntry("old " + kind, kind, "knock-test", "A", Stories.moment(2), "Wren", "", Map.of()));
        }
        story.kept(new LogEntry("old", LogEntry.Kind.READING, "ph", "A", Stories.moment(2), "Wren", "", Map.of()));
        story.kept(new LogEntry("gone", LogEntry.Kind.DONE, "juggle", "", Stories.moment(2), "Wren", "", Map.of()));
        assertEquals(story.at(3), before);
        assertEquals(story.facts().log().size(), ready().facts().log().size() + 6);
    }

    /** Begun with nothing ticked: it was asked about, and it stands. What is looked at can be worked out again. */
    @Test
    public void a_clock_begun_before_all_lay_ready_stands_too() {
        var story = new Stories()
                .reading(0, "walk-over", "whole floor", "sealer=no oil=yes coating=no dusting=no hollow=no")
                .reading(0, "water-drop", "A", "drop=beads");
        story.kept(withNote(new Stories().begun(1, "degrease").last()));
        assertEquals(rules(story.at(2)), Map.of("degrease BEGUN", List.of("begun-unstaged")));
        var early = ready().coat(PRIMER, "primer").coat(PRIMER + 2, "body").at(13).conduct().stream()
                .flatMap(s -> s.findings().stream())
                .filter(f -> f.rule().equals("coat-outside-its-window"))
                .findFirst()
                .orElseThrow();
        assertEquals(early.working().orElseThrow().value(), 600.0, 1e-9);
    }

    private static LogEntry withNote(LogEntry e) {
        return new LogEntry(
                e.key(), e.kind(), e.subject(), "", e.at(), "Wren", "The client's own crew did.", e.values());
    }

    private static boolean asked(Stories story, Stories with) {
        try {
            LogGuard.take(story.facts(), with.last(), UnitSystem.METRIC);
            return false;
        } catch (InvalidInput e) {
            assertEquals(e.faults().get(e.faults().size() - 1).field(), "note");
            return true;
        }
    }
}
