package openslab.core.survey;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;

/**
 * How long a test stands on the floor before it is read.
 *
 * @param least not read before
 * @param most not left longer; empty where longer does no harm
 * @param waiting "dish stands", as the day line names it
 * @param then "weigh the dish"
 * @param hours the field that says how long it stood
 */
public record SetOut(Duration least, Optional<Duration> most, String waiting, String then, String hours) {
    /**
     * A test that was set out and not read yet.
     *
     * @param stood for how long it has, as it would be keyed in
     * @param from when it may be read; {@code until} when it has stood too long
     */
    public record Test(
            String key,
            String method,
            String title,
            String place,
            Instant at,
            String stood,
            Instant from,
            Optional<Instant> until,
            SetOut rule) {
        /** As it stands at {@code now}. */
        public Test at(Instant now) {
            double minutes = Math.max(0, Duration.between(at, now).toMinutes());
            return new Test(key, method, title, place, at, Show.in(Unit.HOUR, minutes), from, until, rule);
        }
    }

    /** It was set out {@code at} a place. */
    public Test out(String key, TestMethod method, String place, Instant at) {
        return new Test(
                key, method.id(), method.about().title(), place, at, "", at.plus(least), most.map(at::plus), this);
    }
}
