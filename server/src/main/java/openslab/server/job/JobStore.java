package openslab.server.job;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import openslab.core.air.Location;
import openslab.core.practice.Practices;
import openslab.core.quantity.UnitSystem;
import openslab.server.form.JobFacts;
import openslab.server.form.Setting;
import openslab.server.web.NotHere;
import openslab.server.web.StaleWrite;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Jobs, the version each is at, and what every version changed. */
@Repository
public class JobStore {
    /** A job as it is stored. */
    /** @param changes counts what was written about it, of whatever kind */
    public record StoredJob(UUID id, JobFacts facts, int version, long changes) {}

    private record JobRow(
            UUID id,
            String name,
            String client,
            String place,
            Double latitude,
            Double longitude,
            String timeZone,
            String units,
            String setting,
            boolean archived,
            int version,
            long changes) {
        StoredJob toDomain(Practices practices) {
            return new StoredJob(
                    id,
                    new JobFacts(
                            name,
                            client,
                            place,
                            latitude == null
                                    ? Optional.empty()
                                    : Optional.of(new Location.Position(latitude, longitude)),
                            ZoneId.of(timeZone),
                            UnitSystem.valueOf(units),
                            Setting.valueOf(setting),
                            archived,
                            practices),
                    version,
                    changes);
        }
    }

    private static final String JOB_COLUMNS =
            "id, name, client, place, latitude, longitude, time_zone, units, setting, archived, version, changes";

    private final JdbcClient db;
    private final PracticeStore practices;
    private final Clock clock;

    JobStore(JdbcClient db, PracticeStore practices, Clock clock) {
        this.db = db;
        this.practices = practices;
        this.clock = clock;
    }

    public List<StoredJob> all() {
        Map<UUID, Practices> own = practices.ofJobs();
        return db.sql("select " + JOB_COLUMNS + " from job order by created_at, id").query(JobRow.class).list().stream()
                .map(r -> r.toDomain(own.getOrDefault(r.id(), Practices.USUAL)))
                .toList();
    }

    public Optional<StoredJob> find(UUID id) {
        return db.sql("select " + JOB_COLUMNS + " from job where id = :id")
                .param("id", id)
                .query(JobRow.class)
                .optional()
                .map(r -> r.toDomain(practices.ofJob(id)));
    }

    public StoredJob get(UUID id) {
        return find(id).orElseThrow(() -> new NotHere("jobId", id));
    }

    public void insert(UUID id, JobFacts f, int version) {
        bound(
                        """
                insert into job (id, name, client, place, latitude, longitude, time_zone, units, setting, archived, version, created_at)
                values (:id, :name, :client, :place, :latitude, :longitude, :timeZone, :units, :setting, :archived, :version, :now)""",
                        id,
                        f)
                .param("version", version)
                .param("now", now())
                .update();
        practices.setJob(id, f.practices());
    }

    public void update(UUID id, JobFacts f) {
        bound(
                        """
                update job set name = :name, client = :client, place = :place, latitude = :latitude, longitude = :longitude,
                    time_zone = :timeZone, units = :units, setting = :setting, archived = :archived
                where id = :id""",
                        id,
                        f)
                .update();
        practices.setJob(id, f.practices());
    }

    private JdbcClient.StatementSpec bound(String sql, UUID id, JobFacts f) {
        return db.sql(sql)
                .param("id", id)
                .param("name", f.name())
                .param("client", f.client())
                .param("place", f.place())
                .param("latitude", f.position().map(Location.Position::latitude).orElse(null))
                .param(
                        "longitude",
                        f.position().map(Location.Position::longitude).orElse(null))
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
        int rows = db.sql(
                        "update job set version = version + 1, changes = changes + 1 where id = :id and version = :seen")
                .param("id", id)
                .param("seen", seen)
                .update();
        if (rows != 1) {
            throw new StaleWrite(
                    "This was changed meanwhile: you saw version " + seen + ", it is now version " + get(id).version()
                            + ".",
                    changesSince(id, seen));
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

    private record ChangeRow(String field, String was, String became) {}

    private List<StaleWrite.Change> changesSince(UUID id, int seen) {
        return db
                .sql(
                        """
                select field, was, became from job_change
                where job_id = :id and version > :seen order by version, field""")
                .param("id", id)
                .param("seen", seen)
                .query(ChangeRow.class)
                .list()
                .stream()
                .map(r -> new StaleWrite.Change(r.field(), r.was(), r.became()))
                .toList();
    }

    private OffsetDateTime now() {
        return OffsetDateTime.now(clock).withOffsetSameInstant(ZoneOffset.UTC);
    }
}
