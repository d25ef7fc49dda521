package openslab.core.product;

import java.util.List;
import openslab.core.quantity.Require;

/**
 * What is thrown into the wet layer below.
 *
 * @param kgPerM2 how much lies on the floor when it is done
 * @param toRefusal whether it is fed until the coat takes no more
 * @param classes how else its sheet has it thrown: "light", "medium"; makers differ, so none is known but by the sheet
 */
public record Broadcast(double kgPerM2, boolean toRefusal, List<Thrown> classes) implements Material {
    /** One way to throw it, as its sheet calls it. */
    public record Thrown(String name, double kgPerM2) {
        public Thrown {
            Require.positive(kgPerM2, "mass per area");
        }
    }

    public Broadcast {
        Require.positive(kgPerM2, "mass per area");
        classes = List.copyOf(classes);
    }

    @Override
    public Broadcast at(double rate) {
        return new Broadcast(rate, toRefusal, classes);
    }

    @Override
    public Kind kind() {
        return Kind.BROADCAST;
    }
}
