package openslab.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;

/** The derived job over HTTP on loopback, at a steady rate: the budget is 40 ms, p99, at 50 requests a second. */
final class ApiLoad {
    static final int PER_SECOND = 50;
    /** The budget is that of a warm JVM: before half a minute the compiler still takes its share of two cores. */
    static final int WARM_UP_SECONDS = 40;

    static final int SECONDS = 20;

    private ApiLoad() {}

    static void run(Path jar) throws IOException, InterruptedException {
        try (var server = new Server(jar, "--demo=true")) {
            String id = Server.found(
                    "\"id\":\"([0-9a-f-]{36})\",\"name\":\"Boat-repair workshop\"", server.get("/api/jobs"));
            String job = server.address + "/api/jobs/" + id + "/head";
            load(server.http, job, WARM_UP_SECONDS);
            double[] ms = load(server.http, job, SECONDS);
            System.out.printf(
                    Locale.ROOT,
                    "API, head of a job (2 zones, %d B), %d requests/s for %d s on loopback: p50 %.1f ms, p99 %.1f ms, worst %.1f ms (budget p99 40 ms)%n",
                    server.get("/api/jobs/" + id + "/head").length(),
                    PER_SECOND,
                    SECONDS,
                    at(ms, 0.5),
                    at(ms, 0.99),
                    at(ms, 1));
        }
    }

    /** Sends on the beat whether or not the last answer came, so that a slow answer is not hidden by waiting for it. */
    static double[] load(HttpClient http, String address, int seconds) throws InterruptedException {
        var request = HttpRequest.newBuilder(URI.create(address)).build();
        int n = seconds * PER_SECOND;
        var answers = new CompletableFuture<?>[n];
        double[] ms = new double[n];
        long start = System.nanoTime();
        for (int i = 0; i < n; i++) {
            long due = start + i * 1_000_000_000L / PER_SECOND;
            TimeUnit.NANOSECONDS.sleep(Math.max(0, due - System.nanoTime()));
            int which = i;
            answers[i] = http.sendAsync(request, HttpResponse.BodyHandlers.ofByteArray())
                    .thenAccept(r -> {
                        ms[which] = r.statusCode() == 200 ? (System.nanoTime() - due) / 1e6 : Double.POSITIVE_INFINITY;
                    });
        }
        CompletableFuture.allOf(answers).join();
        return ms;
    }

    static double at(double[] ms, double share) {
        double[] sorted =
                IntStream.range(0, ms.length).mapToDouble(i -> ms[i]).sorted().toArray();
        return sorted[Math.min(sorted.length - 1, (int) Math.ceil(share * sorted.length) - 1)];
    }
}
