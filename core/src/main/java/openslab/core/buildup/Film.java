package openslab.core.buildup;

import openslab.core.product.Liquid;
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
