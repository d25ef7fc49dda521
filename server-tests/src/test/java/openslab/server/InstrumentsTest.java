package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import openslab.server.App.Answer;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Instruments on the shelf, what they send over HTTP, and the files they wrote. */
public class InstrumentsTest {
    private static final long WAIT_MS = 20_000;

    private App app;

    @BeforeClass
    public void start() {
        app = App.start(App.emptyFolder(), "--demo=true", "--clock=2026-05-04T12:00:00Z");
    }

    @AfterClass
    public void stop() {
        app.close();
    }

    private JsonNode instrument(String name) {
        for (JsonNode i : app.get("/api/instruments").body()) {
            if (i.path("form").path("papers").path("name").asString().equals(name)) {
                return i;
            }
        }
        throw new AssertionError("no instrument " + name);
    }

    private static Map<String, Object> form(String name, String address, String calibrated, String due) {
        return Map.of(
                "kind",
                "RH_PROBE",
                "address",
                address,
                "papers",
                Map.of("name", name, "calibrated", calibrated, "due", due));
    }

    private String added(String name) {
        var answer = app.post("/api/instruments", form(name, "", "2026-01-01", "2027-01-01"));
        assertEquals(answer.status(), 201, answer.text());
        return answer.body().path("id").asString();
    }

    private JsonNode sent(String id) {
        return app.get("/api/instruments/" + id + "/samples").body();
    }

    private static long total(JsonNode sent) {
        long sum = 0;
        for (JsonNode series : sent.path("series")) {
            sum += series.path("count").asLong();
        }
        return sum;
    }

    private static Map<String, Long> reasons(JsonNode sent) {
        Map<String, Long> reasons = new TreeMap<>();
        sent.path("setAside").forEach(a -> {
            assertTrue(a.path("because").asString().length() > 30, a.toString());
            reasons.merge(a.path("title").asString(), a.path("count").asLong(), Long::sum);
        });
        return reasons;
    }

    /** Seven days of four channels every quarter of an hour, both ends included: 4 · 673. */
    @Test
    public void a_week_of_the_logger_is_kept_whole_and_explained() {
        String id = instrument("Logger 4").path("id").asString();
        JsonNode sent = sent(id);
        assertEquals(total(sent), 4 * 673);
        Map<String, Long> reasons = reasons(sent);
        assertEquals(reasons.get("settling"), Long.valueOf(4 * 96));
        assertEquals(reasons.get("wrong unit"), Long.valueOf(40));
        assertEquals(reasons.get("no value"), Long.valueOf(12));
        assertEquals(reasons.get("clock astray"), Long.valueOf(2));
        assertEquals(reasons.get("leap"), Long.valueOf(3));
        assertTrue(reasons.get("stuck") > 100 && reasons.get("flat battery") > 100, reasons.toString());
        // asked again at the same moment it has nothing new
        var again = app.post("/api/instruments/" + id + "/collect", Map.of());
        assertEquals(again.body().path("samples").asLong(), 0, again.text());
        assertEquals(total(sent(id)), 4 * 673);
        assertTrue(instrument("Pull-off gauge 3").path("lapsed").asBoolean());
    }

    /** The newest value that counts comes as it would be keyed in, by channel. */
    @Test
    public void the_newest_that_counts_can_be_keyed_in() {
        JsonNode hygrometer = sent(instrument("Thermo-hygrometer 2").path("id").asString());
        for (JsonNode series : hygrometer.path("series")) {
            assertEquals(series.path("method").asString(), "climate");
            assertTrue(series.path("newest").path("typed").asString().matches("[0-9.]+ (°C|%)"), series.toString());
        }
    }

    @Test
    public void an_instrument_is_edited_once_and_a_stale_edit_is_told() {
        String id = added("Probe to edit");
        var better = form("Probe edited", "", "2026-02-01", "2027-02-01");
        assertEquals(app.put("/api/instruments/" + id, 1, better).status(), 200);
        Answer stale = app.put("/api/instruments/" + id, 1, better);
        assertEquals(stale.status(), 412, stale.text());
    }

