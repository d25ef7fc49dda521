package openslab.server.instrument;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import openslab.core.survey.instrument.Quantity;
import openslab.core.survey.instrument.Screening.Screened;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;

/** Every sample that an instrument ever sent. */
@Repository
class SampleStore {
    private static final int BATCH = 2000;
    static final String INSERT = "insert into sample (series_id, read_at, measured, fault) values (?, ?, ?, ?)";

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
        return db.sql("select max(read_at) from sample where series_id = :id")
                .param("id", seriesId)
                .query(OffsetDateTime.class)
                .optional()
                .map(OffsetDateTime::toInstant);
    }

    Optional<Instant> oldest(long seriesId) {
        return db.sql("select min(read_at) from sample where series_id = :id")
                .param("id", seriesId)
                .query(OffsetDateTime.class)
                .optional()
                .map(OffsetDateTime::toInstant);
    }

    long count(long seriesId) {
        return db.sql("select count(*) from sample where series_id = :id")
                .param("id", seriesId)
                .query(Long.class)
                .single();
    }

    /** The last {@code most} samples of a series, oldest first. */
    List<Kept> last(long seriesId, int most) {
        var kept = new ArrayList<>(db
                .sql(
                        """
                select read_at, measured, fault from sample where series_id = :id
                order by read_at desc, sample_id desc fetch first :most rows only""")
                .param("id", seriesId)
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
                select read_at, measured, fault from sample where series_id = :id and fault is null
                order by read_at desc fetch first 1 rows only""")
                .param("id", seriesId)
                .query(Row.class)
                .optional()
                .map(Row::kept);
    }

    List<SetAside> setAside(UUID instrumentId) {
        return db
                .sql(
                        """
                select s.series_id, s.fault, count(*) as number, min(s.read_at) as first_at, max(s.read_at) as last_at
                from sample s join series r on r.series_id = s.series_id
                where r.instrument_id = :id and s.fault is not null
                group by s.series_id, s.fault order by s.series_id, min(s.read_at)""")
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
            ask.setObject(2, at.truncatedTo(ChronoUnit.MILLIS).atOffset(ZoneOffset.UTC));
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

    /** Writes samples one batch after another on a connection of its own. */
    static final class Writer implements AutoCloseable {
        private final PreparedStatement insert;
        private int waiting;

        Writer(Connection connection) throws SQLException {
            insert = connection.prepareStatement(INSERT);
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
            if (++waiting == BATCH) {
                flush();
            }
        }

        void flush() throws SQLException {
            if (waiting > 0) {
                insert.executeBatch();
                waiting = 0;
            }
        }

        @Override
        public void close() throws SQLException {
            insert.close();
        }
    }
}
