package openslab.core.survey.method;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.air.DewPoint;
import openslab.core.floor.Ground;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;
import openslab.core.survey.Limits;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;
import openslab.core.survey.instrument.InstrumentKind;

/** Air temperature and humidity, and the slab's own temperature. */
public final class Climate implements TestMethod {
    /** This method's word, for the clocks and mixes that start from the slab's temperature. */
    public static final String ID = "climate";
    /** That it was read too long ago. */
    public static final String FRESH_RULE = "climate-fresh";

    /** The rule that tells how far the slab is above the dew point. */
    public static final String DEW = "dew-point-margin";

    /** OURS: a door opens, the sun comes round; after half a day the air of the morning says nothing. */
    public static final Duration FRESH = Duration.ofHours(12);

    private static final About ABOUT = new About(
            ID,
            "Air and slab",
            TestGroup.AIR,
            "Read air temperature and humidity at knee height in the shade, and the slab with a contact probe.",
            Source.published("ISO 8502-4, from memory"));

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.quantity("air", "Air", Unit.FAHRENHEIT, Unit.CELSIUS, -30, 55, ""),
                Field.quantity("rh", "Humidity of the air", Unit.PERCENT, 1, 100, ""),
                Field.quantity("slab", "Slab surface", Unit.FAHRENHEIT, Unit.CELSIUS, -30, 75, ""));
    }

    /** A floor that is only washed asks nothing of the air. */
    @Override
    public boolean asked(Readings read, Site site) {
        return site.ground() != Ground.FILM_KEPT;
    }

    @Override
    public Optional<InstrumentKind> instrument() {
        return Optional.of(InstrumentKind.THERMO_HYGROMETER);
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        return temperature(site, r.number("air")) + ", " + Show.in(Unit.PERCENT, r.number("rh")) + ", slab "
                + temperature(site, r.number("slab"));
    }

    private static String temperature(Site site, double celsius) {
        return Show.in(site.units(), Dimension.TEMPERATURE, celsius);
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        if (site.ground() == Ground.FILM_KEPT) {
            return List.of();
        }
        var findings = new ArrayList<Finding>();
        findings.add(slab(r, site));
        if (site.limits().asks().air()) {
            findings.add(air(r, site));
        }
        findings.add(humidity(r, site));
        findings.add(dewMargin(r, site));
        if (r.at().plus(FRESH).isBefore(site.now())) {
            findings.add(Finding.of(FRESH_RULE, r)
                    .measured("read " + Show.span(Duration.between(r.at(), site.now())) + " ago")
                    .needed("within 12 h", Source.ours("air and slab change within the day"))
                    .watch(
                            "air and slab read long ago",
                            "Dew point and pot life follow the air and the slab of today.",
                            "Read them again before mixing."));
        }
        return findings;
    }

    private static Finding slab(Reading r, Site site) {
        Limits limits = site.limits();
        double slab = r.number("slab");
        Unit unit = Unit.of(Dimension.TEMPERATURE, site.units());
        Bound warm = Bound.atLeast(limits.slabMinC(), unit);
        Bound cool = Bound.atMost(limits.slabMaxC(), unit);
        var finding = Finding.of("slab-temperature", r)
                .measured("slab " + Bound.text(slab, warm, cool))
                .needed(warm.text() + " to " + cool.text(), limits.source());
        if (!warm.holds(slab)) {
            return finding.hold(
                    "slab too cold",
                    "Below the sheet's range the film cures late, soft or not at all.",
                    "Warm the slab, not only the air, and read it again.");
        }
        if (!cool.holds(slab)) {
            return finding.hold(
                    "slab too hot",
                    "Pot life and wet edge are gone before the bay is rolled, and a warming slab blows bubbles.",
                    "Wait for the evening: coat on a falling temperature.");
        }
        return finding.go("slab temperature", "Within the sheet's range.");
    }

    private static Finding air(Reading r, Site site) {
        Limits limits = site.limits();
        double air = r.number("air");
        Unit unit = Unit.of(Dimension.TEMPERATURE, site.units());
        Bound warm = Bound.atLeast(limits.asks().airMinC(), unit);
        Bound cool = Bound.atMost(limits.asks().airMaxC(), unit);
        String needed = Double.isInfinite(limits.asks().airMinC())
                ? cool.words()
                : Double.isInfinite(limits.asks().airMaxC()) ? warm.words() : warm.text() + " to " + cool.text();
        var finding = Finding.of("air-temperature", r)
                .measured("air " + Bound.text(air, warm, cool))
                .needed(needed, limits.source());
        if (!warm.holds(air)) {
            return finding.hold(
                    "air too cold",
                    "In colder air than its sheet allows it thickens, holds air and cures late.",
                    "Heat the room without an open flame, and read it again.");
        }
        if (!cool.holds(air)) {
            return finding.hold(
                    "air too hot",
                    "In hotter air than its sheet allows it sets in the pail and on the roller.",
                    "Wait for the evening or the early morning.");
        }
        return finding.go("air temperature", "Within the sheet's range.");
    }

    private static Finding humidity(Reading r, Site site) {
        Bound limit = Bound.below(site.limits().airRhMaxPct(), Unit.PERCENT);
        var finding = Finding.of("air-humidity", r)
                .measured(limit.text(r.number("rh")))
                .needed(limit.words(), site.limits().source());
        if (!limit.holds(r.number("rh"))) {
            return finding.hold(
                    "air too humid",
                    "Amine hardeners blush and water films do not dry in damp air.",
                    "Dehumidify or ventilate, and read again.");
        }
        return finding.go("air humidity", "Dry enough.");
    }

    private static Finding dewMargin(Reading r, Site site) {
        Figure margin = DewPoint.margin(r.number("air"), r.number("rh"), r.number("slab"), site.units());
        Bound needed =
                Bound.atLeast(site.limits().dewMarginK(), Unit.of(Dimension.TEMPERATURE_DIFFERENCE, site.units()));
        var finding = Finding.of(DEW, r)
                .measured(needed.text(margin.value()) + " above dew point")
                .needed(needed.words(), site.limits().source())
                .working(margin);
        if (!needed.holds(margin.value())) {
            return finding.hold(
                    "slab too near the dew point",
                    "Water condenses on the slab or on the wet film: blush, haze and peeling follow.",
                    "Warm the slab or dry the air until the margin is there.");
        }
        return finding.go("dew point margin", "No condensation to be expected.");
    }
}
