package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.quantity.Source;
import openslab.core.silica.SilicaTask;
import openslab.core.survey.area.Defect;

/** An overlay that water got under comes off, all of it; what is under it is looked at as a new floor. */
final class BreakOut implements PrepMethod {
    private static final About ABOUT = new About(
            "break-out",
            "Break the overlay out",
            Kinds.CONCRETE,
            Set.of(
                    Defect.FAILED_OVERLAY,
                    Defect.HOLLOW,
                    Defect.DUSTING,
                    Defect.SEALER,
                    Defect.POLISH,
                    Defect.PAINT,
                    Defect.OLD_COAT,
                    Defect.ANTIQUE,
                    Defect.OIL,
                    Defect.EFFLORESCENCE),
            0,
            0,
            Set.of(Demand.DUST, Demand.NOISE, Demand.IMPACT, Demand.FLYING),
            Source.commonPractice("a drummy overlay with water getting under comes off, all of it"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public List<String> refusals(Condition condition, PrepNeed need, SiteLimits site) {
        var reasons = new ArrayList<>(PrepMethod.super.refusals(condition, need, site));
        if (reasons.isEmpty() && !condition.has(Defect.FAILED_OVERLAY)) {
            reasons.add("No overlay has failed here.");
        }
        return reasons;
    }

    @Override
    public boolean looksAgain() {
        return true;
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return "The overlay has let go. Nothing that is put on it holds better than it does.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        return List.of(
                Step.of(
                                Works.SAW_UP,
                                "Saw it into pieces",
                                "To the depth of the overlay and no deeper.",
                                "Pieces come up; a whole sheet takes sound concrete along.")
                        .careful("Silica: " + SilicaTask.HANDHELD_SAW.control() + ". Eyes and ears."),
                Step.of(
                                Works.BREAK_OUT,
                                "Lift it with scrapers and light hammers",
                                "From the edge where it rings hollow.",
                                "What still holds in one place lets go next winter.")
                        .careful("Eyes, ears, dust: " + SilicaTask.CHIPPER.control() + ", a respirator indoors.")
                        .until(Gates.sound()),
                Step.of(Works.VACUUM_OFF, "Sweep and vacuum", "Joints too.", "The next look wants to see concrete.")
                        .until(Gates.rub()),
                Steps.walkAgain("Key in a new walk-over: the slab under it is another floor."));
    }
}
