package openslab.core.quantity;

/**
 * One line of working. A given has an empty formula; a step's formula uses the symbols of lines above it.
 *
 * @param symbol one word, as the formulas below write it
 * @param meaning what the symbol stands for
 * @param formula in symbols, {@code + - × · / ^ ( )} and ln, exp, ceil, min, max; empty for a given
 * @param value in {@code unit}, not in its base unit
 */
public record Line(String symbol, String meaning, String formula, double value, Unit unit) {
    public boolean isGiven() {
        return formula.isEmpty();
    }

    /** "4.503846 lb/1000 ft²/24 h" */
    public String shown() {
        return Show.withUnit(Show.exact(value), unit);
    }
}
