package openslab.core.prep.wash;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.course.work.Item;
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
            "8 fl oz/gal",
            "Deep clean before a seal; half as much where the floor is new or clean."),
    DISH_SOAP(
            "Dish soap",
            Family.SOAP,
            "1:1000",
            "1:300",
            "1:500",
            "A squirt into 5 gal takes loose release powder off."),
    DEGREASER(
            "Degreaser",
            Family.ALKALI,
            "1:40",
            "1:4",
            "1:20",
            "For oil and kitchens; let it stand, scrub corners and grout."),
    STRIPPER(
            "Floor stripper",
            Family.STRIPPER,
            "1:16",
            "16 fl oz/gal",
            "16 fl oz/gal",
            "For wax and finish; let it stand until a foot rub lifts the film."),
    DESCALER(
            "Mild descaler",
            Family.ACID,
            "1:16",
            "1:1",
            "1:4",
            "For antique and thin lime: weakest first, 2 minutes each; 1 part into 4 of water is often enough."),
    ETCH_GRANULES(
            "Etch granules",
            Family.ACID,
            "1 bag/4 gal",
            "1 bag/5 qt",
            "1 bag/2 gal",
            "Cold water for the strong mix, a wetted floor for the weaker; light fizz, never let it dry on."),
    ETCH_LIQUID(
            "Liquid etch",
            Family.ACID,
            "1:8",
            "neat",
            "1:1",
            "Light fizz, stiff brush, never let it dry on; a profiler also neat, 250 to 300 ft²/gal."),
    MURIATIC(
            "Muriatic acid, 20 °Bé (31.45 %)",
            Family.ACID, "1:10", "1:3", "1:4", "The strongest of them: fumes, burns, rusts everything near."),
    BLEACH("Bleach", Family.BLEACH, "1:50", "1:10", "1:10", "For mould; never near an acid or ammonia."),
    AMMONIA(
            "Household ammonia",
            Family.AMMONIA,
            "1:64",
            "1:32",
            "1:32",
            "Neutralises a stain that has reacted: 1/4 to 1/2 cup to the gallon, 15 to 20 minutes, then scrub and rinse."),
    BAKING_SODA(
            "Baking soda",
            Family.SODA,
            "1 tbsp/gal",
            "6 tbsp/gal",
            "2.5 tbsp/gal",
            "Takes up what acid is left: 2 to 3 tbsp to the gallon, to a wet look, 15 to 20 minutes; then scrub and rinse."),
    ACID_STAIN(
            "Acid stain",
            Family.STAIN,
            "1:4",
            "neat",
            "neat",
            "Sprayed on and left to react for hours; then it is neutralised, scrubbed and rinsed."),
    ACCENT_WASH(
            "Accent powder wash",
            Family.SOAP,
            "1:10",
            "1:4",
            "1:4",
            "Keep stirring; roll it on, then brush until the marks go."),
    STAIN_CONCENTRATE("Water-based stain concentrate", Family.SOAP, "1:8", "1:3", "1:3", "On damp, clean concrete.");

    /** What must not meet another. */
    public enum Family {
        SOAP("soap", "Wash water goes where local rules let it."),
        ALKALI("an alkaline cleaner", "Burns skin and eyes: gloves and goggles."),
        STRIPPER("stripper", "Gloves and goggles, fresh air; slippery."),
        ACID(
                "acid",
                "Goggles, gloves, long sleeves, boots, fresh air; metal away. Not on post-tensioned, sealed or metallic-hardened slabs."),
        BLEACH("bleach", "Gloves, goggles, fresh air."),
        SODA("soda", "It fizzes where it meets acid: fresh air, nothing closed over it."),
        AMMONIA("ammonia", "Fresh air; well diluted, and on stain only once it has reacted."),
        /** Acid that is spent once it has reacted: ammonia or soda take up what is left. */
        STAIN(
                "acid stain",
                "Acid until it has reacted: goggles, gloves, long sleeves, boots, fresh air, no metal sprayer.");

        private final String words;
        private final String caution;

        Family(String words, String caution) {
            this.words = words;
            this.caution = caution;
        }

        /** What it does to people and floors, and what it must not meet. */
        public String caution() {
            List<Family> never = NeverTogether.with(this);
            return caution
                    + (never.isEmpty()
                            ? ""
                            : " Never with "
                                    + never.stream().map(f -> f.words).collect(Collectors.joining(", nor "))
                                    + ".");
        }
    }

    /** Strengths nearer than this are one. */
    private static final double SAME = 1e-6;

    private final String label;
    private final Family family;
    private final String weakest;
    private final String strongest;
    private final String usual;
    private final String use;

    Chemical(String label, Family family, String weakest, String strongest, String usual, String use) {
        this.label = label;
        this.family = family;
        this.weakest = weakest;
        this.strongest = strongest;
        this.usual = usual;
        this.use = use;
    }

    /** As a choice names it: "etch-liquid". */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** @param id as {@link #id} has it; empty where there is none of this id, or none any more */
    public static Optional<Chemical> find(String id) {
        return Arrays.stream(values()).filter(c -> c.id().equals(id)).findFirst();
    }

    /** How a tick names it: "chemical:etch-liquid"; soda is at hand wherever acid is, and is ticked as that. */
    public String thing() {
        return this == BAKING_SODA ? Item.SODA.id() : "chemical:" + id();
    }

    /** Whether {@code water} parts of it to one are a strength that the label knows. */
    public boolean isOnLabel(double water) {
        return water >= strongest().water() - SAME && water <= weakest().water() + SAME;
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

    /** What is mixed where nobody tried. */
    public Ratio usual() {
        return Ratio.parse("usual", usual);
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
