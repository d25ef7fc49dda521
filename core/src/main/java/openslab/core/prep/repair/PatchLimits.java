package openslab.core.prep.repair;

import openslab.core.quantity.Require;
import openslab.core.quantity.Unit;

/**
 * What the patching product allows.
 *
 * @param liftM the deepest that one lift may be
 * @param setsMin minutes before the next lift or the next step
 * @param voidM how deep hollow places are cut out, until somebody measures
 */
public record PatchLimits(double liftM, double setsMin, double voidM) {
    /** CP: a resurfacer lifts 1/2 in; two hours and the depth of voids are OURS. The product's sheet beats them. */
    public static final PatchLimits DEFAULT =
            new PatchLimits(Unit.INCH.toBase(0.5), Unit.HOUR.toBase(2), Unit.INCH.toBase(0.5));

    public PatchLimits {
        Require.positive(liftM, "lift");
        Require.positive(setsMin, "set");
        Require.positive(voidM, "depth of voids");
    }

    /** Of a hole so deep; each lift as deep as the others. */
    public int lifts(double depthM) {
        return (int) Math.max(1, Math.ceil(depthM / liftM - 1e-9));
    }
}
