package openslab.server.job;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import openslab.core.quantity.Value;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcOperations;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Keyed numbers, one row each, under whatever they belong to: a zone or a log entry. */
record StoredValues(JdbcClient db, NamedParameterJdbcOperations many, String insert, String ofJob) {
    private record Row(UUID owner, String field, String typed, double base) {}

    /** The numbers of every zone of a job. */
    static StoredValues ofZones(JdbcClient db, NamedParameterJdbcOperations many) {
        return new StoredValues(
                db,
                many,
                "insert into zone_value (zone_id, field, typed, base) values (:owner, :field, :typed, :base)",
                """
                select v.zone_id as owner, v.field, v.typed, v.base
                from zone_value v join zone z on z.id = v.zone_id where z.job_id = :job""");
    }

    /** The numbers of every log entry of a job. */
    static StoredValues ofEntries(JdbcClient db, NamedParameterJdbcOperations many) {
        return new StoredValues(
                db,
                many,
                "insert into log_value (entry_key, field, typed, base) values (:owner, :field, :typed, :base)",
                """
                select v.entry_key as owner, v.field, v.typed, v.base
                from log_value v join log_entry e on e.entry_key = v.entry_key
                join zone z on z.id = e.zone_id where z.job_id = :job""");
    }

    Map<UUID, Map<String, Value>> of(UUID jobId) {
        Map<UUID, Map<String, Value>> byOwner = new HashMap<>();
        for (Row row : db.sql(ofJob).param("job", jobId).query(Row.class).list()) {
            byOwner.computeIfAbsent(row.owner(), o -> new LinkedHashMap<>())
                    .put(row.field(), new Value(row.typed(), row.base()));
        }
        return byOwner;
    }

    void insert(Map<UUID, Map<String, Value>> byOwner) {
        Batches.run(many, insert, byOwner.entrySet().stream().flatMap(o -> o.getValue().entrySet().stream()
                .map(v -> Map.of(
                        "owner", o.getKey(),
                        "field", v.getKey(),
                        "typed", v.getValue().typed(),
                        "base", v.getValue().base()))));
    }
}
