package openslab.core.survey.method;

import java.util.List;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Bound;
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

/** How long a drop of water takes to soak in. */
public final class TimedAbsorption implements TestMethod {
    private static final Source F3191 = Source.published("ASTM F3191, from memory");
    private static final TestCount COUNT = new TestCount(3, 3000, 1, 2000, F3191);
    private static final Bound MOST = Bound.atMost(60, Unit.SECOND);

    private static final About ABOUT = new About(
            "absorption",
            "Timed absorption",
            TestGroup.FILM,
            "Put one drop of 0.05 mL on the prepared floor and time it until the shine is gone.",
            F3191);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return false;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate.family() == Substrate.Family.CEMENT;
    }

    @Override
    public List<Field> fields() {
        return List.of(Field.quantity("time", "Soaked in after", Unit.SECOND, 0, 3600, "seconds; 3600 where it stays"));
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    @Override
    public String found(Reading r, Site site) {
        return MOST.text(r.number("time"));
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var finding = Finding.of(ABOUT.id(), r).measured(found(r, site)).needed(MOST.words(), F3191);
        if (!MOST.holds(r.number("time"))) {
            return List.of(finding.hold(
                    "water slow to soak in at " + r.place(),
                    "Slower than a minute counts as closed: the primer stays on top instead of going in.",
                    "Open the surface: clean, etch or grind it, then time it again."));
        }
        return List.of(finding.go("water soaks in at " + r.place(), "The surface is open."));
    }
}
