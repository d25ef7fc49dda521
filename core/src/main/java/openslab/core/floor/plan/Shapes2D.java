package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.Arrays;
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
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.polygonize.Polygonizer;

/** Between our corners and the geometry library's shapes. */
final class Shapes2D {
    static final GeometryFactory FACTORY = new GeometryFactory();

    private Shapes2D() {}

    static Polygon polygon(List<Corner> ring) {
        Coordinate[] closed = new Coordinate[ring.size() + 1];
        for (int i = 0; i <= ring.size(); i++) {
            Corner c = ring.get(i % ring.size());
            closed[i] = new Coordinate(c.x(), c.y());
        }
        return FACTORY.createPolygon(closed);
    }

    static LineString line(Corner... places) {
        return FACTORY.createLineString(
                Arrays.stream(places).map(c -> new Coordinate(c.x(), c.y())).toArray(Coordinate[]::new));
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
    @SuppressWarnings("unchecked") // the library's collection has no type
    static List<Polygon> cut(Geometry floor, List<LineString> lines) {
        if (lines.isEmpty()) {
            return polygons(floor);
        }
        var linework = new ArrayList<Geometry>(lines);
        linework.add(floor.getBoundary());
        var polygonizer = new Polygonizer();
        polygonizer.add(OverlayNGRobust.union(linework, FACTORY));
        var within = new IndexedPointInAreaLocator(floor);
        var pieces = new ArrayList<Polygon>();
        for (Polygon piece : (Collection<Polygon>) polygonizer.getPolygons()) {
            if (within.locate(piece.getInteriorPoint().getCoordinate()) != Location.EXTERIOR) {
                pieces.add(piece);
            }
        }
        return pieces;
    }

    /** {@code floor} without {@code openings}, each taken off once however they overlap. */
    static Geometry without(Polygon floor, List<Geometry> openings) {
        return openings.isEmpty()
                ? floor
                : OverlayNGRobust.overlay(floor, OverlayNGRobust.union(openings, FACTORY), OverlayNG.DIFFERENCE);
    }

    /** Whether a place lies in a part of the floor or on its rim. */
    static boolean holds(Polygon part, Corner place) {
        return part.getEnvelopeInternal().contains(place.x(), place.y())
                && SimplePointInAreaLocator.locate(new Coordinate(place.x(), place.y()), part) != Location.EXTERIOR;
    }

    /** {@code from}-{@code to} and straight on at both ends until well outside {@code reach}. */
    static LineString through(Corner from, Corner to, Geometry reach) {
        double dx = to.x() - from.x();
        double dy = to.y() - from.y();
        double length = Math.hypot(dx, dy);
        var box = reach.getEnvelopeInternal();
        double far = (box.getWidth() + box.getHeight() + length) * 2 / length;
        return line(
                new Corner(from.x() - dx * far, from.y() - dy * far), new Corner(to.x() + dx * far, to.y() + dy * far));
    }
}
