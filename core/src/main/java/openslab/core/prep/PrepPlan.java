package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.course.Gate;
import openslab.core.course.Step;
import openslab.core.prep.patch.Ladder;
import openslab.core.prep.wash.Dose;

/**
 * The method for a zone, or none with every reason why not.
 *
 * @param method empty when every method is refused
 * @param because why it is the one
 * @param fits every method that nothing stands against, the best first
 * @param against why the method that is being done would not be chosen now; empty where it would
 */
public record PrepPlan(
        PrepNeed need,
        Optional<PrepMethod> method,
        String because,
        List<Step> steps,
        List<Fit> fits,
        List<Refused> refused,
        List<String> against) {
    /** A method that does it here. @param because why it does; {@code why} why the system takes it, empty where it says nothing */
    public record Fit(PrepMethod method, String because, String why) {
        static Fit of(PrepMethod method, Condition condition, PrepNeed need) {
            return new Fit(
                    method,
                    method.because(condition, need),
                    need.opening(method, condition).why());
        }
    }

    /**
     * A method that cannot be used here, and each reason.
     *
     * @param elsewhere whether it is for other floors altogether
     */
    public record Refused(String method, String title, boolean elsewhere, List<String> reasons) {}

    private static final double UNDRAWN_M2 = 1;
    private static final String UNDRAWN = "Nobody has drawn them on the survey yet: 1 m² (11 ft²) is reckoned.";

    /** What one method would do here, refused or not. */
    public static PrepPlan by(PrepMethod method, Condition condition, PrepNeed need) {
        return new PrepPlan(
                need,
                Optional.of(method),
                method.because(condition, need),
                method.steps(condition, need),
                List.of(),
                List.of(),
                List.of());
    }

    /** The best of what fits. */
    public static PrepPlan choose(Condition condition, PrepNeed need, SiteLimits site) {
        return choose(condition, need, site, "");
    }

    /** @param wanted the method that somebody chose: it is taken where it fits; empty for the best */
    public static PrepPlan choose(Condition condition, PrepNeed need, SiteLimits site, String wanted) {
        var fits = new ArrayList<Fit>();
        var refused = new ArrayList<Refused>();
        for (PrepMethod method : PrepMethods.inOrder(condition, need)) {
            List<String> reasons = refusals(method, condition, need, site);
            if (reasons.isEmpty()) {
                fits.add(Fit.of(method, condition, need));
            } else {
                boolean elsewhere = method.elsewhere(condition, need).isPresent();
                refused.add(new Refused(method.id(), method.title(), elsewhere, reasons));
            }
        }
        if (fits.isEmpty()) {
            return new PrepPlan(
                    need,
                    Optional.empty(),
                    "Every method is refused here; see why.",
                    List.of(),
                    List.of(),
                    refused,
                    List.of());
        }
        Fit chosen = fits.stream()
                .filter(f -> f.method().id().equals(wanted))
                .findFirst()
                .orElse(fits.get(0));
        return new PrepPlan(
                need,
                Optional.of(chosen.method()),
                chosen.because(),
                chosen.method().steps(condition, need),
                List.copyOf(fits),
                refused,
                List.of());
    }

    /** Why a method is not used on such a floor; empty where it can be. */
    private static List<String> refusals(PrepMethod method, Condition condition, PrepNeed need, SiteLimits site) {
        return condition.unsampled() && !method.elsewhere(condition, need).isPresent()
                ? List.of(Condition.UNSAMPLED)
                : method.refusals(condition, need, site);
    }

    /**
     * The method that was begun goes on, whatever was learnt since; what stands against it now is told. It does not where what goes on
     * was changed for something that asks for another way.
     *
     * @param then the floor as it was when the method was begun
     */
    public PrepPlan goingOn(PrepMethod begun, Condition then, Condition now, SiteLimits site) {
        if (!begun.refusals(then, need, SiteLimits.NONE).isEmpty()) {
            return this;
        }
        var stands = new ArrayList<>(begun.inTheWay(now, need));
        stands.removeAll(begun.inTheWay(then, need));
        if (now.unsampled() && !then.unsampled()) {
            stands.add(0, Condition.UNSAMPLED);
        }
        stands.addAll(site.against(begun.about().demands()));
        return new PrepPlan(
                need,
                Optional.of(begun),
                begun.because(then, need),
                begun.steps(then, need),
                fits,
                refused,
                List.copyOf(stands));
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
        return in(all);
    }

    /**
     * The same plan with so much hollow to be cut out.
     *
     * @param m2 as drawn; 0 where a walk-over heard it and nobody has drawn it yet
     */
    public PrepPlan hollow(double m2) {
        return in(steps.stream()
                .map(s -> !s.id().endsWith("." + Steps.HOLLOW)
                        ? s
                        : m2 > 0 ? s.over(m2) : s.over(UNDRAWN_M2).adding(" " + UNDRAWN))
                .toList());
    }

    /** The same plan with what a test patch found: what is tried first stands on the floor as long as the square stood. */
    public PrepPlan patched(List<Ladder.Square> squares) {
        return in(steps.stream()
                .map(s -> Dose.of(s)
                        .filter(d -> d.tried() && !s.isPatch())
                        .flatMap(d -> Ladder.winner(d.any(), squares))
                        .filter(l -> l.winnerMin() > 0)
                        .map(l -> s.dwells(l.winnerMin()))
                        .orElse(s))
                .toList());
    }

    /** The same plan with what its system wants done besides; a floor that is looked at again is not made ready yet. */
    public PrepPlan extras(boolean indoors) {
        if (method.map(PrepMethod::looksAgain).orElse(true)) {
            return this;
        }
        List<Extra> here =
                need.asks().extras().stream().filter(x -> x.isFor(indoors)).toList();
        List<Extra> first = here.stream().filter(Extra::isFirst).toList();
        List<Extra> late = here.stream().filter(x -> !x.isFirst()).toList();
        var all = new ArrayList<>(steps);
        all.addAll(all.size() - 1, late.stream().map(Extra::step).toList());
        all.addAll(0, first.stream().map(Extra::step).toList());
        return in(all);
    }

    /**
     * The same plan for a patch: where its old film is taken off by machine, its edge is cut right after it is cleared. What is only
     * washed or etched has no edge to cut.
     */
    public PrepPlan cut(Step edge) {
        if (method.filter(PrepMethod::takesTheCap).isEmpty()) {
            return this;
        }
        var all = new ArrayList<>(steps);
        all.add(1, edge);
        return in(all);
    }

    /**
     * The same plan with what keeps walls clean: nothing sticks to a wet floor, so right before the last step where it has dried by
     * then, and before the first water where it is left damp. A floor that is looked at again is not closed yet.
     */
    public PrepPlan masked(Step step) {
        if (method.map(PrepMethod::looksAgain).orElse(true)) {
            return this;
        }
        boolean dries = gates().stream().anyMatch(g -> g.id().equals(Gates.DRY));
        int at = 0;
        while (at < steps.size() - 1 && (dries || !steps.get(at).work().isWet())) {
            at++;
        }
        var all = new ArrayList<>(steps);
        all.add(at, step);
        return in(all);
    }

    /** The same plan, done in these steps. */
    public PrepPlan in(List<Step> done) {
        return new PrepPlan(need, method, because, List.copyOf(done), fits, refused, against);
    }

    public List<Gate> gates() {
        return Step.gatesOf(steps);
    }
}
