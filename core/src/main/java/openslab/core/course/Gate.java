package openslab.core.course;

import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Value;

/**
 * A quick test that lets the next step start.
 *
 * @param needed what passes, in words
 * @param again what to do when it fails
 * @param ladder whether a failure is a rung of a ladder and undoes nothing
 */
public record Gate(
        String id,
        String title,
        List<Field> fields,
        String needed,
        String again,
        Source source,
        boolean ladder,
        Predicate<Map<String, Value>> passes) {

    /** The field that says how long it was dry, where a gate asks; it cannot be longer than since it was wet. */
    public static final String DRIED = "dried";

    public Gate {
        fields = List.copyOf(fields);
    }

    /** Whether {@code choice} was chosen for {@code field}. */
    public static boolean is(Map<String, Value> values, String field, String choice) {
        return values.get(field).typed().equals(choice);
    }
}
