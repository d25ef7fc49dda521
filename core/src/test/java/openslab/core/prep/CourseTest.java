package openslab.core.prep;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import openslab.core.Stories;
import openslab.core.air.SlabHistory;
import openslab.core.course.Course;
import openslab.core.course.Deed;
import openslab.core.course.Extent;
import openslab.core.course.Gate;
import openslab.core.course.Progress;
import openslab.core.course.Step;
import openslab.core.course.Wait;
import openslab.core.course.work.Work;
import openslab.core.floor.Substrate;
import openslab.core.job.KnownWorks;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.Test;

/** How a plan goes: gates one after another, what a failed one makes anybody do again, and clocks that begin by themselves. */
public class CourseTest {
    private static final PrepNeed THIN = new PrepNeed(1, 3, Source.ours("test"));
    private static final Condition BARE =
            new Condition(Substrate.BARE_CONCRETE, Set.of(), Optional.of(false), Optional.empty(), true, false);
    private static final Extent FLOOR = new Extent(60, 32);
    private static final List<Step> ETCH = new Etch().steps(BARE, THIN);

    private final List<Deed> deeds = new ArrayList<>();

    private CourseTest test(double hours, String gate, String values) {
        List<Field> fields = PrepMethods.gateFields().get(gate);
        var read = Field.parseAll("values", fields, Stories.typed(values), UnitSystem.METRIC);
        deeds.add(new Deed("d" + deeds.size(), Deed.Kind.TESTED, gate, at(hours), "Wren", "", read));
        return this;
    }

    private CourseTest did(double hours, Deed.Kind kind, String step) {
        deeds.add(new Deed("d" + deeds.size(), kind, step, at(hours), "Wren", "", Map.of()));
        return this;
    }

    private static Instant at(double hours) {
        return Stories.moment(hours);
    }

    private Course etching() {
        return Course.of(ETCH, deeds, FLOOR, SlabHistory.NONE);
    }

    private static CourseTest story() {
        return new CourseTest();
    }

    private static CourseTest etchedAndRinsed() {
        return story().test(0, "patch", "chemical=etch-liquid water=4 dwell=2 result=works")
                .test(1, "fizz", "fizz=fizz")
                .test(2, "rinse-ph", "water=7 floor=7.5");
    }

    private static List<String> open(Course course) {
        return course.open().stream().map(t -> t.step().id() + " " + t.round()).toList();
    }

    @Test
    public void steps_open_up_to_the_first_gate_and_no_further() {
        var turns = story().etching().turns();
        assertEquals(
                turns.stream().map(Course.Turn::progress).toList().subList(0, 4),
                List.of(Progress.OPEN, Progress.OPEN, Progress.WAITING, Progress.WAITING));
    }

    @Test
    public void a_gate_that_passes_says_that_what_came_before_it_was_done() {
        var course = etchedAndRinsed().etching();
        assertEquals(course.turns().get(0).progress(), Progress.DONE);
        assertEquals(open(course), List.of("dry 1", "check.rub 1", "check.profile 1", "vacuum.last 1"));
        assertFalse(course.isRepeating());
    }

    @Test
    public void drying_begins_when_the_floor_was_last_wet() {
        var dry = etchedAndRinsed().etching().open().get(0);
        assertEquals(dry.progress(), Progress.RUNNING);
        assertEquals(dry.timer().orElseThrow().started(), at(2));
        assertEquals(dry.timer().orElseThrow().ready().orElseThrow(), at(26));
    }

