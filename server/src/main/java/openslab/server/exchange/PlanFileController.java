package openslab.server.exchange;

import java.util.Map;
import java.util.UUID;
import openslab.core.floor.plan.PlanReport;
import openslab.core.quantity.InvalidInput;
import openslab.server.floor.PlanStore;
import openslab.server.job.JobStore;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A plan out to the formats that other tools draw. */
@RestController
@RequestMapping("/api/plan-files")
class PlanFileController {
    private static final int LEAST_SCALE = 5;
    private static final int MOST_SCALE = 1000;

    private final PlanStore plans;
    private final JobStore jobs;

    PlanFileController(PlanStore plans, JobStore jobs) {
        this.plans = plans;
        this.jobs = jobs;
    }

    private PlanReport report(UUID jobId) {
        return plans.report(jobId, jobs.get(jobId).facts().units());
    }

    @GetMapping(value = "/{jobId}.geojson", produces = "application/geo+json")
    ResponseEntity<Map<String, Object>> geoJson(@PathVariable UUID jobId) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"plan-" + jobId + ".geojson\"")
                .body(PlanGeoJson.of(report(jobId)));
    }

    /** @param scale the n of 1:n */
    @GetMapping(value = "/{jobId}/rooms/{roomId}.svg", produces = "image/svg+xml;charset=UTF-8")
    String svg(@PathVariable UUID jobId, @PathVariable String roomId, @RequestParam(defaultValue = "50") int scale) {
        if (scale < LEAST_SCALE || scale > MOST_SCALE) {
            throw new InvalidInput(
                    "scale", Integer.toString(scale), "the n of 1:n, from " + LEAST_SCALE + " to " + MOST_SCALE);
        }
        return report(jobId).rooms().stream()
                .filter(r -> r.id().equals(roomId))
                .findFirst()
                .map(r -> PlanSvg.of(r, scale))
                .orElseThrow(() -> new InvalidInput("roomId", roomId, "a room of this plan"));
    }
}
