package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpRequest.BodyPublishers;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Supplier;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every write that the API's own description says is keyed, sent several times at the same moment. Under one key it is done once, and
 * everybody is told the same; under keys of their own each is done or told why not. How much one write changes is measured by doing it
 * once, alone, to another of its kind.
 */
public class EveryWriteTest extends OnApp {
    private static final int AT_ONCE = 6;
    private static final String PRIMER = "epoxy-primer";
    private static final String PART = "0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n8\nwalls\n70\n1\n10\n0\n20\n0\n"
            + "10\n4\n20\n0\n10\n4\n20\n3\n10\n0\n20\n3\n0\nENDSEC\n0\nEOF\n";

    /** DeviceTest has one that two collect from at once; a stand-in would give the second nothing, whoever asks. */
    private static final Set<String> ELSEWHERE = Set.of("POST /api/instruments/{instrumentId}/collect");

    /**
     * What is sent, and to what.
     *
     * @param job which is written to; empty for what is the shop's
     * @param body bytes are sent as a picture, anything else as JSON
     */
    private record Sent(String job, String method, String path, Object version, Object body) {}

    /** By operation: makes what it takes, a new one each time. */
    private final Map<String, Supplier<Sent>> writes = new LinkedHashMap<>();

    private int made;

    @BeforeClass
    void describe() {
        shop();
        job();
        buying();
        plan();
        floor();
    }

    private void shop() {
        writes.put("POST /api/instruments", () -> global("POST", "/api/instruments", 0, instrument()));
        writes.put("PUT /api/instruments/{instrumentId}", () -> {
            String id =
                    app.post("/api/instruments", instrument()).body().path("id").asString();
            return global("PUT", "/api/instruments/" + id, 1, instrument());
        });
        writes.put(
                "PUT /api/paces/{work}",
                () -> global("PUT", "/api/paces/grind", 0, Map.of("pace", 200 + ++made + " ft²/h", "units", "US")));
        writes.put(
                "PUT /api/practices",
                () -> global("PUT", "/api/practices", 0, Map.of("practices", Map.of("etch-strength", "LABEL"))));
        var codes = List.of("CAD", "EUR", "GBP");
        writes.put(
                "PUT /api/currency",
                () -> global("PUT", "/api/currency", 0, Map.of("currency", codes.get(++made % codes.size()))));
        writes.put("PUT /api/prices/{what}", () -> {
            var price = Map.of("pack", "each", "supplier", "Quayside", "price", 4 + ++made + ".50");
            return global("PUT", "/api/prices/masking-tape", 0, Map.of("prices", List.of(price)));
        });
        writes.put("POST /api/sheets", () -> global("POST", "/api/sheets", 0, sheet("Primer " + ++made)));
        writes.put("PUT /api/sheets/{slug}", () -> {
            String name = "Kept " + ++made;
            app.post("/api/sheets", sheet(name));
            String slug = "kept-" + made;
            String digest = app.sheet(slug).path("digest").asString();
            return global("PUT", "/api/sheets/" + slug, digest, sheet(name).put("note", "Shake"));
        });
        writes.put("PUT /api/systems/{id}", () -> {
            ObjectNode form = null;
            for (JsonNode s : app.get("/api/systems").body()) {
                form = s.at("/form/id").asString().equals("acid-stain")
                        ? (ObjectNode) s.path("form").deepCopy()
                        : form;
            }
            String id = "own-" + ++made;
            return global("PUT", "/api/systems/" + id, 0, form.put("id", id).put("title", "Own " + made));
        });
        writes.put(
                "POST /api/sheets/{slug}/documents",
                () -> global("POST", "/api/sheets/" + PRIMER + "/documents?name=Sheet.jpg", 0, App.picture()));
        writes.put("PUT /api/sheets/{slug}/documents/{documentId}", () -> {
            String path = "/api/sheets/" + PRIMER;
            UUID id = UUID.randomUUID();
            app.keep(path, id, "Sheet.jpg", App.picture());
            return global("PUT", path + "/documents/" + id, 0, Map.of("name", "Sheet " + ++made, "putAway", true));
        });
        writes.put("POST /api/store-room", () -> global("POST", "/api/store-room", 0, leftover()));
        writes.put("POST /api/store-room/{id}/out", () -> {
            JsonNode kept = app.post("/api/store-room", leftover()).body();
            String id = kept.get(kept.size() - 1).at("/leftover/id").asString();
            return global("POST", "/api/store-room/" + id + "/out", 0, Map.of("by", "Ana"));
        });
    }

