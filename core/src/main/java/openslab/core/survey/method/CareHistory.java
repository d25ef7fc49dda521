package openslab.core.survey.method;

import java.util.List;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** What a floor was mopped with, and for how long: a shine polish builds up for months and takes every coat along. */
public final class CareHistory implements TestMethod {
    public static final String ID = "care-history";

    private static final Source PRACTICE =
            Source.commonPractice("brown tint, peeling, dull beside shiny: months of shine polish");

    private static final About ABOUT = new About(
            ID,
            "What it was mopped with",
            TestGroup.WALK,
            "Ask whoever cleans it what is in the bucket and since when; look at the bottle.",
            PRACTICE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate != Substrate.BARE_CONCRETE && substrate.family() != Substrate.Family.OTHER;
    }

    /** Asked of what is cared for with a bucket, and of concrete on which something was seen. */
    @Override
    public boolean asked(Readings read, Site site) {
        return site.substrate().family() != Substrate.Family.CEMENT || SignTest.seen(read, "sealer");
    }

    /** Whether a film of polish has to be reckoned with. */
    static boolean suspects(Readings read) {
        return read.newest(ID).map(r -> !r.choice("with").equals("neutral")).orElse(false);
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.choice(
                        "with",
                        "Mopped with",
                        new Field.Choice("neutral", "Water, or a neutral cleaner"),
                        new Field.Choice("polish", "Shine polish, wax or mop-on finish"),
                        new Field.Choice("soap", "Soap or oil soap"),
                        new Field.Choice("unknown", "Nobody knows")),
                Field.quantity("months", "For how long", Unit.ONE, 0, 1200, "months; empty where nobody knows")
                        .ifWanted());
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        String with = fields().get(0).choices().stream()
                .filter(c -> c.id().equals(r.choice("with")))
                .map(Field.Choice::label)
                .findFirst()
                .orElseThrow();
        return r.values().containsKey("months") ? with + ", " + Math.round(r.number("months")) + " months" : with;
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var finding = Finding.of(ID, r).measured(found(r, site)).needed("nothing that leaves a film", PRACTICE);
        return List.of(
                r.choice("with").equals("neutral")
                        ? finding.go(
                                "no polish in the bucket", "Nothing was laid on it that a coat would come off with.")
                        : finding.watch(
                                r.choice("with").equals("unknown") ? "care not known" : "a film of polish or soap",
                                "Layer on layer for months: it browns, peels, and takes every coat along.",
                                "Rub with stripper and a sole where it is thickest; strip until nothing lifts."));
    }
}
