package openslab.core.survey.place;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.floor.Outline.Corner;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;

/**
 * Places for tests, spread over a floor: each where as much of the floor as possible is nearest to it, clear of walls,
 * openings and joints; the last of them near a wall, where slabs on ground are wettest at their edge. The same floor
 * gives the same places.
 */
public final class Placement {
    /** Room for a 20 in square ground clean, or an 18 in sheet with its tape: ours. */
    public static final double CLEAR_M = 0.4;

    /** ASTM F2170, from memory: one test within 3 ft (1 m) of each exterior wall. */
    public static final double NEAR_WALL_M = 0.9;

    /** A place this near to where the floor looks damp tests it: ours. */
    private static final double NEAR_SUSPECT_M = 1;

    private static final int CANDIDATES = 1200;
    private static final int ROUNDS = 40;
    private static final int HALVINGS = 5;
    /** Where less of a floor than this is clear, the places would crowd in its middle. */
    private static final double CLEAR_SHARE = 1.0 / 3;

    private static final GeometryFactory FACTORY = new GeometryFactory();

    /**
     * @param byWall meant for an exterior wall; which walls those are, whoever is there knows
     * @param suspected in a patch that looks damp
     */
    public record Proposal(String name, Corner at, boolean byWall, boolean suspected) {}

    /** @param at where it is */
    public record Marked(String name, Corner at) {}

    private final Geometry floor;
    private final IndexedFacetDistance walls;
    private final Optional<IndexedFacetDistance> lines;
    private final List<Coordinate> everywhere;

    private Placement(List<List<Corner>> rings, List<List<Corner>> avoid) {
        LinearRing outer = ring(rings.get(0));
        LinearRing[] holes = rings.stream().skip(1).map(Placement::ring).toArray(LinearRing[]::new);
        floor = FACTORY.createPolygon(outer, holes);
        walls = new IndexedFacetDistance(floor.getBoundary());
        lines = avoid.isEmpty()
                ? Optional.empty()
                : Optional.of(new IndexedFacetDistance(FACTORY.createMultiLineString(avoid.stream()
                        .map(l -> FACTORY.createLineString(coordinates(l)))
                        .toArray(LineString[]::new))));
        everywhere = grid();
    }

    /**
     * @param rings of the zone, the outer one first, metres
     * @param avoid joints and cracks
     * @param suspected where the floor looks damp: each gets a place, unless one is marked near it
     * @param marked places that are already there; they count, and the new ones keep away from them
     * @param count how many places there are to be in all; more where more look damp
     * @param nearWall whether one of them is to be near a wall
     */
    public static List<Proposal> propose(
            List<List<Corner>> rings,
            List<List<Corner>> avoid,
            List<Corner> suspected,
            List<Marked> marked,
            int count,
            boolean nearWall) {
        List<Corner> untested = suspected.stream()
                .filter(s -> marked.stream().noneMatch(m -> near(m.at, s)))
                .toList();
        int more = Math.max(0, count - marked.size() - untested.size());
        if (more + untested.size() == 0) {
            return List.of();
        }
        return new Placement(rings, avoid).spread(marked, untested, more, nearWall);
    }

    private static boolean near(Corner a, Corner b) {
        return Math.hypot(a.x() - b.x(), a.y() - b.y()) <= NEAR_SUSPECT_M;
    }

    private List<Proposal> spread(List<Marked> marked, List<Corner> suspected, int more, boolean nearWall) {
        List<Coordinate> fixed = Stream.concat(marked.stream().map(Marked::at), suspected.stream())
                .map(c -> new Coordinate(c.x(), c.y()))
                .toList();
        List<Coordinate> clear = clear(fixed.size() + more);
        var places = new ArrayList<>(fixed);
        for (int i = 0; i < more; i++) {
            places.add(
                    places.isEmpty() ? nearest(clear, floor.getCentroid().getCoordinate()) : farthest(clear, places));
        }
        settle(places, fixed.size(), clear);
        boolean wall = more > 0 && nearWall && places.stream().noneMatch(p -> fromWalls(p) <= NEAR_WALL_M);
        int byWall = wall ? closestToWall(places, fixed.size()) : -1;
        if (wall) {
            places.set(byWall, toWall(places, byWall, clear));
        }
        Set<String> taken = marked.stream().map(Marked::name).collect(Collectors.toSet());
        var proposals = new ArrayList<Proposal>();
        int letter = 0;
        for (int i = marked.size(); i < places.size(); i++) {
            while (taken.contains(name(letter))) {
                letter++;
            }
            Coordinate c = places.get(i);
            proposals.add(new Proposal(name(letter++), new Corner(c.x, c.y), i == byWall, i < fixed.size()));
        }
        return proposals;
    }

