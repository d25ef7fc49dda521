package openslab.core.system;

import java.util.List;
import openslab.core.product.ProductSheet;

/**
 * A system that might go on a floor, of the sheets that stand on the shelf.
 *
 * @param sheets of the layers that are always laid, from the floor upward
 */
public record Candidate(FloorSystem system, List<ProductSheet> sheets) {
    public Candidate {
        sheets = List.copyOf(sheets);
    }
}
