package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.StreamSupport;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What is bought, ordered and delivered, through the API. A floor of 24 ft 6 in by 18 ft is 441 ft²; its primer at 250 ft²/gal and a
 * tenth takes 1.94 gal.
 */
public class BuyApiTest extends OnApp {
    private static final String PRIMER = "epoxy-primer";

    private Floor floor(String name) {
        Floor floor = app.floor(name);
        Answer built = app.put(floor.zonePath() + "/layers", 2, Map.of("system", "epoxy-flake"));
        assertEquals(built.status(), 200, built.text());
        return floor;
    }

    private JsonNode takeOff(Floor floor) {
        Answer answer = app.get(floor.path() + "/take-off");
        assertEquals(answer.status(), 200, answer.text());
        return answer.body();
    }

    private static JsonNode material(JsonNode takeOff, String slug) {
        return StreamSupport.stream(takeOff.at("/takeOff/bill/materials").spliterator(), false)
                .filter(m -> m.path("slug").asString().equals(slug))
                .findFirst()
                .orElseThrow(() -> new AssertionError(takeOff.toString()));
    }

    private static double litres(JsonNode figure) {
        return figure.path("value").asDouble();
    }

    private static Map<String, Object> delivery(String slug, String pack, String number, Object... more) {
        var form = new HashMap<String, Object>(Map.of("slug", slug, "pack", pack, "number", number, "by", "Ana"));
        for (int i = 0; i < more.length; i += 2) {
            form.put((String) more[i], more[i + 1]);
        }
        return form;
    }

    private static List<String> rules(JsonNode findings) {
        return findings.valueStream().map(f -> f.path("rule").asString()).toList();
    }

    @Test
    public void jobs_are_bought_for_together_and_parted_again() {
        Floor one = floor("Sail loft");
        Floor two = floor("Chandlery");
        double alone = litres(material(takeOff(one), PRIMER).path("amount"));
        Answer joined = app.put(one.path() + "/together", 0, Map.of("jobs", List.of(two.job())));
        assertEquals(joined.status(), 200, joined.text());
        assertEquals(joined.body().path("together").size(), 2);
        for (Floor floor : List.of(one, two)) {
            JsonNode primer = material(takeOff(floor), PRIMER);
            assertEquals(litres(primer.path("amount")), 2 * alone, 1e-9);
            assertTrue(primer.at("/uses/0/job").asString().matches("Sail loft|Chandlery"));
        }
        // the layer's own screen buys for both
        Answer layer = app.get(one.zonePath() + "/stages/layers/primer");
        assertEquals(litres(layer.body().at("/buying/amount")), 2 * alone, 1e-9);
        assertEquals(
                app.put(two.path() + "/together", 0, Map.of("jobs", List.of())).status(), 200);
        assertEquals(litres(material(takeOff(one), PRIMER).path("amount")), alone, 1e-9);
        String nobody = "00000000-0000-0000-0000-000000000001";
        assertEquals(
                app.put(one.path() + "/together", 0, Map.of("jobs", List.of(nobody)))
                        .status(),
                404);
    }

