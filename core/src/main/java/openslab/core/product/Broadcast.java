package openslab.core.product;

import openslab.core.quantity.Require;

/** What is thrown into the wet layer below. @param kgPerM2 how much lies on the floor when it is done */
public record Broadcast(double kgPerM2) {
    public Broadcast {
        Require.positive(kgPerM2, "mass per area");
    }
}
