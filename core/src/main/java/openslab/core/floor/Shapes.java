package openslab.core.floor;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Measure;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;

/** Every kind of shape there is, and how it is made from what was typed. */
public final class Shapes {
    /** A hand's breadth to ten football pitches: outside this a zone is a slip of the key. */
    private static final double SHORTEST_M = 0.1;

    private static final double LONGEST_M = 1000;

    private record Kind(List<String> sides, Function<Map<String, Double>, Shape> make) {}

    private static final Map<String, Kind> KINDS = new LinkedHashMap<>();

    static {
        KINDS.put(
                Rectangle.KIND,
                new Kind(List.of("length", "width"), s -> new Rectangle(s.get("length"), s.get("width"))));
        KINDS.put(
                Ell.KIND,
                new Kind(
                        List.of("length", "width", "cutLength", "cutWidth"),
                        s -> new Ell(s.get("length"), s.get("width"), s.get("cutLength"), s.get("cutWidth"))));
    }

    private Shapes() {}

    /** From stored metres. */
    public static Shape of(String kind, Map<String, Double> metres) {
        return kindOf(kind).make().apply(metres);
    }

    /** From what was typed; every side at fault is named at once. */
    public static Shape parse(String kind, Map<String, String> typed, UnitSystem system) {
        Unit bare = Unit.of(openslab.core.quantity.Dimension.LENGTH, system);
        Map<String, Double> metres = new LinkedHashMap<>();
        var faults = new java.util.ArrayList<InvalidInput.Fault>();
        for (String side : kindOf(kind).sides()) {
            try {
                metres.put(side, Measure.parse("sides." + side, typed.get(side), bare, SHORTEST_M, LONGEST_M));
            } catch (InvalidInput e) {
                faults.addAll(e.faults());
            }
        }
        if (!faults.isEmpty()) {
            throw new InvalidInput(faults);
        }
        return of(kind, metres);
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
