package openslab.server.job;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import openslab.core.air.Place;
import openslab.core.floor.Outline;
import openslab.core.floor.Shapes;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.floor.plan.PlanZone;
import openslab.core.job.Cycle;
import openslab.core.job.CycleKind;
import openslab.core.job.LogEntry;
import openslab.core.job.ZoneFields;
import openslab.core.prep.PrepMethods;
import openslab.core.prep.SiteLimit;
import openslab.core.prep.Things;
import openslab.core.prep.Works;
import openslab.core.product.Exposure;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.core.survey.TestMethod;
import openslab.core.survey.TestMethods;
import openslab.core.survey.area.Defect;
import openslab.core.survey.area.DefectArea;
import openslab.core.survey.instrument.Instrument;

/** What a person sends about a job, and how it is read: every fault of a form is told at once. */
public final class Forms {
    /** Where the job's new zones lie, unless they say otherwise. */
    public enum Setting {
        INDOORS,
        OUTDOORS
    }

    /** @param latitude degrees north; {@code longitude} degrees east; both empty where nobody says */
    public record JobForm(
            String name,
            String client,
            String place,
            String latitude,
            String longitude,
            String timeZone,
            String units,
            String setting,
            boolean archived) {}

    /** A job form that was read. */
    public record JobFacts(
            String name,
            String client,
            String place,
            Optional<Place.Position> position,
            ZoneId timeZone,
            UnitSystem units,
            Setting setting,
            boolean archived) {}

    /**
     * @param sides as typed, by the shape's side ids
     * @param substrate bare concrete where it is left out; {@code use} likewise not said, {@code exposure} as the job's
     *     setting has it
     * @param limits what else the place does not allow; none where it is left out
     * @param settings as typed: pace, share, allowance, and slab where one temperature is to be planned with
     */
    public record ZoneForm(
            String name,
            String shape,
            Map<String, String> sides,
            String substrate,
            String use,
            String exposure,
            boolean dust,
            boolean washWater,
            List<String> limits,
            Map<String, String> settings) {
        public ZoneForm {
            limits = limits == null ? List.of() : List.copyOf(limits);
            substrate = substrate == null ? Substrate.BARE_CONCRETE.name() : substrate;
            use = use == null ? Use.UNSAID.name() : use;
        }

        private ZoneForm exposed(Exposure to) {
            return new ZoneForm(name, shape, sides, substrate, use, to.name(), dust, washWater, limits, settings);
        }
    }

    /** A zone form that was read; {@code values} holds sides and settings together. */
    public record ZoneChoice(
            String name,
            String shape,
            Substrate substrate,
            Use use,
            Exposure exposure,
            boolean dust,
            boolean washWater,
            Set<SiteLimit> limits,
            Map<String, Value> values) {
        /** The same zone, its floor given by the plan instead of by typed sides. */
        ZoneChoice onPlan() {
            Map<String, Value> settings = new TreeMap<>(values);
            Shapes.fields(shape).forEach(side -> settings.remove(side.id()));
            return new ZoneChoice(name, PlanZone.KIND, substrate, use, exposure, dust, washWater, limits, settings);
        }
    }

    /** @param sheet digest of the sheet to use; {@code plannedStart} empty to let it follow the layer below */
    public record LayerForm(String sheet, String plannedStart) {}

    /** What a reading was taken with. @param calibrated a day such as 2026-03-01; {@code due} likewise */
    public record PapersForm(String name, String calibrated, String due) {
        public static PapersForm of(Instrument i) {
            return new PapersForm(i.name(), i.calibrated().toString(), i.due().toString());
        }
    }

    /**
     * @param at when it happened
     * @param values as typed, by field id
     * @param instrument of a reading, where somebody says it
     * @param ring corners of an area, metres
     * @param cycle the zone's cycle that it belongs to; the one that the zone is in where it is left out
     * @param method of a step or gate in a file, the method of preparation it was done for; the zone's own where it is left out
     */
    public record LogForm(
            String kind,
            String subject,
            String place,
            String at,
            String by,
            String note,
            Map<String, String> values,
            PapersForm instrument,
            List<Outline.Corner> ring,
            Integer cycle,
            String method) {
        public LogForm(
                String kind,
                String subject,
                String place,
                String at,
                String by,
                String note,
                Map<String, String> values) {
            this(kind, subject, place, at, by, note, values, null, null);
        }

        /** Of the cycle that the zone is in. */
        public LogForm(
                String kind,
                String subject,
                String place,
                String at,
                String by,
                String note,
                Map<String, String> values,
                PapersForm instrument,
                List<Outline.Corner> ring) {
            this(kind, subject, place, at, by, note, values, instrument, ring, null, null);
        }
    }

