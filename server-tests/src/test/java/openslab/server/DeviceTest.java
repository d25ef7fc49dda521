package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import openslab.server.App.Answer;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** An instrument of another make, over HTTP: what it may say, what it may not, and that nothing is half taken over. */
public class DeviceTest extends OnApp {
    private static final Instant BEGAN = Instant.parse("2026-04-20T00:00:00Z");

    private HttpServer device;
    private int added;

    @AfterMethod
    public void switchOff() {
        if (device != null) {
            device.stop(0);
            device = null;
        }
    }

    private static void answer(HttpExchange exchange, int status, String body) throws IOException {
        byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "application/json");
        exchange.sendResponseHeaders(status, bytes.length);
        exchange.getResponseBody().write(bytes);
        exchange.close();
    }

    private static String description(String... channels) {
        String listed = IntStream.range(0, channels.length / 2)
                .mapToObj(i -> "{\"id\":\"" + channels[2 * i] + "\",\"quantity\":\"" + channels[2 * i + 1] + "\"}")
                .collect(Collectors.joining(","));
        return "{\"format\":\"open-slab-instrument\",\"name\":\"Strange\",\"serial\":\"s\",\"kind\":\"RH_PROBE\","
                + "\"calibrated\":\"2026-01-01\",\"due\":\"2027-01-01\",\"channels\":[" + listed + "]}";
    }

    /** Sample {@code n}, a quarter of an hour after the one before. */
    private static String sample(int n, String channel, String value, String unit) {
        return "{\"n\":" + n + ",\"at\":\"" + BEGAN.plusSeconds(900L * n) + "\",\"channel\":\"" + channel + "\""
                + (value.isEmpty() ? "" : ",\"value\":" + value) + ",\"unit\":\"" + unit + "\"}";
    }

    /** Switches a device on that holds so many samples and gives as many as it is asked for. */
    private String on(String description, int count, IntFunction<String> sample) {
        try {
            device = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
        } catch (IOException e) {
            throw new AssertionError(e);
        }
        device.createContext("/probe", exchange -> {
            String query = exchange.getRequestURI().getQuery();
            if (!exchange.getRequestURI().getPath().endsWith("/samples")) {
                answer(exchange, 200, description);
                return;
            }
            int after = Integer.parseInt(query.replaceAll(".*after=(\\d+).*", "$1"));
            int most = Integer.parseInt(query.replaceAll(".*most=(\\d+).*", "$1"));
            int to = Math.min(count, after + most);
            String samples =
                    IntStream.rangeClosed(after + 1, to).mapToObj(sample).collect(Collectors.joining(","));
            answer(exchange, 200, "{\"samples\":[" + samples + "],\"more\":" + (to < count) + "}");
        });
        device.start();
        return "http://127.0.0.1:" + device.getAddress().getPort() + "/probe";
    }

    private String shelved(String address) {
        var form = Map.of(
                "kind",
                "RH_PROBE",
                "address",
                address,
                "papers",
                Map.of("name", "Strange " + ++added, "calibrated", "2026-01-01", "due", "2027-01-01"));
        Answer answer = app.post("/api/instruments", form);
        assertEquals(answer.status(), 201, answer.text());
        return answer.body().path("id").asString();
    }

    private Answer collect(String id) {
        return app.post("/api/instruments/" + id + "/collect", Map.of());
    }

    private JsonNode sent(String id) {
        return app.get("/api/instruments/" + id + "/samples").body();
    }

    private static long count(JsonNode sent) {
        long sum = 0;
        for (JsonNode series : sent.path("series")) {
            sum += series.path("count").asLong();
        }
        return sum;
    }

    /** More than two pages of it, and then three more. */
    @Test
    public void a_long_log_is_taken_page_by_page_and_goes_on_where_it_ended() {
        String address =
                on(description("A", "AIR_RH"), 12_000, n -> sample(n % 1200, "A", "5" + n % 10 + "." + n % 7, "% RH")
                        .replace("\"n\":" + n % 1200, "\"n\":" + n));
        String id = shelved(address);
        assertEquals(collect(id).body().path("samples").asLong(), 12_000);
        assertEquals(count(sent(id)), 12_000);
        assertEquals(collect(id).body().path("samples").asLong(), 0);
        device.stop(0);
        // moved to another address it is asked from its first number on, and what is here already is left out
        String again = on(description("A", "AIR_RH"), 12_003, n -> sample(
                        n % 1200, "A", n > 12_000 ? "66." + n % 10 : "5" + n % 10 + "." + n % 7, "% RH")
                .replace("\"n\":" + n % 1200, "\"n\":" + n));
        JsonNode shelf = app.get("/api/instruments").body();
        for (JsonNode i : shelf) {
            if (i.path("id").asString().equals(id)) {
                JsonNode papers = i.path("form").path("papers");
                assertEquals(
                        app.put(
                                        "/api/instruments/" + id,
                                        1,
                                        Map.of("kind", "RH_PROBE", "address", again, "papers", papers))
                                .status(),
                        200);
            }
        }
        JsonNode moved = collect(id).body();
        assertEquals(moved.path("samples").asLong(), 3);
        assertEquals(moved.path("repeated").asLong(), 12_000);
        assertEquals(count(sent(id)), 12_003);
        assertEquals(collect(id).body().path("repeated").asLong(), 0);
    }

    /** Two phones press the button at once: every sample is here once, and both are answered. */
    @Test
    public void two_who_collect_at_once_store_every_sample_once() throws Exception {
        String id =
                shelved(on(description("A", "AIR_RH"), 4_000, n -> sample(n, "A", "5" + n % 10 + "." + n % 7, "% RH")));
        var pool = Executors.newFixedThreadPool(6);
        try {
            long sum = 0;
            for (var answer : pool.invokeAll(Collections.<Callable<Answer>>nCopies(6, () -> collect(id)))) {
                assertEquals(answer.get().status(), 200, answer.get().text());
                sum += answer.get().body().path("samples").asLong();
            }
            assertEquals(sum, 4_000);
        } finally {
            pool.shutdown();
        }
        assertEquals(count(sent(id)), 4_000);
    }

    /** One that always has more is taken over in parts; one that counts in circles is refused. */
    @Test
    public void a_device_without_an_end_is_not_followed_for_ever() {
        String endless = shelved(
                on(description("A", "AIR_RH"), Integer.MAX_VALUE, n -> sample(n % 20_000, "A", "5" + n % 10, "%")
                        .replace("\"n\":" + n % 20_000, "\"n\":" + n)));
        JsonNode part = collect(endless).body();
        assertTrue(part.path("more").asBoolean());
        assertEquals(part.path("samples").asLong() + part.path("repeated").asLong(), 200_000);
        device.stop(0);
        Answer circling =
                collect(shelved(on(description("A", "AIR_RH"), Integer.MAX_VALUE, n -> sample(1, "A", "50", "%"))));
        assertEquals(circling.status(), 422);
        assertTrue(circling.text().contains("does not count its samples upwards"), circling.text());
    }

    /** What a device may say that none should. */
    @DataProvider
    Object[][] malformed() {
        return new Object[][] {
            {description("A", "AIR_RH"), "null"},
            {description("A", "AIR_RH"), "{\"n\":1,\"channel\":\"A\",\"value\":50,\"unit\":\"%\"}"},
            {description("A", "AIR_RH"), sample(1, "A".repeat(41), "50", "%")},
            {description("A", "AIR_RH"), sample(1, "A", "50", "%").replace("2026-", "+999999-")},
            {description("A", "AIR_RH").replace("Strange", "S".repeat(100)), sample(1, "A", "50", "%")},
            {description("A", "AIR_RH").replace("[{", "[null,{"), sample(1, "A", "50", "%")},
            {description("A", "AIR_RH").replace("\"AIR_RH\"", "null"), sample(1, "A", "50", "%")},
            {description("A\\u0000", "AIR_RH"), sample(1, "A", "50", "%")},
            {description("<b>A</b>", "AIR_RH"), sample(1, "A", "50", "%")},
            {description("A", "AIR_RH"), sample(1, "<b>A", "50", "%")},
            {description("A", "AIR_RH").replace("Strange", "<i>Strange"), sample(1, "A", "50", "%")},
            {"{", "{"},
        };
    }

    @Test(dataProvider = "malformed")
    public void what_no_instrument_says_is_refused_in_words(String said, String sample) {
        Answer refused = collect(shelved(on(said, 1, n -> sample)));
        assertEquals(refused.status(), 422, refused.text());
        assertEquals(refused.body().path("type").asString(), "/problems/instrument-silent");
    }

    @Test
    public void one_that_says_nothing_of_channels_or_samples_has_none() {
        String bare = description("A", "AIR_RH").replaceAll("\"channels\":.*]", "\"channels\":null");
        assertEquals(
                collect(shelved(on(bare, 0, n -> ""))).body().path("samples").asLong(), 0);
    }

    @Test
    public void another_unit_is_converted_and_a_silent_sensor_is_set_aside() {
        List<String> samples = List.of(
                sample(1, "air", "64.4", "°F"),
                sample(2, "air", "18.1", "°C"),
                sample(3, "air", "", "°C"),
                sample(4, "air", "64.9", "F"));
        String id = shelved(on(description("air", "AIR_TEMPERATURE"), 4, n -> samples.get(n - 1)));
        JsonNode collected = collect(id).body();
        assertEquals(collected.path("setAside").toString(), "{\"no-value\":1}");
        JsonNode recent = sent(id).path("series").path(0).path("recent");
        assertEquals(recent.path(0).path("value").asDouble(), 18, 1e-9);
        assertEquals(recent.path(1).path("value").asDouble(), 18.1, 1e-9);
        assertTrue(recent.path(2).path("value").isMissingNode());
        assertEquals(recent.path(2).path("fault").asString(), "no value");
        assertEquals(
                sent(id).path("series").path(0).path("newest").path("typed").asString(), "18.28 °C");
    }

    /** A channel that it never named spoils the whole page: nothing of it stays, and it can be asked again. */
    @Test
    public void what_it_never_named_is_refused_whole() {
        List<String> samples = new ArrayList<>(
                List.of(sample(1, "A", "80", "%"), sample(2, "A", "80.1", "%"), sample(3, "ghost", "80.2", "%")));
        String id = shelved(on(description("A", "SLAB_RH"), 3, n -> samples.get(n - 1)));
        Answer refused = collect(id);
        assertEquals(refused.status(), 400, refused.text());
        assertEquals(refused.faultyFields(), List.of("channel"));
        assertEquals(count(sent(id)), 0);
        samples.set(2, sample(3, "A", "80.2", "%"));
        assertEquals(collect(id).body().path("samples").asLong(), 3);
    }

    @Test
    public void a_quantity_that_nobody_knows_is_named() {
        String id = shelved(on(description("A", "SALT"), 1, n -> sample(n, "A", "1", "g")));
        Answer refused = collect(id);
        assertEquals(refused.faultyFields(), List.of("channels.A.quantity"), refused.text());
    }

    @Test
    public void an_instrument_that_fails_is_told_and_keeps_what_it_wrote() {
        String address = on("{\"format\":\"something else\"}", 0, n -> "");
        assertEquals(
                app.post("/api/instruments/look", Map.of("address", address)).status(), 422);
        device.stop(0);
        try {
            device = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
        } catch (IOException e) {
            throw new AssertionError(e);
        }
        device.createContext("/probe", exchange -> answer(exchange, 500, "{}"));
        device.start();
        String broken = "http://127.0.0.1:" + device.getAddress().getPort() + "/probe";
        String id = shelved(broken);
        Answer silent = collect(id);
        assertEquals(silent.status(), 422, silent.text());
        assertTrue(silent.body().path("remedy").asString().contains("What it wrote down stays in it"), silent.text());
        device.removeContext("/probe");
        device.createContext("/probe", exchange -> answer(exchange, 200, "not json at all"));
        assertEquals(collect(id).status(), 422);
        assertEquals(count(sent(id)), 0);
        assertEquals(
                app.get("/api/instruments/11111111-1111-1111-1111-111111111111/samples")
                        .status(),
                404);
    }

    @Test
    public void what_it_is_comes_as_a_form_to_be_looked_over() {
        String address = on(description("A", "SLAB_RH"), 0, n -> "");
        JsonNode form = app.post("/api/instruments/look", Map.of("address", address + "/"))
                .body();
        assertEquals(form.path("address").asString(), address, "the stroke at its end is left out");
        assertEquals(form.path("papers").path("name").asString(), "Strange");
        assertEquals(form.path("papers").path("due").asString(), "2027-01-01");
        assertEquals(app.post("/api/instruments/look", Map.of("address", "")).faultyFields(), List.of("address"));
    }
}
