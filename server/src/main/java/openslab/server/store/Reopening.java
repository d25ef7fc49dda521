package openslab.server.store;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.SQLExceptionOverride;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.stereotype.Component;

/**
 * H2 shuts a database of which one commit could not be written, and every connection to it is dead from then on. It opens
 * again, at its last whole commit, once they are all let go of: reading at once, writing when there is space.
 */
public final class Reopening extends DelegatingDataSource {
    /** Closed, closed for good, I/O error, file corrupted while open, and what is wrapped as a general error. */
    private static final Set<Integer> DEAD = Set.of(90_098, 90_121, 90_031, 90_028, 50_000);

    /** One database, one pool, one process. */
    private static final AtomicBoolean SHUT = new AtomicBoolean();

    private final HikariDataSource pool;

    private Reopening(HikariDataSource pool) {
        super(pool);
        this.pool = pool;
    }

    @Override
    public Connection getConnection() throws SQLException {
        if (SHUT.compareAndSet(true, false)) {
            pool.getHikariPoolMXBean().softEvictConnections();
        }
        return pool.getConnection();
    }

    /** Whether a failure came from a database that is shut, or could not be written. */
    static boolean isShut(Throwable failure) {
        for (Throwable t = failure; t != null; t = t.getCause()) {
            if (t instanceof SQLException e && DEAD.contains(e.getErrorCode())) {
                return true;
            }
        }
        return false;
    }

    /** Lets the pool throw a dead connection away; named in application.properties. */
    public static final class Dead implements SQLExceptionOverride {
        @java.lang.Override
        public Override adjudicate(SQLException e) {
            if (DEAD.contains(e.getErrorCode())) {
                SHUT.set(true);
                return Override.MUST_EVICT;
            }
            return Override.CONTINUE_EVICT;
        }
    }

    /** Stands before the pool wherever it is asked for. */
    @Component
    static class Before implements BeanPostProcessor {
        @Override
        public Object postProcessAfterInitialization(Object bean, String name) {
            return bean instanceof HikariDataSource pool ? new Reopening(pool) : bean;
        }
    }
}
