package openslab.core.prep;

import java.util.List;
import java.util.Set;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** New resilient floors: the factory's film is dulled, not taken off. */
final class DullResilient implements PrepMethod {
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
    public String because(Condition condition, ProfileNeed need) {
        return "No old finish is on it: it is cleaned and dulled, so that the finish grips and the wear layer stays whole.";
    }

    @Override
    public List<Step> steps(Condition condition, ProfileNeed need) {
        return List.of(
                Step.of("Sweep, then dust-mop", "Seams too.", "Grit scratches deeper than any pad."),
                Step.of(
                                "Deep clean with neutral cleaner",
                                "8 fl oz to the gallon, half that where it is new; maroon or green pad, edges by hand.",
                                "Dull it, do not remove it: under the film there is only print.")
                        .careful("A 175 rpm machine throws an untrained user. Wet vinyl is slippery.")
                        .until(Gate.dull()),
                Step.of(
                                "Rinse twice",
                                "Separate mops for cleaner and rinse.",
                                "Cleaner left behind keeps a finish from filming.")
                        .until(Gate.residue()),
                Step.of("Dry 2 to 4 h", "Seams last.", "Water in a seam comes up through the finish.")
                        .until(Gate.dry(4)),
                Step.of(
                                "Prime where it drinks or is worn",
                                "Old, worn or porous: prime first; new: not needed.",
                                "Where the wear layer is gone a finish sinks in.")
                        .until(Gate.noDust()));
    }
}
