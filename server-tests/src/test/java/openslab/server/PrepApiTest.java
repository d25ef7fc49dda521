package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Preparation over the wire: what may be logged when, what it takes, and the sheet on paper. */
public class PrepApiTest {
    private App app;

    @BeforeClass
    public void start() {
        app = App.start(App.emptyFolder(), "--demo=true", "--clock=2026-05-04T12:00:00Z");
    }

    @AfterClass
    public void stop() {
        app.close();
    }

    private Answer log(Floor floor, String kind, String subject, String at, Map<String, String> values) {
        var form = App.logForm(kind, subject, "", values);
        form.put("at", at);
        return app.post(floor.log(), form);
    }

    private static void assertTaken(Answer answer) {
        assertEquals(answer.status(), 201, answer.text());
    }

    private static void assertRefused(Answer answer, String field, String words) {
        assertEquals(answer.status(), 400, answer.text());
        assertEquals(answer.faultyFields().get(0), field, answer.text());
        assertTrue(answer.text().contains(words), answer.text());
    }

    private JsonNode sheet(Floor floor) {
        return app.get(floor.zonePath() + "/stages/prep").body().path("sheet");
    }

    private static JsonNode step(JsonNode sheet, String id) {
        for (JsonNode step : sheet.path("steps")) {
            if (step.path("id").asString().equals(id)) {
                return step;
            }
        }
        throw new AssertionError(id + " in " + sheet.path("steps"));
    }

    private JsonNode prep(Floor floor) {
        return app.get(floor.path()).body().path("zones").path(0).path("report").path("prep");
    }

    private Floor walked(String name) {
        Floor floor = app.floor(name);
        assertTaken(log(
                floor,
                "READING",
                "walk-over",
                "2026-05-01T09:00:00Z",
                Map.of("sealer", "no", "oil", "no", "coating", "no", "dusting", "no", "hollow", "no")));
        var drop = App.logForm("READING", "water-drop", "A", Map.of("drop", "soaks"));
        drop.put("at", "2026-05-01T09:00:00Z");
        assertTaken(app.post(floor.log(), drop));
        return floor;
    }

    /** 85 ft of edge at 8 m an hour are 85 · 0.3048 / 8 = 3.2385 h. */
    @Test
    public void a_sheet_tells_what_every_step_takes() {
        Floor floor = walked("Sheet");
        JsonNode edges = step(sheet(floor), "hand-grind").path("effort");
        assertEquals(edges.path("time").path("value").asDouble(), 3.2385, 1e-6);
        JsonNode grind = step(sheet(floor), "grind").path("effort");
        int at = 0;
        while (!sheet(floor).path("steps").get(at).path("id").asString().equals("grind")) {
            at++;
        }
        JsonNode pace = app.get(floor.zonePath() + "/stages/prep/working?at=/sheet/steps/" + at + "/effort/pace")
                .body();
        String source = pace.path("source").path("sentence").asString();
        assertTrue(source.contains("this crew's own pace on 6 floors"), source);
        assertTrue(grind.path("silica").path("control").asString().contains("HEPA"));
        assertEquals(
                step(sheet(floor), "hand-grind")
                        .path("effort")
                        .path("airflow")
                        .path("text")
                        .asString(),
                "175.0\u00a0cfm");
        assertEquals(sheet(floor).path("hours").path("label").asString(), "hours of one person");
    }

    @Test
    public void a_gate_out_of_turn_is_asked_about_and_nothing_is_lost() {
        Floor floor = walked("Turn");
        assertRefused(log(floor, "GATE", "rub", "2026-05-04T09:00:00Z", Map.of("rub", "clean")), "subject", "Profile");
        assertRefused(log(floor, "BEGUN", "vacuum.last", "2026-05-04T09:00:00Z", Map.of()), "subject", "Profile");
        assertTaken(log(floor, "GATE", "profile", "2026-05-04T09:00:00Z", Map.of("csp", "2")));
        assertEquals(prep(floor).path("mark").asString(), "HOLD");
        assertEquals(prep(floor).path("steps").path(2).path("progress").asString(), "FAILED");
        assertEquals(prep(floor).path("steps").path(3).path("round").asInt(), 2);
        assertRefused(log(floor, "COAT", "primer", "2026-05-04T09:00:00Z", Map.of()), "note", "Profile");
        assertTaken(app.post(floor.log(), App.allTheSame("COAT", "primer", Map.of())));
    }

