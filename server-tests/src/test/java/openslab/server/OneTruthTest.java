package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Coats that go wrong in every way: whatever was logged, in whatever order, all screens say the same of it. */
public class OneTruthTest extends OnApp {
    private static final int WRITES = 40;

    @Override
    String clock() {
        return "2026-05-20T12:00:00Z";
    }

    @DataProvider
    Object[][] floors() {
        return new Object[][] {
            {"epoxy-kit", "BARE_CONCRETE", 1},
            {"epoxy-flake", "BARE_CONCRETE", 2},
            {"water-stain", "BARE_CONCRETE", 3},
            {"resurfacer", "BARE_CONCRETE", 4},
            {"acid-stain", "BARE_CONCRETE", 5},
        };
    }

    /** Too much, too little, thrown away, over too much floor, a part of it on, struck again, more that came: in any order. */
    @Test(dataProvider = "floors")
    public void whatever_is_logged_all_screens_say_the_same(String system, String substrate, int seed) {
        var zone = App.zoneForm("Floor");
        zone.put("substrate", substrate);
        zone.put("sides", Map.of("length", "12 m", "width", "7.5 m"));
        Floor floor = app.floor("Wrong in every way " + system, zone);
        int version = app.get(floor.path()).body().path("version").asInt();
        assertEquals(
                app.put(floor.zonePath() + "/layers", version, Map.of("system", system))
                        .status(),
                200);
        var crew = new Crew(floor, new Random(seed));
        app.post(floor.log(), App.logForm("READING", "climate", "", Map.of("air", "20", "rh", "50", "slab", "20")));
        int asked = 0;
        for (int i = 0; i < WRITES; i++) {
            String done = crew.anything();
            asked += OneTruth.ask(app, floor, system + " " + i + ", " + done);
        }
        assertTrue(asked > WRITES / 2, "layers that were held against one another: " + asked);
    }

    private final class Crew {
        private final Floor floor;
        private final Random random;
        private final List<String> entries = new ArrayList<>();

        private Crew(Floor floor, Random random) {
            this.floor = floor;
            this.random = random;
        }

        private String anything() {
            JsonNode layers = app.get(floor.path())
                    .body()
                    .path("zones")
                    .path(0)
                    .path("report")
                    .path("layers");
            JsonNode layer = layers.path(random.nextInt(layers.size()));
            boolean on = layer.path("started").asString().equals("COATED");
            switch (on ? 8 + random.nextInt(2) : random.nextInt(10)) {
                case 0, 1, 2, 3:
                    return batch(layer, 0);
                case 4:
                    return batch(layer, random.nextDouble());
                case 5:
                    return batch(layer, 1);
                case 6:
                    return coat(layer, Map.of("amount", 5 + random.nextInt(40) + " m²"));
                case 7:
                    return coat(layer, Map.of());
                case 8:
                    return strike();
                default:
                    return came(layer);
            }
        }

        /** As planned, a good deal more or less, over the floor it is for or another. */
        private String batch(JsonNode layer, double wasted) {
            JsonNode stage = app.get(floor.zonePath() + "/stages/layers/"
                            + layer.path("id").asString())
                    .body();
            JsonNode next = stage.path("batches").path("next");
            double area = next.isObject()
                    ? next.path("run").path("area").path("value").asDouble()
                    : 20;
            String field = layer.path("batchFields").path(0).path("id").asString();
            double amount = next.isObject()
                    ? next.path("amount").path("value").asDouble()
                    : field.equals("mass") ? 0.6 * area : field.equals("bags") ? area / 8 : area / 5;
            double mixed = amount * (random.nextInt(3) == 0 ? 1 : 0.6 + random.nextDouble());
            double over = wasted == 1 ? 0 : area * (random.nextInt(3) == 0 ? 1 : 0.5 + random.nextDouble());
            String unit = field.equals("mass") ? " kg" : field.equals("bags") ? "" : " L";
            Map<String, String> values = new LinkedHashMap<>();
            values.put(field, Math.max(0.02, mixed) + unit);
            values.put("area", (area > 0 ? over : 0) + " m²");
            if (wasted > 0) {
                values.put("wasted", Math.max(0.01, wasted * mixed) + unit);
            }
            return log("BATCH", layer.path("id").asString(), values);
        }

        private String coat(JsonNode layer, Map<String, String> values) {
            return log("COAT", layer.path("id").asString(), values);
        }

        private String log(String kind, String subject, Map<String, String> values) {
            String key = UUID.randomUUID().toString();
            var form = App.logForm(kind, subject, "", values);
            form.put("note", "It was done all the same");
            Answer answer = app.write("POST", floor.log(), form, Map.of("Idempotency-Key", key));
            assertEquals(answer.status(), 201, kind + " " + subject + " " + values + ": " + answer.text());
            entries.add(key);
            return kind + " " + subject + " " + values;
        }

        private String strike() {
            if (entries.isEmpty()) {
                return "nothing";
            }
            String key = entries.remove(random.nextInt(entries.size()));
            assertEquals(
                    app.post(floor.log(), App.logForm("STRIKE", key, "", Map.of()))
                            .status(),
                    201);
            return "struck " + key;
        }

        private String came(JsonNode layer) {
            JsonNode sheet = layer.path("sheet");
            boolean liquid =
                    !layer.path("batchFields").path(0).path("id").asString().matches("mass|bags");
            var form = Map.of(
                    "slug",
                    sheet.path("slug").asString(),
                    "size",
                    liquid ? "5 L" : "20 kg",
                    "number",
                    String.valueOf(1 + random.nextInt(3)),
                    "lot",
                    "L" + random.nextInt(9),
                    "by",
                    "Wren");
            Answer answer = app.post(floor.path() + "/deliveries", form);
            assertTrue(answer.status() < 300, answer.text());
            return "came " + form;
        }
    }
}
