package openslab.core.floor.walk;

import openslab.core.quantity.Require;

/**
 * Area under evenly spaced ordinates, as handbooks of mensuration give it: the one-third rule over pairs of intervals; an odd
 * number ends with the three-eighths rule; a single interval is a trapezium.
 */
public final class Simpson {
    private Simpson() {}

    /**
     * @param ordinates at least two
     * @param step between them; the answer is in its unit times theirs
     */
    public static double area(double[] ordinates, double step) {
        int intervals = ordinates.length - 1;
        Require.that(intervals >= 1, "ordinates must be at least 2, got %s", ordinates.length);
        if (intervals == 1) {
            return step * (ordinates[0] + ordinates[1]) / 2;
        }
        boolean odd = intervals % 2 == 1;
        int end = odd ? intervals - 3 : intervals;
        double sum = 0;
        for (int i = 0; i < end; i += 2) {
            sum += step / 3 * (ordinates[i] + 4 * ordinates[i + 1] + ordinates[i + 2]);
        }
        if (odd) {
            sum += 3
                    * step
                    / 8
                    * (ordinates[end] + 3 * ordinates[end + 1] + 3 * ordinates[end + 2] + ordinates[end + 3]);
        }
        return sum;
    }
}
