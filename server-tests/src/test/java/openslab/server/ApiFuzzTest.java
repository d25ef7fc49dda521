package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.sun.management.OperatingSystemMXBean;
import java.io.IOException;
import java.io.InputStream;
import java.lang.management.ManagementFactory;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every path of the API's own description is sent what it does not expect: seeded, mutated by kind. Nothing ends as our
 * mistake, and whatever was stored can be read, printed and exported again. {@code -Dopenslab.fuzz=20000} sends more.
 */
public class ApiFuzzTest {
    private static final int REQUESTS = Integer.getInteger("openslab.fuzz", 2000);
    private static final OperatingSystemMXBean PROCESS =
            ManagementFactory.getPlatformMXBean(OperatingSystemMXBean.class);
    private static final HttpClient HTTP = HttpClient.newHttpClient();
    private static final String[] TEXTS = {
        "",
        " ",
        "\ud800",
        "a\udc00b",
        "\ufffe",
        "\uffff",
        "\u0000",
        "\u202eback",
        "=cmd|' /C calc'!A0",
        "<script>alert(1)</script>",
        "'; drop table job; --",
        "%",
        "../../etc/passwd",
        "NaN",
        "1e999",
        "-1",
        "9999999999999999999999",
        "31/02/2026",
        "12' 4-1/2\"",
        "\u0661\u0662",
        "null",
        "\ud83e\uddf1".repeat(40),
        "x".repeat(5000)
    };
    private static final String[] TYPES = {"application/yaml", "text/plain", "application/x-www-form-urlencoded", "json"
    };

    /** How often one of a list comes again. */
    private static final String[] SIZES = {"1", "50", "300", "3000"};

    private static final String[] ACCEPTED = {
        "application/yaml",
        "application/xml",
        "text/html",
        "application/problem+json",
        "image/*",
        "*/*;q=0",
        "nonsense",
        "text/csv"
    };

    private App app;
    private JsonNode description;
    private final Random random = new Random(20_261_128);
    private final List<String> ids = new ArrayList<>();
    private final Map<String, JsonNode> examples = new TreeMap<>();
    private final Map<Integer, Integer> statuses = new TreeMap<>();
    /** The first of each operation. */
    private final Map<String, String> mistakes = new TreeMap<>();

    /** Of the processor, in all threads of application and test: what others do on the machine is no part of it. */
    private long costliestMs;

    private String costliest = "";

    @BeforeClass
    void start() {
        app = App.start(App.emptyFolder(), "--demo=true", "--clock=2026-05-04T12:00:00Z");
        description = app.get("/v3/api-docs").body();
        ids.add(UUID.randomUUID().toString());
        for (JsonNode item : app.get("/api/jobs").body()) {
            learn(item.path("id").asString());
        }
        app.get("/api/instruments").body().forEach(i -> {
            ids.add(i.path("id").asString());
            examples.put("InstrumentForm", i.path("form"));
        });
        app.get("/api/sheets").body().forEach(s -> {
            ids.add(s.path("slug").asString());
            ids.add(s.path("digest").asString());
            examples.put("SheetForm", s.path("form"));
        });
        examples.put("LogForm", App.JSON.valueToTree(App.logForm("READING", "ph", "A", Map.of("ph", "8.5"))));
        examples.put("LayerForm", App.JSON.valueToTree(Map.of("plannedStart", "2026-05-05T08:00:00Z")));
        examples.put("AddressForm", App.JSON.valueToTree(Map.of("address", "http://127.0.0.1:9/probe")));
        examples.put("ReadingsForm", App.JSON.valueToTree(Map.of("text", "zone,method,at,by,ph.ph\r\nA,ph,x,Wren,8")));
        examples.put("FileForm", App.JSON.valueToTree(Map.of("text", "0\nSECTION\n2\nENTITIES\n0\nENDSEC\n0\nEOF\n")));
        examples.put("WashForm", wash());
        examples.put(
                "ShiftForm",
                App.JSON.valueToTree(
                        Map.of("units", "US", "spells", List.of(Map.of("air", "40 µg/m³", "hours", "4 h")))));
    }

    private static JsonNode wash() {
        return App.JSON.valueToTree(Map.of(
                "chemical",
                "DEGREASER",
                "ratio",
                "1:20",
                "vessel",
                "5 gal",
                "area",
                "500 ft²",
                "spread",
                "150 ft²/gal",
                "units",
                "US"));
    }

