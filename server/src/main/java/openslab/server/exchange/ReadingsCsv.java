package openslab.server.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import openslab.core.job.LogEntry;
import openslab.core.quantity.InvalidInput;
import openslab.core.survey.method.TestMethods;
import openslab.server.form.LogForm;
import openslab.server.form.LogScope;
import openslab.server.form.PapersForm;
import openslab.server.job.JobStore;
import openslab.server.job.Jobs;
import openslab.server.job.LogStore;
import openslab.server.job.ZoneStore;
import openslab.server.store.Snapshot;
import openslab.server.store.Writes;
import openslab.server.web.CsvCell;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Service;

/**
 * The readings of a job as CSV (RFC 4180): docs/formats/readings-csv.md. One reading a line, one column for each field of each
 * method that occurs. Reading a file is all or nothing, and every fault names its line and column.
 */
@Service
class ReadingsCsv {
    /** @param added how many readings were new; {@code known} how many were here already */
    record Taken(int added, int known) {}

    private static final List<String> ALWAYS =
            List.of("key", "zone", "method", "place", "at", "by", "note", "instrument", "calibrated", "good until");
    private static final int MOST_ROWS = 10_000;
    private static final int MOST_FAULTS = InvalidInput.TOLD;

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setIgnoreEmptyLines(true)
            .setIgnoreSurroundingSpaces(true)
            .setRecordSeparator("\r\n")
            .get();

    private final JobStore store;
    private final ZoneStore zones;
    private final LogStore logs;
    private final Jobs jobs;
    private final Writes writes;
    private final Snapshot snapshot;

    ReadingsCsv(JobStore store, ZoneStore zones, LogStore logs, Jobs jobs, Writes writes, Snapshot snapshot) {
        this.store = store;
        this.zones = zones;
        this.logs = logs;
        this.jobs = jobs;
        this.writes = writes;
        this.snapshot = snapshot;
    }

    /** Every reading that stands, zone by zone, oldest first. */
    String write(UUID jobId) {
        return snapshot.of(() -> {
            store.get(jobId);
            return written(zones.of(jobId));
        });
    }

    private static String written(List<ZoneStore.StoredZone> zones) {
        Set<String> fields = new TreeSet<>();
        zones.forEach(z ->
                readings(z).forEach(e -> e.values().keySet().forEach(field -> fields.add(e.subject() + "." + field))));
        var text = new StringBuilder();
        var header = new ArrayList<Object>(ALWAYS);
        header.addAll(fields);
        text.append(line(header));
        zones.forEach(z -> readings(z).forEach(e -> text.append(line(row(z, e, fields)))));
        return text.toString();
    }

    private static String line(List<Object> cells) {
        return FORMAT.format(cells.stream().map(CsvCell::harmless).toArray()) + FORMAT.getRecordSeparator();
    }

    private static List<LogEntry> readings(ZoneStore.StoredZone zone) {
        return LogEntry.unstruck(zone.log()).stream()
                .filter(e -> e.kind() == LogEntry.Kind.READING)
                .toList();
    }

    private static List<Object> row(ZoneStore.StoredZone zone, LogEntry e, Set<String> fields) {
        var row = new ArrayList<Object>(List.of(
                e.key(),
                zone.choice().name(),
                e.subject(),
                e.place(),
                e.at(),
                e.by(),
                e.note(),
                e.instrument().map(i -> i.name()).orElse(""),
                e.instrument().map(i -> i.calibrated().toString()).orElse(""),
                e.instrument().map(i -> i.due().toString()).orElse("")));
        for (String column : fields) {
            int dot = column.indexOf('.');
            boolean own = column.substring(0, dot).equals(e.subject());
            var value = own ? e.values().get(column.substring(dot + 1)) : null;
            row.add(value == null ? "" : value.typed());
        }
        return row;
    }

    /** @throws InvalidInput naming the lines and columns at fault; then nothing was stored */
    Taken read(UUID jobId, UUID key, String text) {
        if (text == null) {
            throw new InvalidInput("text", null, "a CSV file with a line of column names");
        }
        var taken = new Taken[] {new Taken(0, 0)};
        writes.onceIn(jobId, key, List.of("readings", jobId, text), () -> {
            taken[0] = new Reader(jobId).read(text);
            return key.toString();
        });
        return taken[0];
    }

    private final class Reader {
        private final UUID jobId;
        private final JobStore.StoredJob job;
        private final Map<String, ZoneStore.StoredZone> byName;
        private final Set<String> known;
        private final List<InvalidInput.Fault> faults = new ArrayList<>();
        private final Map<UUID, List<LogEntry>> fresh = new LinkedHashMap<>();
        private final Map<UUID, String> lines = new HashMap<>();
        private int added;
        private int here;

        Reader(UUID jobId) {
            this.jobId = jobId;
            job = store.get(jobId);
            List<ZoneStore.StoredZone> all = zones.of(jobId);
            byName = all.stream().collect(Collectors.toMap(z -> z.choice().name(), z -> z, (a, b) -> a, TreeMap::new));
            known = all.stream()
                    .flatMap(z -> z.log().stream())
                    .map(LogEntry::key)
                    .collect(Collectors.toSet());
        }

