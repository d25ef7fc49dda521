package openslab.server.job;

import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import openslab.core.job.LogEntry;
import openslab.core.product.Exposure;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.server.web.NotHere;
import openslab.server.web.StaleWrite;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Jobs, zones, layers and the log, one row per fact. */
@Repository
public class JobStore {
    /** A job as it is stored. */
    public record StoredJob(UUID id, Forms.JobFacts facts, int version) {}

    /** A zone as it is stored, its log oldest first. */
    public record StoredZone(UUID id, Forms.ZoneChoice choice, List<StoredLayer> layers, List<LogEntry> log) {}

    public record StoredLayer(String id, String digest, Optional<Instant> plannedStart) {}

    private record JobRow(
            UUID id,
            String name,
            String client,
            String place,
            double latitude,
            double longitude,
            String timeZone,
            String units,
            String setting,
            boolean archived,
            int version) {
        StoredJob toDomain() {
            return new StoredJob(
                    id,
                    new Forms.JobFacts(
                            name,
                            client,
                            place,
                            latitude,
                            longitude,
                            ZoneId.of(timeZone),
                            UnitSystem.valueOf(units),
                            Forms.Setting.valueOf(setting),
                            archived),
                    version);
        }
    }

    private record ZoneRow(UUID id, String name, String shape, String exposure, boolean dust, boolean washWater) {}

    private record ValueRow(UUID owner, String field, String typed, double base) {}

    private record LayerRow(UUID zoneId, String layerId, String sheetDigest, OffsetDateTime plannedStart) {}

    private record EntryRow(
            UUID entryKey,
            UUID zoneId,
            String kind,
            String subject,
            String place,
            OffsetDateTime happenedAt,
            String doneBy,
            String note) {}

    private static final String JOB_COLUMNS =
            "id, name, client, place, latitude, longitude, time_zone, units, setting, archived, version";

    private final JdbcClient db;
    private final Clock clock;

