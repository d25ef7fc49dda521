package openslab.core.quantity;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * A unit: how it is written, what it measures, and how it reaches the base unit of its dimension. US units are exact by
 * definition: the international foot is 0.3048 m, the avoirdupois pound 0.45359237 kg, the US gallon 231 in³ (NIST
 * Handbook 44, Appendix C; from memory).
 */
public enum Unit {
    METRE("m", Dimension.LENGTH, 1, 2, "m", "metre", "metres", "meter", "meters"),
    CENTIMETRE("cm", Dimension.LENGTH, 0.01, 1, "cm"),
    MILLIMETRE("mm", Dimension.LENGTH, 0.001, 0, "mm"),
    FOOT("ft", Dimension.LENGTH, 0.3048, 2, "ft", "feet", "foot", "'"),
    INCH("in", Dimension.LENGTH, 0.0254, 2, "in", "inch", "inches", "\""),
    SQUARE_METRE("m²", Dimension.AREA, 1, 1, "m²", "m2", "sqm"),
    SQUARE_FOOT("ft²", Dimension.AREA, 0.3048 * 0.3048, 0, "ft²", "ft2", "sqft"),
    LITRE("L", Dimension.VOLUME, 1, 2, "l", "litre", "litres", "liter", "liters"),
    MILLILITRE("mL", Dimension.VOLUME, 0.001, 0, "ml"),
    GALLON("gal", Dimension.VOLUME, 3.785411784, 2, "gal", "gallon", "gallons"),
    QUART("qt", Dimension.VOLUME, 3.785411784 / 4, 2, "qt", "quart", "quarts"),
    PINT("pt", Dimension.VOLUME, 3.785411784 / 8, 2, "pt", "pint", "pints"),
    CUP("cup", Dimension.VOLUME, 3.785411784 / 16, 2, "cup", "cups"),
    TABLESPOON("tbsp", Dimension.VOLUME, 3.785411784 / 256, 1, "tbsp", "tablespoon", "tablespoons"),
    TEASPOON("tsp", Dimension.VOLUME, 3.785411784 / 768, 2, "tsp", "teaspoon", "teaspoons"),
    FLUID_OUNCE("fl oz", Dimension.VOLUME, 3.785411784 / 128, 1, "floz", "fl oz"),
    KILOGRAM("kg", Dimension.MASS, 1, 2, "kg"),
    GRAM("g", Dimension.MASS, 0.001, 2, "g", "gram", "grams"),
    OUNCE("oz", Dimension.MASS, 0.45359237 / 16, 1, "oz", "ounce", "ounces"),
    POUND("lb", Dimension.MASS, 0.45359237, 2, "lb", "lbs"),
    MICROMETRE("µm", Dimension.FILM, 1, 0, "µm", "um", "μm", "micron", "microns"),
    /** For what is as thick as a mortar. */
    FILM_MILLIMETRE("mm", Dimension.FILM, 1000, 1, "mm"),
    MIL("mil", Dimension.FILM, 25.4, 1, "mil", "mils"),
    CELSIUS("°C", Dimension.TEMPERATURE, 1, 1, "°c", "c"),
    FAHRENHEIT("°F", Dimension.TEMPERATURE, 5.0 / 9, 1, "°f", "f") {
        @Override
        public double toBase(double value) {
            return (value - 32) / 1.8;
        }

        @Override
        public double fromBase(double base) {
            return base * 1.8 + 32;
        }
    },
    KELVIN("°C", Dimension.TEMPERATURE_DIFFERENCE, 1, 1, "k", "°c", "c", "δ°c"),
    FAHRENHEIT_DEGREE("°F", Dimension.TEMPERATURE_DIFFERENCE, 5.0 / 9, 1, "°f", "f", "δ°f"),
    SQUARE_METRE_PER_LITRE("m²/L", Dimension.SPREAD, 1, 2, "m²/l", "m2/l"),
    SQUARE_FOOT_PER_GALLON("ft²/gal", Dimension.SPREAD, 0.3048 * 0.3048 / 3.785411784, 0, "ft²/gal", "ft2/gal"),
    KILOGRAM_PER_LITRE("kg/L", Dimension.DENSITY, 1, 3, "kg/l"),
    GRAM_PER_LITRE("g/L", Dimension.DENSITY, 0.001, 0, "g/l"),
    POUND_PER_GALLON("lb/gal", Dimension.DENSITY, 0.45359237 / 3.785411784, 2, "lb/gal"),
    KILOGRAM_PER_SQUARE_METRE("kg/m²", Dimension.MASS_PER_AREA, 1, 2, "kg/m²", "kg/m2"),
    POUND_PER_SQUARE_FOOT("lb/ft²", Dimension.MASS_PER_AREA, 0.45359237 / 0.09290304, 3, "lb/ft²", "lb/ft2"),
    SQUARE_METRE_PER_MINUTE("m²/min", Dimension.PACE, 1, 2, "m²/min", "m2/min"),
    SQUARE_FOOT_PER_MINUTE("ft²/min", Dimension.PACE, 0.09290304, 1, "ft²/min", "ft2/min"),
    SQUARE_METRE_PER_HOUR("m²/h", Dimension.PACE, 1.0 / 60, 1, "m²/h", "m2/h"),
    SQUARE_FOOT_PER_HOUR("ft²/h", Dimension.PACE, 0.09290304 / 60, 0, "ft²/h", "ft2/h"),
    METRE_PER_HOUR("m/h", Dimension.ADVANCE, 1, 1, "m/h"),
    FOOT_PER_HOUR("ft/h", Dimension.ADVANCE, 0.3048, 0, "ft/h"),
    CUBIC_METRE_PER_HOUR("m³/h", Dimension.AIRFLOW, 1, 0, "m³/h", "m3/h"),
    CUBIC_FOOT_PER_MINUTE("cfm", Dimension.AIRFLOW, 0.3048 * 0.3048 * 0.3048 * 60, 1, "cfm", "ft³/min"),
    MICROGRAM_PER_CUBIC_METRE("µg/m³", Dimension.CONCENTRATION, 1, 1, "µg/m³", "ug/m3", "µg/m3"),
    MINUTE("min", Dimension.TIME, 1, 0, "min", "minute", "minutes"),
    HOUR("h", Dimension.TIME, 60, 1, "h", "hour", "hours", "hr"),
    DAY("d", Dimension.TIME, 1440, 1, "d", "day", "days"),
    YEAR("years", Dimension.TIME, 525_960, 1, "year", "years"),
    PERCENT("%", Dimension.PERCENT, 1, 0, "%"),
    MVER("lb/1000 ft²/24 h", Dimension.EMISSION, 1, 2, "lb", "lb/1000 ft²/24 h"),
    MEGAPASCAL("MPa", Dimension.STRESS, 1, 2, "mpa", "n/mm²", "n/mm2"),
    PSI("psi", Dimension.STRESS, 0.45359237 * 9.80665 / (0.0254 * 0.0254) / 1e6, 0, "psi"),
    NEWTON("N", Dimension.FORCE, 1, 0, "n"),
    KILONEWTON("kN", Dimension.FORCE, 1000, 2, "kn"),
    POUND_FORCE("lbf", Dimension.FORCE, 0.45359237 * 9.80665, 0, "lbf", "lb"),
    OHM("Ω", Dimension.RESISTANCE, 1, 0, "ω", "ohm", "ohms"),
    KILOHM("kΩ", Dimension.RESISTANCE, 1e3, 1, "kω", "kohm"),
    MEGOHM("MΩ", Dimension.RESISTANCE, 1e6, 1, "mω", "mohm", "megohm", "megohms"),
    GIGOHM("GΩ", Dimension.RESISTANCE, 1e9, 2, "gω", "gohm"),
    VOLT("V", Dimension.VOLTAGE, 1, 0, "v", "volt", "volts"),
    SECOND("s", Dimension.SECONDS, 1, 0, "s", "sec", "second", "seconds"),
    ONE("", Dimension.NUMBER, 1, 2),
    BAG("bags", Dimension.NUMBER, 1, 2, "bag", "bags"),
    SCOOP("scoops", Dimension.NUMBER, 1, 1, "scoop", "scoops"),
    MONEY("", Dimension.MONEY, 1, 2);

