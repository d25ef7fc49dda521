package openslab.server.instrument;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.ResolverStyle;
import java.util.Locale;

/** How loggers write down a moment. */
enum TimeFormat {
    ISO("2026-05-04T09:30:00Z", null),
    YEAR_FIRST("2026-05-04 09:30", "uuuu-MM-dd[ ]['T']H:mm[:ss][.SSS][.SS][.S]"),
    DAY_FIRST("04/05/2026 09:30, day first", "d/M/uuuu H:mm[:ss]"),
    MONTH_FIRST("05/04/2026 09:30, month first", "M/d/uuuu H:mm[:ss]"),
    DAY_DOTS("04.05.2026 09:30", "d.M.uuuu H:mm[:ss]"),
    SECONDS("1777887000, seconds since 1970", null);

    private final String label;
    private final DateTimeFormatter local;

    TimeFormat(String label, String pattern) {
        this.label = label;
        this.local = pattern == null
                ? null
                : DateTimeFormatter.ofPattern(pattern, Locale.ROOT).withResolverStyle(ResolverStyle.STRICT);
    }

    String label() {
        return label;
    }

    /**
     * A wall clock shows one hour of autumn twice: the first time round, unless what was written before it says that this
     * has been.
     *
     * @param before the moment of the line before
     * @throws DateTimeException where it is not written so, or there is no such day
     */
    Instant read(String text, ZoneId where, Instant before) {
        if (local != null) {
            ZonedDateTime first = LocalDateTime.parse(text, local).atZone(where);
            return first.toInstant().isBefore(before)
                    ? first.withLaterOffsetAtOverlap().toInstant()
                    : first.toInstant();
        }
        if (this == SECONDS) {
            try {
                return Instant.ofEpochMilli(Math.round(Double.parseDouble(text) * 1000));
            } catch (NumberFormatException e) {
                throw new DateTimeException("not a number", e);
            }
        }
        return text.endsWith("Z")
                ? Instant.parse(text)
                : OffsetDateTime.parse(text).toInstant();
    }

    boolean reads(String text) {
        try {
            int year = read(text, ZoneId.of("UTC"), Instant.MIN)
                    .atZone(ZoneId.of("UTC"))
                    .getYear();
            return year >= 1990 && year < 2100;
        } catch (DateTimeException e) {
            return false;
        }
    }
}
