package openslab.server.instrument;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import openslab.core.survey.instrument.Quantity;
import openslab.core.survey.instrument.Sample;
import openslab.core.survey.instrument.Screening;
import openslab.core.survey.instrument.Screening.Screened;

/** Screens the samples of one instrument, channel by channel, and writes every one of them down. */
final class SampleKeeper implements AutoCloseable {
    /** As many earlier samples tell whether a sensor is stuck or has leapt. */
    private static final int MEMORY = 200;

    private record Key(String channel, Quantity quantity) {}

    private record Screen(long seriesId, Screening screening) {}

    private final InstrumentStore.Stored instrument;
    private final SampleStore samples;
    private final Instant latest;
    private final SampleStore.Writer writer;
    private final Map<Key, Screen> screens = new HashMap<>();
    private final Map<String, Long> setAside = new TreeMap<>();
    private long kept;

    /** @param latest nothing was written later than this */
    SampleKeeper(InstrumentStore.Stored instrument, SampleStore samples, Connection connection, Instant latest)
            throws SQLException {
        this.instrument = instrument;
        this.samples = samples;
        this.latest = latest;
        this.writer = new SampleStore.Writer(connection);
    }

    void keep(String channel, Quantity quantity, Sample sample) throws SQLException {
        Screen screen = screens.computeIfAbsent(new Key(channel, quantity), this::screen);
        Screened taken = screen.screening.put(sample);
        writer.add(screen.seriesId, taken);
        kept++;
        if (!taken.counts()) {
            setAside.merge(taken.fault(), 1L, Long::sum);
        }
    }

    /** Goes on from what the series already holds. */
    private Screen screen(Key key) {
        SampleStore.Series series = samples.series(instrument.id(), key.channel, key.quantity);
        var screening = new Screening(
                key.quantity, Optional.of(instrument.papers()), latest, samples.oldest(series.seriesId()));
        String unit = key.quantity.unit().symbol();
        samples.last(series.seriesId(), MEMORY)
                .forEach(k -> screening.put(new Sample(k.at(), k.value(), unit, Double.NaN)));
        return new Screen(series.seriesId(), screening);
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
        writer.close();
    }
}
