package openslab.core.practice;

import openslab.core.course.Step;
import openslab.core.product.ProductSheet;
import openslab.core.system.LayWorks;

/** What a sealer is put on with. */
public enum SealerTool implements School {
    BOTH("Sprayed, and rolled back", "No puddles, and edges are wetted."),
    SPRAY("Sprayed only", "Nothing touches fresh colour.");

    public static final Practice PRACTICE = Practice.of(
            "sealer-tool",
            "What is a sealer put on with?",
            BOTH,
            "Sprayed it is even and thin, rolled it is worked in: a puddle never stays.",
            values());

    private final String label;
    private final String reason;

    SealerTool(String label, String reason) {
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
    public Step laid(Step step, ProductSheet sheet, Place place) {
        return this == SPRAY && step.work().is(LayWorks.SPRAY_SEALER)
                ? step.called("Spray thin").adding(" Nobody rolls it back: a puddle is dabbed off at once.")
                : step;
    }
}
