package openslab.server.exchange;

import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The readings of a job out to a spreadsheet, and in from one. */
@RestController
@RequestMapping("/api/readings-files")
class ReadingsFileController {
    /** @param text the whole file */
    record ReadingsForm(String text) {}

    private final ReadingsCsv readings;

    ReadingsFileController(ReadingsCsv readings) {
        this.readings = readings;
    }

    @GetMapping(value = "/{jobId}.csv", produces = "text/csv;charset=UTF-8")
    ResponseEntity<String> write(@PathVariable UUID jobId) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"readings.csv\"")
                .body(readings.write(jobId));
    }

    @PostMapping("/{jobId}")
    ReadingsCsv.Taken read(
            @PathVariable UUID jobId, @RequestHeader("Idempotency-Key") UUID key, @RequestBody ReadingsForm form) {
        return readings.read(jobId, key, form.text());
    }
}
