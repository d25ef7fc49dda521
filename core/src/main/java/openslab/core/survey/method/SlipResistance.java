package openslab.core.survey.method;

import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;
import openslab.core.survey.instrument.InstrumentKind;

/** Friction of the finished floor, wet. */
public final class SlipResistance implements TestMethod {
    /** This method's word, for what the finished floor is held to. */
    public static final String ID = "slip";

    private static final Source A3263 =
            Source.published("ANSI A326.3, from memory: 0.42 wet indoors, 0.55 wet outdoors");
    private static final TestCount COUNT = new TestCount(3, 1e12, 0, 1, Source.ours("three places of a room"));

    private static final About ABOUT = new About(
            ID,
            "Slip",
            TestGroup.USE,
            "Wet the clean floor with the test solution and run the sled over it in four directions; take the mean.",
            A3263);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return site.limits().asks().dcofMin() > 0;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.quantity("dcof", "Dynamic friction (DCOF)", Unit.ONE, 0, 1.5, "mean of four runs"),
                Field.choice("wet", "Floor", new Field.Choice("wet", "Wet"), new Field.Choice("dry", "Dry")));
    }

    @Override
    public Optional<InstrumentKind> instrument() {
        return Optional.of(InstrumentKind.FRICTION_METER);
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    @Override
    public boolean valid(Reading r, Site site) {
        return r.choice("wet").equals("wet");
    }

    @Override
    public String found(Reading r, Site site) {
        return asked(site).text(r.number("dcof")) + " " + r.choice("wet");
    }

    private static Bound asked(Site site) {
        return Bound.atLeast(site.limits().asks().dcofMin(), Unit.ONE);
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        Bound need = asked(site);
        boolean asked = need.limit() > 0;
        var finding = Finding.of(ABOUT.id(), r)
                .measured(found(r, site))
                .needed(
                        asked ? need.words() + ", wet" : "a wet floor",
                        asked ? site.limits().source() : A3263);
        if (!valid(r, site)) {
            return List.of(finding.hold(
                    "friction at " + r.place() + " read dry",
                    "Nearly every dry floor grips; people slip on wet ones.",
                    "Wet it and run the sled again."));
        }
        if (!asked) {
            return List.of();
        }
        if (!need.holds(r.number("dcof"))) {
            return List.of(finding.hold(
                    "floor slippery when wet at " + r.place(),
                    "Below the figure asked, people slip. The figure is no promise that nobody will.",
                    "Broadcast grit into the top coat, or etch or clean what is there, and measure again."));
        }
        return List.of(
                finding.go("friction at " + r.place(), "At or above the figure asked; no promise that nobody slips."));
    }
}
