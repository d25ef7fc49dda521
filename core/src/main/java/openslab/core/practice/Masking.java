package openslab.core.practice;

import java.util.Optional;
import openslab.core.course.Step;
import openslab.core.prep.Works;

/** How walls, posts and trim are kept clean. */
public enum Masking implements School {
    BY_WALL("Wall by wall, as the plan says", "Tape where it is long and straight, brush where it is short or windy."),
    TAPE_ALL("Tape and film everywhere", "Tape is cheaper than a wall."),
    CUT_IN("Cut in by brush", "No film to blow about, no tape that takes paint with it."),
    TRIM_OFF("Take the trim off", "The coat goes under it, and no edge shows.");

    public static final Practice PRACTICE = Practice.of(
            "masking",
            "How are walls and trim kept clean?",
            BY_WALL,
            "The plan says wall by wall what is taped and what is cut in: long straight edges are taped, and in wind film tears loose.",
            values());

    private final String label;
    private final String reason;

    Masking(String label, String reason) {
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

    private static final Step TAPE = Step.of(
                    Works.MASK,
                    "Mask walls and posts",
                    "Tape and film where nothing is cut in; trim that is replaced comes off instead. In wind, with a second pair of hands.",
                    "Paint on a wall costs more than the film.")
            .careful("Film in a doorway is slippery: tape it down.");

    private static final Step OFF = Step.of(
            Works.TRIM_OFF,
            "Take the trim off",
            "Cut the paint line first; numbered on the back, nails out; the wall behind it is taped where it would be seen.",
            "A coat that goes under the trim has no edge to lift.");

    /** @param alongM along which the plan says it is masked, m; empty where it says nothing of it */
    public Optional<Step> step(Optional<Double> alongM) {
        return switch (this) {
            case BY_WALL ->
                alongM.isEmpty() ? Optional.of(TAPE) : alongM.filter(m -> m > 0).map(TAPE::over);
            case TAPE_ALL -> Optional.of(TAPE);
            case CUT_IN -> Optional.empty();
            case TRIM_OFF -> Optional.of(OFF);
        };
    }
}
