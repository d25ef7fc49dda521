package openslab.core.mix.recipe;

import openslab.core.product.ProductSheet;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Show;

/** What is stirred in besides, by volume of the mix. */
public sealed interface Extra {
    /** OURS: more grit than this is mortar, whatever anybody heard. */
    double MOST_GRIT = 0.2;

    /** OURS: more thinner than material is a wash; the preview of a colour is told by its own name. */
    double MOST_THINNER = 1;

    /** Litres to one litre. */
    double share();

    /** Anti-slip grit. */
    record Grit(double share) implements Extra {
        /** @throws InvalidInput where the sheet, or else sense, allows less */
        public static Grit of(String typed, double share, ProductSheet sheet) {
            double most = sheet.handling().dosing().gritMost();
            refuse("extras.grit", typed, share, most > 0 ? most : MOST_GRIT, most > 0);
            return new Grit(share);
        }
    }

    /** Thinner, or with {@code preview} the mist that shows what a dye looks like sealed. */
    record Thin(Thinner thinner, double share, boolean preview) implements Extra {
        /** CP: 10 % sealer in 90 % acetone shows the sealed colour of a dye. */
        public static final Thin PREVIEW = new Thin(Thinner.ACETONE, 9, true);

        /** @throws InvalidInput where the sheet, or else sense, allows less */
        public static Thin of(String typed, Thinner thinner, double share, ProductSheet sheet) {
            double most = sheet.handling().dosing().thinMost();
            refuse("extras.thin", typed, share, most > 0 ? most : MOST_THINNER, most > 0);
            return new Thin(thinner, share, false);
        }
    }

    private static void refuse(String field, String typed, double share, double most, boolean said) {
        if (share > most * (1 + 1e-9)) {
            String turned = 1 / share <= most ? ": was it meant the other way round?" : "";
            throw new InvalidInput(
                    field,
                    typed + ", " + percent(share) + " by volume",
                    "at most " + percent(most) + " by volume, as "
                            + (said ? "its sheet has it" : "the sheet in hand has it; this one is silent") + turned);
        }
    }

    private static String percent(double share) {
        return Show.number(100 * share, share < 0.1 ? 1 : 0) + " %";
    }
}
