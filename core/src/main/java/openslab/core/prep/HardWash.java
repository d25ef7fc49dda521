package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** A worn slab outdoors, rough enough by itself: washed hard, nothing loose left on it. */
final class HardWash implements PrepMethod {
    /** CP: 3000 psi or more. */
    private static final double USUAL_PSI = 3000;
    /** OURS: a walk that is worn until stone shows is rough enough for any cement coat, unless somebody compared it. */
    private static final double WORN_CSP = 10;

    private static final About ABOUT = new About(
            "hard-wash",
            "Pressure wash",
            Kinds.CONCRETE,
            Set.of(Defect.RELEASE_POWDER, Defect.EFFLORESCENCE, Defect.DUSTING, Defect.HOLLOW),
            0,
            0,
            Set.of(Demand.WASH_WATER, Demand.FLYING),
            Source.commonPractice("3000 psi or more outdoors, in methodical passes"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isOnlyAsked() {
        return true;
    }

    @Override
    public List<String> refusals(Condition condition, PrepNeed need, SiteLimits site) {
        var reasons = new ArrayList<>(PrepMethod.super.refusals(condition, need, site));
        if (elsewhere(condition, need).isPresent()) {
            return reasons;
        }
        condition.tooSmooth(need, WORN_CSP).ifPresent(reasons::add);
        if (condition.indoors()) {
            reasons.add("Indoors there is nowhere for so much water to go.");
        }
        return reasons;
    }

    @Override
    public Optional<String> closed() {
        return Optional.of("Water beads: something is on the floor that water does not take off.");
    }

    @Override
    public Optional<String> young() {
        return Optional.of("The concrete is green: a hard jet cuts it.");
    }

    @Override
    public String cannot(Defect defect) {
        return "water does not take it off";
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return "The face is worn rough already: it wants everything loose off and the pores washed out, and nothing ground.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        double psi = need.opening(this, condition).washPsi();
        Step wash = Steps.pressureWash(
                        psi > 0 ? psi : USUAL_PSI,
                        "Even passes, joints and edges too; what the jet lifts is loose and comes off.",
                        "Dust and scale are a release layer.")
                .until(Gates.residue());
        var rest = new ArrayList<Step>();
        rest.add(wash);
        rest.addAll(Steps.closedDry(wash, need, condition));
        return Steps.opened(
                condition,
                Steps.clear("Sweep and blow", "Joints and edges too.", "What is swept is not turned to mud."),
                "A drummy layer lets go later and takes the coat with it.",
                rest.toArray(Step[]::new));
    }
}
