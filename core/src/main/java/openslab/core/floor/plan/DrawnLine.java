package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Outline.Corner;

/** A line on the plan: a joint, a crack, a door in its wall, a line between zones, a ramp's outline. */
public record DrawnLine(String id, Kind kind, List<Corner> points) {
    public enum Kind {
        CONTROL,
        CONSTRUCTION,
        EXPANSION,
        CRACK,
        MOVING_CRACK,
        CUT,
        DOOR,
        EXIT,
        RAMP
    }

    static List<DrawnLine> of(Room room, List<RoomPlan.Wall> walls) {
        var lines = new ArrayList<DrawnLine>();
        room.joints()
                .forEach(j ->
                        lines.add(new DrawnLine(j.id(), Kind.valueOf(j.kind().name()), List.of(j.from(), j.to()))));
        room.cracks()
                .forEach(c -> lines.add(new DrawnLine(c.id(), c.moving() ? Kind.MOVING_CRACK : Kind.CRACK, c.line())));
        room.cuts().forEach(c -> lines.add(new DrawnLine(c.id(), Kind.CUT, List.of(c.from(), c.to()))));
        room.ramps()
                .forEach(r -> lines.add(
                        new DrawnLine(r.id(), Kind.RAMP, closed(r.box().corners()))));
        for (Room.Door door : room.doors()) {
            walls.stream().filter(w -> w.run().equals(door.run())).forEach(w -> lines.add(door(door, w.points())));
        }
        return List.copyOf(lines);
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
        return new DrawnLine(
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
