package openslab.core.choose;

import java.util.List;
import openslab.core.product.Suits;
import openslab.core.quantity.Field;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Value;
import openslab.core.system.Face;

/** What a floor goes through. */
final class UseNeeds {
    static final String SLIP = "slip";
    static final String STATIC = "static";
    static final String TYRES = "tyres";
    static final String SUN = "sun";
    static final String FROST = "frost";

    static final List<Need> ALL = List.of(
            new Need(
                    Need.wanted(SLIP, "Walked on when it is wet"),
                    Need.Group.USE,
                    (offer, value, units) -> slip(offer.face().grip())),
            suits(
                    STATIC,
                    "Static must run off",
                    Suits.STATIC,
                    "It is a static-dissipative floor.",
                    "It is no static-dissipative floor.",
                    Source.published("ANSI/ESD S20.20, from memory: floors below 1×10⁹ Ω")),
            suits(
                    TYRES,
                    "Hot tyres stand on it",
                    Suits.HOT_TYRES,
                    "Hot tyres do not lift it.",
                    "Nothing says that hot tyres do not lift it.",
                    Source.commonPractice("a film that softens is picked up by hot tyres")),
            suits(
                    SUN,
                    "Sun reaches it",
                    Suits.SUN,
                    "Sun does not yellow it.",
                    "Its last coat is not for sun: it yellows or chalks.",
                    Source.sheet("of the coat that is walked on")),
            suits(
                    FROST,
                    "Frost and salt reach it",
                    Suits.FROST,
                    "Stands up to frost and salt.",
                    "Its last coat is not for frost and salt.",
                    Source.sheet("of the coat that is walked on")),
            new Need(
                    Field.quantity("years", "Years before it is due again", Unit.YEAR, 0.05, 50, "at least"),
                    Need.Group.USE,
                    (offer, value, units) -> years(offer, value)));

    private UseNeeds() {}

    private static Reason slip(Face.Grip grip) {
        return new Reason(
                SLIP,
                grip == Face.Grip.NONE ? Reason.Stance.REFUSES : Reason.Stance.FOR,
                Show.capital(grip.label()) + ".",
                Source.published("ANSI A326.3, from memory: DCOF of 0.42 or more where it is walked on wet"));
    }

    private static Need suits(String id, String label, Suits what, String yes, String no, Source source) {
        return new Need(
                Need.wanted(id, label),
                Need.Group.USE,
                (offer, value, units) -> new Reason(
                        id,
                        offer.suits(what) ? Reason.Stance.FOR : refusing(what),
                        offer.suits(what) ? yes : no,
                        source));
    }

    /** Static, sun and frost ruin a floor that is not for them; of tyres a silent sheet says nothing either way. */
    private static Reason.Stance refusing(Suits what) {
        return what == Suits.HOT_TYRES ? Reason.Stance.AGAINST : Reason.Stance.REFUSES;
    }

    private static Reason years(Offer offer, Value wanted) {
        Double years = offer.top().resealYears().get(offer.exposure());
        Source source = Source.sheet(offer.top().name());
        if (years == null) {
            return new Reason("years", Reason.Stance.AGAINST, "Its sheet gives no interval here.", source);
        }
        double asked = Unit.YEAR.fromBase(wanted.base());
        return new Reason(
                "years",
                years >= asked ? Reason.Stance.FOR : Reason.Stance.AGAINST,
                "Due again after " + offer.due() + ".",
                source);
    }
}
