package openslab.server.product;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import openslab.core.product.ProductSheet;
import openslab.server.store.Writes;
import openslab.server.web.NotHere;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.ObjectMapper;

/**
 * Sheets by the digest of their text. A sheet never changes, so a job keeps the very sheet it was planned with; the shelf
 * shows the newest of each slug.
 */
@Repository
public class SheetStore {
    /** A sheet as it is stored. */
    public record Stored(String digest, SheetForm form, ProductSheet sheet) {}

    private record Row(String digest, String body) {}

    private final JdbcClient db;
    private final ObjectMapper json;
    private final Clock clock;
    /** What was read once; rows never change. */
    private final Map<String, Stored> read = new ConcurrentHashMap<>();

    SheetStore(JdbcClient db, ObjectMapper json, Clock clock) {
        this.db = db;
        this.json = json;
        this.clock = clock;
    }

    /** The newest sheet of every slug, by role and name. */
    public List<Stored> shelf() {
        return db
                .sql(
                        """
                select digest, body from sheet s
                where ordinal = (select max(n.ordinal) from sheet n where n.slug = s.slug)""")
                .query(Row.class)
                .list()
                .stream()
                .map(this::stored)
                .sorted(java.util.Comparator.comparing((Stored s) -> s.sheet().role())
                        .thenComparing(s -> s.sheet().name()))
                .toList();
    }

    /** The newest sheet called {@code slug}. */
    public Optional<Stored> newest(String slug) {
        return db.sql("select digest, body from sheet where slug = :slug order by ordinal desc limit 1")
                .param("slug", slug)
                .query(Row.class)
                .optional()
                .map(this::stored);
    }

    public Stored of(String digest) {
        Stored known = read.get(digest);
        if (known != null) {
            return known;
        }
        return db.sql("select digest, body from sheet where digest = :digest")
                .param("digest", digest)
                .query(Row.class)
                .optional()
                .map(this::stored)
                .orElseThrow(() -> new NotHere("sheet", digest));
    }

    public boolean has(String digest) {
        return db.sql("select count(*) from sheet where digest = :digest")
                        .param("digest", digest)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** Stores {@code form} unless the very same sheet is there; answers its digest. */
    public String put(SheetForm form) {
        var canonical = SheetReader.read(form).canonical();
        String body = json.writeValueAsString(canonical);
        String digest = Writes.digest(body);
        if (!has(digest)) {
            db.sql(
                            """
                    insert into sheet (digest, slug, name, role, body, stored_at)
                    values (:digest, :slug, :name, :role, :body, :now)""")
                    .param("digest", digest)
                    .param("slug", canonical.slug())
                    .param("name", canonical.name())
                    .param("role", canonical.role())
                    .param("body", body)
                    .param("now", OffsetDateTime.now(clock))
                    .update();
        }
        return digest;
    }

    private Stored stored(Row row) {
        return read.computeIfAbsent(row.digest(), digest -> {
            var read = SheetReader.read(json.readValue(row.body(), SheetForm.class));
            return new Stored(digest, read.canonical(), read.sheet());
        });
    }
}
