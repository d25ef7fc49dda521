package openslab.server.job;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.job.LogEntry;
import openslab.core.prep.SiteLimit;
import openslab.core.product.Exposure;
import openslab.server.web.NotHere;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcOperations;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The zones of a job and the layers chosen for each. */
@Repository
public class ZoneStore {
    /** A zone as it is stored, its log oldest first. */
    public record StoredZone(UUID id, Forms.ZoneChoice choice, List<StoredLayer> layers, List<LogEntry> log) {}

    public record StoredLayer(String id, String digest, Optional<Instant> plannedStart) {
        private OffsetDateTime startColumn() {
            return plannedStart.map(at -> at.atOffset(ZoneOffset.UTC)).orElse(null);
        }
    }

    private record ZoneRow(
            UUID id,
            String name,
            String shape,
            String substrate,
            String usedAs,
            String exposure,
            boolean dust,
            boolean washWater) {}

    private record LayerRow(UUID zoneId, String layerId, String sheetDigest, OffsetDateTime plannedStart) {}

    private final JdbcClient db;
    private final LogStore logs;
    private final StoredValues values;

    ZoneStore(JdbcClient db, NamedParameterJdbcOperations many, LogStore logs) {
        this.db = db;
        this.logs = logs;
        this.values = StoredValues.ofZones(db, many);
    }

    /** Every zone of the job, in order, with everything that is known of it: six queries, however many zones. */
    public List<StoredZone> of(UUID jobId) {
        List<ZoneRow> rows = db.sql(
                        """
                select id, name, shape, substrate, used_as, exposure, dust, wash_water from zone
                where job_id = :job order by ordinal""")
                .param("job", jobId)
                .query(ZoneRow.class)
                .list();
        var ofZone = values.of(jobId);
        var layers = layers(jobId);
        var limits = limits(jobId);
        var log = logs.byZone(jobId);
        return rows.stream()
                .map(r -> new StoredZone(
                        r.id(),
                        new Forms.ZoneChoice(
                                r.name(),
                                r.shape(),
                                Substrate.valueOf(r.substrate()),
                                Use.valueOf(r.usedAs()),
                                Exposure.valueOf(r.exposure()),
                                r.dust(),
                                r.washWater(),
                                limits.getOrDefault(r.id(), Set.of()),
                                ofZone.getOrDefault(r.id(), Map.of())),
                        layers.getOrDefault(r.id(), List.of()),
                        log.getOrDefault(r.id(), List.of())))
                .toList();
    }

    public StoredZone get(UUID jobId, UUID zoneId) {
        return of(jobId).stream()
                .filter(z -> z.id().equals(zoneId))
                .findFirst()
                .orElseThrow(() -> new NotHere("zoneId", zoneId));
    }

    private record LimitRow(UUID zoneId, SiteLimit siteLimit) {}

    private Map<UUID, Set<SiteLimit>> limits(UUID jobId) {
        Map<UUID, Set<SiteLimit>> byZone = new HashMap<>();
        db.sql(
                        """
                select l.zone_id, l.site_limit from zone_limit l join zone z on z.id = l.zone_id
                where z.job_id = :job""")
                .param("job", jobId)
                .query(LimitRow.class)
                .list()
                .forEach(r -> byZone.computeIfAbsent(r.zoneId(), z -> EnumSet.noneOf(SiteLimit.class))
                        .add(r.siteLimit()));
        return byZone;
    }

    private void insertLimits(UUID zoneId, Set<SiteLimit> limits) {
        limits.forEach(limit -> db.sql("insert into zone_limit (zone_id, site_limit) values (:zone, :limit)")
                .param("zone", zoneId)
                .param("limit", limit.name())
                .update());
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

    public void insert(UUID jobId, UUID zoneId, Forms.ZoneChoice choice, List<StoredLayer> layers) {
        int ordinal = db.sql("select coalesce(max(ordinal), 0) + 1 from zone where job_id = :job")
                .param("job", jobId)
                .query(Integer.class)
                .single();
        bound(
                        """
                insert into zone (id, job_id, ordinal, name, shape, substrate, used_as, exposure, dust, wash_water)
                values (:id, :job, :ordinal, :name, :shape, :substrate, :use, :exposure, :dust, :wash)""",
                        zoneId,
                        choice)
                .param("job", jobId)
                .param("ordinal", ordinal)
                .update();
        values.insert(Map.of(zoneId, choice.values()));
        insertLimits(zoneId, choice.limits());
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
                    .param("start", layer.startColumn())
                    .update();
        }
    }

    public void update(UUID zoneId, Forms.ZoneChoice choice) {
        bound(
                        """
                update zone set name = :name, shape = :shape, substrate = :substrate, used_as = :use, exposure = :exposure,
                    dust = :dust, wash_water = :wash
                where id = :id""",
                        zoneId,
                        choice)
                .update();
        db.sql("delete from zone_value where zone_id = :id").param("id", zoneId).update();
        values.insert(Map.of(zoneId, choice.values()));
        db.sql("delete from zone_limit where zone_id = :id").param("id", zoneId).update();
        insertLimits(zoneId, choice.limits());
    }

    private JdbcClient.StatementSpec bound(String sql, UUID zoneId, Forms.ZoneChoice choice) {
        return db.sql(sql)
                .param("id", zoneId)
                .param("name", choice.name())
                .param("shape", choice.shape())
                .param("substrate", choice.substrate().name())
                .param("use", choice.use().name())
                .param("exposure", choice.exposure().name())
                .param("dust", choice.dust())
                .param("wash", choice.washWater());
    }

    public void update(UUID zoneId, StoredLayer layer) {
        int rows = db.sql(
                        """
                update zone_layer set sheet_digest = :digest, planned_start = :start
                where zone_id = :zone and layer_id = :layer""")
                .param("zone", zoneId)
                .param("layer", layer.id())
                .param("digest", layer.digest())
                .param("start", layer.startColumn())
                .update();
        if (rows != 1) {
            throw new NotHere("layerId", layer.id());
        }
    }
}
