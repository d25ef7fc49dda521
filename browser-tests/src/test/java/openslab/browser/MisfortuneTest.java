package openslab.browser;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What befalls the packaged application: no space, no folder, a kill, and many hands at once. */
public class MisfortuneTest {
    private static final HttpClient HTTP = HttpClient.newHttpClient();
    private static final int AT_ONCE = 8;
    private static final int TRIES = 200;

    private record Answer(int status, String text) {
        JsonObject body() {
            return JsonParser.parseString(text).getAsJsonObject();
        }
    }

    private static Answer get(Served served, String path) {
        return sent(HttpRequest.newBuilder(URI.create(served.address + path)));
    }

    private static Answer write(Served served, String method, String path, int version, String type, String body) {
        return sent(HttpRequest.newBuilder(URI.create(served.address + path))
                .header("Content-Type", type)
                .header("Idempotency-Key", UUID.randomUUID().toString())
                .header("If-Match", "\"" + version + "\"")
                .method(method, HttpRequest.BodyPublishers.ofString(body)));
    }

    private static Answer post(Served served, String path, String body) {
        return write(served, "POST", path, 0, "application/json", body);
    }

    private static Answer sent(HttpRequest.Builder request) {
        try {
            HttpResponse<String> answer = HTTP.send(request.build(), HttpResponse.BodyHandlers.ofString());
            return new Answer(answer.statusCode(), answer.body());
        } catch (IOException | InterruptedException e) {
            throw new AssertionError(e);
        }
    }

    private static String job(String name) {
        return """
                {"name":"%s","client":"Fern","place":"","latitude":"","longitude":"","timeZone":"UTC","units":"US",
                 "setting":"INDOORS","archived":false}"""
                .formatted(name);
    }

    private static List<Answer> together(IntFunction<Answer> write) {
        var pool = Executors.newFixedThreadPool(AT_ONCE);
        try {
            var all = new ArrayList<Callable<Answer>>();
            IntStream.range(0, AT_ONCE).forEach(n -> all.add(() -> write.apply(n)));
            var answers = new ArrayList<Answer>();
            for (var answer : pool.invokeAll(all)) {
                answers.add(answer.get());
            }
            return answers;
        } catch (InterruptedException | java.util.concurrent.ExecutionException e) {
            throw new AssertionError(e);
        } finally {
            pool.shutdown();
        }
    }

    private static List<Integer> statuses(List<Answer> answers) {
        return answers.stream().map(Answer::status).sorted().toList();
    }

    // no space

    /** From here on no file of the process may grow beyond this, or any may again: what a full disk is to it. */
    private static void limit(Served served, String bytes) {
        try {
            var prlimit = new ProcessBuilder(
                            "prlimit", "--pid", Long.toString(served.process().pid()), "--fsize=" + bytes + ":")
                    .redirectErrorStream(true)
                    .start();
            String said = new String(prlimit.getInputStream().readAllBytes());
            assertEquals(prlimit.waitFor(), 0, said);
        } catch (IOException | InterruptedException e) {
            throw new AssertionError(e);
        }
    }

    @Test
    public void on_a_full_disk_reading_goes_on_and_writing_comes_back_by_itself() throws IOException {
        Path data = Running.emptyFolder();
        var taken = new ArrayList<String>();
        try (Served served = Served.start(data)) {
            for (int i = 0; i < 3; i++) {
                assertEquals(post(served, "/api/jobs", job("Before " + i)).status(), 201);
                taken.add("Before " + i);
            }
            limit(served, Long.toString(Files.size(data.resolve("openslab.mv.db"))));
            Answer refused = null;
            for (int i = 0; i < TRIES && refused == null; i++) {
                Answer answer = post(served, "/api/jobs", job("Meanwhile " + i));
                if (answer.status() == 201) {
                    taken.add("Meanwhile " + i);
                } else {
                    refused = answer;
                }
            }
            assertTrue(refused != null, "the disk is never full");
            assertEquals(refused.status(), 507, refused.text());
            assertTrue(refused.text().contains("nothing was saved"), refused.text());
            for (int i = 0; i < 5; i++) {
                Answer answer = post(served, "/api/jobs", job("Refused " + i));
                assertEquals(answer.status(), 507, answer.text());
                Answer list = get(served, "/api/jobs");
                assertEquals(list.status(), 200, list.text());
                assertTrue(list.text().contains("Before 2"), list.text());
            }
            limit(served, "unlimited");
            int tries = 0;
            while (post(served, "/api/jobs", job("Afterwards")).status() != 201) {
                assertTrue(++tries < TRIES, "it does not recover");
            }
            taken.add("Afterwards");
            assertEquals(names(served), taken.stream().sorted().toList());
            served.kill();
        }
        try (Served again = Served.start(data)) {
            assertEquals(names(again), taken.stream().sorted().toList());
        }
    }

