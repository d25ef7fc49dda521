package openslab.core.product;

import openslab.core.quantity.Require;

/**
 * What is mixed and spread.
 *
 * @param partsA by volume; {@code partsB} likewise, 0 for a one-part product
 * @param densityA kg/L
 * @param volumeSolids what stays, 0–1 of the mixed volume
 * @param spreadM2PerL how far a litre goes in one coat
 * @param firstIn which part goes into the bucket first
 */
public record Liquid(
        double partsA,
        double partsB,
        double densityA,
        double densityB,
        double volumeSolids,
        double spreadM2PerL,
        Part firstIn) {
    public enum Part {
        A,
        B
    }

    public Liquid {
        Require.positive(partsA, "parts A");
        Require.that(partsB >= 0, "parts B must be 0 or more, got %s", partsB);
        Require.positive(densityA, "density A");
        Require.that(partsB == 0 || densityB > 0, "density B must be above 0, got %s", densityB);
        Require.that(
                volumeSolids > 0 && volumeSolids <= 1,
                "volume solids must be above 0 and at most 1, got %s",
                volumeSolids);
        Require.positive(spreadM2PerL, "spread rate");
    }

    public boolean isTwoPart() {
        return partsB > 0;
    }
}
