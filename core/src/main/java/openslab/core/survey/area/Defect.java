package openslab.core.survey.area;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.Predicate;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.survey.Reading;
import openslab.core.survey.Shown;
import openslab.core.survey.Verdict;

/**
 * What can lie on a floor or be wrong with it: what it does to a coating, how it is got rid of, and the test inside it that
 * proves it gone. A new one is one constant here.
 */
public enum Defect {
    OIL(
            "Oil or grease",
            "oil",
            Verdict.STOP,
            "Nothing bonds to oil: the film fish-eyes, then sheets away.",
            "Degrease and scrub, rinse with fresh water, and again",
            Proof.SOAKS),
    SILICONE(
            "Silicone",
            "oil",
            Verdict.STOP,
            "A trace of silicone crawls through every coat as fish-eyes, and it spreads with the rag.",
            "Cut it out mechanically, wipe with fresh rags one way, and throw them away",
            Proof.SOAKS),
    SEALER(
            "Sealer",
            "sealer",
            Verdict.HOLD,
            "A bonded system holds only as well as what it stands on; acid cannot cut through it either.",
            "",
            Proof.SOAKS),
    POLISH(
            "Wax or shine polish",
            "sealer",
            Verdict.HOLD,
            "Polish browns, peels and flakes in layers, and takes any coat over it along.",
            "",
            Proof.NOTHING_LIFTS),
    CURING_COMPOUND(
            "Curing compound",
            "sealer",
            Verdict.HOLD,
            "Made to keep water in, it keeps primer and stain out as well.",
            "",
            Proof.SOAKS),
    RELEASE_POWDER(
            "Release powder",
            "dusting",
            Verdict.HOLD,
            "A film over loose powder holds on to the powder, and peels with it.",
            "Wash with a squirt of soap, pressure rinse, and leave only what is pressed into the lows",
            Proof.CLEAR_TAPE),
    PAINT(
            "Paint or coating",
            "coating",
            Verdict.HOLD,
            "Any film under a bonded system lets go before the system does.",
            "",
            Proof.SOAKS),
    OLD_COAT(
            "Coats of an earlier cycle",
            "",
            Verdict.HOLD,
            "What is built on a worn system holds only as long as that does.",
            "",
            Proof.SOAKS),
    ADHESIVE(
            "Adhesive",
            "coating",
            Verdict.HOLD,
            "Adhesive stays soft under a film, and bleeds through it.",
            "",
            Proof.SOAKS),
    EFFLORESCENCE(
            "Efflorescence",
            "",
            Verdict.HOLD,
            "Salt means water is moving through here; under a film it pushes the film off.",
            "Find the water, let it dry, brush the salt off dry and rinse",
            Proof.PH_IN_RANGE),
    MAT_SHADE(
            "Rubber-mat shade",
            "",
            Verdict.WATCH,
            "The rubber has reacted with the floor: no cleaning takes the shade out, and clear coats show it.",
            "Show the client; only an opaque coat hides it",
            Proof.NONE),
    FACTORY_FILM(
            "Factory film",
            "sealer",
            Verdict.HOLD,
            "The maker's film is there so that nothing sticks to it.",
            "",
            Proof.SOAKS),
    ANTIQUE(
            "Antique or accent wash",
            "",
            Verdict.HOLD,
            "Colour that only lies in the lows lets go under a film, and takes it along.",
            "Take it off with mild descaler, weakest first, and rinse",
            Proof.SOAKS),
    FAILED_OVERLAY(
            "Failed overlay",
            "",
            Verdict.STOP,
            "An overlay that water got under comes off, all of it, and whatever is on it goes along.",
            "Break all of it out to sound concrete",
            Proof.SOUND),
    WORN(
            "Worn through",
            "",
            Verdict.WATCH,
            "Where the wear layer is gone the floor drinks unevenly, and a finish grips otherwise than beside it.",
            "Prime it before the finish",
            Proof.NONE),
    DUSTING(
            "Dusting or chalking",
            "dusting",
            Verdict.HOLD,
            "The film would hold on to dust, and peel with it.",
            "",
            Proof.CLEAR_TAPE),
    HOLLOW(
            "Hollow or delaminated",
            "hollow",
            Verdict.HOLD,
            "A drummy layer lets go later and takes the floor with it; water under it comes up first.",
            "",
            Proof.SOUND),
    DAMP(
            "Damp patch",
            "",
            Verdict.HOLD,
            "Where a slab is dark it is wetter than where anybody tested it.",
            "Find where the water comes from, let it dry, and set a dish or a probe here",
            Proof.DRY_UNDER_SHEET);

