package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
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

/** What was saved is kept: over a restart, under many hands, and with its history. */
public class KeptTest {
    private static final String CLOCK = "--clock=2026-05-04T12:00:00Z";

    @Test
    public void a_restart_changes_nothing() {
        var data = App.emptyFolder();
        Floor floor;
        String before;
        String key = UUID.randomUUID().toString();
        var note = App.logForm("NOTE", "", "", Map.of());
        try (App app = App.start(data, CLOCK)) {
            floor = app.floor("Restarted");
            app.write("POST", floor.log(), note, Map.of("Idempotency-Key", key));
            app.post(floor.log(), App.logForm("READING", "ph", "A", Map.of("ph", "8.5")));
            before = app.get(floor.path()).text();
        }
        try (App app = App.start(data, CLOCK)) {
            assertEquals(app.get(floor.path()).text(), before);
            // a tap that was answered before the restart is still the same tap after it
            assertEquals(
                    app.write("POST", floor.log(), note, Map.of("Idempotency-Key", key))
                            .status(),
                    201);
            assertEquals(app.get(floor.path()).text(), before);
        }
    }

    /** Moments are kept to the microsecond, whoever made them: a file taken in and given out again is the same file. */
    @Test
    public void a_job_file_goes_round_whole() {
        Answer file;
        try (App app = App.start(App.emptyFolder())) {
            Floor floor = app.floor("Round");
            app.put(floor.zonePath() + "/layers", 2, Map.of("system", "epoxy-flake"));
            var entry = App.logForm("READING", "ph", "A", Map.of("ph", "8.5"));
            entry.put("at", "2026-05-04T09:00:00.123456Z");
            assertEquals(app.post(floor.log(), entry).status(), 201);
            var line = Map.of("what", "masking-tape", "pack", "each", "number", "2");
            var order = Map.of("supplier", "Quayside", "by", "Ana", "note", "", "lines", List.of(line));
            assertEquals(app.post(floor.path() + "/orders", order).status(), 200);
            var delivery =
                    Map.of("slug", "epoxy-primer", "pack", "Kit, 3 gal", "number", "1", "by", "Ana", "lot", "K7");
            assertEquals(app.post(floor.path() + "/deliveries", delivery).status(), 200);
            file = app.get("/api/job-files/" + floor.job());
        }
        assertEquals(file.body().at("/zones/0/log/0/entry/at").asString(), "2026-05-04T09:00:00.123456Z");
        try (App other = App.start(App.emptyFolder())) {
            Answer taken = other.post("/api/job-files", file.body());
            assertEquals(taken.status(), 201, taken.text());
            String path = "/api/job-files/" + file.body().path("id").asString();
            assertEquals(other.get(path).text(), file.text());
        }
    }

    @Test
    public void the_data_folder_may_be_named_from_where_one_stands() {
        var folder = Path.of("target", "kept-" + UUID.randomUUID());
        Floor floor;
        try (App app = App.start(folder, CLOCK)) {
            floor = app.floor("Near by");
        }
        assertTrue(Files.exists(folder.resolve("openslab.mv.db")));
        try (App app = App.start(folder.toAbsolutePath(), CLOCK)) {
            assertEquals(app.get(floor.path()).status(), 200);
        }
    }

    @Test
    public void many_hands_write_one_log_and_nothing_is_lost() throws Exception {
        try (App app = App.start(App.emptyFolder(), CLOCK)) {
            Floor floor = app.floor("Many hands");
            Set<String> keys = new HashSet<>();
            List<Callable<Answer>> taps = new ArrayList<>();
            for (int i = 0; i < 40; i++) {
                String key = UUID.randomUUID().toString();
                keys.add(key);
                var form = App.logForm("READING", "ph", "P" + i, Map.of("ph", "8"));
                taps.add(() -> app.write("POST", floor.log(), form, Map.of("Idempotency-Key", key)));
            }
            var pool = Executors.newFixedThreadPool(6);
            try {
                for (var tap : pool.invokeAll(taps)) {
                    assertEquals(tap.get().status(), 201, tap.get().text());
                }
            } finally {
                pool.shutdown();
            }
            Set<String> stored = new HashSet<>();
            app.get(floor.path())
                    .body()
                    .path("log")
                    .forEach(e -> stored.add(e.path("key").asString()));
            assertEquals(stored, keys);
        }
    }

    @Test
    public void of_two_edits_at_once_one_is_taken_and_one_is_told() throws Exception {
        try (App app = App.start(App.emptyFolder(), CLOCK)) {
            Floor floor = app.floor("Two edits");
            Callable<Answer> one = () -> app.put(floor.path(), 2, App.jobForm("One"));
            Callable<Answer> two = () -> app.put(floor.path(), 2, App.jobForm("Two"));
            var pool = Executors.newFixedThreadPool(2);
            var statuses = new ArrayList<Integer>();
            try {
                for (var answer : pool.invokeAll(List.of(one, two))) {
                    statuses.add(answer.get().status());
                }
            } finally {
                pool.shutdown();
            }
            statuses.sort(Integer::compareTo);
            assertEquals(statuses, List.of(200, 412));
            assertEquals(app.get(floor.path()).body().path("version").asInt(), 3);
        }
    }

