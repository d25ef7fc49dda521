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
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import openslab.core.Stories;
import openslab.core.floor.Substrate;
import openslab.core.prep.Course.State;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.Test;

/** How a plan goes: gates one after another, what a failed one makes anybody do again, and clocks that begin by themselves. */
public class CourseTest {
    private static final ProfileNeed THIN = new ProfileNeed(1, 3, Source.ours("test"));
    private static final Condition BARE =
            new Condition(Substrate.BARE_CONCRETE, Set.of(), Optional.of(false), Optional.empty(), true, false);
    private static final List<Step> ETCH = new Etch().steps(BARE, THIN);

    private final List<Deed> deeds = new ArrayList<>();

    private CourseTest test(double hours, String gate, String values) {
        List<Field> fields = PrepMethods.gateFields().get(gate);
        var read = Field.parseAll("values", fields, Stories.typed(values), UnitSystem.METRIC);
        deeds.add(new Deed("d" + deeds.size(), Deed.Kind.TESTED, gate, at(hours), "Wren", read));
        return this;
    }

    private CourseTest did(double hours, Deed.Kind kind, String step) {
        deeds.add(new Deed("d" + deeds.size(), kind, step, at(hours), "Wren", Map.of()));
        return this;
    }

    private static Instant at(double hours) {
        return Stories.moment(hours);
    }

    private Course etching() {
        return Course.of(ETCH, deeds);
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
                turns.stream().map(Course.Turn::state).toList().subList(0, 4),
                List.of(State.OPEN, State.OPEN, State.WAITING, State.WAITING));
    }

    @Test
    public void a_gate_that_passes_says_that_what_came_before_it_was_done() {
        var course = etchedAndRinsed().etching();
        assertEquals(course.turns().get(0).state(), State.DONE);
        assertEquals(open(course), List.of("dry 1", "check.rub 1", "check.profile 1", "vacuum.last 1"));
        assertFalse(course.isRepeating());
    }

    @Test
    public void drying_begins_when_the_floor_was_last_wet() {
        var dry = etchedAndRinsed().etching().open().get(0);
        assertEquals(dry.state(), State.RUNNING);
        assertEquals(dry.started().orElseThrow(), at(2));
        assertEquals(dry.ready().orElseThrow(), at(26));
    }

    /** The rub test failed: rinsing and drying come again, with a clock of their own, and everything after waits. */
    @Test
    public void a_failed_gate_inserts_its_repeat_with_the_clock_it_needs() {
        var story = etchedAndRinsed().test(26, "dry", "dried=24 h dark=none").test(27, "rub", "rub=dust");
        var course = story.etching();
        assertTrue(course.isRepeating());
        assertEquals(open(course), List.of("neutralise 2", "dry 2", "check.rub 2", "check.profile 1", "vacuum.last 1"));
        assertEquals(course.open().get(0).state(), State.OPEN);
        assertTrue(course.open().stream().skip(1).allMatch(t -> t.state() == State.WAITING));
        assertEquals(
                course.turns().stream().filter(t -> t.state() == State.FAILED).count(), 1);
        var early = story.test(27.5, "profile", "csp=2").etching();
        assertEquals(early.misfits().size(), 1, "profile before the rub test");
        assertTrue(early.misfits().get(0).accepted().contains("pH after the last rinse"));
        var rinsed = story.test(28, "rinse-ph", "water=7 floor=7").etching();
        assertEquals(rinsed.open().get(0).ready().orElseThrow(), at(52));
        story.test(52, "dry", "dried=24 h dark=none").test(52, "rub", "rub=clean");
        assertFalse(story.etching().isRepeating());
        assertEquals(open(story.etching()), List.of("check.profile 1", "vacuum.last 1"));
    }

    @Test
    public void nobody_dries_a_floor_for_longer_than_since_it_was_wet() {
        var story = etchedAndRinsed().test(4, "dry", "dried=24 h dark=none");
        var misfit = story.etching().misfits().get(0);
        assertEquals(misfit.field(), "values.dried");
        assertTrue(misfit.accepted().contains("at most 2.0 h"), misfit.accepted());
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
        assertEquals(Duration.between(turn.started().orElseThrow(), turn.ready().orElseThrow()), Duration.ofMinutes(2));
        assertFalse(story.etching().isRepeating());
        var other = story().test(0, "patch", "chemical=bleach water=20 dwell=2 result=works")
                .etching();
        assertEquals(other.misfits().get(0).field(), "values.chemical");
        var thin = story().test(0, "patch", "chemical=muriatic water=1 dwell=2 result=works")
                .etching();
        assertEquals(thin.misfits().get(0).field(), "values.water");
        assertTrue(thin.misfits().get(0).accepted().contains("1 part into 3 of water"));
        // a profiler is also used as it comes
        var neat = story().test(0, "patch", "chemical=etch-liquid water=0 dwell=2 result=works")
                .etching();
        assertTrue(neat.misfits().isEmpty(), neat.misfits().toString());
    }

    @Test
    public void what_is_no_step_here_is_told_so() {
        var course = story().did(0, Deed.Kind.BEGUN, "shot-blast").etching();
        assertEquals(course.misfits().size(), 1);
        assertEquals(course.misfits().get(0).field(), "subject");
    }

    private static final int TRIALS = 150;

    /** Whatever is logged in whatever order: the open gates stand in order, and what passed last in a row ends the course. */
    @Test
    public void no_log_breaks_the_order_of_gates() {
        var random = new Random(5);
        int through = 0;
        for (int i = 0; i < TRIALS; i++) {
            var log = new ArrayList<Deed>();
            for (int n = 20 + random.nextInt(100); n >= 0; n--) {
                Gate gate = Step.gatesOf(ETCH).get(random.nextInt(7));
                boolean well = random.nextInt(6) > 0;
                var values = Field.parseAll(
                        "values", gate.fields(), Stories.typed(values(gate.id(), well)), UnitSystem.METRIC);
                log.add(new Deed("k" + n, Deed.Kind.TESTED, gate.id(), at(100 * log.size()), "Wren", values));
            }
            Course course = Course.of(ETCH, log);
            boolean held = false;
            for (Course.Turn turn : course.turns()) {
                assertFalse(held && turn.complete(), "nothing is done behind an open gate: " + log);
                assertEquals(turn.state() == State.WAITING, held && !turn.complete());
                held |= turn.step().gate().isPresent() && !turn.complete();
            }
            Set<String> still = course.open().stream().map(t -> t.step().id()).collect(Collectors.toSet());
            through += still.isEmpty() ? 1 : 0;
        }
        assertTrue(through > 0 && through < TRIALS, "through " + through);
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
