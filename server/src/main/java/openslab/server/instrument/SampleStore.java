package openslab.server.instrument;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import openslab.core.survey.instrument.Quantity;
import openslab.core.survey.instrument.check.Screening.Screened;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;

/** Every sample that an instrument ever sent. */
@Repository
class SampleStore {
    private static final int BATCH = 2000;
    /** No sample is later; naming it lets H2 choose the index by moment over the one of the foreign key. */
    private static final OffsetDateTime LATEST = OffsetDateTime.parse("2300-01-01T00:00:00Z");

    private static final String INSERT = "insert into sample (series_id, read_at, measured, fault) values (?, ?, ?, ?)";

    /** @param newest when its newest sample was written; empty where there is none */
    record Series(long seriesId, UUID instrumentId, String channel, Quantity quantity) {}

    /** @param fault empty where it counts */
    record Kept(Instant at, double value, String fault) {}

    /** How many samples of a series a check set aside, and between which moments. */
    record SetAside(long seriesId, String fault, long count, Instant first, Instant last) {}

    private record Row(OffsetDateTime readAt, double measured, String fault) {
        Kept kept() {
            return new Kept(readAt.toInstant(), measured, fault == null ? "" : fault);
        }
    }

    private record AsideRow(long seriesId, String fault, long number, OffsetDateTime firstAt, OffsetDateTime lastAt) {}

    private final JdbcClient db;

    SampleStore(JdbcClient db) {
        this.db = db;
    }

    List<Series> series(UUID instrumentId) {
        return db.sql(
                        """
                select series_id, instrument_id, channel, quantity from series
                where instrument_id = :id order by channel, quantity""")
                .param("id", instrumentId)
                .query(Series.class)
                .list();
    }

    /** A series of a channel that has none yet. */
    Series make(UUID instrumentId, String channel, Quantity quantity) {
        var made = new GeneratedKeyHolder();
        db.sql("insert into series (instrument_id, channel, quantity) values (:id, :channel, :quantity)")
                .param("id", instrumentId)
                .param("channel", channel)
                .param("quantity", quantity.name())
                .update(made, "series_id");
        return new Series(made.getKeyAs(Long.class), instrumentId, channel, quantity);
    }

    Optional<Instant> newest(long seriesId) {
        return db.sql("select max(last_at) from series_tally where series_id = :id")
                .param("id", seriesId)
                .query(OffsetDateTime.class)
                .optional()
                .map(OffsetDateTime::toInstant);
    }

    Optional<Instant> oldest(long seriesId) {
        return db.sql("select min(first_at) from series_tally where series_id = :id")
                .param("id", seriesId)
                .query(OffsetDateTime.class)
                .optional()
                .map(OffsetDateTime::toInstant);
    }

    long count(long seriesId) {
        return db.sql("select coalesce(sum(number), 0) from series_tally where series_id = :id")
                .param("id", seriesId)
                .query(Long.class)
                .single();
    }

    /** The last {@code most} samples of a series, oldest first. */
    List<Kept> last(long seriesId, int most) {
        var kept = new ArrayList<>(db
                .sql(
                        """
                select read_at, measured, fault from sample where series_id = :id and read_at <= :latest
                order by series_id, read_at desc, sample_id desc fetch first :most rows only""")
                .param("id", seriesId)
                .param("latest", LATEST)
                .param("most", most)
                .query(Row.class)
                .list()
                .stream()
                .map(Row::kept)
                .toList());
        java.util.Collections.reverse(kept);
        return kept;
    }

    /** The newest sample of a series that counts. */
    Optional<Kept> newestGood(long seriesId) {
        return db.sql(
                        """
                select s.read_at, s.measured, s.fault from series_tally t
                join sample s on s.series_id = t.series_id and s.read_at = t.last_at
                where t.series_id = :id and t.fault = '' and s.fault is null
                order by s.sample_id desc fetch first 1 rows only""")
                .param("id", seriesId)
                .query(Row.class)
                .optional()
                .map(Row::kept);
    }

