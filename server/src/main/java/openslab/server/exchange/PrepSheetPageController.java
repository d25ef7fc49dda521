package openslab.server.exchange;

import java.time.Clock;
import java.util.UUID;
import openslab.core.job.PrepSheet;
import openslab.server.job.JobStore;
import openslab.server.job.Jobs;
import openslab.server.job.ZoneStore;
import openslab.server.prep.PaceStore;
import openslab.server.store.Snapshot;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The preparation of a zone to take along on paper. */
@RestController
@RequestMapping("/api/prep-sheets")
class PrepSheetPageController {
    private final JobStore store;
    private final ZoneStore zones;
    private final Jobs jobs;
    private final PaceStore paces;
    private final Snapshot snapshot;
    private final Clock clock;

    PrepSheetPageController(
            JobStore store, ZoneStore zones, Jobs jobs, PaceStore paces, Snapshot snapshot, Clock clock) {
        this.store = store;
        this.zones = zones;
        this.jobs = jobs;
        this.paces = paces;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    @GetMapping(value = "/{jobId}/{zoneId}.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> page(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        String page = snapshot.of(() -> {
            var job = store.get(jobId);
            var facts = jobs.facts(job, zones.get(jobId, zoneId));
            var sheet = PrepSheet.of(facts, paces.all(), job.facts().units(), clock.instant());
            return PrepSheetPage.of(job.facts(), jobs.report(job, facts), sheet, clock.instant());
        });
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"preparation-sheet.pdf\"")
                .body(Pdf.of(page));
    }
}
