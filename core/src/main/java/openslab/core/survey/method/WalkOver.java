package openslab.core.survey.method;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.survey.Films;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;
import openslab.core.survey.area.Defect;

/** What eyes, a hammer and a rag find: sealer, oil, dusting, hollow places, an old film. */
public final class WalkOver implements TestMethod {
    /** This method's word, for whoever asks the survey what is on the floor. */
    public static final String ID = Readings.WALK_OVER;

    private static final Source PRACTICE = Source.commonPractice("");
    private static final Source OURS = Source.ours("what was laid here stands in the log");
    private static final Source D4580 = Source.published("ASTM D4580, from memory: sounding");

    private static final About ABOUT = new About(
            ID,
            "Walk-over",
            TestGroup.WALK,
            "Walk the whole floor in low light. Rub, wipe with solvent, drag a chain or tap with a hammer. Scrape only what cannot hold asbestos or lead.",
            PRACTICE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.yesNo("sealer", "Sealer, polish or wax"),
                Field.yesNo("oil", "Oil or grease"),
                Field.yesNo("coating", "Paint, coating or adhesive"),
                Field.yesNo("dusting", "Dusting or chalking"),
                Field.yesNo("hollow", "Hollow or drummy places"));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        List<String> seen = fields().stream().map(Field::id).filter(r::yes).toList();
        return seen.isEmpty() ? "clean" : String.join(", ", seen);
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var findings = new ArrayList<Finding>();
        if (r.yes("oil")) {
            findings.add(draft(r, "oil", "oil seen", "no oil or grease", PRACTICE)
                    .stop(
                            "oil or grease on the floor",
                            "Nothing bonds to oil: the film fish-eyes, then sheets away.",
                            off(Defect.OIL, site)));
        }
        if (r.yes(Films.SEALER)) {
            findings.add(expected(r, Films.SEALER, "sealer", site)
                    .orElseGet(() -> draft(r, "sealer", "sealer or wax seen", bare(site), PRACTICE)
                            .hold(
                                    "sealer or wax on the floor",
                                    "A bonded system holds only as well as what it stands on; acid cannot cut through it either.",
                                    off(Defect.SEALER, site))));
        }
        if (r.yes(Films.COATING)) {
            findings.add(expected(r, Films.COATING, "coat", site)
                    .orElseGet(() -> draft(r, "coating", "an old film seen", bare(site), PRACTICE)
                            .hold(
                                    "an old film on the floor",
                                    "Any film under a bonded system lets go before the system does. Old paint may hold lead, old adhesive asbestos.",
                                    "Where its age is unknown have it tested before anyone abrades it; local rules decide. "
                                            + off(Defect.PAINT, site))));
        }
        if (r.yes("dusting")) {
            findings.add(draft(r, "dusting", "the top dusts or chalks", "a sound top", PRACTICE)
                    .hold(
                            "the top is dusting",
                            "The film would hold on to dust, and peel with it.",
                            off(Defect.DUSTING, site)));
        }
        if (r.yes("hollow")) {
            findings.add(draft(r, "hollow", "hollow places heard", "solid everywhere", D4580)
                    .hold(
                            "hollow places in the floor",
                            "A drummy layer lets go later and takes the floor with it.",
                            off(Defect.HOLLOW, site)));
        }
        if (findings.isEmpty()) {
            findings.add(draft(r, "clean", "nothing seen", "nothing on the floor", PRACTICE)
                    .go("nothing on the floor", "No sealer, oil, film, dust or hollow place was found."));
        }
        return findings;
    }

    /** A film that everybody knew of: ours, or one that is meant to stay. */
    private Optional<Finding> expected(Reading r, String sign, String what, Site site) {
        if (site.films().own().contains(sign)) {
            return Optional.of(draft(r, "own-" + sign, "our own " + what + " seen", "what earlier cycles laid", OURS)
                    .go(
                            "our own " + what + " on the floor",
                            site.ground().isFilm()
                                    ? "It is known what it is, and it stays: it is washed and dulled, or wiped."
                                    : "It is known what it is: it comes off where this cycle works."));
        }
        return site.films().stay().contains(sign)
                ? Optional.of(draft(
                                r,
                                "kept-" + sign,
                                "an old " + what + " seen",
                                "what goes on is made to lie on it",
                                PRACTICE)
                        .go(
                                "an old " + what + ", which stays",
                                "Preparation tries whether it holds, and what it is, before anything goes on."))
                : Optional.empty();
    }

    private static String bare(Site site) {
        return site.ground().isFilm() ? "nothing on the film" : "a bare floor";
    }

    /** As preparation will do it, and the test that shows it done. */
    private static String off(Defect defect, Site site) {
        return defect.removal(site.substrate(), site.shown()) + ", until " + defect.proofAnywhere(site.substrate())
                + "; then walk it again.";
    }

    private Finding.Draft draft(Reading r, String what, String measured, String needed, Source source) {
        return Finding.of(ID + "-" + what, r).measured(measured).needed(needed, source);
    }
}
