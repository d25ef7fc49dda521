package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.InvalidInput;
import org.locationtech.jts.algorithm.LineIntersector;
import org.locationtech.jts.algorithm.RobustLineIntersector;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.algorithm.locate.SimplePointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineSegment;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.LinearComponentExtracter;
import org.locationtech.jts.index.strtree.STRtree;
import org.locationtech.jts.noding.MCIndexNoder;
import org.locationtech.jts.noding.NodedSegmentString;
import org.locationtech.jts.noding.SegmentIntersector;
import org.locationtech.jts.noding.SegmentString;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.polygonize.Polygonizer;

/** Between our corners and the geometry library's shapes. */
public final class Shapes2D {
    static final GeometryFactory FACTORY = new GeometryFactory();

    /** A side this far from a line is not crossed by it, however its figures are rounded. */
    private static final double CLEAR_M = 1e-6;

    /** The share of a floor that its pieces may lack by rounding. */
    private static final double LOST = 1e-9;

    private Shapes2D() {}

    public static Polygon polygon(List<Corner> ring) {
        Coordinate[] closed = new Coordinate[ring.size() + 1];
        for (int i = 0; i <= ring.size(); i++) {
            Corner c = ring.get(i % ring.size());
            closed[i] = new Coordinate(c.x(), c.y());
        }
        return FACTORY.createPolygon(closed);
    }

    /** The outer ring first, then round what is left out; a little wider than it is. */
    public static Geometry polygon(List<List<Corner>> rings, double widerM) {
        LinearRing[] holes = rings.subList(1, rings.size()).stream()
                .map(r -> polygon(r).getExteriorRing())
                .toArray(LinearRing[]::new);
        return FACTORY.createPolygon(polygon(rings.get(0)).getExteriorRing(), holes)
                .buffer(widerM);
    }

    static Point point(Corner at) {
        return FACTORY.createPoint(new Coordinate(at.x(), at.y()));
    }

    public static LineString line(List<Corner> places) {
        return FACTORY.createLineString(
                places.stream().map(c -> new Coordinate(c.x(), c.y())).toArray(Coordinate[]::new));
    }

    static LineString ring(List<Corner> places) {
        var closed = new ArrayList<>(places);
        closed.add(places.get(0));
        return line(closed);
    }

    /** A polygon's outer ring first, then round its holes. */
    public static List<List<Corner>> rings(Polygon polygon) {
        var rings = new ArrayList<List<Corner>>();
        rings.add(corners(polygon.getExteriorRing()));
        for (int i = 0; i < polygon.getNumInteriorRing(); i++) {
            rings.add(corners(polygon.getInteriorRingN(i)));
        }
        return rings;
    }

    /** The corners of a ring, the repeated last one left out. */
    public static List<Corner> corners(LineString ring) {
        var corners = new ArrayList<Corner>(ring.getNumPoints() - 1);
        for (int i = 0; i < ring.getNumPoints() - 1; i++) {
            Coordinate c = ring.getCoordinateN(i);
            corners.add(new Corner(c.x, c.y));
        }
        return List.copyOf(corners);
    }

    public static List<Polygon> polygons(Geometry geometry) {
        var polygons = new ArrayList<Polygon>();
        for (int i = 0; i < geometry.getNumGeometries(); i++) {
            if (geometry.getGeometryN(i) instanceof Polygon p && !p.isEmpty()) {
                polygons.add(p);
            }
        }
        return polygons;
    }

    /** More crossings than this and the lines are no plan of a floor, and their pieces no zones. */
    public static final int MOST_CROSSINGS = 5_000;

    /** How often {@code lines} cross one another, counted no further than one more than {@link #MOST_CROSSINGS}. */
    static int crossings(Collection<? extends Geometry> lines) {
        var counted = new Crossings();
        var strings = new ArrayList<NodedSegmentString>();
        lines.forEach(line -> strings.add(new NodedSegmentString(line.getCoordinates(), null)));
        new MCIndexNoder(counted).computeNodes(strings);
        return counted.count;
    }

    private static final class Crossings implements SegmentIntersector {
        private final LineIntersector meet = new RobustLineIntersector();
        private int count;

        @Override
        public void processIntersections(SegmentString a, int i, SegmentString b, int j) {
            if (a == b && i == j || isDone()) {
                return;
            }
            meet.computeIntersection(
                    a.getCoordinate(i), a.getCoordinate(i + 1), b.getCoordinate(j), b.getCoordinate(j + 1));
            if (meet.hasIntersection() && meet.isInteriorIntersection()) {
                count++;
            }
        }

        @Override
        public boolean isDone() {
            return count > MOST_CROSSINGS;
        }
    }

    /** @throws InvalidInput naming {@code what}, where the lines cross more often than can be parted */
    private static void requireFew(Collection<? extends Geometry> lines, String what) {
        if (crossings(lines) > MOST_CROSSINGS) {
            throw new InvalidInput(
                    what,
                    "more than " + MOST_CROSSINGS + " crossings",
                    "lines that cross at most " + MOST_CROSSINGS + " times");
        }
    }

    /**
     * {@code floor} in pieces along {@code lines}; whole where they do not part it.
     *
     * @throws InvalidInput where the lines cross more often than can be parted
     */
    public static List<Polygon> cut(Geometry floor, List<LineString> lines) {
        if (lines.isEmpty()) {
            return polygons(floor);
        }
        requireFew(lines, "cuts");
        var near = new ArrayList<Geometry>(lines);
        var far = new ArrayList<LineString>();
        STRtree sides = sides(lines);
        for (Object ring : LinearComponentExtracter.getLines(floor)) {
            sort((LineString) ring, sides, near, far);
        }
        List<Polygon> pieces = within(floor, faces(near, far));
        double parted = pieces.stream().mapToDouble(Polygon::getArea).sum();
        if (Math.abs(parted - floor.getArea()) <= LOST * floor.getArea()) {
            return pieces;
        }
        // where a crossing had to be snapped, its neighbours moved and no longer meet what was left out
        near.addAll(far);
        return within(floor, faces(near, List.of()));
    }

