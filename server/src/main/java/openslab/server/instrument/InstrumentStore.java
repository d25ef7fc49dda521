package openslab.server.instrument;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
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
        return db
                .sql("select instrument_id from instrument_name where name_key = :key")
                .param("key", key(name))
                .query(UUID.class)
                .list()
                .stream()
                .anyMatch(id -> !id.equals(except));
    }

    void insert(Stored i) {
        bound(
                        """
                insert into instrument (id, name, kind, calibrated_on, calibration_due, address, version)
                values (:id, :name, :kind, :calibrated, :due, :address, 1)""",
                        i)
                .update();
        name(i);
    }

    /** @throws StaleWrite with what changed, when somebody edited it since {@code version} */
    void replace(Stored i, int version) {
        // another address is another device's, which counts its samples by itself
        int rows = bound(
                        """
                update instrument set name = :name, kind = :kind, calibrated_on = :calibrated,
                    calibration_due = :due, version = version + 1,
                    collected = case when address = :address then collected else 0 end, address = :address
                where id = :id and version = :version""",
                        i)
                .param("version", version)
                .update();
        if (rows == 0) {
            Stored there = get(i.id());
            throw new StaleWrite(there.name() + " was changed meanwhile.", Words.changes(Map.of(), there.words()));
        }
        name(i);
    }

    /** Takes the name, which another instrument cannot take any more. */
    private void name(Stored i) {
        db.sql("delete from instrument_name where instrument_id = :id")
                .param("id", i.id())
                .update();
        db.sql("insert into instrument_name (name_key, instrument_id) values (:key, :id)")
                .param("key", key(i.name()))
                .param("id", i.id())
                .update();
    }

    private static String key(String name) {
        return name.toLowerCase(Locale.ROOT);
    }

    /**
     * @param from as it stood when it was asked
     * @param number of the last sample that was taken over
     * @return false where somebody else collected meanwhile, or it answers elsewhere now
     */
    boolean collected(Stored from, long number) {
        int rows = db.sql(
                        """
                update instrument set collected = :number
                where id = :id and collected = :before and address = :address""")
                .param("number", number)
                .param("id", from.id())
                .param("before", from.collected())
                .param("address", from.address())
                .update();
        return rows == 1;
    }

    private JdbcClient.StatementSpec bound(String sql, Stored i) {
        return db.sql(sql)
                .param("id", i.id())
                .param("name", i.name())
                .param("kind", i.kind().name())
                .param("calibrated", i.calibratedOn())
                .param("due", i.calibrationDue())
                .param("address", i.address());
    }
}
