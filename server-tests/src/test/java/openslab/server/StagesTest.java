package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.server.App.Floor;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** An answer is cut to what is looked at: a head, one document a stage, a working when it is opened. */
public class StagesTest {
    private App app;
    private Floor floor;

    @BeforeClass
    public void start() {
        app = App.start(App.emptyFolder(), "--demo=true", "--clock=2026-05-04T12:00:00Z");
        floor = app.demo("Boat-repair workshop");
    }

    @AfterClass
    public void stop() {
        app.close();
    }

    @DataProvider
    Object[][] stages() {
        return new Object[][] {
            {"", "/head"},
            {"zone", "/stages/survey"},
            {"zone", "/stages/prep"},
            {"zone", "/stages/service"},
            {"zone", "/stages/layers/primer"},
            {"zone", "/stages/layers/flake"},
        };
    }

    @Test(dataProvider = "stages")
    public void a_stage_is_taken_along_with_all_its_workings(String of, String stage) {
        String path = (of.isEmpty() ? floor.path() : floor.zonePath()) + stage;
        JsonNode whole = app.get(path + "?workings=true").body();
        List<String> figures = figures(whole, "");
        assertEquals(figures, figures(app.get(path).body(), ""));
        for (String at : figures) {
            assertFalse(whole.at(at).path("steps").isMissingNode(), path + at);
        }
    }

    /** Asked again by somebody who has it already, an answer is one line; once something is written it is another. */
    @Test(dataProvider = "stages")
    public void who_has_an_answer_already_is_told_so(String of, String stage) {
        Floor other = app.demo("Ferry line store");
        String layer = stage.contains("/layers/") ? "/stages/layers/primer" : stage;
        String path = (of.isEmpty() ? other.path() : other.zonePath()) + layer;
        var headers = app.get(path).raw().headers();
        String tag = headers.firstValue("ETag").orElseThrow();
        assertEquals(headers.firstValue("Cache-Control").orElse(""), "no-cache");
        var again =
                app.send(app.request(path).header("If-None-Match", tag).GET().build());
        assertEquals(again.status(), 304);
        assertEquals(again.text(), "");
        assertEquals(app.post(other.log(), JobWatchTest.note()).status(), 201);
        assertEquals(
                app.send(app.request(path).header("If-None-Match", tag).GET().build())
                        .status(),
                200);
    }

    /** Where every figure of an answer stands in it. */
    private static List<String> figures(JsonNode node, String at) {
        var found = new ArrayList<String>();
        if (node.has("label") && node.has("text") && node.has("also")) {
            found.add(at);
        }
        for (Map.Entry<String, JsonNode> field : node.properties()) {
            found.addAll(figures(field.getValue(), at + "/" + field.getKey()));
        }
        for (int i = 0; node.isArray() && i < node.size(); i++) {
            found.addAll(figures(node.get(i), at + "/" + i));
        }
        return found;
    }

    @Test(dataProvider = "stages")
    public void a_figure_comes_without_its_working_and_gives_it_when_asked(String of, String stage) {
        String path = (of.isEmpty() ? floor.path() : floor.zonePath()) + stage;
        JsonNode answer = app.get(path).body();
        List<String> figures = figures(answer, "");
        assertFalse(figures.isEmpty(), path);
        for (String at : figures) {
            JsonNode brief = answer.at(at);
            assertFalse(brief.has("steps") || brief.has("source"), at);
            JsonNode whole = app.get(path + "/working?at=" + URLEncoder.encode(at, StandardCharsets.UTF_8))
                    .body();
            assertEquals(whole.path("text"), brief.path("text"), at);
            assertFalse(whole.path("steps").isEmpty(), at);
            assertFalse(whole.path("source").path("sentence").asString().isEmpty(), at);
        }
        for (String nowhere : List.of("/nowhere", "report", "", "/")) {
            App.Answer refused = app.get(path + "/working?at=" + nowhere);
            assertEquals(refused.status(), 400, refused.text());
            assertEquals(refused.faultyFields(), List.of("at"));
        }
    }

    /** Whatever is written about a job, its count goes up, and every stage tells it: answers that meet are put in order by it. */
    @Test
    public void every_write_is_counted() {
        long before = changes("/head", floor.path());
        UUID key = UUID.randomUUID();
        App.Answer logged = app.write(
                "POST",
                floor.log(),
                App.logForm("READING", "ph", "A", Map.of("ph", "8.5")),
                Map.of("Idempotency-Key", key.toString()));
        assertEquals(logged.body().path("key").asString(), key.toString());
        assertEquals(logged.body().path("head").path("changes").asLong(), before + 1);
        assertEquals(changes("/stages/survey", floor.zonePath()), before + 1);
        assertEquals(changes("/stages/prep", floor.zonePath()), before + 1);
        assertEquals(changes("/log", floor.path()), before + 1);
        int version = app.get(floor.path() + "/head").body().path("version").asInt();
        var form = App.zoneForm("Loft");
        app.post(floor.path() + "/zones", UUID.randomUUID(), version, form);
        assertEquals(changes("/head", floor.path()), before + 2);
        // sent again it is done once
        app.write(
                "POST",
                floor.log(),
                App.logForm("READING", "ph", "A", Map.of("ph", "8.5")),
                Map.of("Idempotency-Key", key.toString()));
        assertEquals(changes("/head", floor.path()), before + 2);
    }

    private long changes(String stage, String of) {
        return app.get(of + stage).body().path("changes").asLong(-1);
    }

    /** The head says what the whole job says. */
    @Test
    public void a_head_is_the_whole_job_in_short() {
        JsonNode head = app.get(floor.path() + "/head").body();
        JsonNode whole = app.get(floor.path()).body();
        assertEquals(head.path("zones").size(), whole.path("zones").size());
        for (int i = 0; i < head.path("zones").size(); i++) {
            JsonNode brief = head.path("zones").get(i).path("report");
            JsonNode full = whole.path("zones").get(i).path("report");
            for (String part : List.of("name", "strata", "clocks", "next")) {
                assertEquals(brief.path(part), full.path(part), part);
            }
            assertTrue(brief.path("cycle").path("number").asInt() >= 1);
        }
        assertEquals(app.get(floor.zonePath() + "/stages/layers/nothing").status(), 404);
    }

    /** A layer's own screen tells what stood against the last of it; all of it is in the logbook. */
    @Test
    public void what_stood_against_many_batches_is_told_of_the_last() {
        Floor floor = app.floor("Many batches");
        app.put(floor.zonePath() + "/layers", 2, Map.of("system", "epoxy-flake"));
        for (int i = 0; i < 33; i++) {
            var batch = App.allTheSame("BATCH", "primer", Map.of("volume", "1 gal", "area", "10 ft²"));
            assertEquals(app.post(floor.log(), batch).status(), 201);
        }
        JsonNode report =
                app.get(floor.zonePath() + "/stages/layers/primer").body().path("report");
        assertEquals(report.path("conduct").size(), 30);
        assertEquals(report.path("earlier").asInt(), 3);
    }
}
