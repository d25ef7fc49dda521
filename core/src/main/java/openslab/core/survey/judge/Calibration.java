package openslab.core.survey.judge;

import java.util.Optional;
import openslab.core.quantity.Source;
import openslab.core.survey.Finding;
import openslab.core.survey.Reading;
import openslab.core.survey.TestMethod;
import openslab.core.survey.instrument.InstrumentKind;

/** A reading taken on a day for which the instrument had no certificate does not count. */
public final class Calibration {
    private static final Source PAPERS = Source.commonPractice("an instrument counts while its certificate holds");

    private Calibration() {}

    public static boolean lapsed(Reading r) {
        return r.instrument().map(i -> i.lapsed(r.at())).orElse(false);
    }

    /** Empty where the certificate held, or where nobody said what it was read with. */
    public static Optional<Finding> judge(Reading r, TestMethod method) {
        return r.instrument().filter(i -> i.lapsed(r.at())).map(i -> Finding.of(method.id() + "-calibration", r)
                .measured(i.name() + ", calibrated " + i.calibrated() + ", good until " + i.due())
                .needed(
                        "a certificate that holds on the day",
                        method.instrument().map(InstrumentKind::source).orElse(PAPERS))
                .hold(
                        method.about().title() + " at " + r.place() + " read with a lapsed calibration",
                        "An instrument that has drifted is wrong by the same amount every time, and no second reading shows it.",
                        "Have " + i.name() + " checked; if it was true, key its new certificate in and read again."));
    }
}
