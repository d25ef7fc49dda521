package openslab.core.layout.bay;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.DrawnLine;
import openslab.core.floor.plan.Shapes2D;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineSegment;
import org.locationtech.jts.geom.LineString;

/** Where a crew leaves a floor: the door that stays open, else any door, else over the floor next to it. */
public final class WayOut {
    /** OURS: a door lies in its wall, and a wall is thinner than this. */
    private static final double WALL_M = 0.3;

    private WayOut() {}

    /**
     * The best first; empty where nothing leads out.
     *
     * @param parts of the floor, each its outer ring first
     * @param lines of its rooms
     * @param others parts of floors next to it
     */
    public static List<Corner> of(
            List<List<List<Corner>>> parts, List<DrawnLine> lines, List<List<List<Corner>>> others) {
        List<Geometry> floor = parts.stream().map(p -> Shapes2D.polygon(p, 0)).toList();
        var out = new ArrayList<Corner>();
        for (DrawnLine.Kind kind : List.of(DrawnLine.Kind.EXIT, DrawnLine.Kind.DOOR)) {
            lines.stream()
                    .filter(l -> l.kind() == kind && leads(l, floor))
                    .sorted(Comparator.comparingDouble(WayOut::width).reversed())
                    .forEach(l -> out.add(middle(l.points())));
        }
        if (out.isEmpty()) {
            longestShared(floor, others).ifPresent(out::add);
        }
        return out;
    }

    private static boolean leads(DrawnLine door, List<Geometry> floor) {
        LineString line = Shapes2D.line(door.points());
        return floor.stream().anyMatch(f -> f.distance(line) <= WALL_M);
    }

    private static double width(DrawnLine door) {
        return Shapes2D.line(door.points()).getLength();
    }

    private static Corner middle(List<Corner> line) {
        Corner a = line.get(0);
        Corner b = line.get(line.size() - 1);
        return new Corner((a.x() + b.x()) / 2, (a.y() + b.y()) / 2);
    }

    private static Optional<Corner> longestShared(List<Geometry> floor, List<List<List<Corner>>> others) {
        Corner best = null;
        double longest = Borders.PASSABLE_M;
        for (Geometry mine : floor) {
            for (LineSegment a : Borders.sides(mine)) {
                for (List<List<Corner>> other : others) {
                    for (LineSegment b : Borders.sides(Shapes2D.polygon(other, 0))) {
                        double m = Borders.along(a, b);
                        if (m >= longest) {
                            longest = m;
                            LineSegment shorter = a.getLength() < b.getLength() ? a : b;
                            best = new Corner(shorter.midPoint().x, shorter.midPoint().y);
                        }
                    }
                }
            }
        }
        return Optional.ofNullable(best);
    }
}
