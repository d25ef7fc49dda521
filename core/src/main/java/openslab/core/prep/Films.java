package openslab.core.prep;

import openslab.core.course.Step;
import openslab.core.floor.Substrate;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;

/** Steps of a floor whose film stays. */
final class Films {
    private static final Dose DEGREASER = Dose.of(10, Chemical.DEGREASER);

    private Films() {}

    static Step sweep() {
        return Step.of(Works.DUST_MOP, "Sweep, then dust-mop", "Joints and edges too.", "Grit scratches a film.");
    }

    static Step degrease() {
        return Step.of(
                        Works.DEGREASE,
                        "Degrease",
                        "Where it is greasy and an arm's length round it; soft brush, and again until a cloth stays clean.",
                        "Grease is spread by the first mop that meets it.")
                .careful(Chemical.DEGREASER.family().caution())
                .mixes(DEGREASER)
                .until(Gates.wiped());
    }

    static Step rinse() {
        return Step.of(
                        Works.RINSE,
                        "Rinse twice",
                        "Separate mops for cleaner and rinse.",
                        "Cleaner left behind dries to a haze, and keeps a coat from filming.")
                .careful(Steps.DISPOSAL)
                .until(Gates.residue());
    }

    /** A film drinks nothing: what is on it leaves as fast as from vinyl. */
    static Step dry(Condition condition, PrepNeed need) {
        return condition.substrate().family() == Substrate.Family.RESILIENT || Steps.isStill(condition, need)
                ? Steps.dryResilient(!Steps.isStill(condition, need))
                : Steps.dry(
                        Steps.VINYL_DRIES_H,
                        "Joints last; a fan is fine for wash water.",
                        "Water in a joint comes up under the next coat.");
    }
}
