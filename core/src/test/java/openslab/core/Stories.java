package openslab.core;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import openslab.core.air.Location;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Rectangle;
import openslab.core.floor.Shape;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.floor.plan.Doubt;
import openslab.core.floor.plan.Flaws;
import openslab.core.floor.plan.Steep;
import openslab.core.job.Cycle;
import openslab.core.job.CycleKind;
import openslab.core.job.KnownGates;
import openslab.core.job.KnownWorks;
import openslab.core.job.LayerChoice;
import openslab.core.job.LogEntry;
import openslab.core.job.Patch;
import openslab.core.job.ZoneFacts;
import openslab.core.job.ZoneFields;
import openslab.core.job.ZoneReport;
import openslab.core.mix.Crew;
import openslab.core.mix.Used;
import openslab.core.practice.Practices;
import openslab.core.prep.SiteLimits;
import openslab.core.prep.repair.PatchLimits;
import openslab.core.product.Advice;
import openslab.core.product.Broadcast;
import openslab.core.product.Chemistry;
import openslab.core.product.Clock;
import openslab.core.product.Exposure;
import openslab.core.product.Handling;
import openslab.core.product.Kit;
import openslab.core.product.LayerRole;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.Packed;
import openslab.core.product.Powder;
import openslab.core.product.ProductSheet;
import openslab.core.product.Spread;
import openslab.core.product.TemperatureCurve;
import openslab.core.product.Traits;
import openslab.core.product.TwoPart;
import openslab.core.quantity.Field;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Limits;
import openslab.core.survey.area.Defect;
import openslab.core.survey.instrument.Instrument;
import openslab.core.survey.method.TestMethods;

/** A zone as a test tells its story: invented sheets with round numbers, and a log that grows. */
public final class Stories {
    public static final Instant START = Instant.parse("2026-05-04T08:00:00Z");
    public static final Location WHERE = Location.of(ZoneId.of("America/Halifax"), 44.65, -63.57);
    public static final Limits LIMITS =
            new Limits(3, 75, 7, 10, 10, 32, 80, 3, 28, 3, 5, false, Limits.Asks.NOTHING, "test sheet");

    private final List<LogEntry> log = new ArrayList<>();
    private final List<Doubt> planDoubts = new ArrayList<>();
    private Flaws flaws = Flaws.NONE;
    private List<Steep> steep = List.of();
    private Practices practices = Practices.USUAL;
    private SiteLimits site = new SiteLimits(true, true);
    private Substrate substrate = Substrate.BARE_CONCRETE;
    private Shape shape = new Rectangle(10, 8);
    private Optional<Double> planSlabC = Optional.empty();
    private Crew crew = Crew.DEFAULT;
    private String id = "zone";
    private String method = "";
    private final List<Cycle> cycles = new ArrayList<>(List.of(Cycle.first(epoxyWithFlake())));

    public static List<LayerChoice> epoxyWithFlake() {
        return List.of(
                layer("primer", liquid("Primer", LayerRole.PRIMER, 8, Map.of())),
                layer("body", liquid("Body", LayerRole.BODY, 4, Map.of())),
                layer("flake", flake()),
                layer("clear", liquid("Clear", LayerRole.CLEAR, 5, Map.of(Exposure.INDOORS, 5.0, Exposure.SUN, 2.5))));
    }

    public static LayerChoice layer(String id, ProductSheet sheet) {
        return LayerChoice.of(id, sheet, Optional.empty());
    }

    /** Every time twice as long at 10 °C as at 20 °C, half at 30 °C. */
    public static ProductSheet liquid(String name, LayerRole role, double spread, Map<Exposure, Double> reseal) {
        Map<Clock, TemperatureCurve> clocks = new EnumMap<>(Clock.class);
        double[] at20 = {40, 600, 2880, 1440, 2160, 4320, 10_080, 10_080, 14_400};
        for (Clock clock : Clock.values()) {
            if (clock == Clock.RAIN) {
                continue;
            }
            double minutes = at20[clock.ordinal()];
            clocks.put(clock, curve(10, 2 * minutes, 20, minutes, 30, minutes / 2));
        }
        return new ProductSheet(
                name.toLowerCase(java.util.Locale.ROOT),
                name,
                role,
                twoPart(2, 1.13, 1.02, spread, TwoPart.First.B),
                Optional.of(LIMITS),
                clocks,
                List.of(new Kit("small", new Packed(5), 10_000), new Kit("large", new Packed(12), 20_000)),
                reseal,
                Traits.SILENT,
                Handling.SILENT,
                Advice.NONE);
    }

