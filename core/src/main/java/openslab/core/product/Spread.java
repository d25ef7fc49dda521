package openslab.core.product;

import openslab.core.quantity.Require;

/**
 * How far a litre goes in one coat, m².
 *
 * @param leastM2PerL the thickest coat that the sheet allows; {@code mostM2PerL} the thinnest
 * @param usualM2PerL what is reckoned with
 */
public record Spread(double leastM2PerL, double usualM2PerL, double mostM2PerL) {
    public Spread {
        Require.positive(leastM2PerL, "least spread rate");
        Require.that(
                leastM2PerL <= usualM2PerL && usualM2PerL <= mostM2PerL,
                "a spread rate lies within its range, got %s of %s to %s",
                usualM2PerL,
                leastM2PerL,
                mostM2PerL);
    }

    /** One rate, and no range. */
    public static Spread of(double m2PerL) {
        return new Spread(m2PerL, m2PerL, m2PerL);
    }

    /** The same range, or one as wide as it takes, reckoned with {@code m2PerL}. */
    Spread at(double m2PerL) {
        return new Spread(Math.min(leastM2PerL, m2PerL), m2PerL, Math.max(mostM2PerL, m2PerL));
    }

    /** Whether the sheet gives a range. */
    public boolean isRange() {
        return leastM2PerL < mostM2PerL;
    }
}
