package openslab.core.layout.plank;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/**
 * Where the planks of one run butt against one another: by chance, among all places that the rules allow, so that as few planks as
 * can be are longer than they should be. Places are a grid of {@value #GRAIN_M} m from the run's beginning.
 */
final class Butts {
    static final double GRAIN_M = 0.01;

    private static final double ROUNDING = 1e-9;

    private Butts() {}

    /**
     * @param from where the run begins; {@code to} where it ends
     * @param shunned places that a butt keeps away from, {@code clearM} of each at the same index
     * @return in order, none where the run is one plank
     */
    static List<Double> of(
            double from, double to, PlankRules rules, List<Double> shunned, List<Double> clearM, Random random) {
        int cells = (int) Math.floor((to - from) / GRAIN_M + ROUNDING);
        int least = (int) Math.ceil(rules.leastM() / GRAIN_M - ROUNDING);
        int most = (int) Math.floor(rules.mostM() / GRAIN_M + ROUNDING);
        if (cells < 2 * least) {
            return List.of();
        }
        boolean[] may = new boolean[cells + 1];
        Arrays.fill(may, least, cells - least + 1, true);
        for (int i = 0; i < shunned.size(); i++) {
            shun(may, shunned.get(i) - from, clearM.get(i));
        }
        int[] next = nextAllowed(may);
        return walk(may, next, overlong(may, next, cells, least, most), from, cells, least, most, random);
    }

    /** From each place, itself or the first after it that a butt may lie at; -1 where there is none. */
    private static int[] nextAllowed(boolean[] may) {
        int[] next = new int[may.length + 1];
        next[may.length] = -1;
        for (int i = may.length - 1; i >= 0; i--) {
            next[i] = may[i] ? i : next[i + 1];
        }
        return next;
    }

    private static void shun(boolean[] may, double at, double clear) {
        int low = Math.max(0, (int) Math.floor((at - clear) / GRAIN_M - ROUNDING));
        int high = Math.min(may.length - 1, (int) Math.ceil((at + clear) / GRAIN_M + ROUNDING));
        for (int i = low; i <= high; i++) {
            may[i] = false;
        }
    }

    /** From each place, how many planks until the end are too long at least: only where no butt may lie near enough. */
    private static int[] overlong(boolean[] may, int[] next, int cells, int least, int most) {
        int[] overlong = new int[cells + 1];
        for (int at = cells - 1; at >= 0; at--) {
            int best = cells - at <= most ? 0 : 1 + beyond(next, overlong, at, cells, most);
            for (int to = at + least; to <= Math.min(at + most, cells - least) && best > 0; to++) {
                if (may[to]) {
                    best = Math.min(best, overlong[to]);
                }
            }
            overlong[at] = best;
        }
        return overlong;
    }

    private static int beyond(int[] next, int[] overlong, int at, int cells, int most) {
        int to = at + most + 1 <= cells ? next[at + most + 1] : -1;
        return to < 0 ? 0 : overlong[to];
    }

    private static List<Double> walk(
            boolean[] may, int[] next, int[] overlong, double from, int cells, int least, int most, Random random) {
        var butts = new ArrayList<Double>();
        int at = 0;
        while (true) {
            var near = new ArrayList<Integer>();
            for (int to = at + least; to <= Math.min(at + most, cells - least); to++) {
                if (may[to] && overlong[to] == overlong[at]) {
                    near.add(to);
                }
            }
            boolean ends = cells - at <= most;
            if (ends && (near.isEmpty() || random.nextBoolean())) {
                return butts;
            }
            if (near.isEmpty()) {
                int far = next[at + most + 1];
                if (far < 0) {
                    return butts;
                }
                at = far;
            } else {
                at = near.get(random.nextInt(near.size()));
            }
            butts.add(from + at * GRAIN_M);
        }
    }
}
