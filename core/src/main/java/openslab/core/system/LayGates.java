package openslab.core.system;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import openslab.core.course.Gate;
import openslab.core.prep.Gates;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;

/** Every gate of laying, by its id. */
public final class LayGates {
    /** What cannot be undone is settled first, with somebody's name on it. */
    public static final String SETTLED = "settled";

    /** The gate whose hours the step says. */
    public static final String DRY = "dry";

    private static final List<Gate> FIXED = List.of(
            Gate.either(
                    "wipe-colour",
                    "Wipe test",
                    "clean",
                    "A white cloth stays clean",
                    "colour",
                    "Colour on the cloth",
                    "Scrub, pick up and rinse again, until a white cloth stays clean under mild pressure."),
            Gate.either(
                    "hides",
                    "Looked at dry, in daylight",
                    "hides",
                    "Hides everywhere",
                    "shows",
                    "Something shows through",
                    "Another coat of the same, over all of it or over those parts."),
            Gate.either(
                    "misses",
                    "Looked at along the light",
                    "none",
                    "No misses, no puddles",
                    "some",
                    "Missed or puddled somewhere",
                    "Roll it in while it is wet; what has set is scuffed and coated again."),
            Gate.either(
                    "even",
                    "Looked at dry",
                    "even",
                    "Even, no blotches",
                    "blotchy",
                    "Blotchy somewhere",
                    "One more thin coat."),
            Gate.either(
                    "tack-free",
                    "Back of the hand",
                    "dry",
                    "Nothing sticks",
                    "tacky",
                    "Tacky",
                    "Leave it longer; look again."),
            Gate.either(
                    "colour-come",
                    "The colour, where it is wettest",
                    "come",
                    "As the sample on this slab",
                    "pale",
                    "Paler than the sample",
                    "Leave it to react longer; do not go back over dry stain because it looks pale."),
            Gate.either(
                    "covered",
                    "Looked at after a minute or two",
                    "dull",
                    "Dull everywhere",
                    "shiny",
                    "Shiny somewhere: binder shows",
                    "Feed it again there, while the binder is wet."),
            Gate.either(
                    "no-lumps",
                    "The first bag, mixed",
                    "even",
                    "Even, no lumps, drips off a finger",
                    "lumps",
                    "Lumps, or too stiff",
                    "Hard lumps are old stock: take the bag back and mix another."),
            Gate.either(
                    "dents",
                    "A hand pressed on it",
                    "dents",
                    "Only just dents it",
                    "other",
                    "Sinks in, or does not dent it",
                    "Too soft: wait. Too hard: that strip is past its window, and is textured by hand or laid anew."),
            Gate.either(
                    "seen-sealed",
                    "A patch of 10 % sealer in 90 % acetone",
                    "agreed",
                    "The colour that was agreed",
                    "other",
                    "Another colour",
                    "Now it costs a wash; after the sealer it costs stripping or blasting."),
            Gate.either(
                    "antique-even",
                    "Looked at dry",
                    "even",
                    "Even in the lows, no puddle marks",
                    "bald",
                    "Bald or puddled somewhere",
                    "Touch up the bald; a mild descaler, weakest first, takes puddle marks off before sealer."),
            Gate.either(
                    "firm",
                    "A thumb pressed on it",
                    "firm",
                    "Firm, takes the float",
                    "soft",
                    "Soft",
                    "Leave it longer; look again."),
            Gate.either(
                    "closed-colour",
                    "Looked at along the light",
                    "closed",
                    "Colour drawn in, surface closed",
                    "open",
                    "Open or powdery somewhere",
                    "Mist it and close it again with the wide blade."),
            Gate.either(
                    "ridges",
                    "A hand across it",
                    "flat",
                    "No ridges",
                    "ridges",
                    "Ridges stand",
                    "Block them down with 20 grit, high places only, and vacuum."),
            Gate.either(
                    "holes",
                    "Counted",
                    "two",
                    "Two holes each side of every butt",
                    "fewer",
                    "Missing somewhere",
                    "Drill them before the colour goes on."),
            Gates.jointsCut(),
            Gates.releaseOff(),
            Gate.either(
                    "prints",
                    "Looked at along the light",
                    "sharp",
                    "Prints sharp, seams closed",
                    "weak",
                    "Weak prints or squeezed seams",
                    "Press those again while it dents; rub seams down with something round."),
            Gates.evenlyChanged(),
            Gates.soaks(),
            Gates.residue(),
            Gates.noDust(),
            Gates.rub());

    private static final Map<String, Gate> BY_ID =
            FIXED.stream().collect(Collectors.toMap(Gate::id, Function.identity()));

    private LayGates() {}

    /** A gate that asks nothing of its step but to be passed. */
    public static Optional<Gate> find(String id) {
        return Optional.ofNullable(BY_ID.get(id));
    }

    /** Dry for so long, and no dark patch. @param fan whether air may be moved over it */
    public static Gate dry(double hours, boolean fan) {
        return Gates.dry(hours, fan);
    }

    /** @param what has to be settled, in a sentence */
    public static Gate settled(String what) {
        return new Gate(
                SETTLED,
                what,
                List.of(
                        Field.choice(
                                SETTLED,
                                "Settled",
                                new Field.Choice("yes", "Settled"),
                                new Field.Choice("no", "Not yet")),
                        Field.words("with", "Agreed with", 60, "who said so"),
                        Field.words("sample", "Which sample", 60, "its place, or its name")
                                .ifWanted(),
                        Field.words("over", "Over what", 60, "the colour that was there, or bare")
                                .ifWanted(),
                        Field.choice(
                                        "seen",
                                        "Looked at",
                                        new Field.Choice("sealed", "Sealed and dry"),
                                        new Field.Choice("wet", "Wet with water"),
                                        new Field.Choice("bare", "Bare and dry"))
                                .ifWanted()),
                "settled, with a name",
                "Settle it first: afterwards it costs stripping or blasting.",
                Source.commonPractice("what cannot be undone cheaply is agreed before"),
                false,
                v -> Gate.is(v, SETTLED, "yes"));
    }

    /** What is keyed in at each, by its id. */
    public static Map<String, List<Field>> fields() {
        Map<String, List<Field>> fields = FIXED.stream().collect(Collectors.toMap(Gate::id, Gate::fields));
        fields.put(DRY, dry(1, true).fields());
        fields.put(SETTLED, settled("").fields());
        return Map.copyOf(fields);
    }

    /** What each is called, by its id. */
    public static Map<String, String> titles() {
        Map<String, String> titles = FIXED.stream().collect(Collectors.toMap(Gate::id, Gate::title));
        titles.put(DRY, dry(1, true).title());
        titles.put(SETTLED, "Settled");
        return Map.copyOf(titles);
    }

    /** Every id a step may name. */
    public static List<String> ids() {
        return fields().keySet().stream().sorted().toList();
    }
}
