package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
import java.util.zip.GZIPInputStream;
import openslab.server.App.Floor;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A floor's second season over the wire, in a file, and in data from before there was one. */
public class CyclesTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final String NOW = "--clock=2026-05-04T12:00:00Z";

    private App app;
    private Floor floor;

    @BeforeClass
    public void start() {
        app = App.start(App.emptyFolder(), NOW);
        floor = app.floor("Ferry shed");
    }

    @AfterClass
    public void stop() {
        app.close();
    }

    private JsonNode view() {
        return app.get(floor.path()).body();
    }

    private JsonNode report() {
        return view().path("zones").get(0).path("report");
    }

    private App.Answer begin(Map<String, String> form) {
        return app.post(
                floor.zonePath() + "/cycles",
                UUID.randomUUID(),
                view().path("version").asInt(),
                form);
    }

    private void refused(Map<String, String> form, String... fields) {
        App.Answer answer = begin(form);
        assertEquals(answer.status(), 400, answer.text());
        assertEquals(answer.faultyFields(), List.of(fields));
    }

    private App.Answer takeBack(int number) {
        return takeBack(floor, number);
    }

    private App.Answer takeBack(Floor of, int number) {
        return app.write(
                "DELETE",
                of.zonePath() + "/cycles/" + number,
                "",
                Map.of(
                        "Idempotency-Key",
                        UUID.randomUUID().toString(),
                        "If-Match",
                        app.get(of.path()).body().path("version").asString()));
    }

    private void coat(String layer, String at) {
        var form = App.allTheSame("COAT", layer, Map.of());
        form.put("at", at);
        assertEquals(app.post(floor.log(), form).status(), 201);
    }

    @Test
    public void a_cycle_begins_belongs_and_can_be_taken_back() {
        refused(Map.of("kind", "RESEAL", "by", "Wren"), "kind");
        List<String> layers = List.of("primer", "body", "flake", "clear");
        layers.forEach(l -> coat(l, "2021-05-0" + (1 + layers.indexOf(l)) + "T08:00:00Z"));
        refused(Map.of("kind", "REPAIR", "by", "Wren"), "patch");
        refused(Map.of("kind", "REPAIR", "by", "Wren", "patch", "5000 ft²"), "patch");
        refused(Map.of("kind", "RESEAL", "by", "Wren", "patch", "5 ft²"), "patch");
        refused(Map.of("kind", "SAND", "by", ""), "kind", "by");
        var reseal = Map.of("kind", "RESEAL", "by", "Wren", "why", "Dull at the door", "at", "2026-05-02T08:00:00Z");
        assertEquals(begin(reseal).status(), 201);
        JsonNode resealed = report();
        assertEquals(resealed.path("cycles").size(), 2);
        assertEquals(texts(resealed.path("layers"), l -> l.path("id").asString()), List.of("clear"));
        assertEquals(resealed.path("prep").path("method").asString(), "dull-film");
        coat("clear", "2026-05-03T08:00:00Z");
        assertEquals(view().path("log").get(0).path("cycle").asInt(), 2, "it belongs to the cycle it was logged in");
        // as it was, and not as it is
        JsonNode was = app.get(floor.zonePath() + "/cycles/1").body();
        assertEquals(was.path("layers").size(), 4);
        assertTrue(was.path("layers").get(3).path("start").asString().startsWith("2021"));
        assertEquals(app.get(floor.zonePath() + "/cycles/7").status(), 404);
        // one with something in it stays; an empty one goes
        assertEquals(takeBack(2).status(), 422);
        assertEquals(takeBack(1).status(), 404);
        assertEquals(begin(Map.of("kind", "CLEAN", "by", "Wren")).status(), 201);
        assertEquals(report().path("cycles").size(), 3);
        assertEquals(takeBack(3).status(), 200);
        assertEquals(report().path("cycles").size(), 2);
        forgotten();
        roundTrip();
    }

    private static List<Map<String, Double>> ring(double... xy) {
        var ring = new ArrayList<Map<String, Double>>();
        for (int i = 0; i < xy.length; i += 2) {
            ring.add(Map.of("x", xy[i], "y", xy[i + 1]));
        }
        return ring;
    }

    /** A floor of 24' 6" by 18' with everything on. */
    private Floor coated(String name) {
        Floor coated = app.floor(name);
        for (String layer : List.of("primer", "body", "flake", "clear")) {
            var form = App.allTheSame("COAT", layer, Map.of());
            form.put(
                    "at",
                    "2021-05-0"
                            + (1 + List.of("primer", "body", "flake", "clear").indexOf(layer)) + "T08:00:00Z");
            assertEquals(app.post(coated.log(), form).status(), 201);
        }
        return coated;
    }

    private App.Answer repair(Floor of, Object patch, Object ring) {
        var form = new java.util.TreeMap<String, Object>(Map.of("kind", "REPAIR", "by", "Wren", "why", "Torn"));
        form.put("patch", patch);
        form.put("ring", ring);
        int version = app.get(of.path()).body().path("version").asInt();
        return app.post(of.zonePath() + "/cycles", UUID.randomUUID(), version, form);
    }

    /** It is as large as it was drawn, is taped along what was drawn, is tested inside, and is found again in the job's file. */
    @Test
    public void a_patch_lies_where_it_was_drawn() {
        Floor torn = coated("Torn");
        var strip = ring(1, 1, 4, 1, 4, 2, 1, 2);
        assertEquals(repair(torn, null, ring(1, 1, 4, 1, 2, 2, 3, 0)).faultyFields(), List.of("ring"));
        assertEquals(repair(torn, null, ring(-3, 1, 4, 1, 4, 2, -3, 2)).faultyFields(), List.of("ring"));
        assertEquals(
                repair(torn, null, ring(0, 0, 7.46, 0, 7.46, 5.48, 0, 5.48)).status(), 201);
        assertEquals(takeBack(torn, 2).status(), 200);
        assertEquals(repair(torn, null, strip).status(), 201);
        JsonNode survey = app.get(torn.zonePath() + "/stages/survey").body().path("report");
        assertEquals(survey.path("patch").size(), 4);
        JsonNode history = app.get(torn.zonePath() + "/stages/service")
                .body()
                .path("report")
                .path("cycles");
        assertEquals(history.get(1).path("ring").size(), 4);
        assertEquals(history.get(0).path("ring").size(), 0);
        // 3 m² is 32.3 ft²
        assertTrue(
                history.get(1).path("patch").asString().startsWith("32"),
                history.get(1).toString());
        app.post(torn.log(), App.logForm("PLACE", "A", "A", Map.of("along", "20 ft", "off", "10 ft")));
        for (JsonNode place : app.get(torn.zonePath() + "/places").body()) {
            double x = place.at("/at/x").asDouble();
            double y = place.at("/at/y").asDouble();
            assertTrue(x >= 1 && x <= 4 && y >= 1 && y <= 2, place.toString());
            assertTrue(!place.path("name").asString().equals("A"), "A is another place");
        }
        JsonNode file = app.get("/api/job-files/" + torn.job()).body();
        assertEquals(file.at("/zones/0/cycles/1/ring").size(), 4);
        assertTrue(file.at("/zones/0/cycles/1/patch").isMissingNode());
        String copy =
                app.post("/api/job-files?copy=true", file).body().path("jobId").asString();
        assertEquals(
                app.get("/api/job-files/" + copy).body().at("/zones/0/cycles/1/ring"),
                file.at("/zones/0/cycles/1/ring"));
    }

    /** Only a repair takes a piece. */
    @Test
    public void no_other_cycle_has_a_place() {
        Floor whole = coated("Whole");
        int version = app.get(whole.path()).body().path("version").asInt();
        Map<String, Object> form = Map.of("kind", "CLEAN", "by", "Wren", "ring", ring(1, 1, 2, 1, 2, 2));
        assertEquals(
                app.post(whole.zonePath() + "/cycles", UUID.randomUUID(), version, form)
                        .faultyFields(),
                List.of("ring"));
    }

    /** Dirtied when only the primer was on: the rest of the build-up goes on after the cleaning. */
    @Test
    public void what_is_not_on_yet_goes_on_after_a_cleaning() {
        Floor begun = app.floor("Half done");
        assertEquals(
                app.post(begun.log(), App.allTheSame("COAT", "primer", Map.of()))
                        .status(),
                201);
        var clean = Map.of("kind", "CLEAN", "by", "Wren");
        int version = app.get(begun.path()).body().path("version").asInt();
        App.Answer asked = app.post(begun.zonePath() + "/cycles", UUID.randomUUID(), version, clean);
        assertEquals(asked.faultyFields(), List.of("why"));
        var why = Map.of("kind", "CLEAN", "by", "Wren", "why", "Rain came in");
        assertEquals(
                app.post(begun.zonePath() + "/cycles", UUID.randomUUID(), version, why)
                        .status(),
                201);
        JsonNode report = app.get(begun.path()).body().path("zones").get(0).path("report");
        assertEquals(texts(report.path("layers"), l -> l.path("id").asString()), List.of("body", "flake", "clear"));
        assertEquals(report.path("prep").path("method").asString(), "dull-film");
    }

    /** Something of five years ago that nobody had logged: it names its cycle, and nothing of today is moved by it. */
    private void forgotten() {
        var form = App.allTheSame("BATCH", "body", Map.of("volume", "2 gal", "area", "300 ft²"));
        form.put("at", "2021-05-02T07:00:00Z");
        App.Answer now = app.post(floor.log(), form);
        assertEquals(now.status(), 400);
        assertEquals(now.faultyFields(), List.of("subject"), "no body coat goes on in this cycle");
        form.put("cycle", 1);
        assertEquals(app.post(floor.log(), form).status(), 201);
        form.put("cycle", 3);
        assertTrue(app.post(floor.log(), form).faultyFields().contains("cycle"));
        JsonNode was = app.get(floor.zonePath() + "/cycles/1").body();
        assertEquals(was.path("layers").get(1).path("batchesLogged").asInt(), 1);
    }

    /** Through a file, as a copy, and out again: the same cycles, the same answers. */
    private void roundTrip() {
        JsonNode file = app.get("/api/job-files/" + floor.job()).body();
        JsonNode cycles = file.path("zones").get(0).path("cycles");
        assertEquals(cycles.size(), 2);
        App.Answer taken = app.post("/api/job-files?copy=true", file);
        assertEquals(taken.status(), 201, taken.text());
        String copy = taken.body().path("jobId").asString();
        JsonNode read = app.get("/api/jobs/" + copy).body().path("zones").get(0).path("report");
        assertEquals(summary(read), summary(report()));
        assertEquals(
                app.get("/api/job-files/" + copy).body().path("zones").get(0).path("cycles"), cycles);
    }

    private static Map<String, Object> summary(JsonNode report) {
        return Map.of(
                "verdict", report.path("survey").path("verdict").asString(),
                "next", report.path("next").path("label").asString(),
                "prep", report.path("prep").path("method").asString(),
                "strata",
                        texts(
                                report.path("strata"),
                                s -> s.path("id").asString() + " "
                                        + s.path("mark").asString()),
                "starts", texts(report.path("layers"), l -> l.path("start").asString("null")));
    }

    private static List<String> texts(JsonNode list, java.util.function.Function<JsonNode, String> of) {
        return StreamSupport.stream(list.spliterator(), false).map(of).toList();
    }

    private static InputStream kept(String name) {
        return CyclesTest.class.getResourceAsStream("/kept/" + name);
    }

    /** The demo as the version before cycles wrote it: it opens, everything is in its first cycle, and every answer is the same. */
    @Test
    public void data_from_before_there_were_cycles_opens_as_it_was() throws IOException {
        Path folder = App.emptyFolder();
        try (var packed = new GZIPInputStream(kept("before-cycles.mv.db.gz"))) {
            Files.copy(packed, folder.resolve("openslab.mv.db"));
        }
        JsonNode expected = JSON.readTree(kept("before-cycles.json"));
        var seen = new HashSet<String>();
        try (App old = App.startOnFile(folder, NOW)) {
            for (JsonNode item : old.get("/api/jobs").body()) {
                JsonNode view =
                        old.get("/api/jobs/" + item.path("id").asString()).body();
                String name = view.path("facts").path("name").asString();
                for (JsonNode z : view.path("zones")) {
                    JsonNode was = expected.path(name)
                            .path(z.path("facts").path("name").asString());
                    JsonNode is = z.path("report");
                    seen.add(name + z.path("id").asString());
                    assertEquals(is.path("cycles").size(), 1);
                    Map<String, Object> told = summary(is);
                    for (String word : List.of("verdict", "next", "prep")) {
                        assertEquals(told.get(word), was.path(word).asString(), name);
                    }
                    for (String list : List.of("strata", "starts")) {
                        assertEquals(told.get(list), texts(was.path(list), t -> t.asString("null")), name);
                    }
                    long entries = texts(view.path("log"), e -> e.path("zoneId").asString()).stream()
                            .filter(id -> id.equals(z.path("id").asString()))
                            .count();
                    assertEquals(entries, was.path("log").asLong(), name);
                }
            }
            assertEquals(
                    seen.size(),
                    StreamSupport.stream(expected.spliterator(), false)
                            .mapToInt(JsonNode::size)
                            .sum());
        }
    }

    /** Its layers are laid as their sheets have them, and everything that was logged stands. */
    @Test
    public void a_file_from_before_there_were_systems_is_read() {
        JsonNode file = JSON.readTree(kept("job-file-5.json"));
        App.Answer taken = app.post("/api/job-files", file);
        assertEquals(taken.status(), 201, taken.text());
        String id = taken.body().path("jobId").asString();
        JsonNode again = app.get("/api/job-files/" + id).body();
        assertEquals(again.path("sheets"), file.path("sheets"));
        JsonNode zones = app.get("/api/jobs/" + id).body().path("zones");
        for (int i = 0; i < file.path("zones").size(); i++) {
            JsonNode was = file.path("zones").get(i);
            JsonNode is = again.path("zones").get(i);
            assertEquals(is.path("log"), was.path("log"));
            for (int c = 0; c < was.path("cycles").size(); c++) {
                JsonNode cycle = is.path("cycles").get(c);
                assertEquals(cycle.path("system").asString(), "epoxy-flake");
                assertEquals(cycle.path("layers"), was.path("cycles").get(c).path("layers"));
            }
            for (JsonNode layer : zones.get(i).path("report").path("layers")) {
                boolean coated = layer.path("started").asString().equals("COATED");
                for (JsonNode step : layer.path("steps")) {
                    assertEquals(step.path("progress").asString().equals("DONE"), coated, layer.toString());
                }
            }
        }
    }

    /** From before there were needs, and from before there were practices, from before what was bought travelled, and from before documents did. */
    @DataProvider
    Object[][] lately() {
        return new Object[][] {{"job-file-6.json"}, {"job-file-7.json"}, {"job-file-8.json"}, {"job-file-9.json"}};
    }

    /** Nothing but the number changed for it. */
    @Test(dataProvider = "lately")
    public void a_file_of_lately_is_read(String name) {
        JsonNode file = JSON.readTree(kept(name));
        App.Answer taken = app.post("/api/job-files", file);
        assertEquals(taken.status(), 201, taken.text());
        JsonNode again = app.get("/api/job-files/" + taken.body().path("jobId").asString())
                .body();
        assertEquals(again.path("formatVersion").asInt(), 10);
        assertEquals(again.path("zones"), file.path("zones"));
        assertEquals(again.path("sheets"), file.path("sheets"));
    }

    @Test
    public void a_file_from_before_there_were_cycles_is_read() {
        JsonNode file = JSON.readTree(kept("job-file-4.json"));
        App.Answer taken = app.post("/api/job-files", file);
        assertEquals(taken.status(), 201, taken.text());
        String id = taken.body().path("jobId").asString();
        JsonNode again = app.get("/api/job-files/" + id).body();
        assertEquals(again.path("formatVersion").asInt(), 10);
        for (int i = 0; i < file.path("zones").size(); i++) {
            JsonNode cycles = again.path("zones").get(i).path("cycles");
            assertEquals(cycles.size(), 1);
            assertEquals(cycles.get(0).path("layers"), file.path("zones").get(i).path("layers"));
            assertEquals(
                    again.path("zones").get(i).path("log").size(),
                    file.path("zones").get(i).path("log").size());
        }
    }
}
