package openslab.server.store;

import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.flywaydb.core.Flyway;

/**
 * Copies everything that is kept from one database to another that holds nothing yet: from the file to a server, and back. All of it
 * or nothing arrives; what is read is left as it was.
 */
public final class Moving {
    private static final int BATCH = 1000;
    private static final String HISTORY = "flyway_schema_history";

    private Moving() {}

    /** How many rows there were. */
    public record Moved(int tables, long rows) {}

    /**
     * @throws IllegalStateException where {@code to} holds something already, in words for whoever asked
     * @throws SQLException where a database does not answer
     */
    public static Moved move(Database.Access from, Database.Access to) throws SQLException {
        migrate(from);
        migrate(to);
        try (Connection source = open(from);
                Connection target = open(to)) {
            source.setAutoCommit(false);
            source.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ);
            target.setAutoCommit(false);
            List<String> tables = inOrder(source);
            for (String table : tables) {
                requireEmpty(target, table);
            }
            long rows = 0;
            for (String table : tables) {
                rows += copy(source, target, table);
                goOn(target, table);
            }
            target.commit();
            source.rollback();
            if (!to.isServer()) {
                // whoever is told that it arrived may pull the plug
                try (Statement sync = target.createStatement()) {
                    sync.execute("checkpoint sync");
                }
            }
            return new Moved(tables.size(), rows);
        }
    }

    /** Both to the newest version: a file of an older Open Slab is moved as this one would read it. */
    private static void migrate(Database.Access database) {
        Flyway.configure()
                .dataSource(database.url(), database.user(), database.password())
                .load()
                .migrate();
    }

    private static Connection open(Database.Access database) throws SQLException {
        return DriverManager.getConnection(database.url(), database.user(), database.password());
    }

    /** Every table of ours, each after those that its rows point to. */
    private static List<String> inOrder(Connection connection) throws SQLException {
        DatabaseMetaData about = connection.getMetaData();
        Set<String> left = new TreeSet<>();
        try (ResultSet rows =
                about.getTables(null, connection.getSchema(), "%", new String[] {"TABLE", "BASE TABLE"})) {
            while (rows.next()) {
                String name = rows.getString("TABLE_NAME").toLowerCase(Locale.ROOT);
                if (!name.equals(HISTORY)) {
                    left.add(name);
                }
            }
        }
        Set<String> placed = new LinkedHashSet<>();
        while (!left.isEmpty()) {
            for (String table : List.copyOf(left)) {
                Set<String> needs = pointedTo(connection, table);
                needs.remove(table);
                if (placed.containsAll(needs)) {
                    placed.add(table);
                    left.remove(table);
                }
            }
        }
        return List.copyOf(placed);
    }

    private static Set<String> pointedTo(Connection connection, String table) throws SQLException {
        Set<String> tables = new TreeSet<>();
        try (ResultSet keys =
                connection.getMetaData().getImportedKeys(null, connection.getSchema(), cased(connection, table))) {
            while (keys.next()) {
                tables.add(keys.getString("PKTABLE_NAME").toLowerCase(Locale.ROOT));
            }
        }
        return tables;
    }

    private static String cased(Connection connection, String name) throws SQLException {
        return connection.getMetaData().storesUpperCaseIdentifiers() ? name.toUpperCase(Locale.ROOT) : name;
    }

    private static void requireEmpty(Connection target, String table) throws SQLException {
        try (Statement ask = target.createStatement();
                ResultSet row = ask.executeQuery("select count(*) from " + table)) {
            row.next();
            if (row.getLong(1) > 0) {
                throw new IllegalStateException(
                        "there is something in it already (" + table + "); name one that holds nothing.");
            }
        }
    }

    private static long copy(Connection source, Connection target, String table) throws SQLException {
        try (Statement read = source.createStatement()) {
            read.setFetchSize(BATCH);
            try (ResultSet rows = read.executeQuery("select * from " + table)) {
                var columns = new ArrayList<String>();
                for (int i = 1; i <= rows.getMetaData().getColumnCount(); i++) {
                    columns.add(rows.getMetaData().getColumnName(i).toLowerCase(Locale.ROOT));
                }
                String places = String.join(", ", java.util.Collections.nCopies(columns.size(), "?"));
                String insert =
                        "insert into " + table + " (" + String.join(", ", columns) + ") values (" + places + ")";
                try (PreparedStatement write = target.prepareStatement(insert)) {
                    return copy(rows, columns.size(), write);
                }
            }
        }
    }

    private static long copy(ResultSet rows, int columns, PreparedStatement write) throws SQLException {
        long count = 0;
        while (rows.next()) {
            for (int i = 1; i <= columns; i++) {
                write.setObject(i, portable(rows, i));
            }
            write.addBatch();
            if (++count % BATCH == 0) {
                write.executeBatch();
            }
        }
        write.executeBatch();
        return count;
    }

    /** As both drivers take it: moments with their offset, whatever a driver reads them as of its own accord. */
    private static Object portable(ResultSet rows, int column) throws SQLException {
        return switch (rows.getMetaData().getColumnTypeName(column).toLowerCase(Locale.ROOT)) {
            case "timestamptz", "timestamp with time zone" -> rows.getObject(column, java.time.OffsetDateTime.class);
            case "date" -> rows.getObject(column, java.time.LocalDate.class);
            case "bytea", "binary varying", "binary large object" -> rows.getBytes(column);
            default -> rows.getObject(column);
        };
    }

    /** Numbers that are handed out go on after the highest that arrived. */
    private static void goOn(Connection target, String table) throws SQLException {
        var numbered = new ArrayList<String>();
        try (ResultSet columns = target.getMetaData().getColumns(null, target.getSchema(), cased(target, table), "%")) {
            while (columns.next()) {
                if ("YES".equals(columns.getString("IS_AUTOINCREMENT"))) {
                    numbered.add(columns.getString("COLUMN_NAME").toLowerCase(Locale.ROOT));
                }
            }
        }
        for (String column : numbered) {
            try (Statement ask = target.createStatement()) {
                long next;
                try (ResultSet row = ask.executeQuery("select coalesce(max(" + column + "), 0) + 1 from " + table)) {
                    row.next();
                    next = row.getLong(1);
                }
                ask.execute("alter table " + table + " alter column " + column + " restart with " + next);
            }
        }
    }
}
