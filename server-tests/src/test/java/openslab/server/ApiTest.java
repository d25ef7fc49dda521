package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

public class ApiTest extends OnApp {
    private static final Path COMMITTED = Path.of("..", "web", "api", "openapi.json");

    @Test
    public void the_committed_api_description_is_the_one_that_is_served() throws IOException {
        JsonNode served = app.get("/v3/api-docs").body();
        if (Boolean.getBoolean("openslab.write")) {
            Files.writeString(
                    COMMITTED, App.JSON.writerWithDefaultPrettyPrinter().writeValueAsString(served) + "\n");
        }
        JsonNode committed = App.JSON.readTree(Files.readString(COMMITTED));
        assertTrue(
                committed.equals(served),
                "stale: mvn -pl server-tests test -Dtest=ApiTest -Dopenslab.write=true, then npm run types");
    }

    @Test
    public void a_zone_is_measured_as_the_tape_reads_it() {
        Floor floor = app.floor("Measured");
        JsonNode report = app.get(floor.path()).body().path("zones").path(0).path("report");
        // 24' 6" by 18' by hand: 441 ft², 85 ft round it
        assertEquals(report.path("area").path("text").asString(), "441\u00a0ft²");
        assertEquals(report.path("perimeter").path("text").asString(), "85.00\u00a0ft");
        assertEquals(report.path("survey").path("verdict").asString(), "HOLD");
    }

    @Test
    public void a_number_without_a_unit_keeps_its_meaning_when_the_job_changes_units() {
        Floor floor = app.floor("Turned metric");
        var form = App.jobForm("Turned metric");
        form.put("units", "METRIC");
        assertEquals(app.put(floor.path(), 2, form).status(), 200);
        JsonNode zone = app.get(floor.path()).body().path("zones").path(0);
        assertEquals(zone.path("facts").path("sides").path("width").asString(), "18 ft");
        assertEquals(zone.path("report").path("area").path("text").asString(), "41.0\u00a0m²");
    }

    @Test
    public void a_tap_sent_twice_is_stored_once() {
        Floor floor = app.floor("Twice");
        var key = UUID.randomUUID();
        var form = App.logForm("READING", "ph", "A", Map.of("ph", "8.5"));
        var headers = Map.of("Idempotency-Key", key.toString());
        assertEquals(app.write("POST", floor.log(), form, headers).status(), 201);
        assertEquals(app.write("POST", floor.log(), form, headers).status(), 201);
        assertEquals(app.get(floor.path()).body().path("log").size(), 1);
        var other = App.logForm("READING", "ph", "A", Map.of("ph", "9"));
        Answer refused = app.write("POST", floor.log(), other, headers);
        assertEquals(refused.status(), 422);
        assertTrue(refused.text().contains("key-used-before"), refused.text());
    }

    @Test
    public void the_same_tap_from_many_threads_is_stored_once() throws Exception {
        Floor floor = app.floor("At once");
        var headers = Map.of("Idempotency-Key", UUID.randomUUID().toString());
        var form = App.logForm("NOTE", "", "", Map.of());
        Callable<Answer> tap = () -> app.write("POST", floor.log(), form, headers);
        var pool = Executors.newFixedThreadPool(8);
        try {
            for (var answer : pool.invokeAll(java.util.Collections.nCopies(24, tap))) {
                assertEquals(answer.get().status(), 201, answer.get().text());
            }
        } finally {
            pool.shutdown();
        }
        assertEquals(app.get(floor.path()).body().path("log").size(), 1);
    }

    @Test
    public void a_stale_write_is_refused_with_what_changed() {
        Floor floor = app.floor("Stale");
        var first = App.jobForm("Stale, renamed");
        assertEquals(app.put(floor.path(), 2, first).status(), 200);
        Answer stale = app.put(floor.path(), 2, App.jobForm("Stale, otherwise"));
        assertEquals(stale.status(), 412);
        JsonNode change = stale.body().path("changes").path(0);
        assertEquals(change.path("field").asString(), "name");
        assertEquals(change.path("was").asString(), "Stale");
        assertEquals(change.path("is").asString(), "Stale, renamed");
        assertTrue(stale.text().contains("it is now version 3"), stale.text());
        assertEquals(app.get(floor.path()).body().path("facts").path("name").asString(), "Stale, renamed");
    }

    @Test
    public void the_log_only_grows_and_a_mistake_is_struck() {
        Floor floor = app.floor("Struck");
        app.post(floor.log(), App.logForm("READING", "water-drop", "A", Map.of("drop", "beads")));
        JsonNode log = app.get(floor.path()).body().path("log");
        String key = log.path(0).path("key").asString();
        assertEquals(
                app.post(floor.log(), App.logForm("STRIKE", key, "", Map.of())).status(), 201);
        JsonNode after = app.get(floor.path()).body();
        assertEquals(after.path("log").size(), 2);
        assertEquals(
                after.path("zones")
                        .path(0)
                        .path("report")
                        .path("survey")
                        .path("entries")
                        .size(),
                0);
        assertEquals(
                app.post(floor.log(), App.logForm("STRIKE", key, "", Map.of())).faultyFields(), List.of("subject"));
    }

