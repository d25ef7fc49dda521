package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.net.http.HttpClient;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import openslab.server.App.Floor;
import openslab.server.store.Beginning;
import openslab.server.store.DataFolder;
import openslab.server.store.Database;
import openslab.server.store.Moving;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A shop on a PostgreSQL server: what is kept moves there and back whole, and several applications on it act as one. */
public class DatabaseServerTest {
    private static final String CLOCK = "--clock=2026-05-04T12:00:00Z";

    /** Everything that a shop would miss, as the application tells it. */
    private static Map<String, JsonNode> told(App app) {
        Map<String, JsonNode> told = new TreeMap<>();
        for (String path : List.of("/api/sheets", "/api/instruments", "/api/paces?units=US", "/api/jobs")) {
            told.put(path, app.get(path).body());
        }
        for (JsonNode item : app.get("/api/jobs").body()) {
            String job = "/api/jobs/" + item.path("id").asString();
            for (String path : List.of(job, job + "/plan", job + "/log", job.replace("jobs", "job-files"))) {
                told.put(path, app.get(path).body());
            }
        }
        for (JsonNode instrument : app.get("/api/instruments").body()) {
            String path = "/api/instruments/" + instrument.path("id").asString() + "/samples";
            told.put(path, app.get(path).body());
        }
        return told;
    }

    private static long rows(Database.Access database, String table) throws SQLException {
        try (var connection = DriverManager.getConnection(database.url(), database.user(), database.password());
                var ask = connection.createStatement();
                var row = ask.executeQuery("select count(*) from " + table)) {
            row.next();
            return row.getLong(1);
        }
    }

    private static void assertTold(App app, Map<String, JsonNode> before) {
        Map<String, JsonNode> now = told(app);
        assertEquals(now.keySet(), before.keySet());
        before.forEach((path, answer) -> assertEquals(differs("", answer, now.get(path)), "", path));
    }

    /** Where two answers first differ, and how; empty where they do not. */
    private static String differs(String at, JsonNode a, JsonNode b) {
        if (a.equals(b)) {
            return "";
        }
        if (a.isObject() && b.isObject() && a.propertyNames().equals(b.propertyNames())) {
            return a.propertyNames().stream()
                    .map(n -> differs(at + "/" + n, a.get(n), b.get(n)))
                    .filter(d -> !d.isEmpty())
                    .findFirst()
                    .orElseThrow();
        }
        if (a.isArray() && b.isArray() && a.size() == b.size()) {
            return java.util.stream.IntStream.range(0, a.size())
                    .mapToObj(i -> differs(at + "/" + i, a.get(i), b.get(i)))
                    .filter(d -> !d.isEmpty())
                    .findFirst()
                    .orElseThrow();
        }
        return at + ": " + a + " and " + b;
    }

    @Test
    public void what_is_kept_moves_from_a_file_to_a_server_and_back_whole() throws Exception {
        Path from = App.emptyFolder();
        Map<String, JsonNode> before;
        try (var app = App.startOnFile(from, "--demo=true", CLOCK)) {
            for (JsonNode instrument : app.get("/api/instruments").body()) {
                app.post("/api/instruments/" + instrument.path("id").asString() + "/collect", Map.of());
            }
            Floor floor = app.demo("Old tram shed café");
            app.post(floor.path() + "/zones/" + floor.zone() + "/log", JobWatchTest.note());
            before = told(app);
        }
        assertTrue(before.size() > 30, "paths " + before.size());
        Database.Access server = Postgres.fresh();
        Moving.Moved there = Moving.move(DataFolder.file(from), server);
        assertTrue(there.rows() > 1000, there.toString());
        try (var app = App.start(App.emptyFolder(), server, CLOCK)) {
            assertTold(app, before);
            // numbers go on after those that arrived
            Floor floor = app.demo("Old tram shed café");
            assertEquals(
                    app.post(floor.path() + "/zones/" + floor.zone() + "/log", JobWatchTest.note())
                            .status(),
                    201);
            before = told(app);
        }
        Path back = App.emptyFolder();
        assertEquals(Moving.move(server, DataFolder.file(back)).tables(), there.tables(), "every table went both ways");
        for (String table : List.of(
                "log_entry",
                "log_value",
                "write_key",
                "sample",
                "photo",
                "document",
                "document_part",
                "job_change",
                "plan_move")) {
            assertEquals(rows(DataFolder.file(back), table), rows(server, table), table);
        }
        try (var app = App.startOnFile(back, CLOCK)) {
            assertTold(app, before);
        }
    }

    @Test
    public void nothing_is_written_over() throws Exception {
        Path kept = App.emptyFolder();
        App.startOnFile(kept, CLOCK).close();
        Database.Access server = Postgres.fresh();
        Moving.move(DataFolder.file(kept), server);
        var refused = expectThrows(IllegalStateException.class, () -> Moving.move(DataFolder.file(kept), server));
        assertTrue(refused.getMessage().contains("there is something in it already"), refused.getMessage());
    }

