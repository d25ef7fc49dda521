package openslab.server.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import openslab.core.quantity.InvalidInput;
import openslab.server.store.FileKind;
import openslab.server.web.NotHere;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Pictures of what was found, each under the log entry that it shows. */
@Repository
public class PhotoStore {
    /** The column holds no more; a screen makes its pictures smaller before it sends them. */
    public static final int MOST_BYTES = 1_000_000;

    /** @param kind image/jpeg or image/png */
    public record Photo(String kind, byte[] bytes) {}

    private record Link(UUID entryKey, UUID photoId) {}

    private final JdbcClient db;
    private final JobRoom room;

    PhotoStore(JdbcClient db, JobRoom room) {
        this.db = db;
        this.room = room;
    }

    /** @throws InvalidInput naming {@code path}, unless this is a picture and small enough */
    public static Photo read(String path, byte[] bytes) {
        int n = bytes == null ? 0 : bytes.length;
        return Optional.ofNullable(bytes)
                .filter(b -> n <= MOST_BYTES)
                .flatMap(FileKind::of)
                .filter(FileKind::isPicture)
                .map(kind -> new Photo(kind.type().toString(), bytes))
                .orElseThrow(() -> new InvalidInput(
                        path, n + " bytes", "a JPEG or PNG picture of at most " + MOST_BYTES + " bytes"));
    }

    /** @throws InvalidInput where the job has no room for another */
    public void insert(UUID photoId, UUID entryKey, Photo photo) {
        UUID job = jobOf(entryKey);
        room.require(job, "photo", photo.bytes().length);
        db.sql("insert into photo (photo_id, entry_key, kind, bytes) values (:id, :entry, :kind, :bytes)")
                .param("id", photoId)
                .param("entry", entryKey)
                .param("kind", photo.kind())
                .param("bytes", photo.bytes())
                .update();
        db.sql("update job set changes = changes + 1 where id = :job")
                .param("job", job)
                .update();
    }

    private UUID jobOf(UUID entryKey) {
        return db.sql("select z.job_id from zone z join log_entry e on e.zone_id = z.id where e.entry_key = :entry")
                .param("entry", entryKey)
                .query(UUID.class)
                .single();
    }

    public Photo get(UUID photoId) {
        return find(photoId).orElseThrow(() -> new NotHere("photoId", photoId));
    }

    private Optional<Photo> find(UUID photoId) {
        return db.sql("select kind, bytes from photo where photo_id = :id")
                .param("id", photoId)
                .query(Photo.class)
                .optional();
    }

    /** The photos of every entry of a job that has any, oldest first. */
    public Map<UUID, List<UUID>> of(UUID jobId) {
        Map<UUID, List<UUID>> byEntry = new HashMap<>();
        db.sql(
                        """
                select p.entry_key, p.photo_id from photo p join log_entry e on e.entry_key = p.entry_key
                join zone z on z.id = e.zone_id where z.job_id = :job order by p.ordinal""")
                .param("job", jobId)
                .query(Link.class)
                .list()
                .forEach(l -> byEntry.computeIfAbsent(l.entryKey(), k -> new ArrayList<>())
                        .add(l.photoId()));
        return byEntry;
    }
}
