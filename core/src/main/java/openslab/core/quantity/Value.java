package openslab.core.quantity;

/**
 * What was keyed into a field.
 *
 * @param typed as it was written; for a choice, its id
 * @param base in the base unit; 0 for a choice
 */
public record Value(String typed, double base) {}
