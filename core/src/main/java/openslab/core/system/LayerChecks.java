package openslab.core.system;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.floor.Substrate;
import openslab.core.prep.PrepNeed;
import openslab.core.product.Chemistry;
import openslab.core.product.Exposure;
import openslab.core.product.LayerRole;
import openslab.core.product.Liquid;
import openslab.core.product.ProductSheet;
import openslab.core.product.Suits;
import openslab.core.product.Tone;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Verdict;

/** What stands between the layers of a build-up, and between them and the floor, whatever was measured. */
public final class LayerChecks {
    /**
     * One layer as it is checked.
     *
     * @param sheet as it stands on the shelf; {@code laid} at the rate at which it is laid here
     * @param tone of the colour that came for it, where anybody said
     */
    public record Layer(String id, String title, ProductSheet sheet, ProductSheet laid, Optional<Tone> tone) {}

    /** What is said of a layer. @param layer the id of the upper of the two */
    public record LayerCheck(String layer, String rule, Verdict verdict, String words, Source source) {}

    private LayerChecks() {}

    /** Nothing where nothing speaks against it. @param layers from the floor upward */
    public static List<LayerCheck> of(List<Layer> layers, Substrate substrate, Exposure exposure, UnitSystem units) {
        var checks = new ArrayList<LayerCheck>();
        if (layers.isEmpty()) {
            return checks;
        }
        onTheFloor(layers.get(0), substrate, checks);
        profile(layers, units, checks);
        for (int i = 0; i < layers.size(); i++) {
            rate(layers.get(i), units, checks);
            if (i > 0) {
                over(layers.get(i - 1), layers.get(i), checks);
                breathing(layers.subList(0, i), layers.get(i), checks);
                covers(layers.subList(0, i), layers.get(i), checks);
            }
        }
        onTop(layers, exposure, checks);
        return List.copyOf(checks);
    }

    private static void onTheFloor(Layer first, Substrate substrate, List<LayerCheck> checks) {
        if (!first.sheet().traits().mayLieOn(substrate)) {
            checks.add(new LayerCheck(
                    first.id(),
                    "on-this-floor",
                    Verdict.STOP,
                    first.sheet().name() + " is not for " + Show.lower(substrate.label()) + ".",
                    Source.sheet(first.sheet().name())));
        }
    }

    private static void over(Layer below, Layer above, List<LayerCheck> checks) {
        // what is thrown in lies in the coat below it, and the next coat holds on to both
        Chemistry of = below.sheet().traits().chemistry();
        var over = Compatibility.of(of, above.sheet().traits().chemistry());
        if (over.verdict() != Verdict.GO) {
            checks.add(new LayerCheck(
                    above.id(),
                    over.rule(),
                    over.verdict(),
                    above.title() + " over " + Show.lower(below.title()) + ": " + over.words(),
                    over.source()));
        }
    }

    /** What is seen through only darkens: light over dark is not there. */
    private static void covers(List<Layer> below, Layer above, List<LayerCheck> checks) {
        boolean seenThrough =
                switch (above.sheet().traits().opacity()) {
                    case TRANSLUCENT -> true;
                    case UNSAID -> above.sheet().role() == LayerRole.STAIN;
                    case CLEAR, OPAQUE -> false;
                };
        Optional<Layer> dark = below.stream()
                .filter(l -> seenThrough && above.tone().isPresent() && l.tone().isPresent())
                .filter(l -> l.tone().get().compareTo(above.tone().get()) > 0)
                .reduce((a, b) -> b);
        dark.ifPresent(d -> checks.add(new LayerCheck(
                above.id(),
                "dark-over-light",
                Verdict.HOLD,
                above.title() + " is lighter than " + Show.lower(d.title())
                        + " below it, and seen through: dark covers light, light never covers dark.",
                Source.commonPractice("lighter colour first, dark over it"))));
    }

    /** Vapour that one layer lets through is stopped by the next. */
    private static void breathing(List<Layer> below, Layer above, List<LayerCheck> checks) {
        boolean closed =
                above.sheet().limits().map(l -> l.moisture() && !l.shields()).orElse(false);
        boolean breathes = below.stream().allMatch(l -> l.sheet()
                .limits()
                .map(x -> !x.moisture() && !x.shields())
                .orElse(false));
        if (closed && breathes) {
            checks.add(new LayerCheck(
                    above.id(),
                    "breathing",
                    Verdict.WATCH,
                    above.title()
                            + " stops the vapour that everything below lets through: its own limits of moisture count for the slab.",
                    Source.sheet(above.sheet().name())));
        }
    }

