package openslab.server.document;

import java.io.ByteArrayOutputStream;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import openslab.core.quantity.InvalidInput;
import openslab.server.job.JobRoom;
import openslab.server.store.FileKind;
import openslab.server.web.NotHere;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Papers of jobs and of sheets. What one holds never changes; what it is called may, and it can be put away. */
@Repository
public class DocumentStore {
    /** A column takes no more. */
    private static final int PART_BYTES = 1_000_000;
    /** Of one sheet of the shelf: its data sheet, what is to be known of its dangers, and both as they were before. */
    private static final long MOST_OF_SHEET = 40_000_000;

    private static final String COLUMNS = "document_id, name, kind, length, stored_at, put_away";

    private static final RowMapper<Document> ROW = (row, i) -> new Document(
            row.getObject("document_id", UUID.class),
            row.getString("name"),
            FileKind.valueOf(row.getString("kind")),
            row.getInt("length"),
            row.getObject("stored_at", OffsetDateTime.class).toInstant(),
            row.getBoolean("put_away"));

    private final JdbcClient db;
    private final JobRoom room;
    private final Clock clock;

    DocumentStore(JdbcClient db, JobRoom room, Clock clock) {
        this.db = db;
        this.room = room;
        this.clock = clock;
    }

    /** The documents of a job, oldest first, with those that were put away. */
    public List<Document> ofJob(UUID jobId) {
        return db.sql("select " + COLUMNS + " from document where job_id = :job order by ordinal")
                .param("job", jobId)
                .query(ROW)
                .list();
    }

    /** The same of the sheet called {@code slug}, whichever of its versions stands on the shelf. */
    public List<Document> ofSheet(String slug) {
        return db.sql("select " + COLUMNS + " from document where sheet = :sheet order by ordinal")
                .param("sheet", slug)
                .query(ROW)
                .list();
    }

    Document get(UUID id) {
        return db.sql("select " + COLUMNS + " from document where document_id = :id")
                .param("id", id)
                .query(ROW)
                .optional()
                .orElseThrow(() -> new NotHere("documentId", id));
    }

    /** What it holds. */
    public byte[] bytes(UUID id) {
        var all = new ByteArrayOutputStream();
        db.sql("select bytes from document_part where document_id = :id order by part")
                .param("id", id)
                .query((row, i) -> row.getBytes(1))
                .list()
                .forEach(all::writeBytes);
        return all.toByteArray();
    }

    public void keepWithJob(UUID id, UUID jobId, Document.Arriving document) {
        keepWithJob(id, jobId, document, clock.instant());
    }

    /** @throws InvalidInput where the job has no room for it */
    public void keepWithJob(UUID id, UUID jobId, Document.Arriving document, Instant at) {
        room.require(jobId, "document", document.bytes().length);
        insert(id, jobId, null, document, at);
        changed(jobId);
    }

    /** @throws InvalidInput where the sheet has no room for it */
    public void keepWithSheet(UUID id, String slug, Document.Arriving document) {
        requireRoom(slug, "document", document.bytes().length);
        insert(id, null, slug, document, clock.instant());
    }

    private void requireRoom(String slug, String path, int bytes) {
        long taken = ofSheet(slug).stream()
                .filter(d -> !d.putAway())
                .mapToLong(Document::bytes)
                .sum();
        if (taken + bytes > MOST_OF_SHEET) {
            throw new InvalidInput(
                    path, bytes + " bytes", "documents of at most " + MOST_OF_SHEET + " bytes with one sheet");
        }
    }

    private void insert(UUID id, UUID jobId, String slug, Document.Arriving document, Instant at) {
        db.sql(
                        """
                insert into document (document_id, job_id, sheet, name, kind, length, stored_at, put_away)
                values (:id, :job, :sheet, :name, :kind, :length, :at, false)""")
                .param("id", id)
                .param("job", jobId)
                .param("sheet", slug)
                .param("name", document.name())
                .param("kind", document.kind().name())
                .param("length", document.bytes().length)
                .param("at", at.atOffset(ZoneOffset.UTC))
                .update();
        int part = 0;
        for (byte[] bytes : Document.parts(document.bytes(), PART_BYTES)) {
            db.sql("insert into document_part (document_id, part, bytes) values (:id, :part, :bytes)")
                    .param("id", id)
                    .param("part", part++)
                    .param("bytes", bytes)
                    .update();
        }
    }

    /**
     * Renames it, puts it away or takes it out again.
     *
     * @throws InvalidInput where there is no room for it any more
     */
    void putOfJob(UUID jobId, UUID id, String name, boolean putAway) {
        Document was = among(ofJob(jobId), id);
        if (was.putAway() && !putAway) {
            room.require(jobId, "putAway", was.bytes());
        }
        put(id, name, putAway);
        changed(jobId);
    }

    /** The same of a sheet's. */
    void putOfSheet(String slug, UUID id, String name, boolean putAway) {
        Document was = among(ofSheet(slug), id);
        if (was.putAway() && !putAway) {
            requireRoom(slug, "putAway", was.bytes());
        }
        put(id, name, putAway);
    }

    private static Document among(List<Document> all, UUID id) {
        return all.stream().filter(d -> d.id().equals(id)).findFirst().orElseThrow(() -> new NotHere("documentId", id));
    }

    private void put(UUID id, String name, boolean putAway) {
        db.sql("update document set name = :name, put_away = :away where document_id = :id")
                .param("id", id)
                .param("name", name)
                .param("away", putAway)
                .update();
    }

    private void changed(UUID jobId) {
        db.sql("update job set changes = changes + 1 where id = :job")
                .param("job", jobId)
                .update();
    }
}
