package openslab.core.prep;

import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.quantity.Source;
import openslab.core.survey.area.Defect;

/** Steel cutters on a drum: for thick builds and stubborn films where there is no power for shot; it leaves grooves. */
final class Scarify implements PrepMethod {
    private static final About ABOUT = new About(
            "scarify",
            "Scarify",
            Kinds.CONCRETE,
            Set.of(
                    Defect.SEALER,
                    Defect.CURING_COMPOUND,
                    Defect.PAINT,
                    Defect.OLD_COAT,
                    Defect.ADHESIVE,
                    Defect.ANTIQUE,
                    Defect.RELEASE_POWDER,
                    Defect.EFFLORESCENCE,
                    Defect.DUSTING,
                    Defect.HOLLOW),
            4,
            7,
            Set.of(Demand.DUST, Demand.NOISE, Demand.IMPACT, Demand.ABRASION),
            Source.published("ICRI 310.2R: CSP 4 to 7, from memory"));

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
            case OIL, SILICONE -> "cutters beat it in";
            case POLISH -> "soft films clog the cutters";
            default -> "it has to come off whole first";
        };
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        return "This build-up asks for " + need.text()
                + ", which diamonds do not reach; cutters do it without three-phase power, and leave grooves.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        return Steps.washed(
                Steps.opened(
                        condition,
                        Steps.clear(
                                "Clear, sweep and vacuum",
                                "Mark joints, bolts and drains: cutters on steel throw sparks and break.",
                                "A joint that was cut over is wider for good."),
                        "Cutters tear a drummy layer out in lumps.",
                        Step.of(
                                        Works.SCARIFY,
                                        "Scarify the field",
                                        "Light passes, crossing; a short lane first, then compare.",
                                        "It bruises the concrete below it: no deeper than the film and the need ask for.")
                                .careful("A trained hand, hearing protection, goggles. " + Steps.ASSESSED)
                                .until(Gates.profile(need)),
                        Steps.edges(
                                Works.HAND_GRIND_FILM,
                                "Walls, columns and doorways, to the line of the machine.",
                                "The drum stays off every wall."),
                        Steps.rub("Vacuum, then rub", "Fingers across the grooves, at edges and in the middle."),
                        Steps.drop("Where a film was.", "It proves that nothing was missed."),
                        Steps.vacuumLast("Vacuum again right before coating")),
                need.opening(this, condition),
                condition);
    }
}
