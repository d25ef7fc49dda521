package openslab.server.job;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.air.Daylight;
import openslab.core.choose.Needs;
import openslab.core.course.work.Work;
import openslab.core.job.Conduct;
import openslab.core.job.KnownGates;
import openslab.core.job.KnownWorks;
import openslab.core.job.LogEntry;
import openslab.core.job.Mark;
import openslab.core.job.RunningClock;
import openslab.core.job.Stratum;
import openslab.core.job.ZoneReport;
import openslab.core.prep.PrepMethods;
import openslab.core.prep.Things;
import openslab.core.quantity.Field;
import openslab.core.quantity.Show;
import openslab.core.quantity.Value;
import openslab.core.survey.Finding;
import openslab.core.survey.area.Defect;
import openslab.core.survey.method.TestMethods;
import openslab.core.system.LayUp;
import openslab.server.form.JobForm;
import openslab.server.form.ZoneForm;
import openslab.server.product.SheetStore;
import openslab.server.store.Snapshot;
import org.springframework.stereotype.Component;

/** Jobs as the screens are told of them. */
@Component
public class JobViews {
    /**
     * @param lead the zone whose clock runs out first
     * @param beside its other zones, the next one first
     * @param due when the job wants somebody
     */
    record RackItem(
            UUID id,
            String name,
            String client,
            String place,
            String timeZone,
            boolean archived,
            int version,
            int zones,
            RunningClock.Due due,
            Optional<LeadZone> lead,
            List<Beside> beside) {}

    record LeadZone(UUID id, String name, String area, String system, List<Stratum> strata, RunningClock.Next next) {}

    /** A zone of the same job, in a word. */
    record Beside(UUID id, String name, Mark mark, String word) {}

    /**
     * @param photos of the log entries that have any, by the entry's key
     */
    record JobView(
            UUID id,
            int version,
            JobForm facts,
            Instant now,
            List<ZoneView> zones,
            List<LogView> log,
            Map<UUID, List<UUID>> photos) {}

    /**
     * A job as every screen of it needs it; what a screen shows beside that is its stage.
     *
     * @param changes counts what was written about the job, of whatever kind
     * @param daylight where the floors lie, around now; none where nobody said where that is
     */
    record HeadView(
            UUID id,
            int version,
            long changes,
            JobForm facts,
            Instant now,
            List<ZoneHead> zones,
            List<Daylight> daylight) {}

    record ZoneHead(UUID id, ZoneForm facts, ZoneReport.Head report) {}

    /** What a write about a zone's log answers. @param key of the entry */
    record Logged(UUID key, HeadView head) {}

    /** @param layers which sheet each layer has, and the digest of another of its slug where that is on the shelf */
    record ZoneView(UUID id, ZoneForm facts, List<LayerView> layers, ZoneReport report) {}

    public record LayerView(
            String id,
            String slug,
            String digest,
            String name,
            Optional<String> shelved,
            String title,
            String role,
            String way,
            Optional<String> rate,
            Optional<String> reserve,
            Optional<Instant> plannedStart) {}

    /**
     * @param what the entry in words
     * @param against what stood against it when it was done, in a few words each
     * @param struck a later entry says it was a mistake
     * @param cycle which of the zone's cycles it belongs to
     */
    record LogView(
            String key,
            UUID zoneId,
            String zone,
            LogEntry.Kind kind,
            String subject,
            String what,
            String place,
            Instant at,
            String by,
            String note,
            List<String> against,
            boolean struck,
            int cycle) {}

    private final JobStore store;
    private final ZoneStore zones;
    private final SheetStore sheets;
    private final PhotoStore photos;
    private final ZoneReader reader;
    private final Heads heads;
    private final Snapshot snapshot;
    private final Clock clock;

    JobViews(
            JobStore store,
            ZoneStore zones,
            SheetStore sheets,
            PhotoStore photos,
            ZoneReader reader,
            Heads heads,
            Snapshot snapshot,
            Clock clock) {
        this.store = store;
        this.zones = zones;
        this.heads = heads;
        this.snapshot = snapshot;
        this.sheets = sheets;
        this.photos = photos;
        this.reader = reader;
        this.clock = clock;
    }

    /** The clock that runs out first stands first. */
    List<RackItem> rack() {
        return snapshot.of(this::readRack);
    }

    private List<RackItem> readRack() {
        Map<UUID, Integer> counts = zones.counts();
        return store.all().stream()
                .map(job -> rackItem(job, counts.getOrDefault(job.id(), 0)))
                .sorted(Comparator.comparing(
                        (RackItem i) -> i.lead().map(LeadZone::next).orElse(null),
                        Comparator.nullsLast(RunningClock.Next.FIRST)))
                .toList();
    }

