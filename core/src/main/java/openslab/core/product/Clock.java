package openslab.core.product;

/** What a sheet gives a time for; all but the first two count from when the layer was applied. */
public enum Clock {
    POT_LIFE("Pot life ends"),
    RECOAT_OPENS("Recoat window opens"),
    RECOAT_CLOSES("Recoat window closes"),
    LIGHT_FOOT("Light foot traffic"),
    FOOT("Foot traffic"),
    HEAVY("Furniture and heavy loads"),
    WATER("Water"),
    VEHICLE("Vehicles"),
    FULL_CURE("Full cure"),
    /** Out of doors. */
    RAIN("Rain does no harm");

    private final String label;

    Clock(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** Return to service, as against the crew's own clocks. */
    public boolean isService() {
        return compareTo(RECOAT_CLOSES) > 0 && this != RAIN;
    }
}