    /** So many parts of A to one of B, all of it solids. */
    public static TwoPart twoPart(double parts, double densityA, double densityB, double spread, TwoPart.First first) {
        return new TwoPart(
                new Liquid.Part("A", parts, densityA),
                new Liquid.Part("B", 1, densityB),
                Optional.empty(),
                1,
                Spread.of(spread),
                first);
    }

    public static ProductSheet flake() {
        return new ProductSheet(
                "flake",
                "Flake",
                LayerRole.BROADCAST,
                new Broadcast(0.6, true, List.of()),
                Optional.empty(),
                Map.of(),
                List.of(new Kit("box", new Packed(18), 12_000)),
                Map.of(),
                Traits.SILENT,
                Handling.SILENT,
                Advice.NONE);
    }

    /** A sheet of any material, which says little besides. */
    public static ProductSheet of(Material material, Chemistry chemistry) {
        var traits = new Traits(
                chemistry,
                java.util.Set.of(),
                java.util.Set.of(),
                java.util.Set.of(),
                Traits.Opacity.UNSAID,
                Traits.Gloss.UNSAID,
                Traits.Odour.UNSAID,
                0);
        return new ProductSheet(
                chemistry.name().toLowerCase(java.util.Locale.ROOT),
                chemistry.label(),
                LayerRole.SEALER,
                material,
                Optional.of(LIMITS),
                Map.of(Clock.RECOAT_OPENS, curve(10, 720, 30, 360)),
                List.of(),
                Map.of(),
                traits,
                Handling.SILENT,
                Advice.NONE);
    }

    public static TemperatureCurve curve(double... celsiusAndMinutes) {
        var points = new ArrayList<TemperatureCurve.Point>();
        for (int i = 0; i < celsiusAndMinutes.length; i += 2) {
            points.add(new TemperatureCurve.Point(celsiusAndMinutes[i], celsiusAndMinutes[i + 1]));
        }
        return new TemperatureCurve(points);
    }

    private Use use = Use.UNSAID;
    private Exposure exposure = Exposure.INDOORS;

    public Stories floor(Shape floor) {
        shape = floor;
        return this;
    }

    public Stories layers(List<LayerChoice> chosen) {
        Cycle c = cycles.remove(cycles.size() - 1);
        cycles.add(new Cycle(c.number(), c.kind(), c.began(), c.by(), c.why(), c.patch(), chosen, c.asks()));
        return this;
    }

    /** What is coated beyond what is seen from above. */
    public Stories steep(Steep... more) {
        steep = List.of(more);
        return this;
    }

    /** The floor as another zone. */
    public Stories called(String other) {
        id = other;
        return this;
    }

    /** @param texture its surface for each of the plan */
    public Stories rough(double texture) {
        crew = crew.with(crew.allowance().on(texture));
        return this;
    }

    /** The zone's next cycle: what is logged from now on belongs to it. @param patch as typed; empty where it is all of the floor */
    public Stories begin(double hours, CycleKind kind, String patch, List<LayerChoice> layers) {
        cycles.add(new Cycle(
                cycles.size() + 1,
                kind,
                moment(hours),
                "Wren",
                "",
                patch.isEmpty()
                        ? Optional.empty()
                        : Optional.of(Patch.of(Patch.SIZE.parse("patch", patch, UnitSystem.METRIC))),
                layers,
                cycles.get(cycles.size() - 1).asks()));
        return this;
    }

    public Stories slab(double celsius) {
        planSlabC = Optional.of(celsius);
        return this;
    }

    /** @param values {@code field=text} apart by two spaces or by one before the next field */
    public Stories reading(double hours, String method, String place, String values) {
        return entry(
                LogEntry.Kind.READING,
                method,
                place,
                hours,
                TestMethods.of(method).fields(),
                values);
    }