    @Test
    public void a_wrong_instrument_is_refused_by_field() {
        var faults = Map.of(
                form("", "", "2026-01-01", "2027-01-01"), "papers.name",
                form("x", "", "1 May", "2027-01-01"), "papers.calibrated",
                form("x", "", "2026-01-01", "2025-01-01"), "papers.due",
                form("x", "file:///etc/passwd", "2026-01-01", "2027-01-01"), "address",
                form("Logger 4", "", "2026-01-01", "2027-01-01"), "papers.name");
        faults.forEach((form, field) -> {
            Answer answer = app.post("/api/instruments", form);
            assertEquals(answer.status(), 400, answer.text());
            assertEquals(answer.faultyFields(), List.of(field));
        });
        assertEquals(app.post("/api/instruments", Map.of()).status(), 400);
        Answer silent = app.post("/api/instruments/look", Map.of("address", "http://127.0.0.1:1/probe"));
        assertEquals(silent.status(), 422, silent.text());
        assertTrue(silent.body().path("remedy").asString().contains("switched on"), silent.text());
        Answer other =
                app.post("/api/instruments/look", Map.of("address", "http://127.0.0.1:" + app.port + "/api/now"));
        assertEquals(other.status(), 422, other.text());
        Answer byEye = app.post("/api/instruments/" + added("By eye") + "/collect", Map.of());
        assertEquals(byEye.faultyFields(), List.of("address"));
    }

    private Answer offer(String csv) {
        return app.send(app.request("/api/logger-files?timeZone=America/Halifax")
                .header("Content-Type", "text/csv")
                .POST(HttpRequest.BodyPublishers.ofString(csv))
                .build());
    }

    private JsonNode taken(JsonNode offer, String instrument, JsonNode mapping) {
        String path = "/api/logger-files/" + offer.path("fileId").asString();
        Answer begun = app.post(path + "/start", Map.of("instrumentId", instrument, "mapping", mapping));
        assertEquals(begun.status(), 200, begun.text());
        return ended(path);
    }

    private JsonNode ended(String path) {
        long until = System.currentTimeMillis() + WAIT_MS;
        JsonNode progress = app.get(path).body();
        while (progress.path("state").asString().equals("RUNNING") && System.currentTimeMillis() < until) {
            try {
                Thread.sleep(20);
            } catch (InterruptedException e) {
                throw new AssertionError(e);
            }
            progress = app.get(path).body();
        }
        return progress;
    }

    /** The stand-in's own file brings what its address brought, sample for sample. */
    @Test
    public void a_file_brings_what_the_address_brought() {
        String csv = app.get("/stand-ins/logger-4/samples.csv").text();
        JsonNode offer = offer(csv).body();
        JsonNode mapping = offer.path("mapping");
        assertEquals(mapping.path("time").asString(), "at");
        assertEquals(mapping.path("timeFormat").asString(), "ISO");
        assertEquals(mapping.path("channel").asString(), "channel");
        assertEquals(mapping.path("quantity").asString(), "quantity");
        assertEquals(mapping.path("unit").asString(), "unit");
        assertEquals(mapping.path("battery").asString(), "battery_v");
        assertEquals(mapping.path("values").path(0).path("column").asString(), "value");
        JsonNode papers = instrument("Logger 4").path("form").path("papers");
        var twin = app.post(
                "/api/instruments",
                form(
                        "Twin",
                        "",
                        papers.path("calibrated").asString(),
                        papers.path("due").asString()));
        String id = twin.body().path("id").asString();
        JsonNode done = taken(offer, id, mapping);
        assertEquals(done.path("state").asString(), "DONE", done.toString());
        assertEquals(done.path("samples").asLong(), 4 * 673);
        assertEquals(
                reasons(sent(id)),
                reasons(sent(instrument("Logger 4").path("id").asString())));
        assertTrue(offer(csv).body().path("remembered").asBoolean());
    }

    /** Written to the microsecond and kept to the millisecond, it is the same file still. */
    @Test
    public void a_file_taken_twice_is_stored_once() {
        String csv =
                lines("time,probe,value,unit,quantity", 50, i -> "2026-04-01T%02d:%02d:00.000%d00Z,A,80.%d,%%,SLAB_RH"
                        .formatted(i / 6, i % 6 * 10, i % 10, i % 7));
        String id = added("Taken twice");
        JsonNode first = offer(csv).body();
        assertEquals(taken(first, id, first.path("mapping")).path("samples").asLong(), 50);
        JsonNode second = offer(csv).body();
        JsonNode again = taken(second, id, second.path("mapping"));
        assertEquals(again.path("samples").asLong(), 0, again.toString());
        assertEquals(again.path("repeated").asLong(), 50);
        assertEquals(total(sent(id)), 50);
    }

