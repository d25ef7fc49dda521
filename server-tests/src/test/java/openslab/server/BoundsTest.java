package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpRequest;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** How much, of what kind and from whom anything is taken: every bound is said, and nothing beyond it is stored. */
public class BoundsTest extends OnApp {
    private static final int MEBI = 1 << 20;

    private static Map<String, String> key() {
        return Map.of("Idempotency-Key", UUID.randomUUID().toString());
    }

    private Answer sent(String path, String type, String body) {
        var request = app.request(path).POST(HttpRequest.BodyPublishers.ofString(body));
        key().forEach(request::header);
        if (!type.isEmpty()) {
            request.header("Content-Type", type);
        }
        return app.send(request.build());
    }

    @DataProvider
    Object[][] otherTypes() {
        return new Object[][] {
            {"application/yaml"},
            {"text/plain"},
            {"application/x-www-form-urlencoded"},
            {"application/xml"},
            {"json"},
            {""}
        };
    }

    @Test(dataProvider = "otherTypes")
    public void another_media_type_is_not_read(String type) {
        String form = App.JSON.writeValueAsString(App.jobForm("In another type"));
        Answer answer = sent("/api/jobs", type, form);
        assertEquals(answer.status(), 415, answer.text());
        assertTrue(answer.body().path("detail").asString().contains("application/json"), answer.text());
        assertFalse(app.get("/api/jobs").text().contains("In another type"));
    }

    /** Whether its length is said beforehand or not. */
    @Test
    public void a_body_that_is_too_long_is_told_how_long_one_may_be() {
        byte[] long_ = new byte[4 * MEBI + 1];
        Arrays.fill(long_, (byte) ' ');
        for (var body : List.of(
                HttpRequest.BodyPublishers.ofByteArray(long_),
                HttpRequest.BodyPublishers.ofByteArrays(List.of(long_)))) {
            var request = app.request("/api/jobs").header("Content-Type", "application/json");
            key().forEach(request::header);
            Answer answer = app.send(request.POST(body).build());
            assertEquals(answer.status(), 413, answer.text());
            assertTrue(answer.body().path("detail").asString().contains(" 4194304 bytes"), answer.text());
        }
    }

    /** 3,000 settings that no zone has, and three left out that one must have: twenty are named, and 2,983 more counted. */
    @Test
    public void twenty_faults_are_named_and_the_others_counted() {
        Floor floor = app.floor("Many faults");
        var settings = new TreeMap<String, String>();
        for (int i = 0; i < 3000; i++) {
            settings.put("stranger" + i, "x".repeat(100));
        }
        var form = App.zoneForm("Strange");
        form.put("settings", settings);
        Answer answer = app.post(floor.path() + "/zones", UUID.randomUUID(), 2, form);
        assertEquals(answer.status(), 400);
        assertEquals(answer.body().path("faults").size(), 20);
        assertEquals(answer.body().path("more").asInt(), 2983);
        assertTrue(answer.text().length() < 30_000, answer.text().length() + " characters");
    }

    /** Found by twenty thousand requests, and kept here. */
    @Test
    public void a_form_that_says_nothing_is_told_what_it_is_to_say() {
        assertEquals(
                app.post("/api/echo/plan", "{\"form\":null,\"units\":\"US\"}").faultyFields(), List.of("form"));
        assertEquals(
                app.post("/api/silica-shifts", "{\"units\":\"US\",\"spells\":[null]}")
                        .faultyFields(),
                List.of("spells[0]"));
    }

    @Test
    public void what_is_nowhere_is_told_as_that() {
        for (String path : List.of("/error", "/api/nothing", "/api/jobs/" + UUID.randomUUID() + "/changes")) {
            assertEquals(app.get(path).status(), 404, path);
        }
    }

    /** A browser names where a page is from; other programs do not, and nothing else may stand in for it. */
    @Test
    public void a_page_of_another_site_writes_nothing() {
        var form = App.jobForm("From elsewhere");
        var crossed = new TreeMap<>(key());
        crossed.put("Sec-Fetch-Site", "cross-site");
        assertEquals(app.write("POST", "/api/jobs", form, crossed).status(), 403);
        for (String origin : List.of("https://127.0.0.1.evil.example", "null", "file://")) {
            var foreign = new TreeMap<>(key());
            foreign.put("Origin", origin);
            assertEquals(app.write("POST", "/api/jobs", form, foreign).status(), 403, origin);
        }
        assertFalse(app.get("/api/jobs").text().contains("From elsewhere"));
        // behind a gate that speaks TLS the page is of https, and the same one
        var behindTls = new TreeMap<>(key());
        behindTls.put("Origin", "https://127.0.0.1:" + app.port);
        behindTls.put("Sec-Fetch-Site", "same-origin");
        assertEquals(app.write("POST", "/api/jobs", form, behindTls).status(), 201);
    }

    /** What a table program would reckon is text there, and is as it was when it comes back. */
    @Test
    public void a_cell_that_looks_like_a_formula_goes_out_as_text() {
        Floor floor = app.floor("Formulas");
        var says = List.of("=1+1", "+cmd", "-2", "@SUM(A1)", "'=quoted", "Wren");
        for (String by : says) {
            var form = App.logForm("READING", "ph", "A", Map.of("ph", "8.5"));
            form.put("by", by);
            assertEquals(app.post(floor.log(), form).status(), 201, by);
        }
        String csv = app.get("/api/readings-files/" + floor.job() + ".csv").text();
        assertTrue(csv.contains(",'=1+1,"), csv);
        for (String cell : csv.split("[,\r\n]+")) {
            assertFalse(cell.startsWith("=") || cell.startsWith("@") || cell.startsWith("+"), cell);
        }
        Floor other = app.floor("Formulas back");
        // with its keys it is the other job's still
        Answer same = app.post("/api/readings-files/" + other.job(), Map.of("text", csv));
        assertEquals(same.status(), 400, same.text());
        assertEquals(same.faultyFields().stream().sorted().toList().get(0), "line 2, key");
        String keyless = csv.replaceAll("[0-9a-f]{8}-[0-9a-f-]{27}", "");
        Answer back = app.post("/api/readings-files/" + other.job(), Map.of("text", keyless));
        assertEquals(back.status(), 200, back.text());
        var by = new java.util.ArrayList<String>();
        app.get(other.path())
                .body()
                .path("log")
                .forEach(e -> by.add(e.path("by").asString()));
        assertEquals(by.stream().sorted().toList(), says.stream().sorted().toList(), csv);
    }

