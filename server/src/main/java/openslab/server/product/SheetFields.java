package openslab.server.product;

import java.util.List;
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
            Field.quantity("airRh", "Humidity of the air below", Unit.PERCENT, 10, 100, ""),
            Field.quantity("dewMargin", "Above dew point at least", Unit.FAHRENHEIT_DEGREE, Unit.KELVIN, 0, 20, ""),
            Field.quantity("minAge", "Concrete age at least", Unit.DAY, 0, 1000, ""),
            Field.quantity("cspMin", "Profile at least (CSP)", Unit.ONE, 1, 10, ""),
            Field.quantity("cspMax", "Profile at most (CSP)", Unit.ONE, 1, 10, ""),
            Field.yesNo("breathes", "Lets vapour through, and asks for no moisture limit")
                    .ifWanted(),
            Field.yesNo("shields", "Keeps what lies over it from the slab's moisture")
                    .ifWanted(),
            Field.quantity("pullOff", "Pull-off at least", Unit.PSI, Unit.MEGAPASCAL, 0.1, 20, ASKED)
                    .ifWanted(),
            Field.quantity("ohmsMin", "Resistance at least", Unit.MEGOHM, 0.001, 1e6, ASKED)
                    .ifWanted(),
            Field.quantity("ohmsMax", "Resistance under", Unit.MEGOHM, 0.001, 1e6, ASKED)
                    .ifWanted(),
            Field.quantity("dcof", "Wet friction at least (DCOF)", Unit.ONE, 0.1, 1.2, ASKED)
                    .ifWanted());

    private SheetFields() {}

    private static Field density(String id, String label) {
        return Field.quantity(id, label, Unit.POUND_PER_GALLON, Unit.KILOGRAM_PER_LITRE, 0.3, 5, "");
    }
}