    private static String lines(String header, int count, IntFunction<String> line) {
        return header + "\n" + IntStream.range(0, count).mapToObj(line).collect(Collectors.joining("\n"));
    }

    /** Semicolons, decimal commas, day first, one column for each channel, a clock without an offset. */
    @Test
    public void a_file_with_other_names_is_mapped_once_and_remembered() {
        String csv = lines(
                "Datum/Time;Probe 1 RH;Probe 2 RH;Room temp (°C)", 30, i -> "%02d/03/2026 %02d:00;8%d,5;7%d,25;%d,1"
                        .formatted(20 + i / 24, i % 24, i % 3, i % 4, 17 + i % 2));
        JsonNode offer = offer(csv).body();
        assertEquals(offer.path("columns").size(), 4);
        JsonNode mapping = offer.path("mapping");
        assertEquals(mapping.path("timeFormat").asString(), "DAY_FIRST");
        assertEquals(mapping.path("values").size(), 3);
        ObjectNode changed = (ObjectNode) App.JSON.readTree(mapping.toString());
        App.replace(changed, "/values/0/channel", "\"North\"");
        String id = added("Other names");
        JsonNode done = taken(offer, id, changed);
        assertEquals(done.path("state").asString(), "DONE", done.toString());
        assertEquals(done.path("samples").asLong(), 90);
        JsonNode series = sent(id).path("series");
        List<String> channels = new ArrayList<>();
        series.forEach(s -> channels.add(s.path("channel").asString()));
        assertEquals(channels, List.of("North", "Probe 2 RH", "Room temp (°C)"));
        JsonNode first = series.path(0).path("recent").path(0);
        assertEquals(first.path("at").asString(), "2026-03-20T03:00:00Z");
        assertEquals(first.path("value").asDouble(), 80.5);
        JsonNode again = offer(csv).body();
        assertTrue(again.path("remembered").asBoolean());
        assertEquals(
                again.path("mapping").path("values").path(0).path("channel").asString(), "North");
    }

    @Test
    public void lines_that_cannot_be_read_are_kept_with_their_reason() {
        String csv = lines(
                "time,probe,value,unit,quantity",
                40,
                i -> i % 10 == 3
                        ? "yesterday,A,80,%,SLAB_RH"
                        : "2026-04-0%dT%02d:00:00Z,A,%s,%%,%s"
                                .formatted(
                                        1 + i / 24, i % 24, i == 5 ? "" : "80." + i % 7, i == 7 ? "SALT" : "SLAB_RH"));
        String id = added("Odd lines");
        JsonNode offer = offer(csv).body();
        JsonNode mapping = offer.path("mapping");
        JsonNode done = taken(offer, id, mapping);
        assertEquals(done.path("state").asString(), "DONE", done.toString());
        assertEquals(done.path("oddLines").asLong(), 5);
        assertEquals(done.path("samples").asLong(), 35);
        JsonNode odd = sent(id).path("oddLines");
        assertEquals(odd.size(), 5);
        assertTrue(odd.toString().contains("no such quantity: SALT"), odd.toString());
        assertTrue(odd.toString().contains("yesterday"), odd.toString());
        assertEquals(reasons(sent(id)).get("no value"), Long.valueOf(1));
    }

    @Test
    public void a_file_read_by_the_wrong_columns_is_refused_whole() {
        String id = added("Wrong columns");
        String csv = lines("time,probe,value,unit", 3000, i -> "2026-04-01T00:00:00Z,A,80,%");
        JsonNode offer = offer(csv).body();
        ObjectNode wrong = (ObjectNode) App.JSON.readTree(offer.path("mapping").toString());
        App.replace(wrong, "/time", "\"probe\"");
        JsonNode failed = taken(offer, id, wrong);
        assertEquals(failed.path("state").asString(), "FAILED", failed.toString());
        assertTrue(failed.path("faults").path(0).path("value").asString().contains("line"), failed.toString());
        assertEquals(total(sent(id)), 0);
        assertEquals(sent(id).path("oddLines").size(), 0);
        // and the same file, read rightly, goes in
        JsonNode done = taken(offer, id, offer.path("mapping"));
        assertEquals(done.path("state").asString(), "DONE", done.toString());
        App.replace(wrong, "/time", "\"nothing\"");
        App.replace(wrong, "/timeZone", "\"Atlantis\"");
        App.replace(wrong, "/values", "[]");
        JsonNode other = offer(csv).body();
        Answer refused = app.post(
                "/api/logger-files/" + other.path("fileId").asString() + "/start",
                Map.of("instrumentId", id, "mapping", wrong));
        assertEquals(refused.faultyFields(), List.of("mapping.time", "mapping.timeZone", "mapping.values"));
        assertEquals(offer("").status(), 400);
        assertEquals(offer("one column\n1").status(), 400);
    }

