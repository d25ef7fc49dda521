package openslab.server.job;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import openslab.core.floor.plan.PlanZone;
import openslab.core.job.BuildUpGuard;
import openslab.core.job.Cycle;
import openslab.core.job.CycleReport;
import openslab.core.job.LayerChoice;
import openslab.core.job.LogEntry;
import openslab.core.job.LogGuard;
import openslab.core.job.ZoneFacts;
import openslab.core.prep.PrepAsks;
import openslab.core.prep.SiteLimit;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Refusal;
import openslab.core.quantity.Value;
import openslab.server.form.BuildUpForm;
import openslab.server.form.CycleForm;
import openslab.server.form.JobFacts;
import openslab.server.form.JobForm;
import openslab.server.form.LayerForm;
import openslab.server.form.LogForm;
import openslab.server.form.LogScope;
import openslab.server.form.ZoneChoice;
import openslab.server.form.ZoneForm;
import openslab.server.product.SheetStore;
import openslab.server.store.Writes;
import openslab.server.web.NotHere;
import org.springframework.stereotype.Service;

/** What can be done with a job. Every public write is one transaction and runs once per key. */
@Service
public class Jobs {
    /** A phone's clock may be a little ahead of ours. */
    private static final Duration SKEW = Duration.ofMinutes(10);

    /** More often than this nobody works on one floor. */
    public static final int MOST_CYCLES = 200;

    private final JobStore store;
    private final ZoneStore zones;
    private final LogStore logs;
    private final SheetStore sheets;
    private final ZoneReader reader;
    private final BuildUps buildUps;
    private final Writes writes;
    private final Clock clock;

    Jobs(
            JobStore store,
            ZoneStore zones,
            LogStore logs,
            SheetStore sheets,
            ZoneReader reader,
            BuildUps buildUps,
            Writes writes,
            Clock clock) {
        this.store = store;
        this.zones = zones;
        this.logs = logs;
        this.sheets = sheets;
        this.reader = reader;
        this.buildUps = buildUps;
        this.writes = writes;
        this.clock = clock;
    }

    /** A write's key, and the version that its sender saw. */
    public record Seen(UUID key, int version) {
        /** @param ifMatch the header, quoted or bare */
        public static Seen of(UUID key, String ifMatch) {
            String bare = ifMatch.replace("\"", "").strip();
            if (!bare.matches("\\d{1,9}")) {
                throw new InvalidInput("If-Match", ifMatch, "the version of the job that was seen, a whole number");
            }
            return new Seen(key, Integer.parseInt(bare));
        }
    }

    public UUID create(UUID key, JobForm form) {
        return UUID.fromString(writes.once(key, List.of("job", form), () -> {
            UUID id = UUID.randomUUID();
            store.insert(id, form.read(), 1);
            return id.toString();
        }));
    }

    public void edit(UUID jobId, Seen seen, JobForm form) {
        writes.onceIn(jobId, seen.key(), List.of("job", jobId, seen.version(), form), () -> {
            var job = store.get(jobId);
            var facts = form.read();
            store.advance(jobId, seen.version(), words(job.facts()), words(facts));
            store.update(jobId, facts);
            return jobId.toString();
        });
    }

    public UUID addZone(UUID jobId, Seen seen, ZoneForm form) {
        return UUID.fromString(writes.onceIn(jobId, seen.key(), List.of("zone", jobId, seen.version(), form), () -> {
            var job = store.get(jobId);
            var choice = form.read(job.facts());
            if (choice.isOnPlan()) {
                throw new InvalidInput(
                        "shape", PlanZone.KIND, "a shape of typed sides; a zone on the plan is made there");
            }
            return insert(jobId, seen.version(), choice).toString();
        }));
    }

    private UUID insert(UUID jobId, int seen, ZoneChoice choice) {
        UUID id = UUID.randomUUID();
        store.advance(jobId, seen, Map.of(), Map.of("zone", choice.name()));
        zones.insert(
                jobId,
                id,
                choice,
                List.of(ZoneStore.StoredCycle.first(
                        clock.instant(),
                        buildUps.first(choice.substrate(), choice.exposure(), reader.followed(store.get(jobId))))));
        return id;
    }

    /** A zone whose floor the plan gives; within the write that marks it there. */
    public UUID insertOnPlan(UUID jobId, ZoneForm form) {
        var job = store.get(jobId);
        var choice = form.read(job.facts());
        if (!choice.isOnPlan()) {
            throw new InvalidInput("zone.shape", choice.shape(), PlanZone.KIND);
        }
        return insert(jobId, job.version(), choice);
    }

