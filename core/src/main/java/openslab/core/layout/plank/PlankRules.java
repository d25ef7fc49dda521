package openslab.core.layout.plank;

import java.util.List;
import openslab.core.quantity.Require;

/**
 * How planks are laid out.
 *
 * @param widthsM of the rows, taken in turn
 * @param leastM no plank that somebody cuts is shorter; {@code mostM} none longer where it can be helped
 * @param staggerM butts of neighbouring rows lie further apart than this
 * @param offJointM no butt lies nearer to a joint than this
 * @param frameM width of the frame round an opening
 * @param grain which way the planks run, radians from the x axis
 * @param seed the same floor again for the same seed
 */
public record PlankRules(
        List<Double> widthsM,
        double leastM,
        double mostM,
        double staggerM,
        double offJointM,
        double frameM,
        double grain,
        long seed) {
    private static final double INCH_M = 0.0254;
    private static final double FOOT_M = 0.3048;

    /**
     * CP: 4, 6 and 8 in wide, of random length, butts never in line, the drain framed. OURS: none under a foot, up to six, 6 in
     * between butts of neighbours, 3 in off a joint, a frame of 4 in.
     */
    public static PlankRules usual(double grain, long seed) {
        return new PlankRules(
                List.of(4 * INCH_M, 8 * INCH_M, 6 * INCH_M),
                FOOT_M,
                6 * FOOT_M,
                6 * INCH_M,
                3 * INCH_M,
                4 * INCH_M,
                grain,
                seed);
    }

    public PlankRules {
        widthsM = List.copyOf(widthsM);
        Require.that(!widthsM.isEmpty(), "there is a width of the rows, got %s", widthsM);
        widthsM.forEach(w -> Require.that(w >= 0.02 && w <= 2, "a row is 0.02 to 2 m wide, got %s", w));
        Require.that(
                leastM > 0 && leastM <= mostM / 2, "the shortest plank is at most half the longest, got %s", leastM);
        Require.that(
                staggerM >= 0 && staggerM <= leastM, "the stagger is at most the shortest plank, got %s", staggerM);
        Require.that(offJointM >= 0, "the way off a joint is 0 or more, got %s", offJointM);
        Require.that(frameM >= 0, "a frame is 0 wide or more, got %s", frameM);
    }
}
