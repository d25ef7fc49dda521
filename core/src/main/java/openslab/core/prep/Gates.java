package openslab.core.prep;

import static openslab.core.course.Gate.DRIED;
import static openslab.core.course.Gate.is;

import java.util.Arrays;
import java.util.List;
import openslab.core.course.Gate;
import openslab.core.prep.wash.Chemical;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;

/** Every gate of preparation. */
public final class Gates {
    /** Its entries are a ladder of strengths. */
    public static final String PATCH = "patch";

    /** Dry for so long, and no dark patch. */
    public static final String DRY = "dry";

    private static final Source PRACTICE = Source.commonPractice("");

    /** What repairs are proved by, whichever method they stand in. */
    static final List<Gate> OF_REPAIRS = List.of(told(), set());

    private Gates() {}

    /** A square in a corner; one that did not work asks for the next stronger, and undoes nothing. */
    static Gate patch() {
        Field chemical = Field.choice(
                "chemical",
                "What was tried",
                Arrays.stream(Chemical.values())
                        .map(c -> new Field.Choice(c.id(), c.label()))
                        .toArray(Field.Choice[]::new));
        Field water = Field.quantity("water", "Parts of water to one", Unit.ONE, 0, 1000, "");
        Field dwell = Field.quantity("dwell", "Stood for", Unit.MINUTE, 0, 240, "");
        Field result = Field.choice(
                "result",
                "It came out",
                new Field.Choice("works", "Even: it works"),
                new Field.Choice("weak", "Too weak"),
                new Field.Choice("harms", "Burnt or bleached: too strong"));
        return new Gate(
                PATCH,
                "Test patch",
                List.of(chemical, water, dwell, result),
                "the weakest mix that works",
                "The next stronger mix, in a square beside it.",
                Source.commonPractice("test patch first, weakest first; the label may say far more than is needed"),
                true,
                v -> is(v, "result", "works"));
    }

    /** Moving cracks are no part of what is promised. */
    public static Gate told() {
        return Gate.either(
                "told",
                "Exclusion handed over",
                "told",
                "The client has it in writing",
                "untold",
                "Not yet",
                "Hand it over before anything covers the cracks.");
    }

    /** What was put in is as strong as what is beside it. */
    public static Gate set() {
        return Gate.either(
                "set",
                "Thumbnail on the filler",
                "hard",
                "Hard and flush",
                "soft",
                "Soft, or sunk",
                "Leave it to set; fill again where it sank.");
    }

    static Gate fizz() {
        return Gate.either(
                "fizz",
                "Fizz over the whole section",
                "fizz",
                "Fizzes everywhere",
                "none",
                "No fizz somewhere",
                "Stop: something is on the floor there. Rinse, drop water, and find out what.");
    }

    public static Gate rub() {
        return Gate.either(
                "rub",
                "Rub test",
                "clean",
                "Fingers stay clean",
                "dust",
                "Dust on the fingers",
                "Scrub or vacuum and rinse again, let it dry, rub again.");
    }

    public static Gate residue() {
        return Gate.either(
                "residue",
                "Hand across the floor",
                "none",
                "No residue",
                "residue",
                "Slippery or gritty",
                "Rinse again with fresh water.");
    }

    public static Gate soaks() {
        return Gate.either(
                "soaks",
                "Water drop",
                "soaks",
                "Soaks in everywhere",
                "beads",
                "Beads somewhere",
                "Go over that place again, then drop again.");
    }

    static Gate wiped() {
        return Gate.either(
                "wipe",
                "Wipe test",
                "clean",
                "A fresh cloth stays clean",
                "colour",
                "Grease or colour on the cloth",
                "Wipe again with fresh cloths, one way, until one stays clean.");
    }

    static Gate dull() {
        return Gate.either(
                "dull",
                "Looked at along the light",
                "dull",
                "Dull everywhere",
                "shine",
                "Shine somewhere",
                "Go over the shining places again, edges by hand.");
    }

    /** A square of the new coat on the old film, once it has set. */
    static Gate holds() {
        return Gate.either(
                "holds",
                "Square of the new coat",
                "holds",
                "Even, and a coin takes nothing off",
                "lets-go",
                "Wrinkles, crawls or lets go",
                "It does not go over this film: dull it further and try again, or take the film off and recoat.");
    }

    static Gate nothingLifts() {
        return Gate.either(
                "lifts",
                "Foot rub",
                "clean",
                "Sole drags, nothing lifts",
                "lifts",
                "Finish still lifts",
                "More stripper, more dwell, scrub again.");
    }

    static Gate sound() {
        return Gate.either(
                "sound",
                "Hammer or chain",
                "sound",
                "Rings everywhere",
                "hollow",
                "Sounds hollow somewhere",
                "Break that out too, and sound it again.");
    }

    public static Gate noDust() {
        return Gate.either(
                "no-dust",
                "Last pass of the vacuum",
                "clean",
                "Tack cloth stays clean",
                "dust",
                "Dust on the cloth",
                "Vacuum again, edges and joints too.");
    }

