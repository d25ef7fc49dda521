package openslab.server.job;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import openslab.core.practice.Practices;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Which schools the shop follows, and which of its jobs follow others. */
@Repository
public class PracticeStore {
    private record ShopRow(String practice, String school) {}

    private record JobRow(UUID jobId, String practice, String school) {}

    private final JdbcClient db;

    PracticeStore(JdbcClient db) {
        this.db = db;
    }

    /** The shop's, where it chose. */
    public Practices shop() {
        Map<String, String> names = new LinkedHashMap<>();
        db.sql("select practice, school from shop_practice")
                .query(ShopRow.class)
                .list()
                .forEach(r -> names.put(r.practice(), r.school()));
        return kept(names);
    }

    /** Every job is told: what it answers may be another now. */
    public void setShop(Practices practices) {
        db.sql("delete from shop_practice").update();
        practices.names().forEach((practice, school) -> db.sql(
                        "insert into shop_practice (practice, school) values (:practice, :school)")
                .param("practice", practice)
                .param("school", school)
                .update());
        db.sql("update job set changes = changes + 1").update();
    }

    /** What jobs follow that is not the shop's, by job; a job that follows the shop in everything is left out. */
    public Map<UUID, Practices> ofJobs() {
        Map<UUID, Map<String, String>> names = new HashMap<>();
        db.sql("select job_id, practice, school from job_practice")
                .query(JobRow.class)
                .list()
                .forEach(r -> names.computeIfAbsent(r.jobId(), k -> new LinkedHashMap<>())
                        .put(r.practice(), r.school()));
        Map<UUID, Practices> of = new HashMap<>();
        names.forEach((job, chosen) -> of.put(job, kept(chosen)));
        return of;
    }

    public Practices ofJob(UUID jobId) {
        Map<String, String> names = new LinkedHashMap<>();
        db.sql("select practice, school from job_practice where job_id = :job")
                .param("job", jobId)
                .query(ShopRow.class)
                .list()
                .forEach(r -> names.put(r.practice(), r.school()));
        return kept(names);
    }

    public void setJob(UUID jobId, Practices practices) {
        db.sql("delete from job_practice where job_id = :job")
                .param("job", jobId)
                .update();
        practices.names().forEach((practice, school) -> db.sql(
                        "insert into job_practice (job_id, practice, school) values (:job, :practice, :school)")
                .param("job", jobId)
                .param("practice", practice)
                .param("school", school)
                .update());
    }

    /** A question or a school that is no more is left out: the usual one holds again. */
    private static Practices kept(Map<String, String> names) {
        names.entrySet().removeIf(e -> Practices.ALL.stream()
                .noneMatch(
                        p -> p.id().equals(e.getKey()) && p.school(e.getValue()).isPresent()));
        return Practices.read("practices", names);
    }
}
