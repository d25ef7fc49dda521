package openslab.core.survey.method;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** Whether tiles lie fast, and what their grout and faces are like. */
public final class TileCheck implements TestMethod {
    public static final String ID = "tile-check";

    private static final Source PRACTICE =
            Source.commonPractice("a coat hides dated colour and grimy grout, never a loose tile");

    private static final About ABOUT = new About(
            ID,
            "Tiles and grout",
            TestGroup.WALK,
            "Tap tile by tile with a hard knuckle or a rod and step on the corners; run a key along the grout; drop water on the faces.",
            PRACTICE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate.family() == Substrate.Family.TILE;
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.quantity("loose", "Loose or hollow tiles", Unit.ONE, 0, 100_000, "how many; 0 for none"),
                Field.choice(
                        "grout",
                        "Grout",
                        new Field.Choice("sound", "Full and hard"),
                        new Field.Choice("crumbles", "Crumbles, or is missing"),
                        new Field.Choice("damp", "Damp or white with salt")),
                Field.choice(
                        "face",
                        "Faces",
                        new Field.Choice("glazed", "Glazed or polished: water stands"),
                        new Field.Choice("bare", "Unglazed: water soaks in"),
                        new Field.Choice("worn", "Glaze worn through in the tracks")));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        return Math.round(r.number("loose")) + " loose, grout " + r.choice("grout") + ", " + r.choice("face");
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var findings = new ArrayList<Finding>();
        if (r.number("loose") > 0) {
            long loose = Math.round(r.number("loose"));
            findings.add(Finding.of(ID + "-loose", r)
                    .measured(loose + " loose or hollow")
                    .needed("every tile fast", PRACTICE)
                    .hold(
                            loose == 1 ? "a loose tile" : loose + " loose tiles",
                            "A coat cracks along the edge of a tile that moves, and water gets under it there.",
                            "Take them up and set them anew, let the bed harden, then tap again."));
        }
        if (r.choice("grout").equals("crumbles")) {
            findings.add(Finding.of(ID + "-grout", r)
                    .measured("crumbles")
                    .needed("full and hard", PRACTICE)
                    .hold(
                            "grout crumbles",
                            "A coat bridges no gap: it sinks in and cracks over it.",
                            "Rake it out and grout anew; let it harden as its bag says."));
        }
        if (r.choice("grout").equals("damp")) {
            findings.add(Finding.of(ID + "-damp", r)
                    .measured("damp or white with salt")
                    .needed("dry", PRACTICE)
                    .hold(
                            "water comes up through the grout",
                            "A closed film over it blisters along every joint.",
                            "Find where the water comes from and let it dry; probes in the slab below say when."));
        }
        if (findings.isEmpty()) {
            findings.add(Finding.of(ID, r)
                    .measured(found(r, site))
                    .needed("tiles fast, grout full, hard and dry", PRACTICE)
                    .go("tiles lie fast", "Nothing moves under a coat, and nothing wet comes up between them."));
        }
        return findings;
    }
}