    private void learn(String jobId) {
        ids.add(jobId);
        JsonNode job = app.get("/api/jobs/" + jobId).body();
        examples.put("JobForm", job.path("facts"));
        job.path("zones").forEach(z -> {
            ids.add(z.path("id").asString());
            examples.put("ZoneForm", z.path("facts"));
            z.path("layers").forEach(l -> ids.add(l.path("id").asString()));
        });
        job.path("log").forEach(e -> ids.add(e.path("key").asString()));
        JsonNode form = app.get("/api/jobs/" + jobId + "/plan").body().path("form");
        if (!form.path("rooms").isEmpty()) {
            examples.put("PlanForm", form);
            form.path("rooms").forEach(r -> ids.add(r.path("id").asString()));
            examples.put("PlanEchoForm", App.JSON.valueToTree(Map.of("form", form, "units", "US")));
        }
        examples.put("JobFile", app.get("/api/job-files/" + jobId).body());
    }

    @AfterClass
    void stop() {
        app.close();
    }

    @Test
    public void nothing_that_is_sent_is_our_mistake() {
        List<String[]> operations = operations();
        for (int i = 0; i < REQUESTS; i++) {
            String[] operation = operations.get(i % operations.size());
            send(operation[0], operation[1]);
        }
        System.out.printf(
                "fuzz: %d requests to %d operations, answered %s; the costliest took %d ms of the processor: %s%n",
                REQUESTS, operations.size(), statuses, costliestMs, costliest);
        assertTrue(mistakes.isEmpty(), mistakes.size() + " of them:\n" + String.join("\n", mistakes.values()));
        assertTrue(statuses.getOrDefault(200, 0) + statuses.getOrDefault(201, 0) > REQUESTS / 20, statuses.toString());
    }

    @Test(dependsOnMethods = "nothing_that_is_sent_is_our_mistake", alwaysRun = true)
    public void whatever_was_stored_is_read_printed_and_exported_again() {
        for (JsonNode item : app.get("/api/jobs").body()) {
            String id = item.path("id").asString();
            JsonNode job = well("/api/jobs/" + id).body();
            well("/api/jobs/" + id + "/plan").body().path("form").path("rooms").forEach(r -> {
                String room =
                        "/api/plan-files/" + id + "/rooms/" + path(r.path("id").asString());
                well(room + ".svg?scale=50");
            });
            well("/api/readings-files/" + id + ".csv");
            well("/api/plan-files/" + id + ".dxf");
            well("/api/plan-files/" + id + ".geojson");
            well("/api/survey-reports/" + id + ".pdf?working=true");
            job.path("zones").forEach(z -> {
                String zone = z.path("id").asString();
                well("/api/jobs/" + id + "/zones/" + zone + "/maps");
                well("/api/jobs/" + id + "/zones/" + zone + "/stages/prep");
                well("/api/prep-sheets/" + id + "/" + zone + ".pdf");
            });
            String file = well("/api/job-files/" + id).text();
            App.Answer copy = app.write("POST", "/api/job-files?copy=true", file, key());
            assertEquals(copy.status(), 201, copy.text());
        }
        for (JsonNode instrument : well("/api/instruments").body()) {
            well("/api/instruments/" + instrument.path("id").asString() + "/samples");
        }
        well("/api/sheets");
        well("/api/paces");
    }

    private App.Answer well(String path) {
        App.Answer answer = app.get(path);
        assertEquals(answer.status(), 200, path + ": " + answer.text());
        return answer;
    }

    private static Map<String, String> key() {
        return Map.of("Idempotency-Key", UUID.randomUUID().toString());
    }

    private List<String[]> operations() {
        var all = new ArrayList<String[]>();
        description.path("paths").propertyStream().forEach(p -> p.getValue()
                .propertyStream()
                .forEach(o -> all.add(new String[] {o.getKey().toUpperCase(java.util.Locale.ROOT), p.getKey()})));
        return all;
    }

