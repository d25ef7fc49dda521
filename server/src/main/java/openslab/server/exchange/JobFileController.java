package openslab.server.exchange;

import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A job out to a file, and in from one. */
@RestController
@RequestMapping("/api/job-files")
class JobFileController {
    record Imported(UUID jobId) {}

    private final JobFiles files;

    JobFileController(JobFiles files) {
        this.files = files;
    }

    @GetMapping("/{jobId}")
    ResponseEntity<JobFile> export(@PathVariable UUID jobId) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"job-" + jobId + ".openslab.json\"")
                .body(files.export(jobId));
    }

    /** @param copy gives everything a fresh id */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Imported read(
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestParam(defaultValue = "false") boolean copy,
            @RequestBody JobFile file) {
        return new Imported(files.read(key, file, copy));
    }
}
