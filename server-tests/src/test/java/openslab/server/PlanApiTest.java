package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The plan over the wire: walked, edited, undone, parted into zones, refused. */
public class PlanApiTest extends OnApp {
    private Answer post(String path, int seen, Object body) {
        return app.post(path, UUID.randomUUID(), seen, body);
    }

    private JsonNode plan(Floor floor) {
        return app.get(floor.path() + "/plan").body();
    }

    private static ObjectNode form(JsonNode plan) {
        return (ObjectNode) plan.path("form").deepCopy();
    }

    private static ObjectNode run(ObjectNode form, int i) {
        return (ObjectNode) form.path("rooms").path(0).path("runs").path(i);
    }

    private JsonNode report(Floor floor) {
        return app.get(floor.path()).body().path("zones").path(0).path("report");
    }

    @Test
    public void a_typed_zone_is_put_on_the_plan_as_it_was() {
        Floor floor = app.walked("Put on the plan");
        JsonNode plan = plan(floor);
        assertEquals(plan.path("version").asInt(), 1);
        var lengths = new ArrayList<String>();
        plan.path("form")
                .path("rooms")
                .path(0)
                .path("runs")
                .forEach(r -> lengths.add(
                        r.path("turn").asString() + " " + r.path("length").asString()));
        assertEquals(lengths, List.of("S 24' 6\"", "L 18' 0\"", "L 24' 6\"", "L 18' 0\""));
        // 24.5 · 18 = 441 by hand
        assertEquals(report(floor).path("area").path("text").asString(), "441\u00a0ft²");
        assertEquals(
                post(floor.path() + "/zones/" + floor.zone() + "/walk", 1, Map.of())
                        .status(),
                422);
    }

    @Test
    public void everything_downstream_follows_a_wall() {
        Floor floor = app.walked("Follows");
        var form = form(plan(floor));
        run(form, 0).put("length", "30'");
        run(form, 2).put("length", "30");
        assertEquals(app.put(floor.path() + "/plan", 1, form).status(), 200);
        assertEquals(report(floor).path("area").path("text").asString(), "540\u00a0ft²");
        // body coat at 160 ft²/gal and 10 % on top: 540/160·1.1 = 3.71 gal
        assertEquals(
                report(floor).path("layers").path(1).path("amount").path("text").asString(), "3.71\u00a0gal");
        // and a bare number was written with its unit
        assertEquals(run(form(plan(floor)), 2).path("length").asString(), "30 ft");
    }

    @Test
    public void undo_goes_back_to_the_beginning_and_redo_comes_back() {
        Floor floor = app.walked("Undone");
        for (int i = 1; i <= 3; i++) {
            var form = form(plan(floor));
            run(form, 0).put("length", 24 + i + "'");
            run(form, 2).put("length", 24 + i + "'");
            assertEquals(app.put(floor.path() + "/plan", i, form).status(), 200);
        }
        var seen = new ArrayList<String>();
        int version = 4;
        for (String way : List.of("undo", "undo", "redo", "undo", "undo")) {
            Answer answer = post(floor.path() + "/plan/" + way, version++, Map.of());
            assertEquals(answer.status(), 200, answer.text());
            seen.add(run(form(answer.body()), 0).path("length").asString());
        }
        assertEquals(seen, List.of("26'", "25'", "26'", "25'", "24' 6\""));
        // one step on, the zone would lose its floor
        Answer refused = post(floor.path() + "/plan/undo", version, Map.of());
        assertEquals(refused.status(), 422);
        assertTrue(refused.text().contains("would have no floor left"), refused.text());
        // what is drawn from here leaves the undone behind, but not lost
        var form = form(plan(floor));
        run(form, 1).put("length", "20'");
        run(form, 3).put("length", "20'");
        app.put(floor.path() + "/plan", version, form);
        assertFalse(plan(floor).path("canRedo").asBoolean());
    }

