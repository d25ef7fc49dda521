package openslab.server.instrument;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import openslab.core.quantity.InvalidInput;
import openslab.core.survey.instrument.Quantity;
import openslab.core.survey.instrument.Sample;
import openslab.core.survey.instrument.check.Screening;
import openslab.core.survey.instrument.check.Screening.Screened;

/** Screens the samples of one instrument, channel by channel, and writes every one of them down. */
final class SampleKeeper implements AutoCloseable {
    /** As many earlier samples tell whether a sensor is stuck or has leapt. */
    private static final int MEMORY = 200;

    static final int MOST_SERIES = 500;

    private record Key(String channel, Quantity quantity) {}

    /** @param newest of what was here before; {@code last} the moment and value that came last now */
    private static final class Screen {
        private final long seriesId;
        private final Screening screening;
        private final Instant newest;
        private Sample last;

        Screen(long seriesId, Screening screening, Instant newest) {
            this.seriesId = seriesId;
            this.screening = screening;
            this.newest = newest;
        }
    }

    private final InstrumentStore.Stored instrument;
    private final SampleStore samples;
    private final Instant latest;
    private final SampleStore.Writer writer;
    private final Map<Key, Screen> screens = new HashMap<>();
    private final Map<Key, SampleStore.Series> known = new HashMap<>();
    private final SampleStore.Here here;
    private final Map<String, Long> setAside = new TreeMap<>();
    private long kept;
    private long repeated;

    /** @param latest nothing was written later than this */
    SampleKeeper(InstrumentStore.Stored instrument, SampleStore samples, Connection connection, Instant latest)
            throws SQLException {
        this.instrument = instrument;
        this.samples = samples;
        this.latest = latest;
        this.writer = new SampleStore.Writer(connection);
        this.here = new SampleStore.Here(connection);
        samples.series(instrument.id()).forEach(s -> known.put(new Key(s.channel(), s.quantity()), s));
    }

    void keep(String channel, Quantity quantity, Sample sent) throws SQLException {
        // moments are kept to the millisecond: the same one is found again only as it is kept
        var sample = new Sample(sent.at().truncatedTo(ChronoUnit.MILLIS), sent.value(), sent.unit(), sent.batteryV());
        Screen screen = screens.computeIfAbsent(new Key(channel, quantity), this::screen);
        if (isRepeated(screen, sample)) {
            repeated++;
            return;
        }
        screen.last = sample;
        Screened taken = screen.screening.put(sample);
        writer.add(screen.seriesId, taken);
        kept++;
        if (!taken.counts()) {
            setAside.merge(taken.fault(), 1L, Long::sum);
        }
    }

    /** Goes on from what the series already holds. */
    private Screen screen(Key key) {
        boolean fresh = !known.containsKey(key);
        if (fresh && known.size() >= MOST_SERIES) {
            throw new InvalidInput(
                    "channel", key.channel, "at most " + MOST_SERIES + " channels and quantities of one instrument");
        }
        SampleStore.Series series =
                known.computeIfAbsent(key, k -> samples.make(instrument.id(), k.channel, k.quantity));
        if (fresh) {
            var screening = new Screening(key.quantity, Optional.of(instrument.papers()), latest, Optional.empty());
            return new Screen(series.seriesId(), screening, Instant.MIN);
        }
        var screening = new Screening(
                key.quantity, Optional.of(instrument.papers()), latest, samples.oldest(series.seriesId()));
        String unit = key.quantity.unit().symbol();
        samples.last(series.seriesId(), MEMORY)
                .forEach(k -> screening.put(new Sample(k.at(), k.value(), unit, Double.NaN)));
        return new Screen(
                series.seriesId(), screening, samples.newest(series.seriesId()).orElse(Instant.MIN));
    }

    /** A file read twice, or one that holds what an earlier one held: the same value at the same moment is one sample. */
    private boolean isRepeated(Screen screen, Sample sample) throws SQLException {
        boolean justNow = screen.last != null
                && screen.last.at().equals(sample.at())
                && Double.compare(screen.last.value(), sample.value()) == 0;
        return justNow
                || !sample.at().isAfter(screen.newest)
                        && here.holds(screen.seriesId, sample.at(), screen.screening.value(sample));
    }

    /** How many were here already. */
    long repeated() {
        return repeated;
    }

    long kept() {
        return kept;
    }

    /** How many were set aside, by the check that objected. */
    Map<String, Long> setAside() {
        return new TreeMap<>(setAside);
    }

    void flush() throws SQLException {
        writer.flush();
    }

    @Override
    public void close() throws SQLException {
        here.close();
        writer.close();
    }
}
