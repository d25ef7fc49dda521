package openslab.server.job;

import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import openslab.core.job.LogEntry;
import openslab.core.quantity.Refusal;
import openslab.core.quantity.Value;
import openslab.core.survey.instrument.Instrument;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The log: appended to and read, never changed. */
@Repository
public class LogStore {
    private record Row(
            UUID entryKey,
            UUID zoneId,
            String kind,
            String subject,
            String place,
            OffsetDateTime happenedAt,
            String doneBy,
            String note,
            String instrument,
            LocalDate calibratedOn,
            LocalDate calibrationDue,
            String ring) {
        LogEntry entry(Map<String, Value> values) {
            return new LogEntry(
                    entryKey.toString(),
                    LogEntry.Kind.valueOf(kind),
                    subject,
                    place,
                    happenedAt.toInstant(),
                    doneBy,
                    note,
                    values,
                    Optional.ofNullable(instrument).map(i -> new Instrument(i, calibratedOn, calibrationDue)),
                    ring == null ? List.of() : RingText.read(ring));
        }
    }

    private final JdbcClient db;
    private final Clock clock;
    private final StoredValues values;

    LogStore(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
        this.values = StoredValues.ofEntries(db);
    }

    /** @throws Refusal where an entry has this key: a job's file may have brought it */
    void requireFree(UUID key) {
        int there = db.sql("select count(*) from log_entry where entry_key = :key")
                .param("key", key)
                .query(Integer.class)
                .single();
        if (there > 0) {
            throw new Refusal(
                    "key-used-before",
                    "Key " + key + " is that of another entry.",
                    "Make a fresh key for every write; repeat a key only to repeat the same write.");
        }
    }

    public void append(UUID zoneId, LogEntry entry) {
        UUID key = UUID.fromString(entry.key());
        db.sql(
                        """
                insert into log_entry (entry_key, zone_id, kind, subject, place, happened_at, stored_at, done_by, note,
                    instrument, calibrated_on, calibration_due, ring)
                values (:key, :zone, :kind, :subject, :place, :at, :now, :by, :note,
                    :instrument, :calibrated, :due, :ring)""")
                .param("key", key)
                .param("zone", zoneId)
                .param("kind", entry.kind().name())
                .param("subject", entry.subject())
                .param("place", entry.place())
                .param("at", entry.at().atOffset(ZoneOffset.UTC))
                .param("now", clock.instant().atOffset(ZoneOffset.UTC))
                .param("by", entry.by())
                .param("note", entry.note())
                .param("instrument", entry.instrument().map(Instrument::name).orElse(null))
                .param(
                        "calibrated",
                        entry.instrument().map(Instrument::calibrated).orElse(null))
                .param("due", entry.instrument().map(Instrument::due).orElse(null))
                .param("ring", entry.ring().isEmpty() ? null : RingText.write(entry.ring()))
                .update();
        values.insert(key, entry.values());
        if (entry.kind() == LogEntry.Kind.STRIKE) {
            db.sql(
                            """
                    insert into struck (entry_key, strike_key)
                    select e.entry_key, s.entry_key from log_entry e, log_entry s
                    where e.entry_key = :struck and s.entry_key = :key
                        and not exists (select 1 from struck t where t.entry_key = e.entry_key)""")
                    .param("struck", UUID.fromString(entry.subject()))
                    .param("key", key)
                    .update();
        }
    }

    /**
     * The log of every zone of a job, oldest first. Entries are read before their values: an entry that was seen has
     * its values, also where reads are not one snapshot.
     */
    Map<UUID, List<LogEntry>> byZone(UUID jobId) {
        List<Row> rows = db.sql(
                        """
                select e.entry_key, e.zone_id, e.kind, e.subject, e.place, e.happened_at, e.done_by, e.note,
                    e.instrument, e.calibrated_on, e.calibration_due, e.ring
                from log_entry e join zone z on z.id = e.zone_id where z.job_id = :job order by e.ordinal""")
                .param("job", jobId)
                .query(Row.class)
                .list();
        var ofEntry = values.of(jobId);
        Map<UUID, List<LogEntry>> byZone = new HashMap<>();
        for (Row row : rows) {
            byZone.computeIfAbsent(row.zoneId(), z -> new ArrayList<>())
                    .add(row.entry(ofEntry.getOrDefault(row.entryKey(), Map.of())));
        }
        return byZone;
    }
}
