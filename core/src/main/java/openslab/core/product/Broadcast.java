package openslab.core.product;

import openslab.core.quantity.Require;

/**
 * What is thrown into the wet layer below.
 *
 * @param kgPerM2 how much lies on the floor when it is done
 * @param toRefusal whether it is fed until the coat takes no more
 */
public record Broadcast(double kgPerM2, boolean toRefusal) implements Material {
    public Broadcast {
        Require.positive(kgPerM2, "mass per area");
    }

    @Override
    public Broadcast at(double rate) {
        return new Broadcast(rate, toRefusal);
    }

    @Override
    public Kind kind() {
        return Kind.BROADCAST;
    }
}