    /** Lets the plan give a zone its floor from now on; within the write that marks it there. */
    public void putOnPlan(UUID jobId, UUID zoneId) {
        var zone = zones.get(jobId, zoneId);
        var choice = zone.choice().onPlan();
        store.advance(jobId, store.get(jobId).version(), words(zone.choice()), words(choice));
        zones.update(zoneId, choice);
    }

    public void editZone(UUID jobId, UUID zoneId, Seen seen, ZoneForm form) {
        writes.onceIn(jobId, seen.key(), List.of("zone", jobId, zoneId, seen.version(), form), () -> {
            var job = store.get(jobId);
            var zone = zones.get(jobId, zoneId);
            var choice = form.read(job.facts());
            if (choice.isOnPlan() && !zone.choice().isOnPlan()) {
                throw new InvalidInput("shape", PlanZone.KIND, "typed sides; it is put on the plan there");
            }
            store.advance(jobId, seen.version(), words(zone.choice()), words(choice));
            zones.update(zoneId, choice);
            return zoneId.toString();
        });
    }

    /** Another sheet for one layer, another rate, another start. */
    public void editLayer(UUID jobId, UUID zoneId, String layerId, Seen seen, LayerForm form) {
        writes.onceIn(jobId, seen.key(), List.of("layer", jobId, zoneId, layerId, seen.version(), form), () -> {
            var job = store.get(jobId);
            var zone = zones.get(jobId, zoneId);
            if (zone.layers().stream().noneMatch(l -> l.id().equals(layerId))) {
                throw new NotHere("layerId", layerId);
            }
            rebuild(
                    job,
                    zone,
                    seen,
                    buildUps.with(
                            zone.cycle().buildUp(), layerId, form, job.facts().units()));
            return layerId;
        });
    }

    /** Everything that goes on in the zone's cycle: a system's layers, or other ones. */
    public void build(UUID jobId, UUID zoneId, Seen seen, BuildUpForm form) {
        writes.onceIn(jobId, seen.key(), List.of("build-up", jobId, zoneId, seen.version(), form), () -> {
            var job = store.get(jobId);
            var zone = zones.get(jobId, zoneId);
            rebuild(
                    job,
                    zone,
                    seen,
                    buildUps.read(
                            zone.cycle().buildUp(),
                            form,
                            reader.facts(job, zone),
                            job.facts().units()));
            return zoneId.toString();
        });
    }

    private void rebuild(JobStore.StoredJob job, ZoneStore.StoredZone zone, Seen seen, ZoneStore.StoredBuildUp next) {
        BuildUpGuard.require(
                reader.facts(job, zone),
                next.layers().stream().map(reader::layer).toList());
        store.advance(
                job.id(),
                seen.version(),
                words(zone.choice().name(), zone.cycle().buildUp()),
                words(zone.choice().name(), next));
        zones.rebuild(zone.id(), zone.cycle().number(), next);
    }

    /** Begins a zone's next cycle, with what usually goes on in one of its kind. */
    public void begin(UUID jobId, UUID zoneId, Seen seen, CycleForm form) {
        writes.onceIn(jobId, seen.key(), List.of("cycle", jobId, zoneId, seen.version(), form), () -> {
            var job = store.get(jobId);
            var zone = zones.get(jobId, zoneId);
            var choice = form.read(job.facts().units(), clock.instant(), latest());
            if (zone.cycles().size() == MOST_CYCLES) {
                throw new Refusal(
                        "too-many-cycles",
                        "This zone has been through " + MOST_CYCLES + " cycles already.",
                        "Make a new zone of it.");
            }
            int number = zone.cycles().size() + 1;
            var facts = reader.facts(job, zone);
            CycleReport.require(
                    facts,
                    new Cycle(
                            number,
                            choice.kind(),
                            choice.began(),
                            choice.by(),
                            choice.why(),
                            choice.patch(),
                            List.of(),
                            PrepAsks.NOTHING),
                    job.facts().units());
            store.advance(
                    jobId,
                    seen.version(),
                    Map.of(),
                    Map.of(
                            zone.choice().name() + ", cycle " + number,
                            choice.kind().label()));
            zones.insert(
                    zoneId,
                    new ZoneStore.StoredCycle(
                            number,
                            choice.kind(),
                            choice.began(),
                            choice.by(),
                            choice.why(),
                            choice.patch(),
                            buildUps.next(choice.kind(), zone, facts)));
            return zoneId.toString();
        });
    }

