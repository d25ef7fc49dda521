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
import java.util.stream.Collectors;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.job.CycleKind;
import openslab.core.job.LogEntry;
import openslab.core.job.Patch;
import openslab.core.prep.SiteLimit;
import openslab.core.product.Exposure;
import openslab.core.quantity.Value;
import openslab.server.form.ZoneChoice;
import openslab.server.web.NotHere;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcOperations;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The zones of a job, the cycles of each, and the layers chosen for those. */
@Repository
public class ZoneStore {
    /** A zone as it is stored, its log oldest first. */
    public record StoredZone(UUID id, ZoneChoice choice, List<StoredCycle> cycles, List<LogEntry> log) {
        /** The one that it is in. */
        public StoredCycle cycle() {
            return cycles.get(cycles.size() - 1);
        }

        /** Of the cycle that it is in. */
        public List<StoredLayer> layers() {
            return cycle().layers();
        }
    }

    /** A cycle as it is stored. */
    public record StoredCycle(
            int number,
            CycleKind kind,
            Instant began,
            String by,
            String why,
            Optional<Patch> patch,
            StoredBuildUp buildUp) {
        /** The first of a zone. */
        public static StoredCycle first(Instant began, StoredBuildUp buildUp) {
            return new StoredCycle(1, CycleKind.COAT, began, "", "", Optional.empty(), buildUp);
        }

        public List<StoredLayer> layers() {
            return buildUp.layers();
        }
    }

    /**
     * What goes on in a cycle.
     *
     * @param system the id of the system it was chosen from; empty where nobody chose one
     */
    public record StoredBuildUp(String system, List<StoredLayer> layers) {
        public static final StoredBuildUp NONE = new StoredBuildUp("", List.of());

        public StoredBuildUp {
            layers = List.copyOf(layers);
        }
    }