    /** The rub test failed: rinsing and drying come again, with a clock of their own, and everything after waits. */
    @Test
    public void a_failed_gate_inserts_its_repeat_with_the_clock_it_needs() {
        var story = etchedAndRinsed().test(26, "dry", "dried=24 h dark=none").test(27, "rub", "rub=dust");
        var course = story.etching();
        assertTrue(course.isRepeating());
        assertEquals(open(course), List.of("neutralise 2", "dry 2", "check.rub 2", "check.profile 1", "vacuum.last 1"));
        assertEquals(course.open().get(0).progress(), Progress.OPEN);
        assertTrue(course.open().stream().skip(1).allMatch(t -> t.progress() == Progress.WAITING));
        assertEquals(
                course.turns().stream()
                        .filter(t -> t.progress() == Progress.FAILED)
                        .count(),
                1);
        var early = story.test(27.5, "profile", "csp=2").etching();
        assertEquals(early.misfits().size(), 1, "profile before the rub test");
        assertTrue(early.misfits().get(0).fault().accepted().contains("pH after the last rinse"));
        var rinsed = story.test(28, "rinse-ph", "water=7 floor=7").etching();
        assertEquals(rinsed.open().get(0).timer().orElseThrow().ready().orElseThrow(), at(52));
        story.test(52, "dry", "dried=24 h dark=none").test(52, "rub", "rub=clean");
        assertFalse(story.etching().isRepeating());
        assertEquals(open(story.etching()), List.of("check.profile 1", "vacuum.last 1"));
    }

    @Test
    public void nobody_dries_a_floor_for_longer_than_since_it_was_wet() {
        var story = etchedAndRinsed().test(4, "dry", "dried=24 h dark=none");
        var misfit = story.etching().misfits().get(0);
        assertEquals(misfit.fault().field(), "values.dried");
        assertTrue(
                misfit.fault().accepted().contains("at most 2.0 h"),
                misfit.fault().accepted());
        assertEquals(open(story.etching()).get(0), "dry 1");
    }

    @Test
    public void a_gate_that_fails_later_takes_everything_after_it_along() {
        var story = etchedAndRinsed()
                .test(26, "dry", "dried=24 h dark=none")
                .test(27, "rub", "rub=clean")
                .test(28, "profile", "csp=2")
                .test(29, "rub", "rub=dust");
        assertEquals(
                open(story.etching()),
                List.of("neutralise 2", "dry 2", "check.rub 2", "check.profile 2", "vacuum.last 1"));
        // looked at once more and found well: nothing follows
        var calm = etchedAndRinsed().test(3, "rinse-ph", "water=7 floor=7").etching();
        assertEquals(open(calm).get(0), "dry 1");
    }

    @Test
    public void a_rung_that_is_too_weak_undoes_nothing() {
        var story = story().did(0, Deed.Kind.BEGUN, "patch-test")
                .test(0.1, "patch", "chemical=etch-liquid water=8 dwell=2 result=weak");
        var turn = story.etching().open().get(1);
        assertEquals(turn.step().id(), "patch-test");
        assertEquals(turn.rungs().size(), 1);
        assertEquals(
                Duration.between(
                        turn.timer().orElseThrow().started(),
                        turn.timer().orElseThrow().ready().orElseThrow()),
                Duration.ofMinutes(2));
        assertFalse(story.etching().isRepeating());
        var other = story().test(0, "patch", "chemical=bleach water=20 dwell=2 result=works")
                .etching();
        assertEquals(other.misfits().get(0).fault().field(), "values.chemical");
        var thin = story().test(0, "patch", "chemical=muriatic water=1 dwell=2 result=works")
                .etching();
        assertEquals(thin.misfits().get(0).fault().field(), "values.water");
        assertTrue(thin.misfits().get(0).fault().accepted().contains("1 part into 3 of water"));
        // a profiler is also used as it comes
        var neat = story().test(0, "patch", "chemical=etch-liquid water=0 dwell=2 result=works")
                .etching();
        assertTrue(neat.misfits().isEmpty(), neat.misfits().toString());
    }

    @Test
    public void what_is_no_step_here_is_told_so() {
        var course = story().did(0, Deed.Kind.BEGUN, "shot-blast").etching();
        assertEquals(course.misfits().size(), 1);
        assertEquals(course.misfits().get(0).fault().field(), "subject");
    }

    private static final Step FIELD = Step.of(Works.GRIND, "Grind", "All of it.", "It is shut.");
    private static final Step COMPARE = Step.of(Works.CHECK, "Compare", "In three places.", "To be sure.")
            .which("profile")
            .until(Gates.profile(THIN));
    private static final Step DUST = Step.of(Works.VACUUM_OFF, "Vacuum", "Edges too.", "Dust is a release layer.");

    private Course ground() {
        return Course.of(List.of(FIELD, COMPARE, DUST), deeds, FLOOR, SlabHistory.NONE);
    }

