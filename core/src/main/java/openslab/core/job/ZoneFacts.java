package openslab.core.job;

import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.air.SlabHistory;
import openslab.core.course.Step;
import openslab.core.floor.Ground;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Shape;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.floor.plan.Doubt;
import openslab.core.floor.plan.Flaws;
import openslab.core.floor.plan.FloorPlan;
import openslab.core.floor.plan.PlanReport;
import openslab.core.floor.plan.Steep;
import openslab.core.mix.Allowance;
import openslab.core.mix.Crew;
import openslab.core.mix.TakeOff;
import openslab.core.mix.Used;
import openslab.core.practice.Place;
import openslab.core.practice.Practices;
import openslab.core.prep.PrepAsks;
import openslab.core.prep.SiteLimit;
import openslab.core.prep.SiteLimits;
import openslab.core.product.Chemistry;
import openslab.core.product.Exposure;
import openslab.core.product.LayerRole;
import openslab.core.product.Material;
import openslab.core.product.Packed;
import openslab.core.product.ProductSheet;
import openslab.core.product.Tone;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.core.quantity.Worksheet;
import openslab.core.survey.Films;
import openslab.core.survey.Limits;
import openslab.core.survey.Reading;
import openslab.core.survey.SetOut;
import openslab.core.survey.Site;
import openslab.core.survey.TestMethod;
import openslab.core.survey.area.Defect;
import openslab.core.survey.area.DefectArea;
import openslab.core.survey.judge.Survey;
import openslab.core.survey.method.Climate;
import openslab.core.survey.method.ConcreteAge;
import openslab.core.survey.method.FallAndFace;
import openslab.core.survey.method.TestMethods;
import openslab.core.survey.method.WaterDrop;
import openslab.core.survey.place.Placement;
import openslab.core.system.LayerChecks;
import openslab.core.system.ToolByFace;

/**
 * What is known of a zone, and what was chosen for it. The log is sifted once: everything derived asks it again and again.
 */
public final class ZoneFacts {
    /**
     * What a plan says of a zone beside its shape.
     *
     * @param doubts why its shape cannot be built on yet; empty where it was typed
     * @param flaws what has to be made good
     * @param steep what is coated beyond what is seen from above
     */
    public record PlanFacts(List<Doubt> doubts, Flaws flaws, List<Steep> steep) {
        /** Of a zone whose sides were typed. */
        public static final PlanFacts NONE = new PlanFacts(List.of(), Flaws.NONE, List.of());

        public PlanFacts {
            doubts = List.copyOf(doubts);
            steep = List.copyOf(steep);
        }

        /** @param report what follows from {@code plan} */
        public static PlanFacts of(FloorPlan plan, PlanReport report, String zoneId, UnitSystem system) {
            return new PlanFacts(
                    report.doubts(zoneId), Flaws.of(plan, report, zoneId, system), Steep.of(plan, report, zoneId));
        }
    }

    /** OURS: concrete of more than a year. */
    private static final double OLD_MIN = Unit.DAY.toBase(365);

    /** What a walk-over calls a sealer, whatever its layer was called. */
    private static final Set<Chemistry> SEALERS =
            Set.of(Chemistry.SOLVENT_ACRYLIC, Chemistry.WATER_ACRYLIC, Chemistry.PENETRATING, Chemistry.WAX);

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
    private final List<Cycle> cycles;
    private final List<LogEntry> log;
    /** Of every cycle. */
    private final List<LogEntry> kept;
    /** Of this cycle, and what earlier ones found that still holds. */
    private final List<LogEntry> unstruck;

    private final Map<About, List<LogEntry>> byAbout;
    private final Map<String, List<LogEntry>> byLayer;
    private final Survey survey;
    private final List<Placement.Marked> places;
    private final List<SetOut.Test> testsOut;
    private final SlabHistory slab;
    private final Ground ground;
    private final List<Past.Laid> film;
    private final Place surroundings;
    /** Of the very layers of this zone: everything derived asks for them again and again. */
    private final Map<LayerChoice, List<Step>> steps = Collections.synchronizedMap(new IdentityHashMap<>());