    /**
     * A layer as it is stored.
     *
     * @param title empty where it is called as its sheet's role; {@code role} empty likewise; {@code way} empty where it is laid as
     *     its material usually is
     * @param rate at which it is laid where that is not the sheet's; {@code reserve} held back, percent
     */
    public record StoredLayer(
            String id,
            String title,
            String role,
            String digest,
            String way,
            Optional<Value> rate,
            Optional<Value> reserve,
            Optional<Instant> plannedStart) {
        /** As its sheet has it. */
        public static StoredLayer of(String id, String digest) {
            return new StoredLayer(id, "", "", digest, "", Optional.empty(), Optional.empty(), Optional.empty());
        }

        /** The same layer of another sheet, or begun at another time. */
        StoredLayer with(String otherDigest, Optional<Instant> start) {
            return new StoredLayer(id, title, role, otherDigest, way, rate, reserve, start);
        }

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

    private record CycleRow(
            UUID zoneId,
            int number,
            String kind,
            OffsetDateTime beganAt,
            String begunBy,
            String why,
            String patch,
            Double patchM2,
            String ring,
            String system) {}

    private record LayerRow(
            UUID zoneId,
            int cycle,
            String layerId,
            String title,
            String role,
            String sheetDigest,
            String way,
            String rate,
            Double rateBase,
            String reserve,
            Double reserveBase,
            OffsetDateTime plannedStart) {
        private StoredLayer layer() {
            return new StoredLayer(
                    layerId,
                    title,
                    role,
                    sheetDigest,
                    way,
                    Optional.ofNullable(rate).map(typed -> new Value(typed, rateBase)),
                    Optional.ofNullable(reserve).map(typed -> new Value(typed, reserveBase)),
                    Optional.ofNullable(plannedStart).map(OffsetDateTime::toInstant));
        }
    }

    private final JdbcClient db;
    private final LogStore logs;
    private final StoredValues values;

    ZoneStore(JdbcClient db, NamedParameterJdbcOperations many, LogStore logs) {
        this.db = db;
        this.logs = logs;
        this.values = StoredValues.ofZones(db, many);
    }

    /** Every zone of the job, in order, with everything that is known of it: seven queries, however many zones. */
    public List<StoredZone> of(UUID jobId) {
        List<ZoneRow> rows = db.sql(
                        """
                select id, name, shape, substrate, used_as, exposure, dust, wash_water from zone
                where job_id = :job order by ordinal""")
                .param("job", jobId)
                .query(ZoneRow.class)
                .list();
        var ofZone = values.of(jobId);
        var cycles = cycles(jobId);
        var limits = limits(jobId);
        var log = logs.byZone(jobId);
        return rows.stream()
                .map(r -> new StoredZone(
                        r.id(),
                        new ZoneChoice(
                                r.name(),
                                r.shape(),
                                Substrate.valueOf(r.substrate()),
                                Use.valueOf(r.usedAs()),
                                Exposure.valueOf(r.exposure()),
                                r.dust(),
                                r.washWater(),
                                limits.getOrDefault(r.id(), Set.of()),
                                ofZone.getOrDefault(r.id(), Map.of())),
                        cycles.get(r.id()),
                        log.getOrDefault(r.id(), List.of())))
                .toList();
    }

    private record Count(UUID jobId, int zones) {}

    /** How many zones each job has that has any. */
    public Map<UUID, Integer> counts() {
        return db.sql("select job_id, count(*) as zones from zone group by job_id").query(Count.class).list().stream()
                .collect(Collectors.toMap(Count::jobId, Count::zones));
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

    private record InCycle(UUID zoneId, int cycle) {}

    private Map<InCycle, List<StoredLayer>> layers(UUID jobId) {
        Map<InCycle, List<StoredLayer>> byCycle = new HashMap<>();
        db.sql(
                        """
                select l.zone_id, l.cycle, l.layer_id, l.title, l.role, l.sheet_digest, l.way, l.rate, l.rate_base,
                    l.reserve, l.reserve_base, l.planned_start
                from cycle_layer l join zone z on z.id = l.zone_id where z.job_id = :job order by l.ordinal""")
                .param("job", jobId)
                .query(LayerRow.class)
                .list()
                .forEach(r -> byCycle.computeIfAbsent(new InCycle(r.zoneId(), r.cycle()), c -> new ArrayList<>())
                        .add(r.layer()));
        return byCycle;
    }

    private Map<UUID, List<StoredCycle>> cycles(UUID jobId) {
        var layers = layers(jobId);
        Map<UUID, List<StoredCycle>> byZone = new HashMap<>();
        db.sql(
                        """
                select c.zone_id, c.number, c.kind, c.began_at, c.begun_by, c.why, c.patch, c.patch_m2, c.ring, c.system
                from zone_cycle c join zone z on z.id = c.zone_id where z.job_id = :job order by c.number""")
                .param("job", jobId)
                .query(CycleRow.class)
                .list()
                .forEach(r -> byZone.computeIfAbsent(r.zoneId(), z -> new ArrayList<>())
                        .add(new StoredCycle(
                                r.number(),
                                CycleKind.valueOf(r.kind()),
                                r.beganAt().toInstant(),
                                r.begunBy(),
                                r.why(),
                                patch(r),
                                new StoredBuildUp(
                                        r.system(),
                                        layers.getOrDefault(new InCycle(r.zoneId(), r.number()), List.of())))));
        return byZone;
    }

    private static Optional<Patch> patch(CycleRow r) {
        if (r.patch() == null && r.ring() == null) {
            return Optional.empty();
        }
        return Optional.of(new Patch(
                Optional.ofNullable(r.patch()).map(typed -> new Value(typed, r.patchM2())),
                r.ring() == null ? List.of() : RingText.read(r.ring())));
    }

    public void insert(UUID jobId, UUID zoneId, ZoneChoice choice, List<StoredCycle> cycles) {
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
        cycles.forEach(c -> insert(zoneId, c));
    }

    /** The zone's next cycle. */
    public void insert(UUID zoneId, StoredCycle cycle) {
        Optional<Value> measured = cycle.patch().flatMap(Patch::measured);
        List<Corner> ring = cycle.patch().map(Patch::ring).orElse(List.of());
        db.sql(
                        """
                insert into zone_cycle (zone_id, number, kind, began_at, begun_by, why, patch, patch_m2, ring, system)
                values (:zone, :number, :kind, :began, :by, :why, :patch, :m2, :ring, :system)""")
                .param("zone", zoneId)
                .param("number", cycle.number())
                .param("kind", cycle.kind().name())
                .param("began", cycle.began().atOffset(ZoneOffset.UTC))
                .param("by", cycle.by())
                .param("why", cycle.why())
                .param("patch", measured.map(Value::typed).orElse(null))
                .param("m2", measured.map(Value::base).orElse(null))
                .param("ring", ring.isEmpty() ? null : RingText.write(ring))
                .param("system", cycle.buildUp().system())
                .update();
        insertLayers(zoneId, cycle.number(), cycle.layers());
    }

    private void insertLayers(UUID zoneId, int cycle, List<StoredLayer> layers) {
        for (int i = 0; i < layers.size(); i++) {
            StoredLayer layer = layers.get(i);
            db.sql(
                            """
                    insert into cycle_layer (zone_id, cycle, ordinal, layer_id, title, role, sheet_digest, way, rate,
                        rate_base, reserve, reserve_base, planned_start)
                    values (:zone, :cycle, :ordinal, :layer, :title, :role, :digest, :way, :rate, :rateBase, :reserve,
                        :reserveBase, :start)""")
                    .param("zone", zoneId)
                    .param("cycle", cycle)
                    .param("ordinal", i)
                    .param("layer", layer.id())
                    .param("title", layer.title())
                    .param("role", layer.role())
                    .param("digest", layer.digest())
                    .param("way", layer.way())
                    .param("rate", layer.rate().map(Value::typed).orElse(null))
                    .param("rateBase", layer.rate().map(Value::base).orElse(null))
                    .param("reserve", layer.reserve().map(Value::typed).orElse(null))
                    .param("reserveBase", layer.reserve().map(Value::base).orElse(null))
                    .param("start", layer.startColumn())
                    .update();
        }
    }

    /** Puts another build-up in the place of a cycle's. */
    public void rebuild(UUID zoneId, int cycle, StoredBuildUp buildUp) {
        db.sql("delete from cycle_layer where zone_id = :zone and cycle = :cycle")
                .param("zone", zoneId)
                .param("cycle", cycle)
                .update();
        insertLayers(zoneId, cycle, buildUp.layers());
        db.sql("update zone_cycle set system = :system where zone_id = :zone and number = :cycle")
                .param("system", buildUp.system())
                .param("zone", zoneId)
                .param("cycle", cycle)
                .update();
    }

    /** Takes a cycle back in which nothing was done. */
    public void delete(UUID zoneId, int number) {
        for (String sql : List.of(
                "delete from cycle_layer where zone_id = :zone and cycle = :number",
                "delete from zone_cycle where zone_id = :zone and number = :number")) {
            db.sql(sql).param("zone", zoneId).param("number", number).update();
        }
    }

    public void update(UUID zoneId, ZoneChoice choice) {
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

    private JdbcClient.StatementSpec bound(String sql, UUID zoneId, ZoneChoice choice) {
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

    public void update(UUID zoneId, int cycle, StoredLayer layer) {
        int rows = db.sql(
                        """
                update cycle_layer set sheet_digest = :digest, planned_start = :start
                where zone_id = :zone and cycle = :cycle and layer_id = :layer""")
                .param("zone", zoneId)
                .param("cycle", cycle)
                .param("layer", layer.id())
                .param("digest", layer.digest())
                .param("start", layer.startColumn())
                .update();
        if (rows != 1) {
            throw new NotHere("layerId", layer.id());
        }
    }
}
