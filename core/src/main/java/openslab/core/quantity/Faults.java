package openslab.core.quantity;

import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * Reads a form field by field and keeps every fault, so that somebody who mistyped three things is told of three. A field
 * at fault reads as null; nothing may be made of the form before {@link #check} has passed.
 */
public final class Faults {
    private static final Instant EARLIEST = Instant.parse("1990-01-01T00:00:00Z");
    private static final Instant LATEST = Instant.parse("2100-01-01T00:00:00Z");

    private final List<InvalidInput.Fault> faults = new ArrayList<>();
    /** Not told any more. */
    private int more;

    /** Runs {@code parse}, keeping its faults. */
    public <T> T read(Supplier<T> parse) {
        try {
            return parse.get();
        } catch (InvalidInput e) {
            e.faults().forEach(this::add);
            more += e.more();
            return null;
        }
    }

    public void add(String field, Object value, String accepted) {
        add(new InvalidInput.Fault(field, value == null ? null : value.toString(), accepted));
    }

    private void add(InvalidInput.Fault fault) {
        if (faults.size() < InvalidInput.TOLD) {
            faults.add(fault);
        } else {
            more++;
        }
    }

    /** A line of words: no control characters, no angle brackets. */
    public String line(String field, String value, int min, int max) {
        String text = value == null ? "" : value.strip();
        if (text.length() < min || text.length() > max || !Text.isLine(text)) {
            add(field, text.isEmpty() ? null : text, min + " to " + max + " characters, without < or >");
            return null;
        }
        return text;
    }

    /** Several lines of anything printable. */
    public String prose(String field, String value, int max) {
        String text = value == null ? "" : value.strip();
        boolean printable =
                Text.isWhole(text) && text.chars().noneMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\t');
        if (text.length() > max || !printable) {
            add(field, text, "at most " + max + " printable characters");
            return null;
        }
        return text;
    }

    public <E extends Enum<E>> E oneOf(String field, String value, Class<E> kind) {
        return Arrays.stream(kind.getEnumConstants())
                .filter(e -> value != null && e.name().equals(value.strip().toUpperCase(Locale.ROOT)))
                .findFirst()
                .orElseGet(() -> {
                    add(
                            field,
                            value,
                            "one of "
                                    + Arrays.stream(kind.getEnumConstants())
                                            .map(Enum::name)
                                            .collect(Collectors.joining(", ")));
                    return null;
                });
    }

    public ZoneId timeZone(String field, String value) {
        if (value == null || !ZoneId.getAvailableZoneIds().contains(value)) {
            add(field, value, "a time zone of the IANA list, such as Europe/Lisbon or America/Halifax");
            return null;
        }
        return ZoneId.of(value);
    }

    /** A moment with its offset, kept to the microsecond. */
    public Instant moment(String field, String value, Instant latest) {
        Instant at = parsed(value);
        Instant last = latest.isBefore(LATEST) ? latest : LATEST;
        if (at == null || at.isBefore(EARLIEST) || at.isAfter(last)) {
            add(
                    field,
                    value,
                    "a moment such as 2026-05-04T09:30:00Z from " + EARLIEST + " to "
                            + last.truncatedTo(ChronoUnit.SECONDS));
            return null;
        }
        return at.truncatedTo(ChronoUnit.MICROS);
    }

    /** A day such as 2026-03-01. */
    public LocalDate day(String field, String value) {
        LocalDate day = parsedDay(value);
        LocalDate first = EARLIEST.atOffset(ZoneOffset.UTC).toLocalDate();
        LocalDate last = LATEST.atOffset(ZoneOffset.UTC).toLocalDate();
        if (day == null || day.isBefore(first) || day.isAfter(last)) {
            add(field, value, "a day such as 2026-03-01 from " + first + " to " + last);
            return null;
        }
        return day;
    }

    private static LocalDate parsedDay(String value) {
        try {
            return value == null ? null : LocalDate.parse(value.strip());
        } catch (DateTimeParseException e) {
            return null;
        }
    }

    private static Instant parsed(String value) {
        try {
            return value == null ? null : OffsetDateTime.parse(value.strip()).toInstant();
        } catch (DateTimeParseException e) {
            return null;
        }
    }

    /** @throws InvalidInput with every fault found so far, if there was one */
    public void check() {
        if (!faults.isEmpty()) {
            throw new InvalidInput(faults, more);
        }
    }
}
