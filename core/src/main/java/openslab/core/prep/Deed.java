package openslab.core.prep;

import java.time.Instant;
import java.util.Map;
import openslab.core.quantity.Value;

/**
 * Something that was done about a preparation.
 *
 * @param subject of a test its gate's id, otherwise its step's
 */
public record Deed(String key, Kind kind, String subject, Instant at, String by, Map<String, Value> values) {
    /** What was done. */
    public enum Kind {
        BEGUN,
        DONE,
        TESTED
    }
}
