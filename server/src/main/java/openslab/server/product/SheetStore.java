package openslab.server.product;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.product.ProductSheet;
import openslab.server.store.Words;
import openslab.server.store.Writes;
import openslab.server.web.NotHere;
import openslab.server.web.StaleWrite;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.ObjectMapper;

/**
 * Sheets by the digest of their text. A sheet never changes, so a job keeps the very sheet it was planned with; the shelf
 * holds one sheet of each slug.
 */
@Repository
public class SheetStore {
    /** A sheet as it is stored. */
    public record Stored(String digest, SheetForm form, ProductSheet sheet) {}

    private record Row(String digest, String body) {}

    private static final int MOST_READ = 500;

    private final JdbcClient db;
    private final ObjectMapper json;
    private final Clock clock;
    /** What was read once; rows never change. */
    private final Cache<String, Stored> read =
            Caffeine.newBuilder().maximumSize(MOST_READ).build();

    SheetStore(JdbcClient db, ObjectMapper json, Clock clock) {
        this.db = db;
        this.json = json;
        this.clock = clock;
    }

    /** What stands on the shelf, by role and name. */
    public List<Stored> shelf() {
        return db
                .sql("select s.digest, s.body from shelf f join sheet s on s.digest = f.digest")
                .query(Row.class)
                .list()
                .stream()
                .map(this::stored)
                .sorted(Comparator.comparing((Stored s) -> s.sheet().role())
                        .thenComparing(s -> s.sheet().name()))
                .toList();
    }

    /** The digest of every sheet that stands on the shelf, by slug. */
    public Map<String, String> digests() {
        return db
                .sql("select slug, digest from shelf")
                .query((row, i) -> Map.entry(row.getString(1), row.getString(2)))
                .list()
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /** The sheet called {@code slug} that stands on the shelf. */
    public Optional<Stored> onShelf(String slug) {
        return db.sql("select s.digest, s.body from shelf f join sheet s on s.digest = f.digest where f.slug = :slug")
                .param("slug", slug)
                .query(Row.class)
                .optional()
                .map(this::stored);
    }

    public Stored of(String digest) {
        Stored known = read.getIfPresent(digest);
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

    /**
     * Keeps {@code form} for a job that brings it along; answers its digest. What stands on the shelf stays there: the
     * sheet joins it only where none of its slug does.
     */
    public String bring(SheetForm form) {
        String digest = keep(form);
        return onShelf(of(digest).sheet().slug()).map(s -> digest).orElseGet(() -> shelve(form));
    }

    private String keep(SheetForm form) {
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

    public boolean has(String digest) {
        return db.sql("select count(*) from sheet where digest = :digest")
                        .param("digest", digest)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** Puts {@code form} on the shelf, whose place for it must be empty; answers its digest. */
    public String shelve(SheetForm form) {
        String digest = keep(form);
        db.sql("insert into shelf (slug, digest) values (:slug, :digest)")
                .param("slug", of(digest).sheet().slug())
                .param("digest", digest)
                .update();
        return digest;
    }

    /**
     * Puts {@code form} in the place of the sheet called {@code slug}; answers its digest.
     *
     * @param seen the digest of the sheet that its editor saw
     * @throws StaleWrite with what changed, when another sheet stands there now
     */
    public String replace(String slug, String seen, SheetForm form) {
        Stored there = onShelf(slug).orElseThrow(() -> new NotHere("sheet", slug));
        String digest = keep(form);
        int rows = db.sql("update shelf set digest = :digest where slug = :slug and digest = :seen")
                .param("digest", digest)
                .param("slug", slug)
                .param("seen", seen)
                .update();
        if (rows != 1) {
            throw new StaleWrite(there.sheet().name() + " was changed meanwhile.", changes(of(seen), there));
        }
        return digest;
    }

    private List<StaleWrite.Change> changes(Stored was, Stored is) {
        return Words.changes(Words.of(json.valueToTree(was.form())), Words.of(json.valueToTree(is.form())));
    }

    private Stored stored(Row row) {
        return read.get(row.digest(), digest -> {
            var read = SheetReader.read(json.readValue(row.body(), SheetForm.class));
            return new Stored(digest, read.canonical(), read.sheet());
        });
    }
}
