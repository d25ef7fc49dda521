package openslab.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.time.Duration;

/** Numbers as a person reads them: half-up, thousands set apart by a thin space, a real minus sign. */
public final class Show {
    private static final char THIN = '\u202f';
    private static final char MINUS = '\u2212';
    private static final int WORKING_DIGITS = 7;
    private static final int LITTLE_DIGITS = 2;
    /** Of so many litres or gallons nobody measures a hundredth. */
    private static final double MUCH = 100;
    /** Of one: what a sum leaves of a whole number in its last bits is one. */
    private static final double HAIR = 1e-9;

    private static final double[] TENS = {
        1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15
    };

    private Show() {}

    /** {@code base} (in the base unit of {@code unit}'s dimension) as "1 148 ft²". */
    public static String in(Unit unit, double base) {
        boolean count = unit.dimension() == Dimension.NUMBER && Math.abs(base - Math.rint(base)) < HAIR;
        return in(unit, base, count ? 0 : unit.decimals());
    }

    public static String in(Unit unit, double base, int decimals) {
        return withUnit(number(unit.fromBase(base), decimals), unit);
    }

    /** {@code base} in the unit that {@code system} reads {@code dimension} in; what is little of it in a smaller one. */
    public static String in(UnitSystem system, Dimension dimension, double base) {
        return readable(Unit.of(dimension, system), base);
    }

    /** As {@link #in}, but little of a volume or a mass is told in a smaller unit, and never as nothing. */
    static String readable(Unit unit, double base) {
        Unit read = Unit.readable(unit, base);
        if (read == unit) {
            boolean much = unit.dimension() == Dimension.VOLUME && Math.abs(unit.fromBase(base)) >= MUCH;
            return much ? in(unit, base, 0) : in(unit, base);
        }
        return significant(read, base, LITTLE_DIGITS);
    }

    /** How long something takes or took, as a person says it: "40 min", "26 h", "9 days", "5 months", "4 years". */
    public static String span(Duration time) {
        double minutes = Math.abs(time.toSeconds()) / 60.0;
        if (minutes < 100) {
            return in(Unit.MINUTE, minutes, 0);
        }
        double hours = Unit.HOUR.fromBase(minutes);
        if (hours < 48) {
            return in(Unit.HOUR, minutes, hours < 10 ? 1 : 0);
        }
        double days = Unit.DAY.fromBase(minutes);
        return days < 60
                ? number(days, 0) + " days"
                : days < 730 ? number(days / MONTH, 0) + " months" : number(days / YEAR, 0) + " years";
    }

    private static final double YEAR = 365.25;
    private static final double MONTH = YEAR / 12;

    /** With so many digits that say something, no fewer decimals than its unit is read with, and no zeros for show. */
    public static String significant(Unit unit, double base, int digits) {
        double value = Math.abs(unit.fromBase(base));
        int decimals = value > 0 ? digits - 1 - (int) Math.floor(Math.log10(value)) : 0;
        return in(unit, base, Math.max(unit.decimals(), decimals));
    }

    /** Fixed decimals. */
    public static String number(double value, int decimals) {
        if (!Double.isFinite(value)) {
            return "—";
        }
        return grouped(fixed(value, decimals));
    }

    /** The number that {@link #number} shows. */
    static double rounded(double value, int decimals) {
        if (!Double.isFinite(value)) {
            return value;
        }
        double scaled = decimals < TENS.length ? Math.abs(value) * TENS[decimals] : Double.POSITIVE_INFINITY;
        // a whole number by a power of ten, both exact: the quotient is what its decimals would be read as
        return isSurelyRounded(scaled)
                ? Math.copySign(Math.round(scaled) / TENS[decimals], value)
                : Double.parseDouble(fixed(value, decimals));
    }

    private static String fixed(double value, int decimals) {
        double scaled = decimals < TENS.length ? Math.abs(value) * TENS[decimals] : Double.POSITIVE_INFINITY;
        return isSurelyRounded(scaled)
                ? withPoint(value < 0, Math.round(scaled), decimals)
                : BigDecimal.valueOf(value)
                        .setScale(decimals, RoundingMode.HALF_UP)
                        .toPlainString();
    }

    /**
     * Whether rounding the product is rounding the number: its error is under a millionth there, so only what lies that near
     * to a half needs its decimal digits. A report is thousands of numbers, and this is ten times quicker.
     */
    private static boolean isSurelyRounded(double scaled) {
        return scaled < 1e9 && Math.abs(scaled - Math.floor(scaled) - 0.5) > 1e-6;
    }

    private static String withPoint(boolean negative, long digits, int decimals) {
        var plain = new StringBuilder(24).append(digits);
        while (plain.length() <= decimals) {
            plain.insert(0, '0');
        }
        if (decimals > 0) {
            plain.insert(plain.length() - decimals, '.');
        }
        return negative ? plain.insert(0, '-').toString() : plain.toString();
    }

    /** Seven significant digits, no trailing zeros: enough for a pocket calculator to agree with the answer. */
    static String exact(double value) {
        if (value == Math.rint(value) && Math.abs(value) < 1e15) {
            return grouped(Long.toString((long) value));
        }
        if (!Double.isFinite(value)) {
            return "—";
        }
        int decimals = WORKING_DIGITS - 1 - (int) Math.floor(Math.log10(Math.abs(value)));
        if (decimals > 0 && decimals < TENS.length && isSurelyRounded(Math.abs(value) * TENS[decimals])) {
            return grouped(stripped(fixed(value, decimals)));
        }
        return grouped(BigDecimal.valueOf(value)
                .round(new MathContext(WORKING_DIGITS, RoundingMode.HALF_UP))
                .stripTrailingZeros()
                .toPlainString());
    }

    /** Without zeros at the end of its decimals, and without a point that ends it. */
    private static String stripped(String plain) {
        int end = plain.length();
        while (plain.charAt(end - 1) == '0') {
            end--;
        }
        return plain.substring(0, plain.charAt(end - 1) == '.' ? end - 1 : end);
    }

    static String withUnit(String number, Unit unit) {
        if (unit.symbol().isEmpty()) {
            return number;
        }
        return number + '\u00a0' + unit.symbol(number);
    }

    /** A title within a sentence: lower case, unless it begins with an abbreviation or a symbol. */
    public static String lower(String title) {
        boolean word = title.length() > 1 && Character.isLowerCase(title.charAt(1)) && !title.startsWith("pH");
        return word ? Character.toLowerCase(title.charAt(0)) + title.substring(1) : title;
    }

    /** As it begins a sentence or a list: "pH" stays as it is. */
    public static String capital(String words) {
        return words.isEmpty() || words.startsWith("pH")
                ? words
                : Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private static String grouped(String plain) {
        if (plain.length() <= 4 && plain.charAt(0) != '-') {
            return plain;
        }
        boolean negative = plain.startsWith("-") && plain.chars().anyMatch(c -> c >= '1' && c <= '9');
        String bare = plain.startsWith("-") ? plain.substring(1) : plain;
        int dot = bare.indexOf('.');
        int end = dot < 0 ? bare.length() : dot;
        if (end <= 4 && !negative) {
            return bare;
        }
        var out = new StringBuilder(bare.length() + 4);
        if (negative) {
            out.append(MINUS);
        }
        for (int i = 0; i < bare.length(); i++) {
            if (i > 0 && i < end && (end - i) % 3 == 0 && end > 4) {
                out.append(THIN);
            }
            out.append(bare.charAt(i));
        }
        return out.toString();
    }
}
