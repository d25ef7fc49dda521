package openslab.core.job;

import java.util.Optional;
import openslab.core.mix.Used;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import openslab.core.survey.Finding;

/** What was spread further or less far than its sheet allows is another film. */
final class SpreadRate {
    /** OURS: a batch spread a quarter further or less far than its sheet says is another film. */
    private static final double OFF = 0.25;

    private static final Source RATE = Source.ours("a quarter more or less than the sheet's rate is another film");

    private SpreadRate() {}

    /** @param floorM2 of the whole zone: what a batch covered where nobody said */
    static Optional<Finding> against(LogEntry e, LayerChoice layer, double floorM2, UnitSystem system) {
        Material material = layer.sheet().material();
        Used.Batch batch = LogEntry.batch(e, material, floorM2);
        boolean liquid = material instanceof Liquid;
        // what is thrown or laid by depth is told by how much lies on a square metre: more of it is thicker
        if (batch.lies() == 0 || batch.areaM2() == 0) {
            return Optional.empty();
        }
        double reached = liquid ? batch.areaM2() / batch.lies() : batch.lies() / batch.areaM2();
        Band band = Band.of(layer);
        if (reached >= band.least() && reached <= band.most()) {
            return Optional.empty();
        }
        boolean thin = liquid == reached > band.most();
        var w = new Worksheet(system);
        w.given("a", "spread over", batch.areaM2(), Unit.SQUARE_METRE);
        w.given("v", "on the floor", batch.lies(), liquid ? Unit.LITRE : Unit.KILOGRAM);
        Figure figure = w.figure(
                liquid ? "spread rate" : "on the floor",
                "s",
                liquid ? "a/v" : "v/a",
                reached,
                liquid ? Unit.SQUARE_METRE_PER_LITRE : Unit.KILOGRAM_PER_SQUARE_METRE,
                Source.arithmetic("as logged"));
        var finding = Finding.of("batch-off-its-rate")
                .measured(figure.text())
                .needed(
                        Used.asked(layer.laid().material(), system) + " of "
                                + layer.sheet().name() + (band.isSheets() ? "" : ", a quarter more or less"),
                        band.isSheets() ? layer.sheet().source() : RATE)
                .working(figure);
        return Optional.of(
                thin
                        ? finding.watch(
                                "spread too thin",
                                "A thin film shows the slab, wears through and does not seal.",
                                "Look for bare places; what is missing goes on within the window.")
                        : finding.watch(
                                "spread too thick",
                                "A thick film cures unevenly, blisters and uses up what was reckoned for the rest.",
                                "Draw it out while it is wet, and see whether what is left will reach."));
    }

    /**
     * Which rates are the coat that was meant: the sheet's range where it gives one, else a quarter to either side.
     *
     * @param least m² a litre, or kg on a m²
     */
    private record Band(double least, double most, boolean isSheets) {
        static Band of(LayerChoice layer) {
            Material material = layer.laid().material();
            if (material instanceof Liquid l && l.spread().isRange()) {
                return new Band(l.spread().leastM2PerL(), l.spread().mostM2PerL(), true);
            }
            double usual = Used.usual(material);
            return new Band(usual * (1 - OFF), usual * (1 + OFF), false);
        }
    }
}
