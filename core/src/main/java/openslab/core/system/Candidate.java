package openslab.core.system;

import java.util.List;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Require;

/**
 * A system that might go on a floor, of the sheets that stand on the shelf.
 *
 * @param sheets of the layers that are always laid, from the floor upward
 * @param ways how each of them is laid
 */
public record Candidate(FloorSystem system, List<ProductSheet> sheets, List<Way> ways) {
    public Candidate {
        sheets = List.copyOf(sheets);
        ways = List.copyOf(ways);
        Require.that(sheets.size() == ways.size(), "%s has a way for each sheet", system.id());
    }

    /** The one that is walked on; what is thrown into a coat lies in it. */
    public ProductSheet top() {
        return sheets.get(topAt());
    }

    /** Its place among the sheets. */
    public int topAt() {
        int at = sheets.size() - 1;
        while (at > 0 && sheets.get(at).broadcast().isPresent()) {
            at--;
        }
        return at;
    }
}
