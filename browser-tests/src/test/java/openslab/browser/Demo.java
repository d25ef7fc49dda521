package openslab.browser;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;

/** The demo's data, laid once and copied for each class: laying takes as long as the start itself. */
final class Demo {
    private static final Path LAID = lay();

    private Demo() {}

    private static Path lay() {
        Path folder = Running.emptyFolder();
        Served.start(folder, "--demo=true").close();
        return folder;
    }

    static Path copy() {
        Path copy = Running.emptyFolder();
        try (Stream<Path> files = Files.walk(LAID)) {
            for (Path file : files.skip(1).toList()) {
                Files.copy(file, copy.resolve(LAID.relativize(file)));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return copy;
    }
}
