package openslab.server.job;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import openslab.core.floor.Shape;
import openslab.core.floor.Shapes;
import openslab.core.floor.plan.PlanReport;
import openslab.core.job.Cycle;
import openslab.core.job.LayerChoice;
import openslab.core.job.ZoneFacts;
import openslab.core.job.ZoneFields;
import openslab.core.job.ZoneReport;
import openslab.core.practice.Practices;
import openslab.core.prep.PrepAsks;
import openslab.core.prep.SiteLimits;
import openslab.core.product.LayerRole;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Value;
import openslab.core.system.FloorSystem;
import openslab.server.form.ZoneChoice;
import openslab.server.product.SheetStore;
import openslab.server.store.Snapshot;
import openslab.server.system.Systems;
import openslab.server.web.NotHere;
import org.springframework.stereotype.Component;

/** The one reader of zones: whatever is told of a zone was read here, all of it in one snapshot. */
@Component
public class ZoneReader {
    private final JobStore jobs;
    private final ZoneStore zones;
    private final SheetStore sheets;
    private final Systems systems;
    private final DrawnFloors floors;
    private final PracticeStore practices;
    private final Snapshot snapshot;
    private final Clock clock;

    ZoneReader(
            JobStore jobs,
            ZoneStore zones,
            SheetStore sheets,
            Systems systems,
            DrawnFloors floors,
            PracticeStore practices,
            Snapshot snapshot,
            Clock clock) {
        this.jobs = jobs;
        this.zones = zones;
        this.sheets = sheets;
        this.systems = systems;
        this.floors = floors;
        this.practices = practices;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /**
     * @param then what is made of it while it stands still
     * @throws NotHere where there is no such job or no such zone of it
     */
    public <T> T zone(UUID jobId, UUID zoneId, Function<KnownZone, T> then) {
        return snapshot.of(() -> {
            var job = jobs.get(jobId);
            return then.apply(known(job, zones.get(jobId, zoneId), clock.instant()));
        });
    }

    /**
     * @param then what is made of the job while it stands still
     * @throws NotHere where there is no such job
     */
    public <T> T job(UUID jobId, Function<KnownJob, T> then) {
        return snapshot.of(() -> {
            var job = jobs.get(jobId);
            Instant now = clock.instant();
            return then.apply(new KnownJob(job, of(job, now), now));
        });
    }

    /** All zones of a job, in order; read by one, and worked out side by side. */
    List<KnownZone> of(JobStore.StoredJob job, Instant now) {
        Practices followed = followed(job);
        List<KnownZone> all = zones.of(job.id()).stream()
                .map(z -> new KnownZone(job, z, facts(job, z, followed), now))
                .toList();
        all.parallelStream().forEach(KnownZone::report);
        return all;
    }

    private KnownZone known(JobStore.StoredJob job, ZoneStore.StoredZone zone, Instant now) {
        return new KnownZone(job, zone, facts(job, zone), now);
    }

    /**
     * A zone as an earlier cycle left it.
     *
     * @throws NotHere where it has been through no cycle of this number
     */
    ZoneReport past(UUID jobId, UUID zoneId, int number) {
        return zone(jobId, zoneId, zone -> {
            List<Cycle> cycles = zone.facts().cycles();
            if (number < 1 || number > cycles.size()) {
                throw new NotHere("number", number);
            }
            if (number == cycles.size()) {
                return zone.report();
            }
            Instant next = cycles.get(number).began();
            return ZoneReport.of(
                    zone.facts().through(number),
                    zone.units(),
                    zone.job().facts().where(),
                    next);
        });
    }

    /** The schools that a job follows: its own, and the shop's in all else. */
    public Practices followed(JobStore.StoredJob job) {
        return practices.shop().with(job.facts().practices());
    }

    /** A stored zone as the core knows it. */
    ZoneFacts facts(JobStore.StoredJob job, ZoneStore.StoredZone zone) {
        return facts(job, zone, followed(job));
    }

    private ZoneFacts facts(JobStore.StoredJob job, ZoneStore.StoredZone zone, Practices followed) {
        ZoneChoice choice = zone.choice();
        String id = zone.id().toString();
        Optional<PlanReport> plan = choice.isOnPlan()
                ? Optional.of(floors.report(job.id(), job.facts().units()))
                : Optional.empty();
        return new ZoneFacts(
                id,
                choice.name(),
                plan.map(p -> (Shape) p.zone(id)
                                .orElseThrow(
                                        () -> new IllegalStateException("zone " + id + " has no part of its plan")))
                        .orElseGet(() -> Shapes.of(choice.shape(), Value.bases(choice.values()))),
                plan.isPresent() ? floors.facts(job.id(), id, job.facts().units()) : ZoneFacts.PlanFacts.NONE,
                choice.substrate(),
                choice.use(),
                choice.exposure(),
                new SiteLimits(choice.dust(), choice.washWater(), choice.limits()),
                ZoneFields.settings(choice.values(), job.facts().units()).following(followed),
                zone.cycles().stream().map(this::cycle).toList(),
                zone.log());
    }

    /** The layers of a cycle as the core knows them. */
    public List<LayerChoice> layers(ZoneStore.StoredCycle c) {
        return c.layers().stream().map(this::layer).toList();
    }

    /** A stored layer as the core knows it: what nobody said is as its sheet has it. */
    LayerChoice layer(ZoneStore.StoredLayer l) {
        ProductSheet sheet = sheets.of(l.digest()).sheet();
        LayerRole role = l.role().isEmpty() ? sheet.role() : LayerRole.valueOf(l.role());
        return new LayerChoice(
                l.id(),
                l.title().isEmpty() ? role.label() : l.title(),
                role,
                sheet,
                systems.way(l.way(), sheet),
                l.rate(),
                l.reserve(),
                l.plannedStart());
    }

    private Cycle cycle(ZoneStore.StoredCycle c) {
        return new Cycle(c.number(), c.kind(), c.began(), c.by(), c.why(), c.patch(), layers(c), asks(c));
    }

    /** How its system wants the floor made ready; nothing where it is of none, or where that is no more. */
    public PrepAsks asks(ZoneStore.StoredCycle c) {
        return systems.find(c.buildUp().system()).map(FloorSystem::prep).orElse(PrepAsks.NOTHING);
    }
}
