package openslab.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.prep.Course;
import openslab.core.prep.Deed;
import openslab.core.prep.Gate;
import openslab.core.prep.PrepMethod;
import openslab.core.prep.PrepPlan;
import openslab.core.prep.ProfileNeed;
import openslab.core.prep.Step;
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
     * @param started when its clock began; {@code ready} when it runs out
     * @param done who logged it done, and when
     */
    public record StepReport(
            String id,
            String title,
            String does,
            String why,
            String caution,
            int round,
            Course.State state,
            boolean timed,
            double waitMin,
            Optional<Instant> started,
            Optional<Instant> ready,
            Optional<By> done,
            Optional<GateReport> gate) {
        boolean complete() {
            return state == Course.State.DONE || state == Course.State.FAILED;
        }
    }

    /** @param key of the log entry */
    public record By(String key, String name, Instant at) {
        static By of(Deed deed) {
            return new By(deed.key(), deed.by(), deed.at());
        }
    }

    /** WAITING: an earlier gate has not passed. */
    public enum GateState {
        WAITING,
        OPEN,
        PASSED,
        FAILED
    }

    /** @param found what was keyed in last, in words; {@code by} who did */
    public record GateReport(
            String id,
            String title,
            List<Field> fields,
            String needed,
            String again,
            Source source,
            GateState state,
            String found,
            Optional<By> by) {}

    /** Whether it opens a surface to a profile: tile and vinyl have none. */
    public boolean opens() {
        return steps.stream()
                .anyMatch(s -> s.gate().map(g -> g.id().equals("profile")).orElse(false));
    }

    /** What nobody has finished, the next first. */
    List<StepReport> open() {
        return steps.stream().filter(s -> !s.complete()).toList();
    }

    /** The step that a failed gate makes somebody do again. */
    Optional<StepReport> repeating() {
        return open().stream().findFirst().filter(s -> s.round() > 1);
    }

    /** The step whose clock runs. */
    Optional<StepReport> running() {
        return open().stream().filter(s -> s.ready().isPresent()).findFirst();
    }

    static PrepReport of(ZoneFacts zone, ProfileNeed need, ProfileNeed byThickness, UnitSystem system) {
        PrepPlan plan = PrepLog.plan(zone, need, system);
        Course course = Course.of(plan.steps(), PrepLog.deeds(zone));
        return new PrepReport(
                plan.method().map(PrepMethod::id).orElse(""),
                plan.method().map(PrepMethod::title).orElse("No method fits"),
                plan.because(),
                need.text(),
                need.source(),
                byThickness.text(),
                course.turns().stream().map(PrepReport::step).toList(),
                plan.refused(),
                mark(plan, course));
    }

    private static StepReport step(Course.Turn turn) {
        Step step = turn.step();
        return new StepReport(
                step.id(),
                step.title(),
                step.does(),
                step.why(),
                step.caution(),
                turn.round(),
                turn.state(),
                step.isTimed(),
                step.waitMin(),
                turn.started(),
                turn.ready(),
                turn.done().map(By::of),
                step.gate().map(g -> gate(g, turn)));
    }

    private static GateReport gate(Gate gate, Course.Turn turn) {
        GateState state =
                switch (turn.state()) {
                    case WAITING -> GateState.WAITING;
                    case OPEN, RUNNING -> GateState.OPEN;
                    case DONE -> GateState.PASSED;
                    case FAILED -> GateState.FAILED;
                };
        return new GateReport(
                gate.id(),
                gate.title(),
                gate.fields(),
                gate.needed(),
                gate.again(),
                gate.source(),
                state,
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
        if (!gated.isEmpty() && gated.stream().allMatch(Course.Turn::complete)) {
            return plan.method().get().looksAgain() ? Mark.HOLD : Mark.DONE;
        }
        boolean begun = course.turns().stream()
                .anyMatch(t -> t.complete() || t.started().isPresent());
        return begun ? Mark.IN_HAND : Mark.NOT_STARTED;
    }
}