    /**
     * The next cycle of a zone.
     *
     * @param at when it begins; now where it is left out
     * @param patch how much of the floor a repair takes, as typed; nothing for any other kind
     */
    public record CycleForm(String kind, String at, String by, String why, String patch) {}

    /** A cycle form that was read. */
    public record CycleChoice(CycleKind kind, Instant began, String by, String why, Optional<Value> patch) {}

    /** Kinds that are about a place somebody named. */
    private static final Set<LogEntry.Kind> NAMED = Set.of(LogEntry.Kind.PLACE, LogEntry.Kind.SET, LogEntry.Kind.AREA);

    private static final String WHOLE_FLOOR = "whole floor";

    private Forms() {}

    public static JobFacts read(JobForm form) {
        var faults = new Faults();
        String name = faults.line("name", form.name(), 1, 120);
        String client = faults.line("client", form.client(), 0, 120);
        String place = faults.line("place", form.place(), 0, 120);
        boolean placed = isSaid(form.latitude()) || isSaid(form.longitude());
        Double latitude = placed ? degrees(faults, "latitude", form.latitude(), 90) : null;
        Double longitude = placed ? degrees(faults, "longitude", form.longitude(), 180) : null;
        ZoneId zone = faults.timeZone("timeZone", form.timeZone());
        UnitSystem units = faults.oneOf("units", form.units(), UnitSystem.class);
        Setting setting = faults.oneOf("setting", form.setting(), Setting.class);
        faults.check();
        Optional<Place.Position> position =
                placed ? Optional.of(new Place.Position(latitude, longitude)) : Optional.empty();
        return new JobFacts(name, client, place, position, zone, units, setting, form.archived());
    }

    private static boolean isSaid(String text) {
        return text != null && !text.isBlank();
    }

    static String latitude(JobFacts f) {
        return f.position().map(p -> Double.toString(p.latitude())).orElse("");
    }

    static String longitude(JobFacts f) {
        return f.position().map(p -> Double.toString(p.longitude())).orElse("");
    }

    private static Double degrees(Faults faults, String field, String text, double most) {
        Field range = Field.quantity(field, field, Unit.ONE, -most, most, "");
        Value value = faults.read(() -> range.parse(field, text, UnitSystem.METRIC));
        return value == null ? null : value.base();
    }

    /** A form that says nothing of the weather is read as the job's setting has it. */
    public static ZoneChoice read(ZoneForm form, JobFacts job) {
        boolean outdoors = job.setting() == Setting.OUTDOORS;
        return read(
                isSaid(form.exposure()) ? form : form.exposed(outdoors ? Exposure.SUN : Exposure.INDOORS), job.units());
    }

    private static ZoneChoice read(ZoneForm form, UnitSystem units) {
        var faults = new Faults();
        String name = faults.line("name", form.name(), 1, 120);
        Substrate substrate = faults.oneOf("substrate", form.substrate(), Substrate.class);
        Use use = faults.oneOf("use", form.use(), Use.class);
        Exposure exposure = faults.oneOf("exposure", form.exposure(), Exposure.class);
        Set<SiteLimit> limits = EnumSet.noneOf(SiteLimit.class);
        for (int i = 0; i < form.limits().size(); i++) {
            SiteLimit limit = faults.oneOf("limits[" + i + "]", form.limits().get(i), SiteLimit.class);
            if (limit != null) {
                limits.add(limit);
            }
        }
        Map<String, Value> values = new TreeMap<>();
        Map<String, String> sides = form.sides() == null ? Map.of() : form.sides();
        boolean onPlan = PlanZone.KIND.equals(form.shape());
        List<Field> sideFields = onPlan ? List.of() : faults.read(() -> Shapes.fields(form.shape()));
        if (sideFields != null && !onPlan) {
            Map<String, Value> read = faults.read(() -> Field.parseAll("sides", sideFields, sides, units));
            if (read != null) {
                values.putAll(read);
                faults.read(() -> Shapes.of(form.shape(), bases(read)));
            }
        }
        Map<String, Value> settings = faults.read(() -> settings(form.settings(), units));
        faults.check();
        values.putAll(settings);
        return new ZoneChoice(
                name, form.shape(), substrate, use, exposure, form.dust(), form.washWater(), limits, values);
    }

