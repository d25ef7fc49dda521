package openslab.core.quantity;

import java.util.Map;
import java.util.stream.Collectors;

/**
 * What was keyed into a field.
 *
 * @param typed as it was written; for a choice, its id
 * @param base in the base unit; 0 for a choice
 */
public record Value(String typed, double base) {
    /** What each field is in its base unit. */
    public static Map<String, Double> bases(Map<String, Value> values) {
        return values.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue().base()));
    }
}
