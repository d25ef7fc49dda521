package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Chemical removal of sealer, wax or antique where nothing may be ground; then the floor is looked at again. */
final class StripSealer implements PrepMethod {
    private static final About ABOUT = new About(
            "strip",
            "Strip and test again",
            Kinds.CONCRETE,
            Set.of(Defect.SEALER, Defect.POLISH, Defect.ANTIQUE, Defect.CURING_COMPOUND),
            0,
            0,
            Set.of(Demand.WASH_WATER, Demand.FUMES),
            Source.commonPractice("strippers for sealer are messy; mild descaler for antique only"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public List<String> refusals(Condition condition, ProfileNeed need, SiteLimits site) {
        var reasons = new ArrayList<>(PrepMethod.super.refusals(condition, need, site));
        if (byDescaler(condition)) {
            reasons.addAll(site.against(Set.of(Demand.ACID)));
        }
        boolean film = condition.has(Defect.SEALER, Defect.POLISH, Defect.ANTIQUE, Defect.CURING_COMPOUND);
        return reasons.isEmpty() && !film ? List.of("There is no sealer, wax or antique here to strip.") : reasons;
    }

    /** Antique alone is lifted with a mild acid, whatever covers it with a stripper. */
    private static boolean byDescaler(Condition condition) {
        return condition.has(Defect.ANTIQUE) && !condition.has(Defect.SEALER, Defect.POLISH, Defect.CURING_COMPOUND);
    }

    @Override
    public boolean looksAgain() {
        return true;
    }

    @Override
    public String because(Condition condition, ProfileNeed need) {
        return "A film is on the floor and grinding is not possible here: it is dissolved, and the floor tested again before anything is chosen.";
    }

    @Override
    public List<Step> steps(Condition condition, ProfileNeed need) {
        boolean antique = byDescaler(condition);
        return List.of(
                Step.of(
                        "Try it weakest first",
                        "A hidden square of 1 ft, pre-damped: scrub, wait 2 min, flood off, look; then the next stronger mix.",
                        "Stronger than needed burns the surface for nothing."),
                Step.of(
                                antique
                                        ? "Lift the antique with mild descaler"
                                        : "Lay the stripper on and let it dwell",
                                antique
                                        ? "The weakest mix that worked, section by section; acid into water."
                                        : "Until a foot rub lifts the film; keep it wet.",
                                "A film half off is harder to see than one that is on.")
                        .careful(
                                "Gloves, goggles, fresh air, no flame. Never acid with stripper, never either with bleach."),
                Step.of(
                                "Pick the slurry up, rinse twice",
                                "Fresh water, separate buckets.",
                                "Residue is a release layer.")
                        .careful("Slurry goes where local rules let it, not simply down the drain.")
                        .until(Gate.residue()),
                Step.of("Dry 24 h", "A fan is fine for wash water.", "A drop on a wet floor says nothing.")
                        .until(Gate.dry(24)),
                Step.of(
                                "Drop water again",
                                "Where the film was, and beside it.",
                                "If it still beads, some of it is left.")
                        .until(Gate.soaks()),
                Step.walkAgain("Key in a new walk-over: the profile is opened by what is found then."));
    }
}
