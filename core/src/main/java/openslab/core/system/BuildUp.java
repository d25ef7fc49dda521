package openslab.core.system;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.prep.PrepNeed;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.ProductSheet;
import openslab.core.product.Stain;
import openslab.core.product.Waiver;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import openslab.core.survey.Limits;

/** The layers of a zone from the slab upward, and what together they ask of it. */
public record BuildUp(List<Layer> layers, Figure totalDry) {
    /** @param wet empty for what is no film; {@code dry} for what has no thickness of its own */
    public record Layer(ProductSheet sheet, Optional<Figure> wet, Optional<Figure> dry) {}

    /** @param sheets from the slab upward, at least one of them with limits */
    public static BuildUp of(List<ProductSheet> sheets, UnitSystem system) {
        var layers = new ArrayList<Layer>();
        var w = new Worksheet(system);
        double total = 0;
        var sum = new StringBuilder();
        for (ProductSheet sheet : sheets) {
            Optional<Figure> dry = Film.of(sheet.material(), system);
            layers.add(new Layer(sheet, sheet.liquid().filter(Liquid::isFilm).map(l -> Film.wet(l, system)), dry));
            if (dry.isPresent()) {
                String symbol = "t" + layers.size();
                total += w.given(symbol, sheet.name(), dry.get().value(), Unit.MICROMETRE);
                sum.append(sum.isEmpty() ? "" : "+").append(symbol);
            }
        }
        Source source = Source.arithmetic("the dry films one on another; flake lies in them and is not counted");
        String formula = sum.isEmpty() ? "0" : sum.toString();
        return new BuildUp(
                List.copyOf(layers), w.figure("dry film, all layers", "t", formula, total, Unit.MICROMETRE, source));
    }

    /** What a material adds to a floor, µm; 0 where nothing that has a thickness. */
    public static double thicknessUm(Material material) {
        return Film.of(material, UnitSystem.METRIC).map(Figure::base).orElse(0.0);
    }

    /** The strictest of every sheet's limits, or empty when no sheet says anything. */
    public Optional<Limits> limits() {
        return limitsOf(layers.stream().map(Layer::sheet).toList());
    }

    /** {@link #limits} of a build-up of these sheets. */
    public static Optional<Limits> limitsOf(List<ProductSheet> sheets) {
        List<ProductSheet> asking =
                sheets.stream().filter(s -> s.limits().isPresent()).toList();
        if (asking.isEmpty()) {
            return Optional.empty();
        }
        String names = asking.size() == 1
                ? asking.get(0).name()
                : "the strictest of " + asking.size() + " sheets in the build-up";
        return Optional.of(Limits.strictest(
                asking.stream().flatMap(s -> s.limits().stream()).toList(), names));
    }

    /** The profile the sheets ask for; the published table by thickness stands in where no sheet does. */
    public PrepNeed profileNeed() {
        PrepNeed need = limits().map(l -> new PrepNeed(l.cspMin(), l.cspMax(), l.source()))
                .orElseGet(this::profileByThickness);
        Set<Waiver> waived = layers.stream()
                .findFirst()
                .map(l -> l.sheet().traits().waives())
                .orElse(Set.of());
        boolean reacts = layers.stream()
                .findFirst()
                .map(l -> l.sheet().material() instanceof Stain)
                .orElse(false);
        PrepNeed sanded = waived.contains(Waiver.SANDING) ? need.unsanded() : need;
        PrepNeed asked = waived.contains(Waiver.PRIMER) ? sanded.unprimed() : sanded;
        return reacts ? asked.withLime() : asked;
    }

    /** The published table's answer for the film as a whole. */
    public PrepNeed profileByThickness() {
        return PrepNeed.forFilm(totalDry.base());
    }
}
