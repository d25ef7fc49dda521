package openslab.core.survey.method;

import java.util.List;
import java.util.Set;
import openslab.core.floor.Substrate;
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

/** What an old film, adhesive or resilient floor may hold; nobody abrades it before a laboratory has said. */
public final class OldFloor implements TestMethod {
    public static final String ID = "old-floor";

    private static final Source RULES = Source.published(
            "OSHA 29 CFR 1926.1101 and 1926.62, EPA 40 CFR 61 and 745, from memory; local rules decide");
    /** Flooring up to 1980 and paint up to 1978 are presumed to hold it in the USA; elsewhere it was sold for longer. */
    private static final Source CUT_OFF = Source.ours(
            "1990 stands later than the published 1980 for flooring and 1978 for paint; local rules decide");

    private static final String HARM =
            "Old resilient flooring, black mastic and other adhesive may hold asbestos, old paint lead. The dust harms for life.";
    private static final String HANDS_OFF =
            "Do not sand, grind, scrape, blast or strip it dry. Have a licensed firm take samples, and key in what the laboratory found.";

    private static final About ABOUT = new About(
            ID,
            "Asbestos and lead",
            TestGroup.WALK,
            "Find out from papers when it was laid. Where that is before 1990 or nobody knows, a licensed firm takes samples of every layer.",
            RULES);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public boolean lasts() {
        return true;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return suspect(read, site.substrate(), site.films().own());
    }

    /** What an earlier cycle laid is known to the shop; what lay there before it was asked about then. */
    private static boolean suspect(Readings read, Substrate substrate, Set<String> own) {
        return substrate.family() == Substrate.Family.RESILIENT
                || substrate == Substrate.COATED_CONCRETE
                || !own.contains(Films.COATING) && SignTest.seen(read, Films.COATING);
    }

    /** Whether there is an old film or floor here that nobody may abrade yet. @param own signs of what earlier cycles laid */
    public static boolean bars(Readings read, Substrate substrate, Set<String> own) {
        boolean cleared = read.newest(ID).map(OldFloor::cleared).orElse(false);
        return !cleared && (suspect(read, substrate, own) || read.newest(ID).isPresent());
    }

    private static boolean cleared(Reading r) {
        return switch (r.choice("laboratory")) {
            case "clear" -> true;
            case "none" -> r.choice("laid").equals("newer");
            default -> false;
        };
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.choice(
                        "laid",
                        "Laid or painted",
                        new Field.Choice("older", "Before 1990, or nobody knows"),
                        new Field.Choice("newer", "1990 or later, on paper")),
                Field.choice(
                        "laboratory",
                        "Laboratory result",
                        new Field.Choice("none", "None yet"),
                        new Field.Choice("clear", "Nothing found in any layer"),
                        new Field.Choice("found", "Asbestos or lead found")));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public Finding missing(Finding.Draft draft, String brief, int more) {
        return draft.needed("its age on paper, or a laboratory result", RULES)
                .stop("nobody knows what the old film or floor holds", HARM, HANDS_OFF);
    }

    @Override
    public String found(Reading r, Site site) {
        return switch (r.choice("laboratory")) {
            case "clear" -> "laboratory: nothing found";
            case "found" -> "laboratory: asbestos or lead";
            default -> r.choice("laid").equals("newer") ? "laid 1990 or later" : "before 1990 or unknown, no result";
        };
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var finding = Finding.of(ID, r)
                .measured(found(r, site))
                .needed("laid 1990 or later, or a laboratory that found nothing", CUT_OFF);
        if (r.choice("laboratory").equals("found")) {
            return List.of(
                    finding.stop(
                            "asbestos or lead in the old film or floor",
                            HARM,
                            "Nobody here touches it. A licensed firm removes or encloses it under the local rules; test again after that."));
        }
        if (!cleared(r)) {
            return List.of(finding.stop("old film or floor not yet sampled", HARM, HANDS_OFF));
        }
        return List.of(
                finding.go(
                        "old film or floor cleared",
                        "No sign that it holds asbestos or lead. Where local rules ask for samples of newer floors too, they decide."));
    }
}
