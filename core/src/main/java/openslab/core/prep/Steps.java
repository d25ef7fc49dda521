package openslab.core.prep;

import java.util.ArrayList;
import java.util.List;
import openslab.core.course.Step;
import openslab.core.course.work.Work;
import openslab.core.floor.Substrate;
import openslab.core.prep.wash.Dose;
import openslab.core.quantity.Unit;
import openslab.core.silica.SilicaTask;
import openslab.core.survey.area.Defect;

/** Steps that many methods share. */
public final class Steps {
    /** Wash water and neutral pH take a night to leave concrete. */
    static final double CONCRETE_DRIES_H = 24;

    static final double VINYL_DRIES_H = 4;

    private static final double BAR_PER_PSI = Unit.PSI.toBase(1) * 10;

    static final String HOLLOW = "hollow";

    static final String DISPOSAL = "Wash water goes where local rules let it, not simply down the drain.";

    static final String ASSESSED = "Silica: not listed in Table 1, so exposure is assessed first.";

    static final String UNTRAINED = "The machine throws an untrained user.";

    private Steps() {}

    /** A ladder of strengths in a corner. @param dwellMin minutes that each stays on */
    static Step patch(Dose dose, double dwellMin) {
        return Step.of(
                        Works.PATCH_TEST,
                        "Try it weakest first",
                        "A hidden square of 1 ft, pre-damped: scrub fast, let it stand, flood off, look; then the next stronger.",
                        "Stronger than needed burns the surface for nothing.")
                .mixes(dose)
                .dwells(dwellMin)
                .until(Gates.patch());
    }

    /** CP: a patch ends at a line, not at a feather, and nothing of it runs over onto what is sound. */
    public static Step cutEdge() {
        return Step.of(
                Works.CUT_EDGE,
                "Cut its edge straight",
                "Snap lines a hand beyond what is loose, score through the old film, no deeper than the patch is thick.",
                "A feathered edge lifts first; a cut one holds and hides along its line.");
    }

    /** The tape of a patch lies on the floor, not on walls. */
    public static Step maskPatch() {
        return Step.of(
                Works.MASK,
                "Mask round the patch",
                "Tape on the sound floor, right along the cut.",
                "What runs over the edge stands there as a rim.");
    }

    /** What takes the cap off: cleared first, hollow places out, then the rest in its order. */
    static List<Step> opened(Condition condition, Step clear, String hollow, Step... rest) {
        var steps = new ArrayList<>(List.of(clear));
        if (condition.has(Defect.HOLLOW)) {
            steps.add(cutOutHollow(hollow));
        }
        steps.addAll(List.of(rest));
        return List.copyOf(steps);
    }

    /** @param title what is done; {@code does} what is marked */
    static Step clear(String title, String does, String why) {
        return Step.of(Works.SWEEP, title, does, why);
    }

    /** How much of it there is comes with what was drawn: {@link PrepPlan#hollow}. */
    private static Step cutOutHollow(String why) {
        return Step.of(
                        Works.BREAK_OUT,
                        "Cut out hollow places",
                        "Break out to sound concrete; it is patched before the floor is closed.",
                        why)
                .which(HOLLOW)
                .careful("Eyes, ears, dust: " + SilicaTask.CHIPPER.control() + ".")
                .until(Gates.sound());
    }

    static Step edges(Work work, String does, String why) {
        return Step.of(work, "Grind the edges by hand", does, why)
                .careful("Silica: " + SilicaTask.HAND_GRINDER.control() + ". Hearing protection, goggles.");
    }

    static Step dry(double hours, String does, String why) {
        return dry(hours, true, does, why);
    }

    /** Whether nothing insulating goes below, and nothing is blown over it: what goes on carries static away. */
    static boolean isStill(Condition condition, PrepNeed need) {
        return need.asks().still() || condition.substrate() == Substrate.STATIC_DISSIPATIVE;
    }

    /** The last step on a resilient floor: primed where it is worn, unless its sheet needs none or a primer would insulate. */
    static Step closeResilient(Condition condition, PrepNeed need) {
        if (isStill(condition, need)) {
            return Step.of(
                            Works.VACUUM_OFF,
                            "Residue off by hand, then vacuum",
                            "Corners and edges with a scraper and a damp cloth; no primer, it insulates.",
                            "What is left there keeps static from its way to earth.")
                    .until(Gates.noDust())
                    .closes();
        }
        return need.priming()
                ? Step.of(
                                Works.PRIME_WORN,
                                "Prime where it drinks or is worn",
                                "Where the print shows or water darkens it; a new floor needs none.",
                                "Where the wear layer is gone a finish sinks in.")
                        .until(Gates.noDust())
                        .closes()
                : vacuumLast("Vacuum and tack off");
    }