    /** Of a ring, the sides that a line may cross, one by one, and the strings of sides between them, which none does. */
    private static void sort(LineString ring, STRtree lines, List<Geometry> near, List<LineString> far) {
        Coordinate[] at = ring.getCoordinates();
        int from = 0;
        for (int i = 1; i < at.length; i++) {
            Coordinate a = at[i - 1];
            Coordinate b = at[i];
            if (mayCross(a, b, lines)) {
                if (from < i - 1) {
                    far.add(FACTORY.createLineString(Arrays.copyOfRange(at, from, i)));
                }
                near.add(FACTORY.createLineString(new Coordinate[] {a, b}));
                from = i;
            }
        }
        if (from < at.length - 1) {
            far.add(FACTORY.createLineString(Arrays.copyOfRange(at, from, at.length)));
        }
    }

    /** Every straight part of the lines, found by where it lies. */
    private static STRtree sides(List<LineString> lines) {
        var tree = new STRtree();
        for (LineString line : lines) {
            for (int i = 1; i < line.getNumPoints(); i++) {
                var side = new LineSegment(line.getCoordinateN(i - 1), line.getCoordinateN(i));
                tree.insert(new Envelope(side.p0, side.p1), side);
            }
        }
        return tree;
    }

    /** False only where both ends lie clearly on one side of every part of the lines, or apart from it. */
    private static boolean mayCross(Coordinate a, Coordinate b, STRtree lines) {
        for (Object near : lines.query(new Envelope(a, b))) {
            Coordinate p = ((LineSegment) near).p0;
            Coordinate q = ((LineSegment) near).p1;
            double length = p.distance(q);
            double aside = ((q.x - p.x) * (a.y - p.y) - (q.y - p.y) * (a.x - p.x)) / length;
            double bside = ((q.x - p.x) * (b.y - p.y) - (q.y - p.y) * (b.x - p.x)) / length;
            boolean apart = Math.min(aside, bside) > CLEAR_M || Math.max(aside, bside) < -CLEAR_M;
            if (!apart) {
                return true;
            }
        }
        return false;
    }

    private static List<Polygon> within(Geometry floor, Collection<Polygon> faces) {
        var within = new IndexedPointInAreaLocator(floor);
        return faces.stream()
                .filter(face -> within.locate(face.getInteriorPoint().getCoordinate()) != Location.EXTERIOR)
                .toList();
    }

    /**
     * What lines enclose between them, each face by its outer ring.
     *
     * @param what the lines are, for a fault
     * @throws InvalidInput where they cross more often than can be parted
     */
    public static List<List<Corner>> faces(List<List<Corner>> lines, String what) {
        List<Geometry> drawn = lines.stream().map(l -> (Geometry) line(l)).toList();
        requireFew(drawn, what);
        return faces(drawn, List.of()).stream()
                .map(face -> corners(face.getExteriorRing()))
                .toList();
    }

    /** @param crossing to be parted where they cross; {@code apart} cross nothing and meet the others at their ends only */
    @SuppressWarnings("unchecked") // the library's collection has no type
    private static List<Polygon> faces(List<Geometry> crossing, List<LineString> apart) {
        var polygonizer = new Polygonizer();
        polygonizer.add(OverlayNGRobust.union(crossing, FACTORY));
        polygonizer.add(apart);
        // in an order, and beginning at corners, that do not hang on where things lie in memory
        Collection<Polygon> found = polygonizer.getPolygons();
        return found.stream().map(face -> (Polygon) face.norm()).sorted().toList();
    }

    /** {@code floor} without {@code openings}, each taken off once however they overlap. */
    static Geometry without(Polygon floor, List<Geometry> openings) {
        return openings.isEmpty()
                ? floor
                : OverlayNGRobust.overlay(floor, OverlayNGRobust.union(openings, FACTORY), OverlayNG.DIFFERENCE);
    }

    /** Whether a place lies in a part of the floor or on its rim. */
    public static boolean holds(Polygon part, Corner place) {
        return part.getEnvelopeInternal().contains(place.x(), place.y())
                && SimplePointInAreaLocator.locate(new Coordinate(place.x(), place.y()), part) != Location.EXTERIOR;
    }

    /** How far a place lies from a part of a floor, its outer ring first; 0 on it, m. */
    public static double distanceM(List<List<Corner>> rings, Corner place) {
        return polygon(rings, 0).distance(point(place));
    }

    /** A place well inside. */
    public static Corner inside(Polygon part) {
        Point point = part.getInteriorPoint();
        return new Corner(point.getX(), point.getY());
    }

    /** A line and straight on at both ends until well outside {@code reach}. */
    static LineString through(List<Corner> line, Geometry reach) {
        var longer = new ArrayList<>(line);
        int last = line.size() - 1;
        longer.set(0, beyond(line.get(1), line.get(0), reach));
        longer.set(last, beyond(line.get(last - 1), line.get(last), reach));
        return line(longer);
    }

    /** Seen from {@code from}, past {@code through} and out of {@code reach}. */
    private static Corner beyond(Corner from, Corner through, Geometry reach) {
        double dx = through.x() - from.x();
        double dy = through.y() - from.y();
        double length = Math.hypot(dx, dy);
        var box = reach.getEnvelopeInternal();
        double far = (box.getWidth() + box.getHeight() + length) * 2 / length;
        return new Corner(through.x() + dx * far, through.y() + dy * far);
    }
}
