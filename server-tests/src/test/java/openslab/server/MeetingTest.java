package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.function.IntFunction;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes that meet: each is done once, or told that it came too late; none is our mistake. */
public class MeetingTest {
    private static final int AT_ONCE = 8;
    private static final int ROUNDS = 6;

    private App app;

    @BeforeClass
    void start() {
        app = App.start(App.emptyFolder());
    }

    @AfterClass
    void stop() {
        app.close();
    }

    /** Sends as many at the same moment as there are hands; their statuses. */
    private List<Integer> together(IntFunction<Answer> write) throws Exception {
        var pool = Executors.newFixedThreadPool(AT_ONCE);
        try {
            var all = new ArrayList<Callable<Answer>>();
            for (int i = 0; i < AT_ONCE; i++) {
                int n = i;
                all.add(() -> write.apply(n));
            }
            var statuses = new ArrayList<Integer>();
            for (var answer : pool.invokeAll(all)) {
                assertTrue(answer.get().status() < 500, answer.get().text());
                statuses.add(answer.get().status());
            }
            return statuses;
        } finally {
            pool.shutdown();
        }
    }

    private static long count(List<Integer> statuses, int status) {
        return statuses.stream().filter(s -> s == status).count();
    }

    @Test
    public void one_of_many_plans_stands_and_the_others_are_told() throws Exception {
        Floor floor = app.floor("Plans at once");
        assertEquals(
                app.write(
                                "POST",
                                floor.zonePath() + "/walk",
                                "",
                                Map.of("Idempotency-Key", UUID.randomUUID().toString(), "If-Match", "0"))
                        .status(),
                200);
        for (int round = 1; round <= ROUNDS; round++) {
            JsonNode plan = app.get(floor.path() + "/plan").body();
            int version = plan.path("version").asInt();
            List<Integer> statuses = together(n -> {
                var form = (ObjectNode) plan.path("form").deepCopy();
                ((ObjectNode) form.path("rooms").path(0)).put("name", "Room " + n);
                return app.put(floor.path() + "/plan", version, form);
            });
            assertEquals(count(statuses, 200), 1, statuses.toString());
            assertEquals(count(statuses, 412), AT_ONCE - 1, statuses.toString());
        }
    }

    @Test
    public void no_two_instruments_have_one_name() throws Exception {
        for (int round = 0; round < ROUNDS; round++) {
            String name = "Probe " + round;
            List<Integer> statuses = together(n -> app.post(
                    "/api/instruments", instrument(n % 2 == 0 ? name : name.toUpperCase(java.util.Locale.ROOT))));
            assertEquals(count(statuses, 201), 1, statuses.toString());
            assertEquals(count(statuses, 400), AT_ONCE - 1, statuses.toString());
        }
        // whichever stands can be edited, and be given another's name never
        JsonNode shelf = app.get("/api/instruments").body();
        JsonNode first = shelf.path(0);
        String other = shelf.path(1).path("form").path("papers").path("name").asString();
        String path = "/api/instruments/" + first.path("id").asString();
        assertEquals(app.put(path, 1, instrument("Probe, renamed")).status(), 200);
        Answer taken = app.put(path, 2, instrument(other.toUpperCase(java.util.Locale.ROOT)));
        assertEquals(taken.faultyFields(), List.of("papers.name"));
        List<Integer> edits = together(n -> app.put(path, 2, instrument("Probe, edited " + n)));
        assertEquals(count(edits, 200), 1, edits.toString());
        assertEquals(count(edits, 412), AT_ONCE - 1, edits.toString());
    }

    private static Map<String, Object> instrument(String name) {
        return Map.of(
                "kind",
                "RH_PROBE",
                "address",
                "",
                "papers",
                Map.of("name", name, "calibrated", "2026-01-01", "due", "2027-01-01"));
    }

    @Test
    public void an_entry_is_struck_once() throws Exception {
        Floor floor = app.floor("Struck at once");
        for (int round = 0; round < ROUNDS; round++) {
            UUID key = UUID.randomUUID();
            app.write(
                    "POST",
                    floor.log(),
                    App.logForm("NOTE", "", "", Map.of()),
                    Map.of("Idempotency-Key", key.toString()));
            List<Integer> statuses =
                    together(n -> app.post(floor.log(), App.logForm("STRIKE", key.toString(), "", Map.of())));
            assertEquals(count(statuses, 201), 1, statuses.toString());
            assertEquals(count(statuses, 400), AT_ONCE - 1, statuses.toString());
        }
    }

    @Test
    public void a_first_pace_a_sheet_and_a_file_of_readings_are_stored_once() throws Exception {
        List<Integer> paces = together(
                n -> app.write("PUT", "/api/paces/grind", Map.of("pace", (200 + n) + " ft²/h", "units", "US"), key()));
        assertEquals(count(paces, 200), AT_ONCE, paces.toString());
        var sheet = (ObjectNode) app.sheet("epoxy-primer").path("form").deepCopy();
        sheet.put("name", "Primer at once");
        sheet.remove("slug");
        List<Integer> sheets = together(n -> app.write("POST", "/api/sheets", sheet, key()));
        assertEquals(count(sheets, 200), 1, sheets.toString());
        Floor floor = app.floor("Readings at once");
        String csv = "zone,method,place,at,by,ph.ph\r\nNorth bay,ph,A,2026-05-04T09:00:00Z,Wren,8.5\r\n";
        List<Integer> files =
                together(n -> app.write("POST", "/api/readings-files/" + floor.job(), Map.of("text", csv), key()));
        assertEquals(count(files, 200), AT_ONCE, files.toString());
        assertEquals(app.get(floor.path()).body().path("log").size(), 1);
    }

    @Test
    public void a_job_is_imported_once() throws Exception {
        Floor floor = app.floor("Imported at once");
        var file = (ObjectNode) app.get("/api/job-files/" + floor.job()).body();
        file.put("id", UUID.randomUUID().toString());
        ((ObjectNode) file.path("zones").path(0)).put("id", UUID.randomUUID().toString());
        List<Integer> statuses = together(n -> app.write("POST", "/api/job-files", file, key()));
        assertEquals(count(statuses, 201), 1, statuses.toString());
        assertEquals(count(statuses, 422), AT_ONCE - 1, statuses.toString());
    }

    private static Map<String, String> key() {
        return Map.of("Idempotency-Key", UUID.randomUUID().toString());
    }
}
