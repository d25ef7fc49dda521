package openslab.server.form;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** Whether a person wrote anything there. */
public final class Said {
    private Said() {}

    public static boolean is(String text) {
        return text != null && !text.isBlank();
    }

    static boolean is(@Nullable List<?> all) {
        return all != null && !all.isEmpty();
    }
}
