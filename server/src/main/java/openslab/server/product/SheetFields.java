package openslab.server.product;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import openslab.core.product.Material;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;

/** What may stand on a sheet, and in which ranges. */
final class SheetFields {
    private static final String ASKED = "of the floor that is to be coated; only where the sheet asks";
    private static final String BREATHES = "left out only where the film lets vapour through";
    static final Field PARTS_A = Field.quantity("partsA", "Parts A", Unit.ONE, 0.01, 100, "by volume");
    static final Field PARTS_B = Field.quantity("partsB", "Parts B", Unit.ONE, 0, 100, "by volume; 0 for one part");
    static final Field DENSITY_A = density("densityA", "Density A");
    static final Field DENSITY_B = density("densityB", "Density B");
    static final Field SOLIDS = Field.quantity("volumeSolids", "Volume solids", Unit.PERCENT, 1, 100, "");
    static final Field SPREAD = Field.quantity(
            "spread", "Spread rate, one coat", Unit.SQUARE_FOOT_PER_GALLON, Unit.SQUARE_METRE_PER_LITRE, 0.05, 50, "");
    static final Field BROADCAST = Field.quantity(
            "broadcast", "On the floor", Unit.POUND_PER_SQUARE_FOOT, Unit.KILOGRAM_PER_SQUARE_METRE, 0.005, 30, "");
    static final Field KIT_LITRES = Field.quantity("size", "Kit", Unit.GALLON, Unit.LITRE, 0.05, 2000, "");
    static final Field KIT_KILOGRAMS = Field.quantity("size", "Bag", Unit.POUND, Unit.KILOGRAM, 0.05, 2000, "");
    static final Field PRICE = Field.quantity("price", "Price", Unit.MONEY, 0, 1_000_000, "");
    static final Field AT = Field.quantity("at", "At", Unit.FAHRENHEIT, Unit.CELSIUS, -30, 60, "");
    static final Field TIME = Field.quantity("time", "Time", Unit.HOUR, 0.01, 20_000, "45 min, 12 h, 7 d");
    static final Field YEARS = Field.quantity("years", "Lasts", Unit.YEAR, 0.05, 50, "");

    static final List<Field> LIMITS = List.of(
            Field.quantity("mver", "Vapour emission at most", Unit.MVER, 0.1, 50, BREATHES)
                    .ifWanted(),
            Field.quantity("slabRh", "In-slab humidity at most", Unit.PERCENT, 10, 100, BREATHES)
                    .ifWanted(),
            Field.quantity("phMin", "pH at least", Unit.ONE, 0, 14, ""),
            Field.quantity("phMax", "pH at most", Unit.ONE, 0, 14, ""),
            Field.quantity("slabMin", "Slab at least", Unit.FAHRENHEIT, Unit.CELSIUS, -30, 60, ""),
            Field.quantity("slabMax", "Slab at most", Unit.FAHRENHEIT, Unit.CELSIUS, -30, 75, ""),
            Field.quantity(
                            "airMin",
                            "Air at least",
                            Unit.FAHRENHEIT,
                            Unit.CELSIUS,
                            -30,
                            60,
                            "where the sheet tells the air from the slab")
                    .ifWanted(),
            Field.quantity("airMax", "Air at most", Unit.FAHRENHEIT, Unit.CELSIUS, -30, 60, "likewise")
                    .ifWanted(),
            Field.quantity("airRh", "Humidity of the air below", Unit.PERCENT, 10, 100, ""),
            Field.quantity("dewMargin", "Above dew point at least", Unit.FAHRENHEIT_DEGREE, Unit.KELVIN, 0, 20, ""),
            Field.quantity(
                            "fall",
                            "The floor falls at most",
                            Unit.PERCENT,
                            0,
                            100,
                            "only where it flows; 1/4 in a foot is 2 %")
                    .ifWanted(),
            Field.quantity("minAge", "Concrete age at least", Unit.DAY, 0, 1000, ""),
            Field.quantity("cspMin", "Profile at least (CSP)", Unit.ONE, 1, 10, ""),
            Field.quantity("cspMax", "Profile at most (CSP)", Unit.ONE, 1, 10, ""),
            Field.yesNo("breathes", "Lets vapour through, and asks for no moisture limit")
                    .ifWanted(),
            Field.yesNo("shields", "Keeps what lies over it from the slab's moisture")
                    .ifWanted(),
            Field.quantity(
                            "strength",
                            "Concrete below at least",
                            Unit.PSI,
                            Unit.MEGAPASCAL,
                            1,
                            100,
                            "compressive; only where it is carried by it")
                    .ifWanted(),
            Field.quantity(
                            "thickness",
                            "Concrete below, thick",
                            Unit.INCH,
                            Unit.MILLIMETRE,
                            0.01,
                            2,
                            "at least; only where it is carried by it")
                    .ifWanted(),
            Field.quantity("pullOff", "Pull-off at least", Unit.PSI, Unit.MEGAPASCAL, 0.1, 20, ASKED)
                    .ifWanted(),
            Field.quantity("ohmsMin", "Resistance at least", Unit.MEGOHM, 0.001, 1e6, ASKED)
                    .ifWanted(),
            Field.quantity("ohmsMax", "Resistance under", Unit.MEGOHM, 0.001, 1e6, ASKED)
                    .ifWanted(),
            Field.quantity("dcof", "Wet friction at least (DCOF)", Unit.ONE, 0.1, 1.2, ASKED)
                    .ifWanted());

