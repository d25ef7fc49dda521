package openslab.server.survey;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Stream;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.DrawnLine;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.job.CandidateReport;
import openslab.core.job.Patch;
import openslab.core.job.ZoneFacts;
import openslab.core.quantity.Field;
import openslab.core.survey.Limits;
import openslab.core.survey.Site;
import openslab.core.survey.area.Defect;
import openslab.core.survey.dry.DryDown;
import openslab.core.survey.map.LevelMap;
import openslab.core.survey.map.SurveyMap;
import openslab.core.survey.method.InSlabHumidity;
import openslab.core.survey.method.TestMethods;
import openslab.core.survey.place.Placement;
import openslab.server.floor.PlanStore;
import openslab.server.job.KnownZone;
import openslab.server.job.ZoneReader;
import openslab.server.system.Candidates;
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
    /** @param means by field, as typed; empty for what is usual */
    record MeansForm(Map<String, String> means) {}

    private final ZoneReader reader;
    private final PlanStore plans;
    private final Candidates candidates;

    SurveyController(ZoneReader reader, PlanStore plans, Candidates candidates) {
        this.reader = reader;
        this.plans = plans;
        this.candidates = candidates;
    }

    /** Places for the tests that are asked for, beside those already marked. */
    @GetMapping("/places")
    List<Placement.Proposal> places(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        return reader.zone(jobId, zoneId, zone -> {
            var spread = zone.report().survey().tallies().stream()
                    .filter(t -> t.required() && !TestMethods.of(t.method()).wholeFloor())
                    .toList();
            int count = spread.stream()
                    .mapToInt(t -> (int) t.needed().value())
                    .max()
                    .orElse(0);
            boolean nearWall = spread.stream().anyMatch(t -> t.method().equals(InSlabHumidity.ID));
            ZoneFacts facts = zone.facts();
            Optional<Patch> patch = facts.cycle().patch().filter(p -> !p.ring().isEmpty());
            Predicate<Corner> worked = c -> patch.map(p -> p.holds(c)).orElse(true);
            List<Corner> damp = facts.survey().areas().stream()
                    .filter(a -> a.gone().isEmpty() && a.area().defect() == Defect.DAMP)
                    .map(a -> Shapes2D.inside(Shapes2D.polygon(a.area().ring())))
                    .filter(worked)
                    .toList();
            // places beside the patch keep their names, and count for nothing in it
            int beside = (int)
                    facts.places().stream().filter(p -> !worked.test(p.at())).count();
            return Placement.propose(
                    patch.map(p -> List.of(p.ring())).orElse(facts.shape().rings()),
                    breaks(zone),
                    damp,
                    facts.places(),
                    count + beside,
                    nearWall && patch.isEmpty());
        });
    }

    /** The rooms that the zone is in. */
    private Stream<RoomPlan> roomsOf(KnownZone zone) {
        Optional<String> id = Optional.of(zone.facts().id());
        return plans.report(zone.job().id(), zone.units()).rooms().stream()
                .filter(r -> r.pieces().stream().anyMatch(p -> p.zoneId().equals(id)));
    }

    /** Joints and cracks of the rooms that the zone is in. */
    private List<List<Corner>> breaks(KnownZone zone) {
        return roomsOf(zone)
                .flatMap(r -> r.lines().stream())
                .filter(l -> l.kind().isBreak())
                .map(DrawnLine::points)
                .toList();
    }

    /** What the floor means for every build-up that might go on it. */
    @GetMapping("/candidates")
    List<CandidateReport> candidates(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        return reader.zone(
                jobId, zoneId, z -> CandidateReport.of(candidates.of(z.facts()), z.facts(), z.units(), z.now()));
    }

    /** What was read, spread over the floor, with what nobody knows. */
    @GetMapping("/maps")
    List<SurveyMap> maps(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        return reader.zone(jobId, zoneId, zone -> {
            ZoneFacts facts = zone.facts();
            List<List<Corner>> floor = facts.shape().rings();
            List<SurveyMap> read = SurveyMap.of(facts.survey(), site(zone), floor, facts.places());
            List<String> rooms = roomsOf(zone).map(RoomPlan::id).toList();
            Stream<SurveyMap> levels = plans.plan(zone.job().id(), zone.units()).rooms().stream()
                    .filter(room -> rooms.contains(room.id()))
                    .flatMap(room -> room.levels().stream())
                    .map(l -> LevelMap.of(l.heights(), floor, zone.units()));
            return Stream.concat(read.stream(), levels).toList();
        });
    }

    /** Of a floor for which nothing was chosen yet nothing is asked. */
    private static Site site(KnownZone zone) {
        var limits = zone.report().limits().orElse(Limits.NONE);
        return zone.facts().judgedBy(limits, zone.units(), zone.now());
    }

    /** When the slab will be dry enough. */
    @PostMapping("/dry-down")
    DryDown dryDown(@PathVariable UUID jobId, @PathVariable UUID zoneId, @RequestBody MeansForm form) {
        return reader.zone(jobId, zoneId, zone -> {
            Map<String, String> typed = form.means() == null ? Map.of() : form.means();
            var means = DryDown.Means.of(Field.parseAll("means", DryDown.Means.FIELDS, typed, zone.units()));
            return DryDown.of(zone.facts().survey(), site(zone), means);
        });
    }
}
