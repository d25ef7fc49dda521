package openslab.server.prep;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import openslab.core.job.PrepReport;
import openslab.core.job.PrepSheet;
import openslab.core.job.ZoneFacts;
import openslab.server.job.JobStore;
import openslab.server.job.Jobs;
import openslab.server.job.PhotoStore;
import openslab.server.job.ZoneStore;
import openslab.server.store.Snapshot;
import org.springframework.stereotype.Service;

/** What the preparation of a stored zone takes, at the crew's own paces. */
@Service
public class PrepSheets {
    /** A zone as it stood, and what its preparation takes. */
    public record Read(
            JobStore.StoredJob job, ZoneFacts zone, PrepReport report, PrepSheet sheet, Map<UUID, List<UUID>> photos) {}

    private final JobStore store;
    private final ZoneStore zones;
    private final Jobs jobs;
    private final PaceStore paces;
    private final PhotoStore photos;
    private final Snapshot snapshot;
    private final Clock clock;

    PrepSheets(
            JobStore store,
            ZoneStore zones,
            Jobs jobs,
            PaceStore paces,
            PhotoStore photos,
            Snapshot snapshot,
            Clock clock) {
        this.store = store;
        this.zones = zones;
        this.jobs = jobs;
        this.paces = paces;
        this.photos = photos;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /** @param then what is made of it while it stands still */
    public <T> T read(UUID jobId, UUID zoneId, Function<Read, T> then) {
        return snapshot.of(() -> {
            var job = store.get(jobId);
            var zone = jobs.facts(job, zones.get(jobId, zoneId));
            var sheet = PrepSheet.of(zone, paces.all(), job.facts().units(), clock.instant());
            return then.apply(new Read(job, zone, jobs.report(job, zone).prep(), sheet, photos.of(jobId)));
        });
    }
}
