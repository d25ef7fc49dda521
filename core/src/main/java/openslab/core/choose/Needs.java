package openslab.core.choose;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import openslab.core.quantity.Field;

/** Everything that may be needed, in the order it is asked. A need more is one line in one of these lists. */
public final class Needs {
    /** The subject of what somebody logged of them. */
    public static final String SUBJECT = "needs";

    public static final List<Need> ALL = Stream.of(LookNeeds.ALL, HideNeeds.ALL, UseNeeds.ALL, PlaceNeeds.ALL)
            .flatMap(List::stream)
            .toList();

    private Needs() {}

    public static List<Field> fields() {
        return ALL.stream().map(Need::field).toList();
    }

    public static Optional<Need> find(String id) {
        return ALL.stream().filter(n -> n.id().equals(id)).findFirst();
    }
}
