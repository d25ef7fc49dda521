package openslab.core.floor.walk;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import openslab.core.quantity.InvalidInput;

/**
 * How a person writes a turn: "L" and "R" are square, "S" is straight on, "L 45" and "22.5 R" are what they say, in
 * degrees. Radians, left positive.
 */
public final class Turn {
    private static final String ACCEPTED = "L or R for a square corner, S for straight on, or L 45, R 22.5, up to 180";
    private static final Pattern WORD = Pattern.compile("([LRS])?\\s*(\\d{1,3}(?:\\.\\d{1,6})?)?\\s*°?\\s*([LRS])?");

    private Turn() {}

    /** @throws InvalidInput naming {@code field} and what is accepted */
    public static double parse(String field, String text) {
        String plain = text == null ? "" : text.strip().toUpperCase(Locale.ROOT);
        Matcher m = WORD.matcher(plain);
        if (plain.isEmpty() || plain.length() > 20 || !m.matches() || (m.group(1) == null) == (m.group(3) == null)) {
            throw new InvalidInput(field, text, ACCEPTED);
        }
        String side = m.group(1) == null ? m.group(3) : m.group(1);
        if (side.equals("S")) {
            if (m.group(2) != null) {
                throw new InvalidInput(field, text, ACCEPTED);
            }
            return 0;
        }
        double degrees = m.group(2) == null ? 90 : Double.parseDouble(m.group(2));
        if (degrees > 180) {
            throw new InvalidInput(field, text, ACCEPTED);
        }
        return Math.toRadians(side.equals("L") ? degrees : -degrees);
    }

    /** As {@link #parse} reads it again, to a ten-thousandth of a degree. */
    public static String text(double radians) {
        double degrees = Math.rint(Math.toDegrees(Network.wrapped(radians)) * 1e4) / 1e4;
        if (degrees == 0) {
            return "S";
        }
        String side = degrees > 0 ? "L" : "R";
        double size = Math.abs(degrees);
        return size == 90
                ? side
                : side + " "
                        + new java.math.BigDecimal(Double.toString(size))
                                .stripTrailingZeros()
                                .toPlainString();
    }
}
