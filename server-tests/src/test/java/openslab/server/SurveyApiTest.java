package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What a survey is asked for beside its verdict: where to test, and when the slab will be dry enough. */
public class SurveyApiTest {
    private App app;

    @BeforeClass
    public void start() {
        app = App.start(App.emptyFolder(), "--demo=true", "--clock=2026-05-04T12:00:00Z");
    }

    @AfterClass
    public void stop() {
        app.close();
    }

    private String path(String job) {
        return zone(job) + "/dry-down";
    }

    private String zone(String job) {
        return app.demo(job).zonePath();
    }

    @Test
    public void a_slab_read_for_weeks_is_told_its_day_and_what_would_hasten_it() {
        var answer = app.post(path("Ropewalk extension"), Map.of("means", Map.of("heater", "60", "heatTo", "86 °F")));
        assertEquals(answer.status(), 200, answer.body().toString());
        JsonNode told = answer.body();
        assertEquals(told.path("refusal").asString(), "");
        assertEquals(told.path("places").size(), 3);
        assertEquals(told.path("answers").size(), 5);
        JsonNode asItIs = told.path("answers").path(0);
        Instant likely = at(asItIs, "likely");
        assertTrue(at(asItIs, "early").isBefore(likely) && likely.isBefore(at(asItIs, "late")), asItIs.toString());
        JsonNode heated = told.path("answers").path(1);
        assertTrue(at(heated, "likely").isBefore(likely));
        double days = heated.path("days").path("value").asDouble();
        assertEquals(heated.path("cost").path("value").asDouble(), 60 * days, 0.01);
        assertTrue(heated.path("days").path("steps").size() >= 3, heated.toString());
    }

    private static Instant at(JsonNode answer, String moment) {
        return Instant.parse(answer.path(moment).asString());
    }

    @Test
    public void where_nobody_probed_in_time_it_says_why() {
        JsonNode told = app.post(path("Bakery"), Map.of()).body();
        assertTrue(told.path("refusal").asString().startsWith("No probe"), told.toString());
        assertEquals(told.path("answers").size(), 0);
        JsonNode old = app.post(path("Pottery kiln room"), Map.of()).body();
        assertTrue(old.path("refusal").asString().contains("water comes from somewhere"), old.toString());
    }

    @Test
    public void a_measure_that_cannot_be_is_named() {
        var answer = app.post(path("Ropewalk extension"), Map.of("means", Map.of("heatTo", "90 °C", "dryTo", "damp")));
        assertEquals(answer.status(), 400);
        String said = answer.body().toString();
        assertTrue(said.contains("means.heatTo") && said.contains("means.dryTo") && said.contains("45"), said);
    }

    /** The L-shaped bay of 1149 ft² asks for 4; the one marked counts, is kept away from, and can be moved. */
    @Test
    public void places_are_proposed_marked_and_moved() {
        String zone = zone("Boat-repair workshop");
        JsonNode proposed = app.get(zone + "/places").body();
        assertEquals(proposed.size(), 4);
        assertEquals(proposed.path(0).path("name").asString(), "A");
        mark(zone, "Roller door", "3 m", "2 m");
        mark(zone, "Roller door", "4 m", "2.5 m");
        JsonNode rest = app.get(zone + "/places").body();
        assertEquals(rest.size(), 3);
        for (JsonNode place : rest) {
            double dx = place.path("at").path("x").asDouble() - 4;
            double dy = place.path("at").path("y").asDouble() - 2.5;
            assertTrue(Math.hypot(dx, dy) > 2, place.toString());
        }
        JsonNode marked = app.get(zone.substring(0, zone.indexOf("/zones")))
                .body()
                .path("zones")
                .path(0)
                .path("report")
                .path("places");
        assertEquals(marked.size(), 1);
        assertEquals(marked.path(0).path("at").path("x").asDouble(), 4, 1e-9);
    }

    private void mark(String zone, String name, String along, String off) {
        var answer = app.post(zone + "/log", place(name, name, along, off));
        assertEquals(answer.status(), 201, answer.body().toString());
    }

    private static Map<String, Object> place(String subject, String name, String along, String off) {
        return Map.of(
                "kind", "PLACE",
                "subject", subject,
                "place", name,
                "at", "2026-05-04T11:00:00Z",
                "by", "Wren",
                "note", "",
                "values", Map.of("along", along, "off", off));
    }

    @Test
    public void a_place_that_is_nowhere_is_refused() {
        String zone = zone("Boat-repair workshop");
        for (Map<String, Object> wrong :
                List.of(place("", "", "1 m", "1 m"), place("A", "B", "1 m", "1 m"), place("A", "A", "9 km", ""))) {
            assertEquals(app.post(zone + "/log", wrong).status(), 400, wrong.toString());
        }
    }

    private JsonNode report(String job) {
        return app.get(app.demo(job).path()).body().path("zones").path(0).path("report");
    }

    private static JsonNode named(JsonNode list, String field, String value) {
        for (JsonNode item : list) {
            if (item.path(field).asString().equals(value)) {
                return item;
            }
        }
        throw new AssertionError("no " + value + " in " + list);
    }

    private static Map<String, Object> area(String defect, String name, Object ring) {
        return Map.of(
                "kind",
                "AREA",
                "subject",
                defect,
                "place",
                name,
                "at",
                "2026-05-04T11:00:00Z",
                "by",
                "Wren",
                "note",
                "",
                "values",
                Map.of(),
                "ring",
                ring);
    }

    private static Map<String, Double> corner(double x, double y) {
        return Map.of("x", x, "y", y);
    }

