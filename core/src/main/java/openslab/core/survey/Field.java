package openslab.core.survey;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Measure;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;

/**
 * One thing keyed in: a quantity with its range, or a choice.
 *
 * @param us the unit of a bare number on a US job; {@code metric} likewise
 * @param min lowest accepted, base unit, inclusive; {@code max} likewise
 * @param choices empty for a quantity
 * @param hint what to write, or empty
 */
public record Field(
        String id, String label, Unit us, Unit metric, double min, double max, List<Choice> choices, String hint) {
    public record Choice(String id, String label) {}

    public Field {
        choices = List.copyOf(choices);
    }

    public static Field quantity(String id, String label, Unit us, Unit metric, double min, double max, String hint) {
        return new Field(id, label, us, metric, min, max, List.of(), hint);
    }

    public static Field quantity(String id, String label, Unit unit, double min, double max, String hint) {
        return quantity(id, label, unit, unit, unit.toBase(min), unit.toBase(max), hint);
    }

    public static Field choice(String id, String label, Choice... choices) {
        return new Field(id, label, Unit.ONE, Unit.ONE, 0, 0, List.of(choices), "");
    }

    public static Field yesNo(String id, String label) {
        return choice(id, label, new Choice("no", "No"), new Choice("yes", "Yes"));
    }

    public Unit unit(UnitSystem system) {
        return system == UnitSystem.US ? us : metric;
    }

    /** What is accepted, in words. */
    public String accepted(UnitSystem system) {
        if (choices.isEmpty()) {
            return Measure.range(unit(system), min, max);
        }
        return "one of " + choices.stream().map(Choice::id).collect(Collectors.joining(", "));
    }

    /** @throws InvalidInput naming {@code values.<id>}, the text and what is accepted */
    public Value parse(String text, UnitSystem system) {
        String path = "values." + id;
        if (choices.isEmpty()) {
            return new Value(text == null ? "" : text.strip(), Measure.parse(path, text, unit(system), min, max));
        }
        String picked = text == null ? "" : text.strip().toLowerCase(Locale.ROOT);
        if (choices.stream().noneMatch(c -> c.id().equals(picked))) {
            throw new InvalidInput(path, text == null || text.isBlank() ? null : text, accepted(system));
        }
        return new Value(picked, 0);
    }
}
