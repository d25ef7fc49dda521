package openslab.server.instrument;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import openslab.server.store.Writes;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.ObjectMapper;

/** How files with the same columns were read before. */
@Repository
class ColumnMappings {
    private final JdbcClient db;
    private final ObjectMapper json;
    private final Clock clock;

    ColumnMappings(JdbcClient db, ObjectMapper json, Clock clock) {
        this.db = db;
        this.json = json;
        this.clock = clock;
    }

    private static String digest(List<String> columns) {
        return Writes.digest(String.join("\n", columns));
    }

    Optional<ColumnMapping> of(List<String> columns) {
        return db.sql("select mapping from column_mapping where columns_digest = :digest")
                .param("digest", digest(columns))
                .query(String.class)
                .optional()
                .map(text -> json.readValue(text, ColumnMapping.class));
    }

    void keep(List<String> columns, ColumnMapping mapping) {
        db.sql("delete from column_mapping where columns_digest = :digest")
                .param("digest", digest(columns))
                .update();
        db.sql("insert into column_mapping (columns_digest, mapping, used_at) values (:digest, :mapping, :now)")
                .param("digest", digest(columns))
                .param("mapping", json.writeValueAsString(mapping))
                .param("now", OffsetDateTime.now(clock))
                .update();
    }
}
