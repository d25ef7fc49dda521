package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The demo's floors are mid-story whenever it is started, and every figure of theirs can be read. */
public class DemoWorldTest {
    private static final List<String> NOWS =
            List.of("2026-05-04T12:00:00Z", "2028-02-29T23:59:00Z", "2031-11-02T05:30:00Z");

    private final Map<String, App> apps = new TreeMap<>();

    @BeforeClass
    void start() {
        NOWS.forEach(now -> apps.put(now, App.start(App.emptyFolder(), "--demo=true", "--clock=" + now)));
    }

    @AfterClass
    void stop() {
        apps.values().forEach(App::close);
    }

    @DataProvider
    Object[][] nows() {
        return NOWS.stream().map(n -> new Object[] {n}).toArray(Object[][]::new);
    }

    @Test(dataProvider = "nows")
    public void every_floor_stands_where_its_story_says(String now) {
        Map<String, String> words = new TreeMap<>();
        for (JsonNode item : apps.get(now).get("/api/jobs").body()) {
            words.put(
                    item.path("name").asString(),
                    item.path("lead").path("next").path("word").asString());
        }
        assertEquals(
                words,
                new TreeMap<>(Map.ofEntries(
                        Map.entry("Boat-repair workshop", "wet"),
                        Map.entry("Old tram shed café", "hold"),
                        Map.entry("Bakery", "hold"),
                        Map.entry("Ropewalk extension", "stop"),
                        Map.entry("Ferry line store", "go"),
                        Map.entry("Pottery kiln room", "go"),
                        Map.entry("Seed bank packing room", "go"),
                        Map.entry("School boiler house", "wet"),
                        Map.entry("Cottage garage", "go"),
                        Map.entry("Harbour terrace", "wet"),
                        Map.entry("Tile showroom", "in hand"))));
    }

    /** Repairs with their patches, documents, orders, plans, planks: whatever a job holds is described. */
    @Test
    public void every_job_keeps_to_the_schema_of_its_file() throws IOException {
        JsonNode schema =
                App.JSON.readTree(Files.readString(Path.of("..", "docs", "formats", "open-slab-job.schema.json")));
        App app = apps.get(NOWS.get(0));
        var problems = new TreeSet<String>();
        for (JsonNode item : app.get("/api/jobs").body()) {
            JsonNode file =
                    app.get("/api/job-files/" + item.path("id").asString()).body();
            SchemaCheck.check(schema, schema, file, item.path("name").asString(), problems);
        }
        assertEquals(problems, new TreeSet<String>());
    }

    /** The first thing that is seen is that floors differ: no two are led by the same system. */
    @Test(dataProvider = "nows")
    public void every_job_is_led_by_another_system(String now) {
        JsonNode rack = apps.get(now).get("/api/jobs").body();
        var systems = new TreeSet<String>();
        rack.forEach(i -> systems.add(i.path("lead").path("system").asString()));
        assertTrue(rack.size() >= 9, rack.size() + " jobs");
        assertEquals(systems.size(), rack.size(), systems.toString());
    }

    /** Concrete, tile, vinyl and stamped concrete are in preparation at once, each by a method of its own. */
    @Test(dataProvider = "nows")
    public void four_substrates_are_in_preparation(String now) {
        Map<String, String> methods = new TreeMap<>();
        for (JsonNode item : apps.get(now).get("/api/jobs").body()) {
            for (JsonNode zone : apps.get(now)
                    .get("/api/jobs/" + item.path("id").asString())
                    .body()
                    .path("zones")) {
                JsonNode prep = zone.path("report").path("prep");
                boolean begun =
                        prep.path("steps").path(0).path("progress").asString().equals("DONE");
                if (begun && !prep.path("mark").asString().equals("DONE")) {
                    methods.put(
                            zone.path("facts").path("substrate").asString(),
                            prep.path("method").asString());
                }
            }
        }
        assertEquals(
                methods,
                new TreeMap<>(Map.of(
                        "BARE_CONCRETE",
                        "grind",
                        "QUARRY",
                        "scrub-tile",
                        "VCT",
                        "strip-finish",
                        "STAMPED",
                        "saw-and-wash")));
    }

