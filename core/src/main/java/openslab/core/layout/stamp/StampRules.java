package openslab.core.layout.stamp;

import openslab.core.quantity.Require;

/**
 * How a floor is stamped.
 *
 * @param alongM a mat along its row; {@code acrossM} across it
 * @param shift by how much of a mat every other row begins later, 0 to below 1
 * @param grain which way the rows run, radians from the x axis
 */
public record StampRules(double alongM, double acrossM, double shift, double grain) {
    private static final double FOOT_M = 0.3048;

    /** OURS: mats of 2 by 2 ft, every other row begun with half a one. */
    public static final StampRules USUAL = new StampRules(2 * FOOT_M, 2 * FOOT_M, 0.5, 0);

    /** OURS: nobody lifts a larger one. */
    public static final double LARGEST_M = 2;

    public static final double SMALLEST_M = 0.1;

    public StampRules {
        Require.that(alongM >= SMALLEST_M && alongM <= LARGEST_M, "a mat is 0.1 to 2 m along, got %s", alongM);
        Require.that(acrossM >= SMALLEST_M && acrossM <= LARGEST_M, "a mat is 0.1 to 2 m across, got %s", acrossM);
        Require.that(shift >= 0 && shift < 1, "a row begins 0 to 1 of a mat later, got %s", shift);
    }
}
