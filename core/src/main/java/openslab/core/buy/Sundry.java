package openslab.core.buy;

import openslab.core.quantity.Figure;

/**
 * Something small that is bought beside the materials.
 *
 * @param id what the price book calls it
 * @param count whole ones
 * @param each hundredths of the shop's money; 0 where nobody noted a price
 * @param supplier empty likewise
 */
public record Sundry(String id, String label, Figure count, String supplier, long eachCents) {
    /** Hundredths of the shop's money. */
    public long cents() {
        return Math.round(count.value()) * eachCents;
    }
}
