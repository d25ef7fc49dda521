package openslab.server.instrument;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javax.sql.DataSource;
import openslab.core.quantity.InvalidInput;
import openslab.core.survey.instrument.Quantity;
import openslab.core.survey.instrument.Sample;
import openslab.server.store.Writes;
import openslab.server.web.NotHere;
import org.apache.commons.csv.CSVRecord;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Service;
import tools.jackson.databind.ObjectMapper;

/**
 * Files of loggers, taken over one at a time in the background: whole, or not at all. Whoever started one may watch it and
 * may stop it.
 */
@Service
class LoggerImports implements DisposableBean {
    enum State {
        OFFERED,
        RUNNING,
        DONE,
        STOPPED,
        FAILED
    }

    /**
     * @param remembered whether files with these columns were read before, and {@code mapping} is how
     */
    record FileOffer(
            UUID fileId,
            long bytes,
            List<String> columns,
            List<List<String>> first,
            ColumnMapping mapping,
            boolean remembered) {}

    /**
     * @param bytes read so far of {@code ofBytes}
     * @param setAside how many samples do not count, by the check that objected
     * @param oddLines how many lines could not be read at all
     * @param faults why it failed
     */
    record Progress(
            State state,
            long samples,
            long bytes,
            long ofBytes,
            Map<String, Long> setAside,
            long oddLines,
            List<InvalidInput.Fault> faults) {}

    private static final Logger LOG = LoggerFactory.getLogger(LoggerImports.class);
    static final long MOST_BYTES = 1L << 30;
    private static final int TOLD_EVERY = 2000;
    /** With more lines than this that cannot be read, the columns are read wrongly. */
    private static final int MOST_ODD = 1000;

    private final InstrumentStore instruments;
    private final SampleStore samples;
    private final OddLines oddLines;
    private final Writes writes;
    private final JdbcClient db;
    private final DataSource source;
    private final ObjectMapper json;
    private final Clock clock;
    private final Map<UUID, Running> running = new ConcurrentHashMap<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(r -> new Thread(r, "logger-import"));

    LoggerImports(
            InstrumentStore instruments,
            SampleStore samples,
            OddLines oddLines,
            Writes writes,
            JdbcClient db,
            DataSource source,
            ObjectMapper json,
            Clock clock) {
        this.instruments = instruments;
        this.samples = samples;
        this.oddLines = oddLines;
        this.writes = writes;
        this.db = db;
        this.source = source;
        this.json = json;
        this.clock = clock;
    }

    private static final class Running {
        final LoggerFile file;
        final long size;
        volatile Progress progress;
        volatile boolean stop;

        Running(LoggerFile file, long size) {
            this.file = file;
            this.size = size;
            progress = new Progress(State.OFFERED, 0, 0, size, Map.of(), 0, List.of());
        }
    }

    /** Somebody stopped it; everything it wrote goes with its transaction. */
    private static final class Stopped extends RuntimeException {}

    /** Takes a file in and says how it would be read. */
    FileOffer offer(InputStream body, String timeZone) {
        Path path = save(body);
        try {
            LoggerFile file = LoggerFile.open(path);
            long size = Files.size(path);
            UUID id = UUID.randomUUID();
            running.put(id, new Running(file, size));
            Optional<ColumnMapping> known = remembered(file.columns());
            return new FileOffer(
                    id,
                    size,
                    file.columns(),
                    file.first(),
                    known.orElseGet(() -> ColumnMapping.guess(file.columns(), file.first(), timeZone)),
                    known.isPresent());
        } catch (InvalidInput | IOException e) {
            discard(path);
            throw e instanceof InvalidInput invalid ? invalid : new UncheckedIOException((IOException) e);
        }
    }

