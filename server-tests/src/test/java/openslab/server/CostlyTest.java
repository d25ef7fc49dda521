package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.lang.management.ManagementFactory;
import java.net.http.HttpRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Small files and forms that ask for much: each is answered, or refused in words that name a bound, and what comes after it
 * is served as before. {@code ./slab bench} prints what each took, what of it is kept in memory, and, where it is answered, how
 * that grows.
 */
public class CostlyTest {
    /** At both sizes, and what is kept of it: {@code ./slab bench} asks for that. */
    private static final boolean MEASURED = Boolean.getBoolean("openslab.measure");

    /** @param word of what is accepted, in a refusal; empty where it is answered */
    private record Costly(String what, IntFunction<Answer> send, int size, int twice, String word) {
        @Override
        public String toString() {
            return what;
        }
    }

    private App app;
    private Floor floor;

    @BeforeClass
    void start() {
        app = App.start(App.emptyFolder(), "--clock=2026-05-04T12:00:00Z");
        floor = app.floor("Costly");
        // so that what is loaded at the first use of all is not counted against the first that asks
        send("drawing, first", this::offered, comb(100));
        traced(comb(20));
    }

    @AfterClass
    void stop() {
        app.close();
    }

    private Answer send(String what, java.util.function.Function<String, Answer> send, String text) {
        Answer answer = send.apply(text);
        assertEquals(answer.status(), 200, what + ": " + answer.text());
        return answer;
    }

    // drawings

    private static String dxf(String entities) {
        return "0\nSECTION\n2\nENTITIES\n" + entities + "0\nENDSEC\n0\nEOF\n";
    }

    private static String pair(int group, Object value) {
        return group + "\n" + value + "\n";
    }

    private static String line(double x1, double y1, double x2, double y2) {
        return pair(0, "LINE") + pair(8, "walls") + pair(10, x1) + pair(20, y1) + pair(11, x2) + pair(21, y2);
    }

    /** A comb of {@code places}: a room whose wall goes up and down. */
    private static String comb(int places) {
        var ring = new StringBuilder(pair(0, "LWPOLYLINE") + pair(8, "walls") + pair(90, places + 2) + pair(70, 1));
        for (int i = 0; i < places; i++) {
            ring.append(pair(10, i * 0.01)).append(pair(20, 5 + i % 2));
        }
        ring.append(pair(10, places * 0.01))
                .append(pair(20, 0))
                .append(pair(10, 0))
                .append(pair(20, 0));
        return dxf(ring.toString());
    }

    /** So many lines, half of them across the others. */
    private static String crossing(int lines) {
        int half = lines / 2;
        return dxf(IntStream.range(0, half)
                .mapToObj(i -> line(i, -1, i, half) + line(-1, i + 0.5, half, i + 0.5))
                .collect(Collectors.joining()));
    }

    private static String circles(int n, IntFunction<double[]> at) {
        return dxf(IntStream.range(0, n)
                .mapToObj(at)
                .map(c -> pair(0, "CIRCLE") + pair(8, "walls") + pair(10, c[0]) + pair(20, c[1]) + pair(40, c[2]))
                .collect(Collectors.joining()));
    }

    private Answer offered(String text) {
        return app.post("/api/plan-files/offer", Map.of("text", text));
    }

    /** Into a job of its own, so that the next finds an empty plan. */
    private Answer traced(String text) {
        Floor fresh = app.floor("Traced");
        var form = Map.of("text", text, "unit", "m", "roles", Map.of("walls", "ROOM"));
        return app.post("/api/plan-files/" + fresh.job() + "/rooms", UUID.randomUUID(), 0, form);
    }

    // plans

    private static Map<String, Object> at(double along, double off) {
        return Map.of("along", along + " m", "off", off + " m");
    }

    /** One room of 100 m by 100 m with {@code more}, as the plan's form. */
    private Answer plan(Map<String, Object> more) {
        Floor fresh = app.floor("Plan");
        var room = new java.util.TreeMap<String, Object>(more);
        room.put("id", "r");
        room.put("name", "Hall");
        room.putIfAbsent(
                "runs",
                IntStream.range(0, 4)
                        .mapToObj(i -> Map.of("id", "w" + i, "length", "100 m", "turn", "L"))
                        .toList());
        return app.put(fresh.path() + "/plan", 0, Map.of("rooms", List.of(room), "north", "0"));
    }

