package openslab.server;

import static org.testng.Assert.assertEquals;

import java.awt.image.BufferedImage;
import java.io.BufferedReader;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import javax.imageio.ImageIO;
import openslab.server.store.Database;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.availability.AvailabilityChangeEvent;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The application, started in this process on a free port, and spoken to as a browser would. */
public final class App implements AutoCloseable {
    static final ObjectMapper JSON = JsonMapper.builder().build();
    private static final HttpClient HTTP = HttpClient.newHttpClient();
    /** Whether these tests run on a database server; then each folder has one of its own there. */
    private static final boolean ON_SERVER = Boolean.getBoolean("openslab.on-server");

    private static final Map<Path, Database.Access> DATABASES = new ConcurrentHashMap<>();

    /** @param type of the problem, empty when it was none */
    record Answer(int status, JsonNode body, String text, HttpResponse<String> raw) {
        List<String> faultyFields() {
            var fields = new ArrayList<String>();
            body.path("faults").forEach(f -> fields.add(f.path("field").asString()));
            return fields;
        }
    }

    private final ConfigurableApplicationContext context;
    final int port;

    private App(ConfigurableApplicationContext context) {
        this.context = context;
        this.port = Integer.parseInt(context.getEnvironment().getProperty("local.server.port"));
    }

    static App start(Path data, String... more) {
        var args = new ArrayList<>(List.of("--port=0", "--data=" + data));
        if (ON_SERVER) {
            args.addAll(List.of(Postgres.options(DATABASES.computeIfAbsent(data, d -> Postgres.fresh()))));
        }
        return startWith(args, more);
    }

    /** On the file in the folder, whichever the other tests use. */
    static App startOnFile(Path data, String... more) {
        return startWith(new ArrayList<>(List.of("--port=0", "--data=" + data)), more);
    }

    /** On a database server, whichever the other tests use. */
    static App start(Path data, Database.Access database, String... more) {
        var args = new ArrayList<>(List.of("--port=0", "--data=" + data));
        args.addAll(List.of(Postgres.options(database)));
        return startWith(args, more);
    }

    private static App startWith(List<String> args, String... more) {
        args.addAll(List.of(more));
        return new App(SpringApplication.run(OpenSlab.class, args.toArray(String[]::new)));
    }

    /** A table of cases, one row a line, cells parted by tabs; lines beginning with # say what it is. */
    public static Object[][] rows(String file) {
        try (var in = new BufferedReader(
                new InputStreamReader(App.class.getResourceAsStream("/cases/" + file), StandardCharsets.UTF_8))) {
            return in.lines()
                    .filter(l -> !l.startsWith("#") && !l.isBlank())
                    .map(l -> (Object[]) l.split("\t", -1))
                    .toArray(Object[][]::new);
        } catch (IOException e) {
            throw new AssertionError(file, e);
        }
    }

    /** Puts JSON where {@code pointer} points; "-" takes it out. */
    static void replace(ObjectNode body, String pointer, String value) {
        int last = pointer.lastIndexOf('/');
        JsonNode parent = body.at(pointer.substring(0, last));
        String name = pointer.substring(last + 1);
        if (parent instanceof ArrayNode array) {
            array.set(Integer.parseInt(name), JSON.readTree(value));
        } else if (value.equals("-")) {
            ((ObjectNode) parent).remove(name);
        } else {
            ((ObjectNode) parent).set(name, JSON.readTree(value));
        }
    }

