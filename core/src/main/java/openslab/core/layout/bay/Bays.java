package openslab.core.layout.bay;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import org.locationtech.jts.coverage.CoverageUnion;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineSegment;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * A floor in bays, in the order in which they are coated.
 *
 * @param bays the first to be coated first
 * @param outs where the ways out are, one for each part of the floor that lies by itself
 * @param drawn whether somebody drew them all; otherwise some were reckoned
 * @param shut names of bays that nobody gets to from a way out
 */
public record Bays(List<Laid> bays, List<Corner> outs, boolean drawn, List<String> shut) {
    /**
     * One bay.
     *
     * @param rings its outer ring first, then round what is left out
     * @param cutIn how much of its edge is cut in by brush: along walls and openings
     * @param minutes at the crew's pace
     * @param ribbons where it is poured: 2 in from the sides and one down the middle, each drawn towards the way out
     * @param label a place well inside
     */
    public record Laid(
            String name,
            List<List<Corner>> rings,
            Figure area,
            Figure cutIn,
            Figure minutes,
            List<List<Corner>> ribbons,
            Corner label) {}

    /** CP: 2 in from the wall. */
    private static final double FROM_WALL_M = 0.0508;

    /** OURS: nobody walks a floor in more; a bay that is then larger than a batch has several. */
    private static final int MOST_STRIPS = 400;

    private static final Source GEOMETRY = Source.arithmetic("the plan, parted at its joints first");

    public Bays {
        bays = List.copyOf(bays);
        outs = List.copyOf(outs);
        shut = List.copyOf(shut);
    }

    /**
     * @param parts of the floor, each its outer ring first
     * @param joints where coating stops
     * @param exits where somebody gets out, of the part that is coated last last; of a part by itself that has none, the middle of
     *     its first wall
     * @param mostM2 what one bay may be at most
     * @param paceM2PerMin of the crew
     */
    public static Bays of(
            List<List<List<Corner>>> parts,
            List<List<Corner>> joints,
            List<Corner> exits,
            double mostM2,
            double paceM2PerMin,
            UnitSystem system) {
        double most = Math.max(mostM2, areaM2(parts) / MOST_STRIPS);
        List<Polygon> cells = Cells.of(parts, joints, most);
        var borders = new Borders(cells);
        int at = exits.isEmpty() ? 0 : nearest(cells, exits.get(0));
        List<List<Integer>> groups = Grouping.of(Borders.areas(cells), borders.neighbours(), most, at);
        List<Geometry> bays = groups.stream()
                .map(g -> together(g.stream().map(c -> (Geometry) cells.get(c)).toList()))
                .toList();
        var between = new Borders(bays);
        List<List<Integer>> neighbours = between.neighbours();
        var laid = new ArrayList<Laid>();
        var outs = new ArrayList<Corner>();
        var shut = new ArrayList<String>();
        boolean drawn = true;
        List<List<Integer>> byThemselves = Borders.together(between.touching()).stream()
                .sorted(Comparator.comparingInt(
                        part -> exit(part, bays, exits).map(exits::indexOf).orElse(-1)))
                .toList();
        for (List<Integer> part : byThemselves) {
            Optional<Corner> exit = exit(part, bays, exits);
            drawn &= exit.isPresent();
            Corner out = exit.orElseGet(() -> middleOfFirst(parts, bays.get(part.get(0))));
            outs.add(out);
            Geometry door = point(out);
            int last = nearest(part, bays, out);
            List<Integer> order = DryOrder.of(
                    neighbours, part, last, i -> bays.get(i).getCentroid().distance(door));
            boolean[] reached = reached(neighbours, last);
            for (int bay : order) {
                String name = "bay " + (laid.size() + 1);
                Geometry shape = bays.get(bay);
                if (!reached[bay]) {
                    shut.add(name);
                }
                laid.add(new Laid(
                        name,
                        rings(shape),
                        area(shape, system),
                        cutIn(shape, between.sharedM(bay), system),
                        minutes(shape, paceM2PerMin, system),
                        ribbons(shape, out),
                        inside(shape)));
            }
        }
        return new Bays(laid, outs, drawn, shut);
    }

    /** The exit that leads out of these bays: none where all of them are elsewhere. */
    private static Optional<Corner> exit(List<Integer> part, List<Geometry> bays, List<Corner> exits) {
        return exits.stream()
                .filter(e -> part.stream().anyMatch(b -> bays.get(b).distance(point(e)) <= FloorOrder.WALL_M))
                .findFirst();
    }

    private static double areaM2(List<List<List<Corner>>> parts) {
        return parts.stream().mapToDouble(p -> Shapes2D.polygon(p, 0).getArea()).sum();
    }

    private static boolean[] reached(List<List<Integer>> neighbours, int exit) {
        var reached = new boolean[neighbours.size()];
        var open = new ArrayList<>(List.of(exit));
        reached[exit] = true;
        while (!open.isEmpty()) {
            for (int next : neighbours.get(open.remove(open.size() - 1))) {
                if (!reached[next]) {
                    reached[next] = true;
                    open.add(next);
                }
            }
        }
        return reached;
    }