    /** A tick sent by one screen is on the other's sheet; struck, it is gone again. */
    @Test
    public void ticks_are_told_and_taken_back() {
        Floor floor = walked("Ticks");
        assertTaken(log(floor, "TICK", "goggles", "2026-05-04T11:00:00Z", Map.of()));
        JsonNode ticked = null;
        for (JsonNode thing : sheet(floor).path("staging")) {
            if (thing.path("id").asString().equals("goggles")) {
                ticked = thing.path("ticked");
            }
        }
        assertEquals(ticked.path("by").asString(), "Wren");
        assertTaken(log(floor, "STRIKE", ticked.path("key").asString(), "2026-05-04T11:00:00Z", Map.of()));
        for (JsonNode thing : sheet(floor).path("staging")) {
            assertFalse(thing.has("ticked") && !thing.path("ticked").isNull(), thing.toString());
        }
    }

    /** 20 m² in 2 h, on three floors: 10 m²/h of one person; a struck one and one without hours do not count. */
    @Test
    public void a_pace_is_set_and_then_learned() {
        assertEquals(pace("degrease").path("pace").path("text").asString(), "30.0\u00a0m²/h");
        assertEquals(
                app.put("/api/paces/degrease", 1, Map.of("pace", "25", "units", "METRIC"))
                        .status(),
                200);
        assertEquals(pace("degrease").path("pace").path("text").asString(), "25.0\u00a0m²/h");
        assertEquals(pace("degrease").path("typed").asString(), "25 m²/h");
        for (int i = 0; i < 3; i++) {
            Floor floor = app.floor("Learned " + i);
            assertTaken(log(floor, "DONE", "degrease", "2026-05-04T09:00:00Z", done("20 m²")));
            assertTaken(log(floor, "DONE", "degrease", "2026-05-04T09:30:00Z", Map.of("hands", "1")));
            String key = UUID.randomUUID().toString();
            assertTaken(app.post(
                    floor.log(), UUID.fromString(key), 0, App.logForm("DONE", "degrease", "", done("900 m²"))));
            assertTaken(log(floor, "STRIKE", key, "2026-05-04T09:40:00Z", Map.of()));
        }
        // the demo's bakery was degreased by two in an hour and a half as well
        double bakery = 380 * 0.09290304;
        double learned = (60 + bakery) / (6 + 3);
        assertEquals(pace("degrease").path("pace").path("value").asDouble(), learned, 1e-6);
        assertTrue(pace("degrease")
                .path("pace")
                .path("source")
                .path("sentence")
                .asString()
                .contains("4 floors"));
        assertEquals(
                app.put("/api/paces/degrease", 1, Map.of("pace", "", "units", "METRIC"))
                        .status(),
                200);
        assertEquals(pace("degrease").path("typed").asString(), "");
        assertEquals(
                app.put("/api/paces/juggle", 1, Map.of("pace", "", "units", "METRIC"))
                        .faultyFields(),
                List.of("work"));
    }

    private static Map<String, String> done(String amount) {
        return Map.of("amount", amount, "hours", "2 h", "hands", "1");
    }

    private JsonNode pace(String work) {
        for (JsonNode pace : app.get("/api/paces?units=METRIC").body().path("works")) {
            if (pace.path("id").asString().equals(work)) {
                return pace;
            }
        }
        throw new AssertionError(work);
    }