        Taken read(String text) {
            if (text == null || text.isBlank()) {
                throw new InvalidInput("text", null, "a CSV file with a line of column names");
            }
            try (CSVParser parser = FORMAT.parse(new StringReader(text.replaceFirst("^\ufeff", "")))) {
                List<CSVRecord> lines = parser.stream().limit(MOST_ROWS + 2L).toList();
                if (lines.size() > MOST_ROWS + 1) {
                    throw new InvalidInput("line " + (MOST_ROWS + 2), null, "at most " + MOST_ROWS + " lines");
                }
                List<String> columns = columns(lines.get(0));
                for (CSVRecord line : lines.subList(1, lines.size())) {
                    row(columns, line);
                    if (faults.size() >= MOST_FAULTS) {
                        break;
                    }
                }
            } catch (IOException | UncheckedIOException e) {
                throw new InvalidInput("text", e.getMessage(), "CSV as RFC 4180 has it");
            }
            if (!faults.isEmpty()) {
                throw new InvalidInput(faults);
            }
            requireOfThisJob();
            fresh.forEach(logs::appendAll);
            return new Taken(added, here);
        }

        private List<String> columns(CSVRecord line) {
            List<String> columns = line.toList();
            for (String column : List.of("zone", "method", "at", "by")) {
                if (!columns.contains(column)) {
                    throw new InvalidInput("line 1", String.join(",", columns), "a column called " + column);
                }
            }
            for (String column : columns) {
                int dot = column.indexOf('.');
                boolean field = dot > 0
                        && TestMethods.ALL.stream()
                                .anyMatch(m -> m.id().equals(column.substring(0, dot))
                                        && m.fields().stream().anyMatch(f -> f.id().equals(column.substring(dot + 1))));
                if (!ALWAYS.contains(column) && !field) {
                    throw new InvalidInput(
                            "line 1",
                            column,
                            "one of " + String.join(", ", ALWAYS) + ", or method.field such as ph.ph");
                }
            }
            return columns;
        }

        private void row(List<String> columns, CSVRecord line) {
            String at = "line " + line.getRecordNumber();
            Map<String, String> cells = new TreeMap<>();
            for (int i = 0; i < Math.min(columns.size(), line.size()); i++) {
                cells.put(columns.get(i), CsvCell.asWritten(line.get(i)));
            }
            if (line.size() > columns.size()) {
                faults.add(new InvalidInput.Fault(at, line.size() + " cells", "at most " + columns.size()));
                return;
            }
            ZoneStore.StoredZone zone = byName.get(cells.getOrDefault("zone", ""));
            if (zone == null) {
                faults.add(new InvalidInput.Fault(
                        at + ", zone", cells.get("zone"), "a zone of this job: " + String.join(", ", byName.keySet())));
                return;
            }
            try {
                UUID key = key(cells, line);
                if (known.contains(key.toString())) {
                    here++;
                    return;
                }
                LogEntry entry = form(cells).read(key, scope(zone));
                fresh.computeIfAbsent(zone.id(), z -> new ArrayList<>()).add(entry);
                lines.put(key, at);
                known.add(entry.key());
                added++;
            } catch (InvalidInput e) {
                e.faults()
                        .forEach(f -> faults.add(new InvalidInput.Fault(
                                at + ", " + column(f.field(), cells.get("method")), f.value(), f.accepted())));
            }
        }

        /** A key that comes with a line is that of one reading: what another job has is not taken a second time. */
        private void requireOfThisJob() {
            logs.ofOthers(jobId, lines.keySet()).stream()
                    .map(k -> new InvalidInput.Fault(
                            lines.get(k) + ", key",
                            k.toString(),
                            "nothing, for a reading of its own: another job has one of this key"))
                    .forEach(faults::add);
            if (!faults.isEmpty()) {
                throw new InvalidInput(faults);
            }
        }

        /** Its own, or one made of all that stands in the line, so that a file read twice is stored once. */
        private UUID key(Map<String, String> cells, CSVRecord line) {
            String given = cells.getOrDefault("key", "");
            if (given.isEmpty()) {
                return UUID.nameUUIDFromBytes((jobId + "\n" + cells).getBytes(StandardCharsets.UTF_8));
            }
            try {
                return UUID.fromString(given);
            } catch (IllegalArgumentException e) {
                throw new InvalidInput("key", given, "a UUID, or nothing");
            }
        }

        private LogForm form(Map<String, String> cells) {
            Map<String, String> values = new TreeMap<>();
            cells.forEach((column, cell) -> {
                int dot = column.indexOf('.');
                if (dot > 0 && !cell.isEmpty()) {
                    if (!column.substring(0, dot).equals(cells.get("method"))) {
                        throw new InvalidInput(
                                column, cell, "nothing: the line is a reading by " + cells.get("method"));
                    }
                    values.put(column.substring(dot + 1), cell);
                }
            });
            String instrument = cells.getOrDefault("instrument", "");
            Optional<PapersForm> papers = instrument.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new PapersForm(instrument, cells.get("calibrated"), cells.get("good until")));
            return new LogForm(
                    LogEntry.Kind.READING.name(),
                    cells.get("method"),
                    cells.getOrDefault("place", ""),
                    cells.get("at"),
                    cells.get("by"),
                    cells.getOrDefault("note", ""),
                    values,
                    papers.orElse(null),
                    null);
        }

        private LogScope scope(ZoneStore.StoredZone zone) {
            return new LogScope(job.facts().units(), jobs.layers(zone.cycles()), Set.of(), jobs.latest());
        }

        /** The column that a form's field came from. */
        private static String column(String field, String method) {
            return switch (field) {
                case "subject" -> "method";
                case "instrument.name" -> "instrument";
                case "instrument.calibrated" -> "calibrated";
                case "instrument.due" -> "good until";
                default -> field.startsWith("values.") ? method + field.substring("values".length()) : field;
            };
        }
    }
}
