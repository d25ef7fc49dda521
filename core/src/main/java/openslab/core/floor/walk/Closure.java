package openslab.core.floor.walk;

/**
 * By how much a walk round the walls misses its own beginning.
 *
 * @param dxM end less beginning, to the right, m
 * @param dyM end less beginning, up, m
 * @param lengthM how far that is, m
 * @param walkedM how far was walked, m
 * @param toleranceM what tape work allows over that distance, m
 */
public record Closure(double dxM, double dyM, double lengthM, double walkedM, double toleranceM) {
    /** Half an inch, or one in a thousand of the way if that is more: ours, for a tape read to 1/8 in. */
    private static final double LEAST_TOLERANCE_M = 0.0127;

    private static final double TOLERANCE_RATIO = 1000;

    static Closure of(double dxM, double dyM, double walkedM) {
        return new Closure(
                dxM, dyM, Math.hypot(dxM, dyM), walkedM, Math.max(LEAST_TOLERANCE_M, walkedM / TOLERANCE_RATIO));
    }

    /** A hair is allowed on top, so that half an inch typed in sixteenths is half an inch. */
    public boolean isWithinTolerance() {
        return lengthM <= toleranceM * (1 + 1e-9);
    }

    /** The n of "1 in n"; infinite where it closes. */
    public double ratio() {
        return walkedM / lengthM;
    }
}
