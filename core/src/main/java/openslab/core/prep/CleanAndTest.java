package openslab.core.prep;

import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Clean, then look again: nothing is opened while something unknown or greasy is on it. */
final class CleanAndTest implements PrepMethod {
    static final Dose DOSE = Dose.of(4, Chemical.DEGREASER);

    /** Degreaser stands before it is scrubbed. */
    static final double STANDS_MIN = 10;

    private static final About ABOUT = new About(
            "clean-and-test",
            "Clean and test again",
            Kinds.CONCRETE,
            Set.of(Defect.OIL, Defect.SILICONE, Defect.EFFLORESCENCE),
            0,
            0,
            Set.of(Demand.WASH_WATER),
            Source.commonPractice(""));

    @Override
    public About about() {
        return ABOUT;
    }

    /** Whatever else is on the floor is dealt with once it is clean. */
    @Override
    public List<String> refusals(Condition condition, PrepNeed need, SiteLimits site) {
        if (elsewhere(condition, need).isPresent()) {
            return List.of(elsewhere(condition, need).get());
        }
        if (condition.known(need) && !condition.greasy()) {
            return List.of(
                    "The floor was walked and dropped on, and no oil was found: there is nothing to clean first.");
        }
        if (condition.known(need) && condition.has(Defect.FAILED_OVERLAY)) {
            return List.of("What is greasy comes off with the overlay that has let go.");
        }
        // a floor that nobody knows is looked at first, wet or not
        return condition.known(need) ? site.against(ABOUT.demands()) : List.of();
    }

    @Override
    public boolean looksAgain() {
        return true;
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return condition.known(need)
                ? "Oil or grease was found. Grinding smears it in and acid cannot get through it."
                : "Nobody has said what is on this floor: the walk-over or the water drop is missing.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        Step degrease = Step.of(
                        Works.DEGREASE,
                        "Degrease and scrub",
                        "Work in sections; scrub joints and corners by hand.",
                        "Oil sits deepest where the pad does not reach.")
                .careful(Chemical.Family.ALKALI.caution())
                .mixes(DOSE)
                .dwells(STANDS_MIN);
        Step rinse = Step.of(
                        Works.RINSE,
                        "Rinse each section with fresh water",
                        "Pick the water up before it dries.",
                        "Dirty rinse water lays the oil down again as a thin film.")
                .careful(Steps.DISPOSAL)
                .until(Gates.residue());
        return List.of(
                Step.of(
                        Works.SWEEP,
                        "Sweep and vacuum",
                        "Edges and joints too.",
                        "Grit under a scrubber scratches and turns to slurry."),
                degrease,
                rinse,
                Step.of(
                                Works.CHECK,
                                "Drop water again",
                                "At every place that beaded and at every stain.",
                                "If water cannot get in, neither can the primer.")
                        .which("drop")
                        .until(Gates.soaks())
                        .failingRepeats(degrease.id(), rinse.id()),
                Steps.walkAgain("Key in a new walk-over: the method is chosen from what is found then."));
    }
}
