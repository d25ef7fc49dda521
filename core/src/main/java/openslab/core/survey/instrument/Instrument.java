package openslab.core.survey.instrument;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;

/**
 * What a reading was taken with, as its papers stood then.
 *
 * @param name by which the crew knows it, with its number
 * @param calibrated the day of the newest certificate
 * @param due the last day on which that certificate holds
 */
public record Instrument(String name, LocalDate calibrated, LocalDate due) {
    /** Whether the certificate no longer held, or did not hold yet, on the day of {@code at}, counted in UTC. */
    public boolean lapsed(Instant at) {
        LocalDate day = at.atOffset(ZoneOffset.UTC).toLocalDate();
        return day.isAfter(due) || day.isBefore(calibrated);
    }
}
