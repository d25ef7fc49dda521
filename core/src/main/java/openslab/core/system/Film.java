package openslab.core.system;

import java.util.Optional;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.Powder;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** Film thickness from spread rate and solids: geometry, one litre over one square metre is 1000 µm. */
public final class Film {
    private static final Source GEOMETRY =
            Source.arithmetic("geometry: 1 L over 1 m² is 1000 µm, 1 US gal over 1604.17 ft² is 1 mil");

    private Film() {}

    /** What lies on the floor when it has dried, µm; empty for a stain, a dye, and for what is thrown into the coat below. */
    public static Optional<Figure> of(Material material, UnitSystem system) {
        if (material instanceof Liquid l) {
            return l.isFilm() ? Optional.of(dry(l, system)) : Optional.empty();
        }
        return material instanceof Powder p ? Optional.of(depth(p, system)) : Optional.empty();
    }

    private static Figure depth(Powder powder, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("d", "depth it is laid", powder.depthM(), Unit.METRE);
        return w.figure(
                "thickness",
                "t",
                "d·1000000",
                powder.depthM() * 1e6,
                Unit.MICROMETRE,
                Source.arithmetic("cement stays as deep as it is laid"));
    }

    /** Wet film, µm. */
    public static Figure wet(Liquid liquid, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("s", "spread rate of one coat", liquid.spreadM2PerL(), Unit.SQUARE_METRE_PER_LITRE);
        return w.figure("wet film", "WFT", "1000/s", 1000 / liquid.spreadM2PerL(), Unit.MICROMETRE, GEOMETRY);
    }

    /** What is left of it when the volatile part is gone, µm. */
    public static Figure dry(Liquid liquid, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("s", "spread rate of one coat", liquid.spreadM2PerL(), Unit.SQUARE_METRE_PER_LITRE);
        double wet = w.let("WFT", "wet film", "1000/s", 1000 / liquid.spreadM2PerL(), Unit.MICROMETRE);
        w.given("VS", "volume solids", 100 * liquid.volumeSolids(), Unit.PERCENT);
        return w.figure("dry film", "DFT", "WFT·VS/100", wet * liquid.volumeSolids(), Unit.MICROMETRE, GEOMETRY);
    }
}
