package openslab.core.mix.recipe;

import java.util.Locale;

/**
 * What a material is made thinner with.
 *
 * <p>Densities at 20 °C as handbooks have them, from memory; what of it counts as VOC by 40 CFR 51.100(s), from memory: acetone
 * is exempt there, and a local list may differ.
 */
public enum Thinner {
    ACETONE("Acetone", 0.791, 0),
    XYLENE("Xylene", 0.864, 864),
    WATER("Water", 0.998, 0);

    private final String label;
    private final double density;
    private final double vocGPerL;

    Thinner(String label, double density, double vocGPerL) {
        this.label = label;
        this.density = density;
        this.vocGPerL = vocGPerL;
    }

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    public String label() {
        return label;
    }

    /** kg/L. */
    public double density() {
        return density;
    }

    /** g of VOC in a litre of it; 0 for water and what is exempt. */
    public double vocGPerL() {
        return vocGPerL;
    }

    /** Whether it is left out of the volume by which VOC is told, less water and exempt solvents. */
    public boolean isLeftOut() {
        return vocGPerL == 0;
    }
}