    JobStore(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    public List<StoredJob> all() {
        return db.sql("select " + JOB_COLUMNS + " from job order by created_at, id").query(JobRow.class).list().stream()
                .map(JobRow::toDomain)
                .toList();
    }

    public Optional<StoredJob> find(UUID id) {
        return db.sql("select " + JOB_COLUMNS + " from job where id = :id")
                .param("id", id)
                .query(JobRow.class)
                .optional()
                .map(JobRow::toDomain);
    }

    public StoredJob get(UUID id) {
        return find(id).orElseThrow(() -> new NotHere("jobId", id));
    }

    public void insert(UUID id, Forms.JobFacts f, int version) {
        bound(
                        """
                insert into job (id, name, client, place, latitude, longitude, time_zone, units, setting, archived, version, created_at)
                values (:id, :name, :client, :place, :latitude, :longitude, :timeZone, :units, :setting, :archived, :version, :now)""",
                        id,
                        f)
                .param("version", version)
                .param("now", now())
                .update();
    }

    public void update(UUID id, Forms.JobFacts f) {
        bound(
                        """
                update job set name = :name, client = :client, place = :place, latitude = :latitude, longitude = :longitude,
                    time_zone = :timeZone, units = :units, setting = :setting, archived = :archived
                where id = :id""",
                        id,
                        f)
                .update();
    }

    private JdbcClient.StatementSpec bound(String sql, UUID id, Forms.JobFacts f) {
        return db.sql(sql)
                .param("id", id)
                .param("name", f.name())
                .param("client", f.client())
                .param("place", f.place())
                .param("latitude", f.latitude())
                .param("longitude", f.longitude())
                .param("timeZone", f.timeZone().getId())
                .param("units", f.units().name())
                .param("setting", f.setting().name())
                .param("archived", f.archived());
    }

    /**
     * Takes the job from version {@code seen} to the next and notes what changed.
     *
     * @throws StaleWrite with every change since, when somebody was faster
     */
    public void advance(UUID id, int seen, Map<String, String> was, Map<String, String> is) {
        int rows = db.sql("update job set version = version + 1 where id = :id and version = :seen")
                .param("id", id)
                .param("seen", seen)
                .update();
        if (rows != 1) {
            throw new StaleWrite(seen, get(id).version(), changesSince(id, seen));
        }
        is.forEach((field, value) -> {
            String before = was.getOrDefault(field, "");
            if (!before.equals(value)) {
                note(id, seen + 1, field, before, value);
            }
        });
        was.forEach((field, before) -> {
            if (!is.containsKey(field)) {
                note(id, seen + 1, field, before, "");
            }
        });
    }

    private void note(UUID id, int version, String field, String was, String is) {
        db.sql(
                        """
                insert into job_change (job_id, version, field, was, became, changed_at)
                values (:id, :version, :field, :was, :became, :now)""")
                .param("id", id)
                .param("version", version)
                .param("field", field)
                .param("was", was)
                .param("became", is)
                .param("now", now())
                .update();
    }

    private record ChangeRow(int version, String field, String was, String became, OffsetDateTime changedAt) {}

    private List<StaleWrite.Change> changesSince(UUID id, int seen) {
        return db
                .sql(
                        """
                select version, field, was, became, changed_at from job_change
                where job_id = :id and version > :seen order by version, field""")
                .param("id", id)
                .param("seen", seen)
                .query(ChangeRow.class)
                .list()
                .stream()
                .map(r -> new StaleWrite.Change(
                        r.version(),
                        r.field(),
                        r.was(),
                        r.became(),
                        r.changedAt().toInstant()))
                .toList();
    }

    /** Every zone of the job, in order, with everything that is known of it: five queries, however many zones. */
    public List<StoredZone> zones(UUID jobId) {
        List<ZoneRow> rows = db.sql(
                        """
                select id, name, shape, exposure, dust, wash_water from zone where job_id = :job order by ordinal""")
                .param("job", jobId)
                .query(ZoneRow.class)
                .list();
        Map<UUID, Map<String, Value>> values = values(
                """
                select v.zone_id as owner, v.field, v.typed, v.base
                from zone_value v join zone z on z.id = v.zone_id where z.job_id = :job""",
                jobId);
        Map<UUID, List<StoredLayer>> layers = layers(jobId);
        Map<UUID, List<LogEntry>> log = log(jobId);
        return rows.stream()
                .map(r -> new StoredZone(
                        r.id(),
                        new Forms.ZoneChoice(
                                r.name(),
                                r.shape(),
                                Exposure.valueOf(r.exposure()),
                                r.dust(),
                                r.washWater(),
                                values.getOrDefault(r.id(), Map.of())),
                        layers.getOrDefault(r.id(), List.of()),
                        log.getOrDefault(r.id(), List.of())))
                .toList();
    }

    public StoredZone zone(UUID jobId, UUID zoneId) {
        return zones(jobId).stream()
                .filter(z -> z.id().equals(zoneId))
                .findFirst()
                .orElseThrow(() -> new NotHere("zoneId", zoneId));
    }

    private Map<UUID, Map<String, Value>> values(String sql, UUID jobId) {
        Map<UUID, Map<String, Value>> byOwner = new HashMap<>();
        db.sql(sql).param("job", jobId).query(ValueRow.class).list().forEach(r -> byOwner.computeIfAbsent(
                        r.owner(), o -> new LinkedHashMap<>())
                .put(r.field(), new Value(r.typed(), r.base())));
        return byOwner;
    }

    private Map<UUID, List<StoredLayer>> layers(UUID jobId) {
        Map<UUID, List<StoredLayer>> byZone = new HashMap<>();
        db.sql(
                        """
                select l.zone_id, l.layer_id, l.sheet_digest, l.planned_start
                from zone_layer l join zone z on z.id = l.zone_id where z.job_id = :job order by l.ordinal""")
                .param("job", jobId)
                .query(LayerRow.class)
                .list()
                .forEach(r -> byZone.computeIfAbsent(r.zoneId(), z -> new ArrayList<>())
                        .add(new StoredLayer(
                                r.layerId(),
                                r.sheetDigest(),
                                Optional.ofNullable(r.plannedStart()).map(OffsetDateTime::toInstant))));
        return byZone;
    }

    /** Entries before their values: an entry that was seen has its values, also where reads are not one snapshot. */
    private Map<UUID, List<LogEntry>> log(UUID jobId) {
        List<EntryRow> entries = db.sql(
                        """
                select e.entry_key, e.zone_id, e.kind, e.subject, e.place, e.happened_at, e.done_by, e.note
                from log_entry e join zone z on z.id = e.zone_id where z.job_id = :job order by e.ordinal""")
                .param("job", jobId)
                .query(EntryRow.class)
                .list();
        Map<UUID, Map<String, Value>> values = values(
                """
                select v.entry_key as owner, v.field, v.typed, v.base
                from log_value v join log_entry e on e.entry_key = v.entry_key
                join zone z on z.id = e.zone_id where z.job_id = :job""",
                jobId);
        Map<UUID, List<LogEntry>> byZone = new HashMap<>();
        entries.forEach(r -> byZone.computeIfAbsent(r.zoneId(), z -> new ArrayList<>())
                .add(new LogEntry(
                        r.entryKey().toString(),
                        LogEntry.Kind.valueOf(r.kind()),
                        r.subject(),
                        r.place(),
                        r.happenedAt().toInstant(),
                        r.doneBy(),
                        r.note(),
                        values.getOrDefault(r.entryKey(), Map.of()))));
        return byZone;
    }

    public void insertZone(UUID jobId, UUID zoneId, Forms.ZoneChoice choice, List<StoredLayer> layers) {
        int ordinal = db.sql("select coalesce(max(ordinal), 0) + 1 from zone where job_id = :job")
                .param("job", jobId)
                .query(Integer.class)
                .single();
        zoneBound(
                        """
                insert into zone (id, job_id, ordinal, name, shape, exposure, dust, wash_water)
                values (:id, :job, :ordinal, :name, :shape, :exposure, :dust, :wash)""",
                        zoneId,
                        choice)
                .param("job", jobId)
                .param("ordinal", ordinal)
                .update();
        insertValues(zoneId, choice.values());
        for (int i = 0; i < layers.size(); i++) {
            StoredLayer layer = layers.get(i);
            db.sql(
                            """
                    insert into zone_layer (zone_id, ordinal, layer_id, sheet_digest, planned_start)
                    values (:zone, :ordinal, :layer, :digest, :start)""")
                    .param("zone", zoneId)
                    .param("ordinal", i)
                    .param("layer", layer.id())
                    .param("digest", layer.digest())
                    .param("start", layer.plannedStart().map(JobStore::utc).orElse(null))
                    .update();
        }
    }

    public void updateZone(UUID zoneId, Forms.ZoneChoice choice) {
        zoneBound(
                        """
                update zone set name = :name, shape = :shape, exposure = :exposure, dust = :dust, wash_water = :wash
                where id = :id""",
                        zoneId,
                        choice)
                .update();
        db.sql("delete from zone_value where zone_id = :id").param("id", zoneId).update();
        insertValues(zoneId, choice.values());
    }

    private JdbcClient.StatementSpec zoneBound(String sql, UUID zoneId, Forms.ZoneChoice choice) {
        return db.sql(sql)
                .param("id", zoneId)
                .param("name", choice.name())
                .param("shape", choice.shape())
                .param("exposure", choice.exposure().name())
                .param("dust", choice.dust())
                .param("wash", choice.washWater());
    }

    private void insertValues(UUID zoneId, Map<String, Value> values) {
        values.forEach((field, value) -> insertValue(
                "insert into zone_value (zone_id, field, typed, base) values (:owner, :field, :typed, :base)",
                zoneId,
                field,
                value));
    }

    private void insertValue(String sql, UUID owner, String field, Value value) {
        db.sql(sql)
                .param("owner", owner)
                .param("field", field)
                .param("typed", value.typed())
                .param("base", value.base())
                .update();
    }

    public void updateLayer(UUID zoneId, StoredLayer layer) {
        int rows = db.sql(
                        """
                update zone_layer set sheet_digest = :digest, planned_start = :start
                where zone_id = :zone and layer_id = :layer""")
                .param("zone", zoneId)
                .param("layer", layer.id())
                .param("digest", layer.digest())
                .param("start", layer.plannedStart().map(JobStore::utc).orElse(null))
                .update();
        if (rows != 1) {
            throw new NotHere("layerId", layer.id());
        }
    }

    public void append(UUID zoneId, LogEntry entry) {
        UUID key = UUID.fromString(entry.key());
        db.sql(
                        """
                insert into log_entry (entry_key, zone_id, kind, subject, place, happened_at, stored_at, done_by, note)
                values (:key, :zone, :kind, :subject, :place, :at, :now, :by, :note)""")
                .param("key", key)
                .param("zone", zoneId)
                .param("kind", entry.kind().name())
                .param("subject", entry.subject())
                .param("place", entry.place())
                .param("at", utc(entry.at()))
                .param("now", now())
                .param("by", entry.by())
                .param("note", entry.note())
                .update();
        entry.values()
                .forEach((field, value) -> insertValue(
                        "insert into log_value (entry_key, field, typed, base) values (:owner, :field, :typed, :base)",
                        key,
                        field,
                        value));
    }

    private OffsetDateTime now() {
        return OffsetDateTime.now(clock).withOffsetSameInstant(ZoneOffset.UTC);
    }

    private static OffsetDateTime utc(Instant at) {
        return at.atOffset(ZoneOffset.UTC);
    }
}