    @Test
    public void a_stale_plan_is_told_what_changed_in_the_words_of_the_plan() {
        Floor floor = app.walked("Two screens");
        var mine = form(plan(floor));
        var yours = form(plan(floor));
        run(yours, 0).put("length", "25'");
        run(yours, 2).put("length", "25'");
        assertEquals(app.put(floor.path() + "/plan", 1, yours).status(), 200);
        run(mine, 1).put("length", "19'");
        Answer stale = app.put(floor.path() + "/plan", 1, mine);
        assertEquals(stale.status(), 412);
        var told = new ArrayList<String>();
        stale.body()
                .path("changes")
                .forEach(c -> told.add(c.path("field").asString() + ": "
                        + c.path("was").asString() + " > " + c.path("is").asString()));
        assertEquals(
                told,
                List.of("North bay, wall A–B, length: 24' 6\" > 25'", "North bay, wall C–D, length: 24' 6\" > 25'"));
    }

    @Test
    public void a_corner_is_put_elsewhere() {
        Floor floor = app.walked("Dragged");
        String corner = floor.path() + "/plan/rooms/" + floor.zone() + "/corners/";
        Answer answer = app.put(corner + 2, 1, Map.of("to", Map.of("along", "26.5", "off", "18'")));
        assertEquals(answer.status(), 200, answer.text());
        // a trapezium: (24.5 + 26.5)/2 · 18 = 459
        assertEquals(report(floor).path("area").path("text").asString(), "459\u00a0ft²");
        var form = form(answer.body());
        assertEquals(run(form, 0).path("length").asString(), "24' 6\"");
        assertEquals(run(form, 2).path("length").asString(), "26' 6\"");
        assertTrue(run(form, 2).path("turn").asString().startsWith("L 96.34"), form.toString());
        assertEquals(
                app.put(corner + 7, 2, Map.of("to", Map.of("along", "1", "off", "1")))
                        .faultyFields(),
                List.of("corner"));
    }

    @Test
    public void a_part_of_the_plan_becomes_a_zone_and_both_add_up() {
        Floor floor = app.walked("Parted");
        var form = form(plan(floor));
        ((ObjectNode) form.path("rooms").path(0))
                .putArray("cuts")
                .addPOJO(Map.of(
                        "id",
                        "c1",
                        "from",
                        Map.of("along", "10'", "off", "1'"),
                        "to",
                        Map.of("along", "10'", "off", "2'")));
        assertEquals(
                app.put(floor.path() + "/plan", 1, App.JSON.writeValueAsString(form))
                        .status(),
                200);
        assertEquals(report(floor).path("area").path("text").asString(), "180\u00a0ft²");
        var zone = new TreeMap<>(App.zoneForm("South end"));
        zone.put("shape", "plan");
        zone.put("sides", Map.of());
        var body = Map.of("roomId", floor.zone(), "in", Map.of("along", "20'", "off", "9'"), "zone", zone);
        Answer made = post(floor.path() + "/plan/zones", 2, body);
        assertEquals(made.status(), 201, made.text());
        JsonNode zones = app.get(floor.path()).body().path("zones");
        assertEquals(zones.size(), 2);
        assertEquals(zones.path(1).path("report").path("area").path("text").asString(), "261\u00a0ft²");
        // a zone's floor cannot be cut away from under it
        var without = form(plan(floor));
        ((ObjectNode) without.path("rooms").path(0)).putArray("cuts");
        ((ObjectNode) without.path("rooms").path(0)).putArray("marks");
        assertEquals(app.put(floor.path() + "/plan", 3, without).status(), 422);
    }

    @Test
    public void walls_that_do_not_close_hold_the_zone() {
        Floor floor = app.walked("Open");
        var form = form(plan(floor));
        run(form, 0).put("length", "26'");
        assertEquals(app.put(floor.path() + "/plan", 1, form).status(), 200);
        JsonNode survey = report(floor).path("survey");
        assertEquals(survey.path("findings").path(0).path("rule").asString(), "closure");
        assertTrue(
                survey.path("findings").path(0).path("remedy").asString().contains("wall A–B (24.50"),
                survey.toString());
    }

    @Test
    public void a_job_file_brings_the_plan_along() {
        Floor floor = app.walked("In a file");
        String file = app.get("/api/job-files/" + floor.job()).text();
        String copy =
                app.post("/api/job-files?copy=true", file).body().path("jobId").asString();
        JsonNode there = app.get("/api/jobs/" + copy).body();
        assertEquals(
                there.path("zones")
                        .path(0)
                        .path("report")
                        .path("area")
                        .path("text")
                        .asString(),
                "441\u00a0ft²");
        String again = app.get("/api/job-files/" + copy).text();
        String zone = there.path("zones").path(0).path("id").asString();
        assertEquals(
                App.JSON
                        .readTree(again.replace(zone, floor.zone()))
                        .path("plan")
                        .path("rooms")
                        .path(0)
                        .path("marks"),
                App.JSON.readTree(file).path("plan").path("rooms").path(0).path("marks"));
        // a zone on a plan that is not in the file has no floor
        var without = (ObjectNode) App.JSON.readTree(file);
        without.remove("plan");
        assertEquals(app.post("/api/job-files?copy=true", without).status(), 422);
    }

