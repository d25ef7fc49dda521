package openslab.bench;

import java.io.IOException;
import java.net.http.HttpRequest;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;

/** A layer's screen where the crew has many floors behind it: its own losses are read from all of them, and anew after every batch. */
final class ManyFloors {
    private static final int FLOORS = 300;
    private static final int BATCHES = 40;

    private static final String BATCH =
            """
            {"kind":"BATCH","subject":"clear","place":"","at":"%s","by":"Wren","note":"measured",
            "values":{"volume":"0.1 gal","area":"10 ft²"}}""";

    private ManyFloors() {}

    static void run(Path jar) throws IOException, InterruptedException {
        try (var server = new Server(jar, "--demo=true")) {
            String job = Server.found("\"id\":\"([0-9a-f-]{36})\",\"name\":\"Boat-repair", server.get("/api/jobs"));
            String zone = Server.found(
                    "\"zones\":\\[\\{\"id\":\"([0-9a-f-]{36})\"", server.get("/api/jobs/" + job + "/head"));
            String at = "/api/jobs/" + job + "/zones/" + zone;
            String few = told(server, at);
            String file = server.get("/api/job-files/" + job);
            for (int i = 0; i < FLOORS; i++) {
                server.post("/api/job-files?copy=true", "application/json", HttpRequest.BodyPublishers.ofString(file));
            }
            System.out.printf(
                    Locale.ROOT,
                    "API, a layer's screen just after a batch: with 1 floor behind the crew %s, with %d floors %s%n",
                    few,
                    FLOORS + 1,
                    told(server, at));
        }
    }

    /** The first time that anybody looks, and from then on. */
    private static String told(Server server, String zone) throws IOException, InterruptedException {
        String now = Server.found("\"now\":\"([^\"]*)\"", server.get("/api/now"));
        double[] ms = new double[BATCHES];
        for (int i = 0; i < BATCHES; i++) {
            server.post(
                    zone + "/log",
                    "application/json",
                    HttpRequest.BodyPublishers.ofString(String.format(Locale.ROOT, BATCH, now)));
            long start = System.nanoTime();
            server.get(zone + "/stages/layers/clear");
            ms[i] = (System.nanoTime() - start) / 1e6;
        }
        double first = ms[0];
        double[] later = Arrays.copyOfRange(ms, 1, BATCHES);
        Arrays.sort(later);
        return String.format(Locale.ROOT, "p50 %.1f ms (the first %.1f ms)", ApiLoad.at(later, 0.5), first);
    }
}
