package openslab.core.survey;

/** What of a floor shows through what goes on it. */
public enum Shown {
    NOTHING,
    /** Its face, as through a stain or a clear sealer: a clear film is dissolved there, not ground. */
    FACE,
    /** Its stamp, and its face: nothing is ground there. */
    STAMP
}