    static Path emptyFolder() {
        try {
            return Files.createTempDirectory("openslab-test");
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    /** As the application says of itself while it starts, and once all of it is there. */
    void ready(ReadinessState state) {
        AvailabilityChangeEvent.publish(context, state);
    }

    <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    Answer get(String path) {
        return send(request(path).GET().build());
    }

    /** A job whose one zone, 24' 6" × 18', was put on the plan. */
    Floor walked(String name) {
        Floor floor = floor(name);
        Answer answer = post(floor.zonePath() + "/walk", UUID.randomUUID(), 0, Map.of());
        assertEquals(answer.status(), 200, answer.text());
        return floor;
    }

    Answer post(String path, Object body) {
        return write(
                "POST", path, body, Map.of("Idempotency-Key", UUID.randomUUID().toString()));
    }

    Answer post(String path, UUID key, int version, Object body) {
        return write("POST", path, body, Map.of("Idempotency-Key", key.toString(), "If-Match", "\"" + version + "\""));
    }

    Answer put(String path, Object version, Object body) {
        return write(
                "PUT",
                path,
                body,
                Map.of("Idempotency-Key", UUID.randomUUID().toString(), "If-Match", "\"" + version + "\""));
    }

    /** @param body text is sent as it is, anything else as JSON */
    Answer write(String method, String path, Object body, Map<String, String> headers) {
        String text = body instanceof String s ? s : JSON.writeValueAsString(body);
        var request = request(path).header("Content-Type", "application/json");
        headers.forEach(request::setHeader);
        return send(request.method(method, HttpRequest.BodyPublishers.ofString(text))
                .build());
    }

    HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path));
    }

    Answer send(HttpRequest request) {
        try {
            HttpResponse<String> response = HTTP.send(request, HttpResponse.BodyHandlers.ofString());
            String type = response.headers().firstValue("Content-Type").orElse("");
            JsonNode body = type.contains("json") ? JSON.readTree(response.body()) : JSON.createObjectNode();
            return new Answer(response.statusCode(), body, response.body(), response);
        } catch (IOException | InterruptedException e) {
            throw new AssertionError(request.uri().toString(), e);
        }
    }

    /** A file as it is sent. */
    HttpResponse<byte[]> fetch(String path) {
        try {
            return HTTP.send(request(path).build(), HttpResponse.BodyHandlers.ofByteArray());
        } catch (IOException | InterruptedException e) {
            throw new AssertionError(path, e);
        }
    }

    /** A job of the demo, and its first zone. */
    Floor demo(String name) {
        for (JsonNode item : get("/api/jobs").body()) {
            if (item.path("name").asString().equals(name)) {
                String id = item.path("id").asString();
                JsonNode zones = get("/api/jobs/" + id).body().path("zones");
                return new Floor(id, zones.path(0).path("id").asString());
            }
        }
        throw new AssertionError("no job " + name);
    }

    /** What stands on the shelf as {@code slug}. */
    JsonNode sheet(String slug) {
        for (JsonNode sheet : get("/api/sheets").body()) {
            if (sheet.path("slug").asString().equals(slug)) {
                return sheet;
            }
        }
        throw new AssertionError(slug);
    }

    @Override
    public void close() {
        context.close();
    }

    static Map<String, Object> jobForm(String name) {
        var form = new java.util.TreeMap<String, Object>();
        form.putAll(Map.of(
                "name",
                name,
                "client",
                "Kittiwake Boats",
                "place",
                "Saltmarsh Quay",
                "latitude",
                "44.36",
                "longitude",
                "-64.31",
                "timeZone",
                "America/Halifax",
                "units",
                "US",
                "setting",
                "INDOORS",
                "archived",
                false));
        return form;
    }

    static Map<String, Object> zoneForm(String name) {
        var form = new java.util.TreeMap<String, Object>();
        form.putAll(Map.of(
                "name",
                name,
                "shape",
                "rectangle",
                "sides",
                Map.of("length", "24' 6\"", "width", "18"),
                "exposure",
                "INDOORS",
                "dust",
                true,
                "washWater",
                true,
                "settings",
                Map.of("pace", "11", "share", "80", "allowance", "10 %")));
        return form;
    }

    static Map<String, Object> logForm(String kind, String subject, String place, Map<String, String> values) {
        var form = new java.util.TreeMap<String, Object>();
        form.putAll(Map.of(
                "kind",
                kind,
                "subject",
                subject,
                "place",
                place,
                "at",
                "2026-05-04T09:00:00Z",
                "by",
                "Wren",
                "note",
                kind.equals("NOTE") ? "door left open" : "",
                "values",
                values));
        return form;
    }

    /** What went on over a preparation that nobody has recorded, with the reason for it. */
    static Map<String, Object> allTheSame(String kind, String subject, Map<String, String> values) {
        var form = logForm(kind, subject, "", values);
        form.put("note", "Prepared by the client's own crew.");
        return form;
    }

    /** A job with one zone: its id, and the zone's. */
    record Floor(String job, String zone) {
        String log() {
            return "/api/jobs/" + job + "/zones/" + zone + "/log";
        }

        String path() {
            return "/api/jobs/" + job;
        }

        String zonePath() {
            return path() + "/zones/" + zone;
        }
    }

    Floor floor(String name) {
        String job = post("/api/jobs", jobForm(name)).body().path("id").asString();
        var answer = post("/api/jobs/" + job + "/zones", UUID.randomUUID(), 1, zoneForm("North bay"));
        return new Floor(job, answer.body().path("zones").path(0).path("id").asString());
    }

    /** A floor of a metric job, with this zone. */
    Floor floor(String name, Map<String, Object> zone) {
        var form = new java.util.TreeMap<String, Object>(jobForm(name));
        form.put("units", "METRIC");
        String job = post("/api/jobs", form).body().path("id").asString();
        var answer = post("/api/jobs/" + job + "/zones", UUID.randomUUID(), 1, zone);
        return new Floor(job, answer.body().path("zones").path(0).path("id").asString());
    }

    /** Keeps a document. @param path of a job or of a sheet; {@code name} needs no escaping */
    Answer keep(String path, UUID key, String name, byte[] bytes) {
        return send(request(path + "/documents?name=" + name)
                .header("Content-Type", name.endsWith(".pdf") ? "application/pdf" : "image/jpeg")
                .header("Idempotency-Key", key.toString())
                .POST(HttpRequest.BodyPublishers.ofByteArray(bytes))
                .build());
    }

    /** A photo as small as any. */
    static byte[] picture() {
        try (var out = new ByteArrayOutputStream()) {
            ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "jpg", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A resource of the tests, as text. */
    static String text(String resource) {
        try (var in = App.class.getResourceAsStream("/" + resource)) {
            return new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
