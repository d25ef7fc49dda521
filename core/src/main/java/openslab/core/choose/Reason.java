package openslab.core.choose;

import openslab.core.quantity.Source;

/**
 * One thing that is said about a system for a floor.
 *
 * @param rule the id of the need or the rule that says it
 * @param words in a sentence
 */
public record Reason(String rule, Stance stance, String words, Source source) {
    /** How it is meant. */
    public enum Stance {
        FOR,
        AGAINST,
        /** Nothing else can outweigh it. */
        REFUSES
    }
}
