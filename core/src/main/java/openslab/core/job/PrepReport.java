package openslab.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.prep.Condition;
import openslab.core.prep.Gate;
import openslab.core.prep.PrepMethod;
import openslab.core.prep.PrepPlan;
import openslab.core.prep.ProfileNeed;
import openslab.core.prep.Step;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Value;

/**
 * The preparation of a zone and how far it is.
 *
 * @param method empty when every method is refused
 * @param byThickness what the published table asks for a film this thick, beside what the sheets ask
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

    public record StepReport(String title, String does, String why, String caution, Optional<GateReport> gate) {}

    /** WAITING: an earlier gate has not passed. */
    public enum GateState {
        WAITING,
        OPEN,
        PASSED,
        FAILED
    }

    /** @param found what was keyed in last, in words; {@code entry} the log entry that holds it */
    public record GateReport(
            String id,
            String title,
            List<Field> fields,
            String needed,
            String again,
            Source source,
            GateState state,
            String found,
            Optional<LogEntry> entry) {}

    /** Whether it opens a surface to a profile: tile and vinyl have none. */
    public boolean opens() {
        return steps.stream()
                .anyMatch(s -> s.gate().map(g -> g.id().equals("profile")).orElse(false));
    }

    static PrepReport of(ZoneFacts zone, ProfileNeed need, ProfileNeed byThickness) {
        PrepPlan plan = PrepPlan.choose(Condition.of(zone.survey(), zone.substrate()), need, zone.site());
        var steps = new ArrayList<StepReport>();
        var states = new ArrayList<GateState>();
        for (Step step : plan.steps()) {
            Optional<GateReport> gate = step.gate().map(g -> {
                boolean before = states.stream().allMatch(s -> s == GateState.PASSED);
                GateReport report = report(g, zone, before);
                states.add(report.state());
                return report;
            });
            steps.add(new StepReport(step.title(), step.does(), step.why(), step.caution(), gate));
        }
        return new PrepReport(
                plan.method().map(PrepMethod::id).orElse(""),
                plan.method().map(PrepMethod::title).orElse("No method fits"),
                plan.because(),
                need.text(),
                need.source(),
                byThickness.text(),
                steps,
                plan.refused(),
                mark(plan, states));
    }

    private static GateReport report(Gate gate, ZoneFacts zone, boolean allBeforePassed) {
        Optional<LogEntry> entry = zone.newest(LogEntry.Kind.GATE, gate.id());
        GateState state = entry.map(e -> gate.passes().test(e.values()) ? GateState.PASSED : GateState.FAILED)
                .orElse(allBeforePassed ? GateState.OPEN : GateState.WAITING);
        return new GateReport(
                gate.id(),
                gate.title(),
                gate.fields(),
                gate.needed(),
                gate.again(),
                gate.source(),
                state,
                entry.map(e -> found(gate, e.values())).orElse(""),
                entry);
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

    private static Mark mark(PrepPlan plan, List<GateState> states) {
        if (plan.method().isEmpty() || states.contains(GateState.FAILED)) {
            return Mark.HOLD;
        }
        if (!states.isEmpty() && states.stream().allMatch(s -> s == GateState.PASSED)) {
            return plan.method().get().looksAgain() ? Mark.HOLD : Mark.DONE;
        }
        return states.contains(GateState.PASSED) ? Mark.IN_HAND : Mark.NOT_STARTED;
    }
}
