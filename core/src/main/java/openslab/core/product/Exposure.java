package openslab.core.product;

/** What a floor lives through. */
public enum Exposure {
    INDOORS("Indoors"),
    SHADE("Outdoors, shade"),
    SUN("Outdoors, sun"),
    FROST("Outdoors, frost and salt");

    private final String label;

    Exposure(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