    /** 1.94 gal are bought as a kit of 3; one of 1.5 comes: the primer is the layer that it breaks. */
    @Test
    public void an_order_goes_out_and_comes_short() {
        Floor floor = floor("Net loft");
        JsonNode list = takeOff(floor).at("/takeOff/bill/suppliers/0");
        var lines = list.path("lines")
                .valueStream()
                .filter(l -> l.path("what").asString().equals(PRIMER))
                .map(l -> Map.of("what", PRIMER, "pack", l.path("pack").asString(), "number", "2"))
                .toList();
        assertEquals(lines.size(), 1, list.toString());
        Answer placed = app.post(
                floor.path() + "/orders",
                Map.of("supplier", "Quayside Paints", "by", "Ana", "note", "by Friday", "lines", lines));
        assertEquals(placed.status(), 200, placed.text());
        assertEquals(placed.body().at("/orders/0/lines/0/number").asInt(), 2);
        JsonNode primer = material(placed.body(), PRIMER);
        assertEquals(primer.at("/toBuy/value").asDouble(), 0, 0);
        assertTrue(primer.at("/ordered/value").asDouble() > litres(primer.path("amount")));

        Answer came = app.post(floor.path() + "/deliveries", delivery(PRIMER, "Kit, 1.5 gal", "1", "lot", "K7"));
        assertEquals(came.status(), 200, came.text());
        JsonNode shortage = came.body().at("/takeOff/delivered/shortages/0");
        assertEquals(shortage.path("breaks").asString(), "Primer in North bay");
        assertEquals(litres(shortage.path("missing")), litres(primer.path("amount")) - 1.5 * 3.785411784, 1e-9);
        assertEquals(
                app.get(floor.zonePath() + "/stages/layers/primer")
                        .body()
                        .at("/came/lot")
                        .asString(),
                "K7");
        assertTrue(app.get(floor.path() + "/take-off/working?at=/takeOff/delivered/shortages/0/missing")
                .text()
                .contains("on the site or in the store"));

        String order = came.body().at("/orders/0/id").asString();
        Answer struck = app.post(floor.path() + "/orders/" + order + "/strike", Map.of("by", "Ana"));
        assertEquals(struck.body().path("orders").size(), 0);
        assertTrue(material(struck.body(), PRIMER).at("/toBuy/value").asDouble() > 0);
        assertEquals(
                app.post(floor.path() + "/orders/" + order + "/strike", Map.of("by", "Ana"))
                        .status(),
                404);
    }

    /** A box is ticked off when it comes: a missing bag of chips is no surprise after the first stir. */
    @Test
    public void what_is_not_in_the_box_is_noted_on_arrival() {
        Floor floor = app.floor("Cart shed");
        app.put(floor.zonePath() + "/layers", 2, Map.of("system", "garage-kit"));
        JsonNode box = takeOff(floor)
                .path("boxes")
                .valueStream()
                .filter(b -> b.path("slug").asString().equals("garage-paint"))
                .findFirst()
                .orElseThrow()
                .path("things");
        assertEquals(box.size(), 4, box.toString());
        Map<String, Object> lacking =
                delivery("garage-paint", "Kit, 2.5 gal", "1", "lot", "G1", "note", "left at the gate");
        lacking.put("ticked", box.valueStream().map(JsonNode::asString).limit(3).toList());
        JsonNode came = app.post(floor.path() + "/deliveries", lacking).body().at("/takeOff/delivered/came/0");
        assertEquals(came.path("sound").asBoolean(), false);
        assertTrue(rules(came.path("findings")).contains("delivery.missing"), came.toString());
        assertEquals(came.at("/delivery/note").asString(), "Not in the box: bag of chips. left at the gate");
        // nobody who ticked nothing has looked
        Answer unopened =
                app.post(floor.path() + "/deliveries", delivery("garage-paint", "Kit, 1 gal", "1", "lot", "G2"));
        assertTrue(unopened.body().at("/takeOff/delivered/came/0/sound").asBoolean(), unopened.text());
        // what its sheet does not count up cannot be missing from it
        lacking.put("ticked", List.of("a roller"));
        Answer refused = app.post(floor.path() + "/deliveries", lacking);
        assertEquals(refused.faultyFields(), List.of("ticked"));
        assertTrue(refused.text().contains("bag of etch"), refused.text());
    }

