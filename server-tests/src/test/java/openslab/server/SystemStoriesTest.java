package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.TreeSet;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Each system from an empty job to service and its next cycle, over the wire; figures worked out by hand beside them. */
public class SystemStoriesTest {
    private App app;

    @BeforeClass
    public void start() {
        app = App.start(App.emptyFolder(), "--clock=2026-05-20T12:00:00Z");
    }

    @AfterClass
    public void stop() {
        app.close();
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

    @Test
    public void every_system_is_listed_with_what_it_is_for() {
        JsonNode systems = app.get("/api/systems").body();
        var ids = new TreeSet<String>();
        systems.forEach(s -> {
            ids.add(s.path("id").asString());
            assertTrue(s.path("never").size() > 0, s.toString());
        });
        assertEquals(ids.size(), systems.size());
    }
}
