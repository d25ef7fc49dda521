package openslab.server;

import static java.util.concurrent.TimeUnit.SECONDS;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import openslab.server.store.Database;
import org.testng.SkipException;

/** A PostgreSQL server of Debian's packages for tests, started once in a folder of its own, and a fresh database whenever one is asked for. */
final class Postgres {
    private static final Path DEBIAN = Path.of("/usr/lib/postgresql");
    /** A server never runs as root: then it runs as whom the package made for it. */
    private static final boolean ROOT = "root".equals(System.getProperty("user.name"));

    private static final String USER = "crew";
    private static final String PASSWORD = "of no worth";
    private static final AtomicInteger MADE = new AtomicInteger();
    private static Postgres running;

    private final Path folder;
    private final Path bin;
    private final int port;

    private Postgres(Path bin) throws IOException {
        this.bin = bin;
        this.folder = Files.createTempDirectory("openslab-postgres");
        if (ROOT) {
            Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxrwxrwx"));
        }
        try (var free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        Path word = Files.writeString(folder.resolve("word"), PASSWORD);
        String data = folder.resolve("data").toString();
        run(
                bin.resolve("initdb").toString(),
                "--pgdata=" + data,
                "--username=" + USER,
                "--pwfile=" + word,
                "--auth=scram-sha-256",
                "--encoding=UTF8",
                "--locale=C.UTF-8",
                "--no-sync");
        Runtime.getRuntime().addShutdownHook(new Thread(this::stop));
        // what a test writes need not outlive the machine
        String options = "-p %d -k %s -c listen_addresses=127.0.0.1 -c fsync=off".formatted(port, folder);
        run(
                bin.resolve("pg_ctl").toString(),
                "--pgdata=" + data,
                "--log=" + folder.resolve("log"),
                "--wait",
                "--options=" + options,
                "start");
    }

    /** @throws SkipException where PostgreSQL is not installed */
    static synchronized Database.Access fresh() {
        if (running == null) {
            Path bin = installed().orElseThrow(() -> new SkipException("PostgreSQL is not installed"));
            try {
                running = new Postgres(bin);
            } catch (IOException e) {
                throw new AssertionError(e);
            }
        }
        return running.make();
    }

    private static Optional<Path> installed() {
        if (!Files.isDirectory(DEBIAN)) {
            return Optional.empty();
        }
        try (Stream<Path> versions = Files.list(DEBIAN)) {
            return versions.map(v -> v.resolve("bin"))
                    .filter(b -> Files.isExecutable(b.resolve("initdb")))
                    .max(Comparator.naturalOrder());
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    private Database.Access make() {
        String name = "test" + MADE.incrementAndGet();
        try (var connection = DriverManager.getConnection(url("postgres"), USER, PASSWORD);
                var create = connection.createStatement()) {
            create.execute("create database " + name);
        } catch (SQLException e) {
            throw new AssertionError(e);
        }
        return new Database.Access(url(name), USER, PASSWORD);
    }

    private String url(String name) {
        return "jdbc:postgresql://127.0.0.1:" + port + "/" + name;
    }

    /** How an application is started on it. */
    static String[] options(Database.Access access) {
        return new String[] {
            "--database=" + access.url(),
            "--" + Database.USER + "=" + access.user(),
            "--" + Database.PASSWORD + "=" + access.password()
        };
    }

    private void stop() {
        try {
            run(bin.resolve("pg_ctl").toString(), "--pgdata=" + folder.resolve("data"), "--mode=immediate", "stop");
        } catch (IOException e) {
            // it is gone with the machine
        }
    }

    private void run(String... command) throws IOException {
        var all = new ArrayList<String>();
        if (ROOT) {
            all.addAll(List.of("runuser", "-u", "postgres", "--"));
        }
        all.addAll(List.of(command));
        Path said = Files.createTempFile("openslab-postgres", ".log");
        Process process = new ProcessBuilder(all)
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start();
        try {
            if (!process.waitFor(120, SECONDS) || process.exitValue() != 0) {
                throw new IOException(String.join(" ", command) + ": " + Files.readString(said));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
    }
}