    /** Ordered and come: who opens the file reckons with both, and a damaged one is told where. */
    @Test
    public void what_was_bought_travels_in_the_job_file() {
        Floor floor = floor("Rigging loft");
        JsonNode line = takeOff(floor).at("/takeOff/bill/suppliers/0/lines/0");
        var wanted = Map.of(
                "what", line.path("what").asString(), "pack", line.path("pack").asString(), "number", "2");
        app.post(
                floor.path() + "/orders",
                Map.of("supplier", "Quayside Paints", "by", "Ana", "note", "by Friday", "lines", List.of(wanted)));
        app.post(
                floor.path() + "/deliveries",
                delivery(
                        PRIMER,
                        "Kit, 1.5 gal",
                        "1",
                        "lot",
                        "K9",
                        "faults",
                        List.of("LUMPS"),
                        "bestBefore",
                        "2027-04-01"));
        app.post(floor.path() + "/deliveries", delivery(PRIMER, "Kit, 3 gal", "1", "lot", "K8", "boxed", true));
        var file = (ObjectNode) app.get("/api/job-files/" + floor.job()).body();
        assertEquals(file.path("orders").size(), 1);
        assertEquals(file.path("deliveries").size(), 2);
        String copy =
                app.post("/api/job-files?copy=true", file).body().path("jobId").asString();
        JsonNode there = app.get("/api/jobs/" + copy + "/take-off").body();
        assertEquals(there.at("/orders/0/note").asString(), "by Friday");
        JsonNode here = takeOff(floor);
        for (String at : List.of("/toBuy/value", "/ordered/value", "/onSite/value")) {
            assertEquals(material(there, PRIMER).at(at), material(here, PRIMER).at(at), at);
        }
        // here it is already, each under its own id
        assertEquals(app.post("/api/job-files", file).status(), 422);
        ((ObjectNode) file.at("/orders/0/lines/0")).put("number", 0);
        assertEquals(app.post("/api/job-files?copy=true", file).faultyFields(), List.of("orders[0].lines[0].number"));
        ((ObjectNode) file.at("/orders/0/lines/0")).put("number", 1);
        ((ObjectNode) file.at("/deliveries/1"))
                .put("by", "")
                .put("size", -1)
                .putArray("faults")
                .add("ODD");
        assertEquals(
                app.post("/api/job-files?copy=true", file).faultyFields().stream()
                        .sorted()
                        .toList(),
                List.of("deliveries[1].by", "deliveries[1].faults[0]", "deliveries[1].size"));
    }

    @Test
    public void what_came_wrong_is_told_and_does_not_count() {
        Floor floor = floor("Tar house");
        // more than it takes: what stays over goes to the store as the screen shows it, and leaves the site
        Answer plenty = app.post(floor.path() + "/deliveries", delivery(PRIMER, "Kit, 3 gal", "3", "lot", "K5"));
        JsonNode over = plenty.body().at("/takeOff/rest/0");
        assertEquals(over.path("lots").asString(), "K5");
        var put = Map.of(
                "slug",
                PRIMER,
                "amount",
                over.at("/amount/text").asString(),
                "lot",
                "K5",
                "jobId",
                floor.job(),
                "units",
                "US",
                "by",
                "Ana");
        Answer stored = app.post("/api/store-room", put);
        assertEquals(stored.status(), 200, stored.text());
        JsonNode after = takeOff(floor);
        assertEquals(after.at("/takeOff/rest").size(), 0);
        assertEquals(
                material(after, PRIMER).at("/onSite/value").asDouble(),
                material(after, PRIMER).at("/amount/value").asDouble(),
                0.02);
        String kept =
                stored.body().get(stored.body().size() - 1).at("/leftover/id").asString();
        assertEquals(
                app.post("/api/store-room/" + kept + "/out", Map.of("by", "Ana"))
                        .status(),
                200);
        String all = plenty.body().at("/takeOff/delivered/came/0/delivery/id").asString();
        app.post(floor.path() + "/deliveries/" + all + "/strike", Map.of("by", "Ana"));
        var lumps = delivery(PRIMER, "Kit, 3 gal", "1", "lot", "K7");
        lumps.put("faults", List.of("LUMPS"));
        Answer bad = app.post(floor.path() + "/deliveries", lumps);
        assertEquals(rules(bad.body().at("/takeOff/delivered/came/0/findings")), List.of("delivery.lumps"));
        assertFalse(bad.body().at("/takeOff/delivered/came/0/sound").asBoolean());
        assertEquals(material(bad.body(), PRIMER).at("/onSite/value").asDouble(), 0, 0);
        app.post(
                floor.path() + "/deliveries",
                delivery(PRIMER, "Kit, 3 gal", "1", "lot", "K8", "maker", "Fenwright", "colour", "Slate"));
        Answer two = app.post(
                floor.path() + "/deliveries",
                delivery(
                        PRIMER,
                        "Kit, 3 gal",
                        "1",
                        "lot",
                        "K9",
                        "maker",
                        "Oxbow",
                        "colour",
                        "slate",
                        "ordered",
                        "Slate",
                        "bestBefore",
                        "2027-01-31"));
        // what two makers call by one name is never poured together, and whoever mixes it is told
        assertEquals(rules(two.body().at("/takeOff/delivered/together")), List.of("delivery.makers"));
        JsonNode layer = app.get(floor.zonePath() + "/stages/layers/primer").body();
        assertEquals(rules(layer.at("/came/against")), List.of("delivery.makers"));
        assertEquals(layer.at("/came/lot").asString("?"), "");
        Answer three = app.post(
                floor.path() + "/deliveries",
                delivery(PRIMER, "Kit, 3 gal", "1", "lot", "K10", "maker", "Oxbow", "colour", "Slate"));
        assertEquals(
                rules(three.body().at("/takeOff/delivered/together")), List.of("delivery.makers", "delivery.boxed"));
        Answer boxed = app.post(floor.path() + "/boxed", Map.of("slug", PRIMER, "colour", "Slate", "by", "Ana"));
        assertEquals(rules(boxed.body().at("/takeOff/delivered/together")), List.of("delivery.makers"));
        String last = boxed.body().at("/takeOff/delivered/came/0/delivery/id").asString();
        Answer struck = app.post(floor.path() + "/deliveries/" + last + "/strike", Map.of("by", "Ana"));
        assertEquals(struck.body().at("/takeOff/delivered/came").size(), 3);
        assertEquals(rules(struck.body().at("/takeOff/delivered/together")), List.of("delivery.makers"));
    }

