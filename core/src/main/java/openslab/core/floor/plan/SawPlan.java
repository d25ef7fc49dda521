package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Box;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.joint.SawCuts;
import openslab.core.quantity.UnitSystem;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;

/** Saw cuts proposed for a room: those of the rectangle round it, as far as they run over the floor. */
public final class SawPlan {
    private SawPlan() {}

    public static SawCuts propose(RoomPlan room, double thicknessM, boolean early, UnitSystem system) {
        List<Corner> ring = room.outline().corners();
        Box box = Box.round(ring);
        SawCuts whole = SawCuts.propose(box.low(), box.high(), thicknessM, early, system);
        Polygon floor = Shapes2D.polygon(ring);
        var lines = new ArrayList<SawCuts.Line>();
        whole.lines().forEach(line -> lines.addAll(within(floor, line)));
        return new SawCuts(
                whole.atMost(),
                whole.depth(),
                whole.apartAcrossM(),
                whole.apartUpM(),
                List.copyOf(lines),
                whole.when());
    }

    private static List<SawCuts.Line> within(Polygon floor, SawCuts.Line line) {
        Geometry inside = floor.intersection(Shapes2D.line(List.of(line.from(), line.to())));
        var lines = new ArrayList<SawCuts.Line>();
        for (int i = 0; i < inside.getNumGeometries(); i++) {
            if (inside.getGeometryN(i) instanceof LineString part && part.getLength() > 0) {
                Coordinate from = part.getCoordinateN(0);
                Coordinate to = part.getCoordinateN(part.getNumPoints() - 1);
                lines.add(new SawCuts.Line(new Corner(from.x, from.y), new Corner(to.x, to.y)));
            }
        }
        return lines;
    }
}
