package openslab.core.survey.method;

import java.util.List;
import java.util.Optional;
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
import openslab.core.survey.instrument.InstrumentKind;

/** How much water is in timber: boards that dry on shrink, and tear a film along every joint. */
public final class TimberMoisture implements TestMethod {
    public static final String ID = "timber-moisture";

    /** OURS: boards indoors settle between 6 and 12 %; a deck outdoors is coated up to 15. */
    private static final Source RULE =
            Source.ours("boards indoors come to rest at 6 to 12 %, outdoors up to 15 %; the sheet in hand beats it");

    private static final double MOST_PERCENT = 15;
    private static final TestCount COUNT = new TestCount(3, 1000, 1, 1000, RULE);

    private static final About ABOUT = new About(
            ID,
            "Moisture of timber",
            TestGroup.MOISTURE,
            "Pins along the grain, a third of the way into the board, away from knots and fixings; set the meter to the kind of wood.",
            RULE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate == Substrate.TIMBER;
    }

    @Override
    public Optional<InstrumentKind> instrument() {
        return Optional.of(InstrumentKind.MOISTURE_METER);
    }

    @Override
    public List<Field> fields() {
        return List.of(Field.quantity("water", "Water in the wood", Unit.PERCENT, 1, 60, "of its dry weight"));
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    private static Bound wanted() {
        return Bound.atMost(MOST_PERCENT, Unit.PERCENT);
    }

    @Override
    public String found(Reading r, Site site) {
        return wanted().text(r.number("water"));
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        Bound wanted = wanted();
        var finding = Finding.of(ID, r).measured(found(r, site)).needed(wanted.words(), RULE);
        return List.of(
                wanted.holds(r.number("water"))
                        ? finding.go("dry wood at " + r.place(), "It has little left to shrink.")
                        : finding.hold(
                                "wet wood at " + r.place(),
                                "It shrinks as it dries, and the film tears along every joint.",
                                "Find the water, let it dry, and read it again."));
    }
}
