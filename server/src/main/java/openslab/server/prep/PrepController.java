package openslab.server.prep;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.core.job.PrepReport;
import openslab.core.job.PrepSheet;
import openslab.server.web.Brief;
import openslab.server.web.WireFormat;
import openslab.server.web.Workings;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The preparation of a zone: how far it is, and what it takes. */
@RestController
@RequestMapping("/api/jobs/{jobId}/zones/{zoneId}/stages/prep")
class PrepController {
    /** @param photos of the log entries of the job that have any, by the entry's key */
    record PrepStage(long changes, PrepPart report, PrepSheet sheet, Map<UUID, List<UUID>> photos) {}

    /** Every step and gate. */
    record PrepPart(PrepReport prep) {}

    private final PrepSheets sheets;
    private final Workings workings;

    PrepController(PrepSheets sheets, Workings workings) {
        this.sheets = sheets;
        this.workings = workings;
    }

    @Brief
    @GetMapping
    PrepStage stage(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        return sheets.read(jobId, zoneId, PrepController::stage);
    }

    @GetMapping("/working")
    WireFormat.FigureView working(@PathVariable UUID jobId, @PathVariable UUID zoneId, @RequestParam String at) {
        return workings.at(stage(jobId, zoneId), at);
    }

    private static PrepStage stage(PrepSheets.Read read) {
        return new PrepStage(
                read.zone().job().changes(), new PrepPart(read.zone().report().prep()), read.sheet(), read.photos());
    }
}
