package openslab.core.choose;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.system.Blemish;

/** What is not to be seen any more, one need for each. */
final class HideNeeds {
    private static final Source LADDER =
            Source.commonPractice("what each rung of refurbish, resurface and replace hides, and what it never hides");

    static final List<Need> ALL = Arrays.stream(Blemish.values())
            .map(b -> new Need(
                    Need.wanted(id(b), Show.capital(b.label())),
                    Need.Group.HIDE,
                    (offer, value, units) -> hide(offer, b)))
            .toList();

    private HideNeeds() {}

    static String id(Blemish blemish) {
        return "hide-" + blemish.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static Reason hide(Offer offer, Blemish b) {
        if (offer.system().hides().contains(b)) {
            return new Reason(id(b), Reason.Stance.FOR, "Hides " + b.label() + ".", LADDER);
        }
        return offer.system().never().contains(b)
                ? new Reason(id(b), Reason.Stance.REFUSES, "It never hides " + b.label() + ".", LADDER)
                : new Reason(id(b), Reason.Stance.AGAINST, "Not meant to hide " + b.label() + ".", LADDER);
    }
}