    /** Of the part of the floor in which {@code bay} lies. */
    private static Corner middleOfFirst(List<List<List<Corner>>> parts, Geometry bay) {
        Geometry in = bay.getInteriorPoint();
        List<Corner> ring = parts.stream()
                .min(Comparator.comparingDouble(p -> Shapes2D.polygon(p, 0).distance(in)))
                .orElseThrow()
                .get(0);
        Corner a = ring.get(0);
        Corner b = ring.get(1);
        return new Corner((a.x() + b.x()) / 2, (a.y() + b.y()) / 2);
    }

    private static int nearest(List<? extends Geometry> shapes, Corner place) {
        Point at = point(place);
        int best = 0;
        for (int i = 1; i < shapes.size(); i++) {
            if (shapes.get(i).distance(at) < shapes.get(best).distance(at)) {
                best = i;
            }
        }
        return best;
    }

    private static int nearest(List<Integer> part, List<Geometry> bays, Corner place) {
        return part.get(nearest(part.stream().map(bays::get).toList(), place));
    }

    private static Point point(Corner at) {
        return new GeometryFactory().createPoint(new Coordinate(at.x(), at.y()));
    }

    private static Geometry together(List<Geometry> cells) {
        return cells.size() == 1 ? cells.get(0) : CoverageUnion.union(cells.toArray(Geometry[]::new));
    }

    /** Of its largest piece: cells that lie together are one, but for the last bit of a corner. */
    private static Polygon largest(Geometry shape) {
        return Shapes2D.polygons(shape).stream()
                .max(Comparator.comparingDouble(Polygon::getArea))
                .orElseThrow();
    }

    private static List<List<Corner>> rings(Geometry shape) {
        return Shapes2D.rings(largest(shape));
    }

    private static Corner inside(Geometry shape) {
        return Shapes2D.inside(largest(shape));
    }

    private static Figure area(Geometry shape, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("a", "as drawn", shape.getArea(), Unit.SQUARE_METRE);
        return w.figure("bay", "A", "a", shape.getArea(), Unit.SQUARE_METRE, GEOMETRY);
    }

    private static Figure cutIn(Geometry shape, double sharedM, UnitSystem system) {
        var w = new Worksheet(system);
        double round = w.given("P", "round it", shape.getLength(), Unit.METRE);
        w.given("s", "of that along other bays", Math.min(round, sharedM), Unit.METRE);
        return w.figure(
                "cut in by brush",
                "c",
                "P-s",
                round - Math.min(round, sharedM),
                Unit.METRE,
                Source.commonPractice("edges along walls and openings are cut in just ahead of the roller"));
    }

    private static Figure minutes(Geometry shape, double pace, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "bay", shape.getArea(), Unit.SQUARE_METRE);
        w.given("p", "pace of the crew", pace, Unit.SQUARE_METRE_PER_MINUTE);
        return w.figure(
                "on the floor in", "t", "A/p", shape.getArea() / pace, Unit.MINUTE, Source.ours("at the crew's pace"));
    }

    /** Where it is poured, in words. */
    public static String ribbonWords(UnitSystem system) {
        String from = system == UnitSystem.US ? "2 in" : "5 cm";
        return "In ribbons: " + from + " from its sides and one down the middle, pulled towards the way out.";
    }

    /** Along the longer way of it, the end that is far from the way out first. */
    private static List<List<Corner>> ribbons(Geometry shape, Corner out) {
        double along = Cells.direction(shape);
        double ux = Math.cos(along);
        double uy = Math.sin(along);
        Coordinate middle = shape.getCentroid().getCoordinate();
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        double reach = 0;
        for (Coordinate c : shape.getCoordinates()) {
            double off = -(c.x - middle.x) * uy + (c.y - middle.y) * ux;
            low = Math.min(low, off);
            high = Math.max(high, off);
            reach = Math.max(reach, c.distance(middle));
        }
        var ribbons = new ArrayList<List<Corner>>();
        double inset = Math.min(FROM_WALL_M, (high - low) / 4);
        for (double off : new double[] {low + inset, (low + high) / 2, high - inset}) {
            Coordinate at = new Coordinate(middle.x - off * uy, middle.y + off * ux);
            longest(shape, at, ux * reach * 2, uy * reach * 2).ifPresent(s -> ribbons.add(towards(s, out)));
        }
        return ribbons;
    }

    private static Optional<LineSegment> longest(Geometry shape, Coordinate at, double dx, double dy) {
        LineString line = shape.getFactory()
                .createLineString(
                        new Coordinate[] {new Coordinate(at.x - dx, at.y - dy), new Coordinate(at.x + dx, at.y + dy)});
        Geometry within = OverlayNGRobust.overlay(shape, line, OverlayNG.INTERSECTION);
        LineSegment best = null;
        for (LineSegment side : Borders.sides(within)) {
            if (best == null || side.getLength() > best.getLength()) {
                best = side;
            }
        }
        return Optional.ofNullable(best);
    }

    private static List<Corner> towards(LineSegment s, Corner out) {
        Corner a = new Corner(s.p0.x, s.p0.y);
        Corner b = new Corner(s.p1.x, s.p1.y);
        boolean turn = Math.hypot(a.x() - out.x(), a.y() - out.y()) < Math.hypot(b.x() - out.x(), b.y() - out.y());
        return turn ? List.of(b, a) : List.of(a, b);
    }
}
