package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.xml.parsers.DocumentBuilderFactory;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.Test;
import org.w3c.dom.Document;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The plan in the formats that other tools draw. */
public class PlanFilesTest extends OnApp {
    /** 24' 6" × 18' with a drain of 8 in and a joint, its name full of what XML reads otherwise. */
    private Floor floor() {
        Floor floor = app.floor("Files");
        app.post(floor.path() + "/zones/" + floor.zone() + "/walk", UUID.randomUUID(), 0, Map.of());
        var form =
                (ObjectNode) app.get(floor.path() + "/plan").body().path("form").deepCopy();
        var room = (ObjectNode) form.path("rooms").path(0);
        room.put("name", "Bay \"A\" & 'B'");
        room.putPOJO(
                "openings",
                List.of(Map.of(
                        "id",
                        "o",
                        "name",
                        "Drain",
                        "kind",
                        "DRAIN",
                        "at",
                        Map.of("along", "10'", "off", "9'"),
                        "length",
                        "8\"",
                        "width",
                        "")));
        room.putPOJO(
                "cracks",
                List.of(Map.of(
                        "id",
                        "k",
                        "line",
                        List.of(Map.of("along", "1'", "off", "1'"), Map.of("along", "4'", "off", "5'")),
                        "width",
                        "1/16\"",
                        "depth",
                        "1\"",
                        "moving",
                        false)));
        Answer put = app.put(floor.path() + "/plan", 1, App.JSON.writeValueAsString(form));
        assertEquals(put.status(), 200, put.text());
        return floor;
    }

    private static double area(JsonNode ring) {
        double twice = 0;
        for (int i = 0; i + 1 < ring.size(); i++) {
            twice += ring.path(i).path(0).asDouble() * ring.path(i + 1).path(1).asDouble()
                    - ring.path(i + 1).path(0).asDouble() * ring.path(i).path(1).asDouble();
        }
        return twice / 2;
    }

    @Test
    public void geojson_encloses_the_floor_with_its_holes_the_other_way_round() {
        Answer answer = app.get("/api/plan-files/" + floor().job() + ".geojson");
        assertEquals(answer.status(), 200, answer.text());
        assertTrue(answer.raw().headers().firstValue("Content-Type").orElse("").startsWith("application/geo+json"));
        JsonNode features = App.JSON.readTree(answer.text()).path("features");
        assertEquals(features.size(), 4);
        JsonNode part = features.path(1).path("geometry").path("coordinates");
        double square = 24.5 * 18 * 0.3048 * 0.3048;
        double drain = Math.PI * 0.1016 * 0.1016;
        // right-hand rule of RFC 7946: outer rings count positive, holes negative
        assertEquals(area(part.path(0)), square, 1e-9);
        assertEquals(area(part.path(1)), -drain, 1e-9);
        assertEquals(part.path(0).path(0), part.path(0).path(part.path(0).size() - 1));
        assertEquals(features.path(3).path("properties").path("kind").asString(), "CRACK");
    }

