package openslab.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Lengths as a tape is read: 24' 6-1/2" to the nearest 1/64 in, or 7.45 m to the nearest 0.1 mm. {@link Measure} reads them back. */
public final class TapeText {
    private static final int SIXTY_FOURTHS = 64;

    private TapeText() {}

    /** @param metres 0 or more */
    public static String of(double metres, UnitSystem system) {
        return of(metres, system, SIXTY_FOURTHS, 4);
    }

    /**
     * @param parts of an inch, a power of two
     * @param decimals of a metre
     */
    public static String of(double metres, UnitSystem system, int parts, int decimals) {
        Require.that(metres >= 0 && metres < 1e6, "a length must be from 0 to 1000 km, got %s", metres);
        if (system == UnitSystem.METRIC) {
            return new BigDecimal(metres)
                            .setScale(decimals, RoundingMode.HALF_UP)
                            .stripTrailingZeros()
                            .toPlainString() + " m";
        }
        long all = Math.round(Unit.INCH.fromBase(metres) * parts);
        long feet = all / (12L * parts);
        long inches = all / parts % 12;
        long top = all % parts;
        long bottom = parts;
        while (top > 0 && top % 2 == 0) {
            top /= 2;
            bottom /= 2;
        }
        String fraction = top == 0 ? "" : top + "/" + bottom;
        String inchText = top == 0 ? Long.toString(inches) : inches == 0 ? fraction : inches + "-" + fraction;
        return feet == 0 ? inchText + "\"" : feet + "' " + inchText + "\"";
    }
}
