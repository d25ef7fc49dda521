package openslab.core.product;

/** What a floor lives through. */
public enum Exposure {
    INDOORS("Indoors", false),
    SHADE("Outdoors, shade", true),
    SUN("Outdoors, sun", true),
    FROST("Outdoors, frost and salt", true);

    private final String label;
    private final boolean outdoors;

    Exposure(String label, boolean outdoors) {
        this.label = label;
        this.outdoors = outdoors;
    }

    /** Whether weather reaches the floor. */
    public boolean isOutdoors() {
        return outdoors;
    }

    public String label() {
        return label;
    }
}