    private static Path save(InputStream body) {
        try {
            Path path = Files.createTempFile("open-slab-logger", ".csv");
            path.toFile().deleteOnExit();
            long size = 0;
            try (var out = Files.newOutputStream(path)) {
                byte[] part = new byte[1 << 16];
                for (int n = body.read(part); n >= 0 && size <= MOST_BYTES; n = body.read(part)) {
                    out.write(part, 0, n);
                    size += n;
                }
            }
            if (size > MOST_BYTES) {
                discard(path);
                throw new InvalidInput("file", "over " + MOST_BYTES + " bytes", "at most a gibibyte");
            }
            return path;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void discard(Path path) {
        try {
            Files.deleteIfExists(path);
        } catch (IOException e) {
            LOG.warn("a temporary file stays behind: {}", path, e);
        }
    }

    private Running get(UUID fileId) {
        Running found = running.get(fileId);
        if (found == null) {
            throw new NotHere("fileId", fileId);
        }
        return found;
    }

    Progress progress(UUID fileId) {
        return get(fileId).progress;
    }

    /** Begins to take the file over. Asked again, it goes on as it is. */
    Progress start(UUID fileId, UUID instrumentId, ColumnMapping mapping) {
        Running run = get(fileId);
        if (mapping == null) {
            throw new InvalidInput("mapping", null, "how the columns are read");
        }
        mapping.check(run.file.columns());
        InstrumentStore.Stored instrument = instruments.get(instrumentId);
        synchronized (run) {
            if (run.progress.state() == State.OFFERED || run.progress.state() == State.FAILED) {
                run.progress = new Progress(State.RUNNING, 0, 0, run.size, Map.of(), 0, List.of());
                worker.execute(() -> run(fileId, run, instrument, mapping));
            }
        }
        return run.progress;
    }

    /** Stops it, or lets go of a file that was not begun. What it wrote is gone with it. */
    Progress stop(UUID fileId) {
        Running run = get(fileId);
        synchronized (run) {
            run.stop = true;
            if (run.progress.state() == State.OFFERED || run.progress.state() == State.FAILED) {
                run.progress = ended(run, State.STOPPED, List.of());
                discard(run.file.path());
            }
        }
        return run.progress;
    }

    private static Progress ended(Running run, State state, List<InvalidInput.Fault> faults) {
        Progress p = run.progress;
        boolean kept = state == State.DONE;
        return new Progress(
                state,
                kept ? p.samples() : 0,
                p.bytes(),
                p.ofBytes(),
                kept ? p.setAside() : Map.of(),
                kept ? p.oddLines() : 0,
                faults);
    }

    private void run(UUID fileId, Running run, InstrumentStore.Stored instrument, ColumnMapping mapping) {
        try {
            writes.once(fileId, List.of("logger-file", instrument.id(), mapping), () -> {
                take(run, instrument, mapping);
                remember(run.file.columns(), mapping);
                return fileId.toString();
            });
            run.progress = ended(run, State.DONE, List.of());
            discard(run.file.path());
        } catch (Stopped e) {
            run.progress = ended(run, State.STOPPED, List.of());
            discard(run.file.path());
        } catch (InvalidInput e) {
            run.progress = ended(run, State.FAILED, e.faults());
        } catch (RuntimeException e) {
            LOG.error("a logger's file could not be taken over", e);
            run.progress = ended(
                    run, State.FAILED, List.of(new InvalidInput.Fault("file", null, "our mistake: it is in the log")));
        }
    }

    /** Counts what is read, for whoever watches. */
    private static final class Counted extends FilterInputStream {
        private long count;

        Counted(InputStream in) {
            super(in);
        }

        @Override
        public int read() throws IOException {
            int b = super.read();
            count += b < 0 ? 0 : 1;
            return b;
        }

        @Override
        public int read(byte[] b, int off, int len) throws IOException {
            int n = super.read(b, off, len);
            count += Math.max(0, n);
            return n;
        }
    }

    private void take(Running run, InstrumentStore.Stored instrument, ColumnMapping mapping) {
        Connection connection = DataSourceUtils.getConnection(source);
        Instant latest = clock.instant().plus(Instruments.SKEW);
        try (var in = new Counted(Files.newInputStream(run.file.path()));
                var lines = run.file.lines(in);
                var keeper = new SampleKeeper(instrument, samples, connection, latest)) {
            var reader = new RowReader(run.file.columns(), mapping);
            long odd = 0;
            for (CSVRecord line : lines) {
                if (line.getRecordNumber() == 1) {
                    continue;
                }
                String reason = reader.read(line, keeper);
                if (!reason.isEmpty()) {
                    oddLines.keep(
                            instrument.id(),
                            new OddLines.Odd(line.getRecordNumber(), String.join(", ", line.toList()), reason));
                    if (++odd > MOST_ODD) {
                        throw new InvalidInput(
                                "file",
                                "line " + line.getRecordNumber() + ": " + reason,
                                "at most " + MOST_ODD + " lines that cannot be read: look at the columns again");
                    }
                }
                if (line.getRecordNumber() % TOLD_EVERY == 0) {
                    tell(run, keeper, in.count, odd);
                }
            }
            keeper.flush();
            tell(run, keeper, in.count, odd);
        } catch (SQLException e) {
            throw new IllegalStateException("samples could not be stored", e);
        } catch (IOException | UncheckedIOException e) {
            throw new InvalidInput("file", e.getMessage(), "a text file with one sample or one moment on each line");
        } finally {
            DataSourceUtils.releaseConnection(connection, source);
        }
    }

    private static void tell(Running run, SampleKeeper keeper, long bytes, long odd) {
        if (run.stop) {
            throw new Stopped();
        }
        run.progress = new Progress(State.RUNNING, keeper.kept(), bytes, run.size, keeper.setAside(), odd, List.of());
    }

    /** Reads one line by its columns' places. */
    private static final class RowReader {
        private final ColumnMapping mapping;
        private final TimeFormat format;
        private final ZoneId where;
        private final int time;
        private final int channel;
        private final int quantity;
        private final int unit;
        private final int battery;
        private final int[] values;
        private final Quantity[] quantities;

        RowReader(List<String> columns, ColumnMapping mapping) {
            this.mapping = mapping;
            format = TimeFormat.valueOf(mapping.timeFormat());
            where = ZoneId.of(mapping.timeZone());
            time = columns.indexOf(mapping.time());
            channel = columns.indexOf(mapping.channel());
            quantity = columns.indexOf(mapping.quantity());
            unit = columns.indexOf(mapping.unit());
            battery = columns.indexOf(mapping.battery());
            values = mapping.values().stream()
                    .mapToInt(v -> columns.indexOf(v.column()))
                    .toArray();
            quantities = mapping.values().stream()
                    .map(v -> quantity < 0 ? Quantity.valueOf(v.quantity()) : null)
                    .toArray(Quantity[]::new);
        }

        /** @return why the line cannot be read; empty where it was */
        String read(CSVRecord line, SampleKeeper keeper) throws SQLException {
            if (line.size() <= time) {
                return "too few columns";
            }
            Instant at;
            try {
                at = format.read(line.get(time).strip(), where);
            } catch (DateTimeException e) {
                return "the time is not written as " + format.label();
            }
            double volts = battery < 0 ? Double.NaN : number(line, battery);
            for (int i = 0; i < values.length; i++) {
                var column = mapping.values().get(i);
                Quantity measured = quantities[i] == null ? quantity(line) : quantities[i];
                if (measured == null) {
                    return "no such quantity: " + text(line, quantity);
                }
                String name = channel < 0 ? column.channel().strip() : text(line, channel);
                if (name.isEmpty() || name.length() > 40) {
                    return "no channel";
                }
                String spelt = unit < 0 ? column.unit() : text(line, unit);
                keeper.keep(name, measured, new Sample(at, number(line, values[i]), spelt == null ? "" : spelt, volts));
            }
            return "";
        }

        private Quantity quantity(CSVRecord line) {
            String word = text(line, quantity);
            for (Quantity q : Quantity.values()) {
                if (q.name().equalsIgnoreCase(word) || q.label().equalsIgnoreCase(word)) {
                    return q;
                }
            }
            return null;
        }

        private static String text(CSVRecord line, int column) {
            return column < line.size() ? line.get(column).strip() : "";
        }

        /** NaN where no number stands there: the screening says so. */
        private static double number(CSVRecord line, int column) {
            String text = text(line, column);
            if (text.isEmpty()) {
                return Double.NaN;
            }
            try {
                return Double.parseDouble(
                        text.indexOf(',') >= 0 && text.indexOf('.') < 0 ? text.replace(',', '.') : text);
            } catch (NumberFormatException e) {
                return Double.NaN;
            }
        }
    }

    private static String digest(List<String> columns) {
        return Writes.digest(String.join("\n", columns));
    }

    private Optional<ColumnMapping> remembered(List<String> columns) {
        return db.sql("select mapping from column_mapping where columns_digest = :digest")
                .param("digest", digest(columns))
                .query(String.class)
                .optional()
                .map(text -> json.readValue(text, ColumnMapping.class));
    }

    private void remember(List<String> columns, ColumnMapping mapping) {
        db.sql("delete from column_mapping where columns_digest = :digest")
                .param("digest", digest(columns))
                .update();
        db.sql("insert into column_mapping (columns_digest, mapping, used_at) values (:digest, :mapping, :now)")
                .param("digest", digest(columns))
                .param("mapping", json.writeValueAsString(mapping))
                .param("now", OffsetDateTime.now(clock))
                .update();
    }

    /** A server that stops stops its imports; what they wrote is gone with them. */
    @Override
    public void destroy() {
        running.values().forEach(r -> r.stop = true);
        worker.shutdown();
    }
}
