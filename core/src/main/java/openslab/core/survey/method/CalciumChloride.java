package openslab.core.survey.method;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import openslab.core.survey.Finding;
import openslab.core.survey.Mapped;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.SetOut;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;
import openslab.core.survey.instrument.InstrumentKind;

/** A dish of anhydrous calcium chloride under a cover: vapour emission from the weight it gains. */
public final class CalciumChloride implements TestMethod {
    static final String ID = "calcium-chloride";

    static final Source F1869 = Source.published("ASTM F1869, from memory");
    private static final Bound LONG_ENOUGH = Bound.atLeast(Unit.HOUR.toBase(60), Unit.HOUR);
    private static final Bound NO_LONGER = Bound.atMost(Unit.HOUR.toBase(72), Unit.HOUR);
    /** Closer than this to the limit one more dish is worth its price. */
    static final double CLOSE = 0.9;

    private static final TestCount COUNT = new TestCount(3, 1000, 1, 1000, F1869);

    private static final About ABOUT = new About(
            ID,
            "Calcium chloride",
            TestGroup.MOISTURE,
            "Grind a 20 in square clean 24 h before. Weigh the dish to 0.1 g, tape the cover down, leave it 60 to 72 h, weigh again.",
            F1869);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return Double.isFinite(site.limits().mverMaxLb());
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate.family() == Substrate.Family.CEMENT;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.quantity(
                        "dishArea",
                        "Area under the cover",
                        Unit.SQUARE_FOOT,
                        Unit.SQUARE_METRE,
                        Unit.SQUARE_FOOT.toBase(0.1),
                        Unit.SQUARE_FOOT.toBase(2),
                        "printed on the kit; 0.445 ft² is common"),
                Field.quantity("gain", "Weight gained", Unit.GRAM, 0, 60, "grams, to 0.1 g or better"),
                Field.quantity("hours", "Time exposed", Unit.HOUR, 1, 500, "60 to 72 h"));
    }

    @Override
    public Optional<InstrumentKind> instrument() {
        return Optional.of(InstrumentKind.SCALE);
    }

    @Override
    public Optional<Mapped> mapped() {
        return Optional.of(new Mapped(
                "Vapour emission",
                Unit.MVER,
                0.2,
                r -> emission(
                                Unit.GRAM.fromBase(r.number("gain")),
                                Unit.SQUARE_FOOT.fromBase(r.number("dishArea")),
                                Unit.HOUR.fromBase(r.number("hours")),
                                UnitSystem.US)
                        .value(),
                s -> Mapped.limit(s.limits().mverMaxLb())));
    }

    @Override
    public Optional<SetOut> setOut() {
        return Optional.of(new SetOut(
                Duration.ofMinutes(Math.round(LONG_ENOUGH.limit())),
                Optional.of(Duration.ofMinutes(Math.round(NO_LONGER.limit()))),
                "dish stands",
                "weigh the dish",
                "hours"));
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    /** Vapour emission, lb/(1000 ft²·24 h) = 24·1000/453.59237 · gain[g] / (area[ft²] · time[h]). */
    public static Figure emission(double gainG, double areaFt2, double hours, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("M", "weight gained", gainG, Unit.GRAM);
        w.given("A", "area under the cover", areaFt2, Unit.SQUARE_FOOT);
        w.given("t", "time exposed", hours, Unit.HOUR);
        double lb = 24_000 / 453.59237 * gainG / (areaFt2 * hours);
        return w.figure("vapour emission", "MVER", "24000/453.59237·M/(A·t)", lb, Unit.MVER, F1869);
    }

    private static Figure emission(Reading r, Site site) {
        return emission(
                Unit.GRAM.fromBase(r.number("gain")),
                Unit.SQUARE_FOOT.fromBase(r.number("dishArea")),
                Unit.HOUR.fromBase(r.number("hours")),
                site.units());
    }

    @Override
    public boolean valid(Reading r, Site site) {
        return LONG_ENOUGH.holds(r.number("hours")) && NO_LONGER.holds(r.number("hours"));
    }

    @Override
    public String found(Reading r, Site site) {
        double lb = emission(r, site).value();
        return Show.number(lb, Math.max(2, limit(site).decimalsFor(lb))) + " lb";
    }

    private static Bound limit(Site site) {
        return Bound.atMost(site.limits().mverMaxLb(), Unit.MVER).with(1);
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        Figure emission = emission(r, site);
        Bound limit = limit(site);
        String at = " at " + r.place();
        var finding = Finding.of(ABOUT.id(), r).working(emission);
        if (!valid(r, site)) {
            String hours = Bound.text(r.number("hours"), LONG_ENOUGH, NO_LONGER);
            return List.of(finding.measured(hours + " exposed")
                    .needed("60 to 72 h", F1869)
                    .hold(
                            "dish" + at + " exposed " + hours,
                            "A dish left too short or too long gives a rate that compares with no limit.",
                            "Set a fresh dish and weigh it after 60 to 72 h."));
        }
        if (!Double.isFinite(limit.limit())) {
            return List.of();
        }
        finding.measured(found(r, site))
                .needed("at most " + limit.number() + " lb", site.limits().source());
        if (!limit.holds(emission.value())) {
            return List.of(finding.stop(
                    "vapour emission" + at + " over the limit",
                    "More vapour leaves this slab than the film lets through: it will be pushed off.",
                    "Let it dry and test again, or choose a moisture-tolerant build-up."));
        }
        if (emission.value() > CLOSE * limit.limit()) {
            return List.of(finding.watch(
                    "vapour emission" + at + " close to the limit",
                    "Within a tenth of the limit, one dish cannot tell pass from fail.",
                    "One more dish near " + r.place() + " would settle it."));
        }
        return List.of(finding.go("vapour emission" + at, "Clear of the limit."));
    }
}