    @Test(dataProvider = "nows")
    public void the_rack_stands_in_order(String now) {
        var order = new ArrayList<String>();
        apps.get(now).get("/api/jobs").body().forEach(i -> {
            JsonNode next = i.path("lead").path("next");
            int rank = List.of("SOON", "ACT", "LATER", "RESTS")
                    .indexOf(next.path("urgency").asString());
            // by the hour only where an hour counts
            order.add(rank + " " + (rank == 1 ? "" : next.path("at").asString("")));
        });
        var sorted = new ArrayList<>(order);
        sorted.sort(String::compareTo);
        assertEquals(order, sorted);
        assertEquals(order.stream().filter(o -> o.startsWith("1")).count(), 3);
    }

    @Test(dataProvider = "nows")
    public void every_figure_has_its_working_and_its_source(String now) {
        App app = apps.get(now);
        int figures = 0;
        for (JsonNode item : app.get("/api/jobs").body()) {
            JsonNode job = app.get("/api/jobs/" + item.path("id").asString()).body();
            figures += checkFigures(job, job.path("facts").path("name").asString());
        }
        assertTrue(figures > 400, figures + " figures");
    }

    /** @return how many figures stand in {@code node} */
    private static int checkFigures(JsonNode node, String at) {
        int found = 0;
        if (node.has("steps") && node.has("source") && node.has("text")) {
            assertFalse(node.path("text").asString().isBlank(), at);
            assertFalse(node.path("text").asString().contains("—"), at);
            assertFalse(node.path("steps").isEmpty(), at);
            assertFalse(node.path("source").path("sentence").asString().isBlank(), at);
            JsonNode last = node.path("steps").path(node.path("steps").size() - 1);
            assertFalse(last.path("numbers").asString().isBlank(), at);
            found++;
        }
        for (var property : node.properties()) {
            found += checkFigures(property.getValue(), at + "." + property.getKey());
        }
        if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                found += checkFigures(node.path(i), at + "[" + i + "]");
            }
        }
        return found;
    }

    @Test(dataProvider = "nows")
    public void every_job_goes_out_to_a_file_and_comes_back(String now) {
        App app = apps.get(now);
        try (App other = App.start(App.emptyFolder(), "--clock=" + now)) {
            for (JsonNode item : app.get("/api/jobs").body()) {
                String id = item.path("id").asString();
                String written = app.get("/api/job-files/" + id).text();
                assertEquals(
                        other.post("/api/job-files", written).status(),
                        201,
                        item.path("name").asString());
                assertEquals(other.get("/api/job-files/" + id).text(), written);
                assertEquals(
                        other.get("/api/jobs/" + id).body().path("zones"),
                        app.get("/api/jobs/" + id).body().path("zones"));
            }
        }
    }

    @Test
    public void a_second_start_on_the_same_data_adds_nothing() {
        var data = App.emptyFolder();
        String first;
        try (App app = App.start(data, "--demo=true", "--clock=" + NOWS.get(0))) {
            first = app.get("/api/jobs").text();
        }
        try (App app = App.start(data, "--demo=true", "--clock=" + NOWS.get(0))) {
            assertEquals(app.get("/api/jobs").text(), first);
        }
    }

    @Test
    public void the_workshop_waits_for_its_window() {
        App app = apps.get(NOWS.get(0));
        JsonNode job = null;
        for (JsonNode item : app.get("/api/jobs").body()) {
            if (item.path("name").asString().startsWith("Boat")) {
                job = app.get("/api/jobs/" + item.path("id").asString()).body();
            }
        }
        assertTrue(job != null);
        JsonNode north = job.path("zones").path(0).path("report");
        // 42' 6" × 29' 3" less 10' 6" × 9': 1148.6 ft² by hand
        assertEquals(north.path("area").path("text").asString(), "1149\u00a0ft²");
        assertEquals(north.path("survey").path("verdict").asString(), "WATCH");
        assertEquals(north.path("layers").path(1).path("batchesLogged").asInt(), 3);
        // the sheet says 20 h at 50 °F and 15 h at 60 °F; at 58 °F log-interpolated 20·(15/20)^0.8 = 15.89 h, logged
        // 13.4 h ago
        assertEquals(north.path("next").path("at").asString(), "2026-05-04T14:29:18Z");
        JsonNode south = job.path("zones").path(1).path("report");
        assertEquals(south.path("survey").path("verdict").asString(), "HOLD");
        assertEquals(south.path("prep").path("method").asString(), "clean-and-test");
    }
}
