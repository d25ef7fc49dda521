package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.course.Gate;
import openslab.core.course.Step;
import openslab.core.prep.patch.Ladder;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Show;

/**
 * The method for a zone, or none with every reason why not.
 *
 * @param method empty when every method is refused
 */
public record PrepPlan(
        ProfileNeed need, Optional<PrepMethod> method, String because, List<Step> steps, List<Refused> refused) {
    /**
     * A method that cannot be used here, and each reason.
     *
     * @param elsewhere whether it is for other floors altogether
     */
    public record Refused(String method, String title, boolean elsewhere, List<String> reasons) {}

    private static final double UNDRAWN_M2 = 1;
    private static final String UNDRAWN = "Nobody has drawn them on the survey yet: 1 m² (11 ft²) is reckoned.";

    /** What one method would do here, refused or not. */
    public static PrepPlan by(PrepMethod method, Condition condition, ProfileNeed need) {
        return new PrepPlan(
                need, Optional.of(method), method.because(condition, need), method.steps(condition, need), List.of());
    }

    public static PrepPlan choose(Condition condition, ProfileNeed need, SiteLimits site) {
        var refused = new ArrayList<Refused>();
        PrepMethod chosen = null;
        for (PrepMethod method : PrepMethods.ALL) {
            List<String> reasons =
                    condition.unsampled() ? List.of(Condition.UNSAMPLED) : method.refusals(condition, need, site);
            if (!reasons.isEmpty()) {
                boolean elsewhere = method.elsewhere(condition).isPresent();
                refused.add(new Refused(method.id(), method.title(), elsewhere, reasons));
            } else if (chosen == null) {
                chosen = method;
            } else {
                refused.add(new Refused(
                        method.id(),
                        method.title(),
                        false,
                        List.of(chosen.title() + " or " + Show.lower(method.title()) + ", never both for one coat.")));
            }
        }
        if (chosen == null) {
            return new PrepPlan(need, Optional.empty(), "Every method is refused here; see why.", List.of(), refused);
        }
        return new PrepPlan(
                need, Optional.of(chosen), chosen.because(condition, need), chosen.steps(condition, need), refused);
    }

    /** The same plan with {@code repairs} before the floor is closed; a floor that is looked at again is not repaired yet. */
    public PrepPlan with(List<Step> repairs) {
        if (repairs.isEmpty() || method.map(PrepMethod::looksAgain).orElse(true)) {
            return this;
        }
        int at = 0;
        while (at < steps.size() && !steps.get(at).closing()) {
            at++;
        }
        var all = new ArrayList<>(steps);
        all.addAll(at, repairs);
        return new PrepPlan(need, method, because, List.copyOf(all), refused);
    }

    /**
     * The same plan with so much hollow to be cut out.
     *
     * @param m2 as drawn; 0 where a walk-over heard it and nobody has drawn it yet
     */
    public PrepPlan hollow(double m2) {
        return new PrepPlan(
                need,
                method,
                because,
                steps.stream()
                        .map(s -> !s.id().endsWith("." + Steps.HOLLOW)
                                ? s
                                : m2 > 0 ? s.over(m2) : s.over(UNDRAWN_M2).adding(" " + UNDRAWN))
                        .toList(),
                refused);
    }

    /** The same plan with what a test patch found: what is tried first stands on the floor as long as the square stood. */
    public PrepPlan patched(List<Ladder.Square> squares) {
        return new PrepPlan(
                need,
                method,
                because,
                steps.stream()
                        .map(s -> Dose.of(s)
                                .filter(d -> d.tried() && !s.isPatch())
                                .flatMap(d -> Ladder.winner(d.any(), squares))
                                .filter(l -> l.winnerMin() > 0)
                                .map(l -> s.dwells(l.winnerMin()))
                                .orElse(s))
                        .toList(),
                refused);
    }

    /** The same plan with one more step before its last; a floor that is looked at again is not closed yet. */
    public PrepPlan beforeLast(Step step) {
        if (method.map(PrepMethod::looksAgain).orElse(true)) {
            return this;
        }
        var all = new ArrayList<>(steps);
        all.add(all.size() - 1, step);
        return new PrepPlan(need, method, because, List.copyOf(all), refused);
    }

    /** The same plan, done in these steps. */
    public PrepPlan in(List<Step> done) {
        return new PrepPlan(need, method, because, done, refused);
    }

    public List<Gate> gates() {
        return Step.gatesOf(steps);
    }
}
