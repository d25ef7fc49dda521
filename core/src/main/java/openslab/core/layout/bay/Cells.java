package openslab.core.layout.bay;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Shapes2D;
import org.locationtech.jts.algorithm.MinimumDiameter;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineSegment;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/** The least parts of a floor that a bay is made of: what joints part, and where that is too much for one batch, strips of it. */
final class Cells {
    /** OURS: a joint drawn this near to a wall was meant to reach it. */
    private static final double REACH_M = 0.1;

    /** What is too much by the last bit is not too much. */
    private static final double ROUNDING = 1e-9;

    /** What a cut is longer than it need be, m. */
    private static final double OVER_M = 1e-4;

    private Cells() {}

    /** @param joints where coating stops; {@code mostM2} what one bay may be at most */
    static List<Polygon> of(List<List<List<Corner>>> parts, List<List<Corner>> joints, double mostM2) {
        List<LineString> lines = joints.stream().map(Cells::reaching).toList();
        var cells = new ArrayList<Polygon>();
        for (List<List<Corner>> rings : parts) {
            Geometry floor = Shapes2D.polygon(rings, 0);
            var cuts = new ArrayList<>(lines);
            for (Polygon panel : Shapes2D.cut(floor, lines)) {
                cuts.addAll(across(panel, mostM2));
            }
            // once more with all of them: cells that share a border share its corners
            cells.addAll(Shapes2D.cut(floor, cuts));
        }
        return cells;
    }

    private static LineString reaching(List<Corner> joint) {
        var longer = new ArrayList<>(joint);
        int last = joint.size() - 1;
        longer.set(0, past(joint.get(1), joint.get(0)));
        longer.set(last, past(joint.get(last - 1), joint.get(last)));
        return Shapes2D.line(longer);
    }

    private static Corner past(Corner from, Corner through) {
        double length = Math.hypot(through.x() - from.x(), through.y() - from.y());
        double share = length > 0 ? REACH_M / length : 0;
        return new Corner(
                through.x() + share * (through.x() - from.x()), through.y() + share * (through.y() - from.y()));
    }

    /** Where a panel is cut into strips of one size across its longer way, or the other way where that leaves fewer. */
    private static List<LineString> across(Polygon panel, double mostM2) {
        int count = (int) Math.ceil(panel.getArea() / mostM2 * (1 - ROUNDING));
        if (count <= 1) {
            return List.of();
        }
        double along = direction(panel);
        Strips longer = strips(panel, count, along);
        if (longer.pieces == count) {
            return longer.cuts;
        }
        Strips other = strips(panel, count, along + Math.PI / 2);
        return other.pieces < longer.pieces ? other.cuts : longer.cuts;
    }

    /** @param pieces into which the cuts part a panel: more than strips where it is not as long everywhere */
    private record Strips(List<LineString> cuts, int pieces) {}

    /** Which way the longer side of what goes round it runs, radians. */
    static double direction(Geometry panel) {
        Coordinate[] box = new MinimumDiameter(panel).getMinimumRectangle().getCoordinates();
        if (box.length < 4) {
            return 0;
        }
        Coordinate from = box[0];
        Coordinate to = box[1].distance(box[0]) >= box[2].distance(box[1]) ? box[1] : box[2];
        Coordinate begin = to == box[1] ? from : box[1];
        return Math.atan2(to.y - begin.y, to.x - begin.x);
    }

    private static Strips strips(Polygon panel, int count, double along) {
        Polygon lying = (Polygon) AffineTransformation.rotationInstance(-along).transform(panel);
        AffineTransformation back = AffineTransformation.rotationInstance(along);
        Envelope box = lying.getEnvelopeInternal();
        boolean bulges = lying.convexHull().getArea() <= lying.getArea() * (1 + ROUNDING);
        double[] corners = Arrays.stream(lying.getCoordinates())
                .mapToDouble(Coordinate::getX)
                .sorted()
                .distinct()
                .toArray();
        var at = new double[count - 1];
        for (int i = 1; i < count; i++) {
            at[i - 1] = where(lying, corners, i * lying.getArea() / count);
        }
        List<LineString> cuts = through(lying, box, at).stream()
                .map(cut -> (LineString) back.transform(past(cut)))
                .toList();
        return new Strips(cuts, bulges ? count : Shapes2D.cut(panel, cuts).size());
    }

    /** All of them at once: a floor of many columns is gone through once, and not for every strip. */
    private static List<LineSegment> through(Geometry lying, Envelope box, double... at) {
        LineString[] lines = Arrays.stream(at)
                .mapToObj(x -> lying.getFactory().createLineString(new Coordinate[] {
                    new Coordinate(x, box.getMinY() - 1), new Coordinate(x, box.getMaxY() + 1)
                }))
                .toArray(LineString[]::new);
        Geometry all = lying.getFactory().createMultiLineString(lines);
        return Borders.sides(OverlayNGRobust.overlay(lying, all, OverlayNG.INTERSECTION)).stream()
                .sorted(Comparator.comparingDouble((LineSegment s) -> s.p0.x).thenComparingDouble(s -> s.p0.y))
                .toList();
    }

    /** A little longer than it is, so that it surely meets what it ends at. */
    private static LineString past(LineSegment cut) {
        double share = OVER_M / cut.getLength();
        Coordinate from = cut.pointAlong(-share);
        Coordinate to = cut.pointAlong(1 + share);
        return Shapes2D.line(List.of(new Corner(from.x, from.y), new Corner(to.x, to.y)));
    }

    /**
     * Left of which place {@code area} of it lies: between two corners that lie next to one another it grows as a parabola, which three
     * of its places tell.
     *
     * @param corners places of all corners, the leftmost first
     */
    private static double where(Polygon lying, double[] corners, double area) {
        int low = 0;
        int high = corners.length - 1;
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            if (leftOf(lying, corners[middle]) < area) {
                low = middle;
            } else {
                high = middle;
            }
        }
        double from = leftOf(lying, corners[low]);
        double half = leftOf(lying, (corners[low] + corners[high]) / 2) - from;
        double all = leftOf(lying, corners[high]) - from;
        // a·t² + b·t, t from 0 to 1
        double a = 2 * all - 4 * half;
        double b = all - a;
        double wanted = area - from;
        double root = Math.sqrt(Math.max(0, b * b + 4 * a * wanted));
        double t = b + root > 0 ? 2 * wanted / (b + root) : 0;
        return corners[low] + Math.min(1, Math.max(0, t)) * (corners[high] - corners[low]);
    }

    private static double leftOf(Polygon lying, double x) {
        double area = Math.abs(under(lying.getExteriorRing(), x));
        for (int i = 0; i < lying.getNumInteriorRing(); i++) {
            area -= Math.abs(under(lying.getInteriorRingN(i), x));
        }
        return area;
    }

    /** ∮ y dx of what of a ring lies left of {@code x}: the sides that would close it run straight up and add nothing. */
    private static double under(LineString ring, double x) {
        double sum = 0;
        Coordinate[] at = ring.getCoordinates();
        for (int i = 1; i < at.length; i++) {
            Coordinate a = at[i - 1];
            Coordinate b = at[i];
            double from = Math.min(a.x, x);
            double to = Math.min(b.x, x);
            if (from != to) {
                double slope = (b.y - a.y) / (b.x - a.x);
                sum += (a.y + slope * ((from + to) / 2 - a.x)) * (to - from);
            }
        }
        return sum;
    }
}