    /**
     * A slope is coated at its own length, and a flight with its risers, by every layer. 24.5 · 18 = 441 ft²; 12 ft up 1 ft are 12.04159 ft,
     * 4 ft wide 0.16638 ft² more; 3 risers of 7 in and 2 treads of 11 in, 4 ft wide, are 14.33333 ft². In all 455.49971 ft².
     */
    @Test
    public void slopes_and_stairs_are_bought_for() {
        Floor floor = app.walked("Steep");
        app.post(floor.log(), App.logForm("READING", "climate", "", Map.of("air", "70", "rh", "50", "slab", "68")));
        Map<String, Double> level = amounts(floor);
        var form =
                (ObjectNode) app.get(floor.path() + "/plan").body().path("form").deepCopy();
        var room = (ObjectNode) form.path("rooms").path(0);
        room.putArray("ramps")
                .addPOJO(Map.of(
                        "id", "r1",
                        "name", "Ramp",
                        "at", Map.of("along", "2'", "off", "2'"),
                        "length", "12'",
                        "width", "4'",
                        "turn", "",
                        "rise", "1'"));
        room.putArray("stairs")
                .addPOJO(Map.of(
                        "id", "s1", "name", "Steps", "width", "4'", "risers", 3, "riser", "7 in", "tread", "11 in"));
        Answer drawn = app.put(floor.path() + "/plan", 1, App.JSON.writeValueAsString(form));
        assertEquals(drawn.status(), 200, drawn.text());
        Map<String, Double> steep = amounts(floor);
        assertEquals(steep.keySet(), level.keySet());
        assertTrue(steep.size() >= 4, steep.toString());
        steep.forEach((sheet, amount) ->
                assertEquals(amount / level.get(sheet), 455.49971 / 441, 1e-6, sheet + " for slopes and stairs"));
    }

    private Map<String, Double> amounts(Floor floor) {
        var amounts = new TreeMap<String, Double>();
        takeOff(floor)
                .at("/takeOff/bill/materials")
                .forEach(m -> amounts.put(m.path("slug").asString(), litres(m.path("amount"))));
        return amounts;
    }

    /** A year later: what had come by the last coat lies under it, and says nothing of what is mixed now. */
    @Test
    public void what_came_for_an_earlier_coat_is_of_no_later_batch() {
        Floor floor = floor("A year later");
        app.post(
                floor.path() + "/deliveries",
                delivery(
                        PRIMER,
                        "Kit, 3 gal",
                        "1",
                        "at",
                        "2026-05-01T09:00:00Z",
                        "lot",
                        "K8",
                        "maker",
                        "Fenwright",
                        "colour",
                        "Slate"));
        for (String layer : List.of("primer", "body", "flake", "clear")) {
            assertEquals(
                    app.post(floor.log(), App.allTheSame("COAT", layer, Map.of()))
                            .status(),
                    201);
        }
        int version = app.get(floor.path()).body().path("version").asInt();
        var again = Map.of("kind", "RECOAT", "by", "Wren", "why", "Worn");
        assertEquals(
                app.post(floor.zonePath() + "/cycles", UUID.randomUUID(), version, again)
                        .status(),
                201);
        String layer = floor.zonePath() + "/stages/layers/primer";
        assertEquals(app.get(layer).body().at("/came/lot").asString("?"), "");
        app.post(
                floor.path() + "/deliveries",
                delivery(PRIMER, "Kit, 3 gal", "1", "lot", "K9", "maker", "Oxbow", "colour", "Slate"));
        JsonNode came = app.get(layer).body().path("came");
        assertEquals(came.path("lot").asString(), "K9");
        assertEquals(came.path("against").size(), 0, came.toString());
    }

