package openslab.core.product;

import java.util.List;
import openslab.core.quantity.Require;

/**
 * Reacts with the lime in concrete; nothing lies on top of it.
 *
 * @param density kg/L
 * @param lookMin minutes until the first look at the colour; {@code usualMin} until it has usually come, {@code deepMin} for
 *     deep browns and black
 */
public record Stain(double density, Spread spread, double lookMin, double usualMin, double deepMin) implements Liquid {
    public Stain {
        Require.that(
                0 < lookMin && lookMin <= usualMin && usualMin <= deepMin,
                "a reaction is looked at before it is through, got %s, %s and %s min",
                lookMin,
                usualMin,
                deepMin);
    }

    @Override
    public Stain at(double rate) {
        return new Stain(density, spread.at(rate), lookMin, usualMin, deepMin);
    }

    @Override
    public Kind kind() {
        return Kind.STAIN;
    }

    @Override
    public double volumeSolids() {
        return 0;
    }

    @Override
    public List<Part> pouring() {
        return List.of(new Part("A", 1, density));
    }
}
