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

    /** One look with two answers. @param passLabel what passes, as the choice and as the rule; {@code again} what is done where it fails */
    public static Gate either(
            String id, String title, String pass, String passLabel, String fail, String failLabel, String again) {
        Field field = Field.choice(id, title, new Field.Choice(pass, passLabel), new Field.Choice(fail, failLabel));
        return new Gate(
                id,
                title,
                List.of(field),
                passLabel.toLowerCase(java.util.Locale.ROOT),
                again,
                Source.commonPractice(""),
                false,
                v -> is(v, id, pass));
    }

    /** The same gate of a course among others. @param prefix what its id begins with there */
    public Gate in(String prefix) {
        return new Gate(prefix + id, title, fields, needed, again, source, ladder, passes);
    }

    /** Whether {@code choice} was chosen for {@code field}. */
    public static boolean is(Map<String, Value> values, String field, String choice) {
        return values.get(field).typed().equals(choice);
    }
}