    /** Stopped while it runs, however far it is: nothing of it is there, and the shelf goes on. */
    /** As wide as it may be: 64 columns with values, each with the longest name and channel. */
    @Test
    public void the_widest_file_is_taken_over_and_remembered() {
        var head = new StringBuilder("time");
        var line = new StringBuilder("2026-05-04 09:30");
        ArrayNode values = App.JSON.createArrayNode();
        for (int i = 0; i < 64; i++) {
            String name = "%s%02d".formatted("'".repeat(78), i);
            head.append(',').append(name);
            line.append(",7").append(i % 10);
            values.addObject()
                    .put("column", name)
                    .put("channel", "%s%02d".formatted("c".repeat(38), i))
                    .put("quantity", "AIR_TEMPERATURE")
                    .put("unit", "°C");
        }
        JsonNode offer = offer(head + "\n" + line + "\n").body();
        var mapping = (ObjectNode) offer.path("mapping").deepCopy();
        mapping.put("time", "time")
                .put("timeFormat", "YEAR_FIRST")
                .put("channel", "")
                .set("values", values);
        JsonNode done = taken(offer, added("Wide"), mapping);
        assertEquals(done.path("state").asString(), "DONE", done.toString());
        assertEquals(done.path("samples").asLong(), 64);
        assertTrue(offer(head + "\n" + line + "\n").body().path("remembered").asBoolean());
        Answer wider = offer("time," + "n".repeat(81) + "\n2026-05-04 09:30,7\n");
        assertEquals(wider.faultyFields(), List.of("file"), wider.text());
    }

    /** A line without an end, and a quotation mark that is never closed: neither is read into memory. */
    @Test
    public void a_line_without_an_end_is_refused() {
        for (String endless : List.of("7".repeat(4_000_000), "\"" + "7\n".repeat(2_000_000))) {
            Answer refused = offer("time,RH\n2026-05-04 09:30," + endless);
            assertEquals(refused.faultyFields(), List.of("file"), refused.text());
            assertTrue(refused.text().contains("1048576 bytes"), refused.text());
            // behind what is looked at before it is taken over
            JsonNode offer = offer("time,RH\n" + "2026-05-04 09:30,70\n".repeat(9) + "2026-05-04 09:30," + endless)
                    .body();
            JsonNode ended = taken(offer, added("Endless " + endless.length()), offer.path("mapping"));
            assertEquals(ended.path("state").asString(), "FAILED", ended.toString());
            assertTrue(ended.toString().contains("1048576 bytes"), ended.toString());
        }
    }

    @Test
    public void a_stopped_import_leaves_nothing_behind() {
        String id = added("Stopped");
        String csv = lines("seconds since 1970 (time),probe,value,unit", 200_000, i -> "%d,A,%d.%d,%%"
                .formatted(1_770_000_000 + 60 * i, 70 + i % 5, i % 10));
        JsonNode offer = offer(csv).body();
        assertEquals(offer.path("mapping").path("timeFormat").asString(), "SECONDS");
        String path = "/api/logger-files/" + offer.path("fileId").asString();
        app.post(path + "/start", Map.of("instrumentId", id, "mapping", offer.path("mapping")));
        long until = System.currentTimeMillis() + WAIT_MS;
        while (app.get(path).body().path("samples").asLong() == 0 && System.currentTimeMillis() < until) {
            Thread.onSpinWait();
        }
        app.send(app.request(path).DELETE().build());
        JsonNode stopped = ended(path);
        assertEquals(stopped.path("state").asString(), "STOPPED", stopped.toString());
        assertEquals(stopped.path("samples").asLong(), 0);
        assertEquals(sent(id).path("series").size(), 0);
        assertEquals(
                app.post(path + "/start", Map.of("instrumentId", id, "mapping", offer.path("mapping")))
                        .body()
                        .path("state")
                        .asString(),
                "STOPPED");
        assertEquals(app.get("/api/logger-files/" + UUID.randomUUID()).status(), 404);
    }
}
