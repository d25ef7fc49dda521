package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Whatever is sent wrongly is answered with the field and what is accepted, stores nothing and leaves no stack trace. */
public class BadInputTest {
    private final ByteArrayOutputStream log = new ByteArrayOutputStream();
    private PrintStream out;
    private App app;
    private Floor floor;
    private String file;

    @BeforeClass
    void start() {
        out = System.out;
        System.setOut(new PrintStream(log, true, StandardCharsets.UTF_8));
        app = App.start(App.emptyFolder(), "--clock=2026-05-04T12:00:00Z");
        floor = app.floor("Bad input");
        app.post(floor.log(), App.logForm("READING", "ph", "A", Map.of("ph", "8.5")));
        file = app.get("/api/job-files/" + floor.job()).text();
    }

    @AfterClass
    void stop() {
        app.close();
        System.setOut(out);
        String written = log.toString(StandardCharsets.UTF_8);
        assertFalse(written.contains("Exception") || written.contains("\tat "), written);
    }

    /** cases/bad-input.tsv: which form, where in it, what to put there, which field must be named. */
    @DataProvider
    Object[][] mistakes() {
        return App.rows("bad-input.tsv");
    }

    @Test(dataProvider = "mistakes")
    public void a_mistake_is_named_with_what_is_accepted(String form, String pointer, String value, String field) {
        String before = everythingStored();
        ObjectNode body = form(form);
        App.replace(body, pointer, value);
        Answer answer = send(form, body.toString());
        assertProblem(answer, field);
        assertEquals(everythingStored(), before);
    }

    /** As it stands on the shelf. */
    private JsonNode shelved(String slug) {
        for (JsonNode sheet : app.get("/api/sheets").body()) {
            if (sheet.path("slug").asString().equals(slug)) {
                return sheet.path("form");
            }
        }
        throw new AssertionError("no " + slug);
    }

    private ObjectNode form(String name) {
        Object form =
                switch (name) {
                    case "job" -> App.jobForm("Never stored");
                    case "zone", "edit-zone" -> App.zoneForm("Never stored");
                    case "dish" ->
                        App.logForm(
                                "READING",
                                "calcium-chloride",
                                "A",
                                Map.of("dishArea", "0.445", "gain", "1.5", "hours", "64"));
                    case "probe" ->
                        App.logForm(
                                "READING",
                                "in-slab-rh",
                                "A",
                                Map.of("rh", "70", "depth", "2", "thickness", "5", "drying", "one", "wait", "24"));
                    case "climate" ->
                        App.logForm("READING", "climate", "", Map.of("air", "61", "rh", "64", "slab", "58"));
                    case "walk" ->
                        App.logForm(
                                "READING",
                                "walk-over",
                                "",
                                Map.of("sealer", "no", "oil", "no", "coating", "no", "dusting", "no", "hollow", "no"));
                    case "gate" -> App.logForm("GATE", "profile", "", Map.of("csp", "3"));
                    case "set" -> App.logForm("SET", "calcium-chloride", "A", Map.of());
                    case "area" -> {
                        var area = new java.util.TreeMap<>(App.logForm("AREA", "OIL", "Press", Map.of()));
                        area.put(
                                "ring",
                                List.of(Map.of("x", 0, "y", 0), Map.of("x", 2, "y", 0), Map.of("x", 2, "y", 1)));
                        yield area;
                    }
                    case "wash" ->
                        Map.of(
                                "chemical",
                                "MURIATIC",
                                "ratio",
                                "1:4",
                                "vessel",
                                "5 gal",
                                "area",
                                "400",
                                "spread",
                                "75",
                                "last",
                                "",
                                "units",
                                "US");
                    case "batch" -> App.logForm("BATCH", "primer", "", Map.of("volume", "2", "area", "400"));
                    case "done" ->
                        App.logForm("DONE", "degrease", "", Map.of("amount", "200", "hours", "2", "hands", "1"));
                    case "begun" -> App.logForm("BEGUN", "sweep", "", Map.of());
                    case "tick" -> App.logForm("TICK", "goggles", "", Map.of());
                    case "pace" -> Map.of("pace", "200 ft²/h", "units", "US");
                    case "shift" -> Map.of("spells", List.of(Map.of("air", "90", "hours", "4")), "units", "US");
                    case "strike" -> App.logForm("STRIKE", UUID.randomUUID().toString(), "", Map.of());
                    case "layer" -> Map.of("plannedStart", "2026-05-06T09:30:00Z");
                    case "sheet" -> shelved("epoxy-primer");
                    case "file" -> App.JSON.readTree(file);
                    case "echo" ->
                        Map.of("shape", "rectangle", "sides", Map.of("length", "5 m", "width", "3 m"), "units", "US");
                    default -> throw new IllegalArgumentException(name);
                };
        ObjectNode body = (ObjectNode) App.JSON.valueToTree(form);
        if (name.equals("sheet")) {
            body.put("name", "Never stored " + UUID.randomUUID());
            body.remove("slug");
        }
        return body;
    }

