package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Each system from an empty job to service and its next cycle, over the wire; figures worked out by hand beside them. */
public class SystemStoriesTest extends OnApp {
    @Override
    String clock() {
        return "2026-05-20T12:00:00Z";
    }

    @DataProvider
    Object[][] stories() {
        return App.text("stories/stories.txt")
                .lines()
                .map(s -> new Object[] {s})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "stories")
    public void a_floor_is_finished_from_survey_to_service(String story) {
        assertTrue(StoryScript.tell(app, story) > 10);
    }

    /** A primer that is wanted after all lies below the coat that was there. */
    @Test
    public void an_optional_layer_goes_where_its_system_has_it() {
        var zone = App.zoneForm("Floor");
        zone.put("substrate", "VINYL_SHEET");
        App.Floor floor = app.floor("Optional layers", zone);
        String layers = floor.zonePath() + "/layers";
        assertEquals(app.put(layers, 2, Map.of("system", "resilient-urethane")).status(), 200);
        var wanted = List.of(Map.of("id", "urethane"), Map.of("id", "primer"));
        App.Answer answer = app.put(layers, 3, Map.of("system", "resilient-urethane", "layers", wanted));
        assertEquals(answer.status(), 200, answer.text());
        JsonNode stage = app.get(floor.zonePath() + "/stages/build-up").body();
        assertEquals(stage.path("layers").path(0).path("id").asString(), "primer");
        assertEquals(stage.path("layers").path(1).path("id").asString(), "urethane");
    }

    @Test
    public void every_system_is_listed_with_what_it_is_for() {
        JsonNode systems = app.get("/api/systems").body();
        var ids = new TreeSet<String>();
        systems.forEach(s -> {
            ids.add(s.at("/form/id").asString());
            assertTrue(s.at("/form/never").size() > 0, s.toString());
            assertEquals(s.path("version").asInt(), 0);
        });
        assertEquals(ids.size(), systems.size());
    }
}
