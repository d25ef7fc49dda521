package openslab.server.form;

import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Stream;
import openslab.core.choose.Needs;
import openslab.core.floor.Outline;
import openslab.core.job.KnownGates;
import openslab.core.job.KnownWorks;
import openslab.core.job.LayerChoice;
import openslab.core.job.LogEntry;
import openslab.core.prep.PrepMethod;
import openslab.core.prep.PrepMethods;
import openslab.core.prep.Things;
import openslab.core.product.Material;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Value;
import openslab.core.survey.TestMethod;
import openslab.core.survey.area.Defect;
import openslab.core.survey.instrument.Instrument;
import openslab.core.survey.method.TestMethods;
import openslab.core.system.LayUp;

/** Reads one entry of a zone's log: what each kind of entry is about, where it was, and which figures it has. */
final class LogReader {
    /** Kinds that are about a place somebody named. */
    private static final Set<LogEntry.Kind> NAMED = Set.of(LogEntry.Kind.PLACE, LogEntry.Kind.SET, LogEntry.Kind.AREA);

    private static final String WHOLE_FLOOR = "whole floor";

    /** Of an entry whose words are kept although nobody knows them any more. */
    private static final int MOST_VALUES = 40;

    private static final int LONGEST_FIELD = 40;
    private static final int LONGEST_VALUE = 80;

    private final LogForm form;
    private final LogScope scope;
    private final boolean kept;
    private final Faults faults = new Faults();

    /** @param kept whether it was taken once and comes from a file: what it is about may have been retired since, and stays as words */
    LogReader(LogForm form, LogScope scope, boolean kept) {
        this.form = form;
        this.scope = scope;
        this.kept = kept;
    }

