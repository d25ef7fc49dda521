package openslab.core.survey.method;

import java.util.ArrayList;
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

/** Rust and mill scale on metal: what lies loose comes off with the coat. */
public final class RustCheck implements TestMethod {
    public static final String ID = "rust";

    private static final Source PRACTICE = Source.commonPractice("sound, wire-brushed, vacuumed, dry");

    private static final About ABOUT = new About(
            ID,
            "Rust and mill scale",
            TestGroup.WALK,
            "Look along edges, welds and bolts; scrape with a knife; a strip of tape pulls off what is loose.",
            PRACTICE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate == Substrate.METAL;
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.choice(
                        "rust",
                        "Rust",
                        new Field.Choice("none", "None, or a stain that does not wipe"),
                        new Field.Choice("light", "Light, wipes off"),
                        new Field.Choice("loose", "Scabs and flakes")),
                Field.yesNo("scale", "Blue-grey mill scale"));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        return "rust " + r.choice("rust") + (r.yes("scale") ? ", mill scale" : "");
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var findings = new ArrayList<Finding>();
        if (!r.choice("rust").equals("none")) {
            findings.add(Finding.of(ID + "-loose", r)
                    .measured(found(r, site))
                    .needed("no loose rust", PRACTICE)
                    .hold(
                            "rust on the metal",
                            "Rust that is loose is a release layer, and goes on growing under a film.",
                            "Wire-brush or grind to sound metal, vacuum, wipe with solvent, look again."));
        }
        if (r.yes("scale")) {
            findings.add(Finding.of(ID + "-scale", r)
                    .measured("mill scale")
                    .needed("bare metal", PRACTICE)
                    .hold(
                            "mill scale on the metal",
                            "Scale lets go of the steel in sheets, whatever lies on it.",
                            "Blast or grind it off, then look again."));
        }
        if (findings.isEmpty()) {
            findings.add(Finding.of(ID, r)
                    .measured(found(r, site))
                    .needed("sound metal", PRACTICE)
                    .go("sound metal", "Nothing loose lies between it and a coat."));
        }
        return findings;
    }
}
