package openslab.server.form;

import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import openslab.core.floor.Outline;
import openslab.core.job.LogEntry;
import openslab.core.prep.PrepMethods;
import openslab.core.prep.Things;
import openslab.core.prep.Works;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Field;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Value;
import openslab.core.survey.TestMethod;
import openslab.core.survey.area.Defect;
import openslab.core.survey.area.DefectArea;
import openslab.core.survey.instrument.Instrument;
import openslab.core.survey.method.TestMethods;

/** Reads one entry of a zone's log: what each kind of entry is about, where it was, and which figures it has. */
final class LogReader {
    /** Kinds that are about a place somebody named. */
    private static final Set<LogEntry.Kind> NAMED = Set.of(LogEntry.Kind.PLACE, LogEntry.Kind.SET, LogEntry.Kind.AREA);

    private static final String WHOLE_FLOOR = "whole floor";

    private final LogForm form;
    private final LogScope scope;
    private final Faults faults = new Faults();

    LogReader(LogForm form, LogScope scope) {
        this.form = form;
        this.scope = scope;
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
        int cycle = cycle();
        List<Field> fields = faults.read(() -> fields(kind, subject, cycle));
        Map<String, String> typed = form.values() == null ? Map.of() : form.values();
        Map<String, Value> values =
                fields == null ? null : faults.read(() -> Field.parseAll("values", fields, typed, scope.units()));
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

    private List<Field> fields(LogEntry.Kind kind, String subject, int cycle) {
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
            case NOTE -> {
                if (!subject.isEmpty()) {
                    throw new InvalidInput("subject", subject, "nothing: a note is about the zone");
                }
                yield List.of();
            }
        };
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
