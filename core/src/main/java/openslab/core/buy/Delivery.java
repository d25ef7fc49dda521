package openslab.core.buy;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.product.Packed;
import openslab.core.quantity.Require;

/**
 * What came, of one sheet, in one pack, of one lot.
 *
 * @param id of the note about it
 * @param slug of its sheet; {@code sheet} its name
 * @param ofLiquid whether it is told in litres; kilograms of all else
 * @param size of one pack
 * @param ordered the colour that was ordered; {@code colour} that of the label. Empty where it has none
 * @param bestBefore the last day on which it is good, where the label says so
 * @param faults what was found on opening and looking
 * @param boxed whether all of this colour was poured together
 */
public record Delivery(
        String id,
        Instant at,
        String by,
        String slug,
        String sheet,
        boolean ofLiquid,
        String pack,
        Packed size,
        int count,
        String maker,
        String ordered,
        String colour,
        String lot,
        Optional<LocalDate> bestBefore,
        Set<Fault> faults,
        boolean boxed,
        String note) {
    /** What is wrong with it. */
    public enum Fault {
        LUMPS("Hard lumps, or it will not stir smooth"),
        WRONG_TINT("The tint is not what was ordered"),
        DAMAGED("Dented, leaking or frozen"),
        MISSING("Something that belongs in the box is not in it");

        private final String label;

        Fault(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * What of a box is not in it.
     *
     * @param box what its sheet has in it; {@code ticked} what somebody found there, of which nothing means that nobody looked
     */
    public static List<String> missing(List<String> box, List<String> ticked) {
        return ticked.isEmpty()
                ? List.of()
                : box.stream().filter(thing -> !ticked.contains(thing)).toList();
    }

    public Delivery {
        Require.positive(size.amount(), "size of a pack");
        Require.that(count >= 1, "at least one pack came, got %s", count);
        faults = Set.copyOf(faults);
    }

    public Packed amount() {
        return size.times(count);
    }

    /** Whether the label has another colour than was ordered. */
    public boolean isOdd() {
        return !ordered.isEmpty() && !colour.isEmpty() && !ordered.equalsIgnoreCase(colour);
    }

    /** Whether any of it may go on the floor. */
    public boolean isSound(LocalDate today) {
        return faults.isEmpty()
                && !isOdd()
                && bestBefore.map(d -> !d.isBefore(today)).orElse(true);
    }
}
