package openslab.core.buy;

import java.util.Arrays;
import java.util.List;
import openslab.core.product.Kit;
import openslab.core.quantity.Unit;

/**
 * The cheapest way to every amount up to the need, one kit more at a time (dynamic programming): so many cells times so many
 * kits, whatever the prices are. A cell keeps the true size of what stands in it, so that grains are never added up.
 */
final class KitTable {
    static final int MOST_CELLS = 200_000;

    /** What sizes are told in: base units are litres and kilograms. The gallon's is both a 1000th and a fluid ounce. */
    private static final double[] GRAINS = {0.001, Unit.GALLON.toBase(1) / 16_000, Unit.POUND.toBase(1) / 1_600};

    private final double need;
    private final List<Kit> kits;
    private final double grain;
    private final long[] cost;
    private final double[] size;
    private final int[] number;
    private final short[] last;
    private final int[] from;

    private KitTable(double need, List<Kit> kits) {
        this.need = need;
        this.kits = kits;
        double largest = kits.stream().mapToDouble(k -> k.size().amount()).max().orElseThrow();
        this.grain = Math.max(grain(kits), (need + largest) / MOST_CELLS);
        int cells = cell(need + largest) + 2;
        cost = new long[cells];
        Arrays.fill(cost, Long.MAX_VALUE);
        size = new double[cells];
        number = new int[cells];
        last = new short[cells];
        from = new int[cells];
    }

    /** How many of each kit hold at least {@code need}, in their order. */
    static int[] cheapest(double need, List<Kit> kits) {
        return need <= 0 ? new int[kits.size()] : new KitTable(need, kits).cheapest();
    }

    private int[] cheapest() {
        cost[0] = 0;
        int best = -1;
        for (int at = 0; at < cost.length; at++) {
            if (cost[at] == Long.MAX_VALUE) {
                continue;
            }
            if (size[at] >= need) {
                best = best < 0 || isBetter(at, best) ? at : best;
            } else {
                for (short k = 0; k < kits.size(); k++) {
                    add(at, k);
                }
            }
        }
        return counts(best);
    }

    private void add(int at, short k) {
        Kit kit = kits.get(k);
        double sum = size[at] + kit.size().amount();
        // a kit smaller than a grain still brings its buyer on
        int to = Math.max(at + 1, cell(sum));
        long price = cost[at] + kit.priceCents();
        boolean better = price < cost[to]
                || price == cost[to]
                        && (sum > size[to] + KitCover.ROUNDING
                                || sum >= size[to] - KitCover.ROUNDING && number[at] + 1 < number[to]);
        if (to < cost.length && better) {
            cost[to] = price;
            size[to] = sum;
            number[to] = number[at] + 1;
            last[to] = k;
            from[to] = at;
        }
    }

    private boolean isBetter(int a, int b) {
        return cost[a] < cost[b]
                || cost[a] == cost[b]
                        && (size[a] < size[b] - KitCover.ROUNDING
                                || size[a] <= size[b] + KitCover.ROUNDING && number[a] < number[b]);
    }

    private int[] counts(int best) {
        int[] counts = new int[kits.size()];
        for (int at = best; at > 0; at = from[at]) {
            counts[last[at]]++;
        }
        return counts;
    }

    /** A sum of whole grains must not fall into the cell below through the last bit. */
    private int cell(double sum) {
        return (int) Math.floor(sum / grain + 1e-6);
    }

    /** The largest grain that every size is a whole number of, or nearly nothing where there is none. */
    private static double grain(List<Kit> kits) {
        for (double grain : GRAINS) {
            long common = 0;
            for (Kit kit : kits) {
                double grains = kit.size().amount() / grain;
                long whole = Math.round(grains);
                if (whole == 0 || Math.abs(grains - whole) > 1e-7 * whole) {
                    common = -1;
                    break;
                }
                common = gcd(common, whole);
            }
            if (common > 0) {
                return common * grain;
            }
        }
        return 0;
    }

    private static long gcd(long a, long b) {
        return b == 0 ? a : gcd(b, a % b);
    }
}