    @Test
    public void two_applications_on_one_server_tell_each_others_screens() throws Exception {
        Database.Access server = Postgres.fresh();
        try (var here = App.start(App.emptyFolder(), server, CLOCK);
                var there = App.start(App.emptyFolder(), server, CLOCK)) {
            Floor floor = here.floor("Shared");
            var told = new ArrayBlockingQueue<String>(100);
            HttpClient.newHttpClient()
                    .sendAsync(there.request(floor.path() + "/changes").build(), HttpResponse.BodyHandlers.ofLines())
                    .thenAccept(r -> r.body().filter(l -> l.startsWith("data:")).forEach(told::add));
            String first = null;
            while (first == null) {
                here.post(floor.path() + "/zones/" + floor.zone() + "/log", JobWatchTest.note());
                first = told.poll(200, TimeUnit.MILLISECONDS);
            }
            assertTrue(first.endsWith(" " + floor.zone()), first);
            String log = floor.path() + "/log";
            assertEquals(differs("", there.get(log).body(), here.get(log).body()), "");
        }
    }

    /** The same version seen at both: one is stored, the other is told what changed. */
    @Test
    public void of_two_edits_at_two_applications_one_is_told_of_the_other() {
        Database.Access server = Postgres.fresh();
        try (var here = App.start(App.emptyFolder(), server, CLOCK);
                var there = App.start(App.emptyFolder(), server, CLOCK)) {
            Floor floor = here.floor("Shared");
            for (int round = 0; round < 5; round++) {
                int version =
                        here.get(floor.path() + "/head").body().path("version").asInt();
                var edits = new ArrayList<CompletableFuture<App.Answer>>();
                for (App app : List.of(here, there)) {
                    Map<String, Object> form = App.jobForm("Shared, " + app.port + " " + round);
                    edits.add(CompletableFuture.supplyAsync(() -> app.put(floor.path(), version, form)));
                }
                List<Integer> answers =
                        edits.stream().map(e -> e.join().status()).sorted().toList();
                assertEquals(answers, List.of(200, 412));
                assertEquals(
                        here.get(floor.path() + "/head").body().path("facts"),
                        there.get(floor.path() + "/head").body().path("facts"));
            }
        }
    }

    @Test
    public void one_key_sent_to_both_is_written_once() {
        Database.Access server = Postgres.fresh();
        try (var here = App.start(App.emptyFolder(), server, CLOCK);
                var there = App.start(App.emptyFolder(), server, CLOCK)) {
            Floor floor = here.floor("Shared");
            UUID key = UUID.randomUUID();
            String path = floor.path() + "/zones/" + floor.zone() + "/log";
            for (App app : List.of(here, there, here)) {
                var answer = app.write("POST", path, JobWatchTest.note(), Map.of("Idempotency-Key", key.toString()));
                assertEquals(answer.status(), 201, answer.text());
            }
            assertEquals(here.get(floor.path() + "/log").body().path("log").size(), 1);
        }
    }

    @Test
    public void why_it_does_not_start_is_told_in_a_line() {
        var unknown = expectThrows(
                RuntimeException.class, () -> Beginning.requireSound(new String[] {"--database=mysql://somewhere"}));
        assertTrue(unknown.getMessage().contains("write it like jdbc:postgresql://"), unknown.getMessage());
        assertEquals(why("08001"), "no database answers at jdbc:postgresql://db/shop.");
        assertTrue(why("28P01").contains(Database.PASSWORD));
        assertTrue(why("3D000").contains("create it first"));
        var nowhere = expectThrows(
                RuntimeException.class,
                () -> Beginning.moved(
                        new String[] {"--data=" + App.emptyFolder(), "--move-to=jdbc:postgresql://127.0.0.1:1/shop"}));
        assertTrue(
                nowhere.getMessage().contains("no database answers at jdbc:postgresql://127.0.0.1:1/shop"),
                nowhere.getMessage());
        Database.Access server = Postgres.fresh();
        var wrong = new Database.Access(server.url(), server.user(), "another word");
        Path folder = App.emptyFolder();
        RuntimeException failed = expectThrows(RuntimeException.class, () -> App.start(folder, wrong));
        String told = Beginning.why(failed, new String[] {"--database=" + server.url()})
                .orElseThrow();
        assertTrue(told.contains("does not let this user in"), told);
        assertFalse(told.contains("another word"));
    }

    private static String why(String state) {
        return Beginning.why(new SQLException("", state), new String[] {"--database=jdbc:postgresql://db/shop"})
                .orElseThrow();
    }
}
