package openslab.server.exchange;

import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import openslab.core.job.LayerChoice;
import openslab.core.job.LogEntry;
import openslab.core.job.Patch;
import openslab.core.quantity.Faults;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Refusal;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.server.buy.OrderBook;
import openslab.server.document.Document;
import openslab.server.document.DocumentStore;
import openslab.server.floor.PlanForm;
import openslab.server.floor.PlanStore;
import openslab.server.floor.Plans;
import openslab.server.form.CycleChoice;
import openslab.server.form.CycleForm;
import openslab.server.form.JobFacts;
import openslab.server.form.JobForm;
import openslab.server.form.LayerForm;
import openslab.server.form.LogForm;
import openslab.server.form.LogScope;
import openslab.server.form.PapersForm;
import openslab.server.form.ZoneChoice;
import openslab.server.form.ZoneForm;
import openslab.server.job.BuildUps;
import openslab.server.job.JobStore;
import openslab.server.job.Jobs;
import openslab.server.job.LogStore;
import openslab.server.job.PhotoStore;
import openslab.server.job.ZoneStore;
import openslab.server.lay.LayerKey;
import openslab.server.lay.PlankStore;
import openslab.server.lay.StampStore;
import openslab.server.product.SheetForm;
import openslab.server.product.SheetStore;
import openslab.server.store.Snapshot;
import openslab.server.store.Writes;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** Writes a job to a file and reads it back: whole, or not at all. */
@Service
class JobFiles {
    /** More often than this nobody saved a job. */
    private static final int MOST_REVISIONS = 100_000_000;

    private static final String NEW_ID = "an id that no other job has; import the file as a copy";

    private final JobStore store;
    private final ZoneStore zones;
    private final LogStore logs;
    private final PhotoStore photos;
    private final PlanStore planStore;
    private final Plans plans;
    private final SheetStore sheets;
    private final Jobs jobs;
    private final BuildUps buildUps;
    private final OrderBook orders;
    private final DocumentStore documents;
    private final PlankStore planks;
    private final StampStore stamps;
    private final Writes writes;
    private final Snapshot snapshot;
    private final JdbcClient db;

    JobFiles(
            JobStore store,
            ZoneStore zones,
            LogStore logs,
            PhotoStore photos,
            PlanStore planStore,
            Plans plans,
            SheetStore sheets,
            Jobs jobs,
            BuildUps buildUps,
            OrderBook orders,
            DocumentStore documents,
            PlankStore planks,
            StampStore stamps,
            Writes writes,
            Snapshot snapshot,
            JdbcClient db) {
        this.store = store;
        this.zones = zones;
        this.logs = logs;
        this.photos = photos;
        this.planStore = planStore;
        this.plans = plans;
        this.snapshot = snapshot;
        this.sheets = sheets;
        this.jobs = jobs;
        this.buildUps = buildUps;
        this.orders = orders;
        this.documents = documents;
        this.planks = planks;
        this.stamps = stamps;
        this.writes = writes;
        this.db = db;
    }

    JobFile export(UUID jobId) {
        return snapshot.of(() -> readJobFile(jobId));
    }

    private JobFile readJobFile(UUID jobId) {
        var job = store.get(jobId);
        Map<String, SheetForm> used = new TreeMap<>();
        Map<UUID, List<UUID>> pictures = photos.of(jobId);
        var parts = new ArrayList<JobFile.ZonePart>();
        for (var zone : zones.of(jobId)) {
            zone.cycles().stream()
                    .flatMap(c -> c.layers().stream())
                    .forEach(l -> used.put(l.digest(), sheets.of(l.digest()).form()));
            parts.add(new JobFile.ZonePart(
                    zone.id().toString(),
                    ZoneForm.of(zone.choice()),
                    null,
                    zone.cycles().stream().map(JobFiles::part).toList(),
                    layouts(zone.id()),
                    zone.log().stream().map(e -> part(e, pictures)).toList()));
        }
        var plan = planStore.get(jobId).form();
        return new JobFile(
                JobFile.FORMAT,
                JobFile.VERSION,
                jobId.toString(),
                job.version(),
                JobForm.of(job.facts()),
                parts,
                plan.equals(PlanForm.EMPTY) ? null : plan,
                used,
                some(orders.orders(List.of(jobId)).stream()
                        .map(BoughtParts::part)
                        .toList()),
                some(orders.came(List.of(jobId)).stream().map(BoughtParts::part).toList()),
                some(documents(jobId)));
    }

