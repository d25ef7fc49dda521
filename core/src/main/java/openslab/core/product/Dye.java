package openslab.core.product;

import java.util.List;

/**
 * Colour in a solvent that is gone in seconds; it lies in the pores.
 *
 * @param density kg/L
 * @param solvent what carries it
 */
public record Dye(double density, Solvent solvent, Spread spread) implements Liquid {
    public enum Solvent {
        ACETONE,
        WATER
    }

    @Override
    public Dye at(double rate) {
        return new Dye(density, solvent, spread.at(rate));
    }

    @Override
    public Kind kind() {
        return Kind.DYE;
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
