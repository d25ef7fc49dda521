package openslab.server.form;

/** Where the job's new zones lie, unless they say otherwise. */
public enum Setting {
    INDOORS,
    OUTDOORS
}
