package openslab.core.survey;

import java.time.Instant;
import java.util.Optional;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;

/**
 * One reason, standing alone.
 *
 * @param rule stable name of who judged
 * @param brief a few words for a list: "water beads at the roller door"
 * @param place where on the floor, or empty
 * @param measured what was seen
 * @param needed what would have been enough
 * @param because why it matters
 * @param remedy what to do now; empty for a pass
 * @param readyAt when waiting alone mends it
 * @param working the figure behind {@code measured}, or behind {@code needed} when something is missing
 */
public record Finding(
        String rule,
        Verdict verdict,
        String brief,
        String place,
        String measured,
        String needed,
        String because,
        String remedy,
        Source source,
        Optional<Instant> readyAt,
        Optional<Figure> working) {

    /** Starts a finding of {@code rule} about {@code reading}. */
    public static Draft of(String rule, Reading reading) {
        return new Draft(rule, reading.place());
    }

    /** Starts a finding about a place that has no reading. */
    public static Draft of(String rule, String place) {
        return new Draft(rule, place);
    }

    public static Draft of(String rule) {
        return new Draft(rule, "");
    }

    /** A finding being written: what was seen and needed first, then the word. */
    public static final class Draft {
        private final String rule;
        private final String place;
        private String measured = "";
        private String needed = "";
        private Source source = Source.ours("");
        private Instant readyAt;
        private Figure working;

        private Draft(String rule, String place) {
            this.rule = rule;
            this.place = place;
        }

        public Draft measured(String text) {
            measured = text;
            return this;
        }

        public Draft needed(String text, Source from) {
            needed = text;
            source = from;
            return this;
        }

        public Draft working(Figure figure) {
            working = figure;
            return this;
        }

        public Draft readyAt(Instant at) {
            readyAt = at;
            return this;
        }

        public Finding go(String brief, String because) {
            return close(Verdict.GO, brief, because, "");
        }

        public Finding watch(String brief, String because, String remedy) {
            return close(Verdict.WATCH, brief, because, remedy);
        }

        public Finding hold(String brief, String because, String remedy) {
            return close(Verdict.HOLD, brief, because, remedy);
        }

        public Finding stop(String brief, String because, String remedy) {
            return close(Verdict.STOP, brief, because, remedy);
        }

        /** For a method that decides its word as data. */
        public Finding close(Verdict verdict, String brief, String because, String remedy) {
            return new Finding(
                    rule,
                    verdict,
                    brief,
                    place,
                    measured,
                    needed,
                    because,
                    remedy,
                    source,
                    Optional.ofNullable(readyAt),
                    Optional.ofNullable(working));
        }
    }
}
