package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A floor in mats: parted into strips by the window that the slab's temperature leaves open. */
public class StampApiTest {
    private static final String STAMPS = "/stages/layers/overlay/stamps";

    /** 100 by 100 m in mats of 2 by 2 ft: 10 000 m² by 0.3716 m² are 26,910; and a room that grew opens all the same. */
    @Test
    public void more_mats_than_anybody_lays_are_told_and_not_drawn() {
        try (App app = App.start(App.emptyFolder(), "--clock=2026-05-04T12:00:00Z")) {
            Floor floor = app.floor("Grown");
            app.put(floor.zonePath() + "/layers", 2, Map.of("system", "stamped-overlay"));
            var mats = Map.of("along", "24 in", "across", "24 in", "shift", "0", "grain", "0");
            assertEquals(app.put(floor.zonePath() + STAMPS, 0, mats).status(), 200);
            var grown = App.zoneForm("Grown");
            grown.put("sides", Map.of("length", "100 m", "width", "100 m"));
            Answer zone = app.put(floor.zonePath(), 3, grown);
            assertEquals(zone.status(), 200, zone.text());
            Answer opened = app.get(floor.zonePath() + STAMPS);
            assertEquals(opened.status(), 200, opened.text());
            assertTrue(opened.body().path("undrawn").asString().matches(".* about 26\\D910 mats; .*"), opened.text());
            assertEquals(app.put(floor.zonePath() + STAMPS, 0, mats).status(), 422);
        }
    }

    /** 24 ft 6 in by 18 ft in mats of 2 ft: nine rows. Warm concrete leaves less time, so more strips. */
    @Test
    public void strips_follow_the_slab_and_mats_are_kept() {
        try (App app = App.start(App.emptyFolder(), "--clock=2026-05-04T12:00:00Z")) {
            Floor floor = app.floor("Stamped");
            Map<String, String> system = Map.of("system", "stamped-overlay");
            assertEquals(app.put(floor.zonePath() + "/layers", 2, system).status(), 200);
            JsonNode unknown = app.get(floor.zonePath() + STAMPS).body();
            assertFalse(unknown.path("most").has("value"), unknown.path("most").toString());
            assertEquals(unknown.at("/stamps/rows/value").asInt(), 9);
            assertEquals(unknown.at("/stamps/strips").size(), 1);
            int before = 0;
            int hour = 9;
            for (String slab : List.of("50 °F", "65 °F", "80 °F")) {
                var climate = App.logForm("READING", "climate", "", Map.of("air", slab, "rh", "40 %", "slab", slab));
                climate.put("at", "2026-05-04T" + (hour++ == 9 ? "09" : hour - 1) + ":30:00Z");
                Answer logged = app.post(floor.log(), climate);
                assertEquals(logged.status(), 201, logged.text());
                JsonNode now = app.get(floor.zonePath() + STAMPS).body();
                int strips = now.at("/stamps/strips").size();
                assertTrue(strips >= before, slab + ": " + strips + " strips");
                before = strips;
                if (slab.equals("80 °F")) {
                    // 15 minutes of 3 hands at 15 m² an hour each: 11.25 m², 121 ft², so two rows of 49 ft²
                    assertEquals(now.at("/most/value").asDouble(), 11.25, 1e-6);
                    assertEquals(strips, 5);
                    assertFalse(now.at("/stamps/tooLong").asBoolean());
                }
            }
            var mats = Map.of("along", "36 in", "across", "24 in", "shift", "0", "grain", "90");
            Answer put = app.put(floor.zonePath() + STAMPS, 0, mats);
            assertEquals(put.status(), 200, put.text());
            // rows run across the short side now: 24.5 ft in rows of 2
            assertEquals(put.body().at("/stamps/rows/value").asInt(), 13);
            assertEquals(
                    app.get(floor.zonePath() + STAMPS).body().at("/form/along").asString(), "36 in");
            var wrong = Map.of("along", "long", "across", "9 ft", "shift", "100 %", "grain", "x");
            assertEquals(
                    app.put(floor.zonePath() + STAMPS, 0, wrong).faultyFields(),
                    List.of("along", "across", "shift", "grain"));
            assertEquals(
                    app.get(floor.zonePath() + "/stages/layers/primer/stamps").status(), 404);
        }
    }
}
