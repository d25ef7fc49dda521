package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import openslab.core.floor.Outline.Corner;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.algorithm.locate.SimplePointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.LinearComponentExtracter;
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
    static Geometry polygon(List<List<Corner>> rings, double widerM) {
        LinearRing[] holes = rings.subList(1, rings.size()).stream()
                .map(r -> polygon(r).getExteriorRing())
                .toArray(LinearRing[]::new);
        return FACTORY.createPolygon(polygon(rings.get(0)).getExteriorRing(), holes)
                .buffer(widerM);
    }

    static Point point(Corner at) {
        return FACTORY.createPoint(new Coordinate(at.x(), at.y()));
    }

    static LineString line(List<Corner> places) {
        return FACTORY.createLineString(
                places.stream().map(c -> new Coordinate(c.x(), c.y())).toArray(Coordinate[]::new));
    }

    static LineString ring(List<Corner> places) {
        var closed = new ArrayList<>(places);
        closed.add(places.get(0));
        return line(closed);
    }

    /** The corners of a ring, the repeated last one left out. */
    static List<Corner> corners(LineString ring) {
        var corners = new ArrayList<Corner>(ring.getNumPoints() - 1);
        for (int i = 0; i < ring.getNumPoints() - 1; i++) {
            Coordinate c = ring.getCoordinateN(i);
            corners.add(new Corner(c.x, c.y));
        }
        return List.copyOf(corners);
    }

    static List<Polygon> polygons(Geometry geometry) {
        var polygons = new ArrayList<Polygon>();
        for (int i = 0; i < geometry.getNumGeometries(); i++) {
            if (geometry.getGeometryN(i) instanceof Polygon p && !p.isEmpty()) {
                polygons.add(p);
            }
        }
        return polygons;
    }

    /** {@code floor} in pieces along {@code lines}; whole where they do not part it. */
    static List<Polygon> cut(Geometry floor, List<LineString> lines) {
        if (lines.isEmpty()) {
            return polygons(floor);
        }
        var near = new ArrayList<Geometry>(lines);
        var far = new ArrayList<LineString>();
        for (Object ring : LinearComponentExtracter.getLines(floor)) {
            sort((LineString) ring, lines, near, far);
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
    private static void sort(LineString ring, List<LineString> lines, List<Geometry> near, List<LineString> far) {
        Coordinate[] at = ring.getCoordinates();
        int from = 0;
        for (int i = 1; i < at.length; i++) {
            Coordinate a = at[i - 1];
            Coordinate b = at[i];
            if (lines.stream().anyMatch(line -> mayCross(a, b, line))) {
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

    /** False only where both ends lie clearly on one side of every part of the line, or apart from it. */
    private static boolean mayCross(Coordinate a, Coordinate b, LineString line) {
        for (int i = 1; i < line.getNumPoints(); i++) {
            Coordinate p = line.getCoordinateN(i - 1);
            Coordinate q = line.getCoordinateN(i);
            double length = p.distance(q);
            double aside = ((q.x - p.x) * (a.y - p.y) - (q.y - p.y) * (a.x - p.x)) / length;
            double bside = ((q.x - p.x) * (b.y - p.y) - (q.y - p.y) * (b.x - p.x)) / length;
            boolean apart = Math.min(aside, bside) > CLEAR_M || Math.max(aside, bside) < -CLEAR_M;
            if (!apart && Envelope.intersects(a, b, p, q)) {
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

    /** What lines enclose between them, each face by its outer ring. */
    public static List<List<Corner>> faces(List<List<Corner>> lines) {
        return faces(lines.stream().map(l -> (Geometry) line(l)).toList(), List.of()).stream()
                .map(face -> corners(face.getExteriorRing()))
                .toList();
    }

    /** @param crossing to be parted where they cross; {@code apart} cross nothing and meet the others at their ends only */
    @SuppressWarnings("unchecked") // the library's collection has no type
    private static Collection<Polygon> faces(List<Geometry> crossing, List<LineString> apart) {
        var polygonizer = new Polygonizer();
        polygonizer.add(OverlayNGRobust.union(crossing, FACTORY));
        polygonizer.add(apart);
        return polygonizer.getPolygons();
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