    private Answer cuts(int n) {
        int half = n / 2;
        var cuts = new ArrayList<Map<String, Object>>();
        for (int i = 0; i < half; i++) {
            double along = 100.0 * (i + 0.5) / half;
            cuts.add(Map.of("id", "a" + i, "from", at(along, -1), "to", at(along, 101)));
            cuts.add(Map.of("id", "b" + i, "from", at(-1, along), "to", at(101, along)));
        }
        return plan(Map.of("cuts", cuts));
    }

    private Answer bows(int walls, int offsets) {
        var measures = java.util.Collections.nCopies(offsets, "1 cm");
        return plan(Map.of(
                "runs",
                IntStream.range(0, walls)
                        .mapToObj(i -> Map.of(
                                "id",
                                "w" + i,
                                "length",
                                "1 m",
                                "turn",
                                "L " + 360.0 / walls,
                                "bow",
                                Map.of("kind", "offsets", "side", "left", "measures", measures)))
                        .toList()));
    }

    private Answer columns(int n) {
        return plan(Map.of(
                "openings",
                IntStream.range(0, n)
                        .mapToObj(i -> Map.of(
                                "id",
                                "o" + i,
                                "name",
                                "Column",
                                "kind",
                                "COLUMN",
                                "at",
                                at(2 + i % 48 * 2, 2 + i / 48 * 2),
                                "length",
                                "1 m"))
                        .toList()));
    }

    private Answer cracks(int n, int places) {
        return plan(Map.of(
                "cracks",
                IntStream.range(0, n)
                        .mapToObj(k -> Map.of(
                                "id",
                                "k" + k,
                                "line",
                                IntStream.range(0, places)
                                        .mapToObj(i -> at(1 + 98.0 * i / places, 1 + (k + i % 2) * 0.1))
                                        .toList(),
                                "width",
                                "1 mm",
                                "depth",
                                "10 mm",
                                "moving",
                                false))
                        .toList()));
    }

    private Answer heights(int n) {
        int columns = 100;
        return plan(Map.of(
                "levels",
                Map.of(
                        "at",
                        at(0.5, 0.5),
                        "step",
                        "0.3 m",
                        "columns",
                        columns,
                        "heights",
                        IntStream.range(0, n).mapToObj(i -> i % 7 + " mm").toList(),
                        "fillTo",
                        "",
                        "fall",
                        "")));
    }

    // forms and files

    private Answer strangers(int n) {
        var form = App.zoneForm("Strange");
        form.put("settings", IntStream.range(0, n).boxed().collect(Collectors.toMap(i -> "stranger" + i, i -> "x"
                .repeat(30))));
        return app.post(floor.path() + "/zones", UUID.randomUUID(), 2, form);
    }

    private Answer text(String field, String text) {
        var form = App.logForm("READING", "ph", "A", Map.of("ph", "8.5"));
        form.put(field, text);
        return app.post(floor.log(), form);
    }

    private Answer value(String text) {
        return app.post(floor.log(), App.logForm("READING", "ph", "A", Map.of("ph", text)));
    }

    private Answer address(String address) {
        return app.post("/api/instruments/look", Map.of("address", address));
    }

    private Answer readings(int n) {
        Floor fresh = app.floor("Readings");
        String lines = IntStream.range(0, n)
                .mapToObj(i -> "North bay,ph,P" + i + ",2026-05-04T09:00:00Z,Wren,8." + i % 10)
                .collect(Collectors.joining("\r\n"));
        return app.post(
                "/api/readings-files/" + fresh.job(), Map.of("text", "zone,method,place,at,by,ph.ph\r\n" + lines));
    }

    private Answer jobFile(int n) {
        Floor fresh = app.floor("Job file");
        app.post(fresh.log(), App.logForm("READING", "ph", "A", Map.of("ph", "8.5")));
        var file = (ObjectNode) app.get("/api/job-files/" + fresh.job()).body();
        var log = (tools.jackson.databind.node.ArrayNode)
                file.path("zones").path(0).path("log");
        ObjectNode first = (ObjectNode) log.path(0);
        for (int i = 1; i < n; i++) {
            log.add(first.deepCopy().put("key", UUID.randomUUID().toString()));
        }
        return app.post("/api/job-files?copy=true", file);
    }

