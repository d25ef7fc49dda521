package openslab.core.quantity;

import java.util.OptionalInt;

/**
 * A limit, how a value is held against it, and how both are written: as finely as it takes to see which way it went. A value
 * typed as the limit meets it, whatever the last bit of a conversion says.
 *
 * @param limit in the base unit of {@code unit}'s dimension; infinite where nothing is asked
 * @param unit in which both are read
 * @param decimals the fewest they are read with
 */
public record Bound(Side side, double limit, Unit unit, int decimals) {
    /** Which values it lets through. */
    public enum Side {
        AT_MOST,
        BELOW,
        AT_LEAST
    }

    /** More decimals than anything on a floor is measured with. */
    private static final int FINEST = 9;
    /** Nobody types a limit with more decimals beyond those its unit is usually read with. */
    private static final int TYPED = 3;
    /** OURS: a limit that was converted ends nowhere, and is told as coarsely as is true to a hundredth: 90 °F is 32 °C. */
    private static final double NATURAL = 0.01;
    /** How finely it is told where a value lies between it and what it reads. */
    private static final int FINER = 2;

    private static final double HAIR = 1e-9;

    public static Bound atMost(double limit, Unit unit) {
        return new Bound(Side.AT_MOST, limit, unit, unit.decimals());
    }

    public static Bound below(double limit, Unit unit) {
        return new Bound(Side.BELOW, limit, unit, unit.decimals());
    }

    public static Bound atLeast(double limit, Unit unit) {
        return new Bound(Side.AT_LEAST, limit, unit, unit.decimals());
    }

    /** The same, read with so many decimals at least. */
    public Bound with(int fewest) {
        return new Bound(side, limit, unit, fewest);
    }

    /** @param base in the base unit of the dimension */
    public boolean holds(double base) {
        return holds(base, limit);
    }

    private boolean holds(double value, double against) {
        double hair = Math.abs(against) * HAIR;
        return switch (side) {
            case AT_MOST -> value <= against + hair;
            case BELOW -> value < against - hair;
            case AT_LEAST -> value >= against - hair;
        };
    }

    /** "75 %", no coarser than the limit is. */
    public String text() {
        return Show.in(unit, limit, limitDecimals());
    }

    /** {@link #text()} without its unit. */
    public String number() {
        return Show.number(unit.fromBase(limit), limitDecimals());
    }

    /** "at most 75 %". */
    public String words() {
        return switch (side) {
            case AT_MOST -> "at most " + text();
            case BELOW -> "below " + text();
            case AT_LEAST -> text() + " or more";
        };
    }

    /**
     * {@code base} in this limit's unit, as finely as it takes to see on which side of it it lies: "75.4 %". What lies between the
     * limit and what it reads says so: "7.21 °C, under 7.222 °C".
     */
    public String text(double base) {
        OptionalInt decimals = telling(base);
        if (decimals.isPresent()) {
            return Show.in(unit, base, decimals.getAsInt());
        }
        int finer = this.decimals + FINER;
        while (finer < FINEST
                && holds(rounded(unit.fromBase(base), finer), rounded(unit.fromBase(limit), finer)) != holds(base)) {
            finer++;
        }
        return Show.in(unit, base, finer) + (base < limit ? ", under " : ", over ") + Show.in(unit, limit, finer);
    }

    /** {@link #text(double)} against every one of {@code bounds}, which are read in one unit. */
    public static String text(double base, Bound... bounds) {
        int decimals = 0;
        for (Bound bound : bounds) {
            OptionalInt telling = bound.telling(base);
            if (telling.isEmpty()) {
                return bound.text(base);
            }
            decimals = Math.max(decimals, telling.getAsInt());
        }
        return Show.in(bounds[0].unit, base, decimals);
    }

    /** With how many decimals a value is told beside this limit. */
    public int decimalsFor(double base) {
        return telling(base).orElse(FINEST);
    }

    /** Empty where no number of them shows on which side of what the limit reads it lies. */
    private OptionalInt telling(double base) {
        if (!Double.isFinite(limit) || !Double.isFinite(base)) {
            return OptionalInt.of(decimals);
        }
        int ofLimit = limitDecimals();
        if (Math.abs(base - limit) <= Math.abs(limit) * HAIR) {
            return OptionalInt.of(ofLimit);
        }
        double shownLimit = rounded(unit.fromBase(limit), ofLimit);
        boolean held = holds(base);
        for (int d = Math.min(decimals, ofLimit); d < FINEST; d++) {
            if (holds(rounded(unit.fromBase(base), d), shownLimit) == held) {
                return OptionalInt.of(d);
            }
        }
        return OptionalInt.empty();
    }

    private int limitDecimals() {
        double shown = unit.fromBase(limit);
        for (int d = decimals; d <= decimals + TYPED; d++) {
            if (Math.abs(rounded(shown, d) - shown) <= Math.abs(shown) * HAIR) {
                return d;
            }
        }
        int natural = 0;
        while (natural < FINEST && Math.abs(rounded(shown, natural) - shown) > NATURAL * Math.abs(shown)) {
            natural++;
        }
        return natural;
    }

    /** As {@link Show} rounds. */
    private static double rounded(double value, int decimals) {
        return Show.rounded(value, decimals);
    }
}
