package openslab.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** Texts that ship with the application. */
public final class Shipped {
    private Shipped() {}

    public static String text(String resource) {
        try (InputStream in = Shipped.class.getClassLoader().getResourceAsStream(resource)) {
            if (in == null) {
                throw new IllegalStateException("the application ships without " + resource);
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Its lines, empty ones left out. */
    public static List<String> lines(String resource) {
        return text(resource)
                .lines()
                .filter(l -> !l.isBlank() && !l.startsWith("#"))
                .toList();
    }
}