    @Test
    public void a_job_file_round_trips_exactly() {
        Floor floor = app.floor("Round trip <1 and \"quotes\"".replace("<", "under "));
        app.post(
                floor.log(),
                App.logForm(
                        "READING",
                        "calcium-chloride",
                        "Roller door",
                        Map.of("dishArea", "0.445", "gain", "1.51", "hours", "62")));
        app.post(floor.log(), App.logForm("READING", "climate", "", Map.of("air", "61", "rh", "64", "slab", "58 °F")));
        app.post(floor.log(), App.logForm("NOTE", "", "", Map.of()));
        String key =
                app.get(floor.path()).body().path("log").path(0).path("key").asString();
        app.post(floor.log(), App.logForm("STRIKE", key, "", Map.of()));
        app.put(
                floor.path() + "/zones/" + floor.zone() + "/layers/primer",
                2,
                Map.of("plannedStart", "2026-05-06T09:30:00-03:00"));
        String written = app.get("/api/job-files/" + floor.job()).text();
        try (App other = App.start(App.emptyFolder(), "--clock=2026-05-04T12:00:00Z")) {
            assertEquals(other.post("/api/job-files", written).status(), 201);
            assertEquals(other.get("/api/job-files/" + floor.job()).text(), written);
            // and everything that follows from the facts follows again
            assertEquals(
                    other.get(floor.path()).body().path("zones"),
                    app.get(floor.path()).body().path("zones"));
            Answer again = other.post("/api/job-files", written);
            assertEquals(again.status(), 422);
            assertTrue(again.text().contains("job-already-here"));
            String copy = other.post("/api/job-files?copy=true", written)
                    .body()
                    .path("jobId")
                    .asString();
            assertNotEquals(copy, floor.job());
            JsonNode log = other.get("/api/jobs/" + copy).body().path("log");
            assertEquals(log.size(), 4);
        }
    }

    /** A file from a time when there were other tests: what nobody knows any more stays readable, and counts for nothing. */
    @Test
    public void what_a_file_says_by_a_retired_method_is_kept_as_words() {
        Floor floor = app.floor("Long ago");
        app.post(floor.log(), App.logForm("READING", "ph", "A", Map.of("ph", "8.5")));
        String written = app.get("/api/job-files/" + floor.job())
                .text()
                .replace("\"subject\":\"ph\"", "\"subject\":\"litmus-strip\"")
                .replace("\"ph\":\"8.5\"", "\"shade\":\"violet\"");
        assertTrue(written.contains("litmus-strip"));
        String copy = app.post("/api/job-files?copy=true", written)
                .body()
                .path("jobId")
                .asString();
        JsonNode entry =
                app.get("/api/jobs/" + copy + "/log").body().path("log").path(0);
        assertEquals(entry.path("what").asString(), "litmus-strip: shade violet");
        JsonNode entries = app.get("/api/jobs/" + copy)
                .body()
                .path("zones")
                .path(0)
                .path("report")
                .path("survey")
                .path("entries");
        assertEquals(entries.size(), 0);
        // and goes on from there
        String again = app.get("/api/job-files/" + copy).text();
        assertTrue(again.contains("\"shade\":\"violet\""));
        assertEquals(app.post("/api/job-files?copy=true", again).status(), 201);
        // keyed in today it is a mistake
        assertEquals(
                app.post(floor.log(), App.logForm("READING", "litmus-strip", "A", Map.of("shade", "violet")))
                        .status(),
                400);
    }

    @Test
    public void a_job_file_keeps_to_its_schema() throws IOException {
        JsonNode schema =
                App.JSON.readTree(Files.readString(Path.of("..", "docs", "formats", "open-slab-job.schema.json")));
        Floor floor = app.floor("Schema");
        app.post(floor.log(), App.logForm("READING", "ph", "A", Map.of("ph", "8.5")));
        JsonNode file = app.get("/api/job-files/" + floor.job()).body();
        Set<String> problems = new HashSet<>();
        SchemaCheck.check(schema, schema, file, "$", problems);
        assertEquals(problems, Set.of());
        ((tools.jackson.databind.node.ObjectNode) file).put("format", "another").remove("zones");
        SchemaCheck.check(schema, schema, file, "$", problems);
        assertEquals(problems, Set.of("$.format: not open-slab-job", "$.zones: missing"));
    }

    @Test
    public void foreign_names_and_foreign_pages_are_refused() throws Exception {
        var socket = new java.net.Socket("127.0.0.1", app.port);
        try (socket) {
            socket.getOutputStream()
                    .write("GET /api/jobs HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n".getBytes());
            String answer = new String(socket.getInputStream().readAllBytes());
            assertTrue(answer.startsWith("HTTP/1.1 403"), answer);
        }
        var headers = Map.of("Idempotency-Key", UUID.randomUUID().toString(), "Origin", "http://evil.example");
        assertEquals(
                app.write("POST", "/api/jobs", App.jobForm("Evil"), headers).status(), 403);
        var own = Map.of("Idempotency-Key", UUID.randomUUID().toString(), "Origin", "http://127.0.0.1:" + app.port);
        assertEquals(
                app.write("POST", "/api/jobs", App.jobForm("Own page"), own).status(), 201);
        assertFalse(app.get("/api/jobs").text().contains("Evil"));
    }

    @Test
    public void reading_a_hundred_times_exhausts_nothing() {
        app.floor("Read often");
        for (int i = 0; i < 100; i++) {
            assertEquals(app.get("/api/jobs").status(), 200);
            assertEquals(app.get("/api/sheets").status(), 200);
        }
    }
}
