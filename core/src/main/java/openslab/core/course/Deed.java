package openslab.core.course;

import java.time.Instant;
import java.util.Map;
import openslab.core.quantity.Value;

/**
 * Something that was done about a course.
 *
 * @param subject of a test its gate's id, otherwise its step's
 * @param note why it was done so, where somebody said
 */
public record Deed(
        String key, Kind kind, String subject, Instant at, String by, String note, Map<String, Value> values) {
    /** What was done. */
    public enum Kind {
        BEGUN,
        DONE,
        TESTED
    }
}
