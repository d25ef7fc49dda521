package openslab.server.prep;

import java.util.UUID;
import openslab.core.job.PrepSheet;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a preparation takes; asked for on its own, since only its own screen shows it. */
@RestController
@RequestMapping("/api/jobs/{jobId}/zones/{zoneId}/prep-sheet")
class PrepController {
    private final PrepSheets sheets;

    PrepController(PrepSheets sheets) {
        this.sheets = sheets;
    }

    @GetMapping
    PrepSheet sheet(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        return sheets.read(jobId, zoneId, PrepSheets.Read::sheet);
    }
}
