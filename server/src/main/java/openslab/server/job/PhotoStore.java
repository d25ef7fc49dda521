package openslab.server.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import openslab.core.quantity.InvalidInput;
import openslab.server.web.NotHere;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Pictures of what was found, each under the log entry that it shows. */
@Repository
public class PhotoStore {
    /** The column holds no more; a screen makes its pictures smaller before it sends them. */
    public static final int MOST_BYTES = 1_000_000;
    /** Of one job: more would not fit into its file. */
    private static final long MOST_OF_JOB = 40L * MOST_BYTES;

    /** @param kind image/jpeg or image/png */
    public record Photo(String kind, byte[] bytes) {}

    private record Link(UUID entryKey, UUID photoId) {}

    private final JdbcClient db;

    PhotoStore(JdbcClient db) {
        this.db = db;
    }

    /** @throws InvalidInput naming {@code path}, unless this is a picture and small enough */
    public static Photo read(String path, byte[] bytes) {
        int n = bytes == null ? 0 : bytes.length;
        boolean jpeg = n > 3 && bytes[0] == (byte) 0xff && bytes[1] == (byte) 0xd8 && bytes[2] == (byte) 0xff;
        boolean png = n > 8 && bytes[0] == (byte) 0x89 && bytes[1] == 'P' && bytes[2] == 'N' && bytes[3] == 'G';
        if (n > MOST_BYTES || !(jpeg || png)) {
            throw new InvalidInput(path, n + " bytes", "a JPEG or PNG picture of at most " + MOST_BYTES + " bytes");
        }
        return new Photo(jpeg ? "image/jpeg" : "image/png", bytes);
    }

    /** @throws InvalidInput where the job has no room for another */
    public void insert(UUID photoId, UUID entryKey, Photo photo) {
        long stored = ofJobOf(entryKey);
        if (stored + photo.bytes().length > MOST_OF_JOB) {
            throw new InvalidInput(
                    "photo",
                    photo.bytes().length + " bytes",
                    "pictures of at most " + MOST_OF_JOB + " bytes in one job");
        }
        db.sql("insert into photo (photo_id, entry_key, kind, bytes) values (:id, :entry, :kind, :bytes)")
                .param("id", photoId)
                .param("entry", entryKey)
                .param("kind", photo.kind())
                .param("bytes", photo.bytes())
                .update();
        db.sql(
                        """
                update job set changes = changes + 1 where id =
                    (select z.job_id from zone z join log_entry e on e.zone_id = z.id where e.entry_key = :entry)""")
                .param("entry", entryKey)
                .update();
    }

    /** Bytes of every photo of the job that an entry is of. */
    private long ofJobOf(UUID entryKey) {
        return db.sql(
                        """
                select coalesce(sum(octet_length(p.bytes)), 0) from photo p
                join log_entry e on e.entry_key = p.entry_key join zone z on z.id = e.zone_id
                where z.job_id = (select o.job_id from zone o join log_entry k on k.zone_id = o.id
                    where k.entry_key = :entry)""")
                .param("entry", entryKey)
                .query(Long.class)
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
