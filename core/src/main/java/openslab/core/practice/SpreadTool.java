package openslab.core.practice;

import openslab.core.course.Step;
import openslab.core.product.ProductSheet;
import openslab.core.system.LayWorks;

/** What a resurfacer is drawn over the floor with. */
public enum SpreadTool implements School {
    BOTH("Squeegee, then a brush pull", "Fast over the field, even at the end."),
    SQUEEGEE("Squeegee only", "Tight and smooth, and no brush to wash."),
    BRUSH("Brush pull only", "Texture for grip, and laps do not show.");

    public static final Practice PRACTICE = Practice.of(
            "spread-tool",
            "What is a resurfacer spread with?",
            BOTH,
            "A squeegee where it is open, and a brush pull for whoever is new to it: the brush hides what the hand does not know yet.",
            values());

    private final String label;
    private final String reason;

    SpreadTool(String label, String reason) {
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
        return step.work().is(LayWorks.SPREAD) ? step.adding(" " + label + ".") : step;
    }
}
