package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Outline;
import openslab.core.floor.Shape;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Require;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** The parts of a plan that are one zone's. */
public record PlanZone(List<RoomPlan.Piece> pieces) implements Shape {
    public static final String KIND = "plan";
    private static final Source PLAN = Source.arithmetic("the zone's parts of the plan, openings left out");

    public PlanZone {
        pieces = List.copyOf(pieces);
        Require.that(!pieces.isEmpty(), "a zone must have a part of the plan, got %s", pieces.size());
    }

    @Override
    public String kind() {
        return KIND;
    }

    /** None of its own: its walls are the plan's. */
    @Override
    public List<Side> sides() {
        return List.of();
    }

    /** Of its largest part. */
    @Override
    public Outline outline() {
        return new Outline(rings().get(0));
    }

    @Override
    public List<List<Outline.Corner>> rings() {
        return pieces.stream()
                .max(java.util.Comparator.comparingDouble(RoomPlan.Piece::areaM2))
                .orElseThrow()
                .rings();
    }

    @Override
    public List<List<List<Outline.Corner>>> parts() {
        return pieces.stream().map(RoomPlan.Piece::rings).toList();
    }

    @Override
    public Figure area(UnitSystem system) {
        return sum(
                "area",
                "A",
                Dimension.AREA,
                pieces.stream().map(RoomPlan.Piece::areaM2).toList(),
                system);
    }

    @Override
    public Figure perimeter(UnitSystem system) {
        return sum(
                "perimeter",
                "P",
                Dimension.LENGTH,
                pieces.stream().map(RoomPlan.Piece::perimeterM).toList(),
                system);
    }

    private static Figure sum(String label, String symbol, Dimension dimension, List<Double> bases, UnitSystem system) {
        var w = new Worksheet(system);
        Unit unit = Unit.of(dimension, system);
        double total = 0;
        var terms = new ArrayList<String>();
        for (double base : bases) {
            terms.add("p" + (terms.size() + 1));
            total += w.given(
                    terms.get(terms.size() - 1), "part " + terms.size() + " of the plan", unit.fromBase(base), unit);
        }
        return w.figure(label, symbol, String.join("+", terms), total, unit, PLAN);
    }
}
