package openslab.core.choose;

import java.util.List;
import java.util.Optional;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.product.Exposure;
import openslab.core.product.ProductSheet;
import openslab.core.product.Suits;
import openslab.core.product.Traits;
import openslab.core.quantity.Figure;
import openslab.core.system.Candidate;
import openslab.core.system.Face;
import openslab.core.system.FloorSystem;

/**
 * A system as it would be on one floor.
 *
 * @param closed until people walk on it again, waiting alone; empty where a sheet does not say
 */
public record Offer(Candidate candidate, Substrate substrate, Use use, Exposure exposure, Optional<Figure> closed) {
    public FloorSystem system() {
        return candidate.system();
    }

    public Face face() {
        return system().face();
    }

    public ProductSheet top() {
        return candidate.top();
    }

    /** What is said of a thing by the sheet that is walked on. */
    boolean suits(Suits what) {
        return top().traits().suits().contains(what);
    }

    /** How much of the floor is seen through everything that is laid. */
    Traits.Opacity opacity() {
        return candidate.sheets().stream()
                .map(s -> s.traits().opacity())
                .max(Enum::compareTo)
                .orElse(Traits.Opacity.UNSAID);
    }

    /** Those whose sheets say that they smell so. */
    List<String> smelling(Traits.Odour odour) {
        return candidate.sheets().stream()
                .filter(s -> s.broadcast().isEmpty() && s.traits().odour() == odour)
                .map(ProductSheet::name)
                .distinct()
                .toList();
    }
}
