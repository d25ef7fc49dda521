package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.net.http.HttpRequest;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A survey on paper and in a spreadsheet, and the pictures under its readings. */
public class SurveyFilesTest {
    private App app;

    @BeforeClass
    public void start() {
        app = App.start(App.emptyFolder(), "--demo=true", "--clock=2026-05-04T12:00:00Z");
    }

    @AfterClass
    public void stop() {
        app.close();
    }

    private String text(Floor floor, boolean working) {
        try (var pdf = Loader.loadPDF(app.fetch("/api/survey-reports/" + floor.job() + ".pdf?working=" + working)
                .body())) {
            assertTrue(pdf.getNumberOfPages() >= 1);
            return new PDFTextStripper().getText(pdf).replaceAll("[\\s\u00a0]+", " ");
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    @Test
    public void the_report_says_what_the_screen_says() {
        Floor cafe = app.demo("Old tram shed café");
        JsonNode report = app.get(cafe.path()).body().path("zones").path(0).path("report");
        String text = text(cafe, false);
        for (String said : List.of(
                "Old tram shed café, Lantern & Rail, Saltmarsh Quay",
                "HOLD " + report.path("survey").path("summary").asString(),
                "Hall, 77.3 m²",
                "Standing on the floor",
                "Efflorescence",
                "Breathable acrylic",
                "Local code")) {
            assertTrue(text.contains(said), said + " is not in: " + text);
        }
        for (JsonNode entry : report.path("survey").path("entries")) {
            assertTrue(text.contains(entry.path("title").asString()), entry.toString());
        }
        assertFalse(text.contains("MVER"), "the working was not asked for");
        assertWritten(text);
        String worked = text(app.demo("Boat-repair workshop"), true);
        assertTrue(worked.contains("24000/453.59237·M/(A·t)"), worked);
        assertWritten(worked);
    }

    /** The page shows # for a sign that its font lacks. */
    private static void assertWritten(String text) {
        int lacks = text.indexOf('#');
        assertTrue(
                lacks < 0,
                "a sign is lacking near: " + text.substring(Math.max(0, lacks - 60), Math.max(0, lacks) + 20));
    }

    @Test
    public void a_job_without_a_floor_and_one_with_odd_words_have_their_reports() {
        String job = app.post("/api/jobs", App.jobForm("Smith & Sons' \"Æ\" 1 & 2"))
                .body()
                .path("id")
                .asString();
        String text = text(new Floor(job, ""), true);
        assertTrue(text.contains("Smith & Sons' \"Æ\" 1 & 2") && text.contains("No zone is measured yet"), text);
        assertEquals(
                app.get("/api/survey-reports/" + UUID.randomUUID() + ".pdf").status(), 404);
    }

    private String csv(Floor floor) {
        return app.get("/api/readings-files/" + floor.job() + ".csv").text();
    }

    private Answer bring(String job, String text) {
        return app.post("/api/readings-files/" + job, Map.of("text", text));
    }

    /** Out, and into another floor of the same name, and out again: the same file. */
    @Test
    public void readings_go_out_and_come_in_the_same() {
        Floor from = app.demo("Ropewalk extension");
        String csv = csv(from);
        assertTrue(
                csv.startsWith("key,zone,method,place,at,by,note,instrument,calibrated,good until,climate.air,"), csv);
        assertEquals(csv.lines().count(), 1 + 12 + 3);
        assertEquals(bring(from.job(), csv).body().path("known").asInt(), 15);
        var form = App.jobForm("Rope walk again");
        form.put("units", "METRIC");
        String job = app.post("/api/jobs", form).body().path("id").asString();
        app.post("/api/jobs/" + job + "/zones", UUID.randomUUID(), 1, App.zoneForm("Laying floor"));
        // keys are the other job's: left out, each line makes its own
        String keyless = csv.replaceAll("(?m)^[0-9a-f-]{36},", ",");
        Answer taken = bring(job, keyless);
        assertEquals(taken.body().path("added").asInt(), 15, taken.text());
        assertEquals(bring(job, keyless).body().path("known").asInt(), 15);
        String again = csv(new Floor(job, "")).replaceAll("(?m)^[0-9a-f-]{36},", ",");
        assertEquals(again, keyless);
    }

    @Test
    public void a_reading_keeps_what_it_was_taken_with() {
        Floor floor = app.demo("Seed bank packing room");
        String line = "Drying hall,ph,N,2026-05-04T08:00:00Z,Wren,pH pen 2,2026-04-20,2026-05-20,8.5\r\n";
        String head = "zone,method,place,at,by,instrument,calibrated,good until,ph.ph\r\n";
        Answer taken = bring(floor.job(), head + line);
        assertEquals(taken.body().path("added").asInt(), 1, taken.text());
        assertTrue(csv(floor).contains("pH pen 2,2026-04-20,2026-05-20"), csv(floor));
        String lapsed = line.replace("2026-05-20", "2026-05-03").replace(",N,", ",M,");
        bring(floor.job(), head + lapsed);
        String said = app.get(floor.path()).text();
        assertTrue(said.contains("pH of the surface at M read with a lapsed calibration"), said);
    }

    @Test
    public void a_wrong_line_is_named_and_nothing_is_stored() {
        Floor floor = app.demo("Ferry line store");
        String before = csv(floor);
        String head = "zone,method,place,at,by,ph.ph,in-slab-rh.rh\r\n";
        String good = "Rope store,ph,Q,2026-05-04T08:00:00Z,Wren,8.5,\r\n";
        Answer answer = bring(
                floor.job(),
                head + good
                        + "Attic,ph,Q,2026-05-04T08:00:00Z,Wren,8.5,\r\n"
                        + "Rope store,ph,Q,yesterday,Wren,8.5,\r\n"
                        + "Rope store,ph,Q,2026-05-04T08:00:00Z,,19,\r\n"
                        + "Rope store,ph,Q,2026-05-04T08:00:00Z,Wren,8,70 %\r\n"
                        + "Rope store,phh,Q,2026-05-04T08:00:00Z,Wren,8,\r\n");
        assertEquals(answer.status(), 400);
        assertEquals(
                answer.faultyFields(),
                List.of("line 3, zone", "line 4, at", "line 5, by", "line 6, in-slab-rh.rh", "line 7, ph.ph"),
                answer.text());
        assertEquals(bring(floor.job(), "zone,method,at,by,ph.salt\r\n").faultyFields(), List.of("line 1"));
        assertEquals(bring(floor.job(), "zone,method\r\n").faultyFields(), List.of("line 1"));
        assertEquals(bring(floor.job(), "").faultyFields(), List.of("text"));
        assertEquals(csv(floor), before);
    }

    private Answer photo(Floor floor, String entry, UUID key, byte[] bytes) {
        return app.send(app.request(floor.path() + "/log/" + entry + "/photos")
                .header("Content-Type", "image/jpeg")
                .header("Idempotency-Key", key.toString())
                .POST(HttpRequest.BodyPublishers.ofByteArray(bytes))
                .build());
    }

    @Test
    public void a_photo_stays_under_its_reading_and_travels_with_the_job() {
        Floor floor = app.floor("Photographed");
        UUID entry = UUID.randomUUID();
        app.write(
                "POST",
                floor.log(),
                App.logForm("READING", "ph", "A", Map.of("ph", "8.5")),
                Map.of("Idempotency-Key", entry.toString()));
        byte[] picture = App.picture();
        UUID key = UUID.randomUUID();
        for (int tap = 0; tap < 2; tap++) {
            Answer answer = photo(floor, entry.toString(), key, picture);
            assertEquals(answer.status(), 201, answer.text());
            JsonNode photos = app.get(floor.path()).body().path("photos").path(entry.toString());
            assertEquals(photos.size(), 1);
            assertEquals(photos.path(0).asString(), key.toString());
        }
        assertEquals(app.fetch("/api/photos/" + key).body(), picture);
        String file = app.get("/api/job-files/" + floor.job()).text();
        Answer copied = app.post("/api/job-files?copy=true", file);
        assertEquals(copied.status(), 201, copied.text());
        String copy = copied.body().path("jobId").asString();
        JsonNode photos = app.get("/api/jobs/" + copy).body().path("photos");
        assertEquals(photos.size(), 1);
        String id = photos.iterator().next().path(0).asString();
        assertEquals(app.fetch("/api/photos/" + id).body(), picture);
    }

    @Test
    public void what_is_no_picture_is_refused() {
        Floor floor = app.demo("School boiler house");
        String entry =
                app.get(floor.path()).body().path("log").path(0).path("key").asString();
        for (byte[] wrong : List.of(new byte[0], "<script>".getBytes(), new byte[1_200_000])) {
            Answer answer = photo(floor, entry, UUID.randomUUID(), wrong);
            assertEquals(answer.status(), 400, answer.text());
        }
        assertEquals(
                photo(floor, UUID.randomUUID().toString(), UUID.randomUUID(), App.picture())
                        .status(),
                404);
        assertEquals(app.get("/api/photos/" + UUID.randomUUID()).status(), 404);
    }
}