    /** A logger's file that has no room is refused, and nothing of it stays. */
    @Test
    public void a_file_that_finds_no_room_leaves_nothing_behind() throws IOException {
        Path data = Running.emptyFolder();
        try (Served served = Served.start(data)) {
            limit(served, Long.toString(1 << 20));
            String csv = "time,RH\n" + "2026-05-04 09:30,70\n".repeat(200_000);
            Answer refused = write(served, "POST", "/api/logger-files?timeZone=UTC", 0, "text/csv", csv);
            assertEquals(refused.status(), 507, refused.text());
            assertTrue(refused.text().contains("nothing was saved"), refused.text());
            limit(served, "unlimited");
            Path passing = data.resolve("passing");
            if (Files.isDirectory(passing)) {
                try (var left = Files.list(passing)) {
                    assertEquals(left.count(), 0);
                }
            }
            Answer taken = write(served, "POST", "/api/logger-files?timeZone=UTC", 0, "text/csv", csv);
            assertEquals(taken.status(), 201, taken.text());
        }
    }

    private static List<String> names(Served served) {
        JsonArray jobs = JsonParser.parseString(get(served, "/api/jobs").text()).getAsJsonArray();
        var names = new ArrayList<String>();
        for (JsonElement job : jobs) {
            names.add(job.getAsJsonObject().get("name").getAsString());
        }
        return names.stream().sorted().toList();
    }

    // no beginning

    @DataProvider
    Object[][] beginnings() throws IOException {
        Path damaged = Running.emptyFolder();
        byte[] noise = new byte[20_000];
        new Random(11).nextBytes(noise);
        Files.write(damaged.resolve("openslab.mv.db"), noise);
        Path file = Files.createTempFile("openslab", ".txt");
        return new Object[][] {
            {Running.emptyFolder(), "--clock=yesterday", "is no moment"},
            {Running.emptyFolder(), "--port=high", "is no port"},
            {Path.of("/proc/open-slab"), "--demo=false", "nothing can be written"},
            {file, "--demo=false", "nothing can be written"},
            {damaged, "--demo=false", "is damaged"},
            {Running.emptyFolder().resolve("a;b"), "--demo=false", "no path with ; in it"},
        };
    }

    @Test(dataProvider = "beginnings")
    public void what_keeps_it_from_starting_is_said_in_one_line(Path data, String argument, String why) {
        assertSaid(Served.refusal(data, argument), why);
    }

    private static void assertSaid(List<String> said, String why) {
        List<String> lines = said.stream().filter(l -> !l.isBlank()).toList();
        assertEquals(lines.size(), 1, String.join("\n", said));
        assertTrue(lines.get(0).contains(why), lines.get(0));
    }

    @Test
    public void a_second_one_leaves_the_folder_to_the_first() {
        Path data = Running.emptyFolder();
        try (Served first = Served.start(data)) {
            assertSaid(Served.refusal(data), "in use by another");
            assertSaid(
                    Served.refusal(
                            Running.emptyFolder(),
                            "--port=" + URI.create(first.address).getPort()),
                    "is taken by another program");
            assertEquals(post(first, "/api/jobs", job("Still here")).status(), 201);
        }
    }

