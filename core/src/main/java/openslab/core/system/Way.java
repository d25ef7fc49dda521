package openslab.core.system;

import java.util.List;
import openslab.core.quantity.Require;

/**
 * A way of laying one layer: its steps, one of which puts the material on the floor.
 *
 * @param id its word in the store, in files and in the API
 */
public record Way(String id, List<LayStep> steps) {
    public Way {
        steps = List.copyOf(steps);
        Require.that(
                steps.stream().filter(LayStep::coat).count() == 1,
                "exactly one step of a way puts the material on the floor, got %s",
                steps.stream().map(LayStep::id).toList());
    }

    /** The step that puts the material on the floor. */
    public LayStep coat() {
        return steps.stream().filter(LayStep::coat).findFirst().orElseThrow();
    }
}
