package openslab.core.layout.bay;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineSegment;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.LinearComponentExtracter;
import org.locationtech.jts.index.strtree.STRtree;

/** How long the border is that two cells share. */
final class Borders {
    /** OURS: a person with a pail goes through a gap of this width. */
    static final double PASSABLE_M = 0.6;

    /** Sides this near to one another are one. */
    private static final double NEAR_M = 1e-5;

    /** By cell, what it shares with which other: on a large floor most share nothing. */
    private final List<Map<Integer, Double>> sharedM = new ArrayList<>();

    private record Side(int cell, LineSegment line) {}

    Borders(List<? extends Geometry> cells) {
        cells.forEach(c -> sharedM.add(new TreeMap<>()));
        var tree = new STRtree();
        var sides = new ArrayList<Side>();
        for (int i = 0; i < cells.size(); i++) {
            for (LineSegment line : sides(cells.get(i))) {
                var side = new Side(i, line);
                sides.add(side);
                tree.insert(new Envelope(line.p0, line.p1), side);
            }
        }
        for (Side a : sides) {
            var near = new Envelope(a.line.p0, a.line.p1);
            near.expandBy(NEAR_M);
            for (Object found : tree.query(near)) {
                Side b = (Side) found;
                if (b.cell > a.cell) {
                    double m = along(a.line, b.line);
                    if (m > 0) {
                        sharedM.get(a.cell).merge(b.cell, m, Double::sum);
                        sharedM.get(b.cell).merge(a.cell, m, Double::sum);
                    }
                }
            }
        }
    }

    static List<LineSegment> sides(Geometry cell) {
        var sides = new ArrayList<LineSegment>();
        for (Object ring : LinearComponentExtracter.getLines(cell)) {
            Coordinate[] at = ((LineString) ring).getCoordinates();
            for (int i = 1; i < at.length; i++) {
                sides.add(new LineSegment(at[i - 1], at[i]));
            }
        }
        return sides;
    }

    /** How long two straight lines lie on one another, m. */
    static double along(LineSegment a, LineSegment b) {
        double length = a.getLength();
        if (length < NEAR_M || a.distancePerpendicular(b.p0) > NEAR_M || a.distancePerpendicular(b.p1) > NEAR_M) {
            return 0;
        }
        double p = a.projectionFactor(b.p0) * length;
        double q = a.projectionFactor(b.p1) * length;
        return Math.max(0, Math.min(length, Math.max(p, q)) - Math.max(0, Math.min(p, q)));
    }

    /** Whether somebody gets from one to the other. */
    boolean isPassable(int a, int b) {
        return sharedM.get(a).getOrDefault(b, 0.0) >= PASSABLE_M;
    }

    /** All that a cell has with others, m. */
    double sharedM(int cell) {
        return sharedM.get(cell).values().stream()
                .mapToDouble(Double::doubleValue)
                .sum();
    }

    /** Of which cells each is next to one that somebody gets to. */
    List<List<Integer>> neighbours() {
        return sharing(PASSABLE_M);
    }

    /** To which each is next at all, and be it through a gap. */
    List<List<Integer>> touching() {
        return sharing(NEAR_M);
    }

    private List<List<Integer>> sharing(double leastM) {
        return sharedM.stream()
                .map(shared -> shared.entrySet().stream()
                        .filter(e -> e.getValue() >= leastM)
                        .map(Map.Entry::getKey)
                        .toList())
                .toList();
    }

    /** Of those that hang together each group, in order. @param neighbours of each */
    static List<List<Integer>> together(List<List<Integer>> neighbours) {
        var seen = new boolean[neighbours.size()];
        var groups = new ArrayList<List<Integer>>();
        for (int first = 0; first < seen.length; first++) {
            if (seen[first]) {
                continue;
            }
            var group = new ArrayList<>(List.of(first));
            seen[first] = true;
            for (int at = 0; at < group.size(); at++) {
                for (int next : neighbours.get(group.get(at))) {
                    if (!seen[next]) {
                        seen[next] = true;
                        group.add(next);
                    }
                }
            }
            groups.add(group.stream().sorted().toList());
        }
        return groups;
    }

    /** Polygons as one list of their areas. */
    static double[] areas(List<Polygon> cells) {
        return cells.stream().mapToDouble(Polygon::getArea).toArray();
    }
}
