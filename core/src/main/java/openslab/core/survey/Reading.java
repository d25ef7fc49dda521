package openslab.core.survey;

import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import openslab.core.quantity.Value;
import openslab.core.survey.instrument.Instrument;

/**
 * What one person found at one place.
 *
 * @param key the log entry that holds it
 * @param place where on the floor, in the crew's words
 * @param at when it was read, not when it was keyed in
 * @param instrument empty where nobody said what it was read with
 */
public record Reading(
        String key,
        String method,
        String place,
        Instant at,
        String by,
        Map<String, Value> values,
        Optional<Instrument> instrument) {
    public Reading {
        values = Map.copyOf(values);
    }

    /** In the field's base unit. */
    public double number(String field) {
        return valueOf(field).base();
    }

    public String choice(String field) {
        return valueOf(field).typed();
    }

    public boolean yes(String field) {
        return choice(field).equals("yes");
    }

    private Value valueOf(String field) {
        Value value = values.get(field);
        if (value == null) {
            throw new IllegalStateException(
                    "reading " + key + " by " + method + " has no " + field + ", has " + values);
        }
        return value;
    }
}