    /** A, B … Z, A2, B2 … */
    private static String name(int index) {
        String letter = String.valueOf((char) ('A' + index % 26));
        return index < 26 ? letter : letter + (index / 26 + 1);
    }

    /** Each place to the middle of what lies nearest to it, until none moves: Lloyd's way. */
    private void settle(List<Coordinate> places, int from, List<Coordinate> clear) {
        for (int round = 0; round < ROUNDS; round++) {
            var sums = new double[places.size()][3];
            for (Coordinate c : everywhere) {
                double[] sum = sums[indexOfNearest(places, c)];
                sum[0] += c.x;
                sum[1] += c.y;
                sum[2]++;
            }
            boolean moved = false;
            for (int i = from; i < places.size(); i++) {
                if (sums[i][2] > 0) {
                    Coordinate to = nearest(clear, new Coordinate(sums[i][0] / sums[i][2], sums[i][1] / sums[i][2]));
                    moved |= !to.equals2D(places.get(i));
                    places.set(i, to);
                }
            }
            if (!moved) {
                return;
            }
        }
    }

    private int closestToWall(List<Coordinate> places, int from) {
        int closest = from;
        for (int i = from; i < places.size(); i++) {
            if (fromWalls(places.get(i)) < fromWalls(places.get(closest))) {
                closest = i;
            }
        }
        return closest;
    }

    /** To the nearest clear spot within reach of a wall. */
    private Coordinate toWall(List<Coordinate> places, int which, List<Coordinate> clear) {
        return clear.stream()
                .filter(c -> fromWalls(c) <= NEAR_WALL_M)
                .min(Comparator.comparingDouble(c -> c.distance(places.get(which))))
                .orElse(places.get(which));
    }

    private double fromWalls(Coordinate c) {
        return walls.distance(FACTORY.createPoint(c));
    }

    private boolean isClear(Coordinate c, double by) {
        return fromWalls(c) >= by
                && lines.map(l -> l.distance(FACTORY.createPoint(c)) >= by).orElse(true);
    }

    /** In a narrow place less room has to do, and at last none. */
    private List<Coordinate> clear(int count) {
        double by = CLEAR_M;
        for (int i = 0; i < HALVINGS; i++, by /= 2) {
            double room = by;
            List<Coordinate> clear =
                    everywhere.stream().filter(c -> isClear(c, room)).toList();
            if (clear.size() >= Math.max(2 * count, CLEAR_SHARE * everywhere.size())) {
                return clear;
            }
        }
        return everywhere;
    }

    private List<Coordinate> grid() {
        var box = floor.getEnvelopeInternal();
        double step = Math.sqrt(floor.getArea() / CANDIDATES);
        var within = new IndexedPointInAreaLocator(floor);
        var grid = new ArrayList<Coordinate>();
        for (double y = box.getMinY() + step / 2; y < box.getMaxY(); y += step) {
            for (double x = box.getMinX() + step / 2; x < box.getMaxX(); x += step) {
                var c = new Coordinate(x, y);
                if (within.locate(c) == Location.INTERIOR) {
                    grid.add(c);
                }
            }
        }
        return grid.isEmpty() ? List.of(floor.getInteriorPoint().getCoordinate()) : grid;
    }

    private static Coordinate nearest(List<Coordinate> among, Coordinate to) {
        return among.get(indexOfNearest(among, to));
    }

    private static int indexOfNearest(List<Coordinate> among, Coordinate to) {
        int nearest = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < among.size(); i++) {
            Coordinate c = among.get(i);
            double square = (c.x - to.x) * (c.x - to.x) + (c.y - to.y) * (c.y - to.y);
            if (square < least) {
                least = square;
                nearest = i;
            }
        }
        return nearest;
    }

    private static Coordinate farthest(List<Coordinate> among, List<Coordinate> from) {
        return among.stream()
                .max(Comparator.comparingDouble(c -> c.distance(nearest(from, c))))
                .orElseThrow();
    }

    private static LinearRing ring(List<Corner> corners) {
        var closed = new ArrayList<>(corners);
        closed.add(corners.get(0));
        return FACTORY.createLinearRing(coordinates(closed));
    }

    private static Coordinate[] coordinates(List<Corner> corners) {
        return corners.stream().map(c -> new Coordinate(c.x(), c.y())).toArray(Coordinate[]::new);
    }
}
