package openslab.core.product;

import openslab.core.quantity.Require;

/**
 * Cement in bags, mixed with water and often with colour.
 *
 * @param bagKg as the label has it
 * @param yieldL litres that a bag makes, water in it
 * @param waterLeastL litres of water to a bag; {@code waterMostL} likewise
 * @param colourLeastL litres of colour to a bag, 0 where none goes in; {@code colourMostL} likewise
 * @param depthM how thick it is laid
 * @param liftM the thickest it may be laid at once
 */
public record Powder(
        double bagKg,
        double yieldL,
        double waterLeastL,
        double waterMostL,
        double colourLeastL,
        double colourMostL,
        double depthM,
        double liftM)
        implements Material {
    public Powder {
        Require.positive(bagKg, "bag");
        Require.positive(yieldL, "yield of a bag");
        Require.positive(waterLeastL, "water to a bag");
        Require.that(waterLeastL <= waterMostL, "least water is at most %s, got %s", waterMostL, waterLeastL);
        Require.that(
                0 <= colourLeastL && colourLeastL <= colourMostL,
                "least colour is 0 to %s, got %s",
                colourMostL,
                colourLeastL);
        Require.positive(depthM, "depth");
        Require.that(depthM <= liftM, "the depth is at most one lift of %s m, got %s", liftM, depthM);
    }

    @Override
    public Powder at(double rate) {
        return new Powder(bagKg, yieldL, waterLeastL, waterMostL, colourLeastL, colourMostL, rate, liftM);
    }

    @Override
    public Kind kind() {
        return Kind.POWDER;
    }

    /** m² that one bag covers. */
    public double bagM2() {
        return yieldL / 1000 / depthM;
    }
}
