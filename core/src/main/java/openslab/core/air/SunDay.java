package openslab.core.air;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Optional;
import org.shredzone.commons.suncalc.SunTimes;

/**
 * The sun over a place on one day, upper limb on a level horizon, refraction included (commons-suncalc after Montenbruck and
 * Pfleger, <em>Astronomy on the Personal Computer</em>).
 *
 * @param rise empty where it does not rise that day; where it never sets, the day's beginning; {@code noon} when it stands highest; {@code set} likewise
 */
public record SunDay(Optional<Instant> rise, Instant noon, Optional<Instant> set) {
    private static final Duration HALF_A_DAY = Duration.ofHours(12);

    public static SunDay of(Location.Position at, ZoneId zone, LocalDate day) {
        SunTimes times = SunTimes.compute()
                .on(day)
                .timezone(zone)
                .oneDay()
                .at(at.latitude(), at.longitude())
                .execute();
        Instant begins = day.atStartOfDay(zone).toInstant();
        return new SunDay(
                times.isAlwaysUp() ? Optional.of(begins) : instant(times.getRise()),
                instant(times.getNoon()).orElseGet(() -> begins.plus(HALF_A_DAY)),
                instant(times.getSet()));
    }

    private static Optional<Instant> instant(ZonedDateTime moment) {
        return Optional.ofNullable(moment).map(ZonedDateTime::toInstant);
    }
}
