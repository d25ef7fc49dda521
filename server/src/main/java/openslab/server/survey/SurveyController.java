package openslab.server.survey;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.DrawnLine;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.job.CandidateReport;
import openslab.core.job.ZoneFacts;
import openslab.core.job.ZoneReport;
import openslab.core.quantity.Field;
import openslab.core.quantity.InvalidInput;
import openslab.core.survey.Site;
import openslab.core.survey.TestMethods;
import openslab.core.survey.area.Defect;
import openslab.core.survey.dry.DryDown;
import openslab.core.survey.map.LevelMap;
import openslab.core.survey.map.SurveyMap;
import openslab.core.survey.method.InSlabHumidity;
import openslab.core.survey.place.Placement;
import openslab.server.buildup.Candidates;
import openslab.server.floor.PlanStore;
import openslab.server.job.JobStore;
import openslab.server.job.Jobs;
import openslab.server.job.ZoneStore;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a survey is asked for on its own, since it takes longer than all the rest; nothing of it is stored. */
@RestController
@RequestMapping("/api/jobs/{jobId}/zones/{zoneId}")
class SurveyController {
    /** @param measures by field, as typed; empty for what is usual */
    record MeasuresForm(Map<String, String> measures) {}

    private final JobStore store;
    private final ZoneStore zones;
    private final Jobs jobs;
    private final PlanStore plans;
    private final Candidates candidates;
    private final Clock clock;

    SurveyController(JobStore store, ZoneStore zones, Jobs jobs, PlanStore plans, Candidates candidates, Clock clock) {
        this.store = store;
        this.zones = zones;
        this.jobs = jobs;
        this.plans = plans;
        this.candidates = candidates;
        this.clock = clock;
    }

    /** Places for the tests that are asked for, beside those already marked. */
    @GetMapping("/places")
    List<Placement.Proposal> places(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        JobStore.StoredJob job = store.get(jobId);
        ZoneFacts zone = jobs.facts(job, zones.get(jobId, zoneId));
        var spread = jobs.report(job, zone).survey().tallies().stream()
                .filter(t -> t.required() && !TestMethods.of(t.method()).wholeFloor())
                .toList();
        int count =
                spread.stream().mapToInt(t -> (int) t.needed().value()).max().orElse(0);
        boolean nearWall = spread.stream().anyMatch(t -> t.method().equals(InSlabHumidity.ID));
        List<Corner> damp = zone.survey().areas().stream()
                .filter(a -> a.gone().isEmpty() && a.area().defect() == Defect.DAMP)
                .map(a -> Shapes2D.inside(Shapes2D.polygon(a.area().ring())))
                .toList();
        return Placement.propose(zone.shape().rings(), lines(job, zoneId), damp, zone.places(), count, nearWall);
    }

    /** The rooms that the zone is in. */
    private Stream<RoomPlan> roomsOf(JobStore.StoredJob job, UUID zoneId) {
        Optional<String> id = Optional.of(zoneId.toString());
        return plans.report(job.id(), job.facts().units()).rooms().stream()
                .filter(r -> r.pieces().stream().anyMatch(p -> p.zoneId().equals(id)));
    }

    /** Joints and cracks of the rooms that the zone is in. */
    private List<List<Corner>> lines(JobStore.StoredJob job, UUID zoneId) {
        return roomsOf(job, zoneId)
                .flatMap(r -> r.lines().stream())
                .filter(l -> l.kind().isBreak())
                .map(DrawnLine::points)
                .toList();
    }

    /** What the floor means for every build-up that might go on it. */
    @GetMapping("/candidates")
    List<CandidateReport> candidates(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        JobStore.StoredJob job = store.get(jobId);
        ZoneFacts zone = jobs.facts(job, zones.get(jobId, zoneId));
        return CandidateReport.of(candidates.all(), zone, job.facts().units(), clock.instant());
    }

    /** What was read, spread over the floor, with what nobody knows. */
    @GetMapping("/maps")
    List<SurveyMap> maps(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        JobStore.StoredJob job = store.get(jobId);
        ZoneFacts zone = jobs.facts(job, zones.get(jobId, zoneId));
        List<List<Corner>> floor = zone.shape().rings();
        List<SurveyMap> read =
                SurveyMap.of(zone.survey(), site(job, jobs.report(job, zone), zone), floor, zone.places());
        var units = job.facts().units();
        List<String> rooms = roomsOf(job, zoneId).map(RoomPlan::id).toList();
        Stream<SurveyMap> levels = plans.plan(job.id(), units).rooms().stream()
                .filter(room -> rooms.contains(room.id()))
                .flatMap(room -> room.levels().stream())
                .map(l -> LevelMap.of(l.heights(), floor, units));
        return Stream.concat(read.stream(), levels).toList();
    }

    /** @throws InvalidInput where no layer with limits was chosen */
    private Site site(JobStore.StoredJob job, ZoneReport report, ZoneFacts zone) {
        var limits = report.limits()
                .orElseThrow(() -> new InvalidInput("layers", null, "a build-up whose sheets state limits"));
        return new Site(
                limits, zone.substrate(), report.area().base(), job.facts().units(), clock.instant());
    }

    /** When the slab will be dry enough. */
    @PostMapping("/dry-down")
    DryDown dryDown(@PathVariable UUID jobId, @PathVariable UUID zoneId, @RequestBody MeasuresForm form) {
        JobStore.StoredJob job = store.get(jobId);
        ZoneFacts zone = jobs.facts(job, zones.get(jobId, zoneId));
        ZoneReport report = jobs.report(job, zone);
        var units = job.facts().units();
        Map<String, String> typed = form.measures() == null ? Map.of() : form.measures();
        var measures = DryDown.Measures.of(Field.parseAll("measures", DryDown.Measures.FIELDS, typed, units));
        return DryDown.of(zone.survey(), site(job, report, zone), measures);
    }
}