    @Test
    public void a_plan_is_reckoned_while_it_is_typed_and_nothing_is_stored() {
        var form = Map.of(
                "form",
                Map.of(
                        "rooms",
                        List.of(Map.of(
                                "id",
                                "r",
                                "name",
                                "Room",
                                "runs",
                                List.of(
                                        Map.of("id", "a", "length", "3 m", "turn", "S"),
                                        Map.of("id", "b", "length", "4 m", "turn", "L"))))),
                "units",
                "METRIC");
        Answer echo = app.post("/api/echo/plan", form);
        assertEquals(echo.status(), 200, echo.text());
        JsonNode closed = echo.body().path("rooms").path(0).path("closed");
        assertEquals(closed.path("walked").size(), 3);
        assertEquals(closed.path("closure").path("lengthM").asDouble(), 5.0, 1e-12);
    }

    @DataProvider
    Object[][] faults() {
        return App.rows("bad-plan.tsv");
    }

    @Test(dataProvider = "faults")
    public void a_bad_plan_names_the_field_and_changes_nothing(String at, String value, String field) {
        Floor floor = app.walked("Bad plan");
        String before = app.get(floor.path() + "/plan").text();
        var form = form(plan(floor));
        App.replace(form, "/rooms/0" + at, value);
        Answer answer = app.put(floor.path() + "/plan", 1, form);
        assertEquals(answer.status(), 400, answer.text());
        assertTrue(answer.faultyFields().contains(field), answer.text());
        assertEquals(app.get(floor.path() + "/plan").text(), before);
    }

    /** A hollow of 1/2 in in the middle of nine readings: 1/2 in · 3 ft · 3 ft = 0.375 ft³ = 2.81 gal, by hand. */
    @Test
    public void levels_come_with_the_plan_and_may_have_gaps() {
        Floor floor = app.walked("Levels");
        var form = form(plan(floor));
        ((ObjectNode) form.path("rooms").path(0))
                .putPOJO(
                        "levels",
                        Map.of(
                                "at",
                                Map.of("along", "0", "off", "0"),
                                "step",
                                "3",
                                "columns",
                                4,
                                "heights",
                                List.of("1", "1", "1", "", "1", "1/2", "1", "", "1", "1", "1", "")));
        Answer answer = app.put(floor.path() + "/plan", 1, App.JSON.writeValueAsString(form));
        assertEquals(answer.status(), 200, answer.text());
        JsonNode levels = answer.body().path("report").path("rooms").path(0).path("levels");
        assertEquals(levels.path("spots").size(), 1);
        assertEquals(levels.path("ponding").path("text").asString(), "2.81\u00a0gal");
        assertEquals(app.get("/api/jobs").status(), 200);
        JsonNode kept =
                answer.body().path("form").path("rooms").path(0).path("levels").path("heights");
        assertEquals(List.of(kept.path(3).asString(), kept.path(5).asString()), List.of("", "1/2 in"));
    }

    /** 24.5 by 18 ft, 4 in thick: 10 ft at most, so three panels by two: cuts of 2 · 18 + 24.5 ft. */
    @Test
    public void saw_cuts_are_proposed_for_a_new_slab() {
        Floor floor = app.walked("New slab");
        String path = floor.path() + "/plan/rooms/" + floor.zone() + "/saw-cuts?thickness=";
        JsonNode cuts = app.get(path + "4").body();
        assertEquals(cuts.path("lines").size(), 3);
        assertEquals(cuts.path("atMost").path("text").asString(), "10.00\u00a0ft");
        assertEquals(cuts.path("depth").path("text").asString(), "1.00\u00a0in");
        assertEquals(app.get(path + "thick").faultyFields(), List.of("thickness"));
        assertEquals(app.get(path + "0").faultyFields(), List.of("thickness"));
    }
}
