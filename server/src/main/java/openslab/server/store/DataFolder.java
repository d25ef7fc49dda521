package openslab.server.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import openslab.server.web.NoSpace;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The folder of {@code --data=DIR}: one H2 file, written through at once, and a folder for what passes. */
@Component
public class DataFolder {
    private static final Logger LOG = LoggerFactory.getLogger(DataFolder.class);
    private static final String PASSING = "passing";

    /** In H2's URLs a path ends here, and what comes after it is a setting. */
    static final String ENDS_PATH = ";";

    private final Path folder;
    private final long reserve;

    /**
     * @param folder may be relative to where the application was started; H2 itself takes only whole paths
     * @param reserve bytes that are never written to: the database needs some to tidy itself up
     */
    DataFolder(@Value("${data:data}") String folder, @Value("${openslab.reserve:16777216}") long reserve) {
        this.folder = whole(folder);
        this.reserve = reserve;
        clear();
    }

    static Path whole(String folder) {
        return Path.of(folder).toAbsolutePath().normalize();
    }

    /** What a process that was killed left behind of files that were passing through. */
    private void clear() {
        Path passing = folder.resolve(PASSING);
        if (!Files.isDirectory(passing)) {
            return;
        }
        try (Stream<Path> left = Files.list(passing)) {
            for (Path file : left.toList()) {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            LOG.warn("temporary files stay behind in {}", passing, e);
        }
    }

    /** A file for what passes through; whoever asked lets go of it. */
    public Path temporary(String prefix, String suffix) throws IOException {
        requireSpace();
        Path passing = Files.createDirectories(folder.resolve(PASSING));
        return Files.createTempFile(passing, prefix, suffix);
    }

    /** @throws NoSpace where nothing more is to be written */
    public void requireSpace() {
        if (!hasSpace()) {
            throw new NoSpace("There is no space left where the data are kept; nothing was saved.", null);
        }
    }

    /** Whether there is more than the reserve. */
    boolean hasSpace() {
        try {
            return Files.getFileStore(Files.createDirectories(folder)).getUsableSpace() > reserve;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The H2 file in it. */
    Database.Access file() {
        return file(folder);
    }

    /** @param folder whole */
    public static Database.Access file(Path folder) {
        String url = "jdbc:h2:file:" + folder.resolve("openslab") + ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE";
        return new Database.Access(url, "openslab", "");
    }
}