    /** A resilient floor, seams last. @param fan whether air may be moved over it */
    static Step dryResilient(boolean fan) {
        return dry(
                VINYL_DRIES_H,
                fan,
                fan ? "Seams last." : "Seams last; no fan, the finish that follows wants still air too.",
                "Water in a seam comes up through the finish.");
    }

    private static Step dry(double hours, boolean fan, String does, String why) {
        return Step.of(Works.DRY, "Dry " + words(hours), does, why)
                .dwells(Step.hours(hours))
                .until(Gates.dry(hours, fan));
    }

    private static String words(double hours) {
        return Math.round(hours) + " h";
    }

    /** After vacuuming. */
    static Step rub(String title, String does) {
        return Step.of(Works.VACUUM_OFF, title, does, "Dust is a release layer.")
                .until(Gates.rub())
                .closes();
    }

    static Step drop(String does, String why) {
        return Step.of(Works.CHECK, "Drop water once more", does, why)
                .which("drop")
                .until(Gates.soaks())
                .closes();
    }

    static Step compare(PrepNeed need, String does, String why) {
        return Step.of(Works.CHECK, "Compare the profile", does, why)
                .which("profile")
                .until(Gates.profile(need))
                .closes();
    }

    static Step vacuumLast(String title) {
        return Step.of(Works.VACUUM_OFF, title, "Edges, joints, doorways.", "Wind and boots bring it back.")
                .which("last")
                .until(Gates.noDust())
                .closes();
    }

    /** @param psi at the nozzle */
    static Step pressureWash(double psi, String does, String why) {
        String hard = Math.round(psi) + " psi (" + Math.round(psi * BAR_PER_PSI) + " bar)";
        return Step.of(Works.PRESSURE_WASH, "Pressure wash at " + hard, "Fan tip. " + does, why)
                .careful(DISPOSAL + " The jet cuts skin: boots and goggles.");
    }

    /** What follows a wash where the floor has to be dry: dried for a day, rubbed, dropped on, compared, blown off. */
    static List<Step> closedDry(Step wash, PrepNeed need, Condition condition) {
        Step dry = dry(
                CONCRETE_DRIES_H,
                condition.indoors()
                        ? "A fan is fine for wash water."
                        : "After rain in the night until no patch is dark.",
                "A damp pore takes no primer, and whitens a sealer.");
        return List.of(
                dry,
                Step.of(
                                Works.CHECK,
                                "Rub",
                                "Fingers across the dry floor.",
                                "Dust is a release layer: scrub and rinse it again.")
                        .which("rub")
                        .until(Gates.rub())
                        .failingRepeats(wash.id(), dry.id())
                        .closes(),
                drop("In three places.", "If water cannot get in, neither can what goes on."),
                compare(need, "By hand, against the plaques.", "Too smooth it lets go, too rough it shows."),
                vacuumLast(condition.indoors() ? "Vacuum right before coating" : "Blow it off right before coating"));
    }

    /** The same steps, the floor washed before it is closed where the system asks for that: blasting leaves dust in every pore. */
    static List<Step> washed(List<Step> steps, Opening opening, Condition condition) {
        if (opening.washPsi() == 0 || condition.indoors()) {
            return steps;
        }
        int at = 0;
        while (at < steps.size() && !steps.get(at).closing()) {
            at++;
        }
        var all = new ArrayList<>(steps);
        all.addAll(
                at,
                List.of(
                        pressureWash(
                                        opening.washPsi(),
                                        "Even passes, from the high side; every joint.",
                                        "Dust in the pores is a release layer.")
                                .until(Gates.residue()),
                        dry(
                                CONCRETE_DRIES_H,
                                "After rain in the night until no patch is dark.",
                                "A damp pore takes no primer.")));
        return List.copyOf(all);
    }

    /** @param again the step that is done again where something still lies on it */
    static Step blowOff(String again) {
        return Step.of(
                        Works.SWEEP,
                        "Blow it off",
                        "Joints and lows too; nobody walks on it after that.",
                        "Dust is a release layer.")
                .which("blow")
                .until(Gates.noDust())
                .failingRepeats(again)
                .closes();
    }

    /** The last step where the floor is another one afterwards. */
    static Step walkAgain(String does) {
        return Step.of(Works.WALK, "Walk it again", does, "A method chosen before the floor is known is a guess.")
                .closes();
    }
}