    List<SetAside> setAside(UUID instrumentId) {
        return db
                .sql(
                        """
                select t.series_id, t.fault, t.number, t.first_at, t.last_at
                from series_tally t join series r on r.series_id = t.series_id
                where r.instrument_id = :id and t.fault <> '' order by t.series_id, t.first_at""")
                .param("id", instrumentId)
                .query(AsideRow.class)
                .list()
                .stream()
                .map(r -> new SetAside(
                        r.seriesId(),
                        r.fault(),
                        r.number(),
                        r.firstAt().toInstant(),
                        r.lastAt().toInstant()))
                .toList();
    }

    /** Asks for single samples on a connection of its own. */
    static final class Here implements AutoCloseable {
        private final PreparedStatement ask;

        Here(Connection connection) throws SQLException {
            ask = connection.prepareStatement("select measured from sample where series_id = ? and read_at = ?");
        }

        boolean holds(long seriesId, Instant at, double value) throws SQLException {
            ask.setLong(1, seriesId);
            ask.setObject(2, at.atOffset(ZoneOffset.UTC));
            try (ResultSet rows = ask.executeQuery()) {
                while (rows.next()) {
                    if (Double.compare(rows.getDouble(1), value) == 0) {
                        return true;
                    }
                }
            }
            return false;
        }

        @Override
        public void close() throws SQLException {
            ask.close();
        }
    }

    /**
     * Writes samples one batch after another on a connection of its own. They are counted last of all: whoever writes to the
     * same series beside it waits for that row only as long as it takes to commit.
     */
    static final class Writer implements AutoCloseable {
        private record Kind(long seriesId, String fault) {}

        private record Tally(long number, Instant first, Instant last) {
            Tally and(Tally o) {
                return new Tally(
                        number + o.number,
                        first.isBefore(o.first) ? first : o.first,
                        last.isAfter(o.last) ? last : o.last);
            }
        }

        private final PreparedStatement insert;
        private final PreparedStatement more;
        private final PreparedStatement first;
        private final Map<Kind, Tally> tallies = new HashMap<>();
        private int waiting;

        Writer(Connection connection) throws SQLException {
            insert = connection.prepareStatement(INSERT);
            more = connection.prepareStatement(
                    """
                    update series_tally set number = number + ?, first_at = least(first_at, ?),
                        last_at = greatest(last_at, ?) where series_id = ? and fault = ?""");
            first = connection.prepareStatement(
                    "insert into series_tally (number, first_at, last_at, series_id, fault) values (?, ?, ?, ?, ?)");
        }

        void add(long seriesId, Screened sample) throws SQLException {
            insert.setLong(1, seriesId);
            insert.setObject(2, sample.at().atOffset(ZoneOffset.UTC));
            insert.setDouble(3, sample.value());
            if (sample.counts()) {
                insert.setNull(4, Types.VARCHAR);
            } else {
                insert.setString(4, sample.fault());
            }
            insert.addBatch();
            String fault = sample.counts() ? "" : sample.fault();
            tallies.merge(new Kind(seriesId, fault), new Tally(1, sample.at(), sample.at()), Tally::and);
            if (++waiting == BATCH) {
                write();
            }
        }

        private void write() throws SQLException {
            if (waiting > 0) {
                insert.executeBatch();
                waiting = 0;
            }
        }

        /** The rest of them, and how many there were; to be committed at once. */
        void flush() throws SQLException {
            write();
            for (var tally : tallies.entrySet()) {
                if (told(more, tally.getKey(), tally.getValue()) == 0) {
                    told(first, tally.getKey(), tally.getValue());
                }
            }
            tallies.clear();
        }

        private static int told(PreparedStatement statement, Kind kind, Tally tally) throws SQLException {
            statement.setLong(1, tally.number);
            statement.setObject(2, tally.first.atOffset(ZoneOffset.UTC));
            statement.setObject(3, tally.last.atOffset(ZoneOffset.UTC));
            statement.setLong(4, kind.seriesId);
            statement.setString(5, kind.fault);
            return statement.executeUpdate();
        }

        @Override
        public void close() throws SQLException {
            insert.close();
            more.close();
            first.close();
        }
    }
}
