package openslab.core.product;

import java.util.Locale;

/** How light a colour is, beside others. */
public enum Tone {
    LIGHT("Light"),
    MIDDLE("Middle"),
    DARK("Dark");

    private final String label;

    Tone(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** Its word where it is keyed in. */
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }
}