    private static Map<String, Value> settings(Map<String, String> typed, UnitSystem units) {
        return Field.parseAll("settings", ZoneFields.ALL, typed == null ? Map.of() : typed, units);
    }

    public static Map<String, Double> bases(Map<String, Value> values) {
        return values.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue().base()));
    }

    /**
     * @param layers the zone's layer ids, one list a cycle; {@code standing} the key of every entry that was not struck
     * @param latest nothing happened later than this
     */
    public record LogScope(UnitSystem units, List<List<String>> layers, Set<String> standing, Instant latest) {
        private List<String> layersOf(int cycle) {
            return layers.get(cycle - 1);
        }
    }

    /** @param latest it did not begin later than this */
    public static CycleChoice read(CycleForm form, UnitSystem units, Instant now, Instant latest) {
        return read(form, 1, units, now, latest);
    }

    /** From a file. @param first nobody begins a zone's first cycle: it has no name, and is a coat */
    public static CycleChoice readKept(CycleForm form, boolean first, UnitSystem units, Instant latest) {
        CycleChoice choice = read(form, first ? 0 : 1, units, latest, first ? Instant.MAX : latest);
        if (first != (choice.kind() == CycleKind.COAT)) {
            throw new InvalidInput(
                    "kind", form.kind(), first ? CycleKind.COAT.name() : "a cycle that follows a first one");
        }
        return choice;
    }

    private static CycleChoice read(CycleForm form, int leastName, UnitSystem units, Instant now, Instant latest) {
        var faults = new Faults();
        CycleKind kind = faults.oneOf("kind", form.kind(), CycleKind.class);
        Instant began = isSaid(form.at()) ? faults.moment("at", form.at(), latest) : now;
        String by = faults.line("by", form.by(), leastName, 60);
        String why = faults.prose("why", form.why(), 2000);
        Value patch = null;
        if (kind == CycleKind.REPAIR) {
            patch = faults.read(() -> Cycle.PATCH.parse("patch", form.patch(), units));
        } else if (isSaid(form.patch())) {
            faults.add("patch", form.patch(), "nothing: only a repair takes a piece of the floor");
        }
        faults.check();
        return new CycleChoice(kind, began, by, why, Optional.ofNullable(patch));
    }

    public static LogEntry read(UUID key, LogForm form, LogScope scope) {
        var faults = new Faults();
        LogEntry.Kind kind = faults.oneOf("kind", form.kind(), LogEntry.Kind.class);
        Instant at = faults.moment("at", form.at(), scope.latest());
        String by = faults.line("by", form.by(), 1, 60);
        String note = faults.prose("note", form.note(), 2000);
        faults.check();
        String subject = form.subject() == null ? "" : form.subject();
        String place = "";
        if (kind == LogEntry.Kind.READING) {
            TestMethod method = faults.read(() -> TestMethods.of(subject));
            place = method != null && method.wholeFloor() ? WHOLE_FLOOR : faults.line("place", form.place(), 1, 60);
        }
        if (kind == LogEntry.Kind.GATE && form.place() != null) {
            place = faults.line("place", form.place(), 0, 60);
        }
        if (NAMED.contains(kind)) {
            place = faults.line("place", form.place(), 1, 60);
            if (kind == LogEntry.Kind.PLACE && place != null && !place.equals(subject)) {
                faults.add("subject", subject, "the place itself: " + place);
            }
        }
        int cycle = cycle(faults, form.cycle(), scope);
        List<Field> fields = faults.read(() -> fields(kind, subject, scope, cycle));
        Map<String, String> typed = form.values() == null ? Map.of() : form.values();
        Map<String, Value> values =
                fields == null ? null : faults.read(() -> Field.parseAll("values", fields, typed, scope.units()));
        String method = faults.line("method", form.method() == null ? "" : form.method(), 0, 40);
        Optional<Instrument> instrument = instrument(faults, kind, form.instrument());
        List<Outline.Corner> ring = ring(faults, kind, form.ring());
        if (kind == LogEntry.Kind.NOTE && note != null && note.isEmpty()) {
            faults.add("note", null, "some words");
        }
        faults.check();
        return new LogEntry(
                key.toString(), kind, subject, place, at, by, note, values, instrument, ring, cycle, method);
    }

    private static int cycle(Faults faults, Integer number, LogScope scope) {
        int last = scope.layers().size();
        if (number == null) {
            return last;
        }
        if (number < 1 || number > last) {
            faults.add("cycle", number, last == 1 ? "1: the zone is in its first" : "1 to " + last);
            return last;
        }
        return number;
    }

    private static Optional<Instrument> instrument(Faults faults, LogEntry.Kind kind, PapersForm form) {
        if (form == null) {
            return Optional.empty();
        }
        if (kind != LogEntry.Kind.READING) {
            faults.add("instrument", form.name(), "nothing: only a reading is taken with an instrument");
        }
        return Optional.ofNullable(readInstrument(faults, "instrument.", form));
    }

    /** An instrument's name and papers; null where one of them is at fault. */
    public static Instrument readInstrument(Faults faults, String path, PapersForm form) {
        String name = faults.line(path + "name", form.name(), 1, 60);
        LocalDate calibrated = faults.day(path + "calibrated", form.calibrated());
        LocalDate due = faults.day(path + "due", form.due());
        if (calibrated != null && due != null && due.isBefore(calibrated)) {
            faults.add(path + "due", form.due(), "a day not before the calibration of " + calibrated);
        }
        return name == null || calibrated == null || due == null ? null : new Instrument(name, calibrated, due);
    }

    private static List<Outline.Corner> ring(Faults faults, LogEntry.Kind kind, List<Outline.Corner> ring) {
        boolean area = kind == LogEntry.Kind.AREA;
        if (ring == null || ring.isEmpty()) {
            if (area) {
                faults.add("ring", null, "3 corners or more, metres");
            }
            return List.of();
        }
        if (!area) {
            faults.add("ring", ring.size() + " corners", "nothing: only an area has corners");
            return List.of();
        }
        boolean near = ring.stream().allMatch(c -> c != null && Math.hypot(c.x(), c.y()) <= LogEntry.REACH_M);
        if (!near) {
            faults.add(
                    "ring", ring.size() + " corners", "corners within " + (int) LogEntry.REACH_M + " m of the first");
            return List.of();
        }
        faults.read(() -> {
            DefectArea.require("ring", ring);
            return ring;
        });
        return ring;
    }

    private static List<Field> fields(LogEntry.Kind kind, String subject, LogScope scope, int cycle) {
        return switch (kind) {
            case READING -> TestMethods.of(subject).fields();
            case GATE -> {
                Map<String, List<Field>> gates = PrepMethods.gateFields();
                if (!gates.containsKey(subject)) {
                    throw notOneOf(subject, gates.keySet());
                }
                yield gates.get(subject);
            }
            case BATCH, COAT -> {
                if (!scope.layersOf(cycle).contains(subject)) {
                    throw notOneOf(subject, scope.layersOf(cycle));
                }
                yield kind == LogEntry.Kind.BATCH ? LogEntry.BATCH_FIELDS : List.of();
            }
            case BEGUN -> {
                Works.ofStep("subject", subject);
                yield List.of();
            }
            case DONE -> Works.ofStep("subject", subject).doneFields();
            case TICK -> {
                if (Things.label(subject).isEmpty()) {
                    throw new InvalidInput("subject", subject, "a thing of the staging list, by its id");
                }
                yield List.of();
            }
            case STRIKE -> {
                if (!scope.standing().contains(subject)) {
                    throw new InvalidInput("subject", subject, "the key of an entry of this zone that stands");
                }
                yield List.of();
            }
            case PLACE -> LogEntry.PLACE_FIELDS;
            case SET -> {
                if (TestMethods.of(subject).standing().isEmpty()) {
                    throw notOneOf(subject, standing());
                }
                yield List.of();
            }
            case AREA -> {
                if (Arrays.stream(Defect.values()).noneMatch(d -> d.name().equals(subject))) {
                    throw notOneOf(
                            subject,
                            Arrays.stream(Defect.values()).map(Defect::name).toList());
                }
                yield List.of();
            }
            case NOTE -> {
                if (!subject.isEmpty()) {
                    throw new InvalidInput("subject", subject, "nothing: a note is about the zone");
                }
                yield List.of();
            }
        };
    }

    /** The methods that stand on the floor before they are read. */
    private static List<String> standing() {
        return TestMethods.ALL.stream()
                .filter(m -> m.standing().isPresent())
                .map(TestMethod::id)
                .toList();
    }

    private static InvalidInput notOneOf(String subject, Collection<String> known) {
        return new InvalidInput("subject", subject, "one of " + String.join(", ", new TreeSet<>(known)));
    }
}