    private static final double A_TENTH = 0.1;
    private static final double A_THOUSAND = 1000;
    private static final double A_SEASON = 0.25;

    private final String symbol;
    private final Dimension dimension;
    private final double factor;
    private final int decimals;
    private final List<String> spellings;

    Unit(String symbol, Dimension dimension, double factor, int decimals, String... spellings) {
        this.symbol = symbol;
        this.dimension = dimension;
        this.factor = factor;
        this.decimals = decimals;
        this.spellings = List.of(spellings);
    }

    public String symbol() {
        return symbol;
    }

    /** As a program reads it, that does not know whether a level or a difference is meant: 5 Δ°C are no 5 °C. */
    public String code() {
        return dimension == Dimension.TEMPERATURE_DIFFERENCE ? "Δ" + symbol : symbol;
    }

    /** As it stands after {@code number}: one bag, two bags. */
    String symbol(String number) {
        return dimension == Dimension.NUMBER && number.equals("1") && !symbol.isEmpty()
                ? symbol.substring(0, symbol.length() - 1)
                : symbol;
    }

    public Dimension dimension() {
        return dimension;
    }

    /** How many decimals a person reads this unit with. */
    public int decimals() {
        return decimals;
    }

    public double toBase(double value) {
        return value * factor;
    }

    public double fromBase(double base) {
        return base / factor;
    }

