package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import openslab.core.floor.Outline.Corner;

/**
 * A line on the plan: a joint, a crack, a door in its wall, a line between zones, a ramp's outline.
 *
 * @param widthM of a joint or crack, 0 for the rest; {@code depthM} likewise
 */
public record DrawnLine(String id, Kind kind, List<Corner> points, double widthM, double depthM) {
    public enum Kind {
        CONTROL,
        CONSTRUCTION,
        EXPANSION,
        CRACK,
        MOVING_CRACK,
        ZONE_LINE,
        DOOR,
        EXIT,
        RAMP,
        LIP;

        /** Whether the slab is parted there. */
        public boolean isBreak() {
            return BREAKS.contains(this);
        }
    }

    private static final Set<Kind> BREAKS =
            EnumSet.of(Kind.CONTROL, Kind.CONSTRUCTION, Kind.EXPANSION, Kind.CRACK, Kind.MOVING_CRACK);

    static List<DrawnLine> of(Room room, List<RoomPlan.Wall> walls) {
        var lines = new ArrayList<DrawnLine>();
        room.joints()
                .forEach(j -> lines.add(new DrawnLine(
                        j.id(), Kind.valueOf(j.kind().name()), List.of(j.from(), j.to()), j.widthM(), j.depthM())));
        room.cracks()
                .forEach(c -> lines.add(new DrawnLine(
                        c.id(), c.moving() ? Kind.MOVING_CRACK : Kind.CRACK, c.line(), c.widthM(), c.depthM())));
        room.cuts().forEach(c -> lines.add(bare(c.id(), Kind.ZONE_LINE, c.ring() ? closed(c.line()) : c.line())));
        room.lips().forEach(l -> lines.add(bare(l.id(), Kind.LIP, List.of(l.from(), l.to()))));
        room.ramps()
                .forEach(r -> lines.add(bare(r.id(), Kind.RAMP, closed(r.box().corners()))));
        for (Room.Door door : room.doors()) {
            walls.stream().filter(w -> w.run().equals(door.run())).forEach(w -> lines.add(door(door, w.points())));
        }
        return List.copyOf(lines);
    }

    private static DrawnLine bare(String id, Kind kind, List<Corner> points) {
        return new DrawnLine(id, kind, points, 0, 0);
    }

    private static List<Corner> closed(List<Corner> ring) {
        var points = new ArrayList<>(ring);
        points.add(ring.get(0));
        return points;
    }

    /** Along the straight line between the wall's corners. */
    private static DrawnLine door(Room.Door door, List<Corner> wall) {
        Corner from = wall.get(0);
        Corner to = wall.get(wall.size() - 1);
        double length = Math.hypot(to.x() - from.x(), to.y() - from.y());
        return bare(
                door.id(),
                door.exit() ? Kind.EXIT : Kind.DOOR,
                List.of(
                        between(from, to, door.alongM() / length),
                        between(from, to, (door.alongM() + door.widthM()) / length)));
    }

    private static Corner between(Corner from, Corner to, double share) {
        double t = Math.min(1, share);
        return new Corner(from.x() + t * (to.x() - from.x()), from.y() + t * (to.y() - from.y()));
    }
}
