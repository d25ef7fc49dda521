package openslab.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.Locale;

/** A large rack and a large job: 1,000 jobs, and one of 40 zones with 1,000 readings. */
final class ManyJobs {
    private static final int JOBS = 1_000;
    private static final int ZONES = 40;
    private static final int READINGS = 25;
    private static final int LOOKS = 200;

    private ManyJobs() {}

    static void run(Path jar) throws IOException, InterruptedException {
        try (var server = new Server(jar, "--demo=true")) {
            String large = large(server);
            String head = server.address + large + "/head";
            ApiLoad.load(server.http, head, ApiLoad.WARM_UP_SECONDS);
            double[] ms = ApiLoad.load(server.http, head, ApiLoad.SECONDS);
            System.out.printf(
                    Locale.ROOT,
                    "API, head of a job of %d zones and %d readings, %d requests/s: p50 %.1f ms, p99 %.1f ms (budget p99 40 ms)%n",
                    ZONES,
                    ZONES * READINGS,
                    ApiLoad.PER_SECOND,
                    ApiLoad.at(ms, 0.5),
                    ApiLoad.at(ms, 0.99));
            rack(server);
        }
    }

    private static String large(Server server) throws IOException, InterruptedException {
        String id = Server.found(
                "\"id\":\"([0-9a-f-]{36})\"",
                server.post(
                        "/api/jobs",
                        "application/json",
                        HttpRequest.BodyPublishers.ofString(
                                """
                                {"name":"Large","client":"","place":"","latitude":"44.36","longitude":"-64.31",
                                "timeZone":"America/Halifax","units":"US","setting":"INDOORS","archived":false}""")));
        String job = "/api/jobs/" + id;
        for (int z = 1; z <= ZONES; z++) {
            String made = server.post(job + "/zones", Integer.toString(z), OnTheWire.zone("Bay " + z));
            String zone = made.replaceFirst("(?s).*\\{\"id\":\"([0-9a-f-]{36})\",\"facts\".*", "$1");
            for (int r = 0; r < READINGS; r++) {
                server.post(
                        job + "/zones/" + zone + "/log",
                        "application/json",
                        HttpRequest.BodyPublishers.ofString(OnTheWire.reading("P" + r)));
            }
        }
        return job;
    }

    private static void rack(Server server) throws IOException, InterruptedException {
        String first = Server.found("\"id\":\"([0-9a-f-]{36})\",\"name\":\"Seed bank", server.get("/api/jobs"));
        String file = server.get("/api/job-files/" + first);
        for (int i = 0; i < JOBS; i++) {
            server.post("/api/job-files?copy=true", "application/json", HttpRequest.BodyPublishers.ofString(file));
        }
        for (int i = 0; i < LOOKS; i++) {
            server.get("/api/jobs");
        }
        double[] ms = new double[LOOKS];
        int bytes = 0;
        for (int i = 0; i < LOOKS; i++) {
            long start = System.nanoTime();
            HttpResponse<byte[]> answer = server.http.send(
                    HttpRequest.newBuilder(URI.create(server.address + "/api/jobs"))
                            .header("Accept-Encoding", "gzip")
                            .build(),
                    HttpResponse.BodyHandlers.ofByteArray());
            ms[i] = (System.nanoTime() - start) / 1e6;
            bytes = answer.body().length;
        }
        System.out.printf(
                Locale.ROOT,
                "API, rack with %d jobs (%d B): p50 %.1f ms, p99 %.1f ms (budget p99 100 ms)%n",
                JOBS,
                bytes,
                ApiLoad.at(ms, 0.5),
                ApiLoad.at(ms, 0.99));
    }
}
