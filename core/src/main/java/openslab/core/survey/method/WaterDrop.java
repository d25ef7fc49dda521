package openslab.core.survey.method;

import java.util.List;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** Does a drop of water soak in within a minute? */
public final class WaterDrop implements TestMethod {
    public static final String ID = "water-drop";

    /** OURS, within 10 s: thirsty, as old and porous concrete is. */
    public static final String DRINKS = "drinks";

    private static final Source F3191 = Source.published("ASTM F3191, from memory");
    private static final TestCount COUNT = new TestCount(3, 3000, 1, 2000, F3191);

    private static final About ABOUT = new About(
            ID,
            "Water drop",
            TestGroup.FILM,
            "Put one small drop of clean water on the bare floor and watch it for 60 s.",
            F3191);

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
        return List.of(Field.choice(
                "drop",
                "The drop",
                new Field.Choice(DRINKS, "Gone at once, within 10 s"),
                new Field.Choice("soaks", "Soaks in within 60 s"),
                new Field.Choice("beads", "Still beads after 60 s")));
    }

    @Override
    public TestCount count() {
        return COUNT;
    }

    @Override
    public String found(Reading r, Site site) {
        return r.choice("drop");
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        String at = " at " + r.place();
        var finding = Finding.of(ABOUT.id(), r).measured(found(r, site)).needed("soaks in within 60 s", F3191);
        if (r.choice("drop").equals("beads") && !site.films().stay().isEmpty()) {
            return List.of(finding.go(
                    "water beads" + at + " on a film that stays", "The old film turns it away, as it should."));
        }
        if (r.choice("drop").equals("beads")) {
            return List.of(finding.hold(
                    "water beads" + at,
                    "If water cannot get in, neither can the primer: sealer, wax, oil or a burnished surface is in the way.",
                    "Find out what is there and take it off, then drop again."));
        }
        return r.choice("drop").equals(DRINKS)
                ? List.of(finding.go("water is gone at once" + at, "The surface is open, and thirsty: a primer first."))
                : List.of(finding.go("water soaks in" + at, "The surface is open."));
    }
}
