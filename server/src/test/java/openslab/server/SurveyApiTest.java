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
        for (JsonNode item : app.get("/api/jobs").body()) {
            if (item.path("name").asString().equals(job)) {
                String id = item.path("id").asString();
                String zone = app.get("/api/jobs/" + id)
                        .body()
                        .path("zones")
                        .path(0)
                        .path("id")
                        .asString();
                return "/api/jobs/" + id + "/zones/" + zone;
            }
        }
        throw new AssertionError("no job " + job);
    }

    @Test
    public void a_slab_read_for_weeks_is_told_its_day_and_what_would_hasten_it() {
        var answer =
                app.post(path("Ropewalk extension"), Map.of("measures", Map.of("heater", "60", "heatTo", "86 °F")));
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
        var answer =
                app.post(path("Ropewalk extension"), Map.of("measures", Map.of("heatTo", "90 °C", "dryTo", "damp")));
        assertEquals(answer.status(), 400);
        String said = answer.body().toString();
        assertTrue(said.contains("measures.heatTo") && said.contains("measures.dryTo") && said.contains("45"), said);
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
}
