package openslab.core.survey;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What was read on a zone, and the signs that were drawn on it and are not proved gone. */
public final class Readings {
    /** The method that looks for signs. */
    public static final String WALK_OVER = "walk-over";

    private final List<Reading> all;
    private final Set<String> drawn;
    private final Map<String, List<Reading>> byMethod;
    private final Map<String, List<Reading>> newestByMethod = new HashMap<>();

    /** @param all oldest first */
    public Readings(List<Reading> all) {
        this(List.copyOf(all), Set.of());
    }

    private Readings(List<Reading> all, Set<String> drawn) {
        this.all = all;
        this.drawn = drawn;
        byMethod = all.stream().collect(Collectors.groupingBy(Reading::method));
        byMethod.forEach((method, of) -> newestByMethod.put(method, newestOf(of)));
    }

    /** @param signs that somebody drew, and nothing proved gone */
    public Readings withDrawn(Set<String> signs) {
        return new Readings(all, Set.copyOf(signs));
    }

    /** Oldest first. */
    public List<Reading> all() {
        return all;
    }

    /** Everything read by {@code method}, oldest first. */
    public List<Reading> all(String method) {
        return byMethod.getOrDefault(method, List.of());
    }

    /** The newest reading by {@code method}, wherever it was taken. */
    public Optional<Reading> newest(String method) {
        return all(method).stream().reduce(Readings::later);
    }

    /** The newest reading at each place. */
    public List<Reading> current(String method) {
        return newestByMethod.getOrDefault(method, List.of());
    }

    /** Whether any place now speaks {@code yes} to {@code field} of {@code method}; empty when nobody looked. */
    public Optional<Boolean> anyYes(String method, String field) {
        List<Reading> now = current(method);
        return now.isEmpty() ? Optional.empty() : Optional.of(now.stream().anyMatch(r -> r.yes(field)));
    }

    /** Whether the walk-over saw {@code sign}, or somebody drew it and nothing proved it gone; empty when nobody looked. */
    public Optional<Boolean> seen(String sign) {
        return drawn.contains(sign) ? Optional.of(true) : anyYes(WALK_OVER, sign);
    }

    private static List<Reading> newestOf(List<Reading> all) {
        Map<String, Reading> byPlace = new LinkedHashMap<>();
        for (Reading reading : all) {
            byPlace.merge(reading.place(), reading, Readings::later);
        }
        return List.copyOf(byPlace.values());
    }

    /** The one read later; of two read at the same minute, the one logged later. */
    private static Reading later(Reading a, Reading b) {
        return b.at().isBefore(a.at()) ? a : b;
    }
}
