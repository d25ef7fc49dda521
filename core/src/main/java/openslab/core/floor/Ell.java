package openslab.core.floor;

import java.util.List;
import openslab.core.quantity.Figure;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Require;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** A rectangle with one corner cut out: six square corners. */
public record Ell(double lengthM, double widthM, double cutLengthM, double cutWidthM) implements Shape {
    static final String KIND = "ell";

    public Ell {
        Require.positive(lengthM, "length");
        Require.positive(widthM, "width");
        Require.positive(cutLengthM, "cut length");
        Require.positive(cutWidthM, "cut width");
        requireInside("sides.cutLength", cutLengthM, "length", lengthM);
        requireInside("sides.cutWidth", cutWidthM, "width", widthM);
    }

    private static void requireInside(String field, double cutM, String side, double sideM) {
        if (cutM >= sideM) {
            throw new InvalidInput(
                    field,
                    Show.in(Unit.METRE, cutM),
                    "a length shorter than the " + side + " it is cut from, " + Show.in(Unit.METRE, sideM));
        }
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<Side> sides() {
        return List.of(
                new Side("length", "Length, overall", lengthM),
                new Side("width", "Width, overall", widthM),
                new Side("cutLength", "Cut out of the length", cutLengthM),
                new Side("cutWidth", "Cut out of the width", cutWidthM));
    }

    @Override
    public Outline outline() {
        double inX = lengthM - cutLengthM;
        double inY = widthM - cutWidthM;
        return Outline.of(0, 0, lengthM, 0, lengthM, inY, inX, inY, inX, widthM, 0, widthM);
    }

    @Override
    public Figure area(UnitSystem system) {
        var w = givens(system);
        w.given("c", "cut out of the length", cutLengthM, Unit.METRE);
        w.given("d", "cut out of the width", cutWidthM, Unit.METRE);
        return w.figure(
                "area",
                "A",
                "a·b-c·d",
                outline().areaM2(),
                Unit.SQUARE_METRE,
                Source.arithmetic("the whole less the corner cut out"));
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
                        Source.arithmetic("an L has the perimeter of the rectangle round it"));
    }

    private Worksheet givens(UnitSystem system) {
        var w = new Worksheet(system);
        w.given("a", "length, overall", lengthM, Unit.METRE);
        w.given("b", "width, overall", widthM, Unit.METRE);
        return w;
    }
}