    // killed

    private static String instrument(String name, String address) {
        return """
                {"kind":"RH_PROBE","address":"%s","papers":{"name":"%s","calibrated":"2026-01-01","due":"2027-01-01"}}"""
                .formatted(address, name);
    }

    private static long samples(Served served, String instrument) {
        long sum = 0;
        for (JsonElement series : get(served, "/api/instruments/" + instrument + "/samples")
                .body()
                .getAsJsonArray("series")) {
            sum += series.getAsJsonObject().get("count").getAsLong();
        }
        return sum;
    }

    private static JsonObject offer(Served served, String csv) {
        Answer answer = write(served, "POST", "/api/logger-files?timeZone=UTC", 0, "text/csv", csv);
        assertEquals(answer.status(), 201, answer.text());
        return answer.body();
    }

    private static String start(Served served, JsonObject offer, String instrument) {
        String path = "/api/logger-files/" + offer.get("fileId").getAsString();
        var form = new JsonObject();
        form.addProperty("instrumentId", instrument);
        form.add("mapping", offer.get("mapping"));
        Answer begun = post(served, path + "/start", form.toString());
        assertEquals(begun.status(), 200, begun.text());
        return path;
    }

    private static JsonObject ended(Served served, String path) {
        JsonObject progress = get(served, path).body();
        while (progress.get("state").getAsString().equals("RUNNING")) {
            progress = get(served, path).body();
        }
        return progress;
    }

    @Test
    public void a_killed_import_took_nothing_and_says_so() throws IOException {
        Path data = Running.emptyFolder();
        int lines = 100_000;
        String csv = "seconds since 1970 (time),probe,value,unit,quantity\n"
                + IntStream.range(0, lines)
                        .mapToObj(i -> (1_770_000_000 + 60 * i) + ",A," + (70 + i % 5) + ".5,%,SLAB_RH")
                        .collect(Collectors.joining("\n"));
        String instrument;
        String path;
        String whole;
        try (Served served = Served.start(data)) {
            instrument = post(served, "/api/instruments", instrument("Logger", ""))
                    .body()
                    .get("id")
                    .getAsString();
            JsonObject small = offer(served, csv.substring(0, csv.indexOf("\n", 2_000)));
            whole = start(served, small, instrument);
            assertEquals(ended(served, whole).get("state").getAsString(), "DONE");
            path = start(served, offer(served, csv), instrument);
            while (get(served, path).body().get("samples").getAsLong() == 0) {
                Thread.onSpinWait();
            }
            assertEquals(get(served, path).body().get("state").getAsString(), "RUNNING");
            served.kill();
        }
        try (Served again = Served.start(data)) {
            Answer was = get(again, whole);
            assertEquals(was.status(), 200, was.text());
            assertEquals(was.body().get("state").getAsString(), "DONE", was.text());
            Answer killed = get(again, path);
            assertEquals(killed.status(), 404, killed.text());
            long before = samples(again, instrument);
            assertEquals(before, was.body().get("samples").getAsLong());
            try (var passing = Files.list(data.resolve("passing"))) {
                assertEquals(passing.count(), 0);
            }
            // taken once more it is taken whole, what was there from before left out
            JsonObject done = ended(again, start(again, offer(again, csv), instrument));
            assertEquals(done.get("state").getAsString(), "DONE", done.toString());
            assertEquals(samples(again, instrument), lines);
            assertEquals(done.get("repeated").getAsLong(), before);
        }
    }

    // much

