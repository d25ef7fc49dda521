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
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.w3c.dom.Document;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The plan in the formats that other tools draw. */
public class PlanFilesTest {
    private App app;

    @BeforeClass
    void start() {
        app = App.start(App.emptyFolder(), "--clock=2026-05-04T12:00:00Z");
    }

    @AfterClass
    void stop() {
        app.close();
    }

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
}
