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
import openslab.core.prep.PrepMethod;
import openslab.core.prep.PrepPlan;
import openslab.core.prep.ProfileNeed;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;

/**
 * The preparation of a zone and how far it is.
 *
 * @param method empty when every method is refused
 * @param byThickness what the published table asks for a film this thick, beside what the sheets ask
 * @param steps as they were done, and what a failed gate made anybody do again; what is left at the end
 */
public record PrepReport(
        String method,
        String title,
        String because,
        String need,
        Source needSource,
        String byThickness,
        List<StepReport> steps,
        List<PrepPlan.Refused> refused,
        Mark mark) {

    /**
     * A step, done once.
     *
     * @param id the same for a step that is done again
     * @param round 1 the first time
     * @param timed whether its clock is started by hand, when everything lies ready
     * @param left how much is still to be done, where a part of it is; else empty
     * @param waits how long it takes by itself, in words; empty where nothing has to pass
     * @param until what a look has to show, where no clock can tell; else empty
     * @param started when its clock began; {@code ready} when it runs out or is first looked at, {@code usual} when that is
     *     usually through
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
            String waits,
            String until,
            Optional<Instant> started,
            Optional<Instant> ready,
            Optional<Instant> usual,
            Optional<By> done,
            Optional<GateReport> gate) {
        boolean isThrough() {
            return progress.isThrough();
        }
    }

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
            Optional<By> by) {}

    /** Whether it opens a surface to a profile: tile and vinyl have none. */
    public boolean opens() {
        return steps.stream()
                .anyMatch(s -> s.gate().map(g -> g.id().equals("profile")).orElse(false));
    }

    /** What nobody has finished, the next first. */
    List<StepReport> open() {
        return steps.stream().filter(s -> !s.isThrough()).toList();
    }

    /** The step that a failed gate makes somebody do again. */
    Optional<StepReport> repeating() {
        return open().stream().findFirst().filter(s -> s.round() > 1);
    }

    /** The step whose clock runs. */
    Optional<StepReport> running() {
        return open().stream().filter(s -> s.ready().isPresent()).findFirst();
    }

    static PrepReport of(PrepLog.Run run, ProfileNeed byThickness, UnitSystem system) {
        PrepPlan plan = run.plan();
        ProfileNeed need = plan.need();
        Course course = run.course();
        return new PrepReport(
                plan.method().map(PrepMethod::id).orElse(""),
                plan.method().map(PrepMethod::title).orElse("No method fits"),
                plan.because(),
                need.text(),
                need.source(),
                byThickness.text(),
                course.turns().stream().map(t -> step(t, system)).toList(),
                plan.refused(),
                mark(plan, course));
    }

    private static StepReport step(Course.Turn turn, UnitSystem system) {
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
                step.waits().words(),
                step.waits() instanceof Wait.Open o ? o.until() : "",
                turn.timer().map(Wait.Timer::started),
                turn.timer().flatMap(Wait.Timer::ready),
                turn.timer().flatMap(Wait.Timer::usual),
                turn.done().map(By::of),
                step.gate().map(g -> gate(g, turn)));
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

    private static GateReport gate(Gate gate, Course.Turn turn) {
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
                .map(f -> f.choices().stream()
                        .filter(c -> c.id().equals(values.get(f.id()).typed()))
                        .map(Field.Choice::label)
                        .findFirst()
                        .orElseGet(() -> f.label() + " " + values.get(f.id()).typed()))
                .collect(Collectors.joining(", "));
    }

    private static Mark mark(PrepPlan plan, Course course) {
        if (plan.method().isEmpty() || course.isRepeating()) {
            return Mark.HOLD;
        }
        List<Course.Turn> gated =
                course.turns().stream().filter(t -> t.step().gate().isPresent()).toList();
        if (!gated.isEmpty() && gated.stream().allMatch(Course.Turn::isThrough)) {
            return plan.method().get().looksAgain() ? Mark.HOLD : Mark.DONE;
        }
        boolean begun = course.turns().stream()
                .anyMatch(t -> t.isThrough() || t.doneSoFar() > 0 || t.timer().isPresent());
        return begun ? Mark.IN_HAND : Mark.NOT_STARTED;
    }
}