    /** OSHA 29 CFR 1926.1153, from memory: 4 h at 90 and 4 h at 20 µg/m³ are 55 over eight hours, above the limit of 50. */
    @Test
    public void a_measured_shift_is_averaged() {
        var spells = List.of(Map.of("air", "90", "hours", "4"), Map.of("air", "20", "hours", "4 h"));
        JsonNode shift = app.post("/api/silica-shifts", Map.of("spells", spells, "units", "US"))
                .body();
        assertEquals(shift.path("average").path("value").asDouble(), 55.0, 1e-9);
        assertEquals(shift.path("level").asString(), "OVER");
    }

    /** STANDARDS 9: 1:4 makes 5 gal of 1; the water of it stands at 4 of the pail's 5 lines. */
    @Test
    public void a_pail_with_lines_is_filled_to_one() {
        var form = new java.util.TreeMap<String, Object>(Map.of(
                "chemical",
                "MURIATIC",
                "ratio",
                "1:4",
                "vessel",
                "5 gal",
                "area",
                "375",
                "spread",
                "75",
                "last",
                "",
                "units",
                "US"));
        form.put("marks", "5");
        JsonNode mix = app.post("/api/washes", form).body();
        assertEquals(mix.path("mark").path("value").asDouble(), 4.0, 1e-9);
        assertEquals(mix.path("mix").path("concentrate").path("value").asDouble(), 128.0, 1e-9);
        // by the can in hand: a gallon is four of a quart
        assertTrue(app.post("/api/washes", form).body().path("scoops").isMissingNode());
        form.put("scoop", "32 fl oz");
        mix = app.post("/api/washes", form).body();
        assertEquals(mix.path("scoops").path("value").asDouble(), 4.0, 1e-9);
        assertEquals(mix.path("measured").asString(), "1\u00a0gal");
        form.put("scoop", "a shovel");
        JsonNode fault = app.post("/api/washes", form).body().path("faults").path(0);
        assertEquals(fault.path("field").asString(), "scoop");
        form.remove("scoop");
        form.remove("marks");
        assertTrue(app.post("/api/washes", form).body().path("mark").isMissingNode());
    }

    private String paper(String path) {
        try (var pdf = Loader.loadPDF(app.fetch(path).body())) {
            return new PDFTextStripper().getText(pdf).replaceAll("[\\s\u00a0]+", " ");
        } catch (IOException e) {
            throw new AssertionError(path, e);
        }
    }

    /** The sheet says what the screen says: steps, mixes, cautions and gates, with room to write where nobody has yet. */
    @Test
    public void the_sheet_on_paper_is_the_sheet_on_the_screen() {
        Floor bakery = app.demo("Bakery");
        String text = paper("/api/prep-sheets/" + bakery.job() + "/" + bakery.zone() + ".pdf");
        assertTrue(text.contains("Preparation sheet") && text.contains("Bench room"), text);
        for (JsonNode step : prep(bakery).path("steps")) {
            assertTrue(
                    text.contains(step.path("title").asString()),
                    step.path("title").asString());
            assertTrue(
                    text.contains(step.path("caution").asString()),
                    step.path("caution").asString());
        }
        assertTrue(text.contains("Degrease and scrub (again)"), text);
        assertTrue(text.contains("1 part into 20 of water (4.76 % of the mix)"), text);
        assertTrue(text.contains("Slippery or gritty, Tamsin"), text);
        assertTrue(text.contains("(ticked)"), text);
        Floor workshop = app.demo("Boat-repair workshop");
        String repaired = paper("/api/prep-sheets/" + workshop.job() + "/" + workshop.zone() + ".pdf");
        assertTrue(repaired.contains("Repair: Chase and fill cracks"), repaired);
        Floor unknown = app.demo("Ropewalk extension");
        String none = paper("/api/prep-sheets/" + unknown.job() + "/" + unknown.zone() + ".pdf");
        assertTrue(none.contains("Clean and test again"), none);
    }

