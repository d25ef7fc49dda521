package openslab.core.mix.recipe;

import java.util.Locale;

/** How the parts are measured out. */
public enum Measuring {
    VOLUME("By volume"),
    SCALE("On the scale"),
    OWN_PAILS("Each in its own pail");

    private final String label;

    Measuring(String label) {
        this.label = label;
    }

    /** As a choice names it: "own-pails". */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public String label() {
        return label;
    }
}