    private Answer logger(int channels) {
        String instrument = app.post(
                        "/api/instruments",
                        Map.of(
                                "kind",
                                "RH_PROBE",
                                "address",
                                "",
                                "papers",
                                Map.of(
                                        "name",
                                        "Logger " + UUID.randomUUID(),
                                        "calibrated",
                                        "2026-01-01",
                                        "due",
                                        "2027-01-01")))
                .body()
                .path("id")
                .asString();
        String csv = "time,probe,value,unit,quantity\n"
                + IntStream.range(0, channels)
                        .mapToObj(i -> "2026-04-01T00:00:00Z,P" + i + ",80,%,SLAB_RH")
                        .collect(Collectors.joining("\n"));
        JsonNode offer = app.send(app.request("/api/logger-files?timeZone=America/Halifax")
                        .header("Content-Type", "text/csv")
                        .POST(HttpRequest.BodyPublishers.ofString(csv))
                        .build())
                .body();
        String path = "/api/logger-files/" + offer.path("fileId").asString();
        app.post(path + "/start", Map.of("instrumentId", instrument, "mapping", offer.path("mapping")));
        Answer progress = app.get(path);
        while (progress.body().path("state").asString().equals("RUNNING")) {
            Thread.onSpinWait();
            progress = app.get(path);
        }
        return progress;
    }

    /** Six sizes without a price, and a floor that takes 500 L. */
    private Answer kits(int sizes) {
        ObjectNode form = (ObjectNode)
                App.JSON.readTree(app.sheet("epoxy-primer").path("form").toString());
        form.put("name", "Many sizes " + UUID.randomUUID());
        form.remove("slug");
        var kits = form.putArray("kits");
        for (int i = 0; i < sizes; i++) {
            kits.addObject()
                    .put("label", "size " + i)
                    .put("size", (0.83 + i * 1.37) + " L")
                    .put("price", "0");
        }
        Answer made = app.post("/api/sheets", form);
        assertEquals(made.status(), 200, made.text());
        Floor fresh = app.floor("Kits");
        var zone = App.zoneForm("Wide");
        zone.put("sides", Map.of("length", "200 m", "width", "20 m"));
        app.put(fresh.zonePath(), 2, zone);
        var layer = Map.of("sheet", made.body().path("digest").asString(), "plannedStart", "");
        return app.put(fresh.zonePath() + "/layers/primer", 3, layer);
    }

