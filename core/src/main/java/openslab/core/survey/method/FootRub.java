package openslab.core.survey.method;

import openslab.core.quantity.Source;
import openslab.core.survey.Readings;
import openslab.core.survey.Site;
import openslab.core.survey.TestGroup;

/** Whether a stripper has let go of the finish: a shoe tells. */
public final class FootRub extends SignTest {
    public FootRub() {
        super(
                new About(
                        "foot-rub",
                        "Foot rub",
                        TestGroup.FILM,
                        "After the stripper has dwelt, rub the wet floor with the sole of a shoe.",
                        Source.commonPractice("")),
                go(
                        "clean",
                        "Sole drags, nothing lifts",
                        "nothing lifts under the sole",
                        "There is no finish left to lift."),
                hold(
                        "lifts",
                        "Finish lifts in grey slurry",
                        "finish still lifts under the sole",
                        "What is not stripped now peels with the new coat.",
                        "Scrub, recover the slurry, rinse twice, strip again where it lifts."));
    }

    /** Where something was laid on it for months, or may have been. */
    @Override
    public boolean asked(Readings read, Site site) {
        return CareHistory.suspects(read) || ResilientCheck.finished(read);
    }
}
