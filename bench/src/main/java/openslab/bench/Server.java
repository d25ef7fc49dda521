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
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The application in a process of its own, on a data folder of its own. */
final class Server implements AutoCloseable {
    final HttpClient http = HttpClient.newHttpClient();
    final Path data;
    final String address;

    private final Process process;

    Server(Path jar, String... more) throws IOException {
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        data = Files.createTempDirectory("openslab-bench");
        var command = new ArrayList<>(List.of(java, "-Xmx512m", "-jar", jar.toString(), "--port=0", "--data=" + data));
        command.addAll(Arrays.asList(more));
        process = new ProcessBuilder(command).redirectErrorStream(true).start();
        address = addressSaidBy(process);
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

    String get(String path) throws IOException, InterruptedException {
        return sent(HttpRequest.newBuilder(URI.create(address + path)));
    }

    String post(String path, String type, HttpRequest.BodyPublisher body) throws IOException, InterruptedException {
        return sent(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", type)
                .header("Idempotency-Key", UUID.randomUUID().toString())
                .POST(body));
    }

    /** A write that says which version it saw. */
    String post(String path, String version, String json) throws IOException, InterruptedException {
        return sent(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/json")
                .header("Idempotency-Key", UUID.randomUUID().toString())
                .header("If-Match", version)
                .POST(HttpRequest.BodyPublishers.ofString(json)));
    }

    private String sent(HttpRequest.Builder request) throws IOException, InterruptedException {
        HttpResponse<String> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 300) {
            throw new IllegalStateException(answer.statusCode() + " " + answer.body());
        }
        return answer.body();
    }

    /** The first group of {@code pattern} in an answer. */
    static String found(String pattern, String answer) {
        Matcher matcher = Pattern.compile(pattern).matcher(answer);
        if (!matcher.find()) {
            throw new IllegalStateException("no " + pattern + " in " + answer);
        }
        return matcher.group(1);
    }

    @Override
    public void close() {
        process.destroy();
        try {
            process.waitFor(15, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
