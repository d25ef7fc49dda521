package openslab.core.product;

/** Whether air is moved over it while it dries. */
public enum Fan {
    UNSAID("the sheet does not say"),
    FINE("a fan is fine"),
    NEVER("no fan while it films");

    private final String label;

    Fan(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
