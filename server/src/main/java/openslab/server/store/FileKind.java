package openslab.server.store;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.MediaType;

/** The kinds of file that are kept as they came, each known by how its bytes begin and not by what it is called. */
public enum FileKind {
    JPEG(MediaType.IMAGE_JPEG, List.of(".jpg", ".jpeg"), 0xff, 0xd8, 0xff),
    PNG(MediaType.IMAGE_PNG, List.of(".png"), 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'),
    PDF(MediaType.APPLICATION_PDF, List.of(".pdf"), '%', 'P', 'D', 'F', '-');

    private final MediaType type;
    private final List<String> endings;
    private final int[] begins;

    FileKind(MediaType type, List<String> endings, int... begins) {
        this.type = type;
        this.endings = endings;
        this.begins = begins;
    }

    public MediaType type() {
        return type;
    }

    public boolean isPicture() {
        return this != PDF;
    }

    /** What its name ends in, unless it says otherwise. */
    public String ending() {
        return endings.get(0);
    }

    /** Whether {@code name} is one of such a file. */
    public boolean isCalled(String name) {
        return endings.stream().anyMatch(name.toLowerCase(Locale.ROOT)::endsWith);
    }

    private boolean isOf(byte[] bytes) {
        for (int i = 0; i < begins.length; i++) {
            if (i >= bytes.length || (bytes[i] & 0xff) != begins[i]) {
                return false;
            }
        }
        return true;
    }

    /** What {@code bytes} are; empty where they are none of these. */
    public static Optional<FileKind> of(byte[] bytes) {
        return Arrays.stream(values()).filter(k -> k.isOf(bytes)).findFirst();
    }
}
