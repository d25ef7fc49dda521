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
        all.addAll(new CoveRun(room, walls, CoveRun.Reach.whole(room), system).figures());
        filled(
                        "joints to fill",
                        room.joints().stream()
                                // an expansion joint is never filled: it is kept open through every coat
                                .filter(j -> j.kind() != Room.Joint.Kind.EXPANSION)
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
