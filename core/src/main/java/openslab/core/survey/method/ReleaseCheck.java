package openslab.core.survey.method;

import openslab.core.floor.Substrate;
import openslab.core.quantity.Source;
import openslab.core.survey.Films;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestGroup;
import openslab.core.survey.area.Defect;

/**
 * Whether release powder still lies loose on stamped work: it looks like colour, and nobody who is not asked thinks of it. It holds
 * nothing up, since preparation takes it off and proves it by its gate; it decides how.
 */
public final class ReleaseCheck extends SignTest {
    public static final String ID = "release";

    private static final String LOOSE = "loose";

    public ReleaseCheck() {
        super(
                new About(
                        ID,
                        "Release powder",
                        TestGroup.WALK,
                        "A wet hand across the highs and through a few lows: powder that lies loose comes off as colour.",
                        Source.commonPractice("90 to 95 % of the powder off; what is pressed into the lows stays")),
                go(
                        "off",
                        "None on a wet hand, or only out of the lows",
                        "no loose release powder",
                        "What is pressed into the lows stays, and holds."),
                watch(
                        LOOSE,
                        "Colour comes off on a wet hand",
                        "release powder lies loose",
                        Defect.RELEASE_POWDER.consequence(),
                        s -> Defect.RELEASE_POWDER.removal(s.substrate(), s.shown()) + "."));
    }

    @Override
    public boolean isFor(Substrate substrate) {
        return substrate == Substrate.STAMPED;
    }

    /** What is under a film lies fast, or the film would not be there any more. */
    @Override
    public boolean asked(Readings read, Site site) {
        return site.films().own().isEmpty() && !seen(read, Films.SEALER, Films.COATING);
    }

    @Override
    public boolean wholeFloor() {
        return true;
    }

    /** Whether it was found, and nobody has found it gone since. */
    public static boolean loose(Readings read) {
        return read.newest(ID).map(r -> is(r, LOOSE)).orElse(false);
    }
}
