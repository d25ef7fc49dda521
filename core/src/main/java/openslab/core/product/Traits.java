package openslab.core.product;

import java.util.EnumSet;
import java.util.Set;
import openslab.core.floor.Substrate;

/**
 * What a material is like on a floor, as far as its sheet says.
 *
 * @param on what it may lie on as the first coat; empty where the sheet is silent, which is read as concrete
 * @param waives what need not be done before it
 * @param suits what the finished floor stands up to
 * @param vocGPerL g/L, less water and exempt solvents; 0 where the sheet is silent
 */
public record Traits(
        Chemistry chemistry,
        Set<Substrate> on,
        Set<Waiver> waives,
        Set<Suits> suits,
        Opacity opacity,
        Gloss gloss,
        Odour odour,
        double vocGPerL) {
    /** How much of what lies below is seen through it. */
    public enum Opacity {
        UNSAID("not said"),
        CLEAR("clear"),
        TRANSLUCENT("see-through colour"),
        OPAQUE("opaque");

        private final String label;

        Opacity(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** How it throws light back. */
    public enum Gloss {
        UNSAID("not said"),
        MATTE("matte"),
        SATIN("satin"),
        GLOSS("gloss");

        private final String label;

        Gloss(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** What people in the house smell of it. */
    public enum Odour {
        UNSAID("not said"),
        LOW("little odour"),
        STRONG("strong odour");

        private final String label;

        Odour(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Of a sheet that says nothing of it. */
    public static final Traits SILENT =
            new Traits(Chemistry.UNSAID, Set.of(), Set.of(), Set.of(), Opacity.UNSAID, Gloss.UNSAID, Odour.UNSAID, 0);

    public Traits {
        on = on.isEmpty() ? Set.of() : EnumSet.copyOf(on);
        waives = waives.isEmpty() ? Set.of() : EnumSet.copyOf(waives);
        suits = suits.isEmpty() ? Set.of() : EnumSet.copyOf(suits);
    }

    /** Whether it may be the first coat on {@code substrate}. */
    public boolean mayLieOn(Substrate substrate) {
        return on.isEmpty() ? substrate.family() == Substrate.Family.CEMENT : on.contains(substrate);
    }
}