    /** Whether the old film lets go for a drop of its own solvent. */
    static Gate softens() {
        return Gate.either(
                "softens",
                "A finger after a minute",
                "softens",
                "Tacky: it softens",
                "hard",
                "Hard as before",
                "It is another film: take it off, or try the new coat on a square of it first.");
    }

    static Gate profile(PrepNeed need) {
        Field csp = Field.quantity("csp", "Profile reached (CSP)", Unit.ONE, 1, 10, "nearest plaque");
        return new Gate(
                "profile",
                "Profile",
                List.of(csp),
                need.text(),
                "Another pass with a coarser tool where it is too smooth; skim or grind down where it is too rough.",
                need.source(),
                false,
                v -> v.get("csp").base() >= need.min() && v.get("csp").base() <= need.max());
    }

    /** After the final rinse the floor is not more than 1 below nor 2 above the rinse water. */
    static Gate rinsePh() {
        Field water = Field.quantity("water", "pH of the rinse water", Unit.ONE, 0, 14, "");
        Field floor = Field.quantity("floor", "pH of the wet floor", Unit.ONE, 0, 14, "before it dries");
        return new Gate(
                "rinse-ph",
                "pH after the last rinse",
                List.of(water, floor),
                "not over 1 below nor 2 above the rinse water",
                "Neutralise and rinse again, then test again.",
                Source.published("ASTM D4262; acceptance from SSPC-SP 13/NACE No. 6, both from memory"),
                false,
                v -> {
                    double rise = v.get("floor").base() - v.get("water").base();
                    return rise >= -1 - 1e-9 && rise <= 2 + 1e-9;
                });
    }

    /** Every joint that was tagged is cut through. */
    public static Gate jointsCut() {
        return new Gate(
                "joints-cut",
                "Joints counted",
                List.of(
                        Field.quantity("tagged", "Tagged", Unit.ONE, 0, 10_000, "before anything lay on them"),
                        Field.quantity("cut", "Cut through", Unit.ONE, 0, 10_000, "")),
                "as many cut as were tagged",
                "Snap the line between its pins and cut the ones that are missing: an expansion joint is never bridged.",
                Source.commonPractice("joints: tagged is cut"),
                false,
                v -> v.get("tagged").base() == v.get("cut").base());
    }

    public static Gate releaseOff() {
        return Gate.either(
                "release-off",
                "A wet hand across it",
                "off",
                "90 to 95 % is off; what is pressed in stays",
                "powder",
                "Powder lies loose",
                "Wash again, and rinse from the other end: powder under a sealer is freckles after a winter.");
    }

    static Gate seamsFlush() {
        return Gate.either(
                "seams-flush",
                "A hand over the seams",
                "flush",
                "Flush everywhere",
                "ridge",
                "A ridge of paste stands",
                "Rub it down with something round while it is green; a hard one is left, not chiselled.");
    }

    public static Gate evenlyChanged() {
        return Gate.either(
                "evenly-changed",
                "Looked at wet",
                "even",
                "The slab changed colour evenly, no stripes",
                "stripes",
                "Stripes",
                "Wash again in even passes.");
    }

    static Gate nothingLoose() {
        return Gate.either(
                "nothing-loose",
                "Scraper across it",
                "sound",
                "Nothing comes off",
                "loose",
                "Something still comes off",
                "Take that off too, and try beside it.");
    }

    /** What goes on wants the floor damp. */
    static Gate damp() {
        return Gate.either(
                "damp",
                "Looked at along the light",
                "damp",
                "Damp all over, nothing stands",
                "wet",
                "Puddles, or dry already",
                "Push standing water off, or mist what has dried: what goes on wants it damp, never wet.");
    }

    /** An old coat stays on only where it holds. */
    static Gate coatHolds() {
        return Gate.either(
                "coat-holds",
                "Scraper and tape on the old coat",
                "holds",
                "Holds, or is off",
                "lets-go",
                "Lets go somewhere",
                "Take off whatever lets go, to the sound edge, and try beside it.");
    }

    /** @param fan whether air may be moved over it */
    public static Gate dry(double hours, boolean fan) {
        Field wait = Field.quantity(DRIED, "Hours since it was last wet", Unit.HOUR, 0, 5000, "");
        Field dark = Field.choice(
                "dark", "Dark patches", new Field.Choice("none", "None"), new Field.Choice("some", "Some"));
        return new Gate(
                DRY,
                "Dry",
                List.of(wait, dark),
                Math.round(hours) + " h and no dark patch",
                fan
                        ? "Leave it to dry; a fan is fine for wash water."
                        : "Leave it to dry by itself: no fan on a floor that carries a static finish.",
                PRACTICE,
                false,
                v -> Unit.HOUR.fromBase(v.get(DRIED).base()) >= hours && is(v, "dark", "none"));
    }
}
