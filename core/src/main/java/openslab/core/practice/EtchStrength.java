package openslab.core.practice;

import java.util.List;
import openslab.core.course.Step;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Dose;

/** How strong acid is mixed where nobody tried it yet. */
public enum EtchStrength implements School {
    WEAKEST("The weakest that works", "Squares in a corner, weakest first: the floor says what it needs."),
    LABEL("As the label says", "One mix, no squares, and nobody asks why it was weaker.");

    public static final Practice PRACTICE = Practice.of(
            "etch-strength",
            "How strong is etching acid mixed?",
            WEAKEST,
            "The label may say far more than this floor needs, and what is burnt does not come back.",
            values());

    private final String label;
    private final String reason;

    EtchStrength(String label, String reason) {
        this.label = label;
        this.reason = reason;
    }

    @Override
    public String label() {
        return label;
    }

    @Override
    public String reason() {
        return reason;
    }

    @Override
    public List<Step> prepared(List<Step> steps, Place place) {
        return this == WEAKEST
                ? steps
                : steps.stream()
                        .filter(s -> !(s.isPatch() && isAcid(s)))
                        .map(EtchStrength::byLabel)
                        .toList();
    }

    private static Step byLabel(Step step) {
        return isAcid(step) ? step.mixes(Dose.of(step).orElseThrow().byLabel()) : step;
    }

    private static boolean isAcid(Step step) {
        return Dose.of(step)
                .map(d -> d.any().get(0).family() == Chemical.Family.ACID && d.tried())
                .orElse(false);
    }
}
