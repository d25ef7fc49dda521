package openslab.core.product;

/** What a sheet says a finished floor stands up to. */
public enum Suits {
    OUTDOORS("weather"),
    SUN("sun, without yellowing"),
    FROST("frost and salt"),
    HOT_TYRES("hot tyres"),
    WET("standing water"),
    STATIC("static, as a dissipative floor");

    private final String label;

    Suits(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
