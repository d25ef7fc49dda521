package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Gap;
import openslab.core.floor.level.LevelReport;
import openslab.core.floor.level.Lip;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;
import org.locationtech.jts.geom.Geometry;

/**
 * What a zone's part of the plan has to be made good: every length within the zone.
 *
 * @param maskM of wall that is masked; empty where no plan says which
 * @param coveM of wall that gets a cove
 * @param coveMortar of the whole room, where any wall of it has one
 * @param fill to the height or the fall that was asked for, of the whole room; empty where nobody asked for either
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

    /** What lies so near to a part is in it: a wall on its rim, say. */
    private static final double NEAR_M = 0.01;

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
            Optional<Geometry> part = part(drawn, zoneId);
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
            double coved = walls(room, drawn, part.get(), e -> e.cove() != null);
            maskM = Optional.of(maskM.orElse(0.0) + walls(room, drawn, part.get(), Room.Edge::mask));
            coveM += coved;
            if (coved > SHORTEST_M) {
                mortar = drawn.quantities().fills().stream()
                        .filter(f -> f.label().equals(CoveRun.MORTAR))
                        .findFirst();
            }
            Optional<Figure> asked = room.levels()
                    .flatMap(l -> l.toM().isPresent()
                            ? drawn.levels().map(LevelReport::fill)
                            : drawn.levels().flatMap(LevelReport::toDrain))
                    .filter(f -> f.value() > 0);
            fill = asked.isPresent() ? asked : fill;
        }
        return new Flaws(cracks, joints, lips, maskM, coveM, mortar, fill, gaps);
    }

    private static Optional<Geometry> part(RoomPlan drawn, String zoneId) {
        return drawn.pieces().stream()
                .filter(p -> p.zoneId().filter(zoneId::equals).isPresent())
                .map(p -> Shapes2D.polygon(p.rings(), NEAR_M))
                .reduce(Geometry::union);
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
    private static double walls(Room room, RoomPlan drawn, Geometry part, Predicate<Room.Edge> which) {
        return drawn.walls().stream()
                .filter(w -> which.test(room.edge(w.run())))
                .mapToDouble(w -> Math.max(0, within(part, w.points()) - room.doorsM(w.run())))
                .sum();
    }
}
