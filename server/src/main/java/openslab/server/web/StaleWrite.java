package openslab.server.web;

import java.util.List;

/** A write that saw something older than what is stored: refused, with what changed since. */
public final class StaleWrite extends Declined {
    /** One field that somebody changed. */
    public record Change(String field, String was, String is) {}

    private final transient List<Change> changes;

    public StaleWrite(String message, List<Change> changes) {
        super(message);
        this.changes = List.copyOf(changes);
    }

    List<Change> changes() {
        return changes;
    }
}