    static final Field VOC =
            Field.quantity("voc", "VOC", Unit.GRAM_PER_LITRE, 0, 900, "less water and exempt solvents");

    private static final Field SPREAD_MIN = range("spreadMin", "Spread rate, at least");
    private static final Field SPREAD_MAX = range("spreadMax", "Spread rate, at most");

    /** What every kind of liquid fills in of the fields that two parts have. */
    static final Map<Material.Kind, List<Field>> LIQUID = new EnumMap<>(Map.of(
            Material.Kind.TWO_PART,
            List.of(PARTS_A, PARTS_B, DENSITY_A, DENSITY_B, SOLIDS, SPREAD),
            Material.Kind.ONE_PART,
            List.of(DENSITY_A, SOLIDS, SPREAD),
            Material.Kind.FINISH,
            List.of(DENSITY_A, SOLIDS, SPREAD),
            Material.Kind.CONCENTRATE,
            List.of(DENSITY_A, SOLIDS.ifWanted(), SPREAD),
            Material.Kind.STAIN,
            List.of(DENSITY_A, SPREAD),
            Material.Kind.DYE,
            List.of(DENSITY_A, SPREAD),
            Material.Kind.POWDER,
            List.of(),
            Material.Kind.BROADCAST,
            List.of()));

    /** What only some kinds have, each its own. */
    static final Map<Material.Kind, List<Field>> NUMBERS = new EnumMap<>(Map.of(
            Material.Kind.TWO_PART,
            List.of(
                    SPREAD_MIN,
                    SPREAD_MAX,
                    Field.quantity(
                                    "partsC",
                                    "Parts reducer",
                                    Unit.ONE,
                                    0.01,
                                    100,
                                    "by volume; only where the sheet asks")
                            .ifWanted(),
                    density("densityC", "Density of the reducer").ifWanted()),
            Material.Kind.ONE_PART,
            List.of(SPREAD_MIN, SPREAD_MAX),
            Material.Kind.FINISH,
            List.of(SPREAD_MIN, SPREAD_MAX),
            Material.Kind.CONCENTRATE,
            List.of(
                    SPREAD_MIN,
                    SPREAD_MAX,
                    Field.quantity("water", "Parts of water to one", Unit.ONE, 0.01, 1000, "by volume")),
            Material.Kind.STAIN,
            List.of(
                    SPREAD_MIN,
                    SPREAD_MAX,
                    Field.quantity("look", "First look after", Unit.HOUR, 0.01, 200, ""),
                    Field.quantity("usual", "Colour has usually come after", Unit.HOUR, 0.01, 200, ""),
                    Field.quantity("deep", "Deep browns and black after", Unit.HOUR, 0.01, 200, "")),
            Material.Kind.DYE,
            List.of(
                    SPREAD_MIN,
                    SPREAD_MAX,
                    Field.choice(
                            "solvent",
                            "Carried by",
                            new Field.Choice("acetone", "Acetone"),
                            new Field.Choice("water", "Water"))),
            Material.Kind.POWDER,
            List.of(
                    Field.quantity("bag", "A bag holds", Unit.POUND, Unit.KILOGRAM, 0.5, 100, ""),
                    Field.quantity("yield", "A bag makes", Unit.GALLON, Unit.LITRE, 0.1, 200, ""),
                    Field.quantity("waterMin", "Water to a bag, at least", Unit.QUART, Unit.LITRE, 0.1, 50, ""),
                    Field.quantity("waterMax", "Water to a bag, at most", Unit.QUART, Unit.LITRE, 0.1, 50, ""),
                    Field.quantity("colourMin", "Colour to a bag, at least", Unit.FLUID_OUNCE, Unit.LITRE, 0, 10, "")
                            .ifWanted(),
                    Field.quantity("colourMax", "Colour to a bag, at most", Unit.FLUID_OUNCE, Unit.LITRE, 0, 10, "")
                            .ifWanted(),
                    Field.quantity("depth", "Laid", Unit.INCH, Unit.MILLIMETRE, 0.0001, 0.3, "deep"),
                    Field.quantity("lift", "At once at most", Unit.INCH, Unit.MILLIMETRE, 0.0001, 0.3, "")),
            Material.Kind.BROADCAST,
            List.of(
                    Field.yesNo("refusal", "Fed until the coat takes no more").ifWanted(),
                    Field.words("classes", "Thrown otherwise", 80, "light: 0.02 lb/ft²; medium: 0.05 lb/ft²")
                            .ifWanted())));

