package openslab.core.quantity;

import java.util.Locale;

/** Guards that state what must hold, so that NaN fails too. */
public final class Require {
    private Require() {}

    /**
     * @param template a sentence "subject must rule, got %s"
     * @throws IllegalArgumentException with the filled sentence when {@code holds} is false
     */
    public static void that(boolean holds, String template, Object... args) {
        if (!holds) {
            throw new IllegalArgumentException(String.format(Locale.ROOT, template, args));
        }
    }

    /** What stays of a volume: above 0 and at most 1. */
    public static void solids(double share) {
        that(share > 0 && share <= 1, "volume solids must be above 0 and at most 1, got %s", share);
    }

    /** Finite and above zero. */
    public static double positive(double value, String what) {
        that(value > 0 && value < Double.POSITIVE_INFINITY, "%s must be above 0, got %s", what, value);
        return value;
    }
}
