package openslab.core.mix.recipe;

import java.util.Optional;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;

/** Whether what is mixed holds no more solvent than the law of the place allows. */
final class VocLimit {
    private static final Source LAW = Source.published(
            "the law of the place, as keyed in; 50 to 400 g/L for floor coatings by region, from memory");

    private VocLimit() {}

    /** @param mostGPerL less water and exempt solvents */
    static Finding of(ProductSheet sheet, Recipe recipe, double mostGPerL) {
        Optional<Figure> thinned = recipe.thinned().flatMap(Thinned::voc);
        Bound most = Bound.atMost(Unit.GRAM_PER_LITRE.toBase(mostGPerL), Unit.GRAM_PER_LITRE);
        double has = thinned.map(Figure::value).orElse(sheet.traits().vocGPerL());
        Finding.Draft draft = Finding.of("voc").needed(most.words(), LAW);
        thinned.ifPresent(draft::working);
        if (has == 0) {
            return draft.measured("not said")
                    .hold(
                            "its sheet does not say its VOC",
                            "Nobody can tell whether it may be used here.",
                            "Key it in from the sheet in hand.");
        }
        double base = Unit.GRAM_PER_LITRE.toBase(has);
        draft.measured(most.text(base));
        return !most.holds(base)
                ? draft.stop(
                        "too much VOC",
                        "More solvent than the place allows.",
                        "Leave the thinner out, take an exempt one, or another product.")
                : draft.go("VOC within the limit", "Less water and exempt solvents.");
    }
}
