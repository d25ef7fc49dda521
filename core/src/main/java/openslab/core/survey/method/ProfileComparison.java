package openslab.core.survey.method;

import java.util.List;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** How rough the concrete is now, by comparison with profile plaques. */
public final class ProfileComparison implements TestMethod {
    /** This method's word, for the preparation that starts from it. */
    public static final String ID = "profile";

    private static final Source ICRI = Source.published("ICRI 310.2R-2013, from memory");

    private static final About ABOUT = new About(
            ID,
            "Surface profile",
            TestGroup.SOUND,
            "Lay the profile plaques on the swept concrete and take the nearest, by eye and by thumb.",
            ICRI);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate.family() == Substrate.Family.CEMENT;
    }

    @Override
    public List<Field> fields() {
        return List.of(Field.quantity("csp", "Profile (CSP)", Unit.ONE, 1, 10, "1 smooth to 10 very rough"));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        return "CSP " + Bound.text(r.number("csp"), least(site), most(site));
    }

    private static Bound least(Site site) {
        return Bound.atLeast(site.limits().cspMin(), Unit.ONE).with(0);
    }

    private static Bound most(Site site) {
        return Bound.atMost(site.limits().cspMax(), Unit.ONE).with(0);
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        double csp = r.number("csp");
        var finding = Finding.of(ID, r)
                .measured(found(r, site))
                .needed(
                        "CSP " + least(site).text() + " to " + most(site).text(),
                        site.limits().source());
        if (!most(site).holds(csp)) {
            return List.of(finding.watch(
                    "profile rougher than the film wants",
                    "Peaks stand through a film that cannot bury them, and it drinks material.",
                    "Grind the peaks down or skim the floor first."));
        }
        if (!least(site).holds(csp)) {
            return List.of(finding.go(
                    "profile to be opened", "Too smooth as it is; preparation opens it, and its gate proves it."));
        }
        return List.of(finding.go("profile in range", "The film has something to hold."));
    }
}
