package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Gap;
import openslab.core.floor.level.Heights;
import openslab.core.floor.level.LevelReport;
import openslab.core.floor.level.Lip;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.linearref.LengthIndexedLine;

/**
 * What a zone's part of the plan has to be made good: every length within the zone.
 *
 * @param maskM of wall that is masked; empty where no plan says which
 * @param coveM of wall that gets a cove
 * @param coveMortar for as much of the walls
 * @param fill to the height or the fall that was asked for; empty where nobody asked for either
 * @param gaps wider than allowed under a straightedge
 */
public record Flaws(
        List<Crack> cracks,
        List<Joint> joints,
        List<Rise> lips,
        Optional<Double> maskM,
        double coveM,
        Optional<Figure> coveMortar,
        Optional<Figure> fill,
        List<Gap.GapCheck> gaps) {
    /** Nothing is known of any. */
    public static final Flaws NONE = new Flaws(
            List.of(), List.of(), List.of(), Optional.empty(), 0, Optional.empty(), Optional.empty(), List.of());

    /** @param moving whether it opens and closes with the seasons */
    public record Crack(String id, double lengthM, double widthM, double depthM, boolean moving) {}

    public record Joint(String id, Room.Joint.Kind kind, double lengthM, boolean marked) {}

    /** A lip that may not stay as it is. */
    public record Rise(String id, String name, double lengthM, double heightM) {}

    private static final double SHORTEST_M = 0.02;

    public Flaws {
        cracks = List.copyOf(cracks);
        joints = List.copyOf(joints);
        lips = List.copyOf(lips);
        gaps = List.copyOf(gaps);
    }

    /** @param report what follows from {@code plan} */
    public static Flaws of(FloorPlan plan, PlanReport report, String zoneId, UnitSystem system) {
        var cracks = new ArrayList<Crack>();
        var joints = new ArrayList<Joint>();
        var lips = new ArrayList<Rise>();
        var gaps = new ArrayList<Gap.GapCheck>();
        double coveM = 0;
        Optional<Double> maskM = Optional.empty();
        Optional<Figure> mortar = Optional.empty();
        Optional<Figure> fill = Optional.empty();
        for (int i = 0; i < plan.rooms().size(); i++) {
            Room room = plan.rooms().get(i);
            RoomPlan drawn = report.rooms().get(i);
            Optional<Geometry> part = drawn.part(zoneId);
            if (part.isEmpty()) {
                continue;
            }
            room.cracks().forEach(c -> {
                double length = within(part.get(), c.line());
                if (length > SHORTEST_M) {
                    cracks.add(new Crack(c.id(), length, c.widthM(), c.depthM(), c.moving()));
                }
            });
            room.joints().forEach(j -> {
                double length = within(part.get(), List.of(j.from(), j.to()));
                if (length > SHORTEST_M) {
                    joints.add(new Joint(j.id(), j.kind(), length, j.marked()));
                }
            });
            lips.addAll(lips(room, part.get(), system));
            room.gaps().stream()
                    .filter(g -> part.get().covers(Shapes2D.point(g.at())))
                    .map(g -> g.judge(system))
                    .filter(g -> !g.fits())
                    .forEach(gaps::add);
            var reach = new InPart(room, part.get());
            double coved = walls(room, drawn, reach, e -> e.cove() != null);
            maskM = Optional.of(maskM.orElse(0.0) + walls(room, drawn, reach, Room.Edge::mask));
            coveM += coved;
            if (coved > SHORTEST_M) {
                mortar = Optional.of(added(mortar, new CoveRun(room, drawn.walls(), reach, system).mortar(), system));
            }
            Optional<Figure> asked = room.levels()
                    .flatMap(l -> LevelReport.asked(l, RoomPlan.drains(room), squares(part.get()), system))
                    .filter(f -> f.value() > 0);
            if (asked.isPresent()) {
                fill = Optional.of(added(fill, asked.get(), system));
            }
        }
        return new Flaws(cracks, joints, lips, maskM, coveM, mortar, fill, gaps);
    }

    private static double within(Geometry part, List<Corner> line) {
        return part.intersection(Shapes2D.line(line)).getLength();
    }

    private static List<Rise> lips(Room room, Geometry part, UnitSystem system) {
        var lips = new ArrayList<Rise>();
        for (Lip lip : room.lips()) {
            double length = within(part, List.of(lip.from(), lip.to()));
            if (length > SHORTEST_M && !lip.judge(system).fits()) {
                lips.add(new Rise(lip.id(), lip.name(), length, lip.heightM()));
            }
        }
        return lips;
    }

    /** Of walls that are worked so, doors left out, m. */
    private static double walls(Room room, RoomPlan drawn, InPart reach, Predicate<Room.Edge> which) {
        return drawn.walls().stream()
                .filter(w -> which.test(room.edge(w.run())))
                .mapToDouble(reach::along)
                .sum();
    }

    /** What lies in a zone's part of a room. */
    private record InPart(Room room, Geometry part) implements CoveRun.Reach {
        /** Only the doors that stand within the part are left out of it. */
        @Override
        public double along(RoomPlan.Wall wall) {
            var line = new LengthIndexedLine(Shapes2D.line(wall.points()));
            double doors = room.doors().stream()
                    .filter(d -> d.run().equals(wall.run()))
                    .mapToDouble(d -> part.intersection(line.extractLine(d.alongM(), d.alongM() + d.widthM()))
                            .getLength())
                    .sum();
            return Math.max(0, within(part, wall.points()) - doors);
        }

        @Override
        public boolean holds(Corner corner) {
            return part.covers(Shapes2D.point(corner));
        }
    }

    /** A square counts by how much of it lies in the part; most lie in it or out of it whole. */
    private static Heights.Part squares(Geometry part) {
        PreparedGeometry prepared = PreparedGeometryFactory.prepare(part);
        Envelope reach = part.getEnvelopeInternal();
        return (corner, stepM) -> {
            var box = new Envelope(corner.x(), corner.x() + stepM, corner.y(), corner.y() + stepM);
            if (!reach.intersects(box)) {
                return 0;
            }
            Geometry square = Shapes2D.FACTORY.toGeometry(box);
            if (prepared.covers(square)) {
                return 1;
            }
            return prepared.intersects(square) ? part.intersection(square).getArea() / (stepM * stepM) : 0;
        };
    }

    /** A zone may lie in several rooms. */
    private static Figure added(Optional<Figure> before, Figure more, UnitSystem system) {
        if (before.isEmpty()) {
            return more;
        }
        var w = new Worksheet(system);
        double sum = w.from("a", before.get()) + w.from("b", more);
        return w.figure(more.label(), "V", "a+b", sum, more.unit(), more.source());
    }
}
