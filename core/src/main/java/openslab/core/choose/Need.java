package openslab.core.choose;

import java.util.Optional;
import openslab.core.quantity.Field;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;

/**
 * One thing that somebody may need of a floor.
 *
 * @param field what is keyed in; left out where nobody cares
 * @param group under which it is asked
 * @param judge what it says of a system
 */
public record Need(Field field, Group group, Judge judge) {
    public enum Group {
        LOOK("How it looks"),
        HIDE("What must not be seen any more"),
        USE("What it goes through"),
        PLACE("The place and the people");

        private final String label;

        Group(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** What a system is told for a need, and why. */
    @FunctionalInterface
    public interface Judge {
        Reason of(Offer offer, Value value, UnitSystem units);
    }

    public Need {
        field = field.ifWanted();
    }

    public String id() {
        return field.id();
    }

    /** What was keyed in, in words. */
    public String words(Value value) {
        Optional<String> choice = field.choices().stream()
                .filter(c -> c.id().equals(value.typed()))
                .map(Field.Choice::label)
                .findFirst();
        return choice.orElse(value.typed());
    }

    /** A need that is there or not. */
    static Field wanted(String id, String label) {
        return Field.choice(id, label, new Field.Choice("yes", "Yes"));
    }
}
