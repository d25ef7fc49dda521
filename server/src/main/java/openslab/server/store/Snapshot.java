package openslab.server.store;

import java.util.function.Supplier;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Reads that belong together see the same moment. A job is read by several queries; without this an entry could be seen
 * whose values were stored a moment too late for the query before it.
 */
@Component
public class Snapshot {
    private final TransactionTemplate transaction;

    Snapshot(PlatformTransactionManager transactions) {
        transaction = new TransactionTemplate(transactions);
        transaction.setReadOnly(true);
        transaction.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    }

    public <T> T of(Supplier<T> reads) {
        try {
            return transaction.execute(status -> reads.get());
        } catch (DataAccessException | TransactionException e) {
            if (!Reopening.isShut(e)) {
                throw e;
            }
            // a write beside us could not be written, and the database is opened again
            return transaction.execute(status -> reads.get());
        }
    }
}
