package openslab.core.practice;

import openslab.core.system.FloorSystem;

/** Whether a sealer comes in solvent or in water. */
public enum SealerCarrier implements School {
    BY_PLACE("By place and by who is in it", "Vapour needs somewhere to go, and people breathe it."),
    SOLVENT("Solvent", "Deep colour, bites into the old coat, stands weather."),
    WATER("Water", "Little odour, no fire, tools wash out.");

    public static final Practice PRACTICE = Practice.of(
            "sealer-carrier",
            "Is a sealer carried by solvent or by water?",
            BY_PLACE,
            "Outdoors, and where nobody is in, solvent: it bites and deepens colour. Indoors where people are in the house, water: it hardly smells.",
            values());

    private final String label;
    private final String reason;

    SealerCarrier(String label, String reason) {
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
    public FloorSystem.Layer as(FloorSystem.Layer layer, Place place) {
        return layer.water().isEmpty() || !water(place) ? layer : layer.of(layer.water());
    }

    private boolean water(Place place) {
        return this == WATER || this == BY_PLACE && !place.outdoors() && place.livedIn();
    }
}
