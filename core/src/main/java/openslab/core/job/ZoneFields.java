package openslab.core.job;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import openslab.core.mix.Allowance;
import openslab.core.mix.Crew;
import openslab.core.mix.recipe.Vessel;
import openslab.core.practice.Practices;
import openslab.core.prep.repair.PatchLimits;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;

/** What is keyed in about how a zone is worked, beside its shape. */
public final class ZoneFields {
    public static final List<Field> CREW = List.of(
            Field.quantity(
                    "pace",
                    "Pace of the crew",
                    Unit.SQUARE_FOOT_PER_MINUTE,
                    Unit.SQUARE_METRE_PER_MINUTE,
                    0.01,
                    50,
                    "500 ft² in 45 min is about 11 ft²/min"),
            Field.quantity("share", "Pot life used", Unit.PERCENT, 5, 100, "80 % leaves time for the last wall"),
            Field.quantity("allowance", "Allowance", Unit.PERCENT, 0, 100, "mixed and bought on top"));

    /** Left out where the newest reading is to be planned with. */
    private static final Field SLAB = Field.quantity(
            "slab", "Plan at slab temperature", Unit.FAHRENHEIT, Unit.CELSIUS, -30, 75, "empty: the newest reading");

    private static final Field LIFT = Field.quantity(
            "lift", "Deepest lift of the patch", Unit.INCH, Unit.MILLIMETRE, 0.002, 0.3, "empty: 1/2 in, 13 mm");
    private static final Field SETS =
            Field.quantity("sets", "Patch sets in", Unit.HOUR, 0.1, 72, "empty: 2 h; the sheet in hand beats it");
    private static final Field VOIDS = Field.quantity(
            "voids", "Hollow places are cut out", Unit.INCH, Unit.MILLIMETRE, 0.002, 0.5, "empty: 1/2 in, 13 mm deep");

    private static final Field VESSEL = Field.quantity(
            "vessel",
            "One pail is filled to",
            Unit.GALLON,
            Unit.LITRE,
            0.5,
            2000,
            "empty: 4 gal, 15 L, of a 5 gal pail");

    private static final Field TEXTURE = Field.quantity(
            "texture",
            "Surface for each of the plan",
            Unit.ONE,
            1,
            Allowance.MOST_TEXTURE,
            "empty: 1, flat; 1.1 broomed, 1.25 stamped or aggregate showing (ours)");

    /** What has a value of its own where it is left out. */
    public static final List<Field> IF_WANTED = Stream.of(SLAB, TEXTURE, VESSEL, LIFT, SETS, VOIDS)
            .map(Field::ifWanted)
            .toList();

    public static final List<Field> ALL =
            Stream.of(CREW, IF_WANTED).flatMap(List::stream).toList();

    private ZoneFields() {}

    /**
     * How a zone is worked.
     *
     * @param planSlabC the slab temperature to plan with, °C; the newest reading where nobody set one
     * @param practices the schools that are followed where practitioners do not agree
     */
    public record Settings(Crew crew, Optional<Double> planSlabC, PatchLimits patch, Practices practices) {
        /** The same, following these schools. */
        public Settings following(Practices schools) {
            return new Settings(crew, planSlabC, patch, schools);
        }
    }

    /** Whether a setting is called so. */
    public static boolean has(String id) {
        return ALL.stream().anyMatch(f -> f.id().equals(id));
    }

    /** @param system whose pail is at hand where nobody named one */
    public static Settings settings(Map<String, Value> values, UnitSystem system) {
        Value slab = values.get(SLAB.id());
        return new Settings(
                crew(values, system),
                Optional.ofNullable(slab).map(Value::base),
                new PatchLimits(
                        base(values, LIFT, PatchLimits.DEFAULT.liftM()),
                        base(values, SETS, PatchLimits.DEFAULT.setsMin()),
                        base(values, VOIDS, PatchLimits.DEFAULT.voidM())),
                Practices.USUAL);
    }

    private static double base(Map<String, Value> values, Field field, double otherwise) {
        Value value = values.get(field.id());
        return value == null ? otherwise : value.base();
    }

    /** @param system likewise */
    public static Crew crew(Map<String, Value> values, UnitSystem system) {
        return new Crew(
                values.get("pace").base(),
                values.get("share").base() / 100,
                new Allowance(base(values, TEXTURE, 1), values.get("allowance").base() / 100, 0),
                base(values, VESSEL, Vessel.pailL(system)));
    }
}
