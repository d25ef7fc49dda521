package openslab.core.practice;

import openslab.core.floor.Substrate;
import openslab.core.product.LayerRole;
import openslab.core.system.FloorSystem;

/** Whether good concrete is primed below a coat. */
public enum PrimerOnConcrete implements School {
    DROP(
            "Where a drop of water is gone at once",
            "Thirsty concrete starves the first coat and blows bubbles through it."),
    CARD("Only where the system always lays one", "The card says what it needs."),
    ALWAYS("Always", "A primer is cheaper than pinholes.");

    public static final Practice PRACTICE = Practice.of(
            "primer",
            "Is good concrete primed below a coat?",
            DROP,
            "A drop of water decides: what is gone at once would drink the first coat.",
            values());

    private final String label;
    private final String reason;

    PrimerOnConcrete(String label, String reason) {
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
        boolean wanted = this == ALWAYS || this == DROP && place.thirsty();
        return wanted
                && layer.role() == LayerRole.PRIMER
                && system.on().contains(Substrate.BARE_CONCRETE)
                && !PrimingPatch.onCement(system);
    }
}
