package openslab.core.system;

import static openslab.core.product.Chemistry.*;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiPredicate;
import openslab.core.product.Chemistry;
import openslab.core.quantity.Source;
import openslab.core.survey.Verdict;

/**
 * What goes over what, by what each is made of. The first rule that fits two materials decides; what no rule speaks of goes. A sheet
 * in hand that says otherwise is keyed in as what it is.
 */
public final class Compatibility {
    /**
     * What lies between two materials.
     *
     * @param verdict GO; WATCH where something has to be done or minded; HOLD where something must lie between; STOP where nothing helps
     * @param words why, and what would have to be done
     */
    public record Over(String rule, Verdict verdict, String words, Source source) {}

    private record Rule(BiPredicate<Chemistry, Chemistry> fits, Over over) {}

    private static final Set<Chemistry> HARD = EnumSet.of(EPOXY, POLYASPARTIC, URETHANE);
    private static final Set<Chemistry> ACRYLICS = EnumSet.of(SOLVENT_ACRYLIC, WATER_ACRYLIC);
    private static final Set<Chemistry> POLISH = EnumSet.of(WAX, STATIC_FINISH);
    private static final Set<Chemistry> IN_THE_FLOOR = EnumSet.of(ACID_STAIN, WATER_STAIN, SOLVENT_DYE);
    private static final Set<Chemistry> FILMS = EnumSet.of(
            EPOXY,
            POLYASPARTIC,
            URETHANE,
            SOLVENT_ACRYLIC,
            WATER_ACRYLIC,
            SOLID_STAIN,
            PENETRATING,
            WAX,
            STATIC_FINISH);

    /** Below, then above; the first that fits. */
    private static final List<Rule> RULES = List.of(
            rule(
                    "unsaid",
                    (b, a) -> b == UNSAID || a == UNSAID,
                    Verdict.WATCH,
                    "One of the two sheets does not say what it is made of: ask, or try a square first.",
                    Source.commonPractice("nothing goes over an unknown film without its test patch")),
            rule(
                    "finishes-never-mix",
                    (b, a) -> POLISH.contains(b) && POLISH.contains(a) && b != a,
                    Verdict.STOP,
                    "Two finishes never mix: strip the one below first.",
                    Source.commonPractice("a static-dissipative finish is never mixed with another finish")),
            rule(
                    "same",
                    (b, a) -> b == a,
                    Verdict.GO,
                    "The same goes over itself.",
                    Source.commonPractice("recoat in kind")),
            rule(
                    "polish-under-film",
                    (b, a) -> POLISH.contains(b),
                    Verdict.STOP,
                    "Nothing holds on to polish: it comes off before anything else goes on.",
                    Source.commonPractice("wax under a film browns, peels and takes it along")),
            rule(
                    "dye-bites-in",
                    (b, a) -> a == SOLVENT_DYE && b == SOLVENT_ACRYLIC,
                    Verdict.WATCH,
                    "Dye bites into thin remnants of it; they get sealer over them again.",
                    Source.commonPractice(
                            "acetone dye bites into thin sealer remnants; then it is locked with sealer")),
            rule(
                    "stain-needs-bare",
                    (b, a) -> IN_THE_FLOOR.contains(a) && FILMS.contains(b),
                    Verdict.STOP,
                    "What water cannot enter, colour cannot either: the film below comes off first.",
                    Source.commonPractice("stain and dye go into bare, absorbent concrete")),
            rule(
                    "nothing-on-penetrating",
                    (b, a) -> b == PENETRATING,
                    Verdict.STOP,
                    "It repels whatever is laid on it.",
                    Source.commonPractice("a penetrating sealer keeps water out, and coats with it")),
            rule(
                    "sand-between",
                    (b, a) -> a == CEMENT && (HARD.contains(b) || b == SOLID_STAIN),
                    Verdict.HOLD,
                    "Cement holds on to sand, not to a smooth film: broadcast sand to refusal into the coat below.",
                    Source.commonPractice("30-mesh silica into the wet epoxy before a cement coat")),
            rule(
                    "cement-on-soft",
                    (b, a) -> a == CEMENT && b == SOLVENT_ACRYLIC,
                    Verdict.STOP,
                    "Cement does not hold on a sealer: it comes off first.",
                    Source.commonPractice("any film under a bonded system is ground off")),
            rule(
                    "antique-locked",
                    (b, a) -> a == ANTIQUE && FILMS.contains(b),
                    Verdict.WATCH,
                    "Over a sealed strip it holds only when it is locked under another coat: possible, not preferred.",
                    Source.commonPractice("antique over sealer")),
            rule(
                    "hard-over-soft",
                    (b, a) -> HARD.contains(a) && ACRYLICS.contains(b),
                    Verdict.STOP,
                    "A hard film over a soft one shrinks and lifts it: the acrylic comes off first.",
                    Source.commonPractice("any film under a bonded system is ground off")),
            rule(
                    "closes-the-door",
                    (b, a) -> HARD.contains(a) && b == SOLID_STAIN,
                    Verdict.WATCH,
                    "It goes, and no other colour goes straight over it later.",
                    Source.commonPractice(
                            "the family's own sealer takes a later colour; a harder urethane closes that door")),
            rule(
                    "abrade-urethane",
                    (b, a) -> b == URETHANE && a != MINERAL,
                    Verdict.WATCH,
                    "Cured urethane takes nothing on until its shine is broken: abrade, then a square first.",
                    Source.commonPractice("past the window, abrade; nothing over urethane without its test patch")),
            rule(
                    "abrade-film",
                    (b, a) -> HARD.contains(b) && (ACRYLICS.contains(a) || a == SOLID_STAIN || a == PENETRATING),
                    Verdict.WATCH,
                    "On a cured film it holds only where its shine is broken: abrade.",
                    Source.commonPractice("past the window, abrade")),
            rule(
                    "solvent-and-water",
                    (b, a) -> ACRYLICS.contains(b) && ACRYLICS.contains(a),
                    Verdict.WATCH,
                    "Solvent softens what was water-based, water beads on what was not: a square first.",
                    Source.commonPractice("nothing but the same acrylic goes over an acrylic without its test patch")),
            rule(
                    "solvent-over-dye",
                    (b, a) -> b == SOLVENT_DYE && (a == SOLVENT_ACRYLIC || a == POLYASPARTIC),
                    Verdict.WATCH,
                    "Its solvent wakes the dye: spray the first coat thin, and roll nothing back and forth.",
                    Source.commonPractice("solvent over dye moves it")));

    private Compatibility() {}

    private static Rule rule(
            String name, BiPredicate<Chemistry, Chemistry> fits, Verdict verdict, String words, Source source) {
        return new Rule(fits, new Over(name, verdict, words, source));
    }

    private static final Over GOES = new Over(
            "goes", Verdict.GO, "Nothing speaks against it.", Source.commonPractice("what is usually laid so"));

    /** What it means to lay {@code above} straight on {@code below}. */
    public static Over of(Chemistry below, Chemistry above) {
        return RULES.stream()
                .filter(r -> r.fits.test(below, above))
                .map(Rule::over)
                .findFirst()
                .orElse(GOES);
    }
}
