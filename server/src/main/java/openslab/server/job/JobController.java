package openslab.server.job;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.List;
import java.util.UUID;
import openslab.core.job.ZoneReport;
import openslab.server.form.BuildUpForm;
import openslab.server.form.CycleForm;
import openslab.server.form.JobForm;
import openslab.server.form.LayerForm;
import openslab.server.form.LogForm;
import openslab.server.form.ZoneForm;
import openslab.server.web.Brief;
import openslab.server.web.WireFormat;
import openslab.server.web.Workings;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
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
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Jobs, zones, layers and the log. Every write answers with the job's head as it is then. */
@RestController
@RequestMapping("/api/jobs")
class JobController {
    private static final String KEY = "Idempotency-Key";
    private static final String SEEN = "If-Match";

    private final Jobs jobs;
    private final ZoneReader reader;
    private final JobViews views;
    private final JobWatch watch;
    private final Workings workings;

    JobController(Jobs jobs, ZoneReader reader, JobViews views, JobWatch watch, Workings workings) {
        this.workings = workings;
        this.jobs = jobs;
        this.reader = reader;
        this.views = views;
        this.watch = watch;
    }

    @GetMapping
    List<JobViews.RackItem> rack() {
        return views.rack();
    }

    /** The whole job with every working, to be taken along. */
    @GetMapping("/{jobId}")
    JobViews.JobView job(@PathVariable UUID jobId) {
        return views.job(jobId);
    }

    @Brief
    @GetMapping("/{jobId}/head")
    JobViews.HeadView head(@PathVariable UUID jobId) {
        return views.head(jobId);
    }

    @GetMapping("/{jobId}/head/working")
    WireFormat.FigureView headWorking(@PathVariable UUID jobId, @RequestParam String at) {
        return workings.at(views.head(jobId), at);
    }

    @GetMapping("/{jobId}/log")
    JobViews.LogBook log(@PathVariable UUID jobId) {
        return views.logBook(jobId);
    }

    /** The key of every write about the job, as it is done, until the reader leaves. */
    @GetMapping(value = "/{jobId}/changes", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    @ApiResponse(
            responseCode = "200",
            content =
                    @Content(
                            mediaType = MediaType.TEXT_EVENT_STREAM_VALUE,
                            schema = @Schema(type = "string", description = "server-sent events")))
    SseEmitter changes(@PathVariable UUID jobId) {
        views.require(jobId);
        return watch.watch(jobId);
    }

    @Brief
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    JobViews.HeadView create(@RequestHeader(KEY) UUID key, @RequestBody JobForm form) {
        return views.head(jobs.create(key, form));
    }

    @Brief
    @PutMapping("/{jobId}")
    JobViews.HeadView edit(
            @PathVariable UUID jobId,
            @RequestHeader(KEY) UUID key,
            @RequestHeader(SEEN) String version,
            @RequestBody JobForm form) {
        jobs.edit(jobId, Jobs.Seen.of(key, version), form);
        return views.head(jobId);
    }

    @Brief
    @PostMapping("/{jobId}/zones")
    @ResponseStatus(HttpStatus.CREATED)
    JobViews.HeadView addZone(
            @PathVariable UUID jobId,
            @RequestHeader(KEY) UUID key,
            @RequestHeader(SEEN) String version,
            @RequestBody ZoneForm form) {
        jobs.addZone(jobId, Jobs.Seen.of(key, version), form);
        return views.head(jobId);
    }

    @Brief
    @PutMapping("/{jobId}/zones/{zoneId}")
    JobViews.HeadView editZone(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @RequestHeader(KEY) UUID key,
            @RequestHeader(SEEN) String version,
            @RequestBody ZoneForm form) {
        jobs.editZone(jobId, zoneId, Jobs.Seen.of(key, version), form);
        return views.head(jobId);
    }

    @Brief
    @PutMapping("/{jobId}/zones/{zoneId}/layers/{layerId}")
    JobViews.HeadView editLayer(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @PathVariable String layerId,
            @RequestHeader(KEY) UUID key,
            @RequestHeader(SEEN) String version,
            @RequestBody LayerForm form) {
        jobs.editLayer(jobId, zoneId, layerId, Jobs.Seen.of(key, version), form);
        return views.head(jobId);
    }

    /** Everything that goes on in the zone's cycle: a system's layers, or other ones; what was begun stays as it was begun. */
    @Brief
    @PutMapping("/{jobId}/zones/{zoneId}/layers")
    JobViews.HeadView build(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @RequestHeader(KEY) UUID key,
            @RequestHeader(SEEN) String version,
            @RequestBody BuildUpForm form) {
        jobs.build(jobId, zoneId, Jobs.Seen.of(key, version), form);
        return views.head(jobId);
    }

    /** Begins a zone's next cycle: cleaned, resealed, repaired or recoated. */
    @Brief
    @PostMapping("/{jobId}/zones/{zoneId}/cycles")
    @ResponseStatus(HttpStatus.CREATED)
    JobViews.HeadView begin(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @RequestHeader(KEY) UUID key,
            @RequestHeader(SEEN) String version,
            @RequestBody CycleForm form) {
        jobs.begin(jobId, zoneId, Jobs.Seen.of(key, version), form);
        return views.head(jobId);
    }

    /** A zone as one of its cycles left it. */
    @GetMapping("/{jobId}/zones/{zoneId}/cycles/{number}")
    ZoneReport past(@PathVariable UUID jobId, @PathVariable UUID zoneId, @PathVariable int number) {
        return reader.past(jobId, zoneId, number);
    }

    /** Takes the newest cycle back, if nothing was done in it. */
    @Brief
    @DeleteMapping("/{jobId}/zones/{zoneId}/cycles/{number}")
    JobViews.HeadView takeBack(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @PathVariable int number,
            @RequestHeader(KEY) UUID key,
            @RequestHeader(SEEN) String version) {
        jobs.takeBack(jobId, zoneId, number, Jobs.Seen.of(key, version));
        return views.head(jobId);
    }

    /** Appends to the log. The log only grows, so no version is asked for: two people may write at once. */
    @Brief
    @PostMapping("/{jobId}/zones/{zoneId}/log")
    @ResponseStatus(HttpStatus.CREATED)
    JobViews.Logged log(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @RequestHeader(KEY) UUID key,
            @RequestBody LogForm form) {
        jobs.log(jobId, zoneId, key, form);
        return new JobViews.Logged(key, views.head(jobId));
    }
}