    /** What is put away is not worked out: nobody waits for it. */
    private RackItem rackItem(JobStore.StoredJob job, int zoneCount) {
        var f = job.facts();
        List<Heads.Zone> floors = f.archived() ? List.of() : heads.inTurn(job);
        Optional<LeadZone> lead = floors.stream()
                .findFirst()
                .map(z -> new LeadZone(
                        z.id(),
                        z.report().name(),
                        z.report().area().text(),
                        z.system(),
                        z.report().strata(),
                        z.report().next()));
        List<Beside> beside = floors.stream()
                .skip(1)
                .map(z -> new Beside(
                        z.id(),
                        z.report().name(),
                        z.report().next().mark(),
                        z.report().next().word()))
                .toList();
        return new RackItem(
                job.id(),
                f.name(),
                f.client(),
                f.place(),
                f.timeZone().getId(),
                f.archived(),
                job.version(),
                zoneCount,
                // a job that nobody measured yet waits for that
                lead.map(z -> z.next().due(clock.instant())).orElse(RunningClock.Due.WAITING),
                lead,
                beside);
    }

    /** @throws openslab.server.web.NotHere where there is no such job */
    void require(UUID id) {
        store.get(id);
    }

    HeadView head(UUID id) {
        return snapshot.of(() -> {
            var job = store.get(id);
            Instant now = clock.instant();
            return new HeadView(
                    id,
                    job.version(),
                    job.changes(),
                    JobForm.of(job.facts()),
                    now,
                    heads.of(job).stream()
                            .map(z -> new ZoneHead(z.id(), z.facts(), z.report()))
                            .toList(),
                    Daylight.around(job.facts().where(), now));
        });
    }

    /** The photos of the entries of a job that have any, by the entry's key. */
    Map<UUID, List<UUID>> photosOf(UUID jobId) {
        return photos.of(jobId);
    }

    JobView job(UUID id) {
        return reader.job(id, job -> {
            List<Read> read = job.zones().stream().map(this::read).toList();
            return new JobView(
                    id,
                    job.stored().version(),
                    JobForm.of(job.stored().facts()),
                    job.now(),
                    read.stream().map(Read::view).toList(),
                    newestFirst(read.stream().map(r -> log(r.stored(), r.conduct()))),
                    photos.of(id));
        });
    }

    /** The logbook of a job, newest first. */
    record LogBook(long changes, List<LogView> log, Map<UUID, List<UUID>> photos) {}

    LogBook logBook(UUID id) {
        return reader.job(
                id,
                job -> new LogBook(
                        job.stored().changes(),
                        newestFirst(job.zones().stream().map(z -> log(z.stored(), everStood(z)))),
                        photos.of(id)));
    }

    private static List<LogView> newestFirst(Stream<List<LogView>> logs) {
        return logs.flatMap(List::stream)
                .sorted(Comparator.comparing(LogView::at).reversed())
                .toList();
    }

    /** A zone, and everything that was ever done in it although something stood against it. */
    private record Read(ZoneStore.StoredZone stored, ZoneView view, List<Conduct.Stood> conduct) {}

    /** Which sheet each layer of a zone has. */
    public List<LayerView> layers(ZoneStore.StoredZone zone) {
        return zone.layers().stream()
                .map(l -> {
                    var stored = sheets.of(l.digest());
                    Optional<String> shelved = sheets.onShelf(stored.sheet().slug())
                            .map(SheetStore.Stored::digest)
                            .filter(d -> !d.equals(l.digest()));
                    return new LayerView(
                            l.id(),
                            stored.sheet().slug(),
                            l.digest(),
                            stored.sheet().name(),
                            shelved,
                            reader.layer(l).title(),
                            reader.layer(l).role().name(),
                            l.way(),
                            l.rate().map(Value::typed),
                            l.reserve().map(Value::typed),
                            l.plannedStart());
                })
                .toList();
    }

    private Read read(KnownZone r) {
        var view = new ZoneView(r.stored().id(), ZoneForm.of(r.stored().choice()), layers(r.stored()), r.report());
        return new Read(r.stored(), view, everStood(r));
    }

    private static List<Conduct.Stood> everStood(KnownZone r) {
        return Stream.concat(r.report().conduct().stream(), Conduct.ofEarlierCycles(r.facts(), r.units()).stream())
                .toList();
    }

