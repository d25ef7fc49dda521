package openslab.core.course;

/** How far a step or a gate is: the one set of words for it, from here to the screen. */
public enum Progress {
    /** A gate before it is open. */
    WAITING("waits"),
    OPEN("to do"),
    /** Its clock runs, or has run out. */
    RUNNING("clock runs"),
    /** Done, or passed, on part of the floor. */
    PARTLY("in part"),
    DONE("done"),
    /** Its gate failed; it is done again further down. */
    FAILED("failed");

    private final String word;

    Progress(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    /** Whether nobody has to do it any more. */
    public boolean isThrough() {
        return this == DONE || this == FAILED;
    }
}
