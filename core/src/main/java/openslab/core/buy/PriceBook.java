package openslab.core.buy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import openslab.core.product.Kit;

/**
 * What packs cost, and where.
 *
 * @param currency which money the shop reckons in, by its code of ISO 4217; empty where nobody said
 * @param prices by what is bought, a sheet's slug or a {@link Sundry}'s id
 */
public record PriceBook(String currency, Map<String, List<Price>> prices) {
    /** The pack of what is bought one by one. */
    public static final String EACH = "each";

    /**
     * One pack of one supplier.
     *
     * @param pack its label, as the sheet has it
     * @param cents hundredths of the shop's money
     */
    public record Price(String pack, String supplier, long cents) {}

    /** A pack as it can be had. @param supplier empty where only the sheet names a price, or nobody does */
    public record Offer(Kit pack, String supplier) {
        boolean isPriced() {
            return pack.priceCents() > 0;
        }
    }

    public static final PriceBook EMPTY = new PriceBook("", Map.of());

    public PriceBook {
        prices = Map.copyOf(prices);
    }

    /** The price of a pack where it is cheapest; empty supplier and 0 where nobody noted one. */
    public Price cheapest(String what, String pack) {
        return prices.getOrDefault(what, List.of()).stream()
                .filter(p -> p.pack().equals(pack))
                .min(Comparator.comparingLong(Price::cents).thenComparing(Price::supplier))
                .orElse(new Price(pack, "", 0));
    }

    /**
     * Every pack where it is cheapest. A noted price beats that of the sheet; where some packs have a price the others are left
     * out, since what has none would always seem the cheapest.
     */
    public List<Offer> offers(String what, List<Kit> packs) {
        var all = new ArrayList<Offer>();
        for (Kit pack : packs) {
            Price noted = cheapest(what, pack.label());
            all.add(
                    noted.cents() > 0
                            ? new Offer(new Kit(pack.label(), pack.size(), noted.cents()), noted.supplier())
                            : new Offer(pack, noted.supplier()));
        }
        List<Offer> priced = all.stream().filter(Offer::isPriced).toList();
        return priced.isEmpty() ? all : priced;
    }
}
