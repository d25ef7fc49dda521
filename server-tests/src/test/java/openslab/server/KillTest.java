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
import java.util.concurrent.TimeUnit;
import java.util.jar.JarEntry;
import java.util.jar.JarOutputStream;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The process is killed (SIGKILL) in the middle of a stream of log writes; every acknowledged entry is there afterwards. */
public class KillTest {
    /** A start of the process takes one core several seconds, one more application in it hardly one. */
    private static final int STORES = 4;

    private static final int ROUNDS = 5;
    private static final String READY = "Open Slab is ready at port ";
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

    /** Several applications in one process, each on a folder of its own, so that one kill ends them all in the middle of a write. */
    public static final class Several {
        public static void main(String[] folders) {
            for (String folder : folders) {
                var app = App.startOnFile(
                        Path.of(folder),
                        "--spring.main.lazy-initialization=true",
                        "--springdoc.api-docs.enabled=false");
                System.out.println(READY + app.port);
            }
        }
    }

    /** The process, and where each application in it listens. */
    private record Server(Process process, List<String> addresses) {
        static Server start(List<Path> folders) throws IOException {
            return ready(java(List.of("-XX:SharedArchiveFile=" + ARCHIVE), folders), folders.size());
        }

        /** Tells a first story and keeps every class that it took: the restarts take half as long. */
        static void archive() throws IOException, InterruptedException {
            Server first = ready(java(List.of("-XX:ArchiveClassesAtExit=" + ARCHIVE), List.of(App.emptyFolder())), 1);
            var log = Log.begin(first.addresses.get(0));
            log.write(first.addresses.get(0));
            log.keys(first.addresses.get(0));
            first.end();
            assertTrue(Files.exists(ARCHIVE));
        }

        private static Server ready(Process process, int count) throws IOException {
            RUNNING.add(process);
            var out = new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
            var said = new StringBuilder();
            var addresses = new ArrayList<String>();
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                said.append(line).append('\n');
                if (line.startsWith(READY)) {
                    addresses.add("http://127.0.0.1:" + line.substring(READY.length()));
                }
                if (addresses.size() == count) {
                    drain(out);
                    return new Server(process, List.copyOf(addresses));
                }
            }
            throw new AssertionError("it did not start:\n" + said);
        }

        /** The applications, started as lightly as they can be. */
        private static Process java(List<String> options, List<Path> folders) throws IOException {
            var command = new ArrayList<>(List.of(
                    Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                    "-XX:TieredStopAtLevel=1",
                    "-XX:+UseSerialGC",
                    "-Xmx512m"));
            command.addAll(options);
            command.addAll(List.of("-cp", CLASSES, Several.class.getName()));
            folders.forEach(folder -> command.add(folder.toString()));
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

    /** The log of one zone, which an application that was started again goes on with. */
    private record Log(String job, String path) {
        static Log begin(String address) throws IOException, InterruptedException {
            String job = post(address + "/api/jobs", UUID.randomUUID(), 0, App.jobForm("Killed"))
                    .path("id")
                    .asString();
            String zone = post(address + "/api/jobs/" + job + "/zones", UUID.randomUUID(), 1, App.zoneForm("Bay"))
                    .path("zones")
                    .path(0)
                    .path("id")
                    .asString();
            return new Log(job, "/api/jobs/" + job + "/zones/" + zone + "/log");
        }

        /** @return the key of the entry, acknowledged */
        String write(String address) throws IOException, InterruptedException {
            var key = UUID.randomUUID();
            post(address + path, key, 0, App.logForm("READING", "ph", "A", Map.of("ph", "8.5")));
            return key.toString();
        }

        Set<String> keys(String address) throws IOException, InterruptedException {
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

        private static JsonNode post(String uri, UUID key, int version, Object body)
                throws IOException, InterruptedException {
            var request = HttpRequest.newBuilder(URI.create(uri))
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
    }

    /** What one application was given and acknowledged, over every kill. */
    private record Story(Path folder, Set<String> acknowledged) {
        static Story begin() {
            return new Story(App.emptyFolder(), Collections.synchronizedSet(new HashSet<>()));
        }
    }

    /** A test that failed leaves nothing running. */
    @AfterClass(alwaysRun = true)
    public void endAll() {
        RUNNING.forEach(Process::destroyForcibly);
    }

    @Test
    public void every_acknowledged_entry_survives_a_kill() throws Exception {
        Server.archive();
        List<Story> stories = Stream.generate(Story::begin).limit(STORES).toList();
        List<Path> folders = stories.stream().map(Story::folder).toList();
        var random = new Random(1);
        Server server = Server.start(folders);
        var logs = new ArrayList<Log>();
        for (String address : server.addresses) {
            logs.add(Log.begin(address));
        }
        for (int round = 1; round <= ROUNDS; round++) {
            List<Integer> before =
                    stories.stream().map(s -> s.acknowledged.size()).toList();
            var writers = new ArrayList<Thread>();
            for (int i = 0; i < STORES; i++) {
                writers.addAll(stream(server.addresses.get(i), logs.get(i), stories.get(i).acknowledged));
            }
            // in the middle of the streams, wherever that is on a machine that is busy with other tests
            long patience = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
            while (IntStream.range(0, STORES)
                            .anyMatch(i -> stories.get(i).acknowledged.size() < before.get(i) + 3)
                    && System.nanoTime() < patience) {
                Thread.sleep(5);
            }
            Thread.sleep(random.nextInt(300));
            server.kill();
            for (Thread writer : writers) {
                writer.join();
            }
            server = Server.start(folders);
            for (int i = 0; i < STORES; i++) {
                Set<String> acknowledged = stories.get(i).acknowledged;
                assertTrue(
                        acknowledged.size() > before.get(i), "round " + round + " wrote nothing, so it proves nothing");
                var missing = new HashSet<>(acknowledged);
                missing.removeAll(logs.get(i).keys(server.addresses.get(i)));
                assertEquals(missing, Set.of(), "round " + round);
            }
        }
        server.end();
        int kept = stories.stream().mapToInt(s -> s.acknowledged.size()).sum();
        System.out.println("killed " + STORES + " applications " + ROUNDS + " times: " + kept
                + " acknowledged entries, none lost");
    }

    /** Two writers that write until the application is gone. */
    private static List<Thread> stream(String address, Log log, Set<String> acknowledged) {
        var writers = new ArrayList<Thread>();
        for (int i = 0; i < 2; i++) {
            var writer = new Thread(() -> {
                try {
                    while (true) {
                        acknowledged.add(log.write(address));
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
