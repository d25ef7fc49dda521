package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpClient;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.GZIPInputStream;
import openslab.core.survey.method.TestMethods;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** How answers travel, what the shelf ships with, and what the log says in words. */
public class DeliveryTest extends OnApp {
    @Test
    public void every_answer_carries_its_guards() {
        Answer answer = app.get("/api/jobs");
        var headers = answer.raw().headers();
        assertEquals(headers.firstValue("X-Content-Type-Options").orElse(""), "nosniff");
        assertEquals(headers.firstValue("Referrer-Policy").orElse(""), "no-referrer");
        assertTrue(headers.firstValue("Content-Security-Policy").orElse("").contains("default-src 'self'"));
    }

    @Test
    public void long_answers_travel_compressed() throws IOException, InterruptedException {
        var request =
                app.request("/api/reference").header("Accept-Encoding", "gzip").build();
        HttpResponse<byte[]> answer = HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofByteArray());
        assertEquals(answer.headers().firstValue("Content-Encoding").orElse(""), "gzip");
        byte[] plain = new GZIPInputStream(new ByteArrayInputStream(answer.body())).readAllBytes();
        assertTrue(plain.length > 3 * answer.body().length, plain.length + " from " + answer.body().length);
        assertTrue(new String(plain, StandardCharsets.UTF_8).contains("calcium-chloride"));
    }

    @Test
    public void the_clock_stands_where_it_was_stopped() {
        JsonNode now = app.get("/api/now").body();
        assertEquals(now.path("now").asString(), "2026-05-04T12:00:00Z");
        assertTrue(now.path("fixed").asBoolean());
        try (App running = App.start(App.emptyFolder())) {
            assertFalse(running.get("/api/now").body().path("fixed").asBoolean());
        }
    }

    @Test
    public void the_reference_names_every_method_once_with_fields_to_key_in() {
        JsonNode reference = app.get("/api/reference").body();
        Set<String> ids = new HashSet<>();
        for (JsonNode method : reference.path("methods")) {
            assertTrue(ids.add(method.path("id").asString()));
            assertFalse(method.path("fields").isEmpty(), method.toString());
            assertFalse(method.path("source").path("sentence").asString().isBlank());
        }
        assertEquals(ids.size(), TestMethods.ALL.size());
        assertTrue(reference.path("timeZones").size() > 300);
        assertEquals(reference.path("shapes").path("ell").size(), 4);
    }

    @Test
    public void the_log_speaks_in_words() {
        Floor floor = app.floor("Words");
        app.post(
                floor.log(),
                App.logForm(
                        "READING",
                        "calcium-chloride",
                        "B",
                        Map.of("dishArea", "0.445", "gain", "1.51", "hours", "62")));
        app.post(floor.log(), App.logForm("GATE", "residue", "", Map.of("residue", "none")));
        app.post(floor.log(), App.allTheSame("BATCH", "primer", Map.of("volume", "1.5", "area", "441")));
        app.post(floor.log(), App.allTheSame("COAT", "primer", Map.of()));
        app.post(floor.log(), App.logForm("NOTE", "", "", Map.of()));
        var words = new java.util.ArrayList<String>();
        app.get(floor.path())
                .body()
                .path("log")
                .forEach(e -> words.add(e.path("what").asString()));
        words.sort(String::compareTo);
        assertEquals(
                words,
                List.of(
                        "Batch mixed for the primer: area 441 ft², volume 1.5 gal",
                        "Calcium chloride: area under the cover 0.445 ft², weight gained 1.51 g, time exposed 62 h",
                        "Coat done: primer",
                        "Hand across the floor: no residue",
                        "Note"));
    }

    @Test
    public void a_job_put_away_stays_whole_and_comes_back() {
        Floor floor = app.floor("Put away");
        var form = App.jobForm("Put away");
        form.put("archived", true);
        assertEquals(app.put(floor.path(), 2, form).status(), 200);
        assertTrue(onRack(floor).path("archived").asBoolean());
        form.put("archived", false);
        assertEquals(app.put(floor.path(), 3, form).status(), 200);
        assertFalse(onRack(floor).path("archived").asBoolean());
        assertEquals(onRack(floor).path("zones").asInt(), 1);
    }

    private JsonNode onRack(Floor floor) {
        for (JsonNode item : app.get("/api/jobs").body()) {
            if (item.path("id").asString().equals(floor.job())) {
                return item;
            }
        }
        throw new AssertionError(floor.toString());
    }

    @Test
    public void a_zone_becomes_an_ell_and_the_figures_follow() {
        Floor floor = app.floor("Becomes an L");
        var form = App.zoneForm("North bay");
        form.put("shape", "ell");
        form.put("sides", Map.of("length", "24' 6\"", "width", "18'", "cutLength", "6' 6\"", "cutWidth", "2 m"));
        Answer edited = app.put(floor.path() + "/zones/" + floor.zone(), 2, form);
        assertEquals(edited.status(), 200, edited.text());
        JsonNode report = app.get(floor.path()).body().path("zones").path(0).path("report");
        // 441 - 6.5 · 6.5617 = 398.35 ft²; the ring stays 85 ft
        assertEquals(report.path("area").path("text").asString(), "398\u00a0ft²");
        assertEquals(report.path("perimeter").path("text").asString(), "85.00\u00a0ft");
        assertEquals(report.path("outline").path("corners").size(), 6);
        form.put("sides", Map.of("length", "24' 6\"", "width", "18'", "cutLength", "30'", "cutWidth", "2 m"));
        assertEquals(
                app.put(floor.path() + "/zones/" + floor.zone(), 3, form).faultyFields(), List.of("sides.cutLength"));
    }
}
