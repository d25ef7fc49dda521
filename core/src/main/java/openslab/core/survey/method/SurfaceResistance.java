package openslab.core.survey.method;

import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Field;
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

/** Resistance from point to point of a static-dissipative floor. */
public final class SurfaceResistance implements TestMethod {
    /** This method's word, for what the finished floor is held to. */
    public static final String ID = "resistance";

    private static final Source STM71 = Source.published("ANSI/ESD STM7.1 and S20.20, from memory");
    /** Below it 10 V, from there up 100 V. */
    private static final double TURNING_OHM = 1e6;

    private static final TestCount COUNT = new TestCount(5, 1e12, 0, 1, Source.ours("five places of a room"));

    private static final About ABOUT = new About(
            ID,
            "Surface resistance",
            TestGroup.USE,
            "Two 5 lb electrodes 3 ft apart on the clean floor. 10 V first; where it reads 1 MΩ or more, read again with 100 V.",
            STM71);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return site.limits().asks().resistance();
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.quantity("ohms", "Resistance", Unit.MEGOHM, 0, 1e9, "45 MΩ, 0.8 GΩ, 250 kΩ"),
                Field.choice("volts", "Test voltage", new Field.Choice("10", "10 V"), new Field.Choice("100", "100 V")),
                Field.quantity("rh", "Humidity of the air", Unit.PERCENT, 1, 100, "dry air is the hard case"));
    }

    @Override
    public Optional<InstrumentKind> instrument() {
        return Optional.of(InstrumentKind.RESISTANCE_METER);
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    @Override
    public boolean valid(Reading r, Site site) {
        return r.choice("volts").equals(volts(r.number("ohms")));
    }

    private static String volts(double ohms) {
        return Bound.below(TURNING_OHM, Unit.MEGOHM).holds(ohms) ? "10" : "100";
    }

    @Override
    public String found(Reading r, Site site) {
        double ohms = r.number("ohms");
        Limits.Asks asks = site.limits().asks();
        Unit unit = unit(ohms);
        return Bound.text(
                ohms,
                Bound.below(TURNING_OHM, unit),
                Bound.below(asks.resistanceMaxOhm(), unit),
                Bound.atLeast(asks.resistanceMinOhm(), unit));
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        String at = " at " + r.place();
        Limits.Asks asks = site.limits().asks();
        var finding = Finding.of(ABOUT.id(), r).measured(found(r, site) + " at " + r.choice("volts") + " V");
        if (!valid(r, site)) {
            return List.of(finding.needed("10 V below 1 MΩ, 100 V from there up", STM71)
                    .hold(
                            "resistance" + at + " read with the wrong voltage",
                            "Resistance depends on the voltage: only readings taken with the one for the range compare.",
                            "Read it again with " + volts(r.number("ohms")) + " V."));
        }
        if (!asks.resistance()) {
            return List.of();
        }
        // a floor exactly at the limit fails: the standard says less than
        Bound most = Bound.below(asks.resistanceMaxOhm(), unit(asks.resistanceMaxOhm()));
        Bound least = Bound.atLeast(asks.resistanceMinOhm(), unit(asks.resistanceMinOhm()));
        String from = least.limit() > 0 ? least.words() : "";
        String to = Double.isFinite(most.limit()) ? most.words() : "";
        finding.needed(
                from + (from.isEmpty() || to.isEmpty() ? "" : ", ") + to,
                site.limits().source());
        if (!most.holds(r.number("ohms"))) {
            return List.of(finding.hold(
                    "resistance" + at + " too high",
                    "Charge stays where it is made, and finds its way through what was to be protected.",
                    "Clean off wax and film, rinse, let it dry and read again; then renew the finish."));
        }
        if (!least.holds(r.number("ohms"))) {
            return List.of(finding.hold(
                    "resistance" + at + " too low",
                    "Below its range a floor conducts: people who touch a live part stand on earth.",
                    "Look for water or metal under the electrodes, then ask whoever made the floor."));
        }
        return List.of(finding.go("resistance" + at, "Within the range."));
    }

    private static Unit unit(double ohms) {
        return ohms >= 1e9 ? Unit.GIGOHM : ohms >= 1e6 ? Unit.MEGOHM : ohms >= 1e3 ? Unit.KILOHM : Unit.OHM;
    }
}
