package openslab.core.survey;

import java.util.Collection;
import java.util.Comparator;

/** The four words, in order of severity. Missing data is HOLD, never GO. */
public enum Verdict {
    /** Nothing stands against it. */
    GO,
    /** Allowed, with something to keep an eye on. */
    WATCH,
    /** Something is missing or not ready: the finding says what, and when. */
    HOLD,
    /** Must not be done. */
    STOP;

    /** The worst of {@code words}; HOLD when there are none, since nothing was judged. */
    public static Verdict worst(Collection<Verdict> words) {
        return words.stream().max(Comparator.naturalOrder()).orElse(HOLD);
    }
}