    /** 24.5 ft is 7.4676 m: 149.352 mm of paper at 1:50, and 12 mm of margin either side. */
    @Test
    public void svg_is_to_scale_and_well_formed() throws Exception {
        Floor floor = floor();
        String path = "/api/plan-files/" + floor.job() + "/rooms/" + floor.zone() + ".svg";
        Answer answer = app.get(path + "?scale=50");
        assertEquals(answer.status(), 200, answer.text());
        Document document = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(answer.text().getBytes(StandardCharsets.UTF_8)));
        assertEquals(document.getDocumentElement().getAttribute("width"), "173.352mm");
        assertEquals(document.getElementsByTagName("title").item(0).getTextContent(), "Bay \"A\" & 'B', 1:50");
        assertEquals(document.getElementsByTagName("script").getLength(), 0);
        assertTrue(answer.text().contains("24&#39; 6&#34;"), answer.text());
        assertEquals(app.get(path + "?scale=0").faultyFields(), List.of("scale"));
        assertEquals(app.get(path + "?scale=half").status(), 400);
        assertEquals(app.get(path.replace(floor.zone(), "nowhere")).faultyFields(), List.of("roomId"));
    }

    private static final String POST =
            "0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n8\nwalls\n70\n1\n10\n0\n20\n0\n10\n4\n20\n0\n"
                    + "10\n4\n20\n3\n10\n0\n20\n3\n0\nENDSEC\n0\nEOF\n";

    private JsonNode plan(Floor floor) {
        return app.get(floor.path() + "/plan").body();
    }

    private Answer trace(Floor floor, UUID key, int seen, String text, String unit) {
        var form = Map.of("text", text, "unit", unit, "roles", Map.of("walls", "ROOM"));
        return app.post("/api/plan-files/" + floor.job() + "/rooms", key, seen, form);
    }

    @Test
    public void a_drawing_is_one_revision_that_can_be_undone() {
        Floor floor = floor();
        JsonNode offer = app.post("/api/plan-files/offer", Map.of("text", POST)).body();
        assertEquals(offer.path("unit").asString("?"), "");
        assertEquals(offer.path("layers").path(0).path("role").asString(), "ROOM");
        UUID key = UUID.randomUUID();
        Answer traced = trace(floor, key, 2, POST, "m");
        assertEquals(traced.status(), 200, traced.text());
        JsonNode room = traced.body().path("plan").path("report").path("rooms").path(1);
        assertEquals(room.path("quantities").path("gross").path("value").asDouble(), 12 / 0.09290304, 1e-6);
        // sent again, it is put there once
        assertEquals(trace(floor, key, 2, POST, "m").status(), 200);
        assertEquals(plan(floor).path("form").path("rooms").size(), 2);
        assertEquals(trace(floor, UUID.randomUUID(), 2, POST, "m").status(), 412);
        assertEquals(
                app.post(floor.path() + "/plan/undo", UUID.randomUUID(), 3, Map.of())
                        .status(),
                200);
        assertEquals(plan(floor).path("form").path("rooms").size(), 1);
    }

    @Test
    public void a_drawing_that_is_refused_changes_nothing() {
        Floor floor = floor();
        String before = plan(floor).toString();
        assertEquals(trace(floor, UUID.randomUUID(), 2, POST, "").faultyFields(), List.of("unit"));
        assertEquals(
                trace(floor, UUID.randomUUID(), 2, POST.substring(0, 90), "m").status(), 400);
        // 4 by 3 miles is no room
        assertEquals(
                trace(floor, UUID.randomUUID(), 2, POST.replace("4\n", "4e6\n"), "mm")
                        .status(),
                400);
        assertEquals(plan(floor).toString(), before);
    }

    @Test
    public void dxf_and_levels_go_out() {
        Floor floor = floor();
        Answer dxf = app.get("/api/plan-files/" + floor.job() + ".dxf");
        assertEquals(dxf.status(), 200, dxf.text());
        assertTrue(dxf.text().endsWith("EOF\r\n") && dxf.text().contains("DRAIN"), dxf.text());
        String levels = "/api/plan-files/" + floor.job() + "/rooms/" + floor.zone() + "/levels.csv";
        assertEquals(app.get(levels).faultyFields(), List.of("roomId"));
        Answer read = app.post("/api/plan-files/levels", Map.of("text", "0,1/8\n1/4,0\n", "units", "US"));
        assertEquals(read.status(), 200, read.text());
        var form = (ObjectNode) plan(floor).path("form").deepCopy();
        ((ObjectNode) form.path("rooms").path(0)).set("levels", read.body());
        assertEquals(app.put(floor.path() + "/plan", 2, form).status(), 200);
        assertTrue(
                app.get(levels).text().contains("\r\n0.3048,0,3.175\r\n"),
                app.get(levels).text());
    }
}
