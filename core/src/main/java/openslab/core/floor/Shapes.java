package openslab.core.floor;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import openslab.core.quantity.Field;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Unit;

/** Every kind of shape there is, and how it is made from what was typed. */
public final class Shapes {
    /** A hand's breadth to ten football pitches: outside this a zone is a slip of the key. */
    private static final double SHORTEST_M = 0.1;

    private static final double LONGEST_M = 1000;

    private record Kind(List<Field> sides, Function<Map<String, Double>, Shape> make) {}

    private static final Map<String, Kind> KINDS = new LinkedHashMap<>();

    static {
        KINDS.put(
                Rectangle.KIND,
                new Kind(
                        List.of(side("length", "Length"), side("width", "Width")),
                        s -> new Rectangle(s.get("length"), s.get("width"))));
        KINDS.put(
                Ell.KIND,
                new Kind(
                        List.of(
                                side("length", "Length, overall"),
                                side("width", "Width, overall"),
                                side("cutLength", "Cut out of the length"),
                                side("cutWidth", "Cut out of the width")),
                        s -> new Ell(s.get("length"), s.get("width"), s.get("cutLength"), s.get("cutWidth"))));
    }

    private static Field side(String id, String label) {
        return Field.quantity(id, label, Unit.FOOT, Unit.METRE, SHORTEST_M, LONGEST_M, "24' 6\", 7.45 m or 294 in");
    }

    private Shapes() {}

    /** From stored metres. */
    public static Shape of(String kind, Map<String, Double> metres) {
        return kindOf(kind).make().apply(metres);
    }

    /** The sides a kind of shape is keyed in by. */
    public static List<Field> fields(String kind) {
        return kindOf(kind).sides();
    }

    public static List<String> kinds() {
        return List.copyOf(KINDS.keySet());
    }

    private static Kind kindOf(String kind) {
        Kind known = KINDS.get(kind);
        if (known == null) {
            throw new InvalidInput(
                    "shape", kind, "one of " + KINDS.keySet().stream().collect(Collectors.joining(", ")));
        }
        return known;
    }
}