    private ObjectNode fileOf(Floor floor) {
        return (ObjectNode) app.get("/api/job-files/" + floor.job()).body();
    }

    @Test
    public void a_file_numbers_its_revision_and_its_layers_as_one_can() {
        ObjectNode file = fileOf(app.floor("Numbers"));
        file.put("revision", 999_999_999);
        Answer answer = app.post("/api/job-files?copy=true", file);
        assertEquals(answer.faultyFields(), List.of("revision"), answer.text());
        file.put("revision", 3);
        var layers =
                (ArrayNode) file.path("zones").path(0).path("cycles").path(0).path("layers");
        layers.add(layers.path(0).deepCopy());
        Answer twice = app.post("/api/job-files?copy=true", file);
        assertEquals(twice.faultyFields(), List.of("zones[0].cycles[0].layers"), twice.text());
    }

    /** Another installer's file brings an entry; a write with that entry's key is another write. */
    @Test
    public void a_key_that_an_imported_entry_has_is_no_fresh_one() {
        Floor there;
        String file;
        String key;
        try (App elsewhere = App.start(App.emptyFolder(), "--clock=2026-05-04T12:00:00Z")) {
            there = elsewhere.floor("Brought");
            elsewhere.post(there.log(), App.logForm("READING", "ph", "A", Map.of("ph", "8.5")));
            JsonNode body = elsewhere.get("/api/job-files/" + there.job()).body();
            key = body.path("zones").path(0).path("log").path(0).path("key").asString();
            file = body.toString();
        }
        assertEquals(app.post("/api/job-files", file).status(), 201);
        Floor here = app.floor("Here");
        Answer answer = app.write(
                "POST",
                here.log(),
                App.logForm("READING", "ph", "A", Map.of("ph", "9")),
                Map.of("Idempotency-Key", key));
        assertEquals(answer.status(), 422, answer.text());
        assertEquals(app.get(here.path()).body().path("log").size(), 0);
        // and a file that brings it for a second job brings nothing
        ObjectNode other = (ObjectNode) App.JSON.readTree(file);
        other.put("id", UUID.randomUUID().toString());
        ((ObjectNode) other.path("zones").path(0)).put("id", UUID.randomUUID().toString());
        Answer second = app.post("/api/job-files", other);
        assertEquals(second.faultyFields(), List.of("zones[0].log[0].key"), second.text());
    }

    /** Half a character, and what is none at all, in every text of every kind of form. */
    @Test
    public void a_text_of_half_characters_is_stored_nowhere() {
        Floor floor = app.floor("Half");
        for (String bad : List.of("\\ud800", "a\\udc00b", "\\ufffe", "\\uffff", "\\u0000")) {
            String quoted = "\"Wr" + bad + "en\"";
            for (String field : List.of("by", "note", "place", "subject")) {
                ObjectNode form =
                        (ObjectNode) App.JSON.valueToTree(App.logForm("READING", "ph", "A", Map.of("ph", "8.5")));
                form.put(field, "HERE");
                Answer answer = app.post(floor.log(), form.toString().replace("\"HERE\"", quoted));
                assertEquals(answer.status(), 400, field + " " + bad + " " + answer.text());
                assertTrue(answer.faultyFields().contains(field), answer.text());
            }
            ObjectNode job = (ObjectNode) App.JSON.valueToTree(App.jobForm("HERE"));
            Answer answer = app.post("/api/jobs", job.toString().replace("\"HERE\"", quoted));
            assertEquals(answer.faultyFields(), List.of("name"), answer.text());
        }
        assertEquals(app.get(floor.path()).body().path("log").size(), 0);
        assertEquals(
                app.get("/api/survey-reports/" + floor.job() + ".pdf?working=true")
                        .status(),
                200);
    }

    /** Forty megabytes: as many as the job's file brings back, see MisfortuneTest. */
    @Test
    public void a_job_has_room_for_so_many_pictures() {
        Floor floor = app.floor("Pictures");
        app.post(floor.log(), App.logForm("READING", "ph", "A", Map.of("ph", "8.5")));
        String entry =
                app.get(floor.path()).body().path("log").path(0).path("key").asString();
        byte[] picture = new byte[1_000_000];
        int taken = 0;
        Answer last = null;
        for (int i = 0; i < 42; i++) {
            picture[0] = (byte) 0xff;
            picture[1] = (byte) 0xd8;
            picture[2] = (byte) 0xff;
            picture[3] = (byte) i;
            var request =
                    app.request(floor.path() + "/log/" + entry + "/photos").header("Content-Type", "image/jpeg");
            key().forEach(request::header);
            last = app.send(request.POST(HttpRequest.BodyPublishers.ofByteArray(picture))
                    .build());
            taken += last.status() == 201 ? 1 : 0;
        }
        assertEquals(taken, 40, last.text());
        assertTrue(last.body().path("faults").toString().contains("40000000 bytes"), last.text());
    }
}
