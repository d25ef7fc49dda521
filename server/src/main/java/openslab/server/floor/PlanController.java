package openslab.server.floor;

import java.util.UUID;
import openslab.core.floor.joint.SawCuts;
import openslab.core.floor.plan.PlanReport;
import openslab.server.form.ZoneForm;
import openslab.server.job.Jobs;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A job's plan. Every write answers with the plan as it is then; {@code If-Match} is the plan's own version. */
@RestController
@RequestMapping("/api")
class PlanController {
    private static final String KEY = "Idempotency-Key";
    private static final String SEEN = "If-Match";

    record PlanEchoForm(PlanForm form, String units) {}

    record CornerForm(PlanForm.PlaceForm to) {}

    record PlanZoneForm(String roomId, PlanForm.PlaceForm in, ZoneForm zone) {}

    private final Plans plans;

    PlanController(Plans plans) {
        this.plans = plans;
    }

    @GetMapping("/jobs/{jobId}/plan")
    Plans.PlanView plan(@PathVariable UUID jobId) {
        return plans.view(jobId);
    }

    @PutMapping("/jobs/{jobId}/plan")
    Plans.PlanView put(
            @PathVariable UUID jobId,
            @RequestHeader(KEY) UUID key,
            @RequestHeader(SEEN) String version,
            @RequestBody PlanForm form) {
        plans.put(jobId, Jobs.Seen.of(key, version), form);
        return plans.view(jobId);
    }

    @PostMapping("/jobs/{jobId}/plan/undo")
    Plans.PlanView undo(@PathVariable UUID jobId, @RequestHeader(KEY) UUID key, @RequestHeader(SEEN) String version) {
        plans.undo(jobId, Jobs.Seen.of(key, version));
        return plans.view(jobId);
    }

    @PostMapping("/jobs/{jobId}/plan/redo")
    Plans.PlanView redo(@PathVariable UUID jobId, @RequestHeader(KEY) UUID key, @RequestHeader(SEEN) String version) {
        plans.redo(jobId, Jobs.Seen.of(key, version));
        return plans.view(jobId);
    }

    @PutMapping("/jobs/{jobId}/plan/rooms/{roomId}/corners/{corner}")
    Plans.PlanView moveCorner(
            @PathVariable UUID jobId,
            @PathVariable String roomId,
            @PathVariable int corner,
            @RequestHeader(KEY) UUID key,
            @RequestHeader(SEEN) String version,
            @RequestBody CornerForm form) {
        plans.moveCorner(jobId, Jobs.Seen.of(key, version), roomId, corner, form.to());
        return plans.view(jobId);
    }

    @PostMapping("/jobs/{jobId}/plan/zones")
    @ResponseStatus(HttpStatus.CREATED)
    Plans.PlanView addZone(
            @PathVariable UUID jobId,
            @RequestHeader(KEY) UUID key,
            @RequestHeader(SEEN) String version,
            @RequestBody PlanZoneForm form) {
        plans.addZone(jobId, Jobs.Seen.of(key, version), form.roomId(), form.in(), form.zone());
        return plans.view(jobId);
    }

    /** Puts a zone of typed sides on the plan. */
    @PostMapping("/jobs/{jobId}/zones/{zoneId}/walk")
    Plans.PlanView walk(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @RequestHeader(KEY) UUID key,
            @RequestHeader(SEEN) String version) {
        plans.walk(jobId, zoneId, Jobs.Seen.of(key, version));
        return plans.view(jobId);
    }

    /** Where a new slab of this room would be cut, by its thickness; nothing is stored. */
    @GetMapping("/jobs/{jobId}/plan/rooms/{roomId}/saw-cuts")
    SawCuts sawCuts(
            @PathVariable UUID jobId,
            @PathVariable String roomId,
            @RequestParam String thickness,
            @RequestParam(defaultValue = "false") boolean early) {
        return plans.sawCuts(jobId, roomId, thickness, early);
    }

    /** What follows from a plan as it is typed; nothing is stored. */
    @PostMapping("/echo/plan")
    PlanReport echo(@RequestBody PlanEchoForm form) {
        return plans.echo(form.form(), form.units());
    }
}
