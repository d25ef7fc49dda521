package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.jar.JarEntry;
import java.util.jar.JarOutputStream;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The process is killed (SIGKILL) in the middle of a stream of log writes; every acknowledged entry is there afterwards. */
public class KillTest {
    /** Twenty kills, in two stories side by side, since a restart takes one core several seconds. */
    private static final int STORIES = 2;

    private static final int ROUNDS = 10;
    private static final HttpClient HTTP = HttpClient.newHttpClient();
    private static final String CLASSES = jars();
    private static final Collection<Process> RUNNING = new ConcurrentLinkedQueue<>();
    private static final Path ARCHIVE = App.emptyFolder().resolve("classes.jsa");

    /** The class path with every folder as a jar: Java keeps loaded classes only of jars. */
    private static String jars() {
        String path = System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
        return Arrays.stream(path.split(File.pathSeparator))
                .map(Path::of)
                .filter(Files::exists)
                .map(entry -> Files.isDirectory(entry) ? jar(entry) : entry)
                .map(Path::toString)
                .collect(Collectors.joining(File.pathSeparator));
    }

    private static Path jar(Path folder) {
        Path jar = App.emptyFolder().resolve("classes.jar");
        try (var out = new JarOutputStream(Files.newOutputStream(jar));
                Stream<Path> files = Files.walk(folder)) {
            // folders have entries too: a scan for components goes by them
            for (Path file : files.skip(1).toList()) {
                String name = folder.relativize(file).toString().replace(File.separatorChar, '/');
                boolean inner = Files.isDirectory(file);
                out.putNextEntry(new JarEntry(inner ? name + "/" : name));
                if (!inner) {
                    Files.copy(file, out);
                }
                out.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return jar;
    }

    /** The application as a process of its own, so that it can be killed. */
    private record Server(Process process, String address) {
        static Server start(Path data) throws IOException {
            return ready(java(List.of("-XX:SharedArchiveFile=" + ARCHIVE), data));
        }

        /** Tells a first story and keeps every class that it took: twenty restarts take half as long. */
        static void archive() throws IOException, InterruptedException {
            Server first = ready(java(List.of("-XX:ArchiveClassesAtExit=" + ARCHIVE), App.emptyFolder()));
            var log = Log.begin(first);
            log.write(first);
            first.keys(log.job);
            first.end();
            assertTrue(Files.exists(ARCHIVE));
        }

        private static Server ready(Process process) throws IOException {
            RUNNING.add(process);
            var out = new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
            var said = new StringBuilder();
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                said.append(line).append('\n');
                if (line.startsWith("Open Slab is ready at ")) {
                    drain(out);
                    return new Server(process, line.substring("Open Slab is ready at ".length()));
                }
            }
            throw new AssertionError("the server did not start:\n" + said);
        }

        /** The application, started as lightly as it can be. */
        private static Process java(List<String> options, Path data) throws IOException {
            var command = new ArrayList<>(List.of(
                    Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                    "-XX:TieredStopAtLevel=1",
                    "-XX:+UseSerialGC",
                    "-Xmx512m"));
            command.addAll(options);
            command.addAll(List.of(
                    "-cp",
                    CLASSES,
                    "openslab.server.OpenSlab",
                    "--port=0",
                    "--data=" + data,
                    "--spring.main.lazy-initialization=true",
                    "--springdoc.api-docs.enabled=false"));
            return new ProcessBuilder(command).redirectErrorStream(true).start();
        }

        private static void drain(BufferedReader out) {
            var reader = new Thread(() -> {
                try {
                    while (out.readLine() != null) {
                        Thread.onSpinWait();
                    }
                } catch (IOException e) {
                    // the process is gone, and with it what it had to say
                }
            });
            reader.setDaemon(true);
            reader.start();
        }

        JsonNode write(String path, UUID key, int version, Object body) throws IOException, InterruptedException {
            var request = HttpRequest.newBuilder(URI.create(address + path))
                    .header("Content-Type", "application/json")
                    .header("Idempotency-Key", key.toString())
                    .header("If-Match", "\"" + version + "\"")
                    .POST(HttpRequest.BodyPublishers.ofString(App.JSON.writeValueAsString(body)))
                    .build();
            var answer = HTTP.send(request, HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() != 201) {
                throw new IOException(answer.statusCode() + " " + answer.body());
            }
            return App.JSON.readTree(answer.body());
        }

        Set<String> keys(String job) throws IOException, InterruptedException {
            var request = HttpRequest.newBuilder(URI.create(address + "/api/jobs/" + job))
                    .build();
            var keys = new HashSet<String>();
            App.JSON
                    .readTree(HTTP.send(request, HttpResponse.BodyHandlers.ofString())
                            .body())
                    .path("log")
                    .forEach(e -> keys.add(e.path("key").asString()));
            return keys;
        }

        void kill() throws InterruptedException {
            process.destroyForcibly();
            assertTrue(process.waitFor(10, TimeUnit.SECONDS));
        }

        /** SIGTERM ends it cleanly. */
        void end() throws InterruptedException {
            process.destroy();
            assertTrue(process.waitFor(60, TimeUnit.SECONDS));
            assertEquals(process.exitValue(), 143);
        }
    }

    /** The log of one zone, which a server that was started again goes on with. */
    private record Log(String job, String path) {
        static Log begin(Server server) throws IOException, InterruptedException {
            String job = server.write("/api/jobs", UUID.randomUUID(), 0, App.jobForm("Killed"))
                    .path("id")
                    .asString();
            String zone = server.write("/api/jobs/" + job + "/zones", UUID.randomUUID(), 1, App.zoneForm("Bay"))
                    .path("zones")
                    .path(0)
                    .path("id")
                    .asString();
            return new Log(job, "/api/jobs/" + job + "/zones/" + zone + "/log");
        }

        /** @return the key of the entry, acknowledged */
        String write(Server server) throws IOException, InterruptedException {
            var key = UUID.randomUUID();
            server.write(path, key, 0, App.logForm("READING", "ph", "A", Map.of("ph", "8.5")));
            return key.toString();
        }
    }

    /** A test that failed leaves nothing running. */
    @AfterClass(alwaysRun = true)
    public void endAll() {
        RUNNING.forEach(Process::destroyForcibly);
    }

    @Test
    public void every_acknowledged_entry_survives_twenty_kills() throws Exception {
        Server.archive();
        var pool = Executors.newFixedThreadPool(STORIES);
        try {
            var stories = new ArrayList<Future<Integer>>();
            for (int i = 0; i < STORIES; i++) {
                int seed = i;
                stories.add(pool.submit(() -> killAgainAndAgain(seed)));
            }
            int kept = 0;
            for (var story : stories) {
                kept += story.get();
            }
            System.out.println("killed " + STORIES * ROUNDS + " times: " + kept + " acknowledged entries, none lost");
        } finally {
            pool.shutdown();
        }
    }

    /** @return how many entries were acknowledged, every one of them found again */
    private static int killAgainAndAgain(int seed) throws Exception {
        Path data = App.emptyFolder();
        Set<String> acknowledged = Collections.synchronizedSet(new HashSet<>());
        var random = new Random(seed);
        Server server = Server.start(data);
        var log = Log.begin(server);
        for (int round = 1; round <= ROUNDS; round++) {
            int before = acknowledged.size();
            List<Thread> writers = stream(server, log, acknowledged);
            // in the middle of the stream, wherever that is on a machine that is busy with other tests
            long patience = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
            while (acknowledged.size() < before + 3 && System.nanoTime() < patience) {
                Thread.sleep(5);
            }
            Thread.sleep(random.nextInt(300));
            server.kill();
            for (Thread writer : writers) {
                writer.join();
            }
            assertTrue(acknowledged.size() > before, "round " + round + " wrote nothing, so it proves nothing");
            server = Server.start(data);
            var missing = new HashSet<>(acknowledged);
            missing.removeAll(server.keys(log.job));
            assertEquals(missing, Set.of(), "round " + round);
        }
        server.end();
        return acknowledged.size();
    }

    /** Two writers that write until the server is gone. */
    private static List<Thread> stream(Server server, Log log, Set<String> acknowledged) {
        var writers = new ArrayList<Thread>();
        for (int i = 0; i < 2; i++) {
            var writer = new Thread(() -> {
                try {
                    while (true) {
                        acknowledged.add(log.write(server));
                    }
                } catch (IOException e) {
                    // killed: what was not answered was not acknowledged
                } catch (InterruptedException e) {
                    throw new UncheckedIOException(new IOException(e));
                }
            });
            writer.start();
            writers.add(writer);
        }
        return writers;
    }
}
