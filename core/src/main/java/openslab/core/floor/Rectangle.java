package openslab.core.floor;

import java.util.List;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Require;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** Four square corners. */
public record Rectangle(double lengthM, double widthM) implements Shape {
    static final String KIND = "rectangle";

    public Rectangle {
        Require.positive(lengthM, "length");
        Require.positive(widthM, "width");
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<Side> sides() {
        return List.of(new Side("length", "Length", lengthM), new Side("width", "Width", widthM));
    }

    @Override
    public Outline outline() {
        return Outline.of(0, 0, lengthM, 0, lengthM, widthM, 0, widthM);
    }

    @Override
    public Figure area(UnitSystem system) {
        return givens(system)
                .figure("area", "A", "a·b", outline().areaM2(), Unit.SQUARE_METRE, Source.arithmetic("length × width"));
    }

    @Override
    public Figure perimeter(UnitSystem system) {
        return givens(system)
                .figure(
                        "perimeter",
                        "P",
                        "2·(a+b)",
                        outline().perimeterM(),
                        Unit.METRE,
                        Source.arithmetic("twice length plus width"));
    }

    private Worksheet givens(UnitSystem system) {
        var w = new Worksheet(system);
        w.given("a", "length", lengthM, Unit.METRE);
        w.given("b", "width", widthM, Unit.METRE);
        return w;
    }
}
