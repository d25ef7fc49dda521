package openslab.server.job;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcOperations;
import org.springframework.jdbc.core.namedparam.SqlParameterSourceUtils;

/** Many rows with one statement, so many at a time. */
final class Batches {
    private static final int AT_A_TIME = 500;

    private Batches() {}

    /** @param rows the statement's parameters, by name */
    static void run(NamedParameterJdbcOperations db, String sql, Stream<? extends Map<String, ?>> rows) {
        parts(rows.toList()).forEach(part -> db.batchUpdate(sql, SqlParameterSourceUtils.createBatch(part)));
    }

    /** Of {@code keys} those that {@code sql} finds. @param more its other parameters */
    static Set<UUID> found(NamedParameterJdbcOperations db, String sql, Collection<UUID> keys, Map<String, ?> more) {
        var found = new HashSet<UUID>();
        for (List<UUID> part : parts(List.copyOf(keys))) {
            var parameters = new HashMap<String, Object>(more);
            parameters.put("keys", part);
            found.addAll(db.queryForList(sql, parameters, UUID.class));
        }
        return found;
    }

    private static <T> List<List<T>> parts(List<T> all) {
        var parts = new ArrayList<List<T>>();
        for (int i = 0; i < all.size(); i += AT_A_TIME) {
            parts.add(all.subList(i, Math.min(all.size(), i + AT_A_TIME)));
        }
        return parts;
    }
}
