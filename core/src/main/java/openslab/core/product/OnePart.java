package openslab.core.product;

import java.util.List;
import openslab.core.quantity.Require;

/**
 * Ready in its can.
 *
 * @param density kg/L
 * @param volumeSolids 0–1
 */
public record OnePart(double density, double volumeSolids, Spread spread) implements Liquid {
    public OnePart {
        Require.solids(volumeSolids);
    }

    @Override
    public OnePart at(double rate) {
        return new OnePart(density, volumeSolids, spread.at(rate));
    }

    @Override
    public Kind kind() {
        return Kind.ONE_PART;
    }

    @Override
    public List<Part> pouring() {
        return List.of(new Part("A", 1, density));
    }
}
