package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Nothing where something of a list should be, and the ends of what may be sent: always a refusal that says why. */
public class NullsAndEndsTest extends OnApp {
    private Floor floor;

    @BeforeClass
    void start() {
        floor = app.floor("Ends");
        app.put(floor.zonePath() + "/layers", 2, Map.of("system", "epoxy-flake"));
    }

    private static List<Object> none() {
        return new ArrayList<>(Arrays.asList((Object) null));
    }

    private static void refused(Answer answer, String field) {
        assertEquals(answer.status(), 400, answer.text());
        assertTrue(answer.text().contains(field), answer.text());
        assertTrue(!answer.text().contains("java."), "a class of ours: " + answer.text());
    }

    @Test
    public void nothing_in_a_list_is_refused_by_its_place() {
        refused(
                app.post(floor.path() + "/orders", Map.of("supplier", "Quayside", "by", "Ana", "lines", none())),
                "lines[0]");
        refused(app.put("/api/prices/epoxy-primer", 0, Map.of("prices", none())), "prices[0]");
        ObjectNode form = own();
        form.putArray("layers").addNull();
        refused(put(form), "layers[0]");
        ObjectNode steps = own();
        steps.path("layers").get(0).asObject().putArray("steps").addNull();
        refused(put(steps), "steps[0]");
    }

    @Test
    public void a_weigh_in_of_nothing_is_told_what_it_lacks() {
        Answer answer = app.post(floor.zonePath() + "/layers/primer/recipe/weigh-in", Map.of());
        assertTrue(answer.status() >= 400 && answer.status() < 500, answer.status() + answer.text());
    }

    @Test
    public void systems_have_ends() {
        ObjectNode form = own();
        ArrayNode layers = form.path("layers").asArray();
        JsonNode first = layers.get(0).deepCopy();
        layers.removeAll().add(first).add(first.deepCopy());
        refused(put(form), "layers[1].id");
        for (int i = 0; i < 200; i++) {
            layers.add(first.deepCopy().asObject().put("id", "coat-" + i));
        }
        refused(put(form), "202 layers");
        ObjectNode optional = own();
        JsonNode only = optional.path("layers").get(0).deepCopy();
        optional.putArray("layers").add(only.asObject().put("when", "somebody wants it"));
        refused(put(optional), "always laid");
    }

    @Test
    public void a_readings_file_of_one_short_line_is_told_its_line() {
        for (String text : List.of("x", "zone", "method,at,by,zone\r\nph")) {
            Answer answer = app.post("/api/readings-files/" + floor.job(), Map.of("text", text));
            assertTrue(answer.status() >= 400 && answer.status() < 500, answer.status() + answer.text());
        }
    }

    @Test
    public void what_is_asked_for_in_another_form_is_refused() {
        for (String path : List.of("/api/jobs", "/api/jobs/" + UUID.randomUUID(), "/api/sheets")) {
            Answer answer = app.send(
                    app.request(path).header("Accept", "application/yaml").GET().build());
            assertTrue(answer.status() < 500, path + ": " + answer.status() + answer.text());
        }
        assertTrue(app.post("/api/logger-files?timeZone=%ED%A0%80", Map.of()).status() < 500);
    }

    private ObjectNode own() {
        for (JsonNode system : app.get("/api/systems").body()) {
            if (system.at("/form/id").asString().equals("acid-stain")) {
                return system.path("form").deepCopy().asObject().put("id", "own");
            }
        }
        throw new AssertionError("acid-stain");
    }

    private Answer put(ObjectNode form) {
        return app.put("/api/systems/own", 0, form);
    }

    /** Longer than a server takes in by itself once it has answered: whoever sends it would find the line dead, and no answer. */
    @Test
    public void a_mistake_at_the_beginning_of_a_long_body_is_heard() {
        String tail = " ".repeat(40 << 20);
        for (String begun : List.of("{\"format\":[]", "[[", "?")) {
            Answer answer = app.write(
                    "POST",
                    "/api/job-files",
                    begun + tail,
                    Map.of("Idempotency-Key", UUID.randomUUID().toString()));
            assertEquals(answer.status(), 400, answer.text());
        }
        Answer unasked = app.write("POST", "/api/job-files?copy=maybe", "{" + tail, Map.of());
        assertEquals(unasked.status(), 400, unasked.text());
    }
}