    public Stories gate(double hours, String gate, String values) {
        return byMethod(entry(
                LogEntry.Kind.GATE, gate, "", hours, KnownGates.fields(gate).orElseThrow(), values));
    }

    /** All of it is on, and where no batch was logged it took what its sheet says. */
    public Stories coat(double hours, String layer) {
        if (cycles.get(cycles.size() - 1).layers().stream().noneMatch(l -> l.id().equals(layer))) {
            return entry(LogEntry.Kind.COAT, layer, "", hours, List.of(), "");
        }
        boolean mixed = log.stream()
                .anyMatch(e ->
                        e.kind() == LogEntry.Kind.BATCH && e.subject().equals(layer) && e.cycle() == cycles.size());
        Material material = material(layer);
        double m2 = cycles.get(cycles.size() - 1).patch().map(Patch::m2).orElseGet(() -> shape.area(UnitSystem.METRIC)
                .base());
        double takes = material instanceof Liquid l ? m2 / l.spreadM2PerL() : m2 * Used.usual(material);
        String unit = material instanceof Liquid ? " L" : material instanceof Powder ? "" : " kg";
        double told = material instanceof Powder p ? takes / p.bagKg() : takes;
        return coat(hours, layer, mixed ? "" : "used=" + told + unit);
    }

    /** @param values as somebody keys them in with a coat */
    public Stories coat(double hours, String layer, String values) {
        return entry(LogEntry.Kind.COAT, layer, "", hours, LogEntry.coatFields(material(layer)), values);
    }

    private Material material(String layer) {
        return cycles.get(cycles.size() - 1).layers().stream()
                .filter(l -> l.id().equals(layer))
                .map(l -> l.sheet().material())
                .findFirst()
                .orElseThrow();
    }

    public Stories batch(double hours, String layer, String values) {
        return entry(LogEntry.Kind.BATCH, layer, "", hours, LogEntry.batchFields(material(layer)), values);
    }

    public Stories strike(double hours, LogEntry entry) {
        return entry(LogEntry.Kind.STRIKE, entry.key(), "", hours, List.of(), "");
    }

    /** An entry as an older version may have kept it. */
    public Stories kept(LogEntry entry) {
        log.add(entry);
        return this;
    }

    public LogEntry last() {
        return log.get(log.size() - 1);
    }

    /** All that 861 ft² asks for, well inside the limits, read in the first hours of the story. */
    public Stories surveyed() {
        return surveyedAt(0);
    }

    /** The same, later. */
    public Stories surveyedAt(double from) {
        reading(from, "walk-over", "whole floor", "sealer=no oil=no coating=no dusting=no hollow=no");
        for (String place : List.of("A", "B", "C")) {
            reading(from, "water-drop", place, "drop=soaks");
            reading(from, "calcium-chloride", place, "dishArea=0.445 ft² gain=1.2 g hours=64 h");
            reading(from, "in-slab-rh", place, "rh=68 % depth=40 mm thickness=100 mm drying=one wait=24 h");
            reading(from, "ph", place, "ph=8.5");
        }
        reading(from, "profile", "whole floor", "csp=1");
        reading(from, "concrete-age", "whole floor", "age=9 years");
        return reading(from + 1, "climate", "whole floor", "air=21 °C rh=50 % slab=20 °C");
    }

    /** A place, in metres of the zone's plan. */
    public Stories place(double hours, String name, double x, double y) {
        return entry(
                LogEntry.Kind.PLACE, name, name, hours, LogEntry.PLACE_FIELDS, "along=" + x + " m off=" + y + " m");
    }

    public Stories set(double hours, String method, String place) {
        return entry(LogEntry.Kind.SET, method, place, hours, List.of(), "");
    }

    /** A defect drawn on the floor, with its corners as x and y in turn. */
    public Stories area(double hours, Defect defect, String name, double... xy) {
        var ring = new ArrayList<Corner>();
        for (int i = 0; i < xy.length; i += 2) {
            ring.add(new Corner(xy[i], xy[i + 1]));
        }
        String key = UUID.randomUUID().toString();
        log.add(new LogEntry(
                key,
                LogEntry.Kind.AREA,
                defect.name(),
                name,
                moment(hours),
                "Wren",
                "",
                Map.of(),
                Optional.empty(),
                ring,
                cycles.size(),
                ""));
        return this;
    }