    private List<JobFile.DocumentPart> documents(UUID jobId) {
        List<Document> kept =
                documents.ofJob(jobId).stream().filter(d -> !d.putAway()).toList();
        return new OneByOne<>(
                kept, d -> new JobFile.DocumentPart(d.name(), d.at().toString(), encoded(documents.bytes(d.id()))));
    }

    private static String encoded(byte[] bytes) {
        return Base64.getEncoder().encodeToString(bytes);
    }

    private List<JobFile.LayoutPart> layouts(UUID zoneId) {
        return some(Stream.concat(
                        planks.of(zoneId).stream()
                                .map(l -> new JobFile.LayoutPart(
                                        l.cycle(),
                                        l.layerId(),
                                        planks.find(l).orElseThrow().form(),
                                        null)),
                        stamps.of(zoneId).stream()
                                .map(l -> new JobFile.LayoutPart(
                                        l.cycle(),
                                        l.layerId(),
                                        null,
                                        stamps.find(l).orElseThrow())))
                .toList());
    }

    private static <T> List<T> some(List<T> all) {
        return all.isEmpty() ? null : all;
    }

    private static JobFile.CyclePart part(ZoneStore.StoredCycle c) {
        return new JobFile.CyclePart(
                c.kind().name(),
                c.began().toString(),
                c.by(),
                c.why(),
                c.patch().flatMap(Patch::measured).map(Value::typed).orElse(null),
                c.patch().map(Patch::ring).filter(r -> !r.isEmpty()).orElse(null),
                said(c.buildUp().system()),
                c.layers().stream()
                        .map(l -> new JobFile.LayerPart(
                                l.id(),
                                said(l.title()),
                                said(l.role()),
                                l.digest(),
                                said(l.way()),
                                l.rate().map(Value::typed).orElse(null),
                                l.reserve().map(Value::typed).orElse(null),
                                l.plannedStart().map(Object::toString).orElse(null)))
                        .toList());
    }

    private static String said(String words) {
        return words.isEmpty() ? null : words;
    }

    /** @param pictures the photos of the entries that have any */
    private JobFile.EntryPart part(LogEntry e, Map<UUID, List<UUID>> pictures) {
        UUID key = UUID.fromString(e.key());
        Map<String, String> typed = new TreeMap<>();
        e.values().forEach((field, value) -> typed.put(field, value.typed()));
        return new JobFile.EntryPart(
                e.key(),
                new LogForm(
                        e.kind().name(),
                        e.subject(),
                        e.place(),
                        e.at().toString(),
                        e.by(),
                        e.note(),
                        typed,
                        e.instrument().map(PapersForm::of).orElse(null),
                        e.ring().isEmpty() ? null : e.ring(),
                        e.cycle(),
                        e.method().isEmpty() ? null : e.method()),
                pictures.containsKey(key)
                        ? new OneByOne<>(
                                pictures.get(key), id -> encoded(photos.get(id).bytes()))
                        : null);
    }

    /**
     * @param asCopy gives everything a fresh id, so that a job that is already here can stand beside itself
     * @return the job's id
     * @throws InvalidInput naming the place in the file
     * @throws Refusal when the job is already here
     */
    UUID read(UUID key, JobFile file, boolean asCopy) {
        return UUID.fromString(writes.once(key, List.of("import", asCopy, file), () -> {
            requireFormat(file);
            return new Taking(file, asCopy).store().toString();
        }));
    }

    private static void requireFormat(JobFile file) {
        var faults = new Faults();
        if (!JobFile.FORMAT.equals(file.format())) {
            faults.add("format", file.format(), JobFile.FORMAT);
        }
        if (file.formatVersion() < JobFile.OLDEST || file.formatVersion() > JobFile.VERSION) {
            faults.add("formatVersion", file.formatVersion(), "version " + JobFile.OLDEST + " to " + JobFile.VERSION);
        }
        if (file.revision() > MOST_REVISIONS) {
            faults.add("revision", file.revision(), "at most " + MOST_REVISIONS);
        }
        if (file.zones() == null) {
            faults.add("zones", null, "a list of zones, empty if there are none");
        }
        if (file.sheets() == null) {
            faults.add("sheets", null, "every sheet that the zones use");
        }
        faults.check();
    }