    @DataProvider
    Object[][] costly() {
        String bow = "places along walls";
        return List.of(
                        new Costly(
                                "drawing: one line round so many places, offered",
                                n -> offered(comb(n)),
                                20_000,
                                40_000,
                                ""),
                        new Costly("drawing: a room of so many places, traced", n -> traced(comb(n)), 900, 1_800, ""),
                        new Costly(
                                "drawing: a room of 40,000 places, traced", n -> traced(comb(n)), 40_000, 0, "at most"),
                        new Costly("drawing: so many lines that cross, traced", n -> traced(crossing(n)), 8, 14, ""),
                        new Costly("drawing: 300 lines that cross, traced", n -> traced(crossing(n)), 300, 0, "cross"),
                        new Costly(
                                "drawing: 1,000 lines that cross, traced", n -> traced(crossing(n)), 1000, 0, "cross"),
                        new Costly(
                                "drawing: so many circles in one another, offered",
                                n -> offered(circles(n, i -> new double[] {0, 0, 1 + i})),
                                1_000,
                                2_000,
                                ""),
                        new Costly(
                                "drawing: 3,000 circles in one another, traced",
                                n -> traced(circles(n, i -> new double[] {0, 0, 1 + i})),
                                3_000,
                                0,
                                "at most"),
                        new Costly(
                                "drawing: a radius of 1e9, traced",
                                n -> traced(circles(n, i -> new double[] {0, 0, 1e9})),
                                1,
                                0,
                                "radius"),
                        new Costly("plan: so many cuts that cross", this::cuts, 60, 120, ""),
                        new Costly("plan: 500 cuts that cross", this::cuts, 500, 0, "cross"),
                        new Costly("plan: so many walls bowed by 20 offsets", n -> bows(n, 20), 100, 200, ""),
                        new Costly("plan: 2,000 walls bowed by 30 offsets", n -> bows(n, 30), 2_000, 0, bow),
                        new Costly("plan: so many columns", this::columns, 240, 480, ""),
                        new Costly("plan: so many cracks of 50 places", n -> cracks(n, 50), 100, 200, ""),
                        new Costly("plan: 500 cracks of 150 places", n -> cracks(n, 150), 500, 0, bow),
                        new Costly("plan: so many heights", this::heights, 5_000, 10_000, ""),
                        new Costly("plan: 30,000 heights", this::heights, 30_000, 0, "20000"),
                        new Costly("zone: 60,000 settings that there are not", this::strangers, 60_000, 0, "only"),
                        new Costly(
                                "reading: a name of a million characters",
                                n -> text("by", "x".repeat(n)),
                                1_000_000,
                                0,
                                "characters"),
                        new Costly(
                                "reading: a number of a million digits", n -> value("9".repeat(n)), 1_000_000, 0, "14"),
                        new Costly(
                                "reading: a number of a million spaces",
                                n -> value("1" + " ".repeat(n) + "x"),
                                1_000_000,
                                0,
                                "14"),
                        new Costly(
                                "instrument: an address of 100,000 dots",
                                n -> address("http://" + "a.".repeat(n)),
                                100_000,
                                0,
                                "200 characters"),
                        new Costly("instrument: a logger file of 5,000 channels", this::logger, 5_000, 0, "500"),
                        new Costly("instrument: a logger file of so many channels", this::logger, 200, 400, ""),
                        new Costly("readings: so many lines of a file", this::readings, 5_000, 10_000, ""),
                        new Costly("readings: 30,000 lines of a file", this::readings, 30_000, 0, "10000"),
                        new Costly("job file: so many entries", this::jobFile, 5_000, 10_000, ""),
                        new Costly("kits: so many sizes without a price, 4,000 m²", this::kits, 6, 12, ""))
                .stream()
                .map(c -> new Object[] {c})
                .toArray(Object[][]::new);
    }

    private static long kept() {
        if (!MEASURED) {
            return 0;
        }
        System.gc();
        return ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed();
    }

    /** Answers the milliseconds. */
    private static double printed(Costly costly, int n, double before) {
        long held = kept();
        long from = System.nanoTime();
        Answer answer = costly.send.apply(n);
        double ms = (System.nanoTime() - from) / 1e6;
        String said = answer.text();
        if (costly.word.isEmpty()) {
            assertTrue(
                    answer.status() < 300 && !said.contains("\"FAILED\""),
                    costly.what + " " + n + ": " + answer.status() + " "
                            + said.substring(0, Math.min(500, said.length())));
        } else {
            assertTrue(
                    answer.status() >= 400 && answer.status() < 500 || said.contains("\"FAILED\""),
                    costly.what + ": " + answer.status());
            assertTrue(said.contains(costly.word), costly.what + ": " + said);
            assertTrue(said.length() < 20_000, costly.what + " answers " + said.length() + " characters");
        }
        String kept = MEASURED ? String.format(", %.1f MB kept", (kept() - held) / 1e6) : "";
        System.out.printf(
                "Costly, %s%s: %s in %.0f ms%s%s%n",
                costly.what,
                costly.word.isEmpty() ? ", " + n : "",
                costly.word.isEmpty() ? "answered" : "refused",
                ms,
                kept,
                before > 0 ? String.format(", %.1f times the one before", ms / before) : "");
        return ms;
    }

    @Test(dataProvider = "costly")
    public void what_asks_for_much_is_answered_or_refused_in_words(Costly costly) {
        double once = printed(costly, costly.size, 0);
        if (costly.twice > 0 && MEASURED) {
            printed(costly, costly.twice, once);
        }
        assertEquals(app.get(floor.path()).status(), 200);
    }
}
