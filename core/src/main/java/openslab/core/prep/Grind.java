package openslab.core.prep;

import java.util.List;
import java.util.Set;
import openslab.core.course.Step;
import openslab.core.prep.Opening.Manner;
import openslab.core.quantity.Source;
import openslab.core.silica.SilicaTask;
import openslab.core.survey.area.Defect;

/** Diamond grinding: takes films off and opens the cap to about CSP 3. */
final class Grind implements PrepMethod {
    static final String ID = "grind";

    private static final About ABOUT = new About(
            ID,
            "Grind",
            Kinds.CONCRETE,
            Set.of(
                    Defect.SEALER,
                    Defect.POLISH,
                    Defect.CURING_COMPOUND,
                    Defect.PAINT,
                    Defect.OLD_COAT,
                    Defect.ADHESIVE,
                    Defect.ANTIQUE,
                    Defect.RELEASE_POWDER,
                    Defect.EFFLORESCENCE,
                    Defect.FACTORY_FILM,
                    Defect.DUSTING,
                    Defect.HOLLOW),
            1,
            3,
            Set.of(Demand.DUST, Demand.NOISE, Demand.ABRASION),
            Source.published("ICRI 310.2R: about CSP 1 to 3, from memory"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean takesTheCap() {
        return true;
    }

    @Override
    public String unknown() {
        return "; grinding smears oil in";
    }

    @Override
    public String cannot(Defect defect) {
        return switch (defect) {
            case OIL, SILICONE -> "grinding smears it in";
            default -> "it has to come off whole first";
        };
    }

    @Override
    public String because(Condition condition, PrepNeed need) {
        if (condition.film()) {
            return "There is a film on the floor: any film under a bonded system is ground off.";
        }
        return "It takes off whatever is on the cap and opens the concrete to " + need.text() + " without wetting it.";
    }

    @Override
    public List<Step> steps(Condition condition, PrepNeed need) {
        boolean film = condition.film();
        Opening opening = need.opening(this, condition);
        boolean filmOnly = opening.is(Manner.FILM_ONLY);
        return Steps.washed(
                Steps.opened(
                        condition,
                        Steps.clear(
                                "Clear, sweep and vacuum",
                                "Mark nails, bolts, drains and every joint.",
                                "A bolt ruins a set of diamonds, and a joint not marked is a joint buried."),
                        "A drummy layer lets go later and takes the floor with it.",
                        Steps.edges(
                                film ? Works.HAND_GRIND_FILM : Works.HAND_GRIND,
                                "Walls, columns and doorways, to the line the machine will meet.",
                                "The machine does not reach them, and edges peel first."),
                        Step.of(
                                        film ? Works.GRIND_FILM : Works.GRIND,
                                        "Grind the field",
                                        filmOnly
                                                ? "Until the film is off and no further: fine tooling, light passes, crossing."
                                                : "Go on past any film until the aggregate shows, even in colour, passes crossing."
                                                        + (opening.is(Manner.TO_STONE)
                                                                ? " Waves make the machine wander and low places keep film: a second pass, or by hand."
                                                                : ""),
                                        filmOnly
                                                ? "What goes on colours the face: where stone shows it is another colour."
                                                : "The cap is weak and closed; the film has to hold in the concrete below it.")
                                .careful("The machine pulls: a trained hand on it, hearing protection. Silica: "
                                        + SilicaTask.FLOOR_GRINDER.control() + ".")
                                .until(Gates.profile(need)),
                        Steps.rub("Vacuum, then rub", "Fingers across the dry floor, at edges and in the middle."),
                        Steps.drop(
                                "At the places that were tested before, and where a film was taken off.",
                                "It proves that the pores are open and nothing was missed."),
                        Steps.vacuumLast("Dry, and vacuum again right before coating")),
                opening,
                condition);
    }
}