    private void requireSheets(JobFile file) {
        file.sheets().forEach((digest, form) -> {
            String path = "sheets." + digest;
            SheetForm present = required(path, form);
            String stored = at(path, () -> sheets.bring(present));
            if (!stored.equals(digest)) {
                throw new InvalidInput(
                        path, "a sheet with digest " + stored, "the sheet whose digest stands before it");
            }
        });
    }

    /** One file that is being stored, in one transaction. */
    private final class Taking {
        private final JobFile file;
        private final UnaryOperator<String> renamed;
        private final UUID jobId;
        private final JobFacts job;
        private final Set<UUID> keys = new HashSet<>();

        Taking(JobFile file, boolean asCopy) {
            this.file = file;
            renamed = asCopy ? fresh() : id -> id;
            jobId = uuid("id", file.id(), renamed);
            var facts = required("job", file.job());
            job = at("job", facts::read);
        }

        UUID store() {
            if (store.find(jobId).isPresent()) {
                throw new Refusal(
                        "job-already-here",
                        "This job is already on the rack.",
                        "Import it as a copy, or keep the one that is here.");
            }
            store.insert(jobId, job, Math.max(1, file.revision()));
            requireSheets(file);
            for (int i = 0; i < file.zones().size(); i++) {
                zone(file.zones().get(i), "zones[" + i + "]");
            }
            var plan = file.plan() == null ? PlanForm.EMPTY : file.plan();
            at("plan", () -> {
                plans.take(jobId, plan.marking(renamed));
                return plan;
            });
            bought();
            documents();
            return jobId;
        }

        private void bought() {
            List<JobFile.OrderPart> placed = file.orders() == null ? List.of() : file.orders();
            for (int i = 0; i < placed.size(); i++) {
                String path = "orders[" + i + "]";
                UUID id = uuid(path + ".id", required(path, placed.get(i)).id(), renamed);
                requireNew("placed_order", "id", id, path + ".id");
                orders.place(BoughtParts.order(placed.get(i), id, jobId, path, jobs.latest()));
            }
            List<JobFile.DeliveryPart> came = file.deliveries() == null ? List.of() : file.deliveries();
            for (int i = 0; i < came.size(); i++) {
                String path = "deliveries[" + i + "]";
                UUID id = uuid(path + ".id", required(path, came.get(i)).id(), renamed);
                requireNew("delivery", "id", id, path + ".id");
                orders.came(jobId, BoughtParts.delivery(came.get(i), id, path, jobs.latest()));
            }
        }

        /** @param layers of the zone, by cycle */
        private void layouts(UUID zoneId, List<List<LayerChoice>> layers, List<JobFile.LayoutPart> parts, String path) {
            for (int i = 0; parts != null && i < parts.size(); i++) {
                String here = path + ".layouts[" + i + "]";
                JobFile.LayoutPart part = required(here, parts.get(i));
                boolean there = part.cycle() >= 1
                        && part.cycle() <= layers.size()
                        && layers.get(part.cycle() - 1).stream().anyMatch(l -> l.id().equals(part.layer()));
                if (!there) {
                    throw new InvalidInput(here + ".layer", part.layer(), "a layer of the zone in that cycle");
                }
                if ((part.planks() == null) == (part.stamps() == null)) {
                    throw new InvalidInput(here, "both or neither", "planks, or stamps");
                }
                var key = new LayerKey(zoneId, part.cycle(), part.layer());
                if (part.planks() != null) {
                    at(here + ".planks", () -> part.planks().read(job.units()));
                    planks.put(key, 1, part.planks());
                } else {
                    at(here + ".stamps", () -> part.stamps().read(job.units()));
                    stamps.put(key, part.stamps());
                }
            }
        }

        private void zone(JobFile.ZonePart part, String path) {
            required(path, part);
            UUID zoneId = uuid(path + ".id", part.id(), renamed);
            requireNew("zone", "id", zoneId, path + ".id");
            var choice = readZone(path + ".facts", part.facts(), job);
            List<ZoneStore.StoredCycle> cycles = cycles(part, path);
            zones.insert(jobId, zoneId, choice, cycles);
            List<List<LayerChoice>> layers = jobs.layers(cycles);
            layouts(zoneId, layers, part.layouts(), path);
            log(zoneId, layers, required(path + ".log", part.log()), path);
        }

