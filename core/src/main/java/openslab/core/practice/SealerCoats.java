package openslab.core.practice;

import openslab.core.product.LayerRole;
import openslab.core.system.FloorSystem;

/** How many coats of sealer go on. */
public enum SealerCoats implements School {
    TWO("Two thin, a third where it is blotchy", "Less film is less to peel."),
    THREE("Three very thin", "Each so thin that it cannot puddle; misses of one are met by the next.");

    public static final Practice PRACTICE = Practice.of(
            "sealer-coats",
            "How many coats of sealer?",
            TWO,
            "Two thin coats cover; a third goes on where they dry blotchy, and nowhere else.",
            values());

    private final String label;
    private final String reason;

    SealerCoats(String label, String reason) {
        this.label = label;
        this.reason = reason;
    }

    @Override
    public String label() {
        return label;
    }

    @Override
    public String reason() {
        return reason;
    }

    @Override
    public boolean lays(FloorSystem.Layer layer, FloorSystem system, Place place) {
        return this == THREE && layer.role() == LayerRole.SEALER && sealers(system) == 2;
    }

    private static long sealers(FloorSystem system) {
        return system.usual().stream().filter(l -> l.role() == LayerRole.SEALER).count();
    }
}