    private void send(String method, String template) {
        JsonNode operation = description.path("paths").path(template).path(method.toLowerCase(java.util.Locale.ROOT));
        String path = filled(template, operation);
        var request = app.request(path).timeout(Duration.ofMinutes(1));
        if (random.nextInt(20) > 0) {
            request.header("Idempotency-Key", UUID.randomUUID().toString());
        }
        if (random.nextInt(20) > 0) {
            request.header("If-Match", version(path));
        }
        if (random.nextInt(8) == 0) {
            request.header("Accept", pick(ACCEPTED));
        }
        JsonNode content = operation.path("requestBody").path("content");
        String body = content.isMissingNode() ? "" : body(content);
        if (!method.equals("GET")) {
            String type = content.isMissingNode()
                    ? "application/json"
                    : content.propertyNames().iterator().next();
            request.header("Content-Type", random.nextInt(30) == 0 ? TYPES[random.nextInt(TYPES.length)] : type);
        }
        request.method(
                method,
                body.isEmpty()
                        ? HttpRequest.BodyPublishers.noBody()
                        : HttpRequest.BodyPublishers.ofByteArray(body.getBytes(StandardCharsets.UTF_8)));
        long from = PROCESS.getProcessCpuTime();
        String what = method + " " + path + " " + (body.length() > 300 ? body.substring(0, 300) : body);
        int status = answered(request.build(), method + " " + template, what);
        long ms = (PROCESS.getProcessCpuTime() - from) / 1_000_000;
        if (ms > costliestMs) {
            costliestMs = ms;
            costliest = what.substring(0, Math.min(160, what.length()));
        }
        statuses.merge(status, 1, Integer::sum);
    }

    /** A stream of events never ends: its beginning is its answer. */
    private int answered(HttpRequest request, String operation, String what) {
        try {
            HttpResponse<InputStream> answer = HTTP.send(request, HttpResponse.BodyHandlers.ofInputStream());
            try (InputStream in = answer.body()) {
                String text =
                        answer.headers().firstValue("Content-Type").orElse("").contains("event-stream")
                                ? ""
                                : new String(in.readAllBytes(), StandardCharsets.UTF_8);
                boolean told = answer.statusCode() < 400
                        || text.isEmpty()
                        || text.startsWith("{")
                        || text.startsWith("<!doctype");
                if (answer.statusCode() >= 500 || !told) {
                    mistakes.putIfAbsent(
                            operation + " " + answer.statusCode(), answer.statusCode() + " " + text + " to " + what);
                }
            }
            return answer.statusCode();
        } catch (IOException | InterruptedException e) {
            throw new AssertionError(what, e);
        }
    }

    /** The job's own version, so that most of what is sent is looked at. */
    private String version(String path) {
        String[] parts = path.split("/");
        if (parts.length < 4 || !parts[2].equals("jobs") && !parts[2].equals("plan-files")) {
            return pick("\"1\"", "1", "\"\"", "999999999", "-1", "x");
        }
        boolean plan = path.contains("/plan") || path.contains("/walk");
        JsonNode there =
                app.get("/api/jobs/" + parts[3] + (plan ? "/plan" : "")).body();
        return random.nextInt(10) == 0 ? "0" : there.path("version").asString("1");
    }

    private String filled(String template, JsonNode operation) {
        String path = template;
        var query = new ArrayList<String>();
        for (JsonNode p : operation.path("parameters")) {
            String name = p.path("name").asString();
            if (p.path("in").asString().equals("path")) {
                path = path.replace("{" + name + "}", path(parameter(name)));
            } else if (p.path("in").asString().equals("query") && random.nextInt(4) > 0) {
                query.add(name + "=" + path(parameter(name)));
            }
        }
        return path + (query.isEmpty() ? "" : "?" + String.join("&", query));
    }

    private String parameter(String name) {
        if (random.nextInt(12) == 0) {
            return pick(TEXTS);
        }
        return switch (name) {
            case "corner" -> pick("0", "1", "3", "-1", "999999999999", "x");
            case "work" -> pick("grind", "sweep", "none");
            case "units" -> pick("US", "METRIC", "us", "");
            case "scale" -> pick("50", "1", "0", "-1", "1e9", "x");
            case "thickness" -> pick("4 in", "100 mm", "0", "1e9", "x");
            case "timeZone" -> pick("America/Halifax", "Mars/Base", "", "\ud800");
            case "copy", "early", "working" -> pick("true", "false", "maybe");
            default -> ids.get(random.nextInt(ids.size()));
        };
    }

