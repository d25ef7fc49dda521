package openslab.core.quantity;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * One thing keyed in: a quantity with its range, a choice, or a few words.
 *
 * @param us the unit of a bare number on a US job; {@code metric} likewise
 * @param min lowest accepted, base unit, inclusive; {@code max} likewise
 * @param choices empty for a quantity
 * @param words whether it is words: at most {@code max} characters of them
 * @param hint what to write, or empty
 * @param needed false where it may be left out
 */
public record Field(
        String id,
        String label,
        Unit us,
        Unit metric,
        double min,
        double max,
        List<Choice> choices,
        String hint,
        boolean needed,
        boolean words) {
    public record Choice(String id, String label) {}

    /** Longer words are no figure and no name. */
    private static final int LONGEST = 80;

    public Field {
        choices = List.copyOf(choices);
    }

    public static Field quantity(String id, String label, Unit us, Unit metric, double min, double max, String hint) {
        return new Field(id, label, us, metric, min, max, List.of(), hint, true, false);
    }

    public static Field quantity(String id, String label, Unit unit, double min, double max, String hint) {
        return quantity(id, label, unit, unit, unit.toBase(min), unit.toBase(max), hint);
    }

    public static Field choice(String id, String label, Choice... choices) {
        return new Field(id, label, Unit.ONE, Unit.ONE, 0, 0, List.of(choices), "", true, false);
    }

    /** @param longest in characters, at most {@value #LONGEST} */
    public static Field words(String id, String label, int longest, String hint) {
        Require.that(longest <= LONGEST, "words are kept up to " + LONGEST + " characters, got %s", longest);
        return new Field(id, label, Unit.ONE, Unit.ONE, 1, longest, List.of(), hint, true, true);
    }

    public static Field yesNo(String id, String label) {
        return choice(id, label, new Choice("no", "No"), new Choice("yes", "Yes"));
    }

    /** The same field, which may be left out. */
    public Field ifWanted() {
        return new Field(id, label, us, metric, min, max, choices, hint, false, words);
    }

    public Unit unit(UnitSystem system) {
        return system == UnitSystem.US ? us : metric;
    }

    /**
     * What was typed into {@code fields}, by id.
     *
     * @param group the path of the map the fields stand in
     * @throws InvalidInput naming every fault at once: unreadable, out of range, missing, unknown
     */
    public static Map<String, Value> parseAll(
            String group, List<Field> fields, Map<String, String> typed, UnitSystem system) {
        if (typed == null) {
            throw new InvalidInput(group, null, "the values of " + ids(fields));
        }
        var faults = new Faults();
        Map<String, Value> values = new LinkedHashMap<>();
        for (Field field : fields) {
            String text = typed.get(field.id);
            if (!field.needed && (text == null || text.isBlank())) {
                continue;
            }
            Value value = faults.read(() -> field.parse(group + "." + field.id, text, system));
            if (value != null) {
                values.put(field.id, value);
            }
        }
        Set<String> known = fields.stream().map(Field::id).collect(Collectors.toSet());
        String only = "only " + ids(fields);
        typed.forEach((id, text) -> {
            if (!known.contains(id)) {
                faults.add(group + "." + id, text, only);
            }
        });
        faults.check();
        return values;
    }

    private static String ids(List<Field> fields) {
        return fields.stream().map(Field::id).collect(Collectors.joining(", "));
    }

    /** What is accepted, in words. */
    public String accepted(UnitSystem system) {
        if (words) {
            return "1 to " + Math.round(max) + " characters";
        }
        if (choices.isEmpty()) {
            return Measure.range(unit(system), min, max);
        }
        return "one of " + choices.stream().map(Choice::id).collect(Collectors.joining(", "));
    }

    /** @throws InvalidInput naming {@code path}, the text and what is accepted */
    public Value parse(String path, String text, UnitSystem system) {
        if (words) {
            return new Value(said(path, text, system), 0);
        }
        if (choices.isEmpty()) {
            double base = Measure.parse(path, text, unit(system), min, max);
            return new Value(Measure.withUnit(text, unit(system)), base);
        }
        String picked = text == null ? "" : text.strip().toLowerCase(Locale.ROOT);
        if (choices.stream().noneMatch(c -> c.id().equals(picked))) {
            throw new InvalidInput(path, text == null || text.isBlank() ? null : text, accepted(system));
        }
        return new Value(picked, 0);
    }

    private String said(String path, String text, UnitSystem system) {
        String said = text == null ? "" : text.strip().replaceAll("\\s+", " ");
        if (said.isEmpty() || said.length() > max) {
            throw new InvalidInput(path, said.isEmpty() ? null : said.length() + " characters", accepted(system));
        }
        return said;
    }
}
