package openslab.core.prep;

import openslab.core.course.Step;

/** What a system wants done besides, whichever way its floor is opened. */
public enum Extra {
    DIG_BACK(
            When.FIRST_OUTDOORS,
            Step.of(
                    Works.DIG_BACK,
                    "Dig the soil back",
                    "A few inches along every open edge, below the face.",
                    "The coat runs over the edge and closes it; against soil it ends as a lip that breaks off.")),
    LOOSE_OFF(
            When.FIRST,
            Step.of(
                            Works.LOOSE_OFF,
                            "Everything loose off",
                            "Hammer, scraper and stiff broom: spalls, scale, crumbling corners.",
                            "What is put on holds no better than what it lies on.")
                    .careful("Eyes, gloves, dust.")
                    .until(Gates.nothingLoose())),
    HIGH_SPOTS(
            When.LAST,
            Step.of(
                            Works.BLOCK_HIGH,
                            "Block the high spots",
                            "20 grit block, high spots only; vacuum.",
                            "A squeegee rides on them and leaves the rest thin.")
                    .careful("Silica dust: damp, or with a vacuum; respirator.")),
    GAPS_CLOSED(
            When.LAST,
            Step.of(
                    Works.CLOSE_GAPS,
                    "Close the expansion gaps, set the strips",
                    "Foam or tape pressed in below the face; a 1/8 in strip against planters and walls for a reveal.",
                    "What runs into a gap bridges it, and the slab cracks it at once."));

    /** At which end of the preparation, and on which floors. */
    private enum When {
        FIRST_OUTDOORS,
        FIRST,
        LAST
    }

    private final When when;
    private final Step step;

    Extra(When when, Step step) {
        this.when = when;
        this.step = step;
    }

    /** Whether it comes before everything; else right before the floor is closed. */
    boolean isFirst() {
        return when != When.LAST;
    }

    /** Whether there is anything to do of it on such a floor. */
    boolean isFor(boolean indoors) {
        return !indoors || when != When.FIRST_OUTDOORS;
    }

    Step step() {
        return step;
    }
}
