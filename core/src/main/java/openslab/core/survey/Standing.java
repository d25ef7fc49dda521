package openslab.core.survey;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * How long a test stands on the floor before it is read.
 *
 * @param least not read before
 * @param most not left longer; empty where longer does no harm
 * @param waiting "dish stands", as the day line names it
 * @param then "weigh the dish"
 * @param hours the field that says how long it stood
 */
public record Standing(Duration least, Optional<Duration> most, String waiting, String then, String hours) {
    /** A test that was set out and not read yet. */
    public record Out(String key, String method, String title, String place, Instant at, Standing standing) {
        public Instant from() {
            return at.plus(standing.least);
        }

        public Optional<Instant> until() {
            return standing.most.map(at::plus);
        }
    }
}
