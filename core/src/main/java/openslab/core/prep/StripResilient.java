package openslab.core.prep;

import java.util.List;
import java.util.Set;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Old finish on resilient floors: stripped wet, never sanded. */
final class StripResilient implements PrepMethod {
    private static final About ABOUT = new About(
            "strip-finish",
            "Strip the finish",
            Kinds.RESILIENT,
            Set.of(Defect.POLISH, Defect.SEALER, Defect.FACTORY_FILM, Defect.OIL, Defect.DUSTING),
            0,
            0,
            Set.of(Demand.WASH_WATER, Demand.NOISE),
            Source.commonPractice("16 fl oz to the gallon; 175 rpm machine, black pad, square pad at the walls"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public String cannot(Defect defect) {
        return defect == Defect.HOLLOW ? "loose planks and tiles are laid again first" : "no wet stripper takes it off";
    }

    @Override
    public List<String> refusals(Condition condition, ProfileNeed need, SiteLimits site) {
        List<String> reasons = PrepMethod.super.refusals(condition, need, site);
        boolean old = condition.has(Defect.POLISH, Defect.SEALER, Defect.OIL);
        return reasons.isEmpty() && !old ? List.of("No old finish is on it: stripping would only wear it.") : reasons;
    }

    @Override
    public String because(Condition condition, ProfileNeed need) {
        return "Old finish is on it, layer over layer: it comes off wet, and what is under it is rinsed clean.";
    }

    @Override
    public List<Step> steps(Condition condition, ProfileNeed need) {
        return List.of(
                Step.of("Sweep, then dust-mop", "Seams too.", "Grit under a black pad cuts the wear layer."),
                Step.of(
                                "Lay the stripper and let it dwell",
                                "16 fl oz to the gallon; a foot rub says when; keep it wet.",
                                "Stripper that dries lays the film down again.")
                        .careful("Slippery. Gloves and goggles, fresh air. Never with bleach or acid."),
                Step.of(
                                "Scrub it off",
                                "175 rpm machine, black pad; square pad along the walls; pick the slurry up before it dries.",
                                "Polish in the corners shows first.")
                        .careful("The machine throws an untrained user.")
                        .until(Gate.nothingLifts()),
                Step.of(
                                "Rinse twice",
                                "Separate buckets and mops for strip, rinse and finish.",
                                "Residue makes the finish powder off.")
                        .until(Gate.residue()),
                Step.of("Dry 2 to 4 h", "Seams last.", "Water in a seam comes up through the finish.")
                        .until(Gate.dry(4)),
                Step.of(
                                "Prime where it is worn",
                                "Where the print shows or water darkens it.",
                                "A worn floor drinks unevenly.")
                        .until(Gate.noDust()));
    }
}