    private List<LogView> log(ZoneStore.StoredZone zone, List<Conduct.Stood> conduct) {
        Map<String, List<String>> against = conduct.stream()
                .collect(Collectors.toMap(
                        Conduct.Stood::key,
                        s -> s.findings().stream().map(Finding::brief).toList()));
        Set<String> struck = zone.log().stream()
                .filter(e -> e.kind() == LogEntry.Kind.STRIKE)
                .map(LogEntry::subject)
                .collect(Collectors.toSet());
        Map<String, LogEntry> byKey = zone.log().stream().collect(Collectors.toMap(LogEntry::key, e -> e));
        var views = new ArrayList<LogView>();
        for (LogEntry e : zone.log()) {
            views.add(new LogView(
                    e.key(),
                    zone.id(),
                    zone.choice().name(),
                    e.kind(),
                    e.subject(),
                    what(e, byKey),
                    e.place(),
                    e.at(),
                    e.by(),
                    e.note(),
                    against.getOrDefault(e.key(), List.of()),
                    struck.contains(e.key()),
                    e.cycle()));
        }
        return views;
    }

    private static String needs(LogEntry e) {
        String words = Needs.ALL.stream()
                .filter(n -> e.values().containsKey(n.id()))
                .map(n -> Show.lower(n.field().label()) + " "
                        + Show.lower(n.words(e.values().get(n.id()))))
                .collect(Collectors.joining(", "));
        return words.isEmpty() ? "nothing in particular" : words;
    }

    private static String what(LogEntry e, Map<String, LogEntry> byKey) {
        String values = e.values().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(v -> v.getKey() + " " + v.getValue().typed())
                .collect(Collectors.joining(", "));
        return switch (e.kind()) {
            case READING ->
                method(e) + ": "
                        + TestMethods.find(e.subject())
                                .map(m -> told(m.fields(), e))
                                .orElse(values);
            case GATE ->
                gate(e) + ": "
                        + KnownGates.fields(e.subject()).map(f -> told(f, e)).orElse(values);
            case BATCH -> "Batch mixed for the " + e.subject() + ": " + values;
            case COAT -> "Coat done: " + e.subject() + (values.isEmpty() ? "" : ", " + values);
            case METHOD ->
                "Prepared by: "
                        + PrepMethods.find(e.subject())
                                .map(m -> Show.lower(m.title()))
                                .orElse(e.subject());
            case NEED -> "Needed of the floor: " + needs(e);
            case COLOUR -> "Came for the " + e.subject() + ": " + values;
            case BEGUN -> work(e) + " begun";
            case DONE -> work(e) + " done" + (values.isEmpty() ? "" : ": " + values);
            case TICK ->
                "At hand: "
                        + LayUp.layerOf(e.subject())
                                .map(l -> "the material of the " + l)
                                .or(() -> Things.label(e.subject()))
                                .orElse(e.subject());
            case PLACE -> "Place marked: " + values;
            case SET -> method(e) + " set out";
            case AREA -> "Drawn: " + Defect.find(e.subject()).map(Defect::label).orElse(e.subject());
            case NOTE -> "Note";
            case STRIKE ->
                "Struck: " + (byKey.containsKey(e.subject()) ? what(byKey.get(e.subject()), byKey) : e.subject());
        };
    }

    /** What it is called today; by its id where it is no more. */
    private static String method(LogEntry e) {
        return TestMethods.find(e.subject()).map(m -> m.about().title()).orElse(e.subject());
    }

    /**
     * What was keyed in, in the words in which it was asked: of signs what was seen, and where a choice was the only question the
     * answer alone.
     */
    private static String told(List<Field> fields, LogEntry e) {
        List<Field> answered =
                fields.stream().filter(f -> e.values().containsKey(f.id())).toList();
        if (answered.size() > 1 && answered.stream().allMatch(JobViews::isSign)) {
            String seen = answered.stream()
                    .filter(f -> e.values().get(f.id()).typed().equals("yes"))
                    .map(f -> Show.lower(f.label()))
                    .collect(Collectors.joining(", "));
            return seen.isEmpty() ? "nothing seen" : seen;
        }
        return answered.stream()
                .map(f -> (fields.size() == 1 && !f.choices().isEmpty() ? "" : Show.lower(f.label()) + " ")
                        + answer(f, e.values().get(f.id())))
                .collect(Collectors.joining(", "));
    }

    private static boolean isSign(Field field) {
        return field.choices().stream().map(Field.Choice::id).toList().equals(List.of("no", "yes"));
    }

    private static String answer(Field field, Value value) {
        return field.choices().stream()
                .filter(c -> c.id().equals(value.typed()))
                .map(c -> Show.lower(c.label()))
                .findFirst()
                .orElse(value.typed());
    }

    /** A gate is called as its step calls it; by its id where it is no more. */
    private static String gate(LogEntry e) {
        return ofLayer(e, KnownGates.title(e.subject()).orElse(LayUp.within(e.subject())));
    }

    private static String work(LogEntry e) {
        return ofLayer(e, KnownWorks.ofStep(e.subject()).map(Work::title).orElse(e.subject()));
    }

    private static String ofLayer(LogEntry e, String what) {
        return LayUp.layerOf(e.subject()).map(l -> what + " of the " + l).orElse(what);
    }
}
