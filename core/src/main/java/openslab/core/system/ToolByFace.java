package openslab.core.system;

import openslab.core.course.Step;

/** What a poured coat is drawn out with, by the face it is poured on. Common practice, no source: brush on rough, squeegee on smooth. */
public final class ToolByFace {
    private ToolByFace() {}

    /** The same step, saying which of its tools this floor wants. @param rough what a hand across the floor told */
    public static Step on(Step step, boolean rough) {
        if (!step.work().is(LayWorks.POUR)) {
            return step;
        }
        return step.adding(
                rough
                        ? " This face is rough: take the brush, a squeegee rides on its points."
                        : " This face is smooth: take the squeegee, a brush leaves its marks.");
    }
}
