package openslab.core.buy;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import openslab.core.product.Packed;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Require;

/**
 * What stands in the store from another job.
 *
 * @param slug of its sheet
 * @param amount as its cans hold it: of a concentrate, before its water
 * @param colour, {@code maker}, {@code lot} as the label has them; empty where it says nothing
 * @param opened when its lid came off; empty where it never did
 * @param bestBefore the last day on which it is good; empty where the label says nothing
 * @param from which job it is left from, or where it stands
 */
public record Leftover(
        String id,
        String slug,
        Packed amount,
        String colour,
        String maker,
        String lot,
        Optional<Instant> opened,
        Optional<LocalDate> bestBefore,
        String from) {
    /** What goes off first is used first: what was opened, then by its date, then the little before the much. */
    public static final Comparator<Leftover> FIRST = Comparator.comparing(
                    (Leftover l) -> l.opened().isEmpty())
            .thenComparing(l -> l.bestBefore().orElse(LocalDate.MAX))
            .thenComparingDouble(l -> l.amount().amount())
            .thenComparing(Leftover::id);

    public Leftover {
        Require.positive(amount.amount(), "amount left over");
    }

    /** Why it is not used where {@code sheet} goes on in {@code wanted}; empty where it is. */
    public Optional<String> refusal(ProductSheet sheet, String wanted, Instant now, LocalDate today) {
        if (bestBefore.isPresent() && bestBefore.get().isBefore(today)) {
            return Optional.of("its date was " + bestBefore.get());
        }
        if (!wanted.isEmpty() && !colour.equalsIgnoreCase(wanted)) {
            return Optional.of(
                    colour.isEmpty()
                            ? "nobody noted its colour"
                            : "it is " + colour + ", and " + wanted + " is wanted");
        }
        double keepsMin = sheet.handling().keepsMin();
        if (opened.isPresent()) {
            if (keepsMin == 0) {
                return Optional.of("it was opened, and the sheet does not say that it keeps then");
            }
            if (Duration.between(opened.get(), now).toMinutes() > keepsMin) {
                return Optional.of("it has been open for longer than the sheet says it keeps");
            }
        }
        return Optional.empty();
    }
}
