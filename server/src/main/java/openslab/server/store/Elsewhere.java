package openslab.server.store;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Several applications on one database server tell each other what was written, over PostgreSQL's own notifications. On a file there
 * is only one, and nobody to tell.
 */
@Component
public class Elsewhere implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Elsewhere.class);
    private static final String CHANNEL = "openslab_written";
    private static final int PATIENCE_MS = 2000;
    private static final Duration AGAIN = Duration.ofSeconds(1);

    private final Database database;
    private final JdbcClient db;
    /** Which of them this is: what it said itself, it knows. */
    private final String self = UUID.randomUUID().toString();

    private final List<Consumer<String>> listeners = new CopyOnWriteArrayList<>();
    private final List<Runnable> missed = new CopyOnWriteArrayList<>();
    private volatile Thread listening;

    Elsewhere(Database database, JdbcClient db) {
        this.database = database;
        this.db = db;
    }

    /** Tells the others. */
    public void tell(String words) {
        if (database.isServer()) {
            db.sql("select pg_notify(:channel, :words)")
                    .param("channel", CHANNEL)
                    .param("words", self + " " + words)
                    .query()
                    .listOfRows();
        }
    }

    /**
     * @param told what another told
     * @param unsure called when something may have been told that did not arrive
     */
    public void listen(Consumer<String> told, Runnable unsure) {
        listeners.add(told);
        missed.add(unsure);
    }

    private void run() {
        boolean gap = false;
        while (listening == Thread.currentThread()) {
            try (Connection connection = DriverManager.getConnection(
                    database.getJdbcUrl(), database.getUsername(), database.getPassword())) {
                try (Statement listen = connection.createStatement()) {
                    listen.execute("listen " + CHANNEL);
                }
                if (gap) {
                    missed.forEach(Runnable::run);
                }
                gap = true;
                hear(connection.unwrap(PGConnection.class));
            } catch (SQLException e) {
                LOG.debug("the database does not answer; listening again", e);
                gap = true;
                rest();
            }
        }
    }

    private void hear(PGConnection connection) throws SQLException {
        while (listening == Thread.currentThread()) {
            PGNotification[] said = connection.getNotifications(PATIENCE_MS);
            for (PGNotification one : said == null ? new PGNotification[0] : said) {
                int end = one.getParameter().indexOf(' ');
                if (!one.getParameter().substring(0, end).equals(self)) {
                    listeners.forEach(l -> l.accept(one.getParameter().substring(end + 1)));
                }
            }
        }
    }

    private static void rest() {
        try {
            Thread.sleep(AGAIN.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void start() {
        if (database.isServer()) {
            listening = new Thread(this::run, "elsewhere");
            listening.setDaemon(true);
            listening.start();
        }
    }

    @Override
    public void stop() {
        Thread ends = listening;
        listening = null;
        if (ends != null) {
            ends.interrupt();
        }
    }

    @Override
    public boolean isRunning() {
        return listening != null;
    }
}
