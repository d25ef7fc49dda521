package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** Mortar and filler for coves, joints and cracks. */
record Fills(Room room, List<RoomPlan.Wall> walls, UnitSystem system) {
    private static final Source GEOMETRY = Source.arithmetic("plane geometry");

    /** A groove to fill. */
    private record Groove(String id, double lengthM, double widthM, double depthM) {}

    List<Figure> all() {
        var all = new ArrayList<Figure>();
        cove().ifPresent(all::add);
        filled(
                        "joints to fill",
                        room.joints().stream()
                                .map(j -> new Groove(j.id(), j.lengthM(), j.widthM(), j.depthM()))
                                .toList())
                .ifPresent(all::add);
        filled(
                        "cracks to fill",
                        room.cracks().stream()
                                .map(c -> new Groove(c.id(), c.lengthM(), c.widthM(), c.depthM()))
                                .toList())
                .ifPresent(all::add);
        return List.copyOf(all);
    }

    /** Fillet (1 - π/4)·r², the face above it, and the gap behind. */
    private Optional<Figure> cove() {
        List<RoomPlan.Wall> coved =
                walls.stream().filter(w -> room.edge(w.run()).cove() != null).toList();
        if (coved.isEmpty()) {
            return Optional.empty();
        }
        var w = new Worksheet(system);
        double litres = 0;
        var formula = new StringBuilder();
        int i = 1;
        for (RoomPlan.Wall wall : coved) {
            Room.Cove c = room.edge(wall.run()).cove();
            double metres = wall.lengthM() - room.doorsM(wall.run());
            w.given("l" + i, "cove along " + wall.name(), metres, Unit.METRE);
            w.given("r" + i, "its radius", c.radiusM(), Unit.METRE);
            w.given("h" + i, "its height", c.heightM(), Unit.METRE);
            w.given("t" + i, "its thickness above the fillet", c.thickM(), Unit.METRE);
            w.given("g" + i, "the gap behind it", c.gapM(), Unit.METRE);
            double each = 1000
                    * metres
                    * ((1 - Math.PI / 4) * c.radiusM() * c.radiusM()
                            + (c.heightM() - c.radiusM()) * c.thickM()
                            + c.gapM() * c.heightM());
            litres += w.let(
                    "v" + i,
                    "cove along " + wall.name(),
                    "1000·l%1$d·((1-3.141592653589793/4)·r%1$d^2+(h%1$d-r%1$d)·t%1$d+g%1$d·h%1$d)".formatted(i),
                    each,
                    Unit.LITRE);
            formula.append(i == 1 ? "" : "+").append("v").append(i++);
        }
        return Optional.of(w.figure(
                "cove mortar",
                "V",
                formula.toString(),
                litres,
                Unit.LITRE,
                Source.arithmetic(
                        "fillet (1 - π/4)·r²; corners counted in full, which is a little more than they take")));
    }

    private Optional<Figure> filled(String label, List<Groove> grooves) {
        if (grooves.isEmpty()) {
            return Optional.empty();
        }
        var w = new Worksheet(system);
        double litres = 0;
        for (Groove groove : grooves) {
            litres += 1000 * groove.lengthM() * groove.widthM() * groove.depthM();
        }
        if (grooves.size() > Quantities.MOST_LISTED) {
            w.given("S", "length · width · depth of " + grooves.size() + ", added up", litres, Unit.LITRE);
            return Optional.of(w.figure(label, "V", "S", litres, Unit.LITRE, GEOMETRY));
        }
        var formula = new StringBuilder();
        int i = 1;
        for (Groove groove : grooves) {
            w.given("l" + i, groove.id() + ", length", groove.lengthM(), Unit.METRE);
            w.given("w" + i, groove.id() + ", width", groove.widthM(), Unit.METRE);
            w.given("d" + i, groove.id() + ", depth", groove.depthM(), Unit.METRE);
            formula.append(i == 1 ? "1000·(" : "+").append("l%1$d·w%1$d·d%1$d".formatted(i++));
        }
        return Optional.of(w.figure(label, "V", formula + ")", litres, Unit.LITRE, GEOMETRY));
    }
}
