package openslab.server.job;

import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import openslab.core.job.RunningClock;
import openslab.core.job.ZoneReport;
import openslab.core.quantity.Show;
import openslab.server.form.ZoneForm;
import openslab.server.system.Systems;
import org.springframework.stereotype.Component;

/**
 * The zones of every job in short, kept until something is written about the job or the next moment at which something turns. A job is
 * worked out from all its readings; its head is asked for by every screen, and the rack asks for every head.
 */
@Component
class Heads {
    /** A zone in short; {@code system} names what goes on it. */
    record Zone(UUID id, ZoneForm facts, ZoneReport.Head report, String system) {}

    /** @param until it stays as it is before that, if nothing is written */
    private record Kept(long changes, Instant until, List<Zone> zones) {}

    /** More jobs than this nobody has on one rack. */
    private static final int MOST = 20_000;

    private final ZoneReader reader;
    private final Systems systems;
    private final Clock clock;
    private final Map<UUID, Kept> kept = new ConcurrentHashMap<>();

    Heads(ZoneReader reader, Systems systems, Clock clock) {
        this.reader = reader;
        this.systems = systems;
        this.clock = clock;
    }

    /** @param job as it is read in the same snapshot */
    List<Zone> of(JobStore.StoredJob job) {
        Instant now = clock.instant();
        Kept known = kept.get(job.id());
        if (known != null && known.changes() == job.changes() && now.isBefore(known.until())) {
            return known.zones();
        }
        List<KnownZone> reports = reader.of(job, now);
        List<Zone> heads = reports.stream()
                .map(r -> new Zone(
                        r.stored().id(),
                        ZoneForm.of(r.stored().choice()),
                        r.report().head(),
                        system(r)))
                .toList();
        Instant until = reports.stream()
                .map(r -> r.report().headHolds(now))
                .min(Comparator.naturalOrder())
                .orElse(Instant.MAX);
        if (kept.size() >= MOST) {
            kept.clear();
        }
        kept.put(job.id(), new Kept(job.changes(), until, heads));
        return heads;
    }

    /** The zone whose clock runs out first stands first. */
    List<Zone> inTurn(JobStore.StoredJob job) {
        return of(job).stream()
                .sorted(Comparator.comparing(z -> z.report().next(), RunningClock.Next.FIRST))
                .toList();
    }

    /** What it was chosen from; else what lies on top, else that nothing does. */
    private String system(KnownZone zone) {
        return systems.find(zone.stored().cycle().buildUp().system())
                .map(f -> Show.lower(f.title()))
                .orElseGet(() -> zone.report().layers().stream()
                        .reduce((a, b) -> b)
                        .map(l -> Show.lower(l.sheet().name()))
                        .orElse("nothing chosen yet"));
    }
}
