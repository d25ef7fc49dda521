package openslab.server.document;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import openslab.core.quantity.Faults;
import openslab.core.quantity.InvalidInput;
import openslab.server.store.FileKind;

/**
 * A paper as somebody handed it over: a product's data sheet, a drawing, a permit. It is kept with a job or with a sheet of the shelf, as
 * it came, and nothing is read out of it.
 *
 * @param bytes how many
 * @param putAway nobody needs it any more; it can be taken out again
 */
public record Document(UUID id, String name, FileKind kind, int bytes, Instant at, boolean putAway) {
    public static final int MOST_BYTES = 10_000_000;
    private static final int MOST_NAME = 120;

    /** One that comes. */
    public record Arriving(String name, FileKind kind, byte[] bytes) {}

    /**
     * @param path of the field that holds the bytes; the name is told beside it
     * @throws InvalidInput unless this is a document that can be kept, under a name that can be read
     */
    public static Arriving read(String namePath, String name, String path, byte[] bytes) {
        int n = bytes == null ? 0 : bytes.length;
        var faults = new Faults();
        String called = faults.line(namePath, name, 1, MOST_NAME);
        var kind = n <= MOST_BYTES && n > 0 ? FileKind.of(bytes) : Optional.<FileKind>empty();
        if (kind.isEmpty()) {
            faults.add(path, n + " bytes", "a PDF, or a JPEG or PNG picture, of at most " + MOST_BYTES + " bytes");
        }
        faults.check();
        return new Arriving(called, kind.orElseThrow(), bytes);
    }

    /** @throws InvalidInput unless it can be read */
    static String named(String name) {
        var faults = new Faults();
        String called = faults.line("name", name, 1, MOST_NAME);
        faults.check();
        return called;
    }

    /** What it is called where it is kept as a file: a name that came without its ending has it. */
    String fileName() {
        return kind.isCalled(name) ? name : name + kind.ending();
    }

    /** {@code bytes} in parts of at most {@code most}. */
    static List<byte[]> parts(byte[] bytes, int most) {
        return IntStream.iterate(0, from -> from < bytes.length, from -> from + most)
                .mapToObj(from -> Arrays.copyOfRange(bytes, from, Math.min(bytes.length, from + most)))
                .toList();
    }
}