        private List<ZoneStore.StoredCycle> cycles(JobFile.ZonePart part, String path) {
            if (file.formatVersion() < JobFile.CYCLES) {
                List<JobFile.LayerPart> layers = required(path + ".layers", part.layers());
                return List.of(ZoneStore.StoredCycle.first(
                        jobs.latest(), new ZoneStore.StoredBuildUp(BuildUps.USUAL, layers(layers, path + ".layers"))));
            }
            List<JobFile.CyclePart> parts = required(path + ".cycles", part.cycles());
            if (parts.isEmpty() || parts.size() > Jobs.MOST_CYCLES) {
                throw new InvalidInput(path + ".cycles", parts.size() + " cycles", "1 to " + Jobs.MOST_CYCLES);
            }
            var cycles = new ArrayList<ZoneStore.StoredCycle>();
            for (int i = 0; i < parts.size(); i++) {
                cycles.add(cycle(i + 1, parts.get(i), path + ".cycles[" + i + "]"));
            }
            return cycles;
        }

        private ZoneStore.StoredCycle cycle(int number, JobFile.CyclePart part, String path) {
            required(path, part);
            boolean first = number == 1;
            var form = new CycleForm(
                    part.kind(),
                    part.at(),
                    first && part.by() == null ? "" : part.by(),
                    part.why(),
                    part.patch(),
                    part.ring());
            CycleChoice choice = at(path, () -> form.readKept(first, job.units(), jobs.latest()));
            return new ZoneStore.StoredCycle(
                    number,
                    choice.kind(),
                    choice.began(),
                    choice.by(),
                    choice.why(),
                    choice.patch(),
                    new ZoneStore.StoredBuildUp(
                            file.formatVersion() < JobFile.SYSTEMS
                                    ? BuildUps.USUAL
                                    : word(path + ".system", part.system(), 60),
                            layers(required(path + ".layers", part.layers()), path + ".layers")));
        }

        private List<ZoneStore.StoredLayer> layers(List<JobFile.LayerPart> parts, String path) {
            var layers = new ArrayList<ZoneStore.StoredLayer>();
            for (int i = 0; i < parts.size(); i++) {
                layers.add(layer(parts.get(i), path + "[" + i + "]", job.units()));
            }
            if (layers.stream().map(ZoneStore.StoredLayer::id).distinct().count() < layers.size()) {
                throw new InvalidInput(path, "one id twice", "layers each of another id");
            }
            return layers;
        }

        private void log(UUID zoneId, List<List<LayerChoice>> layers, List<JobFile.EntryPart> parts, String path) {
            Map<UUID, String> places = new LinkedHashMap<>();
            var before = new HashSet<String>();
            var scope = new LogScope(job.units(), layers, Collections.unmodifiableSet(before), jobs.latest());
            var entries = new ArrayList<LogEntry>();
            for (int i = 0; i < parts.size(); i++) {
                String here = path + ".log[" + i + "]";
                var entry = required(here, parts.get(i));
                UUID entryKey = uuid(here + ".key", entry.key(), renamed);
                if (!keys.add(entryKey)) {
                    throw new InvalidInput(here + ".key", entry.key(), "a key that no other entry has");
                }
                var form = required(here + ".entry", entry.entry());
                var strike = "STRIKE".equals(form.kind()) && form.subject() != null;
                entries.add(at(
                        here + ".entry", () -> (strike ? withSubject(form, renamed) : form).readKept(entryKey, scope)));
                before.add(entryKey.toString());
                places.put(entryKey, here);
            }
            logs.ofOthers(jobId, places.keySet()).stream().findFirst().ifPresent(k -> {
                throw new InvalidInput(places.get(k) + ".key", k, NEW_ID);
            });
            logs.appendAll(zoneId, entries);
            int i = 0;
            for (UUID entryKey : places.keySet()) {
                photos(places.get(entryKey), entryKey, parts.get(i++).photos());
            }
        }

        private void photos(String path, UUID entryKey, List<String> encoded) {
            for (int i = 0; encoded != null && i < encoded.size(); i++) {
                String here = path + ".photos[" + i + "]";
                photos.insert(UUID.randomUUID(), entryKey, PhotoStore.read(here, decoded(here, encoded.get(i))));
            }
        }

