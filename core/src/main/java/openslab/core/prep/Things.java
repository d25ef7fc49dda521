package openslab.core.prep;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import openslab.core.course.work.Item;
import openslab.core.prep.wash.Chemical;

/** What may lie ready for a preparation, as a tick names it: a tool, a protection, a chemical. */
public final class Things {
    private static final Map<String, String> LABELS = new LinkedHashMap<>();

    static {
        Arrays.stream(Item.values()).forEach(i -> LABELS.put(i.id(), i.label()));
        Arrays.stream(Chemical.values()).forEach(c -> LABELS.put(c.thing(), c.label()));
    }

    private Things() {}

    /** The thing in words; empty where there is none of this id. */
    public static Optional<String> label(String id) {
        return Optional.ofNullable(LABELS.get(id));
    }
}
