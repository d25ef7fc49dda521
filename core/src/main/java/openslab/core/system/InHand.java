package openslab.core.system;

import openslab.core.course.work.Item;
import openslab.core.course.work.Work;
import openslab.core.product.ProductSheet;
import openslab.core.product.Stain;
import openslab.core.product.Traits;

/** What the material in hand makes of a step: what hurts, and what it is done with. */
final class InHand {
    private InHand() {}

    /** Whether its vapour burns. What no sheet says is taken for the worse. */
    private static boolean burns(ProductSheet sheet) {
        return switch (sheet.traits().chemistry()) {
            case SOLVENT_ACRYLIC, SOLVENT_DYE, PENETRATING, POLYASPARTIC, UNSAID -> true;
            default -> false;
        };
    }

    /** Whether this can hurt at a step that is done with {@code sheet}. */
    static boolean harms(Harm harm, ProductSheet sheet) {
        return switch (harm) {
            case SOLVENT -> burns(sheet);
            case ODOUR -> sheet.traits().odour() != Traits.Odour.LOW;
            default -> true;
        };
    }

    /** The work as it is done with {@code sheet}: no steel in acid, no flushing solvent for what water rinses. */
    static Work work(Work work, ProductSheet sheet) {
        if (work.is(LayWorks.STIR) && sheet.material() instanceof Stain) {
            return work.swapping(Item.PADDLE, Item.PLASTIC_BUCKET);
        }
        if ((work.is(LayWorks.SPRAY_SEALER) || work.is(LayWorks.SPRAY_ONLY)) && !burns(sheet)) {
            return work.swapping(Item.SOLVENT_SPRAYER, Item.WATER_SPRAYER).sparing(LayWorks.FLUSH);
        }
        return work;
    }
}
