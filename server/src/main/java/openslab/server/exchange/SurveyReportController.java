package openslab.server.exchange;

import java.util.List;
import java.util.UUID;
import openslab.core.job.CandidateReport;
import openslab.server.job.ZoneReader;
import openslab.server.system.Candidates;
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
    private final ZoneReader reader;
    private final Candidates candidates;

    SurveyReportController(ZoneReader reader, Candidates candidates) {
        this.reader = reader;
        this.candidates = candidates;
    }

    /** @param working whether every figure shows its arithmetic */
    @GetMapping(value = "/{jobId}.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> report(@PathVariable UUID jobId, @RequestParam(defaultValue = "false") boolean working) {
        String page = reader.job(jobId, job -> {
            List<SurveyReport.Surveyed> reports = job.zones().stream()
                    .map(z -> new SurveyReport.Surveyed(
                            z.report(), CandidateReport.of(candidates.of(z.facts()), z.facts(), z.units(), z.now())))
                    .toList();
            return SurveyReport.of(job.stored().facts(), reports, job.now(), working);
        });
        return Pdf.shown("slab-survey.pdf", page);
    }
}
