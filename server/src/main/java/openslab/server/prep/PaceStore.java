package openslab.server.prep;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import openslab.core.course.work.Paces;
import openslab.core.course.work.Work;
import openslab.core.job.KnownWorks;
import openslab.core.quantity.Unit;
import openslab.core.quantity.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** How fast the shop's crew works: what somebody set, and what was logged as done over all jobs. */
@Repository
public class PaceStore {
    private record SetRow(String work, String typed, double base) {}

    private record DoneRow(UUID entryKey, UUID zoneId, String subject, String field, double base) {}

    /** An entry of the log, as its values come in. */
    private record Done(UUID zoneId, String subject, Map<String, Double> values) {}

    private final JdbcClient db;

    PaceStore(JdbcClient db) {
        this.db = db;
    }

    public Paces all() {
        Map<String, Double> set = new HashMap<>();
        typed().forEach((work, value) -> set.put(work, value.base()));
        return new Paces(set, logged());
    }

    /** What somebody set, by work. */
    Map<String, Value> typed() {
        Map<String, Value> typed = new TreeMap<>();
        db.sql("select work, typed, base from shop_pace")
                .query(SetRow.class)
                .list()
                .forEach(r -> typed.put(r.work(), new Value(r.typed(), r.base())));
        return typed;
    }

    void set(String work, Value pace) {
        clear(work);
        db.sql("insert into shop_pace (work, typed, base) values (:work, :typed, :base)")
                .param("work", work)
                .param("typed", pace.typed())
                .param("base", pace.base())
                .update();
    }

    void clear(String work) {
        db.sql("delete from shop_pace where work = :work").param("work", work).update();
    }

    /** Every entry that says how much was done in how many hours with how many hands, and was not struck. */
    private Map<String, List<Paces.Logged>> logged() {
        Map<UUID, Done> done = new TreeMap<>();
        for (DoneRow row : db.sql(
                        """
                select e.entry_key, e.zone_id, e.subject, v.field, v.base
                from log_entry e join log_value v on v.entry_key = e.entry_key
                where e.kind = 'DONE' and not exists (
                    select 1 from log_entry s where s.kind = 'STRIKE' and s.subject = cast(e.entry_key as varchar(36)))""")
                .query(DoneRow.class)
                .list()) {
            done.computeIfAbsent(row.entryKey(), k -> new Done(row.zoneId(), row.subject(), new HashMap<>()))
                    .values()
                    .put(row.field(), row.base());
        }
        return done.values().stream()
                .filter(PaceStore::isWhole)
                .collect(Collectors.groupingBy(
                        d -> KnownWorks.ofStep("subject", d.subject()).id(),
                        Collectors.mapping(PaceStore::read, Collectors.toList())));
    }

    private static boolean isWhole(Done d) {
        return KnownWorks.ofStep(d.subject())
                .map(w -> w.doneFields().stream().filter(f -> !f.words()).allMatch(f -> d.values()
                        .containsKey(f.id())))
                .orElse(false);
    }

    private static Paces.Logged read(Done d) {
        Map<String, Double> v = d.values();
        boolean once = KnownWorks.ofStep("subject", d.subject()).per() == Work.Per.ONCE;
        return new Paces.Logged(
                d.zoneId().toString(), once ? 1 : v.get("amount"), Unit.HOUR.fromBase(v.get("hours")) * v.get("hands"));
    }
}