    private void job() {
        writes.put("POST /api/jobs", () -> global("POST", "/api/jobs", 0, App.jobForm("At once " + ++made)));
        writes.put("POST /api/job-files", () -> {
            var file = (ObjectNode) app.get("/api/job-files/" + fresh().job()).body();
            file.put("id", UUID.randomUUID().toString());
            ((ObjectNode) file.path("zones").path(0))
                    .put("id", UUID.randomUUID().toString());
            return global("POST", "/api/job-files", 0, file);
        });
        writes.put("PUT /api/jobs/{jobId}", () -> of(fresh(), "PUT", "", App.jobForm("Renamed")));
        writes.put(
                "PUT /api/jobs/{jobId}/together",
                () -> of(
                        fresh(),
                        "PUT",
                        "/together",
                        Map.of("jobs", List.of(app.floor("Other").job()))));
        writes.put("POST /api/jobs/{jobId}/zones", () -> of(fresh(), "POST", "/zones", App.zoneForm("South bay")));
        writes.put("POST /api/jobs/{jobId}/log/{entryKey}/photos", () -> {
            Floor floor = fresh();
            UUID entry = UUID.randomUUID();
            app.post(floor.log(), entry, 0, App.logForm("NOTE", "", "", Map.of()));
            return of(floor, "POST", "/log/" + entry + "/photos", App.picture());
        });
        writes.put(
                "POST /api/jobs/{jobId}/documents",
                () -> of(fresh(), "POST", "/documents?name=Drawing.jpg", App.picture()));
        writes.put("PUT /api/jobs/{jobId}/documents/{documentId}", () -> {
            Floor floor = fresh();
            UUID id = UUID.randomUUID();
            app.keep(floor.path(), id, "Permit.jpg", App.picture());
            return of(floor, "PUT", "/documents/" + id, Map.of("name", "Permit " + ++made, "putAway", true));
        });
        writes.put("POST /api/readings-files/{jobId}", () -> {
            Floor floor = fresh();
            String text = "zone,method,place,at,by,ph.ph\r\nNorth bay,ph,A,2026-05-04T09:00:00Z,Wren,8.5\r\n";
            return new Sent(floor.job(), "POST", "/api/readings-files/" + floor.job(), 0, Map.of("text", text));
        });
    }

    private void buying() {
        var order = Map.of("what", "masking-tape", "pack", "each", "number", "1");
        var orders = Map.of("supplier", "Quayside", "by", "Ana", "note", "", "lines", List.of(order));
        var delivery = Map.of(
                "slug", PRIMER, "pack", "Kit, 3 gal", "number", "1", "by", "Ana", "lot", "K7", "colour", "Slate");
        writes.put("POST /api/jobs/{jobId}/orders", () -> of(laid(), "POST", "/orders", orders));
        writes.put("POST /api/jobs/{jobId}/orders/{orderId}/strike", () -> {
            Floor floor = laid();
            String id = app.post(floor.path() + "/orders", orders)
                    .body()
                    .at("/orders/0/id")
                    .asString();
            return of(floor, "POST", "/orders/" + id + "/strike", Map.of("by", "Ana"));
        });
        writes.put("POST /api/jobs/{jobId}/deliveries", () -> of(laid(), "POST", "/deliveries", delivery));
        writes.put("POST /api/jobs/{jobId}/deliveries/{deliveryId}/strike", () -> {
            Floor floor = laid();
            JsonNode came = app.post(floor.path() + "/deliveries", delivery).body();
            String id = came.at("/takeOff/delivered/came/0/delivery/id").asString();
            return of(floor, "POST", "/deliveries/" + id + "/strike", Map.of("by", "Ana"));
        });
        writes.put("POST /api/jobs/{jobId}/boxed", () -> {
            Floor floor = laid();
            app.post(floor.path() + "/deliveries", delivery);
            var other = new TreeMap<String, Object>(delivery);
            other.put("lot", "K8");
            app.post(floor.path() + "/deliveries", other);
            return of(floor, "POST", "/boxed", Map.of("slug", PRIMER, "colour", "Slate", "by", "Ana"));
        });
    }

