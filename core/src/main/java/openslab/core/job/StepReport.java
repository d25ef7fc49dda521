package openslab.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.course.Course;
import openslab.core.course.Deed;
import openslab.core.course.Gate;
import openslab.core.course.Progress;
import openslab.core.course.Step;
import openslab.core.course.Wait;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;

/**
 * A step of a course, done once.
 *
 * @param id the same for a step that is done again
 * @param round 1 the first time
 * @param timed whether its clock is started by hand, when everything lies ready
 * @param coat whether it puts a layer's material on the floor
 * @param left how much is still to be done, where a part of it is; else empty
 * @param waits how long it takes by itself, in words; empty where nothing has to pass
 * @param until what a look has to show, where no clock can tell; else empty
 * @param started when its clock began; {@code ready} when it runs out or is first looked at, {@code usual} when that is
 *     usually through, {@code closes} when it is too late
 * @param done who logged it done, and when
 */
public record StepReport(
        String id,
        String title,
        String does,
        String why,
        String caution,
        int round,
        Progress progress,
        Mark mark,
        String word,
        String left,
        boolean timed,
        boolean coat,
        String waits,
        String until,
        Optional<Instant> started,
        Optional<Instant> ready,
        Optional<Instant> usual,
        Optional<Instant> closes,
        Optional<By> done,
        Optional<GateReport> gate) {

    /** @param key of the log entry */
    public record By(String key, String name, Instant at) {
        static By of(Deed deed) {
            return new By(deed.key(), deed.by(), deed.at());
        }
    }

    /** @param found what was keyed in last, in words; {@code by} who did */
    public record GateReport(
            String id,
            String title,
            List<Field> fields,
            String needed,
            String again,
            Source source,
            String found,
            Optional<By> by) {
        private static GateReport of(Gate gate, Course.Turn turn) {
            return new GateReport(
                    gate.id(),
                    gate.title(),
                    gate.fields(),
                    gate.needed(),
                    gate.again(),
                    gate.source(),
                    turn.tested().map(d -> found(gate, d.values())).orElse(""),
                    turn.tested().map(By::of));
        }

        private static String found(Gate gate, Map<String, Value> values) {
            return gate.fields().stream()
                    .filter(f -> values.containsKey(f.id()))
                    .map(f -> f.choices().stream()
                            .filter(c -> c.id().equals(values.get(f.id()).typed()))
                            .map(Field.Choice::label)
                            .findFirst()
                            .orElseGet(
                                    () -> f.label() + " " + values.get(f.id()).typed()))
                    .collect(Collectors.joining(", "));
        }
    }

    boolean isThrough() {
        return progress.isThrough();
    }

    static StepReport of(Course.Turn turn, UnitSystem system) {
        Step step = turn.step();
        return new StepReport(
                step.id(),
                step.title(),
                step.does(),
                step.why(),
                step.caution(),
                turn.round(),
                turn.progress(),
                mark(turn.progress()),
                turn.progress().word(),
                turn.left(system),
                step.isTimed(),
                step.proves(),
                step.waits().words(),
                step.waits().look(),
                turn.timer().map(Wait.Timer::started),
                turn.timer().flatMap(Wait.Timer::ready),
                turn.timer().flatMap(Wait.Timer::usual),
                turn.timer().flatMap(Wait.Timer::closes),
                turn.done().map(By::of),
                step.gate().map(g -> GateReport.of(g, turn)));
    }

    private static Mark mark(Progress progress) {
        return switch (progress) {
            case WAITING -> Mark.NOT_STARTED;
            case OPEN -> Mark.WINDOW_OPEN;
            case RUNNING -> Mark.WET;
            case PARTLY -> Mark.IN_HAND;
            case DONE -> Mark.DONE;
            case FAILED -> Mark.STOP;
        };
    }
}
