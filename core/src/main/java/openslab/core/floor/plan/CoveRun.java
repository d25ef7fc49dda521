package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Outline;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * The cove of a room: its mortar, and the corners where two coved walls meet. A mitred corner takes less than its walls'
 * lengths say on the inside and more on the outside, by the moment of the cove's section about the wall: exact for straight
 * walls.
 */
record CoveRun(Room room, List<RoomPlan.Wall> walls, Reach reach, UnitSystem system) {
    /** How much of the room it is reckoned for. */
    interface Reach {
        /** Metres of a wall, doors left out. */
        double along(RoomPlan.Wall wall);

        boolean holds(Corner corner);

        /** All of it. */
        static Reach whole(Room room) {
            return new Reach() {
                @Override
                public double along(RoomPlan.Wall wall) {
                    return wall.lengthM() - room.doorsM(wall.run());
                }

                @Override
                public boolean holds(Corner corner) {
                    return true;
                }
            };
        }
    }

    /** A bend smaller than this is walked round without a corner piece. */
    private static final double LEAST_BEND = Math.toRadians(10);

    private static final double TOUCH_M = 0.001;
    private static final Source SECTION =
            Source.arithmetic("fillet (1 - π/4)·r², its moment about the wall (10 - 3π)/12·r³; corners mitred");

    /** A corner between two coved walls. @param bend radians, positive where the floor has an inside corner */
    private record Mitre(Room.Cove before, Room.Cove after, double bend) {}

    List<Figure> figures() {
        List<RoomPlan.Wall> coved = walls.stream().filter(w -> cove(w) != null).toList();
        if (coved.isEmpty()) {
            return List.of();
        }
        List<Mitre> mitres = mitres();
        var figures = new ArrayList<Figure>();
        figures.add(mortar(coved, mitres));
        count(
                "cove corners, inside",
                mitres.stream().filter(m -> m.bend() > LEAST_BEND).count(),
                figures);
        count(
                "cove corners, outside",
                mitres.stream().filter(m -> m.bend() < -LEAST_BEND).count(),
                figures);
        return figures;
    }

    private Room.Cove cove(RoomPlan.Wall wall) {
        return room.edge(wall.run()).cove();
    }

    /** Only the mortar. */
    Figure mortar() {
        return mortar(walls.stream().filter(w -> cove(w) != null).toList(), mitres());
    }

    private Figure mortar(List<RoomPlan.Wall> coved, List<Mitre> mitres) {
        var w = new Worksheet(system);
        double litres = 0;
        var formula = new StringBuilder();
        int i = 1;
        for (RoomPlan.Wall wall : coved) {
            Room.Cove c = cove(wall);
            double metres = reach.along(wall);
            w.given("l" + i, "cove along " + wall.name(), metres, Unit.METRE);
            section(w, c, i);
            litres += w.let(
                    "v" + i,
                    "cove along " + wall.name(),
                    "1000·l%1$d·((1-3.141592653589793/4)·r%1$d^2+(h%1$d-r%1$d)·t%1$d+g%1$d·h%1$d)".formatted(i),
                    1000
                            * metres
                            * ((1 - Math.PI / 4) * c.radiusM() * c.radiusM()
                                    + (c.heightM() - c.radiusM()) * c.thickM()
                                    + c.gapM() * c.heightM()),
                    Unit.LITRE);
            formula.append(i == 1 ? "" : "+").append("v").append(i++);
        }
        double corners = mitres.stream()
                .mapToDouble(m -> -1000 * (momentM3(m.before()) + momentM3(m.after())) * Math.tan(m.bend() / 2))
                .sum();
        if (Math.abs(corners) > 1e-12) {
            litres += w.given("k", "what " + mitres.size() + " mitred corners take more, or less", corners, Unit.LITRE);
            formula.append("+k");
        }
        return w.figure("cove mortar", "V", formula.toString(), litres, Unit.LITRE, SECTION);
    }

    private static void section(Worksheet w, Room.Cove c, int i) {
        w.given("r" + i, "its radius", c.radiusM(), Unit.METRE);
        w.given("h" + i, "its height", c.heightM(), Unit.METRE);
        w.given("t" + i, "its thickness above the fillet", c.thickM(), Unit.METRE);
        w.given("g" + i, "the gap behind it", c.gapM(), Unit.METRE);
    }

    /** Of the section about the face of the wall; what fills the gap lies behind it. */
    static double momentM3(Room.Cove c) {
        double r = c.radiusM();
        return r * r * r * (10 - 3 * Math.PI) / 12
                + (c.heightM() - r) * c.thickM() * c.thickM() / 2
                - c.gapM() * c.gapM() * c.heightM() / 2;
    }

    /** Corners that the cove runs through, no door beside them. */
    private List<Mitre> mitres() {
        List<Corner> corners = walls.stream().map(w -> w.points().get(0)).toList();
        double handed = new Outline(corners).signedAreaM2() < 0 ? -1 : 1;
        var mitres = new ArrayList<Mitre>();
        for (int i = 0; i < walls.size(); i++) {
            RoomPlan.Wall before = walls.get((i + walls.size() - 1) % walls.size());
            RoomPlan.Wall after = walls.get(i);
            if (cove(before) != null
                    && cove(after) != null
                    && !doorAtEnd(before)
                    && !doorAtBeginning(after)
                    && reach.holds(corners.get(i))) {
                double bend = Math.IEEEremainder(
                        heading(after.points(), true) - heading(before.points(), false), 2 * Math.PI);
                mitres.add(new Mitre(cove(before), cove(after), bend * handed));
            }
        }
        return mitres;
    }

    private boolean doorAtBeginning(RoomPlan.Wall wall) {
        return room.doors().stream().anyMatch(d -> d.run().equals(wall.run()) && d.alongM() < TOUCH_M);
    }

    private boolean doorAtEnd(RoomPlan.Wall wall) {
        return room.doors().stream()
                .anyMatch(d -> d.run().equals(wall.run()) && d.alongM() + d.widthM() > wall.lengthM() - TOUCH_M);
    }

    private static double heading(List<Corner> points, boolean leaving) {
        Corner from = points.get(leaving ? 0 : points.size() - 2);
        Corner to = points.get(leaving ? 1 : points.size() - 1);
        return Math.atan2(to.y() - from.y(), to.x() - from.x());
    }

    private void count(String label, long n, List<Figure> figures) {
        if (n > 0) {
            var w = new Worksheet(system);
            w.given("n", "corners between coved walls", n, Unit.ONE);
            figures.add(w.figure(label, "c", "n", n, Unit.ONE, Source.arithmetic("counted on the plan")));
        }
    }
}
