package openslab.core.mix;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import openslab.core.product.Kit;
import openslab.core.quantity.Require;

/**
 * The cheapest set of kits that holds at least what is needed. Whole kits, never rounded down; of two at the same price the
 * one with less left over, then the one with fewer kits.
 */
public record KitCover(List<Bought> kits, long costCents, double size) {
    /** So many of one kit. */
    public record Bought(Kit kit, int count) {}

    /** A kit of 3 gal covers 3 gal, whatever the last bit of a conversion says. */
    private static final double ROUNDING = 1e-9;

    /**
     * @param need litres or kilograms
     * @param kits at least one
     */
    public static KitCover of(double need, List<Kit> kits) {
        Require.that(!kits.isEmpty(), "there must be at least one kit on sale, got %s", kits);
        Require.that(need >= 0 && need < 1e6, "need must be from 0 to 1 000 000, got %s", need);
        var search = new Search(need - ROUNDING * Math.max(1, need), kits);
        search.from(0, 0, 0, 0);
        return search.best();
    }

    /** Branch and bound, dearest per unit last: a branch that cannot beat the best price so far is left. */
    private static final class Search {
        private final double need;
        private final List<Kit> kits;
        private final int[] counts;
        private int[] bestCounts = new int[0];
        private long bestCost = Long.MAX_VALUE;
        private double bestSize;
        private int bestNumber;

        Search(double need, List<Kit> kits) {
            this.need = need;
            this.kits = new ArrayList<>(kits);
            this.kits.sort(Comparator.comparingDouble(k -> k.priceCents() / k.size()));
            this.counts = new int[kits.size()];
        }

        void from(int kit, long cost, double size, int number) {
            if (size >= need) {
                keepIfBetter(cost, size, number);
                return;
            }
            if (kit == kits.size()) {
                return;
            }
            Kit next = kits.get(kit);
            double perUnit = next.priceCents() / next.size();
            if (cost + Math.floor((need - size) * perUnit * (1 - ROUNDING)) > bestCost) {
                return;
            }
            int most = (int) Math.ceil((need - size) / next.size());
            for (int n = most; n >= 0; n--) {
                counts[kit] = n;
                from(kit + 1, cost + n * next.priceCents(), size + n * next.size(), number + n);
            }
            counts[kit] = 0;
        }

        private void keepIfBetter(long cost, double size, int number) {
            boolean better = cost < bestCost
                    || cost == bestCost
                            && (size < bestSize - ROUNDING
                                    || Math.abs(size - bestSize) <= ROUNDING && number < bestNumber);
            if (better) {
                bestCost = cost;
                bestSize = size;
                bestNumber = number;
                bestCounts = counts.clone();
            }
        }

        KitCover best() {
            var bought = new ArrayList<Bought>();
            for (int i = 0; i < bestCounts.length; i++) {
                if (bestCounts[i] > 0) {
                    bought.add(new Bought(kits.get(i), bestCounts[i]));
                }
            }
            bought.sort(Comparator.comparingDouble((Bought b) -> b.kit().size()).reversed());
            return new KitCover(List.copyOf(bought), bestCost, bestSize);
        }
    }
}
