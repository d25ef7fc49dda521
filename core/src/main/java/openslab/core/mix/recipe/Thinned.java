package openslab.core.mix.recipe;

import java.util.Optional;
import openslab.core.product.Liquid;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * What a solvent stirred in does to a film: it adds volume and no solids.
 *
 * @param solids of the thinned material
 * @param film dry, of one coat spread as far as the sheet has it
 * @param spread at which it leaves the film that it left unthinned
 * @param voc as laws tell it, less water and exempt solvents; empty where the sheet is silent
 * @param material VOC in a litre of all of it; empty likewise
 */
public record Thinned(
        Thinner thinner, Figure solids, Figure film, Figure spread, Optional<Figure> voc, Optional<Figure> material) {
    private static final Source SOLIDS = Source.arithmetic("thinner adds volume and no solids");
    private static final Source VOC = Source.published(
            "EPA Method 24, 40 CFR 60 App. A-7, from memory: grams of VOC over the volume less water and exempt solvents;"
                    + " as if the sheet's own volume held none of these");

    /**
     * @param ratio litres of thinner to one of the material
     * @param vocGPerL of the material, less water and exempt; 0 where its sheet is silent
     */
    public static Thinned of(Liquid liquid, double vocGPerL, Thinner thinner, double ratio, UnitSystem system) {
        return new Thinned(
                thinner,
                solids(liquid, ratio, system),
                film(liquid, ratio, system),
                spread(liquid, ratio, system),
                vocGPerL > 0 ? Optional.of(voc(vocGPerL, thinner, ratio, system)) : Optional.empty(),
                vocGPerL > 0 ? Optional.of(material(vocGPerL, thinner, ratio, system)) : Optional.empty());
    }

    private static Worksheet of(double ratio, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("r", "thinner to one part of it", ratio, Unit.ONE);
        return w;
    }

    private static Figure solids(Liquid liquid, double ratio, UnitSystem system) {
        Worksheet w = of(ratio, system);
        w.given("VS", "volume solids as it comes", 100 * liquid.volumeSolids(), Unit.PERCENT);
        double thin = 100 * liquid.volumeSolids() / (1 + ratio);
        return w.figure("volume solids, thinned", "S", "VS/(1+r)", thin, Unit.PERCENT, SOLIDS);
    }

    private static Figure film(Liquid liquid, double ratio, UnitSystem system) {
        Worksheet w = of(ratio, system);
        w.given("VS", "volume solids as it comes", 100 * liquid.volumeSolids(), Unit.PERCENT);
        w.given("s", "spread rate of one coat", liquid.spreadM2PerL(), Unit.SQUARE_METRE_PER_LITRE);
        double dry = 1000 / liquid.spreadM2PerL() * liquid.volumeSolids() / (1 + ratio);
        return w.figure("dry film, thinned", "DFT", "1000/s·VS/100/(1+r)", dry, Unit.MICROMETRE, SOLIDS);
    }

    private static Figure spread(Liquid liquid, double ratio, UnitSystem system) {
        Worksheet w = of(ratio, system);
        double same = w.given("s", "spread rate of one coat", liquid.spreadM2PerL(), Unit.SQUARE_METRE_PER_LITRE)
                / (1 + ratio);
        return w.figure("spread rate for the same film", "st", "s/(1+r)", same, Unit.SQUARE_METRE_PER_LITRE, SOLIDS);
    }

    private static Figure voc(double vocGPerL, Thinner thinner, double ratio, UnitSystem system) {
        Worksheet w = of(ratio, system);
        w.given("C", "VOC as it comes", vocGPerL, Unit.GRAM_PER_LITRE);
        if (thinner.isLeftOut()) {
            return w.figure("VOC, thinned", "Ct", "(C+0·r)/1", vocGPerL, Unit.GRAM_PER_LITRE, VOC);
        }
        w.given("Cr", "VOC of the thinner", thinner.vocGPerL(), Unit.GRAM_PER_LITRE);
        double mixed = (vocGPerL + thinner.vocGPerL() * ratio) / (1 + ratio);
        return w.figure("VOC, thinned", "Ct", "(C+Cr·r)/(1+r)", mixed, Unit.GRAM_PER_LITRE, VOC);
    }

    private static Figure material(double vocGPerL, Thinner thinner, double ratio, UnitSystem system) {
        Worksheet w = of(ratio, system);
        w.given("C", "VOC as it comes", vocGPerL, Unit.GRAM_PER_LITRE);
        w.given("Cr", "VOC of the thinner", thinner.vocGPerL(), Unit.GRAM_PER_LITRE);
        double mixed = (vocGPerL + thinner.vocGPerL() * ratio) / (1 + ratio);
        return w.figure("VOC in a litre of all of it", "Ca", "(C+Cr·r)/(1+r)", mixed, Unit.GRAM_PER_LITRE, VOC);
    }
}
