package openslab.core.prep.wash;

import java.util.Optional;
import openslab.core.quantity.Source;

/**
 * What goes into the bucket. Strengths and doses are common practice; the label in hand beats them.
 */
public enum Chemical {
    NEUTRAL_CLEANER(
            "Neutral cleaner",
            Family.SOAP,
            "1:64",
            "8 fl oz/gal",
            "Deep clean before a seal; half as much where the floor is new or clean."),
    DISH_SOAP("Dish soap", Family.SOAP, "1:1000", "1:300", "A squirt into 5 gal takes loose release powder off."),
    DEGREASER(
            "Degreaser", Family.ALKALI, "1:40", "1:4", "For oil and kitchens; let it stand, scrub corners and grout."),
    STRIPPER(
            "Floor stripper",
            Family.STRIPPER,
            "1:16",
            "16 fl oz/gal",
            "For wax and finish; let it stand until a foot rub lifts the film."),
    DESCALER(
            "Mild descaler",
            Family.ACID,
            "1:16",
            "1:1",
            "For antique and thin lime: begin with 1 part into 4 of water, 2 minutes."),
    ETCH_LIQUID("Liquid etch", Family.ACID, "1:4", "1:1", "Light fizz, stiff brush, never let it dry on."),
    MURIATIC(
            "Muriatic acid, 20 °Bé (31.45 %)",
            Family.ACID, "1:10", "1:3", "The strongest of them: fumes, burns, rusts everything near."),
    BLEACH("Bleach", Family.BLEACH, "1:50", "1:10", "For mould; never near an acid or ammonia."),
    AMMONIA(
            "Household ammonia",
            Family.AMMONIA,
            "1:64",
            "1:32",
            "Neutralises a stain: 1/4 to 1/2 cup to the gallon, 15 to 20 minutes."),
    ACCENT_WASH(
            "Accent powder wash",
            Family.SOAP,
            "1:10",
            "1:4",
            "Keep stirring; roll it on, then brush until the marks go."),
    STAIN_CONCENTRATE("Water-based stain concentrate", Family.SOAP, "1:8", "1:3", "On damp, clean concrete.");

    /** What must not meet another. */
    public enum Family {
        SOAP,
        ALKALI,
        STRIPPER,
        ACID,
        BLEACH,
        AMMONIA
    }

    private final String label;
    private final Family family;
    private final String weakest;
    private final String strongest;
    private final String use;

    Chemical(String label, Family family, String weakest, String strongest, String use) {
        this.label = label;
        this.family = family;
        this.weakest = weakest;
        this.strongest = strongest;
        this.use = use;
    }

    public String label() {
        return label;
    }

    public Family family() {
        return family;
    }

    /** Weaker than this it is water. */
    public Ratio weakest() {
        return Ratio.parse("weakest", weakest);
    }

    /** As strong as its label goes. */
    public Ratio strongest() {
        return Ratio.parse("strongest", strongest);
    }

    public String use() {
        return use;
    }

    public Source source() {
        return Source.commonPractice("the label in hand beats it");
    }

    /** Why the two must never meet; empty where they may. */
    public static Optional<String> never(Chemical a, Chemical b) {
        return NeverTogether.why(a.family, b.family);
    }
}
