package openslab.server.web;

import java.util.Arrays;
import java.util.List;
import java.util.function.Function;

/** One of a few, as the wire names it and as people do. */
public record Named(String id, String label) {
    public static <E extends Enum<E>> List<Named> all(Class<E> kind, Function<E, String> label) {
        return Arrays.stream(kind.getEnumConstants())
                .map(e -> new Named(e.name(), label.apply(e)))
                .toList();
    }
}
