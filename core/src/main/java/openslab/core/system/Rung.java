package openslab.core.system;

import java.util.Locale;

/** How much is done to a floor, the cheapest first (common practice, no source): refurbish, then resurface, then replace. */
public enum Rung {
    RESEAL("Clean and reseal", Step.REFURBISH),
    RECOLOUR("Recolour and seal", Step.REFURBISH),
    SOLID_STAIN("Solid-colour stain", Step.REFURBISH),
    COAT("Coat over it", Step.REFURBISH),
    RESURFACE("Resurface", Step.RESURFACE),
    OVERLAY("Overlay", Step.RESURFACE),
    REPLACE("Take up and lay new", Step.REPLACE);

    /** The three that a client chooses between. */
    public enum Step {
        REFURBISH("Refurbish"),
        RESURFACE("Resurface"),
        REPLACE("Replace");

        private final String label;

        Step(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    private final String label;
    private final Step step;

    Rung(String label, Step step) {
        this.label = label;
        this.step = step;
    }

    /** As it is said to whoever pays for it. */
    public String words() {
        return step.label() + ": " + label.substring(0, 1).toLowerCase(Locale.ROOT) + label.substring(1);
    }
}