    private static String path(String text) {
        return java.net.URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    private String pick(String... of) {
        return of[random.nextInt(of.length)];
    }

    private String body(JsonNode content) {
        String type = content.propertyNames().iterator().next();
        if (!type.contains("json")) {
            return pick("", "time,RH\n2026-05-04 09:30,70\n", "\ufffe", "x".repeat(2000), "a,b\n1");
        }
        JsonNode made = made(content.path(type).path("schema"), 0);
        int changes = random.nextInt(4);
        JsonNode root = made.deepCopy();
        for (int i = 0; i < changes; i++) {
            root = mutated(root);
        }
        String text = root.toString();
        return switch (random.nextInt(60)) {
            case 0 -> text.substring(0, text.length() / 2);
            case 1 -> "[".repeat(3000) + "]".repeat(3000);
            case 2 -> "{}";
            case 3 -> "null";
            case 4 -> text + text;
            default -> text;
        };
    }

    /** An example where there is one, else what the description says. */
    private JsonNode made(JsonNode schema, int depth) {
        String ref = schema.path("$ref").asString("");
        if (!ref.isEmpty()) {
            String name = ref.substring(ref.lastIndexOf('/') + 1);
            return examples.containsKey(name) && random.nextInt(5) > 0
                    ? examples.get(name)
                    : made(description.path("components").path("schemas").path(name), depth + 1);
        }
        if (depth > 8) {
            return App.JSON.nullNode();
        }
        return switch (schema.path("type").asString("object")) {
            case "string" -> App.JSON.valueToTree(pick("A", "5 gal", "US", "2026-05-04T09:00:00Z", pick(TEXTS)));
            case "integer", "number" -> App.JSON.valueToTree(random.nextInt(5) == 0 ? 1e12 : random.nextInt(50));
            case "boolean" -> App.JSON.valueToTree(random.nextBoolean());
            case "array" -> {
                ArrayNode array = App.JSON.createArrayNode();
                for (int i = random.nextInt(3); i > 0; i--) {
                    array.add(made(schema.path("items"), depth + 1));
                }
                yield array;
            }
            default -> {
                ObjectNode object = App.JSON.createObjectNode();
                schema.path("properties")
                        .propertyStream()
                        .forEach(p -> object.set(p.getKey(), made(p.getValue(), depth + 1)));
                yield object;
            }
        };
    }

    /** One place of it is another thing than it was. */
    private JsonNode mutated(JsonNode root) {
        JsonNode at = root;
        for (int depth = random.nextInt(6); depth > 0; depth--) {
            List<JsonNode> inner =
                    at.valueStream().filter(JsonNode::isContainer).toList();
            if (inner.isEmpty()) {
                break;
            }
            at = inner.get(random.nextInt(inner.size()));
        }
        if (at instanceof ObjectNode object && !object.isEmpty()) {
            List<String> names = List.copyOf(object.propertyNames());
            String name = names.get(random.nextInt(names.size()));
            switch (random.nextInt(8)) {
                case 0 -> object.remove(name);
                case 1 -> object.set(pick("stranger", pick(TEXTS)), other());
                default -> object.set(name, other());
            }
        } else if (at instanceof ArrayNode array && !array.isEmpty()) {
            int i = random.nextInt(array.size());
            switch (random.nextInt(6)) {
                case 0 -> array.remove(i);
                case 1 -> array.add(array.get(i).deepCopy());
                case 2 -> array.insert(i, App.JSON.nullNode());
                case 3 -> many(array, array.get(i), pick(SIZES));
                default -> array.set(i, other());
            }
        } else {
            return other();
        }
        return root;
    }

    /** So many of the same. */
    private static void many(ArrayNode array, JsonNode one, String times) {
        for (int i = Integer.parseInt(times); i > 0; i--) {
            array.add(one.deepCopy());
        }
    }

    private JsonNode other() {
        return switch (random.nextInt(9)) {
            case 0 -> App.JSON.nullNode();
            case 1 -> App.JSON.valueToTree(random.nextBoolean());
            case 2 ->
                App.JSON.valueToTree(random.nextInt(3) == 0 ? 1e300 : random.nextInt(2_000_000_000) - 1_000_000_000);
            case 3 -> App.JSON.createArrayNode();
            case 4 -> App.JSON.createObjectNode();
            case 5 -> App.JSON.valueToTree(ids.get(random.nextInt(ids.size())));
            case 6 -> App.JSON.valueToTree(pick("0.5 in", "1e9", "R 90", "L", "3 m", "100 %", "-40 °F", "0"));
            default -> App.JSON.valueToTree(pick(TEXTS));
        };
    }
}
