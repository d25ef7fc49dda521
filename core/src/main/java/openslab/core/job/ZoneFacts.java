package openslab.core.job;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.air.SlabHistory;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Shape;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.floor.plan.Doubt;
import openslab.core.floor.plan.Flaws;
import openslab.core.mix.Crew;
import openslab.core.prep.SiteLimits;
import openslab.core.product.Exposure;
import openslab.core.survey.Reading;
import openslab.core.survey.Standing;
import openslab.core.survey.Survey;
import openslab.core.survey.TestMethod;
import openslab.core.survey.TestMethods;
import openslab.core.survey.area.Defect;
import openslab.core.survey.area.DefectArea;
import openslab.core.survey.method.Climate;
import openslab.core.survey.place.Placement;

/**
 * What is known of a zone, and what was chosen for it. The log is sifted once: everything derived asks it again and again.
 */
public final class ZoneFacts {
    /**
     * What a plan says of a zone beside its shape.
     *
     * @param doubts why its shape cannot be built on yet; empty where it was typed
     * @param flaws what has to be made good
     */
    public record PlanFacts(List<Doubt> doubts, Flaws flaws) {
        /** Of a zone whose sides were typed. */
        public static final PlanFacts NONE = new PlanFacts(List.of(), Flaws.NONE);

        public PlanFacts {
            doubts = List.copyOf(doubts);
        }
    }

    private record About(LogEntry.Kind kind, String subject) {}

    private final String id;
    private final String name;
    private final Shape shape;
    private final PlanFacts plan;
    private final Substrate substrate;
    private final Use use;
    private final Exposure exposure;
    private final SiteLimits site;
    private final ZoneFields.Settings settings;
    private final List<LayerChoice> layers;
    private final List<LogEntry> log;
    private final List<LogEntry> unstruck;
    private final Map<About, List<LogEntry>> standing;
    private final Survey survey;
    private final List<Placement.Marked> places;
    private final List<Standing.Out> standingTests;
    private final SlabHistory slab;

    /**
     * @param plan what the plan says of it beside its shape
     * @param layers from the slab upward
     * @param log oldest first, struck entries and their strikes included
     */
    public ZoneFacts(
            String id,
            String name,
            Shape shape,
            PlanFacts plan,
            Substrate substrate,
            Use use,
            Exposure exposure,
            SiteLimits site,
            ZoneFields.Settings settings,
            List<LayerChoice> layers,
            List<LogEntry> log) {
        this.id = id;
        this.name = name;
        this.shape = shape;
        this.plan = plan;
        this.substrate = substrate;
        this.use = use;
        this.exposure = exposure;
        this.site = site;
        this.settings = settings;
        this.layers = List.copyOf(layers);
        this.log = List.copyOf(log);
        this.unstruck = LogEntry.standing(this.log).stream().filter(Known::is).toList();
        this.standing = unstruck.stream().collect(Collectors.groupingBy(e -> new About(e.kind(), e.subject())));
        Map<String, LogEntry> marked = new TreeMap<>();
        unstruck.stream()
                .filter(e -> e.kind() == LogEntry.Kind.PLACE)
                .forEach(e -> marked.merge(e.place(), e, (a, b) -> b.at().isBefore(a.at()) ? a : b));
        this.places = marked.values().stream()
                .map(e -> new Placement.Marked(
                        e.place(),
                        new Corner(
                                e.values().get("along").base(),
                                e.values().get("off").base())))
                .toList();
        List<Reading> readings = unstruck.stream()
                .filter(e -> e.kind() == LogEntry.Kind.READING)
                .map(e -> new Reading(e.key(), e.subject(), e.place(), e.at(), e.by(), e.values(), e.instrument()))
                .toList();
        List<DefectArea> areas = unstruck.stream()
                .filter(e -> e.kind() == LogEntry.Kind.AREA)
                .map(e -> new DefectArea(
                        e.key(),
                        Defect.find(e.subject()).orElseThrow(),
                        e.place(),
                        e.ring(),
                        DefectArea.withinM2(shape.rings(), List.of(e.ring())),
                        e.at()))
                .toList();
        this.survey = new Survey(readings, areas, places, substrate);
        this.standingTests = standingTests(unstruck, survey);
        this.slab = new SlabHistory(readings.stream()
                .filter(r -> r.method().equals(Climate.ID))
                .map(r -> new SlabHistory.Read(r.at(), r.number("slab")))
                .toList());
    }

