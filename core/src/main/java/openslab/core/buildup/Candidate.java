package openslab.core.buildup;

import java.util.List;
import openslab.core.product.ProductSheet;

/**
 * A build-up that might go on a floor.
 *
 * @param id its word in the store and the API
 * @param note what it is for, in a sentence
 * @param sheets from the slab upward
 */
public record Candidate(String id, String title, String note, List<ProductSheet> sheets) {
    public Candidate {
        sheets = List.copyOf(sheets);
    }
}
