package openslab.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.net.http.HttpRequest.BodyPublishers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Locale;
import java.util.concurrent.TimeUnit;

/**
 * A million rows of a logger's file through the application, every one screened, against H2's own CSV reading of the same file
 * into the same table, one after the other in one run. The aim is half of H2's speed or more.
 */
final class LoggerImport {
    private static final int ROWS = 1_000_000;
    private static final int WARM_UP_ROWS = 200_000;
    private static final int CHANNELS = 4;

    private LoggerImport() {}

    static void run(Path jar) throws IOException, InterruptedException, SQLException {
        Path warmUp = file(WARM_UP_ROWS);
        Path whole = file(ROWS);
        double ours;
        Path data;
        try (var server = new Server(jar)) {
            data = server.data;
            taken(server, warmUp, "Logger to warm up", WARM_UP_ROWS);
            ours = taken(server, whole, "Logger", ROWS);
        }
        double theirs = byDatabase(data, warmUp, whole);
        System.out.printf(
                Locale.ROOT,
                "Import of %d logger rows: %.1f s (%.0f rows/s, all screened); H2's CSVREAD of the same file into the same table %.1f s; %.2f of its speed (aim 0.50 or more)%n",
                ROWS,
                ours,
                ROWS / ours,
                theirs,
                theirs / ours);
        Files.delete(warmUp);
        Files.delete(whole);
        for (String left : new String[] {"openslab.mv.db", "openslab.trace.db"}) {
            Files.deleteIfExists(data.resolve(left));
        }
    }

    private static Path file(int rows) throws IOException {
        Path path = Files.createTempFile("openslab-bench", ".csv");
        Instant began = Instant.parse("2024-01-01T00:00:00Z");
        try (BufferedWriter out = Files.newBufferedWriter(path)) {
            out.write("at,channel,value,unit\n");
            for (int i = 0; i < rows; i++) {
                int step = i / CHANNELS;
                out.write(began.plusSeconds(60L * step)
                        + "," + (char) ('A' + i % CHANNELS)
                        + "," + (8000 + (i * 7919L + step) % 97) / 100.0
                        + ",%\n");
            }
        }
        return path;
    }

    /** From the upload's first byte until the rows are on disk, seconds. */
    private static double taken(Server server, Path file, String name, int rows)
            throws IOException, InterruptedException {
        String instrument = Server.found(
                "\"id\":\"([0-9a-f-]{36})\"",
                server.post(
                        "/api/instruments",
                        "application/json",
                        BodyPublishers.ofString("{\"kind\":\"RH_PROBE\",\"address\":\"\",\"papers\":{\"name\":\"" + name
                                + "\",\"calibrated\":\"2023-06-01\",\"due\":\"2030-06-01\"}}")));
        long start = System.nanoTime();
        String offer = server.post("/api/logger-files?timeZone=UTC", "text/csv", BodyPublishers.ofFile(file));
        String path = "/api/logger-files/" + Server.found("\"fileId\":\"([0-9a-f-]{36})\"", offer);
        String mapping = Server.found("\"mapping\":(\\{.*\\}),\"remembered\"", offer);
        server.post(
                path + "/start",
                "application/json",
                BodyPublishers.ofString("{\"instrumentId\":\"" + instrument + "\",\"mapping\":" + mapping + "}"));
        String progress = server.get(path);
        while (progress.contains("RUNNING")) {
            TimeUnit.MILLISECONDS.sleep(20);
            progress = server.get(path);
        }
        double seconds = (System.nanoTime() - start) / 1e9;
        if (!progress.contains("DONE") || !progress.contains("\"samples\":" + rows)) {
            throw new IllegalStateException(progress);
        }
        return seconds;
    }

    /** Into the application's own table, with the settings it opens its file with. */
    private static double byDatabase(Path data, Path warmUp, Path whole) throws SQLException {
        String url = "jdbc:h2:file:" + data.resolve("openslab") + ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE";
        try (var connection = DriverManager.getConnection(url, "openslab", "");
                var sql = connection.createStatement()) {
            connection.setAutoCommit(false);
            double seconds = 0;
            for (Path file : new Path[] {warmUp, whole}) {
                // a series of its own, after all others, as an import begins one
                sql.execute("insert into series (instrument_id, channel, quantity) " + "select id, '"
                        + file.getFileName() + "', 'SLAB_RH' from instrument fetch first row only");
                long series;
                try (var newest = sql.executeQuery("select max(series_id) from series")) {
                    newest.next();
                    series = newest.getLong(1);
                }
                long start = System.nanoTime();
                sql.execute("insert into sample (series_id, read_at, measured) select " + series
                        + ", \"AT\", \"VALUE\" from csvread('" + file + "', null, 'charset=UTF-8')");
                connection.commit();
                sql.execute("checkpoint sync");
                seconds = (System.nanoTime() - start) / 1e9;
            }
            return seconds;
        }
    }
}
