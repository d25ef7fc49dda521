package openslab.server.web;

/** A write that cannot be done as things stand, and says why: what it names is not here, or has changed since it was seen. */
public abstract sealed class Declined extends RuntimeException permits NotHere, StaleWrite {
    Declined(String message) {
        super(message);
    }
}
