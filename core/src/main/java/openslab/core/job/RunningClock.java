package openslab.core.job;

import java.time.Instant;
import java.util.Comparator;
import java.util.Optional;

/**
 * Something that ends at a known moment.
 *
 * @param label what ends: "recoat window, primer"
 * @param from when it began; {@code to} when it ends
 * @param mark the word to draw it with
 * @param planned true when it hangs on a start that was not logged yet
 */
public record RunningClock(String label, Instant from, Instant to, Mark mark, boolean planned) {
    /** What the rack counts down to. @param at empty when nothing runs and somebody has to act */
    public record Next(String label, Optional<Instant> at, Mark mark, String word) {
        static Next of(String label, Optional<Instant> at, Mark mark) {
            return new Next(label, at, mark, mark.word());
        }

        /** The one that needs attention first: what waits for nobody but us, the worse word first, then the earlier moment. */
        public static final Comparator<Next> FIRST = Comparator.comparing((Next n) -> n.at().orElse(Instant.MIN))
                .thenComparing(Next::mark, Comparator.reverseOrder());
    }
}
