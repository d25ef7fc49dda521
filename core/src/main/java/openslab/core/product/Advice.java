package openslab.core.product;

import java.util.Objects;
import java.util.Optional;

/**
 * What a sheet says in words. What it is silent about is told as it holds for any product that is mixed so.
 *
 * @param mixing how it is stirred and poured; empty where the sheet is silent
 * @param care how the finished floor is looked after; empty likewise
 * @param note anything else
 */
public record Advice(String mixing, String care, String note) {
    public static final Advice NONE = new Advice("", "", "");

    private static final String TWO_PARTS =
            "Tare the vessel to zero. Whole ratio, never a little more hardener for the cold. Stir each part first, then both"
                    + " together 3 min, slowly, sides and bottom; out of the bucket at once: a full one heats up and runs away."
                    + " Gloves and goggles: hardeners can make skin sensitive for good.";
    private static final String ONE_PART =
            "Stir it in its can, slowly, sides and bottom, until it is even; whip no air in. Close the can between coats.";
    private static final String CARE =
            "Fading, or water that no longer beads, is the cue to come sooner. The sheet says what it is cleaned with, and what"
                    + " must not go on it.";

    public Advice {
        Objects.requireNonNull(mixing, "mixing");
        Objects.requireNonNull(care, "care");
        Objects.requireNonNull(note, "note");
    }

    public static Advice note(String note) {
        return new Advice("", "", note);
    }

    /** How it is mixed: the sheet's own words, else those for its number of parts. Empty for what is thrown. */
    String mixing(Optional<Liquid> liquid) {
        return !mixing.isEmpty()
                ? mixing
                : liquid.map(l -> l.isTwoPart() ? TWO_PARTS : ONE_PART).orElse("");
    }

    /** How the floor is looked after: the sheet's own words, else that the sheet has to say it. */
    String careOr() {
        return care.isEmpty() ? CARE : care;
    }
}
