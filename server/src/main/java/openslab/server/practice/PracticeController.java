package openslab.server.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import openslab.core.job.PracticeEffect;
import openslab.core.job.ZoneFacts;
import openslab.core.practice.Practice;
import openslab.core.practice.Practices;
import openslab.core.quantity.Source;
import openslab.core.system.FloorSystem;
import openslab.server.job.JobStore;
import openslab.server.job.KnownZone;
import openslab.server.job.PracticeStore;
import openslab.server.job.ZoneReader;
import openslab.server.store.Snapshot;
import openslab.server.store.Writes;
import openslab.server.system.Systems;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** The questions on which practitioners do not agree, the shop's answers, and what another answer would change. */
@RestController
class PracticeController {
    record SchoolView(String id, String label, String reason) {}

    /** @param usual the id of the school that is followed where nobody chose; {@code shop} of the one that the shop chose, or empty */
    record PracticeView(
            String id,
            String question,
            String usual,
            String why,
            Source source,
            List<SchoolView> schools,
            String shop) {}

    /** @param practices a school's id by the question's; a question that is left out is answered as usual, by a job as the shop does */
    record PracticesForm(Map<String, String> practices) {}

    /** What changes on one floor. */
    record ZoneEffects(UUID jobId, String job, UUID zoneId, String zone, List<PracticeEffect> effects) {}

    /** @param zones those on which something changes; {@code looked} at how many zones was looked */
    record EffectsView(List<ZoneEffects> zones, int looked) {}

    private final PracticeStore store;
    private final JobStore jobs;
    private final ZoneReader reader;
    private final Systems systems;
    private final Snapshot snapshot;
    private final Writes writes;

    PracticeController(
            PracticeStore store, JobStore jobs, ZoneReader reader, Systems systems, Snapshot snapshot, Writes writes) {
        this.store = store;
        this.jobs = jobs;
        this.reader = reader;
        this.systems = systems;
        this.snapshot = snapshot;
        this.writes = writes;
    }

    @GetMapping("/api/practices")
    List<PracticeView> practices() {
        Practices shop = store.shop();
        return Practices.ALL.stream().map(p -> view(p, shop)).toList();
    }

    private static PracticeView view(Practice p, Practices shop) {
        return new PracticeView(
                p.id(),
                p.question(),
                p.usual().name(),
                p.why(),
                p.source(),
                p.schools().stream()
                        .map(s -> new SchoolView(s.name(), s.label(), s.reason()))
                        .toList(),
                shop.names().getOrDefault(p.id(), ""));
    }

    /** What the shop does has no version: the last who says so is right. */
    @PutMapping("/api/practices")
    List<PracticeView> set(@RequestHeader("Idempotency-Key") UUID key, @RequestBody PracticesForm form) {
        Practices read = read(form);
        writes.once(key, List.of("practices", form), () -> {
            store.setShop(read);
            return "";
        });
        return practices();
    }

    private static Practices read(PracticesForm form) {
        return Practices.read("practices", form.practices() == null ? Map.of() : form.practices());
    }

    /** What these would change as the shop's, on every job that is not put away. */
    @PostMapping("/api/practices/effects")
    EffectsView effects(@RequestBody PracticesForm form) {
        Practices shop = read(form);
        return snapshot.of(() -> {
            Map<UUID, Practices> own = store.ofJobs();
            return effects(
                    jobs.all().stream().filter(j -> !j.facts().archived()).toList(),
                    j -> shop.with(own.getOrDefault(j.id(), Practices.USUAL)));
        });
    }

    /** What these would change as the job's own. */
    @PostMapping("/api/jobs/{jobId}/practices/effects")
    EffectsView jobEffects(@PathVariable UUID jobId, @RequestBody PracticesForm form) {
        Practices own = read(form);
        return snapshot.of(() -> {
            Practices both = store.shop().with(own);
            return effects(List.of(jobs.get(jobId)), j -> both);
        });
    }

    private EffectsView effects(List<JobStore.StoredJob> all, Function<JobStore.StoredJob, Practices> becomes) {
        var changed = new ArrayList<ZoneEffects>();
        int looked = 0;
        for (JobStore.StoredJob job : all) {
            Practices followed = becomes.apply(job);
            List<KnownZone> zones = reader.job(job.id(), j -> j.zones());
            looked += zones.size();
            zones.stream()
                    .map(z -> effects(z, followed))
                    .filter(z -> !z.effects().isEmpty())
                    .forEach(changed::add);
        }
        return new EffectsView(List.copyOf(changed), looked);
    }

    private ZoneEffects effects(KnownZone zone, Practices followed) {
        ZoneFacts facts = zone.facts();
        Optional<FloorSystem> system =
                systems.find(zone.stored().cycle().buildUp().system());
        return new ZoneEffects(
                zone.job().id(),
                zone.job().facts().name(),
                zone.stored().id(),
                facts.name(),
                PracticeEffect.between(facts, facts.following(followed), system, zone.units()));
    }
}
