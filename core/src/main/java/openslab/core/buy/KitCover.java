package openslab.core.buy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import openslab.core.product.Kit;
import openslab.core.product.Packed;
import openslab.core.quantity.Require;

/**
 * The cheapest set of kits that holds at least what is needed. Whole kits, never rounded down; of two at the same price the
 * one with less left over, then the one with fewer kits.
 */
public record KitCover(List<Bought> kits, long costCents, double size) {
    /** So many of one kit. */
    public record Bought(Kit kit, int count) {}

    /** A kit of 3 gal covers 3 gal, whatever the last bit of a conversion says. */
    static final double ROUNDING = 1e-9;

    /** What is needed beyond this many of the largest kit is bought in the one that is cheapest by the unit. */
    private static final int LARGEST_KITS = 1000;

    /**
     * Exact where the sizes are whole numbers of one grain, a millilitre, a gram, a fluid ounce or the like, and at most
     * {@value KitTable#MOST_CELLS} of it are needed; otherwise two ways to buy that differ by less than a
     * {@value KitTable#MOST_CELLS}th of the need may be taken for one another. What is bought is never short.
     *
     * @param kits at least one
     */
    public static KitCover of(Packed needed, List<Kit> kits) {
        double need = needed.amount();
        Require.that(!kits.isEmpty(), "there must be at least one kit on sale, got %s", kits);
        Require.that(need < 1e6, "need must be from 0 to 1 000 000, got %s", need);
        double least = need - ROUNDING * Math.max(1, need);
        // of two at the same price a unit the larger: fewer of it do
        List<Kit> byPrice = kits.stream()
                .sorted(Comparator.comparingDouble(
                                (Kit k) -> k.priceCents() / k.size().amount())
                        .thenComparing(
                                Comparator.comparingDouble((Kit k) -> k.size().amount())
                                        .reversed()))
                .toList();
        Kit cheapest = byPrice.get(0);
        double largest = kits.stream().mapToDouble(k -> k.size().amount()).max().orElseThrow();
        int ahead = (int) Math.max(
                0, Math.floor((least - LARGEST_KITS * largest) / cheapest.size().amount()));
        int[] counts = KitTable.cheapest(least - ahead * cheapest.size().amount(), byPrice);
        counts[0] += ahead;
        return bought(byPrice, counts);
    }

    private static KitCover bought(List<Kit> kits, int[] counts) {
        var bought = new ArrayList<Bought>();
        long cost = 0;
        double size = 0;
        for (int i = 0; i < counts.length; i++) {
            if (counts[i] > 0) {
                bought.add(new Bought(kits.get(i), counts[i]));
                cost += counts[i] * kits.get(i).priceCents();
                size += counts[i] * kits.get(i).size().amount();
            }
        }
        bought.sort(Comparator.comparingDouble((Bought b) -> b.kit().size().amount())
                .reversed());
        return new KitCover(List.copyOf(bought), cost, size);
    }
}
