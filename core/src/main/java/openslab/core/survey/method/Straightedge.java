package openslab.core.survey.method;

import java.util.List;
import openslab.core.floor.level.Gap;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** The gap under a straightedge. */
public final class Straightedge implements TestMethod {
    private static final Source F710 = Source.published("ASTM F710, from memory: 3/16 in in 10 ft, 1/32 in in 12 in");

    private static final About ABOUT = new About(
            "straightedge",
            "Straightedge",
            TestGroup.SOUND,
            "Lay the edge on the floor at its worst places and slide a wedge under the widest gap.",
            F710);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return false;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.quantity("gap", "Widest gap", Unit.INCH, Unit.MILLIMETRE, 0, 0.2, ""),
                Field.choice(
                        "edge",
                        "Straightedge",
                        new Field.Choice("long", "10 ft (3 m)"),
                        new Field.Choice("short", "12 in (300 mm)")));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        return most(r, site).text(r.number("gap"));
    }

    private static Bound most(Reading r, Site site) {
        return Gap.most(r.choice("edge").equals("short"), site.units());
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        boolean isUs = site.units() == UnitSystem.US;
        String edge = r.choice("edge").equals("short") ? (isUs ? "12 in" : "300 mm") : isUs ? "10 ft" : "3 m";
        var finding = Finding.of(ABOUT.id(), r)
                .measured(found(r, site))
                .needed(most(r, site).words() + " under " + edge, F710);
        if (!most(r, site).holds(r.number("gap"))) {
            return List.of(finding.watch(
                    "floor uneven at " + r.place(),
                    "A thin film follows every wave, and a self-levelling one runs to the low side.",
                    "Grind the high spots or fill the low ones where it will be seen or hold water."));
        }
        return List.of(
                finding.go("floor even at " + r.place(), "Even enough for resilient floors, the stricter case."));
    }
}
