package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.floor.Ground;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** A worn film gets its top coat again: washed, dulled, wiped; over another film only after a square of it held. */
final class DullFilm implements PrepMethod {
    private static final Dose CLEANER = Dose.of(10, Chemical.NEUTRAL_CLEANER);
    private static final Dose STRIPPER = Dose.of(4, Chemical.STRIPPER).weakestFirst();
    private static final double LIFTS_MIN = 10;
    /** OURS: a coin proves nothing on a film that is still soft. */
    private static final double SETS_H = 24;

    private static final About ABOUT = new About(
            "dull-film",
            "Wash, dull and wipe",
            Kinds.ANY,
            Set.of(Defect.OIL, Defect.SILICONE, Defect.SEALER, Defect.POLISH, Defect.DUSTING),
            0,
            0,
            Set.of(Demand.WASH_WATER),
            Source.commonPractice(
                    "the same coat over itself after a wash; nothing over wax, urethane or an unknown film without a test patch"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isForGround(Condition condition, PrepNeed need) {
        return condition.ground() == Ground.OWN_FILM || condition.ground() == Ground.OTHER_FILM;
    }

    @Override
    public String cannot(Defect defect) {
        return "it stays under the new coat; mend it first, or take the film off and recoat";
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return condition.ground() == Ground.OWN_FILM
                ? "The same sheet goes over itself: a wash, dulled all over, wiped; no test patch is needed."
                : "Another sheet goes over this film: it is washed and dulled, and a square of the new coat has to hold first.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        var steps = new ArrayList<Step>();
        steps.add(Films.sweep());
        if (condition.has(Defect.SEALER, Defect.POLISH)) {
            steps.add(Steps.patch(STRIPPER, LIFTS_MIN));
            steps.add(Step.of(
                            Works.STRIP,
                            "Lift the wax",
                            "The weakest mix that worked; wet, and off the film as soon as the wax lets go.",
                            "Wax under a coat browns, peels, and takes it along.")
                    .careful("No flame. " + Chemical.STRIPPER.family().caution())
                    .mixes(STRIPPER)
                    .dwells(LIFTS_MIN)
                    .until(Gates.nothingLifts()));
        }
        if (condition.greasy()) {
            steps.add(Films.degrease());
        }
        steps.add(Step.of(
                        Works.SCUFF,
                        "Wash and dull",
                        "Neutral cleaner, maroon pad, all over, edges by hand; a film that is worn through in places is scuffed no further there.",
                        "A cured film takes no other on until its shine is broken.")
                .careful(Steps.UNTRAINED + " A wet film is slippery.")
                .mixes(CLEANER)
                .until(Gates.dull()));
        steps.add(Films.rinse());
        steps.add(Films.dry(condition, need));
        if (condition.ground() == Ground.OTHER_FILM) {
            steps.add(Step.of(
                            Works.PATCH_TEST,
                            "Try the new coat on the old film",
                            "A square of 1 ft where nobody looks, at its own rate; look at it when it has set, then a coin.",
                            "Two films of two makers may not know each other.")
                    .which("coat")
                    .dwells(Step.hours(SETS_H))
                    .until(Gates.holds()));
        }
        steps.add(Step.of(
                        Works.WIPE,
                        "Wipe with a tack cloth",
                        "One way, a fresh side often; nobody walks on it after that.",
                        "Dust is a release layer.")
                .until(Gates.noDust())
                .closes());
        return List.copyOf(steps);
    }
}
