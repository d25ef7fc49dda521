package openslab.core.job;

import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.core.quantity.Worksheet;

/**
 * The piece of a floor that a repair takes: a size that somebody measured, a place that somebody drew, or both. One of them is there.
 *
 * @param measured how large; empty where it is as large as it was drawn
 * @param ring where it lies, corners in metres of the zone's plan; empty where nobody drew it
 */
public record Patch(Optional<Value> measured, List<Corner> ring) {
    /** How large one is, as it is keyed in. */
    public static final Field SIZE =
            Field.quantity("patch", "Patch", Unit.SQUARE_FOOT, Unit.SQUARE_METRE, 0.01, 100_000, "less than the zone");

    private static final Source SQUARE = Source.ours("a patch that nobody drew is reckoned square");

    private static final Source SHAPE = Source.arithmetic("the edge of a shape grows as the root of its area");

    private static final Source PIECE = Source.ours("a repair takes a piece");

    public Patch {
        ring = List.copyOf(ring);
        if (measured.isEmpty() && ring.isEmpty()) {
            throw new IllegalArgumentException("a patch without size or place");
        }
    }

    /** So large, and nobody said where. */
    public static Patch of(Value measured) {
        return new Patch(Optional.of(measured), List.of());
    }

    /** What was measured beats what was drawn. */
    public double m2() {
        return measured.map(Value::base).orElseGet(this::drawnM2);
    }

    private double drawnM2() {
        return Shapes2D.polygon(ring).getArea();
    }

    /** Along its edge: as it was drawn and as large as it was measured, or square. */
    public Figure edge(UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "patch", m2(), Unit.SQUARE_METRE);
        if (ring.isEmpty()) {
            return w.figure("edge of the patch", "L", "4·A^0.5", 4 * Math.sqrt(m2()), Unit.METRE, SQUARE);
        }
        double drawn = Shapes2D.polygon(ring).getLength();
        w.given("e", "edge, as it was drawn", drawn, Unit.METRE);
        w.given("d", "patch, as it was drawn", drawnM2(), Unit.SQUARE_METRE);
        return w.figure(
                "edge of the patch", "L", "e·(A/d)^0.5", drawn * Math.sqrt(m2() / drawnM2()), Unit.METRE, SHAPE);
    }

    /** Whether a place of the floor lies in it, as far as anybody said where it is. */
    public boolean holds(Corner place) {
        return ring.isEmpty() || Shapes2D.holds(Shapes2D.polygon(ring), place);
    }

    public Figure area(UnitSystem system) {
        var w = new Worksheet(system);
        w.given(
                "a",
                measured.isPresent() ? "patch, as it was measured" : "patch, as it was drawn",
                m2(),
                Unit.SQUARE_METRE);
        return w.figure("patch", "A", "a", m2(), Unit.SQUARE_METRE, PIECE);
    }

    String words(UnitSystem system) {
        return Show.in(system, Dimension.AREA, m2());
    }
}
