package openslab.core.mix.recipe;

import openslab.core.product.ProductSheet;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.survey.Finding;

/** What is said when something is thinned. */
final class Solvents {
    private Solvents() {}

    static Finding of(Extra.Thin thin, ProductSheet sheet) {
        String said = Show.number(100 * thin.share(), 1) + " % of "
                + Show.lower(thin.thinner().label());
        double most = sheet.handling().dosing().thinMost();
        if (thin.preview()) {
            return Finding.of("preview-mist")
                    .measured("1 part into 9 of acetone")
                    .needed("on a patch only", Source.commonPractice("shows a dye as it looks sealed"))
                    .watch(
                            "a preview, no coat",
                            "It shows the sealed colour and seals nothing.",
                            "Flammable: no flame, no pilot light, fresh air, respirator; an earthed solvent-proof sprayer.");
        }
        Finding.Draft draft = Finding.of("thinned")
                .measured(said)
                .needed(
                        most > 0 ? "at most " + Show.number(100 * most, 1) + " %" : "what its sheet allows",
                        Source.sheet(sheet.name()));
        String fire =
                thin.thinner() == Thinner.WATER ? "" : " Flammable: no flame, no pilot light, fresh air, respirator.";
        return most > 0
                ? draft.watch(
                        "thinned",
                        "It flashes faster, goes deeper and builds less.",
                        "Spread it as far as the film asks." + fire)
                : draft.hold(
                        "its sheet says nothing of thinning",
                        "Thinner that its sheet does not name may keep it from curing.",
                        "Ask its maker, or leave it as it comes." + fire);
    }
}
