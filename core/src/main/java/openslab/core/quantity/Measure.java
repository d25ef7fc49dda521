package openslab.core.quantity;

import java.util.Locale;

/**
 * Reads what a person writes for a quantity: "24' 6", "12' 4-1/2\"", "7.45 m", "294 in", "3 m 76 cm", "66", "61 °F". A bare
 * number is in the unit named beside the field; after feet it is inches.
 */
public final class Measure {
    private static final int LONGEST = 60;

    private Measure() {}

    /**
     * The quantity in the base unit of {@code bare}'s dimension.
     *
     * @param bare the unit of a number written without one
     * @param min lowest accepted, base unit, inclusive
     * @param max highest accepted, base unit, inclusive
     * @throws InvalidInput naming {@code field}, the text and the accepted range in {@code bare}
     */
    public static double parse(String field, String text, Unit bare, double min, double max) {
        if (text == null || text.isBlank()) {
            throw new InvalidInput(field, null, range(bare, min, max));
        }
        double base = text.length() > LONGEST ? Double.NaN : new Scanner(text, bare).read();
        if (!(base >= min - slack(min) && base <= max + slack(max))) {
            throw new InvalidInput(field, text, range(bare, min, max));
        }
        return base;
    }

    /** What was typed with its unit written out, so that it means the same when the job changes its units. */
    public static String withUnit(String text, Unit bare) {
        boolean hasUnit = text.chars()
                .anyMatch(c -> Character.isLetter(c) || "'\"\u2032\u2033\u2019\u201d%\u00b0".indexOf(c) >= 0);
        return hasUnit || bare.symbol().isEmpty() ? text.strip() : text.strip() + " " + bare.symbol();
    }

    /** "a length from 0.5 to 300 ft, written like …" */
    public static String range(Unit bare, double min, double max) {
        String unit = bare.symbol().isEmpty() ? "" : " " + bare.symbol();
        String form = bare.dimension() == Dimension.LENGTH ? ", written like 24' 6\", 7.45 m or 294 in" : "";
        return noun(bare.dimension()) + " from " + limit(bare.fromBase(min)) + " to " + limit(bare.fromBase(max)) + unit
                + form;
    }

    private static String limit(double value) {
        return Show.exact(Math.rint(value * 1000) / 1000);
    }

    private static String noun(Dimension dimension) {
        return dimension == Dimension.NUMBER
                ? "a number"
                : dimension == Dimension.EMISSION
                        ? "a vapour emission"
                        : "a " + dimension.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** A limit of 300 ft must accept 300 ft, whatever the last bit says. */
    private static double slack(double limit) {
        return Math.abs(limit) * 1e-9 + 1e-9;
    }

    /** Reads left to right: number, fraction, unit, and again for the smaller unit that may follow. */
    private static final class Scanner {
        private final String text;
        private final Unit bare;
        private int at;

        Scanner(String raw, Unit bare) {
            this.text = Unit.plain(raw);
            this.bare = bare;
        }

        /** NaN where the text is not a quantity of this dimension: the caller's range then refuses it. */
        double read() {
            double sign = 1;
            if (peek() == '-' || peek() == '+') {
                sign = text.charAt(at++) == '-' ? -1 : 1;
            }
            double sum = 0;
            Unit before = null;
            do {
                double number = number();
                Unit unit = unit(before);
                if (Double.isNaN(number) || unit == null || before != null && !mayFollow(before, unit)) {
                    return Double.NaN;
                }
                sum += unit.toBase(before == null ? sign * number : number * sign);
                before = unit;
                space();
            } while (at < text.length());
            return sum;
        }

        /** "4", "4.5", ".5", "1/2", "4 1/2", "4-1/2"; NaN for anything else. */
        private double number() {
            space();
            double whole = decimal();
            if (peek() == '/') {
                return over(whole);
            }
            int back = at;
            if (peek() == '-' || peek() == ' ') {
                at++;
                double top = decimal();
                if (!Double.isNaN(top) && peek() == '/') {
                    return whole + over(top);
                }
                at = back;
            }
            return whole;
        }

        private double over(double top) {
            at++;
            double bottom = decimal();
            return bottom > 0 ? top / bottom : Double.NaN;
        }

        private double decimal() {
            int from = at;
            while (at < text.length() && (isDigit(text.charAt(at)) || text.charAt(at) == '.')) {
                at++;
            }
            String digits = text.substring(from, at);
            boolean number =
                    digits.chars().anyMatch(c -> isDigit((char) c)) && digits.indexOf('.') == digits.lastIndexOf('.');
            return number ? Double.parseDouble(digits) : Double.NaN;
        }

        /** The digits that {@link Double#parseDouble} knows; other scripts' digits are refused, not guessed. */
        private static boolean isDigit(char c) {
            return c >= '0' && c <= '9';
        }

        private Unit unit(Unit before) {
            space();
            String written = Unit.longestSpelling(text.substring(at), bare.dimension());
            if (written.isEmpty()) {
                return before == null ? bare : before == Unit.FOOT ? Unit.INCH : null;
            }
            at += written.length();
            return Unit.spelt(written, bare.dimension());
        }

        private char peek() {
            return at < text.length() ? text.charAt(at) : '\0';
        }

        private void space() {
            while (peek() == ' ') {
                at++;
            }
        }

        /** Only a smaller unit follows a larger one: 24' 6", 3 m 76 cm, 1 h 30 min. */
        private static boolean mayFollow(Unit before, Unit unit) {
            return before.dimension() != Dimension.TEMPERATURE && unit.toBase(1) < before.toBase(1);
        }
    }
}
