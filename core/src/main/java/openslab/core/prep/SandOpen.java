package openslab.core.prep;

import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** A burnished slab, bare and yet closed, is sanded to a light suede: it drinks again, and keeps the lime that a stain reacts with. */
final class SandOpen implements PrepMethod {
    /** No screen reaches the lows of a stamp. */
    private static final Set<Substrate> FLAT =
            Set.of(Substrate.BARE_CONCRETE, Substrate.COATED_CONCRETE, Substrate.OVERLAY);

    private static final About ABOUT = new About(
            "sand-open",
            "Sand it open",
            FLAT,
            Set.of(Defect.DUSTING, Defect.EFFLORESCENCE),
            1,
            1,
            Set.of(Demand.DUST, Demand.ABRASION),
            Source.commonPractice(
                    "the feel of 200 to 300 grit, a light suede: open, not rough; the grits on the way there are ours"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isOnlyAsked() {
        return true;
    }

    @Override
    public String unknown() {
        return "; paper clogs in wax and smears oil";
    }

    @Override
    public String cannot(Defect defect) {
        return "paper clogs in it, and the pores stay shut";
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return condition.beads().orElse(false)
                ? "Water stands and no film was found: the face is burnished. Fine screens open it, and the lime stays."
                : "Fine screens give it the feel of a light suede, and the lime stays.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        Step sand = Step.of(
                        Works.SAND_OPEN,
                        "Sand it to a light suede",
                        "Screens of 80 grit where it is slick, then 120, last 200; even passes, edges by hand with the same grits.",
                        "A face that shines drinks nowhere; one that is ground shows stone instead of colour.")
                .careful("Silica dust: a vacuum at the machine, a respirator. " + Steps.UNTRAINED)
                .until(Gates.dull());
        return List.of(
                Step.of(
                                Works.SOLVENT_WIPE,
                                "Wipe a corner with solvent",
                                "A white cloth, in three places.",
                                "Colour or a smear on the cloth is a sealer that nobody found: then it is stripped, not sanded.")
                        .careful("Flammable: no flame, no spark, fresh air, gloves.")
                        .over(1)
                        .until(Gates.wiped()),
                Steps.clear(
                        "Sweep and vacuum",
                        "Edges and joints too.",
                        "Grit under a screen scratches what the stain then shows."),
                sand,
                Steps.rub("Vacuum, then rub", "Fingers across the dry floor, at edges and in the middle."),
                Steps.drop(
                                "Where water stood before, and in the middle.",
                                "Where water cannot get in, stain cannot either.")
                        .failingRepeats(sand.id()),
                Steps.vacuumLast("Vacuum again right before the stain"));
    }
}
