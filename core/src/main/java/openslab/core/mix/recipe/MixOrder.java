package openslab.core.mix.recipe;

import java.util.ArrayList;
import java.util.List;
import openslab.core.product.Powder;
import openslab.core.product.ProductSheet;

/** What is done while mixing, in order: each part stirred, poured, all together, left to stand, put on the floor. */
final class MixOrder {
    private MixOrder() {}

    static List<MixStage> of(ProductSheet sheet, Measuring measuring, List<Portion> portions) {
        var handling = sheet.handling();
        var stages = new ArrayList<MixStage>();
        sheet.stirred()
                .forEach(p -> stages.add(new MixStage(
                        MixStage.Kind.STIR,
                        p.name(),
                        "Stir " + RatioWords.named(p) + " in its own can, off the bottom.",
                        handling.stirMin())));
        for (Portion p : portions) {
            stages.add(new MixStage(MixStage.Kind.POUR, p.part(), pour(p, portions), 0));
        }
        if (portions.size() > 1) {
            stages.add(new MixStage(
                    MixStage.Kind.COMBINE,
                    "",
                    measuring == Measuring.OWN_PAILS
                            ? "All into one pail and stir, sides and bottom, no air in."
                            : "Stir all together slowly, sides and bottom, no air in.",
                    sheet.togetherMin()));
        }
        if (handling.standMin() > 0) {
            stages.add(new MixStage(MixStage.Kind.STAND, "", "Let it stand.", handling.standMin()));
        }
        stages.add(new MixStage(
                MixStage.Kind.SPREAD,
                "",
                sheet.material() instanceof Powder
                        ? "Pour it out."
                        : sheet.liquid().orElseThrow().isTwoPart() ? "Out of the pail at once." : "Put it on.",
                0));
        return stages;
    }

    private static String pour(Portion p, List<Portion> all) {
        if (p.part().equals("Grit")) {
            return "Stir the grit in; keep stirring, it sinks.";
        }
        if (p.part().equals("Water") && all.size() > 1) {
            return "Water first, into the empty vessel.";
        }
        return p == all.get(0) ? "Into the empty vessel." : "On top of it.";
    }
}