    LogEntry read(UUID key) {
        LogEntry.Kind kind = faults.oneOf("kind", form.kind(), LogEntry.Kind.class);
        Instant at = faults.moment("at", form.at(), scope.latest());
        String by = faults.line("by", form.by(), 1, 60);
        String note = faults.prose("note", form.note(), 2000);
        faults.check();
        String subject = form.subject() == null ? "" : form.subject();
        String place = "";
        if (kind == LogEntry.Kind.READING) {
            boolean whole =
                    TestMethods.find(subject).map(TestMethod::wholeFloor).orElse(false);
            place = whole ? WHOLE_FLOOR : faults.line("place", form.place(), 1, 60);
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
        int cycle = cycle();
        Map<String, Value> values = kept && retired(kind, subject) ? words(subject) : values(kind, subject, cycle);
        if (kind == LogEntry.Kind.BATCH && values != null) {
            LogEntry.overWasted(values)
                    .ifPresent(most ->
                            faults.add("values.wasted", values.get("wasted").typed(), most));
        }
        String method = faults.line("method", form.method() == null ? "" : form.method(), 0, 40);
        Optional<Instrument> instrument = instrument(kind);
        List<Outline.Corner> ring = ring(kind);
        if (kind == LogEntry.Kind.NOTE && note != null && note.isEmpty()) {
            faults.add("note", null, "some words");
        }
        faults.check();
        return new LogEntry(
                key.toString(), kind, subject, place, at, by, note, values, instrument, ring, cycle, method);
    }

    private Map<String, Value> values(LogEntry.Kind kind, String subject, int cycle) {
        List<Field> fields = faults.read(() -> fields(kind, subject, cycle));
        Map<String, String> typed = form.values() == null ? Map.of() : form.values();
        return fields == null ? null : faults.read(() -> Field.parseAll("values", fields, typed, scope.units()));
    }

    /** Whether there is no such thing any more. */
    private static boolean retired(LogEntry.Kind kind, String subject) {
        return switch (kind) {
            case READING -> TestMethods.find(subject).isEmpty();
            case SET -> TestMethods.find(subject).flatMap(TestMethod::setOut).isEmpty();
            case AREA -> Defect.find(subject).isEmpty();
            case GATE -> KnownGates.fields(subject).isEmpty();
            case BEGUN, DONE -> KnownWorks.ofStep(subject).isEmpty();
            case TICK ->
                LayUp.layerOf(subject).isEmpty() && Things.label(subject).isEmpty();
            case METHOD -> PrepMethods.find(subject).isEmpty();
            case BATCH, COAT, COLOUR, NEED, STRIKE, PLACE, NOTE -> false;
        };
    }

    /** As they were typed: they mean nothing any more, and count for nothing. */
    private Map<String, Value> words(String subject) {
        faults.line("subject", subject, 1, 60);
        Map<String, String> typed = form.values() == null ? Map.of() : form.values();
        if (typed.size() > MOST_VALUES) {
            faults.add("values", typed.size() + " values", "at most " + MOST_VALUES);
            return null;
        }
        Map<String, Value> words = new TreeMap<>();
        typed.forEach((field, value) -> {
            String name = faults.line("values", field, 1, LONGEST_FIELD);
            String text = faults.line("values." + field, value, 0, LONGEST_VALUE);
            if (name != null && text != null) {
                words.put(name, new Value(text, 0));
            }
        });
        return words;
    }

    private int cycle() {
        Integer number = form.cycle();
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

    private Optional<Instrument> instrument(LogEntry.Kind kind) {
        PapersForm papers = form.instrument();
        if (papers == null) {
            return Optional.empty();
        }
        if (kind != LogEntry.Kind.READING) {
            faults.add("instrument", papers.name(), "nothing: only a reading is taken with an instrument");
        }
        return Optional.ofNullable(papers.read(faults, "instrument."));
    }

    private List<Outline.Corner> ring(LogEntry.Kind kind) {
        List<Outline.Corner> ring = form.ring();
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
        return Rings.read(faults, "ring", ring);
    }

    private List<Field> fields(LogEntry.Kind kind, String subject, int cycle) {
        return switch (kind) {
            case READING -> TestMethods.of(subject).fields();
            case GATE -> {
                ofLayer(subject, cycle);
                yield KnownGates.fields(subject).orElseThrow(() -> notOneOf(subject, KnownGates.ids(subject)));
            }
            case BATCH, COAT, COLOUR -> {
                LayerChoice layer =
                        scope.layer(cycle, subject).orElseThrow(() -> notOneOf(subject, scope.layersOf(cycle)));
                Material material = layer.sheet().material();
                yield kind == LogEntry.Kind.BATCH
                        ? Stream.concat(
                                        LogEntry.batchFields(material).stream(),
                                        LogEntry.weighFields(material).values().stream())
                                .toList()
                        : kind == LogEntry.Kind.COAT ? LogEntry.coatFields(material) : LogEntry.COLOUR_FIELDS;
            }
            case BEGUN -> {
                ofLayer(subject, cycle);
                KnownWorks.ofStep("subject", subject);
                yield List.of();
            }
            case DONE -> {
                ofLayer(subject, cycle);
                yield KnownWorks.ofStep("subject", subject).doneFields();
            }
            case TICK -> {
                ofLayer(subject, cycle);
                if (LayUp.layerOf(subject).isEmpty() && Things.label(subject).isEmpty()) {
                    throw new InvalidInput("subject", subject, "a thing of the staging list, by its id");
                }
                yield List.of();
            }
            case STRIKE -> {
                if (!scope.unstruck().contains(subject)) {
                    throw new InvalidInput("subject", subject, "the key of an entry of this zone that stands");
                }
                yield List.of();
            }
            case PLACE -> LogEntry.PLACE_FIELDS;
            case SET -> {
                if (TestMethods.of(subject).setOut().isEmpty()) {
                    throw notOneOf(subject, setOut());
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
            case NEED -> {
                if (!subject.equals(Needs.SUBJECT)) {
                    throw notOneOf(subject, List.of(Needs.SUBJECT));
                }
                yield Needs.fields();
            }
            case METHOD -> {
                if (PrepMethods.find(subject).isEmpty()) {
                    throw notOneOf(
                            subject,
                            PrepMethods.ALL.stream().map(PrepMethod::id).toList());
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

    /** What names a layer names one of its cycle; what puts the layer's material on is logged as its coat. */
    private void ofLayer(String subject, int cycle) {
        Optional<String> id = LayUp.layerOf(subject);
        if (id.isEmpty()) {
            return;
        }
        LayerChoice layer = scope.layer(cycle, id.get()).orElseThrow(() -> notOneOf(id.get(), scope.layersOf(cycle)));
        if (LayUp.within(subject).equals(layer.way().coat().id())) {
            throw new InvalidInput("subject", subject, "another step: this one is logged as COAT of " + layer.id());
        }
    }

    /** The methods that stand on the floor before they are read. */
    private static List<String> setOut() {
        return TestMethods.ALL.stream()
                .filter(m -> m.setOut().isPresent())
                .map(TestMethod::id)
                .toList();
    }

    private static InvalidInput notOneOf(String subject, Collection<String> known) {
        return new InvalidInput("subject", subject, "one of " + String.join(", ", new TreeSet<>(known)));
    }
}
