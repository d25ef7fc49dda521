package openslab.core.survey.method;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Field;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** How long ago the slab was placed. */
public final class ConcreteAge implements TestMethod {
    /** This method's word, for the drying that began when the concrete was placed. */
    public static final String ID = "concrete-age";

    private static final About ABOUT = new About(
            ID,
            "Concrete age",
            TestGroup.AIR,
            "Ask, or read it off the drawings. Days for a new slab, years for an old one.",
            Source.commonPractice(""));

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
        return List.of(Field.quantity("age", "Age", Unit.DAY, 0, 73_050, "28 d, 12 years"));
    }

    @Override
    public boolean lasts() {
        return true;
    }

    @Override
    public boolean tellsOfFilm() {
        return false;
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        double days = ageDays(r, site.now());
        return days < 730 ? wanted(site).text(Unit.DAY.toBase(days)) : Show.number(days / 365.25, 0) + " years";
    }

    private static Bound wanted(Site site) {
        return Bound.atLeast(Unit.DAY.toBase(site.limits().minAgeDays()), Unit.DAY)
                .with(0);
    }

    private static double ageDays(Reading r, Instant now) {
        return Unit.DAY.fromBase(r.number("age"))
                + Duration.between(r.at(), now).toMinutes() / 1440.0;
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        Bound wanted = wanted(site);
        double age = Unit.DAY.toBase(ageDays(r, site.now()));
        var finding = Finding.of(ABOUT.id(), r)
                .measured(found(r, site))
                .needed(wanted.words(), site.limits().source());
        if (!wanted.holds(age)) {
            return List.of(
                    finding.readyAt(r.at().plus(Duration.ofMinutes((long) Math.ceil(wanted.limit() - r.number("age")))))
                            .hold(
                                    "concrete too young",
                                    "Film-formers wait and test: young concrete still gives off water and alkali. Breathable sealers may go sooner.",
                                    "Wait, and go by the moisture tests then."));
        }
        return List.of(finding.go("concrete old enough", "Old enough for a film; the moisture tests decide the rest."));
    }
}
