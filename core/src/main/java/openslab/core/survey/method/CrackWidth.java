package openslab.core.survey.method;

import java.util.List;
import openslab.core.floor.joint.Cracks;
import openslab.core.quantity.Field;
import openslab.core.quantity.Unit;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** How wide a crack is, and whether it moves. */
public final class CrackWidth implements TestMethod {

    private static final About ABOUT = new About(
            "crack",
            "Crack width",
            TestGroup.SOUND,
            "Lay the comparator over the crack at its widest. Bridge it with plaster or a gauge for some days to see whether it moves.",
            Cracks.PRACTICE);

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
        return false;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.quantity("width", "Width", Unit.INCH, Unit.MILLIMETRE, 0, 0.1, ""),
                Field.yesNo("moves", "It moves"));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        return Cracks.text(r.number("width"), Unit.small(site.units())) + (r.yes("moves") ? ", moving" : "");
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var finding =
                Finding.of(ABOUT.id(), r).measured(found(r, site)).needed("a crack that stays still", Cracks.PRACTICE);
        if (r.yes("moves")) {
            return List.of(finding.hold(
                    "moving crack at " + r.place(),
                    "No film bridges a crack that moves: it will come through, whatever fills it.",
                    Cracks.MOVING));
        }
        if (Cracks.isWide(r.number("width"))) {
            return List.of(finding.watch(
                    "wide crack at " + r.place(),
                    "A quarter inch or wider takes a structural patch; a filler would sink in it.",
                    "Chase it out and patch it before the first coat."));
        }
        return List.of(finding.go("crack at " + r.place() + " still and narrow", "A flexible filler is enough."));
    }
}
