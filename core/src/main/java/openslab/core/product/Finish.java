package openslab.core.product;

import java.util.List;
import openslab.core.quantity.Require;

/**
 * A floor finish or wax: thin coats of one part that are laid again and again, and taken off with a stripper.
 *
 * @param density kg/L
 * @param volumeSolids 0–1
 */
public record Finish(double density, double volumeSolids, Spread spread) implements Liquid {
    public Finish {
        Require.solids(volumeSolids);
    }

    @Override
    public Finish at(double rate) {
        return new Finish(density, volumeSolids, spread.at(rate));
    }

    @Override
    public Kind kind() {
        return Kind.FINISH;
    }

    @Override
    public List<Part> pouring() {
        return List.of(new Part("A", 1, density));
    }
}
