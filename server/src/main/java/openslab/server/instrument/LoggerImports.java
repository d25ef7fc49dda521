package openslab.server.instrument;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javax.sql.DataSource;
import openslab.core.quantity.InvalidInput;
import openslab.server.store.Writes;
import openslab.server.web.NotHere;
import org.apache.commons.csv.CSVRecord;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Service;

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
    private final ColumnMappings mappings;
    private final DataSource source;
    private final Clock clock;
    private final Map<UUID, Running> running = new ConcurrentHashMap<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(r -> new Thread(r, "logger-import"));

    LoggerImports(
            InstrumentStore instruments,
            SampleStore samples,
            OddLines oddLines,
            Writes writes,
            ColumnMappings mappings,
            DataSource source,
            Clock clock) {
        this.instruments = instruments;
        this.samples = samples;
        this.oddLines = oddLines;
        this.writes = writes;
        this.mappings = mappings;
        this.source = source;
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
            Optional<ColumnMapping> known = mappings.of(file.columns());
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
                mappings.keep(run.file.columns(), mapping);
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
                    tell(run, keeper, in.count(), odd);
                }
            }
            keeper.flush();
            tell(run, keeper, in.count(), odd);
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

    /** A server that stops stops its imports; what they wrote is gone with them. */
    @Override
    public void destroy() {
        running.values().forEach(r -> r.stop = true);
        worker.shutdown();
    }
}
