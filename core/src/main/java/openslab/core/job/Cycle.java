package openslab.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import openslab.core.prep.PrepAsks;

/**
 * One time that a zone is worked on. What is done, tested, mixed and coated belongs to the cycle it was done in; the next one
 * begins with an empty course on what this one left.
 *
 * @param number 1 the first time
 * @param began when somebody began it; {@code by} who, empty for the first
 * @param why in somebody's words; may be empty
 * @param patch the piece of the floor that a repair takes; empty where it is all of it
 * @param layers what goes on in it, from the slab upward; empty where nothing does
 * @param asks what the system that they are of says of how the floor is made ready
 */
public record Cycle(
        int number,
        CycleKind kind,
        Instant began,
        String by,
        String why,
        Optional<Patch> patch,
        List<LayerChoice> layers,
        PrepAsks asks) {
    public Cycle {
        layers = List.copyOf(layers);
    }

    /** The first: everything goes on. */
    public static Cycle first(List<LayerChoice> layers) {
        return new Cycle(1, CycleKind.COAT, Instant.EPOCH, "", "", Optional.empty(), layers, PrepAsks.NOTHING);
    }
}
