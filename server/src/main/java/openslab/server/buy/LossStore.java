package openslab.server.buy;

import java.util.List;
import java.util.UUID;
import openslab.core.buy.Losses;
import openslab.core.job.JobTakeOff;
import openslab.core.job.ZoneFacts;
import openslab.server.job.ZoneReader;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What the shop's crew uses beyond the sheets, over all its jobs; read anew when a batch or a coat was logged. */
@Component
class LossStore {
    private record Seen(long entries, long newest) {}

    private record Read(Seen seen, Losses losses) {}

    private final JdbcClient db;
    private final ZoneReader reader;
    private volatile Read read;

    LossStore(JdbcClient db, ZoneReader reader) {
        this.db = db;
        this.reader = reader;
    }

    Losses all() {
        Seen seen = db.sql(
                        """
                select count(*) entries, coalesce(max(ordinal), 0) newest from log_entry
                where kind in ('BATCH', 'COAT', 'STRIKE')""")
                .query(Seen.class)
                .single();
        Read known = read;
        if (known == null || !known.seen().equals(seen)) {
            known = new Read(seen, new Losses(JobTakeOff.logged(finished())));
            read = known;
        }
        return known.losses();
    }

    /** Zones of which both a batch and a coat were logged. */
    private List<ZoneFacts> finished() {
        record Row(UUID jobId, UUID zoneId) {}
        return db
                .sql(
                        """
                select z.job_id, z.id zone_id from zone z
                where exists (select 1 from log_entry e where e.zone_id = z.id and e.kind = 'BATCH')
                    and exists (select 1 from log_entry e where e.zone_id = z.id and e.kind = 'COAT')
                order by z.id""")
                .query(Row.class)
                .list()
                .stream()
                .map(r -> reader.zone(r.jobId(), r.zoneId(), z -> z.facts()))
                .toList();
    }
}