    private void plan() {
        writes.put("POST /api/jobs/{jobId}/zones/{zoneId}/walk", () -> {
            Floor floor = fresh();
            return new Sent(floor.job(), "POST", floor.zonePath() + "/walk", 0, Map.of());
        });
        writes.put("PUT /api/jobs/{jobId}/plan", () -> {
            Floor floor = app.walked("Drawn");
            return onPlan(floor, "PUT", "/plan", renamed(floor, "Shed"));
        });
        writes.put("POST /api/jobs/{jobId}/plan/undo", () -> onPlan(drawn(), "POST", "/plan/undo", Map.of()));
        writes.put("POST /api/jobs/{jobId}/plan/redo", () -> {
            Floor floor = drawn();
            app.post(floor.path() + "/plan/undo", UUID.randomUUID(), version(floor, "/plan"), Map.of());
            return onPlan(floor, "POST", "/plan/redo", Map.of());
        });
        writes.put("PUT /api/jobs/{jobId}/plan/rooms/{roomId}/corners/{corner}", () -> {
            Floor floor = app.walked("Dragged");
            var to = Map.of("to", Map.of("along", "26.5", "off", "18'"));
            return onPlan(floor, "PUT", "/plan/rooms/" + floor.zone() + "/corners/2", to);
        });
        writes.put("POST /api/jobs/{jobId}/plan/zones", () -> {
            Floor floor = app.walked("Parted");
            ObjectNode form = renamed(floor, "Parted");
            var cut = Map.of(
                    "id", "c1",
                    "from", Map.of("along", "10'", "off", "1'"),
                    "to", Map.of("along", "10'", "off", "2'"));
            ((ObjectNode) form.path("rooms").path(0)).putArray("cuts").addPOJO(cut);
            assertEquals(
                    app.put(floor.path() + "/plan", 1, App.JSON.writeValueAsString(form))
                            .status(),
                    200);
            var zone = new TreeMap<>(App.zoneForm("South end"));
            zone.put("shape", "plan");
            zone.put("sides", Map.of());
            var part = Map.of("roomId", floor.zone(), "in", Map.of("along", "20'", "off", "9'"), "zone", zone);
            return onPlan(floor, "POST", "/plan/zones", part);
        });
        writes.put("POST /api/plan-files/{jobId}/rooms", () -> {
            Floor floor = app.walked("Traced");
            var form = Map.of("text", PART, "unit", "m", "roles", Map.of("walls", "ROOM"));
            return new Sent(floor.job(), "POST", "/api/plan-files/" + floor.job() + "/rooms", 1, form);
        });
    }

