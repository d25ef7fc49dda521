package openslab.core.survey.method;

import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;
import openslab.core.survey.instrument.InstrumentKind;

/** A disc glued on and pulled until something gives: the strength of the top. */
public final class PullOff implements TestMethod {
    private static final Source D7234 = Source.published("ASTM D7234 and C1583, from memory");
    private static final TestCount COUNT =
            new TestCount(3, 1e12, 0, 1, Source.published("ASTM D7234, from memory: at least 3"));

    private static final About ABOUT = new About(
            "pull-off",
            "Pull-off",
            TestGroup.SOUND,
            "Glue the disc to the prepared floor, score round it, pull it straight and slowly, note the force and what gave.",
            D7234);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean tellsOfFilm() {
        return true;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return site.limits().asks().pullOffMinMpa() > 0;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.quantity("force", "Force when it gave", Unit.POUND_FORCE, Unit.NEWTON, 0, 50_000, ""),
                Field.quantity("disc", "Diameter of the disc", Unit.MILLIMETRE, 10, 100, "20 or 50 mm"),
                Field.choice(
                        "gave",
                        "What gave",
                        new Field.Choice("concrete", "The concrete"),
                        new Field.Choice("layer", "An old layer, or its bond"),
                        new Field.Choice("glue", "The glue")));
    }

    @Override
    public Optional<InstrumentKind> instrument() {
        return Optional.of(InstrumentKind.PULL_OFF_GAUGE);
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    @Override
    public boolean valid(Reading r, Site site) {
        return !r.choice("gave").equals("glue")
                || asked(site).limit() > 0
                        && asked(site).holds(strength(r, site).base());
    }

    @Override
    public String found(Reading r, Site site) {
        return asked(site).text(strength(r, site).base());
    }

    private static Bound asked(Site site) {
        return Bound.atLeast(site.limits().asks().pullOffMinMpa(), Unit.of(Dimension.STRESS, site.units()));
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        Bound need = asked(site);
        Figure strength = strength(r, site);
        String at = " at " + r.place();
        boolean asked = need.limit() > 0;
        var finding = Finding.of(ABOUT.id(), r)
                .measured(found(r, site))
                .needed(
                        asked ? need.words() : "the floor to give, not the glue",
                        asked ? site.limits().source() : D7234)
                .working(strength);
        if (!valid(r, site)) {
            return List.of(finding.hold(
                    "glue gave" + at,
                    "The floor is stronger than this, by how much is not known.",
                    "Glue the disc again on a cleaned place and pull once more."));
        }
        if (!asked) {
            return List.of();
        }
        if (!need.holds(strength.base())) {
            return List.of(finding.hold(
                    r.choice("gave").equals("layer") ? "an old layer lets go" + at : "top too weak" + at,
                    "The film pulls on the floor as it cures and moves; a top weaker than the sheet asks comes off with it.",
                    "Take off what gave, to sound concrete, and pull again."));
        }
        return List.of(finding.go("top strong enough" + at, "It holds what the sheet asks."));
    }

    /** Stress on the disc, MPa: 4·F/(π·d²). */
    public static Figure strength(double forceN, double discM, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("F", "force", forceN, Unit.NEWTON);
        w.given("d", "disc", Unit.MILLIMETRE.fromBase(discM), Unit.MILLIMETRE);
        double mpa = 4 * forceN / (Math.PI * discM * discM * 1e6);
        return w.figure("pull-off strength", "σ", "4·F/(π·d·d)", mpa, Unit.MEGAPASCAL, D7234);
    }

    private static Figure strength(Reading r, Site site) {
        return strength(r.number("force"), r.number("disc"), site.units());
    }
}
