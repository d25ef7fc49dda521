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
    /**
     * A test that was set out and not read yet.
     *
     * @param from when it may be read; {@code until} when it has stood too long
     */
    public record Out(
            String key,
            String method,
            String title,
            String place,
            Instant at,
            Instant from,
            Optional<Instant> until,
            Standing standing) {}

    /** It was set out {@code at} a place. */
    public Out out(String key, TestMethod method, String place, Instant at) {
        return new Out(key, method.id(), method.about().title(), place, at, at.plus(least), most.map(at::plus), this);
    }
}
