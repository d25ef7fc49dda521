package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import openslab.core.floor.Outline.Corner;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.algorithm.locate.SimplePointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.polygonize.Polygonizer;

/** Between our corners and the geometry library's shapes. */
public final class Shapes2D {
    static final GeometryFactory FACTORY = new GeometryFactory();

    private Shapes2D() {}

    public static Polygon polygon(List<Corner> ring) {
        Coordinate[] closed = new Coordinate[ring.size() + 1];
        for (int i = 0; i <= ring.size(); i++) {
            Corner c = ring.get(i % ring.size());
            closed[i] = new Coordinate(c.x(), c.y());
        }
        return FACTORY.createPolygon(closed);
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
        var linework = new ArrayList<Geometry>(lines);
        linework.add(floor.getBoundary());
        var within = new IndexedPointInAreaLocator(floor);
        var pieces = new ArrayList<Polygon>();
        for (Polygon piece : between(linework)) {
            if (within.locate(piece.getInteriorPoint().getCoordinate()) != Location.EXTERIOR) {
                pieces.add(piece);
            }
        }
        return pieces;
    }

    /** What lines enclose between them, each face by its outer ring. */
    public static List<List<Corner>> faces(List<List<Corner>> lines) {
        return between(lines.stream().map(l -> (Geometry) line(l)).toList()).stream()
                .map(face -> corners(face.getExteriorRing()))
                .toList();
    }

    @SuppressWarnings("unchecked") // the library's collection has no type
    private static Collection<Polygon> between(List<Geometry> linework) {
        var polygonizer = new Polygonizer();
        polygonizer.add(OverlayNGRobust.union(linework, FACTORY));
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
