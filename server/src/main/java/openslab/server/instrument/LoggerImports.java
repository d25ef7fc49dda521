package openslab.server.instrument;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
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
import openslab.core.quantity.Refusal;
import openslab.server.store.DataFolder;
import openslab.server.store.Writes;
import openslab.server.web.NoSpace;
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
     * @param repeated how many samples were here already, and were left out
     * @param bytes read so far of {@code ofBytes}
     * @param setAside how many samples do not count, by the check that objected
     * @param oddLines how many lines could not be read at all
     * @param faults why it failed
     */
    record Progress(
            State state,
            long samples,
            long repeated,
            long bytes,
            long ofBytes,
            Map<String, Long> setAside,
            long oddLines,
            List<InvalidInput.Fault> faults) {}

    private static final String TAKEN = "logger-file:";
    private static final Logger LOG = LoggerFactory.getLogger(LoggerImports.class);
    static final long MOST_BYTES = 1L << 30;
    private static final int PART = 1 << 16;
    /** Bytes of a file that is taken in, between two looks whether there is room for more. */
    private static final long ROOM_EVERY = 1L << 23;

    private static final int TOLD_EVERY = 2000;
    /** With more lines than this that cannot be read, the columns are read wrongly. */
    private static final int MOST_ODD = 1000;
    /** An offer that nobody begins is let go of, and so is the memory of a file that was taken over. */
    private static final Duration KEPT = Duration.ofHours(1);
    /** As many files wait at once. */
    private static final int MOST_WAITING = 20;

    private final InstrumentStore instruments;
    private final SampleStore samples;
    private final OddLines oddLines;
    private final Writes writes;
    private final ColumnMappings mappings;
    private final DataSource source;
    private final Clock clock;
    private final DataFolder folder;
    private final Map<UUID, Running> running = new ConcurrentHashMap<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(r -> new Thread(r, "logger-import"));

    LoggerImports(
            InstrumentStore instruments,
            SampleStore samples,
            OddLines oddLines,
            Writes writes,
            ColumnMappings mappings,
            DataSource source,
            Clock clock,
            DataFolder folder) {
        this.instruments = instruments;
        this.samples = samples;
        this.oddLines = oddLines;
        this.writes = writes;
        this.mappings = mappings;
        this.source = source;
        this.clock = clock;
        this.folder = folder;
    }

    private static final class Running {
        final LoggerFile file;
        final long size;
        volatile Progress progress;
        final Instant since;
        volatile boolean stop;

        Running(LoggerFile file, long size, Instant since) {
            this.since = since;
            this.file = file;
            this.size = size;
            progress = new Progress(State.OFFERED, 0, 0, 0, size, Map.of(), 0, List.of());
        }
    }

    /** Somebody stopped it; everything it wrote goes with its transaction. */
    private static final class Stopped extends RuntimeException {}

    /** Takes a file in and says how it would be read. */
    FileOffer offer(InputStream body, String timeZone) {
        letGo();
        if (running.values().stream().filter(r -> isWaiting(r.progress.state())).count() >= MOST_WAITING) {
            throw new Refusal(
                    "too-many-files",
                    MOST_WAITING + " files wait to be taken over.",
                    "Take one of them over or let go of it; after an hour each is let go of by itself.");
        }
        Path path = temporary();
        try {
            copy(body, path);
            LoggerFile file = LoggerFile.open(path);
            long size = Files.size(path);
            UUID id = UUID.randomUUID();
            running.put(id, new Running(file, size, started()));
            Optional<ColumnMapping> known = mappings.of(file.columns());
            return new FileOffer(
                    id,
                    size,
                    file.columns(),
                    file.first(),
                    known.orElseGet(() -> ColumnMapping.guess(file.columns(), file.first(), timeZone)),
                    known.isPresent());
        } catch (IOException e) {
            discard(path);
            throw new UncheckedIOException(e);
        } catch (RuntimeException e) {
            discard(path);
            throw e;
        }
    }

    private static boolean isWaiting(State state) {
        return state == State.OFFERED || state == State.FAILED || state == State.RUNNING;
    }

    /** What waited too long, or ended long ago, goes; what runs goes on. */
    private void letGo() {
        Instant longAgo = started().minus(KEPT);
        running.forEach((id, run) -> {
            synchronized (run) {
                if (run.since.isBefore(longAgo) && run.progress.state() != State.RUNNING) {
                    discard(run.file.path());
                    running.remove(id);
                }
            }
        });
    }

    /** By the machine's own clock: the application's may be stopped. */
    private static Instant started() {
        return Instant.now();
    }

    private Path temporary() {
        try {
            return folder.temporary("logger", ".csv");
        } catch (IOException e) {
            throw new NoSpace("The file could not be kept, there may be no space left; nothing was saved.", e);
        }
    }

    private void copy(InputStream body, Path path) throws IOException {
        long size = 0;
        try (var out = Files.newOutputStream(path)) {
            byte[] part = new byte[PART];
            for (int n = body.read(part); n >= 0; n = body.read(part)) {
                size += n;
                if (size > MOST_BYTES) {
                    throw new InvalidInput("file", "over " + MOST_BYTES + " bytes", "at most a gibibyte");
                }
                if (size / ROOM_EVERY != (size - n) / ROOM_EVERY) {
                    folder.requireSpace();
                }
                write(out, part, n);
            }
        }
    }

    private static void write(OutputStream out, byte[] part, int length) {
        try {
            out.write(part, 0, length);
        } catch (IOException e) {
            throw new NoSpace("The file could not be kept, there may be no space left; nothing was saved.", e);
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

    /** Also of a file that was taken over before the application was started: it was, whole, or it was not. */
    Progress progress(UUID fileId) {
        Running run = running.get(fileId);
        return run != null ? run.progress : taken(fileId).orElseThrow(() -> new NotHere("fileId", fileId));
    }

    /** A taken file's key answers with how many samples it brought, and how many lines could not be read. */
    private Optional<Progress> taken(UUID fileId) {
        return writes.answered(fileId).filter(a -> a.startsWith(TAKEN)).map(a -> {
            String[] counts = a.substring(TAKEN.length()).split(",");
            return new Progress(
                    State.DONE,
                    Long.parseLong(counts[0]),
                    Long.parseLong(counts[1]),
                    0,
                    0,
                    Map.of(),
                    Long.parseLong(counts[2]),
                    List.of());
        });
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
                run.progress = new Progress(State.RUNNING, 0, 0, 0, run.size, Map.of(), 0, List.of());
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
                kept ? p.repeated() : 0,
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
                Progress p = run.progress;
                return TAKEN + p.samples() + "," + p.repeated() + "," + p.oddLines();
            });
            run.progress = ended(run, State.DONE, List.of());
            discard(run.file.path());
        } catch (Stopped e) {
            run.progress = ended(run, State.STOPPED, List.of());
            discard(run.file.path());
        } catch (InvalidInput e) {
            run.progress = ended(run, State.FAILED, e.faults());
        } catch (NoSpace e) {
            run.progress = ended(run, State.FAILED, List.of(new InvalidInput.Fault("disk", null, e.getMessage())));
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
                in.ended();
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
        run.progress = new Progress(
                State.RUNNING, keeper.kept(), keeper.repeated(), bytes, run.size, keeper.setAside(), odd, List.of());
    }

    /** A server that stops stops its imports; what they wrote is gone with them. */
    @Override
    public void destroy() {
        running.values().forEach(r -> r.stop = true);
        worker.shutdown();
    }
}
