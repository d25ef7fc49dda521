package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/**
 * What card, layer, bays, bill and record say of one floor at one moment: never two things of what was mixed, what is covered, what is
 * bare, what is left and what is short.
 */
final class OneTruth {
    /** Nobody measures closer: a hundredth of a floor, and a batch is planned as it was meant to within three. */
    private static final double CLOSE = 0.01;

    private static final double AS_MEANT = 0.04;

    private final App app;
    private final App.Floor floor;
    private final String where;

    private OneTruth(App app, App.Floor floor, String where) {
        this.app = app;
        this.floor = floor;
        this.where = where;
    }

    /** Asks every screen. @return how many layers of which something was used were held against one another */
    static int ask(App app, App.Floor floor, String where) {
        return new OneTruth(app, floor, where).ask();
    }

    private int ask() {
        JsonNode zone = zone();
        JsonNode report = zone.path("report");
        JsonNode takeOff = app.get(floor.path() + "/take-off").body().path("takeOff");
        double floorM2 = base(report.path("area"));
        Map<String, JsonNode> uses = uses(takeOff);
        int asked = 0;
        boolean next = true;
        for (JsonNode layer : report.path("layers")) {
            boolean on = layer.path("started").asString().equals("COATED");
            String id = layer.path("id").asString();
            String here = where + ", " + id + ": ";
            // what is on is not bought, what is not on is
            assertEquals(uses.containsKey(id), !on, here + "bought");
            JsonNode used = layer.path("used");
            if (used.isObject()) {
                asked++;
                used(layer, used, on, floorM2, here);
                taken(uses.get(id), used, layer, here);
                if (on
                        && base(used.path("covered")) < floorM2 * (1 - CLOSE)
                        && layer.path("batchesLogged").asInt() > 0) {
                    assertTrue(
                            report.path("conduct").toString().contains("coat-bare"),
                            here + "said to be on where no batch covers it, and nobody was told");
                }
            }
            if (used.isObject() || next) {
                stage(id, layer, used, on, floorM2, here);
            }
            next = on;
        }
        bill(takeOff);
        return asked;
    }

    private JsonNode zone() {
        for (JsonNode zone : app.get(floor.path()).body().path("zones")) {
            if (zone.path("id").asString().equals(floor.zone().toString())) {
                return zone;
            }
        }
        throw new AssertionError(where + ": no zone");
    }

    /** By layer of this zone. */
    private Map<String, JsonNode> uses(JsonNode takeOff) {
        Map<String, JsonNode> uses = new HashMap<>();
        for (JsonNode material : takeOff.path("bill").path("materials")) {
            for (JsonNode use : material.path("uses")) {
                if (use.path("zone").asString().equals(floor.zone().toString())) {
                    uses.put(use.path("layer").asString(), use);
                }
            }
        }
        return uses;
    }

    private static void used(JsonNode layer, JsonNode used, boolean on, double floorM2, String here) {
        double covered = base(used.path("covered"));
        double bare = base(used.path("bare"));
        double rest = base(used.path("rest"));
        double left = base(used.path("left"));
        double amount = base(used.path("amount"));
        assertEquals(bare, on ? 0 : floorM2 - covered, 1e-6, here + "bare");
        assertEquals(left, Math.max(0, base(layer.path("amount")) - amount), 1e-6, here + "left");
        assertEquals(used.path("reaches").asBoolean(), rest <= left * (1 + CLOSE), here + "reaches");
        assertEquals(rest == 0, bare == 0, here + "what is bare takes something, and nothing else does");
    }

    /** The bill takes for the layer what the layer says that the rest takes: of a concentrate, without its water. */
    private static void taken(JsonNode use, JsonNode used, JsonNode layer, String here) {
        if (use == null) {
            return;
        }
        JsonNode material = layer.path("sheet").path("material");
        double water = layer.path("sheet").path("material").path("water").asDouble(0);
        double packed = base(used.path("rest")) / (1 + water);
        assertEquals(base(use.path("amount")), packed, 1e-6 * Math.max(1, packed), here + "bought for " + material);
    }

    private void stage(String id, JsonNode layer, JsonNode used, boolean on, double floorM2, String here) {
        JsonNode stage = app.get(floor.zonePath() + "/stages/layers/" + id).body();
        JsonNode batches = stage.path("batches");
        JsonNode next = batches.path("next");
        double bare = used.isObject() ? base(used.path("bare")) : on ? 0 : floorM2;
        int logged = batches.path("logged").size() + batches.path("earlier").asInt();
        assertEquals(logged, layer.path("batchesLogged").asInt(), here + "batches");
        if (bare == 0) {
            assertTrue(!next.isObject(), here + "a batch for a floor that is covered");
        }
        JsonNode plan = batches.path("plan");
        if (plan.isObject() && bare > 0) {
            assertEquals(next.path("number").asInt(), logged + 1, here + "the next batch");
            double planned = 0;
            for (JsonNode run : plan.path("runs")) {
                int from = Math.max(logged + 1, run.path("first").asInt());
                planned += Math.max(0, run.path("last").asInt() - from + 1) * base(run.path("area"));
            }
            assertEquals(planned, bare, AS_MEANT * floorM2, here + "batches to come against what is bare");
        }
        if (used.isObject()) {
            bays(id, base(used.path("covered")), on, floorM2, here);
        }
    }

    private void bays(String id, double covered, boolean on, double floorM2, String here) {
        JsonNode bays = app.get(floor.zonePath() + "/stages/layers/" + id + "/bays")
                .body()
                .path("floors")
                .path(0);
        double done = 0;
        double open = 0;
        for (JsonNode bay : bays.path("bays")) {
            String mark = bay.path("mark").asString();
            double m2 = base(bay.path("laid").path("area"));
            done += mark.equals("DONE") ? m2 : 0;
            open += mark.equals("NOT_STARTED") ? m2 : 0;
        }
        if (on) {
            assertEquals(open, 0, 0, here + "bays that are open");
            assertEquals(bays.path("next").asInt(), bays.path("bays").size(), here + "the bay that comes next");
        } else {
            assertTrue(done <= covered + CLOSE * floorM2, here + "bays done: " + done + " of " + covered);
            assertTrue(open <= floorM2 - covered + CLOSE * floorM2, here + "bays open: " + open);
        }
    }

    private void bill(JsonNode takeOff) {
        for (JsonNode b : takeOff.path("bill").path("materials")) {
            double there = base(b.path("onSite")) + base(b.path("ordered"));
            for (JsonNode from : b.path("store")) {
                there += base(from.path("amount"));
            }
            double uses = 0;
            for (JsonNode use : b.path("uses")) {
                uses += base(use.path("amount"));
            }
            String here = where + ", bill of " + b.path("sheet").asString();
            assertEquals(base(b.path("amount")), uses, 1e-6, here);
            assertEquals(base(b.path("toBuy")), Math.max(0, uses - there), 1e-6, here);
            double packs = 0;
            for (JsonNode line : b.path("lines")) {
                packs += line.path("count").asInt() * line.path("size").asDouble();
            }
            if (b.path("lines").size() > 0) {
                assertTrue(packs >= base(b.path("toBuy")) - 1e-6, here + ": packs hold " + packs);
            }
        }
        for (JsonNode rest : takeOff.path("rest")) {
            assertTrue(base(rest.path("amount")) > 0, where + ", over: " + rest);
        }
    }

    /** In the base unit: amounts are told in litres or kilograms, areas in whatever the job reads. */
    private static double base(JsonNode figure) {
        double value = figure.path("value").asDouble();
        return figure.path("unit").asString().equals("ft²") ? value * 0.09290304 : value;
    }
}