    /** The test that proves a defect gone, and what it must show. */
    enum Proof {
        SOAKS("water-drop", "a drop of water inside it soaks in", r -> !r.choice("drop")
                .equals("beads")),
        /** Where water soaks into nothing, clean or not. */
        CLOTH_CLEAN("solvent-rub", "a solvent rub inside it leaves the rag clean", r -> r.choice("sign")
                .equals("nothing")),
        NOTHING_LIFTS("foot-rub", "nothing lifts under a sole inside it", r -> r.choice("sign")
                .equals("clean")),
        CLEAR_TAPE("tape", "a tape pressed on inside it stays clear", r -> r.choice("sign")
                .equals("clean")),
        PH_IN_RANGE(
                "ph", "pH 7 to 10 inside it", r -> r.number("ph") >= Proof.PH_LEAST && r.number("ph") <= Proof.PH_MOST),
        SOUND("sounding", "nothing hollow when the zone is sounded again", r -> r.number("hollow") == 0),
        DRY_UNDER_SHEET("plastic-sheet", "dry under a sheet taped inside it", r -> r.choice("under")
                .equals("dry")),
        NONE("", "nobody can prove it gone", r -> false);

        /** ASTM F710, from memory: below 7 and above 10 has troubled floors. */
        private static final double PH_LEAST = 7;

        private static final double PH_MOST = 10;

        private final String method;
        private final String words;
        private final Predicate<Reading> shows;

        Proof(String method, String words, Predicate<Reading> shows) {
            this.method = method;
            this.words = words;
            this.shows = shows;
        }
    }

    private final String label;
    private final String sign;
    private final Verdict verdict;
    private final String consequence;
    private final String removal;
    private final Proof proof;

    Defect(String label, String sign, Verdict verdict, String consequence, String removal, Proof proof) {
        this.label = label;
        this.sign = sign;
        this.verdict = verdict;
        this.consequence = consequence;
        this.removal = removal;
        this.proof = proof;
    }

    public String label() {
        return label;
    }

    /** What the walk-over calls it, so that one seen and one drawn ask for the same tests; empty where it has no word. */
    public String sign() {
        return sign;
    }

    public Verdict verdict() {
        return verdict;
    }

    public String consequence() {
        return consequence;
    }

    /** Empty where there is none of this name, or none any more. */
    public static Optional<Defect> find(String name) {
        return Arrays.stream(values()).filter(d -> d.name().equals(name)).findFirst();
    }

    /**
     * How it is got rid of on a floor of {@code substrate}, the beginning of a sentence.
     *
     * @param shown what of the floor shows through what goes on it
     */
    public String removal(Substrate substrate, Shown shown) {
        Removal how = Removal.of(this, substrate, shown);
        String words = how == Removal.OWN ? removal : how.words();
        return this == PAINT || this == ADHESIVE ? "Once a laboratory has cleared it: " + Show.lower(words) : words;
    }

    /** The test method that proves it gone from such a floor; empty where none does. */
    public String proof(Substrate substrate) {
        return proofOn(substrate).method;
    }

    /** What that test has to show. */
    public String proofWords(Substrate substrate) {
        return proofOn(substrate).words;
    }

    /** What that test has to show on a floor on which nobody drew where it lies. */
    public String proofAnywhere(Substrate substrate) {
        return proofWords(substrate).replace(" inside it", "");
    }

    /** Whether a reading by its proof's method shows it gone. */
    public boolean gone(Reading r, Substrate substrate) {
        return proofOn(substrate).shows.test(r);
    }

    /** A drop soaks into concrete; glaze, vinyl and steel turn every drop away. */
    private Proof proofOn(Substrate substrate) {
        if (proof != Proof.SOAKS || substrate.family() == Substrate.Family.CEMENT) {
            return proof;
        }
        return substrate.family() == Substrate.Family.RESILIENT ? Proof.NOTHING_LIFTS : Proof.CLOTH_CLEAN;
    }

    public Source source() {
        return Source.commonPractice("");
    }
}
