package openslab.core.survey.method;

import openslab.core.quantity.Source;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestGroup;
import openslab.core.survey.area.Defect;

/** How much dust is left: clear tape shows it. */
public final class TapeTest extends SignTest {
    public TapeTest() {
        super(
                new About(
                        "tape",
                        "Tape test",
                        TestGroup.SOUND,
                        "Press clear tape on the swept floor, pull it off, lay it on white paper.",
                        Source.commonPractice("")),
                go("clean", "Tape stays clear", "tape stays clear", "No dust between the film and the floor."),
                watch(
                        "grey",
                        "Tape is lightly grey",
                        "a little dust on the tape",
                        "A little dust is normal after grinding; left there it weakens the bond.",
                        "Vacuum once more right before coating."),
                hold(
                        "covered",
                        "Tape is covered, does not stick again",
                        "dust covers the tape",
                        "The film would hold on to dust, and peel with it. A top that goes on dusting is weak.",
                        s -> "Vacuum; if it dusts again, " + off(Defect.DUSTING, s) + "."));
    }

    @Override
    public boolean asked(Readings read, Site site) {
        return seen(read, "dusting");
    }
}
