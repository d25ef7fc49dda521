package openslab.server.form;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import openslab.core.quantity.UnitSystem;

/**
 * What an entry of a log may speak of.
 *
 * @param layers the zone's layer ids, one list a cycle
 * @param unstruck the key of every entry that was not struck
 * @param latest nothing happened later than this
 */
public record LogScope(UnitSystem units, List<List<String>> layers, Set<String> unstruck, Instant latest) {
    List<String> layersOf(int cycle) {
        return layers.get(cycle - 1);
    }
}