    /** Takes a zone's newest cycle back, if nothing was done in it. */
    public void takeBack(UUID jobId, UUID zoneId, int number, Seen seen) {
        writes.onceIn(jobId, seen.key(), List.of("cycle back", jobId, zoneId, number, seen.version()), () -> {
            var zone = zones.get(jobId, zoneId);
            if (number != zone.cycle().number()) {
                throw new NotHere("number", number);
            }
            if (number == 1 || zone.log().stream().anyMatch(e -> e.cycle() == number)) {
                throw new Refusal(
                        "cycle-in-use",
                        number == 1
                                ? "A zone always has its first cycle."
                                : "Something was logged in this cycle: it is part of what happened to this floor.",
                        "Leave it, and begin the next one when it is time.");
            }
            store.advance(
                    jobId,
                    seen.version(),
                    Map.of(
                            zone.choice().name() + ", cycle " + number,
                            zone.cycle().kind().label()),
                    Map.of());
            zones.delete(zoneId, number);
            return zoneId.toString();
        });
    }

    /** Appends to the log; {@code key} becomes the entry's own. */
    public void log(UUID jobId, UUID zoneId, UUID key, LogForm form) {
        writes.onceIn(jobId, key, List.of("log", jobId, zoneId, form), () -> {
            var job = store.get(jobId);
            var zone = zones.get(jobId, zoneId);
            LogEntry entry = form.read(key, scope(job, zone));
            ZoneFacts facts = reader.facts(job, zone);
            boolean earlier = entry.cycle() < zone.cycle().number();
            logs.append(
                    zoneId,
                    LogGuard.take(
                            earlier ? facts.through(entry.cycle()) : facts,
                            entry,
                            job.facts().units()));
            return key.toString();
        });
    }

    private LogScope scope(JobStore.StoredJob job, ZoneStore.StoredZone zone) {
        Set<String> unstruck =
                LogEntry.unstruck(zone.log()).stream().map(LogEntry::key).collect(Collectors.toSet());
        return new LogScope(job.facts().units(), layers(zone.cycles()), unstruck, latest());
    }

    /** The layers of each cycle. */
    public List<List<LayerChoice>> layers(List<ZoneStore.StoredCycle> cycles) {
        return cycles.stream().map(reader::layers).toList();
    }

    /** Nothing is logged that happened later than this. */
    public Instant latest() {
        return clock.instant().plus(SKEW);
    }

    private static Map<String, String> words(JobFacts f) {
        JobForm form = JobForm.of(f);
        Map<String, String> words = new TreeMap<>();
        words.put("name", form.name());
        words.put("client", form.client());
        words.put("place", form.place());
        words.put("latitude", form.latitude());
        words.put("longitude", form.longitude());
        words.put("time zone", form.timeZone());
        words.put("units", form.units());
        words.put("setting", form.setting());
        words.put("archived", Boolean.toString(form.archived()));
        f.practices().chosen().forEach((id, school) -> words.put("practice, " + id, school.label()));
        return words;
    }

    private static Map<String, String> words(ZoneChoice c) {
        Map<String, String> words = new TreeMap<>();
        words.put("zone name", c.name());
        words.put("shape", c.shape());
        words.put("substrate", c.substrate().label());
        words.put("use", c.use().label());
        words.put("exposure", c.exposure().name());
        words.put("dust allowed", Boolean.toString(c.dust()));
        words.put("wash water allowed", Boolean.toString(c.washWater()));
        words.put("limits", c.limits().stream().map(SiteLimit::label).collect(Collectors.joining(", ")));
        c.values().forEach((field, value) -> words.put(field, value.typed()));
        return words;
    }

    private Map<String, String> words(String zone, ZoneStore.StoredBuildUp buildUp) {
        Map<String, String> words = new TreeMap<>();
        words.put(zone + ": system", buildUp.system());
        words.put(
                zone + ": layers",
                buildUp.layers().stream().map(ZoneStore.StoredLayer::id).collect(Collectors.joining(", ")));
        for (ZoneStore.StoredLayer l : buildUp.layers()) {
            String path = zone + ", " + l.id();
            words.put(
                    path + ": sheet",
                    sheets.of(l.digest()).sheet().name() + " " + l.digest().substring(0, 8));
            words.put(path + ": start", l.plannedStart().map(Object::toString).orElse(""));
            words.put(path + ": rate", l.rate().map(Value::typed).orElse(""));
            words.put(path + ": reserve", l.reserve().map(Value::typed).orElse(""));
        }
        return words;
    }
}