    /** Nobody guesses which money it is: none is told until somebody says so, and a code that no bank knows is refused. */
    @Test
    public void the_shop_says_which_money_it_reckons_in() {
        Floor floor = floor("Money");
        assertEquals(takeOff(floor).at("/takeOff/bill/currency").asString("?"), "");
        Answer euro = app.write("PUT", "/api/currency", Map.of("currency", " eur "), key());
        assertEquals(euro.body().path("currency").asString(), "EUR", euro.text());
        assertEquals(takeOff(floor).at("/takeOff/bill/currency").asString(), "EUR");
        String csv = app.get(floor.path() + "/order.csv").text();
        assertTrue(csv.lines().skip(1).allMatch(l -> l.endsWith(",EUR")), csv);
        Answer nobodys = app.write("PUT", "/api/currency", Map.of("currency", "ZZQ"), key());
        assertEquals(nobodys.faultyFields(), List.of("currency"), nobodys.text());
        assertEquals(
                app.write("PUT", "/api/currency", Map.of("currency", ""), key()).status(), 200);
        assertEquals(takeOff(floor).at("/takeOff/bill/currency").asString("?"), "");
    }

    private static Map<String, String> key() {
        return Map.of("Idempotency-Key", UUID.randomUUID().toString());
    }

    @Test
    public void every_mistake_is_named() {
        Floor floor = floor("Smoke house");
        var form = delivery("no-such", "", "half", "bestBefore", "soon");
        form.put("faults", List.of("STOLEN"));
        form.put("by", "");
        Answer answer = app.post(floor.path() + "/deliveries", form);
        assertEquals(answer.status(), 400);
        assertEquals(answer.faultyFields(), List.of("slug", "number", "bestBefore", "faults[0]", "by"));
        assertEquals(
                app.post(floor.path() + "/deliveries", delivery(PRIMER, "Bucket", "1"))
                        .faultyFields(),
                List.of("pack"));
        assertEquals(
                app.post(floor.path() + "/deliveries", delivery(PRIMER, "", "1", "size", "much"))
                        .faultyFields(),
                List.of("size"));
        assertEquals(
                app.post(floor.path() + "/orders", Map.of("by", "Ana", "lines", List.of()))
                        .faultyFields(),
                List.of("supplier", "lines"));
        var other = Map.of("what", "masking-tape", "pack", "gross", "number", "1");
        assertEquals(
                app.post(
                                floor.path() + "/orders",
                                Map.of("supplier", "Quayside Paints", "by", "Ana", "lines", List.of(other)))
                        .faultyFields(),
                List.of("lines[0].what"));
        assertEquals(
                app.put(
                                "/api/prices/" + PRIMER,
                                0,
                                Map.of("prices", List.of(Map.of("pack", "Kit, 9 gal", "price", "cheap"))))
                        .faultyFields(),
                List.of("prices[0].pack", "prices[0].price"));
        assertEquals(
                app.put("/api/prices/anvils", 0, Map.of("prices", List.of())).status(), 404);
        assertEquals(
                app.post("/api/store-room", Map.of("slug", PRIMER, "amount", "a lot", "units", "US", "by", "Ana"))
                        .faultyFields(),
                List.of("amount"));
        assertEquals(takeOff(floor).at("/takeOff/delivered/came").size(), 0);
    }