    /** Whoever owns the floor is told what lies on it, from when it may be used, and what harms it. */
    @Test
    public void a_finished_floor_is_handed_over_on_paper() {
        Floor cafe = app.demo("Old tram shed café");
        JsonNode platform =
                app.get("/api/jobs/" + cafe.job()).body().path("zones").path(1);
        String text =
                paper("/api/handovers/" + cafe.job() + "/" + platform.path("id").asString() + ".pdf");
        for (String said : List.of(
                "Handover",
                "Platform, 30.0 m²",
                "Acid stain",
                "Sealer, coat 2",
                "When it may be used",
                "Due to be resealed on",
                "How it is looked after",
                "No ammonia, no solvent.",
                "licensed people decide")) {
            assertTrue(text.contains(said), said + " is not in: " + text);
        }
        String bare = paper("/api/handovers/" + cafe.job() + "/" + cafe.zone() + ".pdf");
        assertTrue(bare.contains("Nothing is on this floor yet"), bare);
    }

    private void editZone(Floor floor, String field, Object value) {
        var form = App.zoneForm("North bay");
        form.put(field, value);
        assertEquals(app.put(floor.zonePath(), 2, form).status(), 200);
    }

    /** A hole of 1 in filled in lifts of 1/4 in takes four; 2 m² were drawn. */
    @Test
    public void the_patch_in_hand_decides_how_many_lifts() {
        Floor floor = walked("Lifts");
        editZone(
                floor,
                "settings",
                Map.of(
                        "pace",
                        "11",
                        "share",
                        "80",
                        "allowance",
                        "10 %",
                        "lift",
                        "1/4 in",
                        "voids",
                        "1 in",
                        "sets",
                        "3 h"));
        var area = App.logForm("AREA", "HOLLOW", "Pillar", Map.of());
        area.put("at", "2026-05-01T09:10:00Z");
        area.put(
                "ring",
                List.of(
                        Map.of("x", 1, "y", 1),
                        Map.of("x", 3, "y", 1),
                        Map.of("x", 3, "y", 2),
                        Map.of("x", 1, "y", 2)));
        assertTaken(app.post(floor.log(), area));
        JsonNode sheet = sheet(floor);
        assertEquals(
                step(sheet, "break-out.hollow")
                        .path("effort")
                        .path("amount")
                        .path("value")
                        .asDouble(),
                2.0,
                1e-9);
        for (String lift : List.of("patch.1", "patch.2", "patch.3", "patch.4")) {
            step(sheet, lift);
        }
        JsonNode patch = prep(floor).path("steps").path(4);
        assertEquals(patch.path("id").asString(), "patch.1");
        assertEquals(patch.path("waits").asString(), "3 h");
        assertEquals(patch.path("title").asString(), "Patch, lift 1 of 4");
    }

    /** What the label does not know is refused; the weakest that works is mixed everywhere. */
    @Test
    public void a_strength_that_no_label_knows_is_asked_about() {
        Floor floor = app.floor("Sealed");
        editZone(floor, "dust", false);
        assertTaken(log(
                floor,
                "READING",
                "walk-over",
                "2026-05-01T09:00:00Z",
                Map.of("sealer", "yes", "oil", "no", "coating", "no", "dusting", "no", "hollow", "no")));
        assertTaken(app.post(floor.log(), App.logForm("READING", "water-drop", "A", Map.of("drop", "beads"))));
        assertRefused(patch(floor, "stripper", "1"), "values.water", "1 part into 8 of water");
        assertRefused(patch(floor, "bleach", "20"), "values.chemical", "stripper");
        assertTaken(patch(floor, "stripper", "16"));
        String mix = step(sheet(floor), "strip").path("mix").path("words").asString();
        assertEquals(mix, "1 part into 16 of water (5.88 % of the mix)");
        assertEquals(prep(floor).path("steps").path(0).path("progress").asString(), "DONE");
    }

    private Answer patch(Floor floor, String chemical, String water) {
        return log(
                floor,
                "GATE",
                "patch",
                "2026-05-04T10:00:00Z",
                Map.of("chemical", chemical, "water", water, "dwell", "2 min", "result", "works"));
    }
}
