package openslab.server.job;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.core.floor.Outline;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Shape;
import openslab.core.job.CycleReport;
import openslab.core.job.ServiceReport;
import openslab.core.job.ZoneReport;
import openslab.core.quantity.Figure;
import openslab.core.survey.SetOut;
import openslab.core.survey.judge.Areas;
import openslab.core.survey.judge.Survey;
import openslab.core.survey.place.Placement;
import openslab.server.web.Brief;
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

    /** The floor and its survey. @param patch where the patch lies that is worked on; empty where it is all of the floor, or nobody drew one */
    record SurveyPart(
            Outline outline,
            List<Shape.Side> sides,
            Figure floor,
            Figure perimeter,
            Survey.Judgement survey,
            List<SetOut.Test> testsOut,
            List<Placement.Marked> places,
            List<Areas.Judged> areas,
            List<Areas.Share> shares,
            List<Corner> patch) {}

    record ServiceStage(long changes, ServicePart report) {}

    /** The finished floor, what it went through, and what can be begun next. */
    record ServicePart(
            Outline outline, ServiceReport service, List<CycleReport> cycles, List<CycleReport.Begin> begins) {}

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
                            r.floor(),
                            r.perimeter(),
                            r.survey(),
                            r.testsOut(),
                            r.places(),
                            r.areas(),
                            r.shares(),
                            r.cycles().get(r.cycles().size() - 1).ring()),
                    views.photosOf(jobId));
        });
    }

    private ServiceStage readService(UUID jobId, UUID zoneId) {
        return reader.zone(jobId, zoneId, z -> {
            ZoneReport r = z.report();
            return new ServiceStage(
                    z.job().changes(), new ServicePart(r.outline(), r.service(), r.cycles(), r.begins()));
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
    @GetMapping("/service")
    ServiceStage service(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        return readService(jobId, zoneId);
    }

    @GetMapping("/service/working")
    WireFormat.FigureView serviceWorking(@PathVariable UUID jobId, @PathVariable UUID zoneId, @RequestParam String at) {
        return workings.at(readService(jobId, zoneId), at);
    }
}
