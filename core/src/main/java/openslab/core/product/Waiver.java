package openslab.core.product;

/** What a sheet says need not be done before it goes on, where the floor is sound. */
public enum Waiver {
    SANDING("no sanding"),
    PRIMER("no primer");

    private final String label;

    Waiver(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
