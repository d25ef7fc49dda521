package openslab.core.prep;

import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.floor.Substrate;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** New resilient floors: the factory's film is dulled, not taken off. */
final class DullResilient implements PrepMethod {
    private static final Dose FULL = Dose.of(10, Chemical.NEUTRAL_CLEANER);
    /** CP: 8 fl oz to the gallon, half that where it is new or clean. */
    private static final Dose HALF = FULL.at("4 fl oz/gal");

    private static final About ABOUT = new About(
            "dull",
            "Clean and dull",
            Kinds.RESILIENT,
            Set.of(Defect.FACTORY_FILM, Defect.DUSTING),
            0,
            0,
            Set.of(Demand.WASH_WATER),
            Source.commonPractice("maroon or green pad: dull it, do not remove it"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public String cannot(Defect defect) {
        return "it has to be stripped first";
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        if (condition.substrate() == Substrate.STATIC_DISSIPATIVE) {
            return "It is cleaned and dulled so that the finish grips. Only a finish made for static goes on, no wax and no ordinary seal: they insulate.";
        }
        return "No old finish is on it: it is cleaned and dulled, so that the finish grips and the wear layer stays whole.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        boolean worn = condition.has(Defect.WORN);
        return List.of(
                Step.of(Works.DUST_MOP, "Sweep, then dust-mop", "Seams too.", "Grit scratches deeper than any pad."),
                Step.of(
                                Works.SCUFF,
                                "Deep clean with neutral cleaner",
                                worn
                                        ? "Full strength: it is worn. Maroon or green pad, edges by hand."
                                        : "Half as strong as for a dirty floor; maroon or green pad, edges by hand.",
                                "Dull it, do not remove it: under the film there is only print.")
                        .careful(Steps.UNTRAINED + " Wet vinyl is slippery.")
                        .mixes(worn ? FULL : HALF)
                        .until(Gates.dull()),
                Step.of(
                                Works.RINSE,
                                "Rinse twice",
                                "Separate mops for cleaner and rinse.",
                                "Cleaner left behind keeps a finish from filming.")
                        .until(Gates.residue()),
                Steps.dryResilient(!Steps.isStill(condition, need)),
                Steps.closeResilient(condition, need));
    }
}
