package openslab.server.buy;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import openslab.core.buy.Leftover;
import openslab.core.product.Packed;
import openslab.server.web.NotHere;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What stands in the store from other jobs. */
@Repository
public class StoreRoom {
    /** @param typed the amount as it was keyed in; {@code jobId} whose it was, if any */
    public record Kept(Leftover leftover, String typed, Optional<UUID> jobId, Instant storedAt, String by) {}

    private record Row(
            UUID id,
            String slug,
            String typed,
            double amount,
            String colour,
            String maker,
            String lot,
            OffsetDateTime openedAt,
            LocalDate bestBefore,
            String stands,
            UUID jobId,
            OffsetDateTime storedAt,
            String storedBy) {
        Kept kept() {
            var leftover = new Leftover(
                    id.toString(),
                    slug,
                    new Packed(amount),
                    colour,
                    maker,
                    lot,
                    Optional.ofNullable(openedAt).map(OffsetDateTime::toInstant),
                    Optional.ofNullable(bestBefore),
                    stands);
            return new Kept(leftover, typed, Optional.ofNullable(jobId), storedAt.toInstant(), storedBy);
        }
    }

    private static final String COLUMNS =
            "id, slug, typed, amount, colour, maker, lot, opened_at, best_before, stands, job_id, stored_at, stored_by";

    private final JdbcClient db;
    private final Clock clock;

    StoreRoom(JdbcClient db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** What stands there. */
    public List<Kept> all() {
        return db
                .sql("select " + COLUMNS + " from leftover where gone_at is null order by slug, stored_at, id")
                .query(Row.class)
                .list()
                .stream()
                .map(Row::kept)
                .toList();
    }

    /** Everything that a job ever put there. */
    List<Kept> of(UUID jobId) {
        return db
                .sql("select " + COLUMNS + " from leftover where job_id = :job")
                .param("job", jobId)
                .query(Row.class)
                .list()
                .stream()
                .map(Row::kept)
                .toList();
    }

    public void insert(Kept k) {
        Leftover l = k.leftover();
        db.sql(
                        "insert into leftover (" + COLUMNS
                                + """
                ) values (:id, :slug, :typed, :amount, :colour, :maker, :lot, :opened, :best, :stands, :job, :at, :by)""")
                .param("id", UUID.fromString(l.id()))
                .param("slug", l.slug())
                .param("typed", k.typed())
                .param("amount", l.amount().amount())
                .param("colour", l.colour())
                .param("maker", l.maker())
                .param("lot", l.lot())
                .param("opened", l.opened().map(o -> o.atOffset(ZoneOffset.UTC)).orElse(null))
                .param("best", l.bestBefore().orElse(null))
                .param("stands", l.from())
                .param("job", k.jobId().orElse(null))
                .param("at", k.storedAt().atOffset(ZoneOffset.UTC))
                .param("by", k.by())
                .update();
        tellAll();
    }

    /** Takes it out: it is used, or thrown away. @throws NotHere where it does not stand there */
    Kept takeOut(UUID id) {
        Kept kept = db.sql("select " + COLUMNS + " from leftover where id = :id and gone_at is null")
                .param("id", id)
                .query(Row.class)
                .optional()
                .map(Row::kept)
                .orElseThrow(() -> new NotHere("leftover", id));
        int rows = db.sql("update leftover set gone_at = :now where id = :id and gone_at is null")
                .param("now", OffsetDateTime.now(clock))
                .param("id", id)
                .update();
        if (rows != 1) {
            // somebody else took it out since it was read
            throw new NotHere("leftover", id);
        }
        tellAll();
        return kept;
    }

    /** What any job buys may be another now. */
    private void tellAll() {
        db.sql("update job set changes = changes + 1").update();
    }
}
