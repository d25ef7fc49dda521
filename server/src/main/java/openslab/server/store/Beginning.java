package openslab.server.store;

import java.io.IOException;
import java.net.BindException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.flywaydb.core.api.FlywayException;
import org.springframework.core.env.SimpleCommandLinePropertySource;

/** Why the application cannot begin, in one line for whoever started it. */
public final class Beginning {
    /** Less than this and the database cannot even be opened and tidied up. */
    private static final long LEAST_BYTES = 4L << 20;

    private static final int USED = 90_020;
    private static final int DAMAGED = 90_030;
    private static final int OTHER_FORMAT = 90_048;
    private static final int MOST_PORT = 65_535;

    /** What is wrong with how it was started. */
    private static final class Unsound extends RuntimeException {
        Unsound(String why) {
            super(why);
        }
    }

    private Beginning() {}

    /** Looks at what can be looked at before anything is opened. */
    public static void requireSound(String[] args) {
        var options = new SimpleCommandLinePropertySource(args);
        String clock = options.getProperty("clock");
        if (clock != null && !clock.isEmpty()) {
            try {
                Instant.parse(clock);
            } catch (DateTimeException e) {
                throw new Unsound("--clock=" + clock + " is no moment; write it like 2026-05-04T08:00:00Z.");
            }
        }
        String port = options.getProperty("port");
        if (port != null && !(port.matches("\\d{1,5}") && Integer.parseInt(port) <= MOST_PORT)) {
            throw new Unsound("--port=" + port + " is no port; 0 to " + MOST_PORT + " are, 0 for any that is free.");
        }
        for (String option : List.of("database", "move-to")) {
            String url = options.getProperty(option);
            if (url != null && !url.isEmpty() && !isFolder(option, url)) {
                Database.fault(option, url).ifPresent(why -> {
                    throw new Unsound(why);
                });
            }
        }
        requireFolder(folder(options));
    }

    /** What is kept may be moved to another folder as well. */
    private static boolean isFolder(String option, String url) {
        return option.equals("move-to") && !url.startsWith("jdbc:");
    }

    /** Copies what is kept where {@code --move-to} says so, and tells how much it was. */
    public static Optional<String> moved(String[] args) {
        var options = new SimpleCommandLinePropertySource(args);
        String to = options.getProperty("move-to");
        if (to == null || to.isEmpty()) {
            return Optional.empty();
        }
        String from = options.getProperty("database");
        try {
            var source = from == null || from.isEmpty() ? DataFolder.file(folder(options)) : server(from);
            var moved = Moving.move(source, isFolder("move-to", to) ? emptied(to) : server(to));
            return Optional.of("%d rows of %d tables are in %s now; what they were copied from is as it was."
                    .formatted(moved.rows(), moved.tables(), to));
        } catch (IllegalStateException e) {
            throw new Unsound("nothing was copied to " + to + ": " + e.getMessage());
        } catch (SQLException | FlywayException e) {
            throw new Unsound("nothing was copied to " + to + ": " + reason(e, to, from));
        }
    }

    /** In words for whoever asked, where one of the two databases did not answer. */
    private static String reason(Exception failure, String to, String from) {
        for (Throwable t = failure; t != null; t = t.getCause()) {
            if (t instanceof SQLException e) {
                return why(e, Database.Access.isServer(to) ? to : String.valueOf(from))
                        .orElse(e.getMessage());
            }
        }
        return failure.getMessage();
    }

    private static Database.Access emptied(String folder) {
        Path whole = DataFolder.whole(folder);
        requireFolder(whole);
        return DataFolder.file(whole);
    }

    private static Database.Access server(String url) {
        return new Database.Access(url, environment(Database.USER), environment(Database.PASSWORD));
    }

    private static String environment(String name) {
        String value = System.getenv(name);
        return value == null ? "" : value;
    }

    private static Path folder(SimpleCommandLinePropertySource options) {
        String data = options.getProperty("data");
        return DataFolder.whole(data == null ? "data" : data);
    }

    private static void requireFolder(Path folder) {
        if (folder.toString().contains(DataFolder.ENDS_PATH)) {
            throw new Unsound("no data can be kept in " + folder + ": the database takes no path with "
                    + DataFolder.ENDS_PATH + " in it; name another folder with --data.");
        }
        try {
            Files.createDirectories(folder);
            Files.delete(Files.createTempFile(folder, "begin", ".tmp"));
        } catch (IOException e) {
            throw new Unsound("nothing can be written in " + folder + "; name another folder with --data.");
        }
        try {
            if (Files.getFileStore(folder).getUsableSpace() < LEAST_BYTES) {
                throw new Unsound(
                        "there is no space left in " + folder + "; make some, or name another folder with --data.");
            }
        } catch (IOException e) {
            throw new Unsound("nobody can tell how much space there is in " + folder + ".");
        }
    }

    /** The reason of a failed start; empty where it is none that whoever started it can mend. */
    public static Optional<String> why(Throwable failure, String[] args) {
        var options = new SimpleCommandLinePropertySource(args);
        for (Throwable t = failure; t != null; t = t.getCause()) {
            if (t instanceof Unsound) {
                return Optional.of(t.getMessage());
            }
            if (t instanceof BindException || t.getClass().getSimpleName().equals("PortInUseException")) {
                String port = options.getProperty("port");
                return Optional.of("port " + (port == null ? "8484" : port)
                        + " is taken by another program; name another with --port.");
            }
            if (t instanceof SQLException e) {
                String url = options.getProperty("database");
                Optional<String> why = url == null || url.isEmpty() ? why(e, folder(options)) : why(e, url);
                if (why.isPresent()) {
                    return why;
                }
            }
        }
        return Optional.empty();
    }

    /** Of a server, by the class of its SQLSTATE. */
    private static Optional<String> why(SQLException e, String url) {
        String state = String.valueOf(e.getSQLState());
        if (state.startsWith("08")) {
            return Optional.of("no database answers at " + url + ".");
        }
        if (state.startsWith("28")) {
            return Optional.of("the database at " + url + " does not let this user in; set " + Database.USER + " and "
                    + Database.PASSWORD + ".");
        }
        return state.equals("3D000")
                ? Optional.of("there is no database of this name at " + url + "; create it first.")
                : Optional.empty();
    }

    private static Optional<String> why(SQLException e, Path folder) {
        return switch (e.getErrorCode()) {
            case USED ->
                Optional.of(
                        folder + " is in use by another Open Slab; stop that one, or name another folder with --data.");
            case DAMAGED, OTHER_FORMAT ->
                Optional.of("the file in " + folder
                        + " is damaged, or none of ours; keep it, and put back the last copy you have of it.");
            default -> Optional.empty();
        };
    }
}
