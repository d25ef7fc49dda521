package openslab.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;
import java.util.UUID;

/**
 * What a screen moves, compressed as a browser asks for it: opening a job of four zones, and one tap that logs a reading. Beside them
 * the whole job with its workings, which is what each of the two used to be.
 */
final class OnTheWire {
    private static final int TAP_BUDGET = 6_000;
    private static final int OPEN_BUDGET = 25_000;

    private OnTheWire() {}

    static void run(Path jar) throws IOException, InterruptedException {
        try (var server = new Server(jar, "--demo=true")) {
            String id = Server.found(
                    "\"id\":\"([0-9a-f-]{36})\",\"name\":\"Boat-repair workshop\"", server.get("/api/jobs"));
            String job = "/api/jobs/" + id;
            for (String name : new String[] {"South bay", "Store"}) {
                String head = server.get(job + "/head");
                server.post(job + "/zones", version(head), zone(name));
            }
            String zone = Server.found("\"zones\":\\[\\{\"id\":\"([0-9a-f-]{36})\"", server.get(job + "/head"));
            String survey = job + "/zones/" + zone + "/stages/survey";
            int whole = bytes(server, job);
            int head = bytes(server, job + "/head");
            int stage = bytes(server, survey);
            System.out.printf(
                    Locale.ROOT,
                    "Wire, opening a job of 4 zones: %d B (head %d, stage %d); the whole of it was %d B (budget %d)%n",
                    head + stage,
                    head,
                    stage,
                    whole,
                    OPEN_BUDGET);
            String reading = reading("A");
            int down = tap(server, job + "/zones/" + zone + "/log", reading) + bytes(server, survey);
            int up = reading.getBytes(StandardCharsets.UTF_8).length;
            System.out.printf(
                    Locale.ROOT,
                    "Wire, a tap that logs a reading, 4 zones: %d B down, %d B up, 2 requests; it was %d B down (budget %d in all)%n",
                    down,
                    up,
                    bytes(server, job),
                    TAP_BUDGET);
        }
    }

    private static String version(String head) {
        return Server.found("\"version\":(\\d+)", head);
    }

    static String zone(String name) {
        return """
                {"name":"%s","shape":"rectangle","sides":{"length":"40 ft","width":"22 ft"},"exposure":"INDOORS",
                "dust":true,"washWater":true,"settings":{"pace":"11","share":"80","allowance":"10 %%"}}"""
                .formatted(name);
    }

    static String reading(String place) {
        return """
                {"kind":"READING","subject":"ph","place":"%s","at":"%s","by":"Wren","note":"","values":{"ph":"8.4"}}"""
                .formatted(place, "2026-05-04T11:00:00Z");
    }

    private static int tap(Server server, String path, String body) throws IOException, InterruptedException {
        return answered(
                server,
                HttpRequest.newBuilder(URI.create(server.address + path))
                        .header("Content-Type", "application/json")
                        .header("Idempotency-Key", UUID.randomUUID().toString())
                        .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    private static int bytes(Server server, String path) throws IOException, InterruptedException {
        return answered(server, HttpRequest.newBuilder(URI.create(server.address + path)));
    }

    private static int answered(Server server, HttpRequest.Builder request) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = server.http.send(
                request.header("Accept-Encoding", "gzip").build(), HttpResponse.BodyHandlers.ofByteArray());
        if (answer.statusCode() >= 300) {
            throw new IllegalStateException(
                    answer.statusCode() + " of " + request.build().uri());
        }
        return answer.body().length;
    }
}
