package openslab.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.course.work.Work;
import openslab.core.floor.Outline.Corner;
import openslab.core.mix.Used;
import openslab.core.product.Laid;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.Powder;
import openslab.core.product.Tone;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Value;
import openslab.core.survey.instrument.Instrument;
import openslab.core.system.LayUp;

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
        /** A step was begun, and with it its clock. */
        BEGUN,
        /** A step was done. */
        DONE,
        /** Something lies ready. */
        TICK,
        /** What somebody needs of the floor; a later one counts instead of it. */
        NEED,
        /** What came for a layer: its colour, and whose. */
        COLOUR,
        STRIKE
    }

    private static final Field OVER =
            Field.quantity("area", "Spread over", Unit.SQUARE_FOOT, Unit.SQUARE_METRE, 0.1, 100_000, "");

    /** Which lots a batch is of. */
    public static final Field LOT =
            Field.words("lot", "Lot", 80, "as the label has it").ifWanted();

    private static final List<Field> OF_LIQUID = List.of(
            Field.quantity("volume", "Mixed", Unit.GALLON, Unit.LITRE, 0.01, 1000, "all parts together"), OVER, LOT);
    private static final List<Field> OF_POWDER =
            List.of(Field.quantity("bags", "Mixed", Unit.BAG, 0.01, 1000, ""), OVER, LOT);
    private static final List<Field> OF_BROADCAST =
            List.of(Field.quantity("mass", "Thrown", Unit.POUND, Unit.KILOGRAM, 0.01, 10_000, ""), OVER, LOT);

    /** What is keyed in with a coat that is on, where it is only a part of the floor. */
    public static final List<Field> COAT_FIELDS = List.of(
            Field.quantity(Work.AMOUNT, "On", Unit.SQUARE_FOOT, Unit.SQUARE_METRE, 0.01, 100_000, "empty: all of it")
                    .ifWanted());

    /** How light a colour is that came for a layer. */
    static final String TONE = "tone";

    /** What is keyed in with what came for a layer. */
    public static final List<Field> COLOUR_FIELDS = List.of(
            Field.words("name", "Colour", 60, "as the label has it"),
            Field.words("maker", "Maker", 60, "").ifWanted(),
            Field.words("lot", "Lot", 40, "").ifWanted(),
            Field.words("ordered", "Shade ordered", 60, "").ifWanted(),
            Field.words("received", "Shade received", 60, "").ifWanted(),
            Field.choice(
                            TONE,
                            "It is",
                            Stream.of(Tone.values())
                                    .map(t -> new Field.Choice(t.id(), t.label()))
                                    .toArray(Field.Choice[]::new))
                    .ifWanted());

    /** What is keyed in with a batch of it: how much was mixed or thrown, and over how much floor. */
    public static List<Field> batchFields(Material material) {
        return switch (material.kind()) {
            case POWDER -> OF_POWDER;
            case BROADCAST -> OF_BROADCAST;
            default ->
                Stream.concat(OF_LIQUID.stream(), weighed((Liquid) material)).toList();
        };
    }

    /** What the scale showed of each part, where there is more than one. */
    private static Stream<Field> weighed(Liquid liquid) {
        return liquid.parts().size() == 1
                ? Stream.empty()
                : liquid.parts().stream().map(p -> Field.quantity(
                                weighedOf(p.name()),
                                "Of " + p.name() + ", by the scale",
                                Unit.POUND,
                                Unit.KILOGRAM,
                                0.0005,
                                5000,
                                "empty: not weighed")
                        .ifWanted());
    }

    /** How the weight of a part of a batch is called. */
    static String weighedOf(String part) {
        return "in" + part;
    }

    /** What went on the floor of it. */
    static Used.Batch batch(LogEntry e, Material material) {
        double m2 = e.values().get(OVER.id()).base();
        return switch (material.kind()) {
            case POWDER -> new Used.Batch(new Laid(e.values().get("bags").base() * ((Powder) material).bagKg()), m2);
            case BROADCAST -> new Used.Batch(new Laid(e.values().get("mass").base()), m2);
            default -> new Used.Batch(new Laid(e.values().get("volume").base()), m2);
        };
    }

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

    /** The layer that it is about; empty where it is about none. */
    public Optional<String> layer() {
        return switch (kind) {
            case BATCH, COAT, COLOUR -> Optional.of(subject);
            case BEGUN, DONE, GATE -> LayUp.layerOf(subject);
            default -> Optional.empty();
        };
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
