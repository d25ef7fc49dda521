package openslab.core.mix.recipe;

/**
 * One thing to do while mixing, in order.
 *
 * @param part which part it is about; empty for all together
 * @param minutes how long, by the sheet; 0 where no time runs
 */
public record MixStage(Kind kind, String part, String words, double minutes) {
    /** What is done. */
    public enum Kind {
        STIR,
        POUR,
        COMBINE,
        STAND,
        SPREAD
    }
}
