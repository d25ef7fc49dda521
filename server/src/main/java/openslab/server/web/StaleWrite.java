package openslab.server.web;

import java.time.Instant;
import java.util.List;

/** A write that saw an older version than the one stored: refused, with what changed since. */
public final class StaleWrite extends RuntimeException {
    /** One field that somebody changed. */
    public record Change(int version, String field, String was, String is, Instant at) {}

    private final int version;
    private final transient List<Change> changes;

    public StaleWrite(int seen, int version, List<Change> changes) {
        super("This was changed meanwhile: you saw version " + seen + ", it is now version " + version + ".");
        this.version = version;
        this.changes = List.copyOf(changes);
    }

    int version() {
        return version;
    }

    List<Change> changes() {
        return changes;
    }
}
