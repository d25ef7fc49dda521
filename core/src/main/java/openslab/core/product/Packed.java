package openslab.core.product;

import openslab.core.quantity.Require;

/**
 * So much of a material as its packs hold it, before anything is added: litres of what is poured from cans, all parts of a kit
 * together, of a concentrate without its water; kilograms of bags and of what is thrown. What is bought, delivered and stored is told so; {@link Laid} is what goes on
 * the floor, and {@link Material} leads from one to the other.
 */
public record Packed(double amount) {
    public static final Packed NOTHING = new Packed(0);

    public Packed {
        Require.that(amount >= 0, "what is in packs cannot be less than nothing, got %s", amount);
    }

    public Packed times(double count) {
        return new Packed(amount * count);
    }

    public boolean isNothing() {
        return amount == 0;
    }
}
