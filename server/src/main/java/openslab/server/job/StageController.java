package openslab.server.job;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import openslab.core.floor.Outline;
import openslab.core.floor.Shape;
import openslab.core.job.Conduct;
import openslab.core.job.CycleReport;
import openslab.core.job.JobBuying;
import openslab.core.job.LayerReport;
import openslab.core.job.ServiceReport;
import openslab.core.job.ZoneReport;
import openslab.core.mix.Buying;
import openslab.core.quantity.Figure;
import openslab.core.survey.SetOut;
import openslab.core.survey.judge.Areas;
import openslab.core.survey.judge.Survey;
import openslab.core.survey.place.Placement;
import openslab.server.web.Brief;
import openslab.server.web.NotHere;
import openslab.server.web.WireFormat;
import openslab.server.web.Workings;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * What one screen of a zone shows, and nothing else. Figures come without their working: each stage gives that of one of
 * them by where it stands, and the whole job brings all of them, to be taken along.
 */
@RestController
@RequestMapping("/api/jobs/{jobId}/zones/{zoneId}/stages")
class StageController {
    /** @param photos of the log entries of the job that have any, by the entry's key */
    record SurveyStage(long changes, SurveyPart report, Map<UUID, List<UUID>> photos) {}

    /** The floor and its survey. */
    record SurveyPart(
            Outline outline,
            List<Shape.Side> sides,
            Figure perimeter,
            Survey.Judgement survey,
            List<SetOut.Test> testsOut,
            List<Placement.Marked> places,
            List<Areas.Judged> areas,
            List<Areas.Share> shares) {}

    /** @param layers which sheet the layer has; {@code buying} what the job buys of it, all its zones together */
    record LayerStage(long changes, OneLayer report, List<JobViews.LayerView> layers, Optional<Buying> buying) {}

    /** One layer, and what stood against it. */
    record OneLayer(List<LayerReport> layers, List<Conduct.Stood> conduct) {}

    record ServiceStage(long changes, ServicePart report) {}

    /** The finished floor, what it went through, and what can be begun next. */
    record ServicePart(ServiceReport service, List<CycleReport> cycles, List<CycleReport.Begin> begins) {}

    private final JobViews views;
    private final ZoneReader reader;
    private final Workings workings;

    StageController(JobViews views, ZoneReader reader, Workings workings) {
        this.views = views;
        this.reader = reader;
        this.workings = workings;
    }

    private SurveyStage readSurvey(UUID jobId, UUID zoneId) {
        return reader.zone(jobId, zoneId, z -> {
            ZoneReport r = z.report();
            return new SurveyStage(
                    z.job().changes(),
                    new SurveyPart(
                            r.outline(),
                            r.sides(),
                            r.perimeter(),
                            r.survey(),
                            r.testsOut(),
                            r.places(),
                            r.areas(),
                            r.shares()),
                    views.photosOf(jobId));
        });
    }

    private LayerStage readLayer(UUID jobId, UUID zoneId, String layerId) {
        return reader.job(jobId, job -> {
            KnownZone zone = job.zones().stream()
                    .filter(z -> z.stored().id().equals(zoneId))
                    .findFirst()
                    .orElseThrow(() -> new NotHere("zoneId", zoneId));
            LayerReport layer = zone.report().layers().stream()
                    .filter(l -> l.id().equals(layerId))
                    .findFirst()
                    .orElseThrow(() -> new NotHere("layerId", layerId));
            Optional<Buying> buying = JobBuying.of(job.reports(), job.units()).stream()
                    .filter(b -> b.uses().stream()
                            .anyMatch(u -> u.zone().equals(zoneId.toString())
                                    && u.layer().equals(layerId)))
                    .findFirst();
            return new LayerStage(
                    job.stored().changes(),
                    new OneLayer(
                            List.of(layer),
                            zone.report().conduct().stream()
                                    .filter(s -> s.subject().equals(layerId))
                                    .toList()),
                    views.layers(zone.stored()).stream()
                            .filter(l -> l.id().equals(layerId))
                            .toList(),
                    buying);
        });
    }

    private ServiceStage readService(UUID jobId, UUID zoneId) {
        return reader.zone(jobId, zoneId, z -> {
            ZoneReport r = z.report();
            return new ServiceStage(z.job().changes(), new ServicePart(r.service(), r.cycles(), r.begins()));
        });
    }

    @Brief
    @GetMapping("/survey")
    SurveyStage survey(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        return readSurvey(jobId, zoneId);
    }

    @GetMapping("/survey/working")
    WireFormat.FigureView surveyWorking(@PathVariable UUID jobId, @PathVariable UUID zoneId, @RequestParam String at) {
        return workings.at(readSurvey(jobId, zoneId), at);
    }

    @Brief
    @GetMapping("/layers/{layerId}")
    LayerStage layer(@PathVariable UUID jobId, @PathVariable UUID zoneId, @PathVariable String layerId) {
        return readLayer(jobId, zoneId, layerId);
    }

    @GetMapping("/layers/{layerId}/working")
    WireFormat.FigureView layerWorking(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @PathVariable String layerId,
            @RequestParam String at) {
        return workings.at(readLayer(jobId, zoneId, layerId), at);
    }

    @Brief
    @GetMapping("/service")
    ServiceStage service(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        return readService(jobId, zoneId);
    }

    @GetMapping("/service/working")
    WireFormat.FigureView serviceWorking(@PathVariable UUID jobId, @PathVariable UUID zoneId, @RequestParam String at) {
        return workings.at(readService(jobId, zoneId), at);
    }
}
