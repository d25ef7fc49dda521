package openslab.server.exchange;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.core.floor.plan.PlanReport;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.floor.trace.Role;
import openslab.core.floor.trace.Tracing;
import openslab.core.quantity.Faults;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.UnitSystem;
import openslab.server.floor.PlanForm;
import openslab.server.floor.PlanStore;
import openslab.server.floor.Plans;
import openslab.server.job.JobStore;
import openslab.server.job.Jobs;
import openslab.server.lay.PlankLayouts;
import openslab.server.store.Writes;
import openslab.server.web.Named;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.ObjectMapper;

/** A plan out to the formats that other tools draw, and drawings and levels in from them. */
@RestController
@RequestMapping("/api/plan-files")
class PlanFileController {
    private static final int LEAST_SCALE = 5;
    private static final int MOST_SCALE = 1000;

    /** @param text the whole file */
    record FileForm(String text) {}

    /** @param units of bare numbers */
    record LevelsFileForm(String text, String units) {}

    /**
     * @param unit what the drawing is in
     * @param roles what each layer is, by its name; a layer that is not named is left out
     */
    record TraceForm(String text, String unit, Map<String, String> roles) {}

    /** @param left what was not taken over, and why; {@code assumed} what the drawing did not say */
    record TracedView(Plans.PlanView plan, List<String> left, List<String> assumed) {}

    private final PlanStore store;
    private final Plans plans;
    private final JobStore jobs;
    private final ObjectMapper json;
    private final PlankLayouts layouts;

    PlanFileController(PlanStore store, Plans plans, JobStore jobs, ObjectMapper json, PlankLayouts layouts) {
        this.store = store;
        this.plans = plans;
        this.jobs = jobs;
        this.json = json;
        this.layouts = layouts;
    }

    private PlanReport report(UUID jobId) {
        return store.report(jobId, jobs.get(jobId).facts().units());
    }

    private RoomPlan room(UUID jobId, String roomId) {
        return report(jobId).rooms().stream()
                .filter(r -> r.id().equals(roomId))
                .findFirst()
                .orElseThrow(() -> new InvalidInput("roomId", roomId, "a room of this plan"));
    }

    private static ResponseEntity.BodyBuilder attached(String name) {
        return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"");
    }

    @GetMapping(value = "/{jobId}.geojson", produces = "application/geo+json")
    ResponseEntity<Map<String, Object>> geoJson(@PathVariable UUID jobId) {
        return attached("plan-" + jobId + ".geojson").body(PlanGeoJson.of(report(jobId)));
    }

    @GetMapping(value = "/{jobId}.dxf", produces = "image/vnd.dxf")
    ResponseEntity<String> dxf(@PathVariable UUID jobId) {
        return attached("plan-" + jobId + ".dxf").body(PlanDxf.of(report(jobId)));
    }

    /** @param scale the n of 1:n */
    @GetMapping(value = "/{jobId}/rooms/{roomId}.svg", produces = "image/svg+xml;charset=UTF-8")
    String svg(@PathVariable UUID jobId, @PathVariable String roomId, @RequestParam(defaultValue = "50") int scale) {
        requireScale(scale);
        return PlanSvg.of(room(jobId, roomId), scale, report(jobId).north());
    }

    private static void requireScale(int scale) {
        if (scale < LEAST_SCALE || scale > MOST_SCALE) {
            throw new InvalidInput(
                    "scale", Integer.toString(scale), "the n of 1:n, from " + LEAST_SCALE + " to " + MOST_SCALE);
        }
    }

    /** The planks of a layer, to be taped by. @param scale the n of 1:n */
    @GetMapping(value = "/{jobId}/zones/{zoneId}/layers/{layerId}/planks.svg", produces = "image/svg+xml;charset=UTF-8")
    String planks(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @PathVariable String layerId,
            @RequestParam(defaultValue = "20") int scale) {
        requireScale(scale);
        return layouts.read(
                jobId,
                zoneId,
                layerId,
                (zone, planks) -> PlankSvg.of(planks, zone.facts().name() + ", planks", zone.units(), scale));
    }

    @GetMapping(value = "/{jobId}/rooms/{roomId}/levels.csv", produces = "text/csv;charset=UTF-8")
    ResponseEntity<String> levels(@PathVariable UUID jobId, @PathVariable String roomId) {
        String csv = store.plan(jobId, jobs.get(jobId).facts().units()).rooms().stream()
                .filter(r -> r.id().equals(roomId))
                .flatMap(r -> r.levels().stream())
                .map(l -> LevelsCsv.write(l.heights()))
                .findFirst()
                .orElseThrow(() -> new InvalidInput("roomId", roomId, "a room of this plan with levels"));
        return attached("levels.csv").body(csv);
    }

    /** What a layer of a drawing can be. */
    @GetMapping("/roles")
    List<Named> roles() {
        return Named.all(Role.class, Role::label);
    }

    /** What a drawing holds; nothing is stored. */
    @PostMapping("/offer")
    Drawings.Offer offer(@RequestBody FileForm form) {
        return Drawings.offer(Drawings.read(form.text(), json));
    }

    /** Rooms traced from a drawing, beside those that are there: one revision of the plan. */
    @PostMapping("/{jobId}/rooms")
    TracedView trace(
            @PathVariable UUID jobId,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestHeader("If-Match") String version,
            @RequestBody TraceForm form) {
        jobs.get(jobId);
        ReadDrawing drawing = Drawings.read(form.text(), json);
        Tracing.Traced first = Drawings.trace(drawing, form.unit(), form.roles(), 1);
        plans.addRooms(
                jobId,
                Jobs.Seen.of(key, version),
                Writes.digest(json.writeValueAsString(form)),
                number -> Drawings.trace(drawing, form.unit(), form.roles(), number)
                        .rooms());
        return new TracedView(plans.view(jobId), first.left(), first.assumed());
    }

    /** Heights from a table, as they would be keyed in; nothing is stored. */
    @PostMapping("/levels")
    PlanForm.LevelsForm levels(@RequestBody LevelsFileForm form) {
        var faults = new Faults();
        UnitSystem units = faults.oneOf("units", form.units(), UnitSystem.class);
        faults.check();
        return LevelsCsv.read(form.text(), units);
    }
}