    /** A job with all the pictures that it may have goes out and comes back, twice over. */
    @Test
    public void forty_megabytes_of_pictures_travel_under_the_heap_that_it_has() {
        try (Served served = Served.start(Running.emptyFolder())) {
            String job =
                    post(served, "/api/jobs", job("Pictures")).body().get("id").getAsString();
            String zone = write(
                            served,
                            "POST",
                            "/api/jobs/" + job + "/zones",
                            1,
                            "application/json",
                            """
                            {"name":"North bay","shape":"rectangle","sides":{"length":"24'","width":"18'"},
                             "exposure":"INDOORS","dust":true,"washWater":true,
                             "settings":{"pace":"11","share":"80","allowance":"10 %"}}""")
                    .body()
                    .getAsJsonArray("zones")
                    .get(0)
                    .getAsJsonObject()
                    .get("id")
                    .getAsString();
            String entry = post(
                            served,
                            "/api/jobs/" + job + "/zones/" + zone + "/log",
                            """
                            {"kind":"READING","subject":"ph","place":"A","at":"2026-05-04T09:00:00Z","by":"Wren",
                             "note":"","values":{"ph":"8.5"}}""")
                    .body()
                    .get("key")
                    .getAsString();
            byte[] picture = new byte[1_000_000];
            for (int i = 0; i < 40; i++) {
                picture[0] = (byte) 0xff;
                picture[1] = (byte) 0xd8;
                picture[2] = (byte) 0xff;
                picture[3] = (byte) i;
                Answer taken = sent(HttpRequest.newBuilder(
                                URI.create(served.address + "/api/jobs/" + job + "/log/" + entry + "/photos"))
                        .header("Content-Type", "image/jpeg")
                        .header("Idempotency-Key", UUID.randomUUID().toString())
                        .POST(HttpRequest.BodyPublishers.ofByteArray(picture)));
                assertEquals(taken.status(), 201, taken.text());
            }
            String file = get(served, "/api/job-files/" + job).text();
            for (Answer copy : List.of(
                    post(served, "/api/job-files?copy=true", file), post(served, "/api/job-files?copy=true", file))) {
                assertEquals(copy.status(), 201, copy.text());
                String back = copy.body().get("jobId").getAsString();
                JsonObject photos = get(served, "/api/jobs/" + back).body().getAsJsonObject("photos");
                assertEquals(
                        photos.entrySet()
                                .iterator()
                                .next()
                                .getValue()
                                .getAsJsonArray()
                                .size(),
                        40);
            }
        }
    }

    // many hands

    @Test
    public void who_collects_and_who_edits_at_once_is_stored_once_or_told() {
        try (Served served = Served.start(Running.emptyFolder(), "--demo=true")) {
            JsonArray shelf = JsonParser.parseString(
                            get(served, "/api/instruments").text())
                    .getAsJsonArray();
            var device = shelf.asList().stream()
                    .map(JsonElement::getAsJsonObject)
                    .filter(i -> !i.getAsJsonObject("form")
                            .get("address")
                            .getAsString()
                            .isEmpty())
                    .findFirst()
                    .orElseThrow();
            String address = device.getAsJsonObject("form").get("address").getAsString();
            String id = post(served, "/api/instruments", instrument("Twin", address))
                    .body()
                    .get("id")
                    .getAsString();
            List<Answer> collected = together(n -> post(served, "/api/instruments/" + id + "/collect", "{}"));
            assertEquals(statuses(collected), java.util.Collections.nCopies(AT_ONCE, 200), collected.toString());
            long sum = collected.stream()
                    .mapToLong(a -> a.body().get("samples").getAsLong())
                    .sum();
            assertTrue(sum > 0);
            assertEquals(samples(served, id), sum);
            assertEquals(samples(served, device.get("id").getAsString()), sum);

            String job =
                    post(served, "/api/jobs", job("Edited")).body().get("id").getAsString();
            for (int round = 1; round <= 5; round++) {
                int version = round;
                List<Integer> edits = statuses(together(n ->
                        write(served, "PUT", "/api/jobs/" + job, version, "application/json", job("Edited " + n))));
                assertEquals(edits.get(0), Integer.valueOf(200), edits.toString());
                assertEquals(edits.subList(1, AT_ONCE), java.util.Collections.nCopies(AT_ONCE - 1, 412));
            }
            assertFalse(get(served, "/api/jobs/" + job).text().contains("\"Edited\""));
        }
    }
}
