package openslab.core.choose;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import openslab.core.floor.Use;
import openslab.core.product.Exposure;
import openslab.core.product.Suits;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;

/** What the floor says itself, whoever wants what. */
final class FloorRules {
    static final String SUBSTRATE = "floor.substrate";
    static final String BESIDES = "floor.besides";
    static final String SHEET = "floor.sheet";
    static final String USE = "floor.use";
    static final String WEATHER = "floor.weather";

    private FloorRules() {}

    static List<Reason> of(Offer offer) {
        var reasons = new ArrayList<Reason>();
        if (!offer.system().on().contains(offer.substrate())) {
            reasons.add(new Reason(
                    SUBSTRATE,
                    Reason.Stance.REFUSES,
                    "It is not laid on " + Show.lower(offer.substrate().label()) + ".",
                    Source.commonPractice("what each system may lie on")));
        } else if (!offer.candidate().sheets().get(0).traits().mayLieOn(offer.substrate())) {
            reasons.add(new Reason(
                    SHEET,
                    Reason.Stance.REFUSES,
                    offer.candidate().sheets().get(0).name() + " is not for "
                            + Show.lower(offer.substrate().label()) + ".",
                    Source.sheet("of the first coat")));
        }
        if (offer.system().besides().contains(offer.substrate())) {
            reasons.add(new Reason(
                    BESIDES,
                    Reason.Stance.AGAINST,
                    "Made for other floors first; on "
                            + Show.lower(offer.substrate().label()) + " others are usual.",
                    Source.commonPractice("what each system is usually laid on")));
        }
        if (offer.use() != Use.UNSAID && !offer.system().uses().contains(offer.use())) {
            reasons.add(new Reason(
                    USE,
                    Reason.Stance.AGAINST,
                    "Not meant for this use: " + Show.lower(offer.use().label()) + ".",
                    Source.commonPractice("what each system is usually laid for")));
        }
        if (offer.exposure().isOutdoors() && !offer.suits(Suits.OUTDOORS)) {
            reasons.add(new Reason(
                    WEATHER,
                    Reason.Stance.REFUSES,
                    "For indoors only.",
                    Source.sheet("of the coat that is walked on")));
        }
        return List.copyOf(reasons);
    }

    /** What a use and an exposure ask for where nobody said anything of it: which of the two, by the need's id. */
    static Map<String, String> implied(Use use, Exposure exposure) {
        var asks = new TreeMap<String, String>();
        switch (use) {
            case GARAGE -> asks.put(UseNeeds.TYRES, use.label());
            case KITCHEN, WET_ROOM, RAMP -> asks.put(UseNeeds.SLIP, use.label());
            case LABORATORY -> asks.put(UseNeeds.STATIC, use.label());
            default -> {}
        }
        if (exposure == Exposure.SUN) {
            asks.put(UseNeeds.SUN, exposure.label());
        }
        if (exposure == Exposure.FROST) {
            asks.put(UseNeeds.FROST, exposure.label());
        }
        return asks;
    }
}
