package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Papers are kept with a job and with a sheet as they came, found again, put away and taken along. */
public class DocumentsTest extends OnApp {
    private static final String SHEET = "/api/sheets/epoxy-primer";

    /** So many bytes that begin as a PDF does, each part of it unlike the others. */
    private static byte[] pdf(int bytes) {
        byte[] all = new byte[bytes];
        for (int i = 0; i < bytes; i++) {
            all[i] = (byte) (i % 251);
        }
        System.arraycopy("%PDF-1.7".getBytes(StandardCharsets.US_ASCII), 0, all, 0, 8);
        return all;
    }

    private HttpResponse<byte[]> file(UUID id) {
        return app.fetch("/api/documents/" + id);
    }

    private JsonNode documents(String path) {
        JsonNode answer = app.get(path + "/documents").body();
        return answer.isArray() ? answer : answer.path("documents");
    }

    private List<String> names(String path, boolean putAway) {
        var names = new ArrayList<String>();
        for (JsonNode d : documents(path)) {
            if (d.path("putAway").asBoolean() == putAway) {
                names.add(d.path("name").asString());
            }
        }
        return names;
    }

    @DataProvider
    Object[][] keepers() {
        return new Object[][] {{app.floor("Kept with").path()}, {SHEET}};
    }

    /** Larger than a column takes, so that it lies in several. */
    @Test(dataProvider = "keepers")
    public void what_is_kept_comes_out_as_it_came(String path) {
        byte[] sent = pdf(2_345_678);
        UUID id = UUID.randomUUID();
        for (int tap = 0; tap < 2; tap++) {
            Answer kept = app.keep(path, id, "As-built.pdf", sent);
            assertEquals(kept.status(), 201, kept.text());
            assertEquals(kept.body().path("bytes").asInt(), sent.length);
        }
        assertEquals(names(path, false).stream().filter("As-built.pdf"::equals).count(), 1);
        HttpResponse<byte[]> file = file(id);
        assertTrue(Arrays.equals(file.body(), sent));
        assertEquals(file.headers().firstValue("Content-Type").orElseThrow(), "application/pdf");
        String disposition = file.headers().firstValue("Content-Disposition").orElseThrow();
        assertTrue(disposition.startsWith("inline") && disposition.contains("As-built.pdf"), disposition);
    }

    @Test(dataProvider = "keepers")
    public void it_is_renamed_put_away_and_taken_out_again(String path) {
        UUID id = UUID.randomUUID();
        app.keep(path, id, "scan0007.jpg", App.picture());
        String at = path + "/documents/" + id;
        assertEquals(
                app.put(at, 0, Map.of("name", "Permit, signed", "putAway", true))
                        .status(),
                200);
        assertTrue(names(path, true).contains("Permit, signed"));
        assertTrue(!names(path, false).contains("Permit, signed"));
        assertEquals(
                app.put(at, 0, Map.of("name", "Permit, signed", "putAway", false))
                        .status(),
                200);
        assertTrue(names(path, false).contains("Permit, signed"));
        // a name without its ending has it where it is kept as a file
        assertTrue(file(id).headers()
                .firstValue("Content-Disposition")
                .orElseThrow()
                .contains("signed.jpg"));
        assertEquals(app.put(at, 0, Map.of("name", " ", "putAway", false)).faultyFields(), List.of("name"));
        // somebody else's
        String elsewhere = path.equals(SHEET) ? "/api/sheets/epoxy-body" : SHEET;
        assertEquals(
                app.put(elsewhere + "/documents/" + id, 0, Map.of("name", "Mine", "putAway", false))
                        .status(),
                404);
    }

    @Test(dataProvider = "keepers")
    public void what_cannot_be_kept_is_told_by_its_field(String path) {
        List<String> before = names(path, false);
        assertEquals(app.keep(path, UUID.randomUUID(), "Empty.pdf", new byte[0]).status(), 400);
        byte[] words = "<script>alert(1)</script>".getBytes(StandardCharsets.US_ASCII);
        assertEquals(app.keep(path, UUID.randomUUID(), "Page.pdf", words).faultyFields(), List.of("document"));
        Answer large = app.keep(path, UUID.randomUUID(), "Large.pdf", pdf(10_000_001));
        assertEquals(large.faultyFields(), List.of("document"));
        assertTrue(large.text().contains("10000000 bytes"), large.text());
        assertEquals(
                app.keep(path, UUID.randomUUID(), "n".repeat(121), App.picture())
                        .faultyFields(),
                List.of("name"));
        assertEquals(names(path, false), before);
    }

    @Test
    public void nothing_is_kept_with_what_is_not_there() {
        byte[] picture = App.picture();
        String nobody = "/api/jobs/" + UUID.randomUUID();
        assertEquals(app.keep(nobody, UUID.randomUUID(), "a.jpg", picture).status(), 404);
        assertEquals(app.get(nobody + "/documents").status(), 404);
        assertEquals(
                app.keep("/api/sheets/none-such", UUID.randomUUID(), "a.jpg", picture)
                        .status(),
                404);
        assertEquals(app.get("/api/sheets/none-such/documents").status(), 404);
        assertEquals(app.get("/api/documents/" + UUID.randomUUID()).status(), 404);
    }