    /** Lower case, straight quotes, plain spaces and minus, thousands as they are shown put together: how spellings are compared. */
    static String plain(String raw) {
        return raw.strip()
                .toLowerCase(Locale.ROOT)
                .replace('\u2032', '\'')
                .replace('\u2019', '\'')
                .replace('\u2033', '"')
                .replace('\u201d', '"')
                .replace('\u2212', '-')
                .replace('\u03bc', '\u00b5')
                .replaceAll("(?<=\\d)\u202f(?=\\d{3})", "")
                .replaceAll("[\\s\u00a0\u202f]+", " ");
    }

    /** The unit a person writes in this way, or null when nobody writes it so for this dimension. */
    public static Unit spelt(String plain, Dimension dimension) {
        return Arrays.stream(values())
                .filter(u -> u.dimension == dimension && u.spellings.contains(plain))
                .findFirst()
                .orElse(null);
    }

    /** The longest spelling of a unit of {@code dimension} that {@code plain} begins with; empty when none does. */
    static String longestSpelling(String plain, Dimension dimension) {
        return Arrays.stream(values())
                .filter(u -> u.dimension == dimension)
                .flatMap(u -> u.spellings.stream())
                .filter(plain::startsWith)
                .max(Comparator.comparingInt(String::length))
                .orElse("");
    }

    /** The unit in which {@code system} reads {@code dimension}; where both read alike, the same one. */
    public static Unit of(Dimension dimension, UnitSystem system) {
        boolean us = system == UnitSystem.US;
        return switch (dimension) {
            case LENGTH -> us ? FOOT : METRE;
            case AREA -> us ? SQUARE_FOOT : SQUARE_METRE;
            case VOLUME -> us ? GALLON : LITRE;
            case MASS -> us ? POUND : KILOGRAM;
            case FILM -> us ? MIL : MICROMETRE;
            case TEMPERATURE -> us ? FAHRENHEIT : CELSIUS;
            case TEMPERATURE_DIFFERENCE -> us ? FAHRENHEIT_DEGREE : KELVIN;
            case SPREAD -> us ? SQUARE_FOOT_PER_GALLON : SQUARE_METRE_PER_LITRE;
            case DENSITY -> us ? POUND_PER_GALLON : KILOGRAM_PER_LITRE;
            case MASS_PER_AREA -> us ? POUND_PER_SQUARE_FOOT : KILOGRAM_PER_SQUARE_METRE;
            case PACE -> us ? SQUARE_FOOT_PER_MINUTE : SQUARE_METRE_PER_MINUTE;
            case ADVANCE -> us ? FOOT_PER_HOUR : METRE_PER_HOUR;
            case AIRFLOW -> us ? CUBIC_FOOT_PER_MINUTE : CUBIC_METRE_PER_HOUR;
            case CONCENTRATION -> MICROGRAM_PER_CUBIC_METRE;
            case TIME -> HOUR;
            case PERCENT -> PERCENT;
            case EMISSION -> MVER;
            case STRESS -> us ? PSI : MEGAPASCAL;
            case FORCE -> us ? POUND_FORCE : NEWTON;
            case RESISTANCE -> MEGOHM;
            case VOLTAGE -> VOLT;
            case SECONDS -> SECOND;
            case NUMBER -> ONE;
            case MONEY -> MONEY;
        };
    }

    /**
     * The unit in which so much is read: less than a tenth of one is told in a smaller one, a year that is less than a season in days, a
     * thousand micrometres in millimetres.
     */
    static Unit readable(Unit unit, double base) {
        double value = Math.abs(unit.fromBase(base));
        if (unit == YEAR && value < A_SEASON) {
            return DAY;
        }
        if (unit == MICROMETRE && Show.rounded(value, 0) >= A_THOUSAND) {
            return FILM_MILLIMETRE;
        }
        return value > 0 && Show.rounded(value, 2) < A_TENTH ? unit.finer() : unit;
    }

    private Unit finer() {
        return switch (this) {
            case GALLON -> FLUID_OUNCE;
            case LITRE -> MILLILITRE;
            case POUND -> OUNCE;
            case KILOGRAM -> GRAM;
            default -> this;
        };
    }

    /** For gaps, cracks and holes. */
    public static Unit small(UnitSystem system) {
        return system == UnitSystem.US ? INCH : MILLIMETRE;
    }

    /** The unit that shows {@code other}'s quantity to a reader of {@code system}: small lengths stay small. */
    static Unit counterpart(Unit other, UnitSystem system) {
        boolean us = system == UnitSystem.US;
        return switch (other) {
            case CENTIMETRE, MILLIMETRE, INCH -> small(system);
            case MILLILITRE, FLUID_OUNCE, CUP, TABLESPOON, TEASPOON -> us ? FLUID_OUNCE : MILLILITRE;
            case SQUARE_METRE_PER_HOUR, SQUARE_FOOT_PER_HOUR -> us ? SQUARE_FOOT_PER_HOUR : SQUARE_METRE_PER_HOUR;
            case BAG, SCOOP, GRAM, OUNCE, MINUTE, HOUR, DAY, YEAR, OHM, KILOHM, MEGOHM, GIGOHM -> other;
            default -> of(other.dimension, system);
        };
    }
}