    /** The same zone as it was known at {@code at}: what happened later had not happened yet. */
    ZoneFacts asOf(Instant at) {
        return logged(unstruck.stream().filter(e -> !e.at().isAfter(at)).toList());
    }

    /** The same zone with one entry more. */
    ZoneFacts with(LogEntry entry) {
        return logged(Stream.concat(log.stream(), Stream.of(entry)).toList());
    }

    private ZoneFacts logged(List<LogEntry> entries) {
        return new ZoneFacts(id, name, shape, plan, substrate, use, exposure, site, settings, layers, entries);
    }

    public String id() {
        return id;
    }

    public String name() {
        return name;
    }

    public Shape shape() {
        return shape;
    }

    public PlanFacts plan() {
        return plan;
    }

    public Substrate substrate() {
        return substrate;
    }

    public Use use() {
        return use;
    }

    public Exposure exposure() {
        return exposure;
    }

    public SiteLimits site() {
        return site;
    }

    public Crew crew() {
        return settings.crew();
    }

    public ZoneFields.Settings settings() {
        return settings;
    }

    public List<LayerChoice> layers() {
        return layers;
    }

    public List<LogEntry> log() {
        return log;
    }

    /** Everything that stands in the log and still means something, in the order it was logged. */
    public List<LogEntry> standing() {
        return unstruck;
    }

    /** What stands in the log of this kind about {@code subject}, oldest first. */
    public List<LogEntry> standing(LogEntry.Kind kind, String subject) {
        return standing.getOrDefault(new About(kind, subject), List.of());
    }

    /** The newest standing entry of its kind about {@code subject}; of two at the same minute, the one logged later. */
    public Optional<LogEntry> newest(LogEntry.Kind kind, String subject) {
        return standing(kind, subject).stream().reduce((a, b) -> b.at().isBefore(a.at()) ? a : b);
    }

    /** Every reading that stands. */
    public Survey survey() {
        return survey;
    }

    /** Where the places are that somebody marked, by name. */
    public List<Placement.Marked> places() {
        return places;
    }

    /** Tests that were set out and not read since, the one to be read first at the head. */
    public List<Standing.Out> standingTests() {
        return standingTests;
    }

    private static List<Standing.Out> standingTests(List<LogEntry> unstruck, Survey survey) {
        return unstruck.stream()
                .filter(e -> e.kind() == LogEntry.Kind.SET)
                .filter(e -> survey.all(e.subject()).stream()
                        .noneMatch(r -> r.place().equals(e.place()) && !r.at().isBefore(e.at())))
                .flatMap(e -> {
                    TestMethod method = TestMethods.of(e.subject());
                    return method.standing().stream().map(s -> s.out(e.key(), method, e.place(), e.at()));
                })
                .sorted(Comparator.comparing(Standing.Out::from))
                .toList();
    }

    /** The slab's temperature, as often as it was read. */
    public SlabHistory slab() {
        return slab;
    }

    /** The slab's temperature of what is to begin at {@code at}, °C: what somebody plans with, else what was read nearest. */
    public OptionalDouble plannedSlabC(Instant at) {
        return settings.planSlabC().map(OptionalDouble::of).orElseGet(() -> slab.nearest(at));
    }

    /** The slab's temperature of what began at {@code at}, °C: what was read nearest, else what somebody planned with. */
    public OptionalDouble slabC(Instant at) {
        OptionalDouble read = slab.nearest(at);
        return read.isPresent() ? read : plannedSlabC(at);
    }
}
