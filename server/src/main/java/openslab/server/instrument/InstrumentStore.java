package openslab.server.instrument;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import openslab.core.survey.instrument.Instrument;
import openslab.core.survey.instrument.InstrumentKind;
import openslab.server.store.Words;
import openslab.server.web.NotHere;
import openslab.server.web.StaleWrite;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The instruments on the shelf of the shop. */
@Repository
class InstrumentStore {
    /** @param address where it answers over HTTP; empty for one that is read by eye */
    record Stored(
            UUID id,
            String name,
            InstrumentKind kind,
            LocalDate calibratedOn,
            LocalDate calibrationDue,
            String address,
            long collected,
            int version) {
        Instrument papers() {
            return new Instrument(name, calibratedOn, calibrationDue);
        }

        private Map<String, String> words() {
            return Map.of(
                    "name", name,
                    "kind", kind.name(),
                    "calibrated", calibratedOn.toString(),
                    "due", calibrationDue.toString(),
                    "address", address);
        }
    }

    private final JdbcClient db;

    InstrumentStore(JdbcClient db) {
        this.db = db;
    }

    List<Stored> all() {
        return db.sql(
                        "select id, name, kind, calibrated_on, calibration_due, address, collected, version from instrument order by name")
                .query(Stored.class)
                .list();
    }

    Stored get(UUID id) {
        return find(id).orElseThrow(() -> new NotHere("instrumentId", id));
    }

    private Optional<Stored> find(UUID id) {
        return db.sql(
                        "select id, name, kind, calibrated_on, calibration_due, address, collected, version from instrument where id = :id")
                .param("id", id)
                .query(Stored.class)
                .optional();
    }

    boolean taken(String name, UUID except) {
        return all().stream().anyMatch(i -> i.name().equalsIgnoreCase(name) && !i.id().equals(except));
    }

    void insert(Stored i) {
        write(
                """
                insert into instrument (id, name, kind, calibrated_on, calibration_due, address, version)
                values (:id, :name, :kind, :calibrated, :due, :address, 1)""",
                i);
    }

    /** @throws StaleWrite with what changed, when somebody edited it since {@code version} */
    void replace(Stored i, int version) {
        Stored there = get(i.id());
        if (there.version() != version) {
            throw new StaleWrite(there.name() + " was changed meanwhile.", Words.changes(Map.of(), there.words()));
        }
        write(
                """
                update instrument set name = :name, kind = :kind, calibrated_on = :calibrated,
                    calibration_due = :due, address = :address, version = version + 1
                where id = :id""",
                i);
    }

    /** @param number of the last sample that was taken over */
    void collected(UUID id, long number) {
        db.sql("update instrument set collected = :number where id = :id")
                .param("number", number)
                .param("id", id)
                .update();
    }

    private void write(String sql, Stored i) {
        db.sql(sql)
                .param("id", i.id())
                .param("name", i.name())
                .param("kind", i.kind().name())
                .param("calibrated", i.calibratedOn())
                .param("due", i.calibrationDue())
                .param("address", i.address())
                .update();
    }
}
