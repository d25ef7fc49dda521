package openslab.core.survey.method;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import openslab.core.quantity.Field;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;
import openslab.core.survey.Mapped;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;
import openslab.core.survey.instrument.InstrumentKind;

/** A meter laid on the floor: where to test, never whether it is dry enough. */
public final class ElectronicMeter implements TestMethod {
    private static final Source F2659 = Source.published("ASTM F2659, from memory: comparative only");
    private static final TestCount COUNT = new TestCount(8, 1000, 5, 1000, F2659);
    /** Nearer to one another than this share of the highest, a meter does not tell two places apart: ours. */
    private static final double APART = 0.1;

    private static final About ABOUT = new About(
            "moisture-meter",
            "Electronic meter",
            TestGroup.MOISTURE,
            "Walk the floor with one meter and one setting, and note the number it shows at each place. It says where to test, never"
                    + " whether to coat.",
            F2659);

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
                Field.quantity("shown", "Shown by the meter", Unit.ONE, 0, 1000, "its own scale, whatever that is"));
    }

    @Override
    public Optional<InstrumentKind> instrument() {
        return Optional.of(InstrumentKind.MOISTURE_METER);
    }

    @Override
    public Optional<Mapped> mapped() {
        return Optional.of(
                new Mapped("Shown by the meter", Unit.ONE, 0, r -> r.number("shown"), s -> Optional.empty()));
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    @Override
    public String found(Reading r, Site site) {
        return Show.number(r.number("shown"), 1);
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        // comparative only: it says where to test, never whether to coat
        return List.of();
    }

    /** The wettest place by the meter is where a dish or a probe belongs. */
    @Override
    public List<Finding> compare(Readings read, Site site) {
        List<Reading> shown = read.current(id());
        if (shown.size() < 2) {
            return List.of();
        }
        var byValue = Comparator.comparingDouble((Reading r) -> r.number("shown"));
        Reading wettest = shown.stream().max(byValue).orElseThrow();
        Reading driest = shown.stream().min(byValue).orElseThrow();
        boolean apart = wettest.number("shown") - driest.number("shown") > APART * wettest.number("shown");
        boolean tested = Stream.of(CalciumChloride.ID, InSlabHumidity.ID)
                .flatMap(m -> read.current(m).stream())
                .anyMatch(r -> r.place().equals(wettest.place()));
        if (!apart || tested) {
            return List.of();
        }
        return List.of(Finding.of("moisture-meter-wettest", wettest)
                .measured(found(wettest, site) + ", and " + found(driest, site) + " at " + driest.place())
                .needed("a dish or a probe at the wettest place", F2659)
                .watch(
                        "wettest by the meter at " + wettest.place() + ", untested",
                        "The floor fails where it is wettest, and the meter says that is here.",
                        "Set a dish or drill a probe at " + wettest.place() + "."));
    }
}
