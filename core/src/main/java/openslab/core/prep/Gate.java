package openslab.core.prep;

import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Value;

/**
 * A quick test that lets the next step start.
 *
 * @param needed what passes, in words
 * @param again what to do when it fails
 */
public record Gate(
        String id,
        String title,
        List<Field> fields,
        String needed,
        String again,
        Source source,
        Predicate<Map<String, Value>> passes) {

    private static final Source PRACTICE = Source.commonPractice("");

    private static boolean is(Map<String, Value> values, String field, String choice) {
        return values.get(field).typed().equals(choice);
    }

    private static Gate choice(
            String id, String title, String pass, String passLabel, String fail, String failLabel, String again) {
        Field field = Field.choice(id, title, new Field.Choice(pass, passLabel), new Field.Choice(fail, failLabel));
        return new Gate(
                id,
                title,
                List.of(field),
                passLabel.toLowerCase(java.util.Locale.ROOT),
                again,
                PRACTICE,
                v -> is(v, id, pass));
    }

    static Gate fizz() {
        return choice(
                "fizz",
                "Fizz over the whole section",
                "fizz",
                "Fizzes everywhere",
                "none",
                "No fizz somewhere",
                "Stop: something is on the floor there. Rinse, drop water, and find out what.");
    }

    static Gate rub() {
        return choice(
                "rub",
                "Rub test",
                "clean",
                "Fingers stay clean",
                "dust",
                "Dust on the fingers",
                "Scrub or vacuum and rinse again, let it dry, rub again.");
    }

    static Gate residue() {
        return choice(
                "residue",
                "Hand across the floor",
                "none",
                "No residue",
                "residue",
                "Slippery or gritty",
                "Rinse again with fresh water.");
    }

    static Gate soaks() {
        return choice(
                "soaks",
                "Water drop",
                "soaks",
                "Soaks in everywhere",
                "beads",
                "Beads somewhere",
                "Go over that place again, then drop again.");
    }

    static Gate dull() {
        return choice(
                "dull",
                "Looked at along the light",
                "dull",
                "Dull everywhere",
                "shine",
                "Shine somewhere",
                "Go over the shining places again, edges by hand.");
    }

    static Gate nothingLifts() {
        return choice(
                "lifts",
                "Foot rub",
                "clean",
                "Sole drags, nothing lifts",
                "lifts",
                "Finish still lifts",
                "More stripper, more dwell, scrub again.");
    }

    static Gate sound() {
        return choice(
                "sound",
                "Hammer or chain",
                "sound",
                "Rings everywhere",
                "hollow",
                "Sounds hollow somewhere",
                "Break that out too, and sound it again.");
    }

    static Gate noDust() {
        return choice(
                "no-dust",
                "Last pass of the vacuum",
                "clean",
                "Tack cloth stays clean",
                "dust",
                "Dust on the cloth",
                "Vacuum again, edges and joints too.");
    }

    static Gate profile(ProfileNeed need) {
        Field csp = Field.quantity("csp", "Profile reached (CSP)", Unit.ONE, 1, 10, "nearest plaque");
        return new Gate(
                "profile",
                "Profile",
                List.of(csp),
                need.text(),
                "Another pass with a coarser tool where it is too smooth; skim or grind down where it is too rough.",
                need.source(),
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
                v -> {
                    double rise = v.get("floor").base() - v.get("water").base();
                    return rise >= -1 - 1e-9 && rise <= 2 + 1e-9;
                });
    }

    static Gate dry(double hours) {
        Field wait = Field.quantity("dried", "Hours since it was last wet", Unit.HOUR, 0, 5000, "");
        Field dark = Field.choice(
                "dark", "Dark patches", new Field.Choice("none", "None"), new Field.Choice("some", "Some"));
        return new Gate(
                "dry",
                "Dry",
                List.of(wait, dark),
                Math.round(hours) + " h and no dark patch",
                "Leave it to dry; a fan is fine for wash water.",
                PRACTICE,
                v -> Unit.HOUR.fromBase(v.get("dried").base()) >= hours && is(v, "dark", "none"));
    }
}
