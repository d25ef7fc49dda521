package openslab.core.job;

import java.time.Instant;
import java.util.LinkedHashMap;
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
        /** The way of preparing that somebody chose, and why; a later one counts instead of it. */
        METHOD,
        /** What came for a layer: its colour, and whose. */
        COLOUR,
        STRIKE
    }

    private static final Field OVER = Field.quantity(
            "area",
            "Spread over",
            Unit.SQUARE_FOOT,
            Unit.SQUARE_METRE,
            0,
            100_000,
            "0 where none of it got onto the floor");

    /** Which lots a batch is of. */
    public static final Field LOT =
            Field.words("lot", "Lot", 80, "as the label has it").ifWanted();

    /** How much of a material is told of, by how it is measured. */
    private static Field amount(String id, String label, Material material, String hint) {
        return switch (material.kind()) {
            case POWDER -> Field.quantity(id, label, Unit.BAG, 0.01, 1000, hint);
            case BROADCAST -> Field.quantity(id, label, Unit.POUND, Unit.KILOGRAM, 0.01, 10_000, hint);
            default -> Field.quantity(id, label, Unit.GALLON, Unit.LITRE, 0.01, 1000, hint);
        };
    }

    /** What of a batch did not come to lie on the floor. */
    private static final String WASTED = "wasted";

    /** What of a material a coat took, where no batch tells it. */
    private static final String USED = "used";

    /** What is keyed in with a coat that is on: how much of the floor, and what it took where no batch was logged. */
    public static List<Field> coatFields(Material material) {
        return List.of(
                Field.quantity(
                                Work.AMOUNT,
                                "On",
                                Unit.SQUARE_FOOT,
                                Unit.SQUARE_METRE,
                                0.01,
                                100_000,
                                "empty: all of it")
                        .ifWanted(),
                amount(USED, "It took", material, "where no batch was logged").ifWanted());
    }

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
        Field wasted = amount(WASTED, "Of it, not on the floor", material, "thrown away, set in the pail")
                .ifWanted();
        return switch (material.kind()) {
            case POWDER -> List.of(amount("bags", "Mixed", material, ""), OVER, LOT, wasted);
            case BROADCAST -> List.of(amount("mass", "Thrown", material, ""), OVER, LOT, wasted);
            default -> List.of(amount("volume", "Mixed", material, "all parts together"), OVER, LOT, wasted);
        };
    }

    /** What may be keyed in with a batch beside that, by part: what the scale showed of it, where there is more than one. */
    public static Map<String, Field> weighFields(Material material) {
        Map<String, Field> fields = new LinkedHashMap<>();
        if (material instanceof Liquid liquid && liquid.parts().size() > 1) {
            liquid.parts().forEach(p -> fields.put(p.name(), weighed(p.name())));
        }
        return fields;
    }

    private static Field weighed(String part) {
        String label = "Of " + part + ", by the scale";
        return Field.quantity(weighedOf(part), label, Unit.POUND, Unit.KILOGRAM, 0.0005, 5000, "empty: not weighed")
                .ifWanted();
    }

    /** How the weight of a part of a batch is called. */
    static String weighedOf(String part) {
        return "in" + part;
    }

    /** Whether it tells how much of a layer's material was used: a batch, or a coat that says what it took. */
    boolean tellsUse() {
        return kind == Kind.BATCH || kind == Kind.COAT && values.containsKey(USED);
    }

    /**
     * What was used of a material, of an entry that {@link #tellsUse}.
     *
     * @param areaM2 which a coat is on unless it says less: the floor, and nothing where batches tell of it
     */
    static Used.Batch batch(LogEntry e, Material material, double areaM2) {
        if (e.kind == Kind.COAT) {
            Value on = e.values.get(Work.AMOUNT);
            return new Used.Batch(
                    laid(e, USED, material), new Laid(0), on == null ? areaM2 : Math.min(areaM2, on.base()));
        }
        String amount =
                switch (material.kind()) {
                    case POWDER -> "bags";
                    case BROADCAST -> "mass";
                    default -> "volume";
                };
        return new Used.Batch(
                laid(e, amount, material),
                laid(e, WASTED, material),
                e.values.get(OVER.id()).base());
    }

    /** What of a batch is said not to be on the floor, where that is more than was mixed; empty where it is not. */
    public static Optional<String> overWasted(Map<String, Value> batch) {
        Value wasted = batch.get(WASTED);
        return wasted == null
                ? Optional.empty()
                : Stream.of("volume", "bags", "mass")
                        .filter(batch::containsKey)
                        .map(batch::get)
                        .filter(mixed -> wasted.base() > mixed.base() * (1 + 1e-9))
                        .map(mixed -> "at most what was mixed, " + mixed.typed())
                        .findFirst();
    }

    /** What was used of a material, entry by entry. @param areaM2 of the floor */
    static List<Used.Batch> batches(List<LogEntry> log, Material material, double areaM2) {
        boolean mixed = log.stream().anyMatch(e -> e.kind == Kind.BATCH);
        return log.stream()
                .filter(LogEntry::tellsUse)
                .map(e -> batch(e, material, mixed ? 0 : areaM2))
                .toList();
    }

    private static Laid laid(LogEntry e, String field, Material material) {
        Value value = e.values.get(field);
        double perUnit = material instanceof Powder p ? p.bagKg() : 1;
        return new Laid(value == null ? 0 : value.base() * perUnit);
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
