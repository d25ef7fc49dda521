package openslab.core.prep;

import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Steel shot in a closed head: for overlays and thick builds, where diamonds leave too little to hold on to. */
final class ShotBlast implements PrepMethod {
    private static final About ABOUT = new About(
            "shot-blast",
            "Shot-blast",
            Kinds.CONCRETE,
            Set.of(
                    Defect.SEALER,
                    Defect.CURING_COMPOUND,
                    Defect.PAINT,
                    Defect.OLD_COAT,
                    Defect.ANTIQUE,
                    Defect.RELEASE_POWDER,
                    Defect.EFFLORESCENCE,
                    Defect.DUSTING,
                    Defect.HOLLOW),
            3,
            9,
            Set.of(Demand.DUST, Demand.NOISE, Demand.THREE_PHASE, Demand.IMPACT, Demand.ABRASION),
            Source.published("ICRI 310.2R: CSP 3 to 9 by the size of the shot, from memory"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean takesTheCap() {
        return true;
    }

    @Override
    public String cannot(Defect defect) {
        return switch (defect) {
            case OIL, SILICONE -> "shot carries it over the whole floor";
            case POLISH, ADHESIVE -> "soft films only glaze under shot";
            default -> "it has to come off whole first";
        };
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return "This build-up asks for " + need.text() + ", which diamonds do not reach.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        return Steps.washed(
                Steps.opened(
                        condition,
                        Steps.clear(
                                "Clear, sweep and vacuum",
                                "Mark joints, bolts and drains; tape over what shot must not enter.",
                                "Shot finds every gap, and comes out under somebody's boots."),
                        "Shot opens a drummy layer without taking it off.",
                        Step.of(
                                        Works.SHOT_BLAST,
                                        "Blast the field",
                                        "Lanes side by side, overlapping by an inch; start with a short lane and compare.",
                                        "Speed and shot set the profile; a stripe shows through every coat.")
                                .careful(
                                        "A trained hand on the machine, goggles, hearing protection; nobody in front of it. "
                                                + Steps.ASSESSED)
                                .until(Gates.profile(need)),
                        Steps.edges(
                                Works.HAND_GRIND,
                                "Walls, columns and doorways, to the line of the machine.",
                                "The machine stays a hand's breadth off every wall."),
                        Steps.rub(
                                "Pick the shot up, vacuum, rub",
                                "Magnet first, joints too: a pellet under a film rusts."),
                        Steps.drop("Where a film was.", "It proves that nothing was missed."),
                        Steps.vacuumLast("Vacuum again right before coating")),
                need.opening(this, condition),
                condition);
    }
}
