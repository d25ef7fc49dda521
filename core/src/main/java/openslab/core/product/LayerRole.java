package openslab.core.product;

/** What a layer is for, from what stands nearest the floor to what stands on top. */
public enum LayerRole {
    PRIMER("Primer"),
    STAIN("Colour"),
    BASE("Base coat"),
    BODY("Body coat"),
    OVERLAY("Overlay"),
    BROADCAST("Broadcast"),
    ANTIQUE("Antique"),
    SEALER("Sealer"),
    CLEAR("Clear coat"),
    FINISH("Wax or finish");

    private final String label;

    LayerRole(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
