package openslab.server.form;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.job.LayerChoice;
import openslab.core.quantity.UnitSystem;

/**
 * What an entry of a log may speak of.
 *
 * @param layers the zone's layers, one list a cycle
 * @param unstruck the key of every entry that was not struck
 * @param latest nothing happened later than this
 */
public record LogScope(UnitSystem units, List<List<LayerChoice>> layers, Set<String> unstruck, Instant latest) {
    /** The ids of the layers of a cycle. */
    List<String> layersOf(int cycle) {
        return layers.get(cycle - 1).stream().map(LayerChoice::id).toList();
    }

    Optional<LayerChoice> layer(int cycle, String id) {
        return layers.get(cycle - 1).stream().filter(l -> l.id().equals(id)).findFirst();
    }
}