    private void floor() {
        String zone = "/api/jobs/{jobId}/zones/{zoneId}";
        writes.put("PUT " + zone, () -> zone(fresh(), "PUT", "", App.zoneForm("Renamed bay")));
        writes.put("PUT " + zone + "/layers", () -> zone(fresh(), "PUT", "/layers", Map.of("system", "acid-stain")));
        writes.put(
                "PUT " + zone + "/layers/{layerId}",
                () -> zone(laid(), "PUT", "/layers/primer", Map.of("plannedStart", "2026-05-05T08:00:00Z")));
        writes.put(
                "POST " + zone + "/log",
                () -> zone(fresh(), "POST", "/log", App.logForm("READING", "ph", "A", Map.of("ph", "8.5"))));
        writes.put("POST " + zone + "/cycles", () -> {
            var form = Map.of("kind", "CLEAN", "by", "Wren", "why", "Rain came in");
            return zone(begun(), "POST", "/cycles", form);
        });
        writes.put("DELETE " + zone + "/cycles/{number}", () -> {
            Floor floor = begun();
            var form = Map.of("kind", "CLEAN", "by", "Wren", "why", "Rain came in");
            Answer cycle = app.post(floor.zonePath() + "/cycles", UUID.randomUUID(), version(floor, ""), form);
            assertEquals(cycle.status(), 201, cycle.text());
            return zone(floor, "DELETE", "/cycles/2", Map.of());
        });
        writes.put(
                "PUT " + zone + "/stages/layers/{layerId}/planks",
                () -> laidOut(
                        "plank-overlay",
                        "tack/planks",
                        Map.of(
                                "grain", "0",
                                "widths", "4 in, 8 in, 6 in",
                                "shortest", "12 in",
                                "longest", "6 ft",
                                "frame", "4 in",
                                "seed", "7",
                                "nudges", List.of())));
        var mats = Map.of("along", "24 in", "across", "24 in", "shift", "0", "grain", "0");
        writes.put(
                "PUT " + zone + "/stages/layers/{layerId}/stamps",
                () -> laidOut("stamped-overlay", "overlay/stamps", mats));
    }

    private Floor fresh() {
        return app.floor("At once " + ++made);
    }

    private Floor laid() {
        Floor floor = fresh();
        Answer laid = app.put(floor.zonePath() + "/layers", 2, Map.of("system", "epoxy-flake"));
        assertEquals(laid.status(), 200, laid.text());
        return floor;
    }

    private Floor begun() {
        Floor floor = fresh();
        assertEquals(
                app.post(floor.log(), App.allTheSame("COAT", "primer", Map.of()))
                        .status(),
                201);
        return floor;
    }

    private Floor drawn() {
        Floor floor = app.walked("Drawn");
        Answer drawn = app.put(floor.path() + "/plan", 1, App.JSON.writeValueAsString(renamed(floor, "Shed")));
        assertEquals(drawn.status(), 200, drawn.text());
        return floor;
    }

    private ObjectNode renamed(Floor floor, String name) {
        var form =
                (ObjectNode) app.get(floor.path() + "/plan").body().path("form").deepCopy();
        ((ObjectNode) form.path("rooms").path(0)).put("name", name);
        return form;
    }

    private Sent laidOut(String system, String layout, Object form) {
        Floor floor = fresh();
        assertEquals(
                app.put(floor.zonePath() + "/layers", 2, Map.of("system", system))
                        .status(),
                200);
        return new Sent(floor.job(), "PUT", floor.zonePath() + "/stages/layers/" + layout, 0, form);
    }

    private int version(Floor floor, String of) {
        return app.get(floor.path() + of).body().path("version").asInt();
    }

    private static Sent global(String method, String path, Object version, Object body) {
        return new Sent("", method, path, version, body);
    }

    private Sent of(Floor floor, String method, String path, Object body) {
        return new Sent(floor.job(), method, floor.path() + path, version(floor, ""), body);
    }

    private Sent onPlan(Floor floor, String method, String path, Object body) {
        return new Sent(floor.job(), method, floor.path() + path, version(floor, "/plan"), body);
    }

    private Sent zone(Floor floor, String method, String path, Object body) {
        return new Sent(floor.job(), method, floor.zonePath() + path, version(floor, ""), body);
    }

    private Map<String, Object> instrument() {
        var papers = Map.of("name", "Probe " + ++made, "calibrated", "2026-01-01", "due", "2027-01-01");
        return Map.of("kind", "RH_PROBE", "address", "", "papers", papers);
    }

    private ObjectNode sheet(String name) {
        var form = (ObjectNode) app.sheet(PRIMER).path("form").deepCopy();
        form.remove("slug");
        return form.put("name", name);
    }

    private static Map<String, String> leftover() {
        return Map.of("slug", PRIMER, "amount", "1 qt", "lot", "M3", "from", "Boat shed", "units", "US", "by", "Ana");
    }

