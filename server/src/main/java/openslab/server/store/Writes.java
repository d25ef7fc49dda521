package openslab.server.store;

import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.HexFormat;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Refusal;
import openslab.server.web.Declined;
import openslab.server.web.NoSpace;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.UncategorizedSQLException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.ObjectMapper;

/**
 * The one door for writing. A write carries a key made by whoever sent it: sent twice, it is done once and answered twice.
 * It is acknowledged only when it is on disk.
 */
@Component
public class Writes {
    private record Done(String fingerprint, String result) {}

    private static final int ROUNDS = 8;

    private final JdbcClient db;
    private final TransactionTemplate transaction;
    private final Durability durability;
    private final Database database;
    private final ObjectMapper json;
    private final Clock clock;

    Writes(
            JdbcClient db,
            PlatformTransactionManager transactions,
            Durability durability,
            Database database,
            ObjectMapper json,
            Clock clock) {
        this.db = db;
        this.transaction = new TransactionTemplate(transactions);
        this.durability = durability;
        this.database = database;
        this.json = json;
        this.clock = clock;
    }

    /**
     * Does {@code write} once for {@code key}.
     *
     * @param request what was asked, path and body; the same key with another request is refused
     * @param write answers the id of what was written
     * @return that id, now or from the first time
     */
    public String once(UUID key, Object request, Supplier<String> write) {
        database.requireSpace();
        String fingerprint = fingerprint(request);
        String result = doneOnce(key, fingerprint, write);
        // also where another request did it: its answer is ours only once it is on disk
        try {
            durability.sync();
        } catch (DataAccessException e) {
            throw failed(e);
        }
        return result;
    }

    /**
     * The same of one job: whoever writes to it waits until the one before is through, so that nothing that is read while writing is
     * half of what another writes.
     */
    public String onceIn(UUID jobId, UUID key, Object request, Supplier<String> write) {
        return once(key, request, () -> {
            db.sql("select id from job where id = :id for update")
                    .param("id", jobId)
                    .query(UUID.class)
                    .optional();
            return write.get();
        });
    }

    /** What is declined because the same was done a moment before, by the same tap, is answered as done. */
    private String doneOnce(UUID key, String fingerprint, Supplier<String> write) {
        try {
            return settled(() -> done(key, fingerprint).orElseGet(() -> {
                String id = write.get();
                remember(key, fingerprint, id);
                return id;
            }));
        } catch (InvalidInput | Refusal | Declined e) {
            return done(key, fingerprint).orElseThrow(() -> e);
        }
    }

    /**
     * Two writes that met look again: the one that came too late sees what the other did, and is answered as if it had come
     * after it, once or not at all.
     */
    private String settled(Supplier<String> write) {
        for (int round = 1; ; round++) {
            try {
                return transaction.execute(status -> write.get());
            } catch (DataAccessResourceFailureException | TransactionException | UncategorizedSQLException e) {
                throw failed(e);
            } catch (DuplicateKeyException | ConcurrencyFailureException e) {
                if (round == ROUNDS) {
                    throw e instanceof DuplicateKeyException
                            ? new Refusal(
                                    "already-here",
                                    "Something that this names is here already; nothing of it was saved.",
                                    "Make fresh ids for what is new.")
                            : new Refusal(
                                    "busy",
                                    "Others write the same at this moment; nothing of this was saved.",
                                    "Try again.");
                }
            }
        }
    }

    /** The database could not be written: it opens again by itself, with nothing of this in it. */
    private RuntimeException failed(RuntimeException e) {
        return Reopening.isShut(e)
                ? new NoSpace("The data could not be written, there may be no space left; nothing was saved.", e)
                : e;
    }

    /** What the write of {@code key} answered; empty where it was never done. */
    public Optional<String> answered(UUID key) {
        return db.sql("select result from write_key where write_key = :key")
                .param("key", key)
                .query(String.class)
                .optional();
    }

    private Optional<String> done(UUID key, String fingerprint) {
        return db.sql("select fingerprint, result from write_key where write_key = :key")
                .param("key", key)
                .query(Done.class)
                .optional()
                .map(done -> {
                    if (!done.fingerprint().equals(fingerprint)) {
                        throw new Refusal(
                                "key-used-before",
                                "Key " + key + " was used for another write.",
                                "Make a fresh key for every write; repeat a key only to repeat the same write.");
                    }
                    return done.result();
                });
    }

    private void remember(UUID key, String fingerprint, String result) {
        db.sql(
                        """
                insert into write_key (write_key, fingerprint, result, stored_at)
                values (:key, :fingerprint, :result, :now)""")
                .param("key", key)
                .param("fingerprint", fingerprint)
                .param("result", result)
                .param("now", OffsetDateTime.now(clock))
                .update();
    }

    /** Of what was asked, as JSON; it is never in memory whole, since it may be a job with its pictures. */
    private String fingerprint(Object request) {
        MessageDigest sha = sha256();
        json.writeValue(new DigestOutputStream(OutputStream.nullOutputStream(), sha), request);
        return HexFormat.of().formatHex(sha.digest());
    }

    /** SHA-256 in hex. */
    public static String digest(String text) {
        return digest(text.getBytes(StandardCharsets.UTF_8));
    }

    /** SHA-256 in hex. */
    public static String digest(byte[] bytes) {
        return HexFormat.of().formatHex(sha256().digest(bytes));
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
