package openslab.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** The derived job over HTTP on loopback, at a steady rate: the budget is 40 ms, p99, at 50 requests a second. */
final class ApiLoad {
    private static final int PER_SECOND = 50;
    /** The budget is that of a warm JVM: before half a minute the compiler still takes its share of two cores. */
    private static final int WARM_UP_SECONDS = 40;

    private static final int SECONDS = 20;

    private ApiLoad() {}

    static void run(Path jar) throws IOException, InterruptedException {
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        Path data = Files.createTempDirectory("openslab-bench");
        Process server = new ProcessBuilder(java, "-jar", jar.toString(), "--port=0", "--demo=true", "--data=" + data)
                .redirectErrorStream(true)
                .start();
        try {
            String address = addressSaidBy(server);
            HttpClient http = HttpClient.newHttpClient();
            String rack = get(http, address + "/api/jobs").body();
            Matcher id = Pattern.compile("\"id\":\"([0-9a-f-]{36})\",\"name\":\"Boat-repair workshop\"")
                    .matcher(rack);
            if (!id.find()) {
                throw new IllegalStateException("the demo has no boat-repair workshop: " + rack);
            }
            String job = address + "/api/jobs/" + id.group(1);
            load(http, job, WARM_UP_SECONDS);
            double[] ms = load(http, job, SECONDS);
            System.out.printf(
                    Locale.ROOT,
                    "API, derived job (2 zones, %d B), %d requests/s for %d s on loopback: p50 %.1f ms, p99 %.1f ms, worst %.1f ms (budget p99 40 ms)%n",
                    get(http, job).body().length(),
                    PER_SECOND,
                    SECONDS,
                    at(ms, 0.5),
                    at(ms, 0.99),
                    at(ms, 1));
        } finally {
            server.destroy();
            server.waitFor(15, TimeUnit.SECONDS);
        }
    }

    /** Sends on the beat whether or not the last answer came, so that a slow answer is not hidden by waiting for it. */
    private static double[] load(HttpClient http, String address, int seconds) throws InterruptedException {
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

    private static double at(double[] ms, double share) {
        double[] sorted =
                IntStream.range(0, ms.length).mapToDouble(i -> ms[i]).sorted().toArray();
        return sorted[Math.min(sorted.length - 1, (int) Math.ceil(share * sorted.length) - 1)];
    }

    private static HttpResponse<String> get(HttpClient http, String address) throws IOException, InterruptedException {
        return http.send(HttpRequest.newBuilder(URI.create(address)).build(), HttpResponse.BodyHandlers.ofString());
    }

    private static String addressSaidBy(Process process) throws IOException {
        var out = new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        String ready = "Open Slab is ready at ";
        var lines = out.lines().iterator();
        while (lines.hasNext()) {
            String line = lines.next();
            if (line.startsWith(ready)) {
                return line.substring(ready.length());
            }
        }
        throw new IllegalStateException("the application did not start, see "
                + Arrays.toString(process.info().arguments().orElse(new String[0])));
    }
}
