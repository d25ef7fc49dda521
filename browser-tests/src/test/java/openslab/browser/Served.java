package openslab.browser;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** The packaged application as a process of its own, under the heap that {@code ./slab} gives it. */
final class Served implements AutoCloseable {
    static final String NOW = "2026-05-04T12:00:00Z";
    private static final String READY = "Open Slab is ready at ";
    private static final Path JAR = Path.of(System.getProperty("openslab.jar"));

    final String address;
    private final Process process;

    private Served(Process process, String address) {
        this.process = process;
        this.address = address;
    }

    Process process() {
        return process;
    }

    /** @param more arguments, {@code --demo=true} say */
    static Served start(Path data, String... more) {
        Process process = begun(data, more);
        var said = new StringBuilder();
        Iterator<String> lines = lines(process);
        while (lines.hasNext()) {
            String line = lines.next();
            if (line.startsWith(READY)) {
                drain(lines);
                return new Served(process, line.substring(READY.length()));
            }
            said.append(line).append('\n');
        }
        throw new AssertionError("the application did not start:\n" + said);
    }

    /** What it says where it does not start, and ends. */
    static List<String> refusal(Path data, String... more) {
        Process process = begun(data, more);
        var said = new ArrayList<String>();
        lines(process).forEachRemaining(said::add);
        try {
            process.waitFor();
        } catch (InterruptedException e) {
            throw new AssertionError(e);
        }
        if (process.exitValue() == 0) {
            throw new AssertionError("it ended as if all were well:\n" + said);
        }
        return said;
    }

    private static Process begun(Path data, String... more) {
        var command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-Xmx512m",
                "-XX:SharedArchiveFile=" + JAR.resolveSibling("classes.jsa"),
                "-jar",
                JAR.toString(),
                "--data=" + data));
        command.addAll(List.of(more));
        for (String usual : List.of("--port=0", "--clock=" + NOW)) {
            String name = usual.substring(0, usual.indexOf('=') + 1);
            if (Arrays.stream(more).noneMatch(a -> a.startsWith(name))) {
                command.add(usual);
            }
        }
        try {
            return new ProcessBuilder(command).redirectErrorStream(true).start();
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    /** Nobody listens to it any more; without this it would wait for somebody who does. */
    private static void drain(Iterator<String> lines) {
        var listener = new Thread(() -> {
            try {
                lines.forEachRemaining(l -> {});
            } catch (UncheckedIOException e) {
                // the process is gone, and with it what it had to say
            }
        });
        listener.setDaemon(true);
        listener.start();
    }

    private static Iterator<String> lines(Process process) {
        var out = new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        return out.lines().iterator();
    }

    /** As a power cut would. */
    void kill() {
        try {
            process.destroyForcibly().waitFor();
        } catch (InterruptedException e) {
            throw new AssertionError(e);
        }
    }

    @Override
    public void close() {
        process.destroy();
        try {
            if (!process.waitFor(15, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
