package openslab.server.form;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.core.floor.Outline;
import openslab.core.job.LogEntry;
import org.jspecify.annotations.Nullable;

/**
 * What a person sends for a zone's log.
 *
 * @param at when it happened
 * @param values as typed, by field id
 * @param instrument of a reading, where somebody says it
 * @param ring corners of an area, metres
 * @param cycle the zone's cycle that it belongs to; the one that the zone is in where it is left out
 * @param method of a step or gate in a file, the method of preparation it was done for; the zone's own where it is left out
 */
public record LogForm(
        @Schema(implementation = LogEntry.Kind.class) String kind,
        String subject,
        String place,
        String at,
        String by,
        String note,
        Map<String, String> values,
        @Nullable PapersForm instrument,
        @Nullable List<Outline.Corner> ring,
        @Nullable Integer cycle,
        @Nullable String method) {
    public LogForm(
            String kind, String subject, String place, String at, String by, String note, Map<String, String> values) {
        this(kind, subject, place, at, by, note, values, null, null);
    }

    /** Of the cycle that the zone is in. */
    public LogForm(
            String kind,
            String subject,
            String place,
            String at,
            String by,
            String note,
            Map<String, String> values,
            PapersForm instrument,
            List<Outline.Corner> ring) {
        this(kind, subject, place, at, by, note, values, instrument, ring, null, null);
    }

    /**
     * @param key becomes the entry's own
     * @throws openslab.core.quantity.InvalidInput with every fault at once
     */
    public LogEntry read(UUID key, LogScope scope) {
        return new LogReader(this, scope, false).read(key);
    }

    /** From a file that was written once: what it is about may have been retired since, and stays as words. */
    public LogEntry readKept(UUID key, LogScope scope) {
        return new LogReader(this, scope, true).read(key);
    }
}
