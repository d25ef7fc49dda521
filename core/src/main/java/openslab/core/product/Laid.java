package openslab.core.product;

import openslab.core.quantity.Require;

/**
 * So much of a material as it goes on the floor: litres mixed, all parts and all water in; kilograms of dry powder and of what
 * is thrown. What its packs hold of it is {@link Packed}.
 */
public record Laid(double amount) {
    public Laid {
        Require.that(amount >= 0, "what goes on a floor cannot be less than nothing, got %s", amount);
    }
}
