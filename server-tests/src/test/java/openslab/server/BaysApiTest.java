package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import openslab.server.App.Answer;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Bays over several floors of one room. */
public class BaysApiTest extends OnApp {
    private static final Map<String, String> CLIMATE = Map.of("air", "70", "rh", "50", "slab", "68");

    /** 24.5 × 18 ft, cut 10 ft from the wall with the door: the part behind is left over the one at the door. */
    private App.Floor parted(String name) {
        App.Floor floor = app.walked(name);
        var form =
                (ObjectNode) app.get(floor.path() + "/plan").body().path("form").deepCopy();
        var room = (ObjectNode) form.path("rooms").path(0);
        room.putArray("cuts")
                .addPOJO(Map.of(
                        "id", "c1",
                        "from", Map.of("along", "10'", "off", "1'"),
                        "to", Map.of("along", "10'", "off", "2'")));
        room.putArray("doors")
                .addPOJO(Map.of(
                        "id",
                        "d1",
                        "run",
                        room.path("runs").path(3).path("id").asString(),
                        "along",
                        "2'",
                        "width",
                        "3'",
                        "exit",
                        true));
        assertEquals(
                app.put(floor.path() + "/plan", 1, App.JSON.writeValueAsString(form))
                        .status(),
                200);
        var zone = new TreeMap<String, Object>(App.zoneForm("Behind"));
        zone.put("shape", "plan");
        zone.put("sides", Map.of());
        var body = Map.of("roomId", floor.zone(), "in", Map.of("along", "20'", "off", "9'"), "zone", zone);
        assertEquals(
                app.post(floor.path() + "/plan/zones", UUID.randomUUID(), 2, body)
                        .status(),
                201);
        return floor;
    }

    @Test
    public void floors_of_one_room_are_coated_from_behind() {
        App.Floor floor = parted("From behind");
        JsonNode zones = app.get(floor.path()).body().path("zones");
        String behind = floor.path() + "/zones/" + zones.path(1).path("id").asString();
        for (String zone : List.of(floor.zonePath(), behind)) {
            app.post(zone + "/log", App.logForm("READING", "climate", "", CLIMATE));
        }
        JsonNode bays = app.get(behind + "/stages/layers/body/bays").body();
        assertEquals(bays.path("floors").path(0).path("zone").asString(), "Behind");
        assertEquals(bays.path("here").asInt(), 0);
        assertEquals(
                app.get(floor.zonePath() + "/stages/layers/body/bays")
                        .body()
                        .path("here")
                        .asInt(),
                1);
        JsonNode first = bays.path("floors").path(0);
        assertEquals(
                first.path("over").path("zone").asString(),
                bays.path("floors").path(1).path("zone").asString());
        assertTrue(bays.path("floors").path(1).path("over").isMissingNode());
        // 10 ft from the wall with the door
        assertEquals(first.at("/outs/0/x").asDouble(), 3.048, 1e-6);
        assertTrue(first.path("drawn").asBoolean());
        assertFalse(first.path("over").path("begun").asBoolean());
        assertTrue(first.path("over").path("wetUntil").isMissingNode());
        double m2 = 0;
        for (JsonNode f : bays.path("floors")) {
            for (JsonNode bay : f.path("bays")) {
                m2 += bay.path("laid").path("area").path("value").asDouble();
            }
        }
        assertEquals(m2, 441 * 0.09290304, 1e-6);
        // the floor at the door is begun first: whoever is behind it is shut in, and waits until it may be walked on
        app.post(floor.log(), App.allTheSame("BATCH", "body", Map.of("volume", "2 gal", "area", "180 ft²")));
        JsonNode over = app.get(behind + "/stages/layers/body/bays")
                .body()
                .path("floors")
                .path(0)
                .path("over");
        assertTrue(over.path("begun").asBoolean());
        Answer coated = app.post(floor.log(), App.allTheSame("COAT", "body", Map.of()));
        assertEquals(coated.status(), 201, coated.text());
        over = app.get(behind + "/stages/layers/body/bays")
                .body()
                .path("floors")
                .path(0)
                .path("over");
        assertTrue(over.path("wetUntil").asString().startsWith("20"), over.toString());
    }

    /** Nobody says where a patch lies: it is one bay, mixed for as one, and the plan is not divided for it. */
    @Test
    public void a_patch_is_one_bay() {
        App.Floor floor = app.floor("Patched");
        app.post(floor.log(), App.logForm("READING", "climate", "", CLIMATE));
        for (String layer : List.of("primer", "body", "flake", "clear")) {
            Answer on = app.post(floor.log(), App.allTheSame("COAT", layer, Map.of()));
            assertEquals(on.status(), 201, on.text());
        }
        int version = app.get(floor.path()).body().path("version").asInt();
        var repair = Map.of("kind", "REPAIR", "by", "Wren", "why", "A jack went through", "patch", "40 ft²");
        Answer begun = app.post(floor.zonePath() + "/cycles", UUID.randomUUID(), version, repair);
        assertEquals(begun.status(), 201, begun.text());
        JsonNode layer = app.get(floor.zonePath() + "/stages/layers/body").body();
        JsonNode runs = layer.at("/batches/plan/runs");
        assertEquals(runs.size(), 1, runs.toString());
        assertEquals(runs.at("/0/area/value").asDouble(), 40 * 0.09290304, 1e-9);
        assertEquals(
                app.get(floor.zonePath() + "/stages/layers/body/bays")
                        .body()
                        .path("floors")
                        .size(),
                0);
    }

    /** What sets in its pail is poured; what keeps, or is rolled out of a tray, sprayed or mopped, is not: nobody is told of ribbons. */
    @Test
    public void only_what_is_poured_is_told_of_ribbons() {
        assertEquals(
                onto("Poured", "BARE_CONCRETE", "epoxy-flake", "body"),
                "In ribbons: 5 cm from its sides and one down the middle, pulled towards the way out. true");
        assertEquals(onto("Brushed and rolled", "CERAMIC", "tile-coat", "base"), " true");
        assertEquals(onto("Sprayed", "BARE_CONCRETE", "acid-stain", "stain"), " false");
    }

    private String onto(String name, String substrate, String system, String layer) {
        var zone = App.zoneForm("Floor");
        zone.put("substrate", substrate);
        App.Floor floor = app.floor(name, zone);
        Answer chosen = app.put(floor.zonePath() + "/layers", 2, Map.of("system", system));
        assertEquals(chosen.status(), 200, chosen.text());
        app.post(floor.log(), App.logForm("READING", "climate", "", CLIMATE));
        Answer bays = app.get(floor.zonePath() + "/stages/layers/" + layer + "/bays");
        assertEquals(bays.status(), 200, bays.text());
        JsonNode onto = bays.body().at("/floors/0/onto");
        return onto.path("poured").asString() + " " + onto.path("cutIn").asBoolean();
    }
}
