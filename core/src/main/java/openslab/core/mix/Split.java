package openslab.core.mix;

import java.util.ArrayList;
import java.util.List;

/**
 * Bays in their order, put together or divided so that no batch covers more than it may: the fewest batches, and of these the
 * ones whose largest is least. A bay that one batch does not cover has batches of its own, all alike; smaller ones that follow
 * one another may share one.
 */
final class Split {
    /** What reaches to the last bit reaches. */
    private static final double ROUNDING = 1e-9;

    /** Bays from {@code from} up to, not with, {@code to}, in so many batches alike. */
    record Part(int from, int to, int batches) {}

    private final List<Double> areas;
    private final double most;
    private final double[] upTo;

    private Split(List<Double> areas, double most) {
        this.areas = areas;
        this.most = most * (1 + ROUNDING);
        upTo = new double[areas.size() + 1];
        for (int i = 0; i < areas.size(); i++) {
            upTo[i + 1] = upTo[i] + areas.get(i);
        }
    }

    static List<Part> of(List<Double> areas, double most) {
        return new Split(areas, most).parts();
    }

    private List<Part> parts() {
        var parts = new ArrayList<Part>();
        int from = 0;
        for (int i = 0; i <= areas.size(); i++) {
            boolean large = i < areas.size() && areas.get(i) > most;
            if (i == areas.size() || large) {
                together(from, i, parts);
                from = i + 1;
            }
            if (large) {
                parts.add(new Part(i, i + 1, (int) Math.min(1_000_000, Math.ceil(areas.get(i) / most))));
            }
        }
        return parts;
    }

    /** Bays that are each small enough: the fewest runs of them, and of these the most even. */
    private void together(int from, int to, List<Part> parts) {
        if (from == to) {
            return;
        }
        int runs = fewest(from, to, most);
        int[] ends = even(from, to, runs);
        int at = from;
        for (int end : ends) {
            parts.add(new Part(at, end, 1));
            at = end;
        }
    }

    /** As many into each as goes. */
    private int fewest(int from, int to, double bound) {
        int runs = 0;
        int at = from;
        while (at < to) {
            int end = at + 1;
            while (end < to && upTo[end + 1] - upTo[at] <= bound) {
                end++;
            }
            runs++;
            at = end;
        }
        return runs;
    }

    /** Where each of {@code runs} runs ends, their largest as small as can be (dynamic programming over the first bays). */
    private int[] even(int from, int to, int runs) {
        int n = to - from;
        double[][] largest = new double[runs + 1][n + 1];
        int[][] cut = new int[runs + 1][n + 1];
        for (int j = 1; j <= n; j++) {
            largest[0][j] = Double.POSITIVE_INFINITY;
        }
        for (int k = 1; k <= runs; k++) {
            for (int j = 0; j <= n; j++) {
                largest[k][j] = Double.POSITIVE_INFINITY;
                for (int i = 0; i < j; i++) {
                    double l = Math.max(largest[k - 1][i], upTo[from + j] - upTo[from + i]);
                    if (l < largest[k][j]) {
                        largest[k][j] = l;
                        cut[k][j] = i;
                    }
                }
            }
        }
        int[] ends = new int[runs];
        int at = n;
        for (int k = runs; k > 0; k--) {
            ends[k - 1] = from + at;
            at = cut[k][at];
        }
        return ends;
    }
}
