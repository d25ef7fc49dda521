package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A system of the shop's own: made of another, checked, offered, changed, and kept as it was where it was begun. */
public class OwnSystemsTest {
    private static ObjectNode copied(App app, String from, String id) {
        for (JsonNode s : app.get("/api/systems").body()) {
            if (s.at("/form/id").asString().equals(from)) {
                ObjectNode form = s.path("form").deepCopy().asObject();
                form.put("id", id);
                form.put("title", "Wren's " + form.path("title").asString());
                return form;
            }
        }
        throw new AssertionError(from);
    }

    private static ObjectNode step(ObjectNode form, int layer, int step) {
        return form.path("layers").get(layer).path("steps").get(step).asObject();
    }

    private static List<String> titles(App app, App.Floor floor, String layer) {
        return app.get(floor.zonePath() + "/stages/layers/" + layer)
                .body()
                .at("/report/layers/0/steps")
                .valueStream()
                .map(s -> s.path("title").asString())
                .toList();
    }

    @Test
    public void it_is_offered_laid_changed_and_kept_over_a_restart() {
        Path data = App.emptyFolder();
        App.Floor floor;
        try (App app = App.start(data)) {
            ObjectNode form = copied(app, "acid-stain", "wrens-stain");
            step(form, 0, 2).put("title", "Shake twice");
            App.Answer made = app.put("/api/systems/wrens-stain", 0, form);
            assertEquals(made.status(), 200, made.text());
            assertEquals(made.body().get(made.body().size() - 1).path("version").asInt(), 1);
            floor = app.floor("Own");
            assertEquals(
                    app.put(floor.zonePath() + "/layers", 2, Map.of("system", "wrens-stain"))
                            .status(),
                    200);
            assertTrue(titles(app, floor, "stain").contains("Shake twice"));
            assertTrue(app.get(floor.zonePath() + "/stages/choices").text().contains("Wren's Acid stain"));
            step(form, 0, 2).put("title", "Shake three times");
            assertEquals(app.put("/api/systems/wrens-stain", 1, form).status(), 200);
            // begun with the first version, laid by it to its end
            assertTrue(titles(app, floor, "stain").contains("Shake twice"));
            assertEquals(
                    app.put(floor.zonePath() + "/layers", 3, Map.of("system", "wrens-stain"))
                            .status(),
                    200);
            assertTrue(titles(app, floor, "stain").contains("Shake three times"));
        }
        try (App again = App.start(data)) {
            assertTrue(titles(again, floor, "stain").contains("Shake three times"));
            assertFalse(titles(again, floor, "stain").contains("Shake twice"));
        }
    }

    @Test
    public void a_mistake_is_named_where_it_stands_and_nothing_is_offered() {
        try (App app = App.start(App.emptyFolder())) {
            int listed = app.get("/api/systems").body().size();
            ObjectNode form = copied(app, "acid-stain", "wrens-stain");
            step(form, 0, 3).put("gate", "looks-nice");
            form.path("layers").get(1).asObject().put("sheet", "no-such-sheet");
            App.Answer answer = app.put("/api/systems/wrens-stain", 0, form);
            assertEquals(answer.status(), 400);
            assertEquals(answer.faultyFields(), List.of("layers[0].steps[3].gate"));
            step(form, 0, 3).put("gate", "colour-come");
            assertEquals(app.put("/api/systems/wrens-stain", 0, form).faultyFields(), List.of("layers[1].sheet"));
            ObjectNode shipped = copied(app, "acid-stain", "acid-stain");
            assertEquals(app.put("/api/systems/acid-stain", 0, shipped).faultyFields(), List.of("id"));
            assertEquals(app.put("/api/systems/other", 0, form).faultyFields(), List.of("id"));
            assertEquals(app.get("/api/systems").body().size(), listed);
        }
    }

    @Test
    public void of_two_who_change_it_the_later_is_told() {
        try (App app = App.start(App.emptyFolder())) {
            ObjectNode form = copied(app, "tile-coat", "bathroom");
            assertEquals(app.put("/api/systems/bathroom", 0, form).status(), 200);
            assertEquals(
                    app.put("/api/systems/bathroom", 0, form.put("note", "Two baths"))
                            .status(),
                    412);
            assertEquals(app.put("/api/systems/bathroom", 1, form).status(), 200);
        }
    }
}
