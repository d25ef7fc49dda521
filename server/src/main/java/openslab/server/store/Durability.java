package openslab.server.store;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Makes sure that what was committed is on disk before anybody is told so. H2 writes a commit to its file at once with
 * WRITE_DELAY=0, and hands it to the disk only when asked; PostgreSQL does so of its own accord. See
 * docs/decisions/durability.md for what a power cut can still cost.
 */
@Component
class Durability {
    private final JdbcClient db;
    private final boolean askForSync;

    Durability(JdbcClient db, Database database) {
        this.db = db;
        this.askForSync = !database.isServer();
    }

    void sync() {
        if (askForSync) {
            db.sql("checkpoint sync").update();
        }
    }
}