    private CourseTest part(double hours, String step, String amount) {
        var fields = KnownWorks.ofStep("step", step).doneFields();
        var read = Field.parseAll("values", fields, Stories.typed("amount=" + amount), UnitSystem.METRIC);
        deeds.add(new Deed("d" + deeds.size(), Deed.Kind.DONE, step, at(hours), "Wren", "", read));
        return this;
    }

    private static List<Progress> progress(Course course) {
        return course.turns().stream().map(Course.Turn::progress).toList();
    }

    /** 25 of 60 m² today, 35 tomorrow: what passed today lets today's part go on, and closes nothing. */
    @Test
    public void half_a_floor_goes_on_by_halves() {
        var story = story().part(1, "grind", "25 m2");
        assertEquals(progress(story.ground()), List.of(Progress.PARTLY, Progress.OPEN, Progress.WAITING));
        assertEquals(story.ground().turns().get(0).doneSoFar(), 25 / 60.0, 1e-9);
        story.test(2, "profile", "csp=2").part(3, "vacuum", "25 m2");
        assertEquals(progress(story.ground()), List.of(Progress.PARTLY, Progress.PARTLY, Progress.PARTLY));
        assertTrue(story.ground().misfits().isEmpty());
        story.part(25, "grind", "35 m2");
        assertEquals(progress(story.ground()), List.of(Progress.DONE, Progress.PARTLY, Progress.PARTLY));
        story.test(26, "profile", "csp=2").did(27, Deed.Kind.DONE, "vacuum");
        assertTrue(story.ground().open().isEmpty());
        // in two halves that leave a doorway: nobody works that apart
        assertTrue(story().part(1, "grind", "30 m2")
                .part(2, "grind", "27 m2")
                .ground()
                .turns()
                .get(0)
                .isThrough());
    }

    @Test
    public void what_was_done_too_early_is_kept_and_told() {
        var story = story().did(1, Deed.Kind.DONE, "vacuum").test(2, "profile", "csp=2");
        var course = story.ground();
        assertEquals(course.misfits().size(), 1);
        assertEquals(course.misfits().get(0).kind(), Course.Misfit.Kind.EARLY);
        assertTrue(course.misfits().get(0).fault().accepted().contains("Profile"));
        assertEquals(progress(course), List.of(Progress.DONE, Progress.DONE, Progress.DONE));
        // a test of what was not ready proves nothing
        var tested = etchedAndRinsed().test(2.1, "profile", "csp=2").etching();
        assertEquals(tested.misfits().get(0).kind(), Course.Misfit.Kind.EARLY);
        assertEquals(open(tested), List.of("dry 1", "check.rub 1", "check.profile 1", "vacuum.last 1"));
    }

    /** A look after 4 h, usually through by 8 h; 30 seconds; and a sheet's own: 12 h at 20 °C, twice that at 10 °C. */
    @Test
    public void a_wait_is_by_the_clock_by_the_slab_or_until_it_looks_so() {
        var slab = new SlabHistory(List.of(new SlabHistory.Read(at(-2), 10), new SlabHistory.Read(at(5000), 20)));
        Wait.Timing sheet = c -> c < 5 ? OptionalDouble.empty() : OptionalDouble.of(720 * Math.pow(2, (20 - c) / 10));
        var react = new Wait.Open(240, 480, "no more change of colour").from(at(1), slab);
        assertEquals(react.ready().orElseThrow(), at(5));
        assertEquals(react.usual().orElseThrow(), at(9));
        assertEquals(new Wait.Fixed(0.5).from(at(1), slab).ready().orElseThrow(), at(1).plusSeconds(30));
        var cure = new Wait.ByTemperature(sheet);
        assertEquals(cure.from(at(0), slab).ready().orElseThrow(), at(24));
        assertEquals(cure.from(at(4999), slab).ready().orElseThrow(), at(4999 + 12));
        assertTrue(cure.from(at(0), SlabHistory.NONE).ready().isEmpty());
        assertTrue(cure.from(at(0), SlabHistory.always(0)).ready().isEmpty());
        var turn = Course.of(
                        List.of(FIELD.waiting(cure)),
                        List.of(new Deed("d", Deed.Kind.BEGUN, "grind", at(0), "Wren", "", Map.of())),
                        FLOOR,
                        slab)
                .turns()
                .get(0);
        assertEquals(turn.progress(), Progress.RUNNING);
        assertEquals(turn.timer().orElseThrow().ready().orElseThrow(), at(24));
    }