        private void documents() {
            List<JobFile.DocumentPart> parts = file.documents() == null ? List.of() : file.documents();
            for (int i = 0; i < parts.size(); i++) {
                String path = "documents[" + i + "]";
                var part = required(path, parts.get(i));
                String here = path + ".bytes";
                var faults = new Faults();
                var at = faults.moment(path + ".at", part.at(), jobs.latest());
                faults.check();
                documents.keepWithJob(
                        UUID.randomUUID(),
                        jobId,
                        Document.read(path + ".name", part.name(), here, decoded(here, part.bytes())),
                        at);
            }
        }

        private static byte[] decoded(String path, String text) {
            try {
                return Base64.getDecoder().decode(required(path, text));
            } catch (IllegalArgumentException e) {
                throw new InvalidInput(path, text.length() + " characters", "a file in base64");
            }
        }
    }

    /** What is made of each, one at a time in memory: what is kept is never changed, so that it can be read after the rest. */
    private static final class OneByOne<K, T> extends AbstractList<T> {
        private final List<K> kept;
        private final Function<K, T> made;

        OneByOne(List<K> kept, Function<K, T> made) {
            this.kept = kept;
            this.made = made;
        }

        @Override
        public T get(int i) {
            return made.apply(kept.get(i));
        }

        @Override
        public int size() {
            return kept.size();
        }
    }

    private static ZoneChoice readZone(String path, ZoneForm form, JobFacts job) {
        ZoneForm present = required(path, form);
        return at(path, () -> present.read(job));
    }

    private ZoneStore.StoredLayer layer(JobFile.LayerPart part, String path, UnitSystem units) {
        required(path, part);
        var faults = new Faults();
        String id = faults.line(path + ".id", part.id(), 1, 40);
        if (part.sheet() == null || !sheets.has(part.sheet())) {
            faults.add(path + ".sheet", part.sheet(), "the digest of one of the file's sheets");
        }
        var start = part.plannedStart() == null
                ? null
                : faults.moment(path + ".plannedStart", part.plannedStart(), java.time.Instant.MAX);
        faults.check();
        var form = new LayerForm(
                id, part.sheet(), or(part.title()), part.role(), null, or(part.rate()), or(part.reserve()), null);
        return buildUps.kept(path, form, word(path + ".way", part.way(), 100), Optional.ofNullable(start), units);
    }

    private static String or(String text) {
        return text == null ? "" : text;
    }

    private static String word(String path, String text, int most) {
        var faults = new Faults();
        String word = faults.line(path, or(text), 0, most);
        faults.check();
        return word;
    }

    private void requireNew(String table, String column, UUID id, String path) {
        int there = db.sql("select count(*) from " + table + " where " + column + " = :id")
                .param("id", id)
                .query(Integer.class)
                .single();
        if (there > 0) {
            throw new InvalidInput(path, id, NEW_ID);
        }
    }

    private static LogForm withSubject(LogForm f, UnaryOperator<String> renamed) {
        return new LogForm(
                f.kind(),
                renamed.apply(f.subject()),
                f.place(),
                f.at(),
                f.by(),
                f.note(),
                f.values(),
                f.instrument(),
                f.ring(),
                f.cycle(),
                f.method());
    }

    /** The same fresh id for the same old one, so that a strike still names what it struck. */
    private static UnaryOperator<String> fresh() {
        Map<String, String> given = new HashMap<>();
        return id -> given.computeIfAbsent(id, old -> UUID.randomUUID().toString());
    }

    private static UUID uuid(String path, String text, UnaryOperator<String> renamed) {
        try {
            return UUID.fromString(
                    renamed.apply(UUID.fromString(required(path, text)).toString()));
        } catch (IllegalArgumentException e) {
            throw new InvalidInput(path, text, "a UUID");
        }
    }

    private static <T> T required(String path, T part) {
        if (part == null) {
            throw new InvalidInput(path, null, "present");
        }
        return part;
    }

    /** Runs {@code read}; its faults are told with where in the file they are. */
    private static <T> T at(String path, java.util.function.Supplier<T> read) {
        try {
            return read.get();
        } catch (InvalidInput e) {
            throw new InvalidInput(
                    e.faults().stream()
                            .map(f -> new InvalidInput.Fault(path + "." + f.field(), f.value(), f.accepted()))
                            .toList(),
                    e.more());
        }
    }
}
