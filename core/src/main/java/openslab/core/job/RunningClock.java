package openslab.core.job;

import java.time.Duration;
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
    /** How soon somebody has to look. */
    public enum Urgency {
        /** A window is open and closes, or a clock runs out within a day. */
        SOON,
        /** Nothing runs; somebody has to act, and it gets no worse by the hour. */
        ACT,
        LATER,
        /** Nothing is to be done that anybody knows of. */
        RESTS
    }

    /** When a floor wants somebody. */
    public enum Due {
        /** Within a day. */
        TODAY,
        THIS_WEEK,
        /** Nothing runs: it goes on when somebody acts. */
        WAITING,
        /** Nothing to be done for a week or more. */
        AT_REST
    }

    /**
     * What the rack counts down to.
     *
     * @param at empty when nothing runs
     * @param stratum where it is done: the id of the stratum that it is about
     */
    public record Next(String label, Optional<Instant> at, Mark mark, String word, Urgency urgency, String stratum) {
        static final Duration A_DAY = Duration.ofDays(1);
        private static final Duration A_WEEK = Duration.ofDays(7);

        static Next of(String label, Optional<Instant> at, Mark mark, Instant now) {
            Urgency urgency = at.isEmpty() || at.get().isBefore(now)
                    ? Urgency.ACT
                    : mark == Mark.WINDOW_OPEN || !at.get().isAfter(now.plus(A_DAY)) ? Urgency.SOON : Urgency.LATER;
            return new Next(label, at, mark, mark.word(), urgency, "");
        }

        /** The same, in another word than its mark's. */
        Next called(String said) {
            return new Next(label, at, mark, said, urgency, stratum);
        }

        /** The same, done at this stratum. */
        Next in(String id) {
            return new Next(label, at, mark, word, urgency, id);
        }

        /** In which group of the rack it stands at {@code now}. */
        public Due due(Instant now) {
            return switch (urgency) {
                case SOON -> Due.TODAY;
                case ACT -> Due.WAITING;
                case LATER -> at.filter(t -> !t.isAfter(now.plus(A_DAY))).isPresent() ? Due.TODAY : later(now);
                case RESTS -> Due.AT_REST;
            };
        }

        private Due later(Instant now) {
            return at.filter(t -> !t.isAfter(now.plus(A_WEEK))).isPresent() ? Due.THIS_WEEK : Due.AT_REST;
        }

        static Next rests(String label, Mark mark) {
            return new Next(label, Optional.empty(), mark, mark.word(), Urgency.RESTS, "");
        }

        /** The one that needs attention first: what turns today by its hour, then what waits for us, the worse word first. */
        public static final Comparator<Next> FIRST = Comparator.comparing(Next::urgency)
                .thenComparing(n -> n.urgency == Urgency.ACT ? Instant.MIN : n.at().orElse(Instant.MAX))
                .thenComparing(Next::mark, Comparator.reverseOrder())
                .thenComparing(n -> n.at().orElse(Instant.MAX));
    }
}
