package openslab.server.prep;

import java.time.Clock;
import java.util.UUID;
import openslab.core.job.PrepSheet;
import openslab.server.job.JobStore;
import openslab.server.job.Jobs;
import openslab.server.job.ZoneStore;
import openslab.server.store.Snapshot;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a preparation takes; asked for on its own, since only its own screen shows it. */
@RestController
@RequestMapping("/api/jobs/{jobId}/zones/{zoneId}/prep-sheet")
class PrepController {
    private final JobStore store;
    private final ZoneStore zones;
    private final Jobs jobs;
    private final PaceStore paces;
    private final Snapshot snapshot;
    private final Clock clock;

    PrepController(JobStore store, ZoneStore zones, Jobs jobs, PaceStore paces, Snapshot snapshot, Clock clock) {
        this.store = store;
        this.zones = zones;
        this.jobs = jobs;
        this.paces = paces;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    @GetMapping
    PrepSheet sheet(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        return snapshot.of(() -> {
            var job = store.get(jobId);
            var facts = jobs.facts(job, zones.get(jobId, zoneId));
            return PrepSheet.of(facts, paces.all(), job.facts().units(), clock.instant());
        });
    }
}