    @Test
    public void a_noted_price_chooses_the_pack_and_the_supplier() {
        try (App own = App.start(App.emptyFolder())) {
            Floor floor = own.floor("Priced");
            own.put(floor.zonePath() + "/layers", 2, Map.of("system", "epoxy-flake"));
            var prices = List.of(
                    Map.of("pack", "Kit, 1.5 gal", "supplier", "Quayside Paints", "price", "50"),
                    Map.of("pack", "Kit, 1.5 gal", "supplier", "Harbour Supplies", "price", "49.50"));
            String slug = own.get(floor.path() + "/take-off")
                    .body()
                    .at("/takeOff/bill/materials/0/slug")
                    .asString();
            Answer set = own.put("/api/prices/" + slug, 0, Map.of("prices", prices));
            assertEquals(set.status(), 200, set.text());
            assertEquals(
                    own.put(
                                    "/api/prices/masking-tape",
                                    0,
                                    Map.of("prices", List.of(Map.of("pack", "each", "price", "4,50"))))
                            .status(),
                    200);
            JsonNode bill = own.get(floor.path() + "/take-off").body().at("/takeOff/bill");
            JsonNode line = bill.at("/materials/0/lines/0");
            assertEquals(line.path("supplier").asString(), "Harbour Supplies");
            assertEquals(line.path("eachCents").asLong(), 4950);
            assertEquals(bill.at("/suppliers/0/supplier").asString(), "Harbour Supplies");
            String csv = own.get(floor.path() + "/order.csv").text();
            assertTrue(csv.contains("Harbour Supplies," + slug), csv);
            assertTrue(csv.contains("masking-tape"), csv);
            Answer pdf = own.get(floor.path() + "/order.pdf");
            assertTrue(pdf.text().startsWith("%PDF"), pdf.text().substring(0, 20));
        }
    }

    /** A gallon from another job, unopened: it is used first, taken to the site, and its lot stands beside the batch. */
    @Test
    public void a_leftover_is_used_first_and_survives_a_restart() {
        Path data = App.emptyFolder();
        Floor floor;
        try (App own = App.start(data, "--clock=2026-05-04T12:00:00Z")) {
            floor = own.floor("Left");
            own.put(floor.zonePath() + "/layers", 2, Map.of("system", "epoxy-flake"));
            String slug = own.get(floor.path() + "/take-off")
                    .body()
                    .at("/takeOff/bill/materials/0/slug")
                    .asString();
            double before = own.get(floor.path() + "/take-off")
                    .body()
                    .at("/takeOff/bill/materials/0/toBuy/value")
                    .asDouble();
            var left = new TreeMap<String, Object>(Map.of(
                    "slug", slug, "amount", "1 gal", "lot", "M3", "from", "Boat shed", "units", "US", "by", "Ana"));
            Answer kept = own.post("/api/store-room", left);
            assertEquals(kept.status(), 200, kept.text());
            left.put("lot", "M2");
            left.put("bestBefore", "2026-04-01");
            own.post("/api/store-room", left);
            JsonNode first = own.get(floor.path() + "/take-off").body().at("/takeOff/bill/materials/0");
            assertEquals(first.path("store").size(), 1);
            assertEquals(first.at("/store/0/lot").asString(), "M3");
            assertEquals(first.at("/passedOver/0/lot").asString(), "M2");
            assertEquals(first.at("/toBuy/value").asDouble(), before - 3.785411784, 1e-9);
            Answer out = own.post(
                    "/api/store-room/" + first.at("/store/0/id").asString() + "/out",
                    Map.of("jobId", floor.job(), "by", "Ana"));
            assertEquals(out.body().size(), 1);
            JsonNode taken = own.get(floor.path() + "/take-off").body().at("/takeOff/bill/materials/0");
            assertEquals(taken.at("/onSite/value").asDouble(), 3.785411784, 1e-9);
            assertEquals(taken.at("/toBuy/value").asDouble(), before - 3.785411784, 1e-9);
        }
        try (App again = App.start(data, "--clock=2026-05-04T12:00:00Z")) {
            JsonNode taken = again.get(floor.path() + "/take-off").body().at("/takeOff/bill/materials/0");
            assertEquals(taken.at("/onSite/value").asDouble(), 3.785411784, 1e-9);
        }
    }

    /** A write that is sent twice is done once. */
    @Test
    public void a_delivery_sent_twice_came_once() {
        Floor floor = floor("Ice house");
        var key = java.util.UUID.randomUUID();
        for (int i = 0; i < 2; i++) {
            Answer came =
                    app.post(floor.path() + "/deliveries", key, 0, delivery(PRIMER, "Kit, 3 gal", "1", "lot", "K7"));
            assertEquals(came.body().at("/takeOff/delivered/came").size(), 1, came.text());
        }
    }
}