    /** Says what the newest entry was read with. */
    public Stories with(Instrument instrument) {
        LogEntry e = log.remove(log.size() - 1);
        log.add(new LogEntry(
                e.key(),
                e.kind(),
                e.subject(),
                e.place(),
                e.at(),
                e.by(),
                e.note(),
                e.values(),
                Optional.of(instrument),
                List.of(),
                e.cycle(),
                ""));
        return this;
    }

    public Stories ground() {
        return ground(0);
    }

    /** Every gate of grinding, two hours after {@code from}. */
    public Stories ground(double from) {
        return gate(from + 2, "profile", "csp=3")
                .gate(from + 2, "rub", "rub=clean")
                .gate(from + 2, "soaks", "soaks=soaks")
                .gate(from + 2, "no-dust", "no-dust=clean");
    }

    public Stories on(Substrate other) {
        substrate = other;
        return this;
    }

    public Stories used(Use as, Exposure weather) {
        use = as;
        exposure = weather;
        return this;
    }

    /** @param schools a question's id and the name of a school: "fans=NEVER" */
    public Stories following(String schools) {
        practices = Practices.read("practices", typed(schools));
        return this;
    }

    /** What the plan has to be made good. */
    public Stories flawed(Flaws found) {
        flaws = found;
        return this;
    }

    public Stories at(SiteLimits place) {
        site = place;
        return this;
    }

    public Stories begun(double hours, String step) {
        return entry(LogEntry.Kind.BEGUN, step, "", hours, List.of(), "");
    }

    /** The way of preparing that somebody chose, and why. */
    public Stories method(double hours, String id, String why) {
        log.add(new LogEntry(
                "method " + log.size(), LogEntry.Kind.METHOD, id, "", moment(hours), "Wren", why, Map.of()));
        return this;
    }

    public Stories done(double hours, String step, String values) {
        return byMethod(entry(
                LogEntry.Kind.DONE,
                step,
                "",
                hours,
                KnownWorks.ofStep("step", step).doneFields(),
                values));
    }

    /** What is done and tested from now on is done by this method, as the log keeps it. */
    public Stories by(String id) {
        method = id;
        return this;
    }

    private Stories byMethod(Stories told) {
        if (!method.isEmpty()) {
            log.add(log.remove(log.size() - 1).doneFor(method));
        }
        return told;
    }

    public Stories tick(double hours, String thing) {
        return entry(LogEntry.Kind.TICK, thing, "", hours, List.of(), "");
    }

    /** A plan that does not close, say. */
    public Stories doubted(Doubt doubt) {
        planDoubts.add(doubt);
        return this;
    }

    public ZoneFacts facts() {
        return new ZoneFacts(
                id,
                "Zone",
                shape,
                new ZoneFacts.PlanFacts(planDoubts, flaws, steep),
                substrate,
                use,
                exposure,
                site,
                new ZoneFields.Settings(crew, planSlabC, PatchLimits.DEFAULT, practices),
                cycles,
                log);
    }

    /** What follows {@code hours} after the start. */
    public ZoneReport at(double hours) {
        return ZoneReport.of(facts(), UnitSystem.METRIC, WHERE, moment(hours));
    }

    public static Instant moment(double hours) {
        return START.plus(Duration.ofMinutes(Math.round(hours * 60)));
    }

    public Stories entry(
            LogEntry.Kind kind, String subject, String place, double hours, List<Field> fields, String values) {
        var read = Field.parseAll("values", fields, typed(values), UnitSystem.METRIC);
        log.add(new LogEntry(UUID.randomUUID().toString(), kind, subject, place, moment(hours), "Wren", "", read)
                .of(cycles.size()));
        return this;
    }

    public static Map<String, String> typed(String values) {
        Map<String, String> typed = new java.util.LinkedHashMap<>();
        String field = "";
        for (String word : values.split(" ")) {
            int equals = word.indexOf('=');
            if (equals > 0) {
                field = word.substring(0, equals);
                typed.put(field, word.substring(equals + 1));
            } else if (!word.isEmpty()) {
                typed.merge(field, word, (a, b) -> a + " " + b);
            }
        }
        return typed;
    }
}
