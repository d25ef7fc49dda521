package openslab.core.survey.method;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.SetOut;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;
import openslab.core.survey.Verdict;

/** A taped plastic sheet: yes or no, never how much, and never a pass on its own. */
public final class PlasticSheet implements TestMethod {
    private static final Source D4263 = Source.published("ASTM D4263, from memory");
    private static final Bound TAPED = Bound.atLeast(Unit.HOUR.toBase(16), Unit.HOUR);
    private static final TestCount COUNT = new TestCount(1, 500, 1, 500, D4263);

    private static final About ABOUT = new About(
            "plastic-sheet",
            "Plastic sheet",
            TestGroup.MOISTURE,
            "Tape down an 18 in square of clear 4 mil sheet on all edges, out of the sun. Look under it after 16 h or more.",
            D4263);

    @Override
    public About about() {
        return ABOUT;
    }

    /** The least that is known of the moisture, where the sheet asks for no figure. */
    @Override
    public boolean asked(Readings read, Site site) {
        return site.substrate().family() == Substrate.Family.CEMENT
                && !site.limits().moisture();
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
    public Optional<SetOut> setOut() {
        return Optional.of(new SetOut(
                Duration.ofMinutes(Math.round(TAPED.limit())),
                Optional.empty(),
                "sheet taped",
                "lift the sheet",
                "hours"));
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    @Override
    public boolean valid(Reading r, Site site) {
        return TAPED.holds(r.number("hours"));
    }

    @Override
    public String found(Reading r, Site site) {
        return r.choice("under");
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        double minutes = r.number("hours");
        String at = " at " + r.place();
        var finding = Finding.of(ABOUT.id(), r)
                .measured(r.choice("under") + " after " + TAPED.text(minutes))
                .needed("dry after 16 h", D4263);
        if (r.choice("under").equals("damp") && !site.limits().moisture()) {
            return List.of(finding.watch(
                    "damp under the sheet" + at,
                    "A film that lets vapour through stays on; laid on a damp surface it turns white.",
                    "Coat only once the surface is dry to the eye and stays so overnight."));
        }
        if (r.choice("under").equals("damp")) {
            return List.of(finding.hold(
                    "damp under the sheet" + at,
                    "Moisture is moving out of the slab; a sheet cannot say how much.",
                    "Find the source, and measure with dishes or probes at this place."));
        }
        if (!valid(r, site)) {
            return List.of(finding.readyAt(r.at().plus(Duration.ofMinutes((long) Math.ceil(TAPED.limit() - minutes))))
                    .hold(
                            "sheet" + at + " lifted too early",
                            "A dry sheet means nothing before 16 h.",
                            "Tape it down again for 16 h or more."));
        }
        return List.of(finding.go("dry under the sheet" + at, "No sign of moisture; never a pass on its own."));
    }

    /** A sheet and a dish or probe at one place that say opposite things. */
    @Override
    public List<Finding> compare(Readings read, Site site) {
        var conflicts = new ArrayList<Finding>();
        for (Reading sheet : read.current(id())) {
            boolean damp = sheet.choice("under").equals("damp");
            for (TestMethod measured : List.of(new CalciumChloride(), new InSlabHumidity())) {
                read.current(measured.id()).stream()
                        .filter(r -> r.place().equals(sheet.place()) && measured.valid(r, site))
                        .filter(r -> damp == isGo(measured, r, site) && (damp || valid(sheet, site)))
                        .map(r -> conflict(sheet, damp, measured.about().title() + " " + measured.found(r, site)))
                        .forEach(conflicts::add);
            }
        }
        return conflicts;
    }

    private static boolean isGo(TestMethod method, Reading r, Site site) {
        return Verdict.worst(
                        method.judge(r, site).stream().map(Finding::verdict).toList())
                != Verdict.STOP;
    }

    private Finding conflict(Reading sheet, boolean damp, String other) {
        String place = sheet.place();
        return Finding.of("plastic-sheet-conflict", sheet)
                .measured((damp ? "sheet damp" : "sheet dry") + ", " + other)
                .needed("tests at one place that agree", D4263)
                .watch(
                        "tests at " + place + " contradict one another",
                        damp
                                ? "A sheet also sweats on a cold slab under warm air; the other test says the slab is dry enough."
                                : "A sheet shows what reaches the surface in a day, and misses what lies below: the other test rules.",
                        damp
                                ? "Tape the sheet again at service temperature, out of the sun; until then it holds."
                                : "Go by the limit of the other test; one more of it near " + place
                                        + " would settle it.");
    }
}