    private Answer send(String form, String body) {
        String zone = floor.path() + "/zones/" + floor.zone();
        return switch (form) {
            case "job" -> app.post("/api/jobs", body);
            case "zone" -> app.post(floor.path() + "/zones", UUID.randomUUID(), 2, body);
            case "edit-zone" -> app.put(zone, 2, body);
            case "layer" -> app.put(zone + "/layers/primer", 2, body);
            case "sheet" -> app.post("/api/sheets", body);
            case "file" -> app.post("/api/job-files?copy=true", body);
            case "wash" -> app.post("/api/washes", body);
            case "shift" -> app.post("/api/silica-shifts", body);
            case "pace" -> app.put("/api/paces/grind", 1, body);
            case "echo" -> app.post("/api/echo/shape", body);
            default -> app.post(floor.log(), body);
        };
    }

    /** @param value JSON; {@code -} takes the field out */
    private static void assertProblem(Answer answer, String field) {
        assertTrue(answer.status() >= 400 && answer.status() < 500, answer.status() + " " + answer.text());
        assertTrue(
                answer.raw().headers().firstValue("Content-Type").orElse("").startsWith("application/problem+json"),
                answer.text());
        assertTrue(answer.faultyFields().contains(field), field + " in " + answer.text());
        answer.body()
                .path("faults")
                .forEach(f -> assertFalse(f.path("accepted").asString().isBlank(), answer.text()));
        assertFalse(answer.text().contains("Exception") || answer.text().contains("openslab.server"), answer.text());
    }

    private String everythingStored() {
        var db = app.bean(JdbcClient.class);
        var counts = new ArrayList<Object>();
        for (String table : List.of(
                "job",
                "zone",
                "zone_value",
                "zone_cycle",
                "cycle_layer",
                "sheet",
                "log_entry",
                "log_value",
                "job_change",
                "write_key")) {
            counts.add(db.sql("select count(*) from " + table).query(Long.class).single());
        }
        counts.add(db.sql("select version from job order by id")
                .query(Integer.class)
                .list());
        return counts.toString();
    }

    @DataProvider
    Object[][] brokenTexts() {
        return new Object[][] {
            {""},
            {"{"},
            {"null"},
            {"[]"},
            {"\"text\""},
            {"{\"name\":}"},
            {"{\"name\":\"a\",}"},
            {"{'name':'a'}"},
            {"<job/>"},
            {"{\"name\":\"a\"} {\"name\":\"b\"}"},
            {"{\"unknown\":1}"},
            {"{\"name\":{\"a\":1}}"},
            {"{\"archived\":\"perhaps\"}"},
            {"\u0000"},
            {"{\"name\":\"\\ud800\"}"},
            {"NaN"},
            {"[".repeat(2000)},
        };
    }

    @Test(dataProvider = "brokenTexts")
    public void a_broken_text_is_refused_whole(String text) {
        String before = everythingStored();
        Answer answer = app.post("/api/jobs", text);
        assertTrue(answer.status() == 400, answer.status() + " " + answer.text());
        assertFalse(answer.faultyFields().isEmpty(), answer.text());
        assertEquals(everythingStored(), before);
    }

    @Test
    public void a_job_file_cut_anywhere_imports_nothing() {
        String before = everythingStored();
        for (int cut = 0; cut < file.length(); cut += Math.max(1, file.length() / 60)) {
            Answer answer = app.post("/api/job-files?copy=true", file.substring(0, cut));
            assertEquals(answer.status(), 400, "cut at " + cut);
            assertFalse(answer.faultyFields().isEmpty(), answer.text());
        }
        assertEquals(everythingStored(), before);
    }

    @Test
    public void a_write_without_key_or_version_is_refused_by_name() {
        Answer keyless = app.write("POST", "/api/jobs", App.jobForm("Keyless"), Map.of());
        assertProblem(keyless, "Idempotency-Key");
        assertProblem(
                app.write("POST", "/api/jobs", App.jobForm("K"), Map.of("Idempotency-Key", "7")), "Idempotency-Key");
        assertProblem(
                app.write(
                        "PUT",
                        floor.path(),
                        App.jobForm("V"),
                        Map.of("Idempotency-Key", UUID.randomUUID().toString())),
                "If-Match");
        assertProblem(app.put(floor.path(), "latest", App.jobForm("V")), "If-Match");
        assertProblem(app.get("/api/jobs/seven"), "jobId");
        assertProblem(app.get("/api/jobs/" + UUID.randomUUID()), "jobId");
        assertProblem(
                app.post(floor.path() + "/zones/" + UUID.randomUUID() + "/log", App.logForm("NOTE", "", "", Map.of())),
                "zoneId");
        assertEquals(app.put(floor.path(), 1, App.jobForm("Stale")).status(), 412);
        assertEquals(app.get("/api/nothing").status(), 404);
    }
}
