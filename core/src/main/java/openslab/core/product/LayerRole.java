package openslab.core.product;

/** Where in the build-up a layer stands. */
public enum LayerRole {
    PRIMER("Primer"),
    BODY("Body coat"),
    BROADCAST("Broadcast"),
    CLEAR("Clear coat");

    private final String label;

    LayerRole(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