    private final Map<LayerChoice, Boolean> on = Collections.synchronizedMap(new IdentityHashMap<>());

    private final Map<LayerChoice, ProductSheet> taken = Collections.synchronizedMap(new IdentityHashMap<>());

    /**
     * @param plan what the plan says of it beside its shape
     * @param cycles oldest first; the last is the one that the zone is in
     * @param log of all of them, oldest first, struck entries and their strikes included
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
            List<Cycle> cycles,
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
        this.cycles = List.copyOf(cycles);
        this.log = List.copyOf(log);
        this.kept = LogEntry.unstruck(this.log).stream().filter(Known::is).toList();
        var past = new Past(this.cycles, kept);
        this.ground = past.ground();
        this.film = past.film();
        this.unstruck = kept.stream().filter(past::holds).toList();
        this.byAbout = unstruck.stream().collect(Collectors.groupingBy(e -> new About(e.kind(), e.subject())));
        this.byLayer = unstruck.stream().filter(e -> e.layer().isPresent()).collect(Collectors.groupingBy(e -> e.layer()
                .orElseThrow()));
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
        Stream<DefectArea> drawn = unstruck.stream()
                .filter(e -> e.kind() == LogEntry.Kind.AREA)
                .map(e -> new DefectArea(
                        e.key(),
                        Defect.find(e.subject()).orElseThrow(),
                        e.place(),
                        e.ring(),
                        DefectArea.withinM2(shape.rings(), List.of(e.ring())),
                        e.at()));
        Stream<DefectArea> left = past.comesOff()
                ? Stream.of(DefectArea.everywhere(
                        ownSigns().contains(Films.SEALER) ? Defect.SEALER : Defect.OLD_COAT,
                        shape.rings().get(0),
                        shape.area(UnitSystem.METRIC).base(),
                        cycle().began()))
                : Stream.of();
        this.survey = new Survey(readings, Stream.concat(left, drawn).toList(), places, substrate);
        this.testsOut = testsOut(unstruck, survey);
        this.slab = new SlabHistory(kept.stream()
                .filter(e -> e.kind() == LogEntry.Kind.READING && e.subject().equals(Climate.ID))
                .map(e -> new SlabHistory.Read(e.at(), e.values().get("slab").base()))
                .toList());
        this.surroundings = place();
    }

    private Place place() {
        boolean thirsty = survey.found().current(WaterDrop.ID).stream()
                .anyMatch(r -> r.choice("drop").equals(WaterDrop.DRINKS));
        boolean old = concreteAgeMin().map(age -> age > OLD_MIN).orElse(false);
        boolean livedIn =
                ChoiceReport.said(this).containsKey("odour") || site.also().contains(SiteLimit.OCCUPIED);
        return new Place(exposure, thirsty, old, livedIn, site.also().contains(SiteLimit.QUIET));
    }

    /** The same zone as it was known at {@code at}: what happened later had not happened yet. */
    ZoneFacts asOf(Instant at) {
        return logged(kept.stream().filter(e -> !e.at().isAfter(at)).toList());
    }

    /** The same zone with one entry more. */
    ZoneFacts with(LogEntry entry) {
        return logged(Stream.concat(log.stream(), Stream.of(entry)).toList());
    }

    /** The same zone, worked by these schools. */
    public ZoneFacts following(Practices schools) {
        return new ZoneFacts(
                id, name, shape, plan, substrate, use, exposure, site, settings.following(schools), cycles, log);
    }

    /** The same zone as it was in an earlier cycle, with everything that was logged of it. */
    public ZoneFacts through(int number) {
        List<LogEntry> then = kept.stream().filter(e -> e.cycle() <= number).toList();
        return new ZoneFacts(
                id, name, shape, plan, substrate, use, exposure, site, settings, cycles.subList(0, number), then);
    }