    @Test
    public void the_documents_of_a_job_travel_with_it() {
        Floor floor = app.floor("Travels");
        byte[] drawing = pdf(1_200_000);
        UUID away = UUID.randomUUID();
        app.keep(floor.path(), UUID.randomUUID(), "Drawing.pdf", drawing);
        app.keep(floor.path(), away, "Wrong.jpg", App.picture());
        app.put(floor.path() + "/documents/" + away, 0, Map.of("name", "Wrong.jpg", "putAway", true));
        String file = app.get("/api/job-files/" + floor.job()).text();
        Answer copied = app.post("/api/job-files?copy=true", file);
        assertEquals(copied.status(), 201, copied.text());
        String copy = "/api/jobs/" + copied.body().path("jobId").asString();
        JsonNode documents = app.get(copy + "/documents").body().path("documents");
        assertEquals(documents.size(), 1);
        assertEquals(documents.path(0).path("name").asString(), "Drawing.pdf");
        UUID there = UUID.fromString(documents.path(0).path("id").asString());
        assertTrue(Arrays.equals(file(there).body(), drawing));
    }

    @DataProvider
    Object[][] withRoom() {
        return new Object[][] {{app.floor("Full").path()}, {"/api/sheets/epoxy-primer"}};
    }

    /** Four of ten megabytes, in a job as with a sheet. */
    @Test(dataProvider = "withRoom")
    public void there_is_room_for_so_much(String path) {
        for (JsonNode kept : documents(path)) {
            app.put(path + "/documents/" + kept.path("id").asString(), 0, Map.of("name", "Old", "putAway", true));
        }
        byte[] large = pdf(9_999_990);
        var kept = new ArrayList<UUID>();
        for (int i = 0; i < 4; i++) {
            kept.add(UUID.randomUUID());
            assertEquals(app.keep(path, kept.get(i), "Part.pdf", large).status(), 201);
        }
        Answer fifth = app.keep(path, UUID.randomUUID(), "Part.pdf", large);
        assertEquals(fifth.faultyFields(), List.of("document"), fifth.text());
        // room is made by putting one away, and it comes out again only while there is room
        String first = path + "/documents/" + kept.get(0);
        assertEquals(
                app.put(first, 0, Map.of("name", "Part.pdf", "putAway", true)).status(), 200);
        assertEquals(app.keep(path, UUID.randomUUID(), "Part.pdf", large).status(), 201);
        Answer again = app.put(first, 0, Map.of("name", "Part.pdf", "putAway", false));
        assertEquals(again.faultyFields(), List.of("putAway"), again.text());
        // and makes room for the other tests
        for (JsonNode part : documents(path)) {
            app.put(path + "/documents/" + part.path("id").asString(), 0, Map.of("name", "Old", "putAway", true));
        }
    }

    /** Its pictures and its documents share the room of a job. */
    @Test
    public void a_picture_needs_the_room_of_a_document() {
        Floor floor = app.floor("Both");
        UUID entry = UUID.randomUUID();
        app.post(floor.log(), entry, 0, App.logForm("NOTE", "", "", Map.of()));
        for (int i = 0; i < 4; i++) {
            assertEquals(
                    app.keep(floor.path(), UUID.randomUUID(), "Part.pdf", pdf(10_000_000))
                            .status(),
                    201);
        }
        Answer picture = app.send(app.request(floor.path() + "/log/" + entry + "/photos")
                .header("Content-Type", "image/jpeg")
                .header("Idempotency-Key", UUID.randomUUID().toString())
                .POST(HttpRequest.BodyPublishers.ofByteArray(App.picture()))
                .build());
        assertEquals(picture.faultyFields(), List.of("photo"), picture.text());
    }

    @Test
    public void a_file_with_a_document_that_is_none_is_refused_whole() {
        Floor floor = app.floor("Forged");
        app.keep(floor.path(), UUID.randomUUID(), "Drawing.jpg", App.picture());
        String file = app.get("/api/job-files/" + floor.job()).text();
        String forged = file.replaceFirst("\"bytes\":\"[^\"]+\"", "\"bytes\":\"aGVsbG8=\"");
        Answer answer = app.post("/api/job-files?copy=true", forged);
        assertEquals(answer.faultyFields(), List.of("documents[0].bytes"), answer.text());
        Answer garbled =
                app.post("/api/job-files?copy=true", file.replaceFirst("\"bytes\":\"[^\"]+\"", "\"bytes\":\"?\""));
        assertEquals(garbled.faultyFields(), List.of("documents[0].bytes"), garbled.text());
    }
}
