package openslab.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Value;
import openslab.core.survey.instrument.Instrument;

/**
 * One thing that happened, never changed afterwards. A mistake is struck by a later entry, and stays readable.
 *
 * @param key made by whoever sent it, so that a tap sent twice is stored once
 * @param subject what it is about: a test method, a gate, a step, a layer, a place, a defect, a thing that lies ready, or the key of the entry struck; empty for a note
 * @param place where on the floor; empty where it speaks for the whole zone
 * @param at when it happened
 * @param instrument what a reading was taken with; empty where nobody said, and for everything else
 * @param ring the corners of an area, metres of the zone's plan; empty for everything else
 * @param cycle which of the zone's cycles it belongs to
 * @param method which method of preparation a step was done or a gate was tested for; empty where that is not known, where it
 *     holds for every method, and for everything else
 */
public record LogEntry(
        String key,
        Kind kind,
        String subject,
        String place,
        Instant at,
        String by,
        String note,
        Map<String, Value> values,
        Optional<Instrument> instrument,
        List<Corner> ring,
        int cycle,
        String method) {
    /** Nothing on a plan lies further from its first corner, m. */
    public static final double REACH_M = 2000;

    public enum Kind {
        READING,
        GATE,
        BATCH,
        COAT,
        NOTE,
        /** Where on the floor a place is; a later one moves it. */
        PLACE,
        /** A test was set out at a place, to be read later. */
        SET,
        /** A defect was drawn on the floor. */
        AREA,
        /** A step of the preparation was begun, and with it its clock. */
        BEGUN,
        /** A step of the preparation was done. */
        DONE,
        /** Something lies ready. */
        TICK,
        STRIKE
    }

    /** What is keyed in with a batch that was mixed. */
    public static final List<Field> BATCH_FIELDS = List.of(
            Field.quantity("volume", "Mixed", Unit.GALLON, Unit.LITRE, 0.01, 1000, "A and B together"),
            Field.quantity("area", "Spread over", Unit.SQUARE_FOOT, Unit.SQUARE_METRE, 0.1, 100_000, ""));

    /** Where a place is, in metres of the zone's plan. */
    public static final List<Field> PLACE_FIELDS = List.of(
            Field.quantity("along", "Along", Unit.FOOT, Unit.METRE, -REACH_M, REACH_M, "along the first wall"),
            Field.quantity("off", "Off it", Unit.FOOT, Unit.METRE, -REACH_M, REACH_M, "off it, to the left"));

    public LogEntry {
        values = Map.copyOf(values);
        ring = List.copyOf(ring);
    }

    /** An entry of the first cycle that was read with nothing and goes round nothing. */
    public LogEntry(
            String key,
            Kind kind,
            String subject,
            String place,
            Instant at,
            String by,
            String note,
            Map<String, Value> values) {
        this(key, kind, subject, place, at, by, note, values, Optional.empty(), List.of(), 1, "");
    }

    /** The same, of another cycle. */
    public LogEntry of(int number) {
        return new LogEntry(key, kind, subject, place, at, by, note, values, instrument, ring, number, method);
    }

    /** The same, done for a method of preparation. */
    public LogEntry doneFor(String prepared) {
        return new LogEntry(key, kind, subject, place, at, by, note, values, instrument, ring, cycle, prepared);
    }

    /** {@code log} without what was struck, and without the strikes. */
    public static List<LogEntry> unstruck(List<LogEntry> log) {
        Set<String> struck = log.stream()
                .filter(e -> e.kind == Kind.STRIKE)
                .map(LogEntry::subject)
                .collect(Collectors.toSet());
        return log.stream()
                .filter(e -> e.kind != Kind.STRIKE && !struck.contains(e.key))
                .toList();
    }
}