    /** The slab of the rope walk reads 83 to 85 %: too wet for epoxy, no question for a film that breathes, and a barrier copes. */
    @Test
    public void one_slab_is_judged_for_every_build_up() {
        JsonNode candidates =
                app.get(zone("Ropewalk extension") + "/candidates").body();
        assertEquals(named(candidates, "id", "epoxy-flake").path("verdict").asString(), "STOP");
        JsonNode acrylic = named(candidates, "id", "breathable-acrylic");
        assertEquals(acrylic.path("verdict").asString(), "HOLD");
        assertTrue(acrylic.path("missing").toString().contains("plastic sheet"), acrylic.toString());
        assertEquals(acrylic.path("without").asString(), "GO", acrylic.toString());
        JsonNode shielded = named(candidates, "id", "shielded-epoxy");
        assertEquals(shielded.path("without").asString(), "GO", shielded.toString());
        assertEquals(shielded.path("limits").asString(), "20 lb, 99\u00a0% in the slab");
    }

    /** Two metres by one on the rope walk's 79.52 m²: 2.5 %; once proved gone it counts no more. */
    @Test
    public void what_is_drawn_stands_until_its_test_shows_it_gone() {
        String zone = zone("Pottery kiln room");
        var ring = List.of(corner(1, 1), corner(3, 1), corner(3, 2), corner(1, 2));
        assertEquals(app.post(zone + "/log", area("OIL", "Kiln", ring)).status(), 201);
        JsonNode drawn = report("Pottery kiln room");
        assertEquals(drawn.path("survey").path("verdict").asString(), "STOP");
        assertEquals(drawn.path("shares").path(0).path("share").path("value").asDouble(), 100 * 2 / (7.45 * 6.1), 1e-6);
        mark(zone, "K", "2 m", "1.5 m");
        var drop = new java.util.TreeMap<>(App.logForm("READING", "water-drop", "K", Map.of("drop", "soaks")));
        drop.put("at", "2026-05-04T11:30:00Z");
        assertEquals(app.post(zone + "/log", drop).status(), 201);
        JsonNode gone = report("Pottery kiln room");
        assertEquals(gone.path("survey").path("verdict").asString(), "GO");
        assertEquals(gone.path("shares").size(), 0);
        assertEquals(gone.path("areas").path(0).path("gone").path("place").asString(), "K");
    }

    @Test
    public void an_area_that_cannot_be_is_refused() {
        String zone = zone("Seed bank packing room");
        var bow = List.of(corner(0, 0), corner(2, 2), corner(2, 0), corner(0, 2));
        var line = List.of(corner(0, 0), corner(2, 2));
        var away = List.of(corner(0, 0), corner(90_000, 0), corner(0, 1));
        var square = List.of(corner(0, 0), corner(1, 0), corner(1, 1));
        for (Map<String, Object> wrong : List.of(
                area("OIL", "x", bow), area("OIL", "x", line), area("OIL", "x", away), area("OIL", "x", List.of()))) {
            var answer = app.post(zone + "/log", wrong);
            assertEquals(answer.status(), 400, wrong.toString());
            assertEquals(answer.faultyFields(), List.of("ring"));
        }
        assertEquals(app.post(zone + "/log", area("GOLD", "x", square)).faultyFields(), List.of("subject"));
        assertEquals(app.post(zone + "/log", area("OIL", "", square)).faultyFields(), List.of("place"));
    }

    @Test
    public void a_dish_that_stands_says_when_to_come_back() {
        JsonNode standing = report("Old tram shed café").path("testsOut");
        assertEquals(standing.size(), 1);
        assertEquals(standing.path(0).path("place").asString(), "D");
        assertEquals(standing.path(0).path("from").asString(), "2026-05-06T04:00:00Z");
        assertEquals(standing.path(0).path("until").asString(), "2026-05-06T16:00:00Z");
        String zone = zone("Old tram shed café");
        assertEquals(
                app.post(zone + "/log", App.logForm("SET", "ph", "A", Map.of())).faultyFields(), List.of("subject"));
    }

    @Test
    public void readings_are_mapped_and_it_is_said_where_nobody_knows() {
        JsonNode maps = app.get(zone("Old tram shed café") + "/maps").body();
        JsonNode meter = named(maps, "method", "moisture-meter");
        assertEquals(meter.path("points").size(), 6);
        JsonNode grid = meter.path("grid");
        int cells = grid.path("values").size();
        assertEquals(grid.path("supported").size(), cells);
        assertEquals(grid.path("sigmas").size(), cells);
        // in the cell that holds C the map says what was read there
        int column =
                (int) ((7.7 - grid.path("x").asDouble()) / grid.path("stepM").asDouble());
        int row = (int) ((1.4 - grid.path("y").asDouble()) / grid.path("stepM").asDouble());
        int at = row * grid.path("columns").asInt() + column;
        assertEquals(grid.path("values").path(at).asDouble(), 66, 1.5);
        assertTrue(grid.path("supported").path(at).asBoolean());
        // the workshop's heights were read over its whole plan
        JsonNode level = named(app.get(zone("Boat-repair workshop") + "/maps").body(), "method", "levels");
        assertEquals(level.path("unit").asString(), "in");
        assertTrue(level.path("guessed").asDouble() < 100, level.path("guessed").toString());
        JsonNode bay = named(app.get(zone("Ferry line store") + "/maps").body(), "method", "ph");
        assertTrue(bay.path("refusal").asString().contains("Nobody marked where A, B, C is"), bay.toString());
        assertTrue(bay.path("grid").isMissingNode());
    }
}
