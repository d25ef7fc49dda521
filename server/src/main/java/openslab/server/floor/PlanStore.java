package openslab.server.floor;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import openslab.core.floor.plan.FloorPlan;
import openslab.core.floor.plan.PlanReport;
import openslab.core.job.ZoneFacts;
import openslab.core.quantity.UnitSystem;
import openslab.server.job.DrawnFloors;
import openslab.server.web.StaleWrite;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.ObjectMapper;

/** Plans, every revision kept: undoing and redoing move among them, and nothing is ever lost. */
@Repository
public class PlanStore implements DrawnFloors {
    /**
     * A job's plan as it stands.
     *
     * @param version counts every move; 0 where there never was a plan
     * @param revision which stands; 0 is the empty plan
     */
    public record Stored(int version, int revision, int cameFrom, Optional<Integer> wentTo, PlanForm form) {}

    private record Move(int version, int revision) {}

    private record Revision(int cameFrom, String body) {}

    /** @param facts by zone, reckoned when they are asked for */
    private record Reported(
            int revision,
            UnitSystem units,
            FloorPlan plan,
            PlanReport report,
            Map<String, ZoneFacts.PlanFacts> facts) {}

    private static final Move NONE = new Move(0, 0);
    /** Of the plans that are kept reckoned: a place takes about a kilobyte and a half. */
    private static final int MOST_PLACES = 2 * PlanReader.MOST_PLACES;

    private final JdbcClient db;
    private final ObjectMapper json;
    private final Clock clock;
    /** The newest report of each job: a revision never changes. */
    private final Cache<UUID, Reported> reports = Caffeine.newBuilder()
            .maximumWeight(MOST_PLACES)
            .weigher((UUID job, Reported r) -> r.plan().places())
            .build();

    PlanStore(JdbcClient db, ObjectMapper json, Clock clock) {
        this.db = db;
        this.json = json;
        this.clock = clock;
    }

    public Stored get(UUID jobId) {
        Move last = last(jobId);
        Optional<Integer> next = db.sql(
                        """
                select revision from plan_revision where job_id = :job and came_from = :revision
                order by revision desc limit 1""")
                .param("job", jobId)
                .param("revision", last.revision())
                .query(Integer.class)
                .optional();
        Revision now = revision(jobId, last.revision());
        return new Stored(last.version(), last.revision(), now.cameFrom(), next, form(now));
    }

    /** The plan of a revision, whether it stands or not. */
    PlanForm formOf(UUID jobId, int revision) {
        return form(revision(jobId, revision));
    }

    private Move last(UUID jobId) {
        return db.sql("select version, revision from plan_move where job_id = :job order by version desc limit 1")
                .param("job", jobId)
                .query(Move.class)
                .optional()
                .orElse(NONE);
    }

    private Revision revision(UUID jobId, int revision) {
        return db.sql("select came_from, body from plan_revision where job_id = :job and revision = :revision")
                .param("job", jobId)
                .param("revision", revision)
                .query(Revision.class)
                .optional()
                .orElse(new Revision(0, ""));
    }

    private PlanForm form(Revision revision) {
        return revision.body().isEmpty() ? PlanForm.EMPTY : json.readValue(revision.body(), PlanForm.class);
    }

    /** The plan that stood at {@code version}; the empty one before the first. */
    private PlanForm formAt(UUID jobId, int version) {
        return db.sql("select revision from plan_move where job_id = :job and version = :version")
                .param("job", jobId)
                .param("version", version)
                .query(Integer.class)
                .optional()
                .map(r -> form(revision(jobId, r)))
                .orElse(PlanForm.EMPTY);
    }

    /** Reckoned once for each revision. */
    @Override
    public PlanReport report(UUID jobId, UnitSystem units) {
        return reported(jobId, units).report();
    }

    @Override
    public ZoneFacts.PlanFacts facts(UUID jobId, String zoneId, UnitSystem units) {
        Reported known = reported(jobId, units);
        return known.facts()
                .computeIfAbsent(zoneId, z -> ZoneFacts.PlanFacts.of(known.plan(), known.report(), z, units));
    }

    private Reported reported(UUID jobId, UnitSystem units) {
        int revision = last(jobId).revision();
        Reported known = reports.getIfPresent(jobId);
        if (known != null && known.revision() == revision && known.units() == units) {
            return known;
        }
        FloorPlan plan = PlanReader.read(formOf(jobId, revision), units);
        var fresh = new Reported(revision, units, plan, PlanReport.of(plan, units), new ConcurrentHashMap<>());
        reports.put(jobId, fresh);
        return fresh;
    }

    /** The plan that stands, read. */
    public FloorPlan plan(UUID jobId, UnitSystem units) {
        return PlanReader.read(get(jobId).form(), units);
    }

    /** What follows from a plan that is not stored. */
    static PlanReport report(PlanForm form, UnitSystem units) {
        FloorPlan plan = PlanReader.read(form, units);
        return PlanReport.of(plan, units);
    }

    /**
     * Makes {@code form} the plan that stands.
     *
     * @param seen the version that its editor saw
     * @throws StaleWrite with what changed since
     */
    void add(UUID jobId, int seen, PlanForm form) {
        Stored now = get(jobId);
        int revision = db.sql("select coalesce(max(revision), 0) + 1 from plan_revision where job_id = :job")
                .param("job", jobId)
                .query(Integer.class)
                .single();
        requireSeen(jobId, seen, now);
        db.sql(
                        """
                insert into plan_revision (job_id, revision, came_from, body)
                values (:job, :revision, :from, :body)""")
                .param("job", jobId)
                .param("revision", revision)
                .param("from", now.revision())
                .param("body", json.writeValueAsString(form))
                .update();
        move(jobId, seen, revision);
    }

    /** Lets another revision stand. @throws StaleWrite with what changed since {@code seen} */
    void move(UUID jobId, int seen, int revision) {
        requireSeen(jobId, seen, get(jobId));
        // where somebody moved it between our look and our insert, the write is done again and sees that
        db.sql(
                        """
                insert into plan_move (job_id, version, revision, moved_at)
                values (:job, :version, :revision, :now)""")
                .param("job", jobId)
                .param("version", seen + 1)
                .param("revision", revision)
                .param("now", clock.instant().atOffset(ZoneOffset.UTC))
                .update();
        db.sql("update job set changes = changes + 1 where id = :job")
                .param("job", jobId)
                .update();
    }

    private void requireSeen(UUID jobId, int seen, Stored now) {
        if (now.version() != seen) {
            throw stale(jobId, seen, now.version());
        }
    }

    private StaleWrite stale(UUID jobId, int seen, int version) {
        return new StaleWrite(
                "The plan was changed meanwhile: you saw version " + seen + ", it is now version " + version + ".",
                PlanChanges.between(formAt(jobId, seen), get(jobId).form(), json));
    }
}
