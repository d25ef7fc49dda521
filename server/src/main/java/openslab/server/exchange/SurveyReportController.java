package openslab.server.exchange;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import openslab.core.job.CandidateReport;
import openslab.server.buildup.Candidates;
import openslab.server.job.JobStore;
import openslab.server.job.Jobs;
import openslab.server.job.ZoneStore;
import openslab.server.store.Snapshot;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The survey of a job to hand over on paper. */
@RestController
@RequestMapping("/api/survey-reports")
class SurveyReportController {
    private final JobStore store;
    private final ZoneStore zones;
    private final Jobs jobs;
    private final Candidates candidates;
    private final Snapshot snapshot;
    private final Clock clock;

    SurveyReportController(
            JobStore store, ZoneStore zones, Jobs jobs, Candidates candidates, Snapshot snapshot, Clock clock) {
        this.store = store;
        this.zones = zones;
        this.jobs = jobs;
        this.candidates = candidates;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /** @param working whether every figure shows its arithmetic */
    @GetMapping(value = "/{jobId}.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> report(@PathVariable UUID jobId, @RequestParam(defaultValue = "false") boolean working) {
        String page = snapshot.of(() -> {
            var job = store.get(jobId);
            List<SurveyReport.Surveyed> reports = zones.of(jobId).stream()
                    .map(z -> jobs.facts(job, z))
                    .map(facts -> new SurveyReport.Surveyed(
                            jobs.report(job, facts),
                            CandidateReport.of(
                                    candidates.all(), facts, job.facts().units(), clock.instant())))
                    .toList();
            return SurveyReport.of(job.facts(), reports, clock.instant(), working);
        });
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"slab-survey.pdf\"")
                .body(Pdf.of(page));
    }
}