    @Test
    public void a_stale_zone_and_a_stale_layer_are_told_every_change_since() {
        try (App app = App.start(App.emptyFolder(), CLOCK)) {
            Floor floor = app.floor("Changes");
            String zone = floor.path() + "/zones/" + floor.zone();
            var wider = App.zoneForm("North bay");
            wider.put("sides", Map.of("length", "24' 6\"", "width", "19"));
            wider.put("dust", false);
            assertEquals(app.put(zone, 2, wider).status(), 200);
            assertEquals(
                    app.put(zone + "/layers/primer", 3, Map.of("plannedStart", "2026-05-06T09:30:00Z"))
                            .status(),
                    200);
            Answer stale = app.put(zone, 2, App.zoneForm("North bay"));
            assertEquals(stale.status(), 412);
            var told = new ArrayList<String>();
            for (JsonNode change : stale.body().path("changes")) {
                told.add(change.path("field").asString() + ": "
                        + change.path("was").asString() + " > "
                        + change.path("is").asString());
            }
            assertEquals(
                    told,
                    List.of(
                            "dust allowed: true > false",
                            "width: 18 ft > 19 ft",
                            "North bay, primer: start:  > 2026-05-06T09:30:00Z"));
            assertEquals(
                    app.put(zone + "/layers/primer", 2, Map.of("plannedStart", ""))
                            .status(),
                    412);
        }
    }

    @Test
    public void an_imported_copy_is_a_job_of_its_own() {
        try (App app = App.start(App.emptyFolder(), CLOCK)) {
            Floor floor = app.floor("Original");
            app.post(floor.log(), App.logForm("READING", "ph", "A", Map.of("ph", "8.5")));
            String file = app.get("/api/job-files/" + floor.job()).text();
            String copy = app.post("/api/job-files?copy=true", file)
                    .body()
                    .path("jobId")
                    .asString();
            JsonNode there = app.get("/api/jobs/" + copy).body();
            assertNotEquals(there.path("zones").path(0).path("id").asString(), floor.zone());
            String log = "/api/jobs/" + copy + "/zones/"
                    + there.path("zones").path(0).path("id").asString() + "/log";
            app.post(log, App.logForm("READING", "ph", "B", Map.of("ph", "9")));
            assertEquals(app.get("/api/jobs/" + copy).body().path("log").size(), 2);
            assertEquals(app.get(floor.path()).body().path("log").size(), 1);
            assertTrue(app.get("/api/jobs").body().size() == 2);
        }
    }

    @Test
    public void a_zone_of_one_job_is_not_reached_through_another() {
        try (App app = App.start(App.emptyFolder(), CLOCK)) {
            Floor mine = app.floor("Mine");
            Floor yours = app.floor("Yours");
            String crossed = mine.path() + "/zones/" + yours.zone();
            assertEquals(app.put(crossed, 2, App.zoneForm("Taken")).status(), 404);
            assertEquals(
                    app.post(crossed + "/log", App.logForm("NOTE", "", "", Map.of()))
                            .status(),
                    404);
            assertEquals(
                    app.put(crossed + "/layers/primer", 2, Map.of("plannedStart", ""))
                            .status(),
                    404);
            assertEquals(
                    app.get(yours.path())
                            .body()
                            .path("zones")
                            .path(0)
                            .path("facts")
                            .path("name")
                            .asString(),
                    "North bay");
        }
    }

    /** What was set out, drawn, read with something and not allowed: over a restart, out to a file, in as a copy and out again. */
    @Test
    public void an_assessed_floor_is_kept_and_travels_whole() {
        var data = App.emptyFolder();
        Floor floor;
        String before;
        String file;
        try (App app = App.start(data, CLOCK)) {
            floor = app.floor("Assessed");
            var zone = App.zoneForm("North bay");
            zone.put("limits", List.of("QUIET", "POST_TENSIONED"));
            assertEquals(app.put(floor.zonePath(), 2, zone).status(), 200);
            app.post(floor.log(), App.logForm("SET", "calcium-chloride", "A", Map.of()));
            app.post(floor.log(), App.logForm("PLACE", "A", "A", Map.of("along", "3 ft", "off", "1.25 m")));
            var area = new java.util.TreeMap<>(App.logForm("AREA", "HOLLOW", "Door", Map.of()));
            area.put(
                    "ring",
                    List.of(Map.of("x", 0.1, "y", 0.2), Map.of("x", 1.15, "y", 0.25), Map.of("x", 0.7, "y", 1.0 / 3)));
            assertEquals(app.post(floor.log(), area).status(), 201);
            var reading = new java.util.TreeMap<>(App.logForm("READING", "ph", "A", Map.of("ph", "8.5")));
            reading.put("instrument", Map.of("name", "pH pen 2", "calibrated", "2026-04-20", "due", "2026-05-20"));
            assertEquals(app.post(floor.log(), reading).status(), 201);
            before = app.get(floor.path()).text();
        }
        try (App app = App.start(data, CLOCK)) {
            assertEquals(app.get(floor.path()).text(), before);
            file = app.get("/api/job-files/" + floor.job()).text();
            for (String kept : List.of(
                    "\"limits\":[\"POST_TENSIONED\",\"QUIET\"]",
                    "pH pen 2",
                    "2026-05-20",
                    "0.3333333333333333",
                    "\"SET\"")) {
                assertTrue(file.contains(kept), kept + " is not in " + file);
            }
            Answer copied = app.post("/api/job-files?copy=true", file);
            assertEquals(copied.status(), 201, copied.text());
            String copy = app.get(
                            "/api/job-files/" + copied.body().path("jobId").asString())
                    .text();
            // but for the fresh ids it is the same file
            assertEquals(withoutIds(copy), withoutIds(file));
        }
    }

    private static String withoutIds(String file) {
        return file.replaceAll("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}", "id");
    }
}
