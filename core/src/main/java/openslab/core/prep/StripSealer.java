package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Chemical removal of sealer, wax or antique where nothing may be ground; then the floor is looked at again. */
final class StripSealer implements PrepMethod {
    private static final Dose STRIPPER = Dose.of(4, Chemical.STRIPPER).weakestFirst();
    private static final Dose DESCALER = Dose.of(3, Chemical.DESCALER).weakestFirst();
    private static final double PATCH_MIN = 2;
    private static final double LIFTS_MIN = 10;
    private static final String HALF_OFF = "A film half off is harder to see than one that is on.";

    static final String ID = "strip";

    private static final About ABOUT = new About(
            ID,
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
    public List<String> refusals(Condition condition, PrepNeed need, SiteLimits site) {
        // salt and powder are washed off what the film leaves: the floor is looked at again anyway
        Condition filmed = condition.without(Defect.EFFLORESCENCE, Defect.RELEASE_POWDER);
        var reasons = new ArrayList<>(PrepMethod.super.refusals(filmed, need, site));
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
    public String because(Condition condition, PrepNeed need) {
        return "A film is on the floor: it is dissolved, the face stays as it is, and the floor is tested again before anything is chosen.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        Dose dose = byDescaler(condition) ? DESCALER : STRIPPER;
        Step lift = byDescaler(condition)
                ? Step.of(
                        Works.DESCALE,
                        "Lift the antique with mild descaler",
                        "The weakest mix that worked, section by section; acid into water.",
                        HALF_OFF)
                : Step.of(
                        Works.STRIP,
                        "Lay the stripper on and let it dwell",
                        "The weakest mix that worked, until a foot rub lifts the film; keep it wet.",
                        HALF_OFF);
        Step rinse = Step.of(
                        Works.RINSE,
                        "Pick the slurry up, rinse twice",
                        "Fresh water, separate buckets.",
                        "Residue is a release layer.")
                .careful(Steps.DISPOSAL)
                .until(Gates.residue());
        Step dry = Steps.dry(
                Steps.CONCRETE_DRIES_H, "A fan is fine for wash water.", "A drop on a wet floor says nothing.");
        return List.of(
                Steps.patch(dose, PATCH_MIN),
                lift.careful("No flame. " + dose.any().get(0).family().caution())
                        .mixes(dose)
                        .dwells(LIFTS_MIN),
                rinse,
                dry,
                Step.of(
                                Works.CHECK,
                                "Drop water again",
                                "Where the film was, and beside it.",
                                "If it still beads, some of it is left.")
                        .which("drop")
                        .until(Gates.soaks())
                        .failingRepeats(lift.id(), rinse.id(), dry.id()),
                Steps.walkAgain("Key in a new walk-over: the profile is opened by what is found then."));
    }
}