    private static Set<String> keyed(JsonNode description) {
        var keyed = new TreeSet<String>();
        description.path("paths").propertyStream().forEach(p -> p.getValue()
                .propertyStream()
                .filter(o -> o.getValue().path("parameters").valueStream().anyMatch(h -> h.path("name")
                        .asString()
                        .equals("Idempotency-Key")))
                .forEach(o -> keyed.add(o.getKey().toUpperCase(Locale.ROOT) + " " + p.getKey())));
        return keyed;
    }

    @Test
    public void each_that_is_described_is_tried() {
        var tried = new TreeSet<>(writes.keySet());
        tried.addAll(ELSEWHERE);
        assertEquals(tried, keyed(app.get("/v3/api-docs").body()));
    }

    @DataProvider
    Object[][] operations() {
        return writes.keySet().stream().map(o -> new Object[] {o}).toArray(Object[][]::new);
    }

    @Test(dataProvider = "operations")
    public void under_one_key_it_is_done_once_and_all_are_told(String operation) throws Exception {
        Sent alone = writes.get(operation).get();
        int before = size(alone);
        Answer once = send(alone, UUID.randomUUID());
        assertTrue(once.status() < 300, once.text());
        int change = size(alone) - before;

        Sent sent = writes.get(operation).get();
        before = size(sent);
        UUID key = UUID.randomUUID();
        for (Answer answer : together(() -> send(sent, key))) {
            assertEquals(answer.status(), once.status(), answer.text());
        }
        assertEquals(size(sent) - before, change, "done more than once");
        // and long after
        assertEquals(send(sent, key).status(), once.status());
        assertEquals(size(sent) - before, change, "done again");
    }

    @Test(dataProvider = "operations")
    public void under_keys_of_their_own_each_is_done_or_told(String operation) throws Exception {
        Sent sent = writes.get(operation).get();
        List<Answer> answers = together(() -> send(sent, UUID.randomUUID()));
        List<Integer> statuses = answers.stream().map(Answer::status).sorted().toList();
        assertTrue(statuses.get(0) < 300, answers.get(0).text());
        for (Answer answer : answers) {
            boolean told = answer.status() < 300 || Set.of(400, 404, 412, 422).contains(answer.status());
            assertTrue(told, answer.status() + " " + answer.text());
        }
    }

    private List<Answer> together(Callable<Answer> write) throws Exception {
        var pool = Executors.newFixedThreadPool(AT_ONCE);
        try {
            var answers = new ArrayList<Answer>();
            for (Future<Answer> answer : pool.invokeAll(Collections.nCopies(AT_ONCE, write))) {
                answers.add(answer.get());
            }
            return answers;
        } finally {
            pool.shutdown();
        }
    }

    private Answer send(Sent sent, UUID key) {
        boolean picture = sent.body() instanceof byte[];
        byte[] body = picture ? (byte[]) sent.body() : App.JSON.writeValueAsBytes(sent.body());
        return app.send(app.request(sent.path())
                .header("Content-Type", picture ? "image/jpeg" : "application/json")
                .header("Idempotency-Key", key.toString())
                .header("If-Match", "\"" + sent.version() + "\"")
                .method(sent.method(), BodyPublishers.ofByteArray(body))
                .build());
    }

    /** How much is stored where it writes to: every value and every version that anybody can read of it. */
    private int size(Sent sent) {
        if (sent.job().isEmpty()) {
            return List.of("jobs", "instruments", "paces", "practices", "prices", "sheets", "systems", "store-room")
                    .stream()
                    .mapToInt(p -> size(app.get("/api/" + p).body()))
                    .sum();
        }
        return size(app.get("/api/job-files/" + sent.job()).body())
                + size(app.get("/api/jobs/" + sent.job() + "/plan").body())
                + app.get("/api/jobs/" + sent.job()).body().path("version").asInt()
                + app.get("/api/jobs/" + sent.job()).body().path("changes").asInt();
    }

    private static int size(JsonNode of) {
        int version = of.isObject() ? of.path("version").asInt(0) : 0;
        return 1 + version + of.valueStream().mapToInt(EveryWriteTest::size).sum();
    }
}