    private static final int TRIALS = 300;

    /** Whatever is logged in whatever order: the open gates stand in order, and what passed last in a row ends the course. */
    @Test
    public void no_log_breaks_the_order_of_gates() {
        var random = new Random(5);
        int through = 0;
        int early = 0;
        int partly = 0;
        for (int i = 0; i < TRIALS; i++) {
            boolean works = i % 2 == 1;
            var log = new ArrayList<Deed>();
            for (int n = 20 + random.nextInt(100); n >= 0; n--) {
                log.add(works && random.nextInt(3) > 0 ? work(random, n, log.size()) : test(random, n, log.size()));
            }
            Course course = Course.of(ETCH, log, FLOOR, SlabHistory.NONE);
            Set<String> ahead = course.misfits().stream()
                    .filter(m -> m.kind() == Course.Misfit.Kind.EARLY)
                    .map(m -> m.deed().subject())
                    .collect(Collectors.toSet());
            boolean held = false;
            for (Course.Turn turn : course.turns()) {
                boolean gate = turn.step().gate().isPresent();
                boolean told = !gate && ahead.contains(turn.step().id());
                assertFalse(held && turn.isThrough() && !told, "nothing is done behind an open gate untold: " + log);
                assertEquals(turn.progress() == Progress.WAITING, held && !turn.isThrough());
                assertTrue(turn.doneSoFar() >= 0 && turn.doneSoFar() <= 1);
                held |= gate
                        && !turn.isThrough()
                        && (turn.progress() != Progress.PARTLY || turn.tested().isEmpty());
                partly += turn.progress() == Progress.PARTLY ? 1 : 0;
            }
            early += ahead.size();
            through += course.open().isEmpty() ? 1 : 0;
        }
        assertTrue(through > 0 && through < TRIALS, "through " + through);
        assertTrue(early > 0 && partly > 0, early + " early, " + partly + " in part");
    }

    private static Deed test(Random random, int n, int at) {
        Gate gate = Step.gatesOf(ETCH).get(random.nextInt(7));
        boolean well = random.nextInt(6) > 0;
        var values = Field.parseAll("values", gate.fields(), Stories.typed(values(gate.id(), well)), UnitSystem.METRIC);
        return new Deed("k" + n, Deed.Kind.TESTED, gate.id(), at(100 * at), "Wren", "", values);
    }

    private static Deed work(Random random, int n, int at) {
        Step step = ETCH.get(random.nextInt(ETCH.size()));
        boolean part = random.nextBoolean() && step.work().per() != Work.Per.ONCE;
        var values = Field.parseAll(
                "values",
                step.work().doneFields(),
                part
                        ? Map.of(
                                "amount",
                                1 + random.nextInt(40) + " m" + (step.work().per() == Work.Per.FLOOR ? "2" : ""))
                        : Map.of(),
                UnitSystem.METRIC);
        var kind = random.nextBoolean() ? Deed.Kind.DONE : Deed.Kind.BEGUN;
        return new Deed("k" + n, kind, step.id(), at(100 * at), "Wren", "", kind == Deed.Kind.DONE ? values : Map.of());
    }

    private static String values(String gate, boolean well) {
        return switch (gate) {
            case "patch" -> "chemical=etch-liquid water=4 dwell=2 result=" + (well ? "works" : "weak");
            case "fizz" -> "fizz=" + (well ? "fizz" : "none");
            case "rinse-ph" -> "water=7 floor=" + (well ? "7" : "4");
            case "dry" -> "dried=30 h dark=" + (well ? "none" : "some");
            case "rub" -> "rub=" + (well ? "clean" : "dust");
            case "profile" -> "csp=" + (well ? "2" : "9");
            default -> "no-dust=" + (well ? "clean" : "dust");
        };
    }
}
