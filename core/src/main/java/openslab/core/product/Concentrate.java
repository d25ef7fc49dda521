package openslab.core.product;

import java.util.List;
import openslab.core.quantity.Require;

/**
 * Let down with water before it is spread.
 *
 * @param water parts of water to one of it
 * @param density kg/L, of the concentrate
 * @param volumeSolids 0–1 of what is spread, water in it
 * @param spread of what is spread
 */
public record Concentrate(double water, double density, double volumeSolids, Spread spread) implements Liquid {
    private static final double WATER_KG_PER_L = 0.998;

    public Concentrate {
        Require.positive(water, "parts of water");
        Require.that(volumeSolids >= 0 && volumeSolids <= 1, "volume solids are 0 to 1, got %s", volumeSolids);
    }

    @Override
    public Concentrate at(double rate) {
        return new Concentrate(water, density, volumeSolids, spread.at(rate));
    }

    @Override
    public Kind kind() {
        return Kind.CONCENTRATE;
    }

    /** Water first: the concentrate sinks into it and is stirred in. */
    @Override
    public List<Part> pouring() {
        return List.of(new Part("Water", water, WATER_KG_PER_L), new Part("Concentrate", 1, density));
    }

    @Override
    public double packedShare() {
        return 1 / (1 + water);
    }
}
