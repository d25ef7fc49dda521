package openslab.core.survey.method;

import java.time.Duration;
import java.util.List;
import openslab.core.quantity.Field;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestMethod;

/** A taped plastic sheet: yes or no, never how much, and never a pass on its own. */
public final class PlasticSheet implements TestMethod {
    private static final Source D4263 = Source.published("ASTM D4263, from memory");
    private static final double MIN_HOURS = 16;
    private static final TestCount COUNT = new TestCount(1, 500, 1, 500, D4263);

    @Override
    public String id() {
        return "plastic-sheet";
    }

    @Override
    public String title() {
        return "Plastic sheet";
    }

    @Override
    public String how() {
        return "Tape down an 18 in square of clear 4 mil sheet on all edges, out of the sun. Look under it after 16 h or more.";
    }

    @Override
    public Source source() {
        return D4263;
    }

    @Override
    public boolean required() {
        return false;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.quantity("hours", "Hours taped", Unit.HOUR, 0, 500, "16 h or more"),
                Field.choice(
                        "under",
                        "Under the sheet",
                        new Field.Choice("dry", "Dry, no darker"),
                        new Field.Choice("damp", "Damp or darker")));
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    @Override
    public boolean valid(Reading r, Site site) {
        return Unit.HOUR.fromBase(r.number("hours")) >= MIN_HOURS;
    }

    @Override
    public String found(Reading r, Site site) {
        return r.choice("under");
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        double hours = Unit.HOUR.fromBase(r.number("hours"));
        String at = " at " + r.place();
        var finding = Finding.of(id(), r)
                .measured(r.choice("under") + " after " + Show.number(hours, 1) + " h")
                .needed("dry after 16 h", D4263);
        if (r.choice("under").equals("damp")) {
            return List.of(finding.hold(
                    "damp under the sheet" + at,
                    "Moisture is moving out of the slab; a sheet cannot say how much.",
                    "Find the source, and measure with dishes or probes at this place."));
        }
        if (!valid(r, site)) {
            return List.of(finding.readyAt(r.at().plus(Duration.ofMinutes(Math.round((MIN_HOURS - hours) * 60))))
                    .hold(
                            "sheet" + at + " lifted too early",
                            "A dry sheet means nothing before 16 h.",
                            "Tape it down again for 16 h or more."));
        }
        return List.of(finding.go("dry under the sheet" + at, "No sign of moisture; never a pass on its own."));
    }
}
