package openslab.core.product;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Require;

/**
 * A and B, and where the sheet says so a reducer as a third part: always the whole ratio.
 *
 * @param volumeSolids 0–1 of the mix
 * @param firstIn which part goes into the bucket first
 */
public record TwoPart(Part a, Part b, Optional<Part> reducer, double volumeSolids, Spread spread, First firstIn)
        implements Liquid {
    public enum First {
        A,
        B
    }

    public TwoPart {
        Require.solids(volumeSolids);
    }

    @Override
    public TwoPart at(double rate) {
        return new TwoPart(a, b, reducer, volumeSolids, spread.at(rate), firstIn);
    }

    /** The same, poured in this order. */
    public TwoPart first(First in) {
        return new TwoPart(a, b, reducer, volumeSolids, spread, in);
    }

    @Override
    public Kind kind() {
        return Kind.TWO_PART;
    }

    @Override
    public List<Part> parts() {
        var parts = new ArrayList<>(List.of(a, b));
        reducer.ifPresent(parts::add);
        return List.copyOf(parts);
    }

    @Override
    public List<Part> pouring() {
        var order = new ArrayList<>(parts());
        if (firstIn == First.B) {
            Collections.swap(order, 0, 1);
        }
        return List.copyOf(order);
    }
}