    private ZoneFacts logged(List<LogEntry> entries) {
        return new ZoneFacts(id, name, shape, plan, substrate, use, exposure, site, settings, cycles, entries);
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

    /** What has to be made good in this cycle: nothing under a film that stays, and a patch says itself what it is. */
    public Flaws flaws() {
        return ground.isFilm() || cycle().kind() == CycleKind.REPAIR ? Flaws.NONE : plan.flaws();
    }

    public Substrate substrate() {
        return substrate;
    }

    /** Whether its roughness is told by a profile: concrete, with no film that stays. */
    boolean isProfiled() {
        return substrate.family() == Substrate.Family.CEMENT && !ground.isFilm();
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

    /** What is bought of a layer beyond the bare arithmetic. */
    public Allowance bought(LayerChoice layer) {
        return mixed(layer).keeping(layer.reserveShare());
    }

    /** The crew as it mixes a layer: what is held back stays in its can. */
    public Crew mixing(LayerChoice layer) {
        return crew().with(mixed(layer));
    }

    /** What is laid by depth levels a floor: what lies on that is spread on a flat one. */
    private Allowance mixed(LayerChoice layer) {
        boolean levelled = layers().subList(0, layers().indexOf(layer)).stream()
                .anyMatch(l -> l.sheet().powder().isPresent());
        return levelled ? crew().allowance().on(1) : crew().allowance();
    }

    public ZoneFields.Settings settings() {
        return settings;
    }

    /** Oldest first. */
    public List<Cycle> cycles() {
        return cycles;
    }

    /** The one that the zone is in. */
    public Cycle cycle() {
        return cycles.get(cycles.size() - 1);
    }

    /** What goes on in this cycle, from the slab upward. */
    public List<LayerChoice> layers() {
        return cycle().layers();
    }

    /** Their sheets, each as it is laid here. */
    List<ProductSheet> sheets() {
        return layers().stream().map(this::taken).toList();
    }

    /** A layer's sheet at the rate at which it is laid, as it is taken here. */
    public ProductSheet taken(LayerChoice layer) {
        return taken.computeIfAbsent(layer, l -> settings.practices().taken(l.laid()));
    }

    /** A layer's steps as they are done here. */
    List<Step> steps(LayerChoice layer) {
        return steps.computeIfAbsent(layer, l -> {
            List<Step> laid = settings.practices().laid(l.steps(), l.sheet(), surroundings());
            return FallAndFace.rough(survey.found())
                    .map(rough ->
                            laid.stream().map(s -> ToolByFace.on(s, rough)).toList())
                    .orElse(laid);
        });
    }

    /** How old its concrete was when this cycle began, or when that was read if it was later; min. Empty where nobody said. */
    Optional<Double> concreteAgeMin() {
        return survey.found().newest(ConcreteAge.ID).map(r -> r.number("age") + sinceRead(r.at()));
    }

    /** Nobody begins the first cycle: it counts from what was read. */
    private double sinceRead(Instant at) {
        return cycle().number() == 1
                ? 0
                : Math.max(0, Duration.between(at, cycle().began()).toMinutes());
    }

    /** What schools may want to know of it. */
    public Place surroundings() {
        return surroundings;
    }

    /** What goes on in this cycle, as each is checked against what lies below and above it. */
    public List<LayerChecks.Layer> checked() {
        return layers().stream()
                .map(l -> new LayerChecks.Layer(l.id(), l.title(), l.sheet(), l.laid(), tone(l)))
                .toList();
    }

    /** What was used for a layer. @param colour of the layer then; empty where nobody said */
    record UsedFor(LogEntry entry, LayerChoice layer, String colour) {
        /** What it took out of packs. */
        Packed packed() {
            Material material = layer.sheet().material();
            return material.packed(LogEntry.batch(entry, material, 0).laid());
        }
    }

    /** Everything of every cycle that tells what was used. */
    List<UsedFor> usedEver() {
        record Of(String layer, int cycle) {}
        // asked once for a layer, and not for each of its batches
        Map<Of, String> colours = new HashMap<>();
        return kept.stream()
                .filter(LogEntry::tellsUse)
                .flatMap(e -> cycles.stream()
                        .filter(c -> c.number() == e.cycle())
                        .flatMap(c -> c.layers().stream())
                        .filter(l -> l.id().equals(e.subject()))
                        .map(l -> new UsedFor(
                                e,
                                l,
                                colours.computeIfAbsent(
                                        new Of(l.id(), e.cycle()), of -> colour(of.layer(), of.cycle())))))
                .toList();
    }

    /** When anything went on last in an earlier cycle: what had come by then was for that. Empty where nothing did. */
    public Optional<Instant> laidBefore() {
        return kept.stream()
                .filter(e -> e.kind() == LogEntry.Kind.COAT && e.cycle() < cycle().number())
                .map(LogEntry::at)
                .max(Comparator.naturalOrder());
    }

    /** The colour that was ordered for a layer of this cycle, or that came for it; empty where nobody said. */
    public String colour(LayerChoice layer) {
        return colour(layer.id(), cycle().number());
    }

    /** The same, of a layer that lies there. */
    String colour(Past.Laid laid) {
        return colour(laid.layer().id(), laid.cycle());
    }

    private String colour(String layer, int number) {
        return kept.stream()
                .filter(e -> e.kind() == LogEntry.Kind.COLOUR && e.subject().equals(layer) && e.cycle() == number)
                .reduce((a, b) -> b.at().isBefore(a.at()) ? a : b)
                .map(e -> Optional.ofNullable(e.values().get("ordered"))
                        .orElseGet(() -> e.values().get("name")))
                .map(Value::typed)
                .orElse("");
    }

    private Optional<Tone> tone(LayerChoice layer) {
        return newest(LogEntry.Kind.COLOUR, layer.id())
                .map(e -> e.values().get(LogEntry.TONE))
                .flatMap(v -> Stream.of(Tone.values())
                        .filter(t -> t.id().equals(v.typed()))
                        .findFirst());
    }

    /** Those of this cycle's layers in which something was logged. */
    public List<LayerChoice> begun() {
        return layers().stream().filter(l -> !ofLayer(l.id()).isEmpty()).toList();
    }

    /** What of this cycle's layers is not on yet, from the slab upward. */
    public List<LayerChoice> open() {
        return layers().stream().filter(l -> !isOn(l)).toList();
    }

    /** Whether all of a layer is on: a part of it is not, and no more is one that a failed gate wants anew. */
    boolean isOn(LayerChoice layer) {
        return on.computeIfAbsent(layer, l -> LayLog.coat(LayLog.course(this, l, UnitSystem.METRIC))
                .isThrough());
    }

    /** What was used of a layer of this cycle, batch by batch, and of a coat that says what it took. */
    List<Used.Batch> batches(LayerChoice layer) {
        return LogEntry.batches(
                ofLayer(layer.id()),
                layer.sheet().material(),
                area(UnitSystem.METRIC).base());
    }

    /**
     * How far a layer of this cycle has come; empty where nothing of it was logged.
     *
     * @param allowance that goes on top of what is mixed of it
     * @param planned all of it, what is held back included
     */
    Optional<Used> used(LayerChoice layer, Allowance allowance, Figure planned, UnitSystem system) {
        Material material = taken(layer).material();
        double perM2 = TakeOff.of(1, material, allowance, system).value();
        return Used.of(
                batches(layer), new Used.Plan(planned, perM2, area(system).base(), isOn(layer), material), system);
    }

    /** What this cycle's work stands on. */
    public Ground ground() {
        return ground;
    }

    /** What earlier cycles laid and this one leaves on, from the slab upward. */
    public List<Past.Laid> film() {
        return ground.isFilm() ? film : List.of();
    }

    /** What lies on the floor now, what this cycle laid included, from the slab upward. */
    public List<Past.Laid> lies() {
        return Past.lies(cycles, kept);
    }

    /** What readings of this floor are judged against. */
    public Site judgedBy(Limits limits, UnitSystem units, Instant now) {
        return judgedBy(limits, cycle().asks(), units, now);
    }

    /** The same, for a system that is not chosen. */
    Site judgedBy(Limits limits, PrepAsks asks, UnitSystem units, Instant now) {
        return new Site(
                limits,
                substrate,
                ground,
                asks.films(substrate).with(ownSigns()),
                area(units).base(),
                units,
                now);
    }

    /** What the walk-over calls what lies there of ours: whoever sees it tells nothing new. */
    Set<String> ownSigns() {
        List<Past.Laid> lies = lies();
        if (lies.isEmpty()) {
            return Set.of();
        }
        LayerChoice top = lies.get(lies.size() - 1).layer();
        boolean sealer = top.role() == LayerRole.SEALER
                || top.role() == LayerRole.FINISH
                || SEALERS.contains(top.sheet().traits().chemistry());
        return sealer ? Set.of(Films.COATING, Films.SEALER) : Set.of(Films.COATING);
    }

    /** The last cycle before this one that coated the whole floor. */
    public Optional<Integer> coatedBefore() {
        return film.stream().map(Past.Laid::cycle).max(Comparator.naturalOrder());
    }

    /** How much is worked on in this cycle: the whole floor with its slopes and stairs, or a patch of it. */
    public Figure area(UnitSystem system) {
        return cycle().patch()
                .map(p -> p.area(system))
                .orElseGet(() -> plan.steep().isEmpty() ? shape.area(system) : coated(system));
    }

    private Figure coated(UnitSystem system) {
        var w = new Worksheet(system);
        Figure seen = shape.area(system);
        double sum = w.from("N", seen);
        var formula = new StringBuilder("N");
        for (int i = 1; i <= plan.steep().size(); i++) {
            Steep more = plan.steep().get(i - 1);
            String what = more.name() + (more.beside() ? ", beside the floor" : ", more than it looks from above");
            sum += w.given("e" + i, what, seen.unit().fromBase(more.moreM2()), seen.unit());
            formula.append("+e").append(i);
        }
        return w.figure(
                "area to coat",
                "A",
                formula.toString(),
                sum,
                seen.unit(),
                Source.arithmetic("slopes at their own length; a flight has one tread fewer than risers"));
    }

    /** Along the edge of what is worked on: the zone's walls, or round its patch. */
    Figure edge(UnitSystem system) {
        return cycle().patch().map(p -> p.edge(system)).orElseGet(() -> shape.perimeter(system));
    }

    public List<LogEntry> log() {
        return log;
    }

    /** Everything of every cycle that stands in the log and still means something, in the order it was logged. */
    List<LogEntry> everStood() {
        return kept;
    }

    /** Everything of this cycle that stands in the log and still means something, and what earlier ones found that still holds. */
    public List<LogEntry> unstruck() {
        return unstruck;
    }

    /** What stands in the log of this kind about {@code subject}, oldest first. */
    public List<LogEntry> unstruck(LogEntry.Kind kind, String subject) {
        return byAbout.getOrDefault(new About(kind, subject), List.of());
    }

    /** What stands in the log about a layer of this cycle, oldest first: its steps, gates, batches, coats and colours. */
    List<LogEntry> ofLayer(String layer) {
        return byLayer.getOrDefault(layer, List.of());
    }

    /** The newest entry that is not struck of its kind about {@code subject}; of two at the same minute, the one logged later. */
    public Optional<LogEntry> newest(LogEntry.Kind kind, String subject) {
        return unstruck(kind, subject).stream().reduce((a, b) -> b.at().isBefore(a.at()) ? a : b);
    }

    /** Every reading that stands and still holds. */
    public Survey survey() {
        return survey;
    }

    /** Where the places are that somebody marked, by name. */
    public List<Placement.Marked> places() {
        return places;
    }

    /** Tests that were set out and not read since, the one to be read first at the head. */
    public List<SetOut.Test> testsOut() {
        return testsOut;
    }

    private static List<SetOut.Test> testsOut(List<LogEntry> unstruck, Survey survey) {
        return unstruck.stream()
                .filter(e -> e.kind() == LogEntry.Kind.SET)
                .filter(e -> survey.found().all(e.subject()).stream()
                        .noneMatch(r -> r.place().equals(e.place()) && !r.at().isBefore(e.at())))
                .flatMap(e -> {
                    TestMethod method = TestMethods.of(e.subject());
                    return method.setOut().stream().map(s -> s.out(e.key(), method, e.place(), e.at()));
                })
                .sorted(Comparator.comparing(SetOut.Test::from))
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