    static final List<Field> HANDLING = List.of(
            Field.quantity("stir", "Each part stirred", Unit.MINUTE, 0, 60, "").ifWanted(),
            Field.quantity("combine", "All parts together", Unit.MINUTE, 0, 60, "")
                    .ifWanted(),
            Field.quantity("stand", "Stands before use", Unit.MINUTE, 0, 240, "")
                    .ifWanted(),
            Field.words("tool", "Put on with", 80, "3/8 in nap roller, 9 in").ifWanted(),
            Field.words("box", "In one box", 80, "can A; can B; bag of chips").ifWanted(),
            Field.choice(
                            "fan",
                            "A fan",
                            new Field.Choice("fine", "Is fine"),
                            new Field.Choice("never", "Never while it films"))
                    .ifWanted(),
            Field.quantity("rainSafe", "Rain does no harm after", Unit.HOUR, 0.01, 2000, "")
                    .ifWanted(),
            Field.quantity("keeps", "An opened can keeps", Unit.DAY, 1, 3650, "well closed")
                    .ifWanted(),
            Field.yesNo("ownPails", "Each part in its own pail, never on top of another")
                    .ifWanted(),
            Field.quantity("atOnce", "Mixed at once at most", Unit.GALLON, Unit.LITRE, 0.05, 2000, "")
                    .ifWanted(),
            Field.quantity("grit", "Grit, at most", Unit.PERCENT, 0.1, 100, "by volume; 1 qt in 5 gal is 5 %")
                    .ifWanted(),
            Field.quantity("thin", "Thinner, at most", Unit.PERCENT, 0.1, 300, "by volume, to a hundred of it")
                    .ifWanted());

    private SheetFields() {}

    private static Field range(String id, String label) {
        return Field.quantity(
                        id,
                        label,
                        Unit.SQUARE_FOOT_PER_GALLON,
                        Unit.SQUARE_METRE_PER_LITRE,
                        0.05,
                        50,
                        "where the sheet gives a range")
                .ifWanted();
    }

    private static Field density(String id, String label) {
        return Field.quantity(id, label, Unit.POUND_PER_GALLON, Unit.KILOGRAM_PER_LITRE, 0.3, 5, "");
    }
}
