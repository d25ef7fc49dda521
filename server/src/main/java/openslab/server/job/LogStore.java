package openslab.server.job;

import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import openslab.core.job.LogEntry;
import openslab.core.quantity.Value;
import openslab.core.survey.instrument.Instrument;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcOperations;
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
            String ring,
            int cycle,
            String prepMethod) {
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
                    ring == null ? List.of() : RingText.read(ring),
                    cycle,
                    prepMethod);
        }
    }

    private final JdbcClient db;
    private final Clock clock;
    private final NamedParameterJdbcOperations many;
    private final StoredValues values;

    LogStore(JdbcClient db, NamedParameterJdbcOperations many, Clock clock) {
        this.db = db;
        this.many = many;
        this.clock = clock;
        this.values = StoredValues.ofEntries(db, many);
    }

    /** @throws org.springframework.dao.DuplicateKeyException where the key is there, or what this strikes was struck */
    public void append(UUID zoneId, LogEntry entry) {
        insert(zoneId, List.of(entry));
        if (entry.kind() == LogEntry.Kind.STRIKE) {
            strike(entry);
        }
    }

    /** From a file; one from before an entry could be struck only once may strike it again. */
    public void appendAll(UUID zoneId, List<LogEntry> entries) {
        insert(zoneId, entries);
        entries.stream()
                .filter(e -> e.kind() == LogEntry.Kind.STRIKE && !isStruck(e.subject()))
                .forEach(this::strike);
    }

    private void insert(UUID zoneId, List<LogEntry> entries) {
        Batches.run(
                many,
                """
                insert into log_entry (entry_key, zone_id, kind, subject, place, happened_at, stored_at, done_by, note,
                    instrument, calibrated_on, calibration_due, ring, cycle, prep_method)
                values (:key, :zone, :kind, :subject, :place, :at, :now, :by, :note,
                    :instrument, :calibrated, :due, :ring, :cycle, :method)""",
                entries.stream().map(e -> row(zoneId, e)));
        if (!entries.isEmpty()) {
            db.sql("update job set changes = changes + 1 where id = (select job_id from zone where id = :zone)")
                    .param("zone", zoneId)
                    .update();
        }
        values.insert(entries.stream().collect(Collectors.toMap(e -> UUID.fromString(e.key()), LogEntry::values)));
    }

    private Map<String, ?> row(UUID zoneId, LogEntry entry) {
        var row = new HashMap<String, Object>();
        row.put("key", UUID.fromString(entry.key()));
        row.put("zone", zoneId);
        row.put("kind", entry.kind().name());
        row.put("subject", entry.subject());
        row.put("place", entry.place());
        row.put("at", entry.at().atOffset(ZoneOffset.UTC));
        row.put("now", clock.instant().atOffset(ZoneOffset.UTC));
        row.put("by", entry.by());
        row.put("note", entry.note());
        row.put("instrument", entry.instrument().map(Instrument::name).orElse(null));
        row.put("calibrated", entry.instrument().map(Instrument::calibrated).orElse(null));
        row.put("due", entry.instrument().map(Instrument::due).orElse(null));
        row.put("ring", entry.ring().isEmpty() ? null : RingText.write(entry.ring()));
        row.put("cycle", entry.cycle());
        row.put("method", entry.method());
        return row;
    }

    /** Those of {@code keys} that an entry of another job has. */
    public Set<UUID> ofOthers(UUID jobId, Collection<UUID> keys) {
        return Batches.found(
                many,
                """
                select e.entry_key from log_entry e join zone z on z.id = e.zone_id
                where e.entry_key in (:keys) and z.job_id <> :job""",
                keys,
                Map.of("job", jobId));
    }

    private void strike(LogEntry entry) {
        db.sql("insert into struck (entry_key, strike_key) values (:struck, :key)")
                .param("struck", UUID.fromString(entry.subject()))
                .param("key", UUID.fromString(entry.key()))
                .update();
    }

    private boolean isStruck(String key) {
        return db.sql("select count(*) from struck where entry_key = :key")
                        .param("key", UUID.fromString(key))
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /**
     * The log of every zone of a job, oldest first. Entries are read before their values: an entry that was seen has
     * its values, also where reads are not one snapshot.
     */
    Map<UUID, List<LogEntry>> byZone(UUID jobId) {
        List<Row> rows = db.sql(
                        """
                select e.entry_key, e.zone_id, e.kind, e.subject, e.place, e.happened_at, e.done_by, e.note,
                    e.instrument, e.calibrated_on, e.calibration_due, e.ring, e.cycle, e.prep_method
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
