package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A floor in planks: laid out, nudged, kept over a restart, printed to scale, and refused field by field. */
public class PlankApiTest {
    private static final String LAYER = "/stages/layers/tack/planks";

    private static Floor laid(App app) {
        Floor floor = app.floor("Planked");
        Answer built = app.put(floor.zonePath() + "/layers", 2, Map.of("system", "plank-overlay"));
        assertEquals(built.status(), 200, built.text());
        return floor;
    }

    private static Map<String, Object> form(String... more) {
        var form = new HashMap<String, Object>(Map.of(
                "grain",
                "0",
                "widths",
                "4 in, 8 in, 6 in",
                "shortest",
                "12 in",
                "longest",
                "6 ft",
                "frame",
                "4 in",
                "seed",
                "7",
                "nudges",
                List.of()));
        for (int i = 0; i < more.length; i += 2) {
            form.put(more[i], more[i + 1]);
        }
        return form;
    }

    /** 100 by 100 m in planks of 150 mm and 1.05 m on average: 10 000 m² by 0.1575 m² are 63 492. */
    @Test
    public void more_planks_than_anybody_lays_are_told_and_not_drawn() {
        try (App app = App.start(App.emptyFolder())) {
            var zone = App.zoneForm("Hall");
            zone.put("sides", Map.of("length", "100 m", "width", "100 m"));
            Floor floor = app.floor("Large", zone);
            assertEquals(
                    app.put(floor.zonePath() + "/layers", 2, Map.of("system", "plank-overlay"))
                            .status(),
                    200);
            Answer opened = app.get(floor.zonePath() + LAYER);
            assertEquals(opened.status(), 200);
            assertTrue(opened.body().path("undrawn").asString().matches(".* about 63\\D492 planks; .*"), opened.text());
            assertEquals(opened.body().path("planks").size(), 0);
            Answer put = app.put(floor.zonePath() + LAYER, 0, form());
            assertEquals(put.status(), 422, put.text());
            assertTrue(put.text().contains("too-many-planks"), put.text());
            assertEquals(
                    app.get(floor.zonePath() + LAYER).body().path("version").asInt(), 0);
        }
    }

    /** 24 ft 6 in by 18 ft: in rows of 4, 8 and 6 in, 18 in the three, twelve times three rows. */
    @Test
    public void it_is_laid_out_nudged_and_kept() {
        Path data = App.emptyFolder();
        Floor floor;
        try (App app = App.start(data)) {
            floor = laid(app);
            JsonNode usual = app.get(floor.zonePath() + LAYER).body();
            assertEquals(usual.path("version").asInt(), 0);
            assertEquals(usual.at("/form/widths").asString(), "4 in, 8 in, 6 in");
            Answer put = app.put(floor.zonePath() + LAYER, 0, form());
            assertEquals(put.status(), 200, put.text());
            JsonNode first = put.body().path("ends").get(0);
            int rows = put.body()
                    .path("planks")
                    .valueStream()
                    .mapToInt(p -> p.path("row").asInt())
                    .max()
                    .orElseThrow();
            assertEquals(rows + 1, 36);
            double along = first.path("alongM").asDouble();
            var moved = form();
            moved.put(
                    "nudges",
                    List.of(Map.of(
                            "row",
                            first.path("row").asInt(),
                            "run",
                            0,
                            "butt",
                            first.path("index").asInt(),
                            "by",
                            "2 in")));
            Answer nudged = app.put(floor.zonePath() + LAYER, 1, moved);
            assertEquals(nudged.body().at("/ends/0/alongM").asDouble(), along + 0.0508, 1e-9);
            assertTrue(nudged.body().at("/ends/0/nudged").asBoolean());
            // seen before it was nudged
            assertEquals(app.put(floor.zonePath() + LAYER, 1, form()).status(), 412);
            String svg = app.get("/api/plan-files/" + floor.job() + "/zones/" + floor.zone()
                            + "/layers/tack/planks.svg?scale=20")
                    .text();
            // 24.5 ft are 7467.6 mm, a twentieth of that and two margins of 12
            assertTrue(svg.contains("width=\"397.380mm\""), svg.substring(0, 200));
        }
        try (App again = App.start(data)) {
            JsonNode kept = again.get(floor.zonePath() + LAYER).body();
            assertEquals(kept.path("version").asInt(), 2);
            assertEquals(kept.at("/form/nudges/0/by").asString(), "2 in");
            assertTrue(kept.at("/ends/0/nudged").asBoolean());
            var file = (ObjectNode) again.get("/api/job-files/" + floor.job()).body();
            JsonNode taken = again.post("/api/job-files?copy=true", file).body();
            JsonNode copied = again.get("/api/jobs/" + taken.path("jobId").asString())
                    .body()
                    .at("/zones/0/id");
            JsonNode there = again.get(
                            "/api/jobs/" + taken.path("jobId").asString() + "/zones/" + copied.asString() + LAYER)
                    .body();
            assertEquals(there.path("form"), kept.path("form"));
            assertEquals(there.path("ends"), kept.path("ends"));
            ((ObjectNode) file.at("/zones/0/layouts/0")).put("cycle", 2);
            assertEquals(
                    again.post("/api/job-files?copy=true", file).faultyFields(), List.of("zones[0].layouts[0].layer"));
            ((ObjectNode) file.at("/zones/0/layouts/0")).put("cycle", 1);
            ((ObjectNode) file.at("/zones/0/layouts/0/planks")).put("seed", "x");
            assertEquals(
                    again.post("/api/job-files?copy=true", file).faultyFields(),
                    List.of("zones[0].layouts[0].planks.seed"));
        }
    }

    @Test
    public void every_mistake_is_named() {
        try (App app = App.start(App.emptyFolder())) {
            Floor floor = laid(app);
            var wrong = form(
                    "grain",
                    "north",
                    "widths",
                    "4 in, wide",
                    "shortest",
                    "0",
                    "longest",
                    "far",
                    "frame",
                    "9 ft",
                    "seed",
                    "x");
            wrong.put("nudges", List.of(Map.of("row", -1, "run", 0, "butt", 0, "by", "near")));
            Answer answer = app.put(floor.zonePath() + LAYER, 0, wrong);
            assertEquals(answer.status(), 400);
            assertEquals(
                    answer.faultyFields(),
                    List.of("grain", "widths", "shortest", "longest", "frame", "seed", "nudges[0].by", "nudges[0]"));
            assertEquals(
                    app.put(floor.zonePath() + LAYER, 0, form("longest", "18 in"))
                            .faultyFields(),
                    List.of("longest"));
            assertEquals(
                    app.get(floor.zonePath() + LAYER).body().path("version").asInt(), 0);
            assertEquals(
                    app.get(floor.zonePath() + "/stages/layers/nothing/planks").status(), 404);
            assertEquals(
                    app.get("/api/plan-files/" + floor.job() + "/zones/" + floor.zone()
                                    + "/layers/tack/planks.svg?scale=0")
                            .faultyFields(),
                    List.of("scale"));
            UUID key = UUID.randomUUID();
            for (int i = 0; i < 2; i++) {
                Answer twice = app.write(
                        "PUT",
                        floor.zonePath() + LAYER,
                        form(),
                        Map.of("Idempotency-Key", key.toString(), "If-Match", "\"0\""));
                assertEquals(twice.body().path("version").asInt(), 1, twice.text());
            }
        }
    }
}
