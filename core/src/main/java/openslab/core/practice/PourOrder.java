package openslab.core.practice;

import openslab.core.product.ProductSheet;
import openslab.core.product.TwoPart;

/** Which part of two goes into the bucket first. */
public enum PourOrder implements School {
    CARD("As its sheet says", "The maker tested it so."),
    A_FIRST("A first", "One habit for every kit: nobody wonders what is in the bucket."),
    B_FIRST("B first", "The thinner part wets the wall, and less of A sticks to it.");

    public static final Practice PRACTICE = Practice.of(
            "pour-order",
            "Which part goes into the bucket first?",
            CARD,
            "Makers differ, and each tested his own.",
            values());

    private final String label;
    private final String reason;

    PourOrder(String label, String reason) {
        this.label = label;
        this.reason = reason;
    }

    @Override
    public String label() {
        return label;
    }

    @Override
    public String reason() {
        return reason;
    }

    @Override
    public ProductSheet taken(ProductSheet sheet) {
        return this != CARD && sheet.material() instanceof TwoPart two
                ? sheet.of(two.first(this == A_FIRST ? TwoPart.First.A : TwoPart.First.B))
                : sheet;
    }
}
