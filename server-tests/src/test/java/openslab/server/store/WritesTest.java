package openslab.server.store;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import java.nio.file.Files;
import java.time.Clock;
import java.util.UUID;
import openslab.core.quantity.Refusal;
import org.flywaydb.core.Flyway;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.json.JsonMapper;

/** What is acknowledged was handed to the disk before, whoever wrote it. */
public class WritesTest {
    private int synced;
    private Writes writes;

    @BeforeClass
    void open() throws Exception {
        var source = new DriverManagerDataSource("jdbc:h2:mem:writes;DB_CLOSE_DELAY=-1");
        Flyway.configure().dataSource(source).load().migrate();
        var db = JdbcClient.create(source);
        var folder = new DataFolder(Files.createTempDirectory("openslab-test").toString(), 0);
        var database = new Database(folder, "", "", "");
        var durability = new Durability(db, database) {
            @Override
            void sync() {
                synced++;
            }
        };
        writes = new Writes(
                db,
                new DataSourceTransactionManager(source),
                durability,
                database,
                JsonMapper.builder().build(),
                Clock.systemUTC());
    }

    @Test
    public void a_repeated_write_is_answered_after_a_sync_too() {
        UUID key = UUID.randomUUID();
        int before = synced;
        assertEquals(writes.once(key, "asked", () -> "done"), "done");
        assertEquals(synced, before + 1);
        assertEquals(writes.once(key, "asked", () -> "again"), "done");
        assertEquals(synced, before + 2);
    }

    /** One that always meets another is told after eight rounds, and nothing was synced for it. */
    @Test
    public void a_write_that_meets_others_looks_again_and_then_says_so() {
        int before = synced;
        int[] rounds = {0};
        Refusal refusal = expectThrows(
                Refusal.class,
                () -> writes.once(UUID.randomUUID(), "asked", () -> {
                    rounds[0]++;
                    throw new DuplicateKeyException("met");
                }));
        assertEquals(refusal.code(), "already-here");
        assertEquals(rounds[0], 8);
        assertEquals(synced, before);
        rounds[0] = 0;
        String second = writes.once(UUID.randomUUID(), "asked", () -> {
            if (rounds[0]++ == 0) {
                throw new DuplicateKeyException("met");
            }
            return "later";
        });
        assertEquals(second, "later");
    }
}