    private static void rate(Layer layer, UnitSystem units, List<LayerCheck> checks) {
        if (!(layer.sheet().material() instanceof Liquid sheet)
                || !(layer.laid().material() instanceof Liquid laid)
                || !sheet.spread().isRange()) {
            return;
        }
        double at = laid.spread().usualM2PerL();
        Unit unit = units == UnitSystem.US ? Unit.SQUARE_FOOT_PER_GALLON : Unit.SQUARE_METRE_PER_LITRE;
        String range = Show.number(unit.fromBase(sheet.spread().leastM2PerL()), 1) + " to "
                + Show.number(unit.fromBase(sheet.spread().mostM2PerL()), 1) + " " + unit.symbol();
        if (at < sheet.spread().leastM2PerL() - 1e-9) {
            checks.add(new LayerCheck(
                    layer.id(),
                    "too-thick",
                    Verdict.WATCH,
                    layer.title() + " is laid thicker than its sheet has it (" + range
                            + "): it peels, yellows, whitens or bubbles.",
                    Source.sheet(layer.sheet().name())));
        }
        if (at > sheet.spread().mostM2PerL() + 1e-9) {
            checks.add(new LayerCheck(
                    layer.id(),
                    "too-thin",
                    Verdict.WATCH,
                    layer.title() + " is laid thinner than its sheet has it (" + range
                            + "): it wears through and hides less.",
                    Source.sheet(layer.sheet().name())));
        }
    }

    /** The published table by thickness against what the sheets ask for. */
    private static void profile(List<Layer> layers, UnitSystem units, List<LayerCheck> checks) {
        BuildUp buildUp = BuildUp.of(layers.stream().map(Layer::laid).toList(), units);
        PrepNeed asked = buildUp.profileNeed();
        PrepNeed table = buildUp.profileByThickness();
        if (asked.min() > asked.max()) {
            checks.add(new LayerCheck(
                    layers.get(0).id(),
                    "profile-contradicts",
                    Verdict.STOP,
                    "What lies on the floor wants it no rougher than CSP " + asked.max()
                            + ", what lies over it no smoother than " + asked.min() + ".",
                    asked.source()));
        } else if (asked.sanding() && table.min() > asked.max()) {
            checks.add(new LayerCheck(
                    layers.get(0).id(),
                    "profile-by-thickness",
                    Verdict.WATCH,
                    "So thick a build-up usually wants " + table.text() + "; its sheets ask for " + asked.text() + ".",
                    table.source()));
        }
    }

    private static void onTop(List<Layer> layers, Exposure exposure, List<LayerCheck> checks) {
        Optional<Layer> top =
                layers.stream().filter(l -> l.sheet().broadcast().isEmpty()).reduce((a, b) -> b);
        if (top.isEmpty() || !exposure.isOutdoors()) {
            return;
        }
        ProductSheet sheet = top.get().sheet();
        if (!sheet.traits().suits().contains(Suits.OUTDOORS)) {
            checks.add(new LayerCheck(
                    top.get().id(),
                    "weather",
                    Verdict.HOLD,
                    sheet.name() + " is the last coat, and its sheet does not have it outdoors.",
                    Source.sheet(sheet.name())));
        } else if (exposure == Exposure.SUN && !sheet.traits().suits().contains(Suits.SUN)) {
            checks.add(new LayerCheck(
                    top.get().id(),
                    "sun-on-top",
                    Verdict.WATCH,
                    sheet.name() + " is the last coat, and sun yellows or chalks it.",
                    Source.sheet(sheet.name())));
        } else if (exposure == Exposure.FROST && !sheet.traits().suits().contains(Suits.FROST)) {
            checks.add(new LayerCheck(
                    top.get().id(),
                    "frost-on-top",
                    Verdict.WATCH,
                    sheet.name() + " is the last coat, and its sheet does not have it in frost and salt.",
                    Source.sheet(sheet.name())));
        }
    }
}
