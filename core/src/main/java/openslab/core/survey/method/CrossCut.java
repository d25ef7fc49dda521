package openslab.core.survey.method;

import java.util.List;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Films;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** Whether an old coat holds well enough to be coated over, on a floor that is not ground. */
public final class CrossCut implements TestMethod {
    public static final String ID = "cross-cut";

    private static final double LEAST = 4;
    private static final Source D3359 =
            Source.published("ASTM D3359, from memory: 0 to 5, 5 where nothing lifts; that 4 is enough is ours");
    private static final TestCount COUNT = new TestCount(3, 1000, 1, 1000, D3359);

    private static final About ABOUT = new About(
            ID,
            "Cross-cut and tape",
            TestGroup.FILM,
            "Cut a small grid through the old coat, press tape on, pull it back on itself; see how much came along. Not where it may hold lead.",
            D3359);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate.family() == Substrate.Family.OTHER;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return SignTest.unexpected(read, site, Films.COATING)
                && !OldFloor.bars(read, site.substrate(), site.films().own());
    }

    @Override
    public List<Field> fields() {
        return List.of(Field.quantity("grade", "Grade", Unit.ONE, 0, 5, "5 where nothing lifts, 0 where most does"));
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    @Override
    public String found(Reading r, Site site) {
        return Math.round(r.number("grade")) + " of 5";
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var finding = Finding.of(ID, r).measured(found(r, site)).needed("4 or 5", D3359);
        return List.of(
                r.number("grade") >= LEAST
                        ? finding.go("the old coat holds at " + r.place(), "It lets go no sooner than the new one.")
                        : finding.hold(
                                "the old coat lifts at " + r.place(),
                                "What lies over it comes off with it.",
                                "Take the old coat off there, feather its edge, and cut again beside it."));
    }
}
