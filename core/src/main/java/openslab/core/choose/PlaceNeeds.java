package openslab.core.choose;

import java.util.List;
import java.util.Optional;
import openslab.core.product.Traits.Odour;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Value;

/** What the place and the people in it allow. */
final class PlaceNeeds {
    private static final Source SHEETS = Source.sheet("of each coat");

    static final List<Need> ALL = List.of(
            new Need(
                    Need.wanted("odour", "People are in the house"),
                    Need.Group.PLACE,
                    (offer, value, units) -> odour(offer)),
            new Need(
                    Field.quantity("closed", "Closed for at most", Unit.HOUR, 1, 2000, "until people walk on it again"),
                    Need.Group.PLACE,
                    (offer, value, units) -> closed(offer, value)),
            new Need(
                    Field.choice(
                            "money",
                            "Money",
                            new Field.Choice("1", "As little as can be"),
                            new Field.Choice("2", "A coat's worth"),
                            new Field.Choice("3", "A new surface's worth")),
                    Need.Group.PLACE,
                    (offer, value, units) -> money(offer.face().money(), Integer.parseInt(value.typed()))));

    private PlaceNeeds() {}

    private static Reason odour(Offer offer) {
        List<String> strong = offer.smelling(Odour.STRONG);
        List<String> unsaid = offer.smelling(Odour.UNSAID);
        if (!strong.isEmpty()) {
            return new Reason(
                    "odour", Reason.Stance.AGAINST, "Smells for days: " + String.join("; ", strong) + ".", SHEETS);
        }
        return unsaid.isEmpty()
                ? new Reason("odour", Reason.Stance.FOR, "Little odour.", SHEETS)
                : new Reason(
                        "odour",
                        Reason.Stance.AGAINST,
                        "Nothing is said of the odour of " + String.join("; ", unsaid) + ".",
                        SHEETS);
    }

    private static Reason closed(Offer offer, Value wanted) {
        Optional<Figure> closed = offer.closed();
        if (closed.isEmpty()) {
            return new Reason("closed", Reason.Stance.AGAINST, "Its sheets do not say how long it takes here.", SHEETS);
        }
        boolean fits = closed.get().base() <= wanted.base();
        return new Reason(
                "closed",
                fits ? Reason.Stance.FOR : Reason.Stance.AGAINST,
                "Walked on again after " + closed.get().text() + " of waiting, hands not counted.",
                closed.get().source());
    }

    private static Reason money(int costs, int wanted) {
        return new Reason(
                "money",
                costs <= wanted ? Reason.Stance.FOR : Reason.Stance.AGAINST,
                costs <= wanted ? "Within the money." : "Costs more than that.",
                Source.commonPractice("the ladder from reseal to replace, the cheapest first"));
    }
}
