package openslab.core.survey.method;

import java.util.List;
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
import openslab.core.survey.area.Defect;

/**
 * Whether release powder still lies loose on stamped work: it looks like colour, and nobody who is not asked thinks of it. It holds
 * nothing up, since preparation takes it off and proves it by its gate; it decides how.
 */
public final class ReleaseCheck implements TestMethod {
    public static final String ID = "release";

    private static final Source PRACTICE =
            Source.commonPractice("90 to 95 % of the powder off; what is pressed into the lows stays");

    private static final About ABOUT = new About(
            ID,
            "Release powder",
            TestGroup.WALK,
            "A wet hand across the highs and through a few lows: powder that lies loose comes off as colour.",
            PRACTICE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate == Substrate.STAMPED;
    }

    /** What is under a film lies fast, or the film would not be there any more. */
    @Override
    public boolean asked(Readings read, Site site) {
        return site.films().own().isEmpty() && !SignTest.seen(read, Films.SEALER, Films.COATING);
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public List<Field> fields() {
        return List.of(Field.choice(
                "powder",
                "On a wet hand",
                new Field.Choice("off", "None, or only out of the lows"),
                new Field.Choice("loose", "Colour comes off")));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    /** Whether it was found, and nobody has found it gone since. */
    public static boolean loose(Readings read) {
        return read.newest(ID).map(r -> r.choice("powder").equals("loose")).orElse(false);
    }

    @Override
    public String found(Reading r, Site site) {
        return r.choice("powder").equals("loose") ? "lies loose" : "none loose";
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var finding = Finding.of(ID, r).measured(found(r, site)).needed("none that lies loose", PRACTICE);
        return List.of(
                r.choice("powder").equals("loose")
                        ? finding.watch(
                                "release powder lies loose",
                                Defect.RELEASE_POWDER.consequence(),
                                Defect.RELEASE_POWDER.removal(site.substrate(), site.shown()) + ".")
                        : finding.go("no loose release powder", "What is pressed into the lows stays, and holds."));
    }
}
