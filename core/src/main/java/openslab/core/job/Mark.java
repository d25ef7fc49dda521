package openslab.core.job;

import openslab.core.survey.Verdict;

/** How far a stratum is, in one word. */
public enum Mark {
    NOT_STARTED("not started"),
    GO("go"),
    WATCH("watch"),
    HOLD("hold"),
    STOP("stop"),
    IN_HAND("in hand"),
    WET("wet"),
    CURING("curing"),
    WINDOW_OPEN("window open"),
    DONE("done"),
    OVERDUE("overdue");

    private final String word;

    Mark(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    static Mark of(Verdict verdict) {
        return switch (verdict) {
            case GO -> GO;
            case WATCH -> WATCH;
            case HOLD -> HOLD;
            case STOP -> STOP;
        };
    }
}
