package openslab.core.survey.method;

import java.util.List;
import java.util.Optional;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;
import openslab.core.survey.Mapped;
import openslab.core.survey.Reading;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;
import openslab.core.survey.instrument.InstrumentKind;

/** Alkalinity of the wetted surface. */
public final class SurfacePh implements TestMethod {
    private static final Source F710 = Source.published("ASTM F710 and F3441, from memory");
    private static final TestCount COUNT = new TestCount(
            3,
            1000,
            1,
            1000,
            Source.published("ASTM F710, from memory: at each moisture-test place, so as ASTM F1869"));

    private static final About ABOUT = new About(
            "ph",
            "pH of the surface",
            TestGroup.MOISTURE,
            "Wet a spot about 1 in across with distilled water, wait 60 s, press wide-range paper or a meter to it.",
            F710);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate.family() == Substrate.Family.CEMENT;
    }

    @Override
    public List<Field> fields() {
        return List.of(Field.quantity("ph", "pH", Unit.ONE, 0, 14, "to 0.5"));
    }

    @Override
    public Optional<InstrumentKind> instrument() {
        return Optional.of(InstrumentKind.PH_METER);
    }

    @Override
    public Optional<Mapped> mapped() {
        return Optional.of(new Mapped(
                "pH",
                Unit.ONE,
                0.5,
                r -> r.number("ph"),
                s -> Mapped.limit(s.limits().phMax())));
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    @Override
    public String found(Reading r, Site site) {
        return Bound.text(r.number("ph"), least(site), most(site));
    }

    private static Bound least(Site site) {
        return Bound.atLeast(site.limits().phMin(), Unit.ONE).with(1);
    }

    private static Bound most(Site site) {
        return Bound.atMost(site.limits().phMax(), Unit.ONE).with(1);
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        double ph = r.number("ph");
        String at = " at " + r.place();
        var finding = Finding.of(ABOUT.id(), r)
                .measured("pH " + found(r, site))
                .needed(
                        least(site).text() + " to " + most(site).text(),
                        site.limits().source());
        if (!most(site).holds(ph)) {
            return List.of(finding.hold(
                    "pH" + at + " too high",
                    "Strong alkali at the surface means moisture is carrying it up, and it breaks many binders down.",
                    "Look for moisture here; rinse or grind the surface and test again."));
        }
        if (!least(site).holds(ph)) {
            return List.of(finding.hold(
                    "pH" + at + " too low",
                    "Acid or cleaner is still on the floor.",
                    "Neutralise, rinse twice and test again."));
        }
        return List.of(finding.go("pH" + at, "Within the sheet's range."));
    }
}
