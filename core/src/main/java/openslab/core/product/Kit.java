package openslab.core.product;

import openslab.core.quantity.Require;

/**
 * A size on sale.
 *
 * @param size what the label says it holds, not the nominal can
 * @param priceCents hundredths of the shop's money
 */
public record Kit(String label, Packed size, long priceCents) {
    public Kit {
        Require.positive(size.amount(), "kit size");
        Require.that(priceCents >= 0, "price must be 0 or more, got %s", priceCents);
    }
}
