package openslab.server.job;

import java.util.UUID;
import openslab.core.quantity.InvalidInput;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** How many pictures and documents a job has room for: all of them travel in its file, and more would not fit. */
@Component
public class JobRoom {
    private static final long MOST_BYTES = 40_000_000;

    private final JdbcClient db;

    JobRoom(JdbcClient db) {
        this.db = db;
    }

    /**
     * @param path of the field that holds what is to be kept
     * @throws InvalidInput where {@code bytes} more are too many
     */
    public void require(UUID jobId, String path, int bytes) {
        long taken = db.sql(
                        """
                select (select coalesce(sum(octet_length(p.bytes)), 0) from photo p
                        join log_entry e on e.entry_key = p.entry_key join zone z on z.id = e.zone_id
                        where z.job_id = :job)
                    + (select coalesce(sum(length), 0) from document where job_id = :job and not put_away)""")
                .param("job", jobId)
                .query(Long.class)
                .single();
        if (taken + bytes > MOST_BYTES) {
            throw new InvalidInput(
                    path, bytes + " bytes", "pictures and documents of at most " + MOST_BYTES + " bytes in one job");
        }
    }
}
