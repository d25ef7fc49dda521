package openslab.core.prep;

import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.floor.Substrate;
import openslab.core.prep.Opening.Manner;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Old finish on resilient floors: stripped wet, never sanded. */
final class StripResilient implements PrepMethod {
    private static final double SPREAD = 6;
    private static final double DWELLS_MIN = 10;

    private static final About ABOUT = new About(
            "strip-finish",
            "Strip the finish",
            Kinds.RESILIENT,
            Set.of(Defect.POLISH, Defect.SEALER, Defect.OLD_COAT, Defect.FACTORY_FILM, Defect.OIL, Defect.DUSTING),
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
    public List<String> refusals(Condition condition, PrepNeed need, SiteLimits site) {
        List<String> reasons = PrepMethod.super.refusals(condition, need, site);
        boolean old = condition.has(Defect.POLISH, Defect.SEALER, Defect.OLD_COAT, Defect.OIL)
                || need.opening(this, condition).is(Manner.STRIPPED);
        return reasons.isEmpty() && !old ? List.of("No old finish is on it: stripping would only wear it.") : reasons;
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        if (condition.substrate() == Substrate.STATIC_DISSIPATIVE) {
            return "Old finish is on it, and wears unevenly: it comes off wet. Only a finish made for static goes on after, no wax and no ordinary seal: they insulate.";
        }
        return "Old finish is on it, layer over layer: it comes off wet, and what is under it is rinsed clean.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        boolean still = Steps.isStill(condition, need);
        Step lay = lay("A foot rub says when; keep it wet.");
        Step rinse = Step.of(
                        Works.RINSE,
                        "Rinse twice",
                        "Separate buckets and mops for strip, rinse and finish.",
                        "Residue makes the finish powder off.")
                .careful("Slippery. " + Steps.DISPOSAL)
                .until(Gates.residue());
        return List.of(
                Step.of(
                        Works.DUST_MOP,
                        "Sweep, then dust-mop",
                        "Seams too.",
                        "Grit under a black pad cuts the wear layer."),
                lay,
                Step.of(
                                Works.SCRUB_OFF,
                                "Scrub it off",
                                "175 rpm machine, black pad; square pad along the walls; pick the slurry up before it dries.",
                                "Polish in the corners shows first.")
                        .careful(Steps.UNTRAINED)
                        .until(Gates.nothingLifts())
                        .failingRepeats(lay.id()),
                rinse,
                Steps.dryResilient(!still),
                Steps.closeResilient(condition, need));
    }

    /** Stripper as the label has it for heavy wax. */
    static Step lay(String does) {
        return Step.of(
                        Works.STRIP,
                        "Lay the stripper and let it dwell",
                        does,
                        "Stripper that dries lays the film down again.")
                .careful(Chemical.Family.STRIPPER.caution())
                .mixes(Dose.of(SPREAD, Chemical.STRIPPER))
                .dwells(DWELLS_MIN);
    }
}
