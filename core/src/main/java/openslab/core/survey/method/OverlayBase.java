package openslab.core.survey.method;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Substrate;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Field;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestCount;
import openslab.core.survey.TestGroup;
import openslab.core.survey.TestMethod;

/** Whether the concrete below carries an overlay: how strong it is, how thick, and whether water runs off it. */
public final class OverlayBase implements TestMethod {
    public static final String ID = "overlay-base";

    private static final Source PRACTICE = Source.commonPractice(
            "concrete of 2,500 psi, 3.5 in thick, that drains; ponding is cured before an overlay, not after");

    private static final About ABOUT = new About(
            ID,
            "Concrete below an overlay",
            TestGroup.SOUND,
            "Take the strength from the papers or a rebound hammer, the thickness at an edge or a drilled hole; flood it and look after an hour where water stands.",
            PRACTICE);

    @Override
    public About about() {
        return ABOUT;
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate.family() == Substrate.Family.CEMENT;
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return site.limits().asks().base();
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    @Override
    public boolean lasts() {
        return true;
    }

    @Override
    public List<Field> fields() {
        return List.of(
                Field.quantity("strength", "Strength", Unit.PSI, Unit.MEGAPASCAL, 1, 150, "compressive"),
                Field.quantity("thickness", "Thickness", Unit.INCH, Unit.MILLIMETRE, 0.01, 2, ""),
                Field.choice(
                        "water",
                        "After a flood",
                        new Field.Choice("runs", "Runs off everywhere"),
                        new Field.Choice("stands", "Stands somewhere")));
    }

    @Override
    public TestCount count() {
        return TestCount.ONE;
    }

    @Override
    public String found(Reading r, Site site) {
        return "water " + r.choice("water");
    }

    @Override
    public List<Finding> judge(Reading r, Site site) {
        var asks = site.limits().asks();
        if (!asks.base()) {
            return List.of();
        }
        var findings = new ArrayList<Finding>();
        Bound strength = Bound.atLeast(asks.strengthMinMpa(), Unit.of(Dimension.STRESS, site.units()));
        if (!strength.holds(r.number("strength"))) {
            findings.add(Finding.of(ID + "-strength", r)
                    .measured(strength.text(r.number("strength")))
                    .needed(strength.text(), site.limits().source())
                    .stop(
                            "too weak for an overlay",
                            "The overlay is stronger than what it lies on: it tears the top off.",
                            "Take it up, or choose a coat that is not carried by it."));
        }
        Bound thickness =
                Bound.atLeast(asks.thicknessMinM(), site.units() == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE);
        if (!thickness.holds(r.number("thickness"))) {
            findings.add(Finding.of(ID + "-thickness", r)
                    .measured(thickness.text(r.number("thickness")))
                    .needed(thickness.text(), site.limits().source())
                    .stop(
                            "too thin for an overlay",
                            "A thin slab cracks, and the overlay with it.",
                            "Take it up, or choose a coat that is not carried by it."));
        }
        if (r.choice("water").equals("stands")) {
            findings.add(Finding.of(ID + "-water", r)
                    .measured("water stands")
                    .needed("runs off everywhere", PRACTICE)
                    .hold(
                            "water stands on it",
                            "An overlay follows the slab: water stands on it as well, and freezes there.",
                            "Cure the ponding first: grind, fill or drain, then flood it again."));
        }
        if (findings.isEmpty()) {
            findings.add(Finding.of(ID, r)
                    .measured("strong and thick enough, drains")
                    .needed("as the sheet asks", site.limits().source())
                    .go("carries an overlay", "It is stronger than the bond asks, and water leaves it."));
        }
        return findings;
    }
}
