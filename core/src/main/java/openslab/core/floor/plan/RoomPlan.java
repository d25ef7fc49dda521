package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import openslab.core.floor.Outline;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Gap;
import openslab.core.floor.level.LevelReport;
import openslab.core.floor.level.Lip;
import openslab.core.floor.walk.Residual;
import openslab.core.floor.walk.Run;
import openslab.core.floor.walk.Walk;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Show;
import openslab.core.quantity.TapeText;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;

/**
 * What follows from a room.
 *
 * @param closing what did not close, to be read
 * @param walls one for every run, in order
 * @param outline its whole ring, curves drawn by points
 * @param pieces what the cuts part it into, openings left out
 * @param doubts empty where it can be built on
 */
public record RoomPlan(
        String id,
        String name,
        Walk.Closed closed,
        Closing closing,
        List<Wall> walls,
        Outline outline,
        List<DrawnOpening> openings,
        List<DrawnLine> lines,
        List<Piece> pieces,
        Quantities quantities,
        Optional<LevelReport> levels,
        List<SlopeCheck> slopes,
        List<Gap.GapCheck> gaps,
        List<Lip.LipCheck> lips,
        JointMap joints,
        List<Doubt> doubts) {

    /** @param name of its ends, "A–B"; {@code points} from end to end; {@code lengthM} along it as adjusted, {@code text} likewise as a tape reads */
    public record Wall(String run, String name, List<Corner> points, double lengthM, String text) {}

    public record DrawnOpening(String id, String name, Room.Opening.Kind kind, List<Corner> ring, double areaM2) {}

    /**
     * A part of the floor.
     *
     * @param rings the outer one first, then round what is left out
     * @param area as it is read
     * @param zoneId whose it is; empty where no zone has claimed it
     * @param label a place well inside
     */
    public record Piece(
            List<List<Corner>> rings,
            double areaM2,
            String area,
            double perimeterM,
            Optional<String> zoneId,
            Corner label) {}

    /** What lies so near to a part is in it: a wall on its rim, say. */
    private static final double NEAR_M = 0.01;

    /** What of it is a zone's, a hair wider than it is; empty where nothing is. */
    Optional<Geometry> part(String zoneId) {
        return pieces.stream()
                .filter(p -> p.zoneId().filter(zoneId::equals).isPresent())
                .map(p -> Shapes2D.polygon(p.rings(), NEAR_M))
                .reduce(Geometry::union);
    }

    /** Sixteenths of an inch, or millimetres: what a wall is read to. */
    private static final int TAPE_PARTS = 16;

    private static final int TAPE_DECIMALS = 3;

    public static RoomPlan of(Room room, UnitSystem system) {
        Walk.Closed closed = room.walk().close();
        List<Wall> walls = walls(room.walk().runs(), closed.corners(), system);
        var ring = new ArrayList<Corner>();
        for (Wall wall : walls) {
            ring.addAll(wall.points().subList(0, wall.points().size() - 1));
        }
        var outline = new Outline(ring);
        var doubts = new ArrayList<Doubt>();
        closure(room, closed, system).ifPresent(doubts::add);
        Polygon floor = Shapes2D.polygon(ring);
        List<DrawnOpening> openings =
                room.openings().stream().map(RoomPlan::drawn).toList();
        List<Piece> pieces = List.of();
        double openM2 = 0;
        if (!floor.isValid()) {
            doubts.add(crossing(walls));
        } else {
            PreparedGeometry whole = PreparedGeometryFactory.prepare(floor);
            List<DrawnOpening> sound = openings.stream()
                    .filter(o -> Shapes2D.polygon(o.ring()).isValid())
                    .toList();
            openings.stream().filter(o -> !sound.contains(o)).forEach(o -> doubts.add(crossed(o)));
            sound.stream()
                    .filter(o -> !whole.covers(Shapes2D.polygon(o.ring())))
                    .forEach(o -> doubts.add(outside(o)));
            Geometry coated = Shapes2D.without(
                    floor,
                    sound.stream()
                            .map(o -> (Geometry) Shapes2D.polygon(o.ring()))
                            .toList());
            openM2 = floor.getArea() - coated.getArea();
            pieces = pieces(room, coated, system);
        }
        var quantities = Quantities.of(room, walls, outline, openM2, system);
        return new RoomPlan(
                room.id(),
                room.name(),
                closed,
                Closing.of(closed.closure(), system),
                walls,
                outline,
                openings,
                DrawnLine.of(room, walls),
                pieces,
                quantities,
                room.levels().map(l -> LevelReport.of(l, drains(room), system)),
                room.ramps().stream().map(r -> SlopeCheck.of(r, system)).toList(),
                room.gaps().stream().map(g -> g.judge(system)).toList(),
                room.lips().stream().map(l -> l.judge(system)).toList(),
                JointMap.of(room.joints()),
                List.copyOf(doubts));
    }

    private static List<Wall> walls(List<Run> runs, List<Corner> corners, UnitSystem system) {
        var walls = new ArrayList<Wall>(runs.size());
        for (int i = 0; i < runs.size(); i++) {
            Run run = runs.get(i);
            Corner from = corners.get(i);
            Corner to = corners.get((i + 1) % corners.size());
            var points = new ArrayList<Corner>();
            points.add(from);
            points.addAll(run.bow().between(from, to));
            points.add(to);
            double chord = Math.hypot(to.x() - from.x(), to.y() - from.y());
            walls.add(new Wall(
                    run.id(),
                    cornerName(i) + "–" + cornerName((i + 1) % runs.size()),
                    List.copyOf(points),
                    run.bow().lengthM(chord),
                    TapeText.of(chord, system, TAPE_PARTS, TAPE_DECIMALS)));
        }
        return List.copyOf(walls);
    }

    static List<Corner> drains(Room room) {
        return room.openings().stream()
                .filter(o -> o.kind() == Room.Opening.Kind.DRAIN)
                .map(o -> Shapes2D.inside(Shapes2D.polygon(o.ring().corners())))
                .toList();
    }

    /** A, B … Z, AA, AB … */
    public static String cornerName(int index) {
        String last = String.valueOf((char) ('A' + index % 26));
        return index < 26 ? last : cornerName(index / 26 - 1) + last;
    }

    private static DrawnOpening drawn(Room.Opening opening) {
        List<Corner> ring = opening.ring().corners();
        return new DrawnOpening(
                opening.id(), opening.name(), opening.kind(), List.copyOf(ring), new Outline(ring).areaM2());
    }

    private static List<Piece> pieces(Room room, Geometry coated, UnitSystem system) {
        var lines = new ArrayList<LineString>();
        room.cuts().forEach(c -> lines.add(c.ring() ? Shapes2D.ring(c.line()) : Shapes2D.through(c.line(), coated)));
        room.joints().stream()
                .filter(Room.Joint::parts)
                .forEach(j -> lines.add(Shapes2D.through(List.of(j.from(), j.to()), coated)));
        return Shapes2D.cut(coated, lines).stream()
                .map(polygon -> piece(room, polygon, system))
                .toList();
    }

    private static Piece piece(Room room, Polygon polygon, UnitSystem system) {
        List<List<Corner>> rings = Shapes2D.rings(polygon);
        Optional<String> zone = room.marks().stream()
                .filter(m -> Shapes2D.holds(polygon, m.in()))
                .map(Room.ZoneMark::zoneId)
                .findFirst();
        return new Piece(
                List.copyOf(rings),
                polygon.getArea(),
                Show.in(system, Dimension.AREA, polygon.getArea()),
                polygon.getExteriorRing().getLength(),
                zone,
                Shapes2D.inside(polygon));
    }

    private static Optional<Doubt> closure(Room room, Walk.Closed closed, UnitSystem system) {
        if (closed.holds()) {
            return Optional.empty();
        }
        Bound most = Bound.atMost(closed.closure().toleranceM(), Unit.of(Dimension.LENGTH, system));
        List<String> where =
                closed.suspects().stream().map(Walk.Suspect::id).distinct().toList();
        if (closed.method() == Walk.Method.ADJUSTED) {
            Walk.Suspect first = closed.suspects().get(0);
            return Optional.of(new Doubt(
                    "misread",
                    "One measure does not fit the others",
                    named(room, first) + " read " + read(first, system),
                    "every measure within its own spread",
                    "With measures across, each one is checked by the others; this one stands out.",
                    "Measure " + named(room, first) + " again.",
                    where));
        }
        return Optional.of(new Doubt(
                "closure",
                "The walls do not close",
                most.text(closed.closure().lengthM()) + " short of the first corner",
                most.words(),
                "What does not close was misread somewhere, and its area is a guess.",
                remedy(room, closed.suspects(), system),
                where));
    }

    private static String remedy(Room room, List<Walk.Suspect> suspects, UnitSystem system) {
        if (suspects.isEmpty()) {
            return "No single wall explains it: walk round again, or measure a diagonal.";
        }
        var walls = suspects.stream()
                .map(s -> named(room, s) + " ("
                        + s.wouldBe().map(v -> would(s.kind(), v, system)).orElse("")
                        + " would close)")
                .toList();
        return "Measure again: " + String.join(", or ", walls) + ".";
    }

    private static String would(Residual.Kind kind, double value, UnitSystem system) {
        return kind == Residual.Kind.TURN ? "a turn of " + degrees(value) : Show.in(system, Dimension.LENGTH, value);
    }

    private static String read(Walk.Suspect suspect, UnitSystem system) {
        return suspect.kind() == Residual.Kind.TURN
                ? degrees(suspect.measured())
                : Show.in(system, Dimension.LENGTH, suspect.measured());
    }

    private static String degrees(double radians) {
        double degrees = Math.toDegrees(radians);
        return String.format(Locale.ROOT, "%.1f° %s", Math.abs(degrees), degrees < 0 ? "right" : "left");
    }

    private static String named(Room room, Walk.Suspect suspect) {
        List<Run> runs = room.walk().runs();
        for (int i = 0; i < runs.size(); i++) {
            if (runs.get(i).id().equals(suspect.id())) {
                return suspect.kind() == Residual.Kind.TURN
                        ? "the corner at " + cornerName(i)
                        : "wall " + cornerName(i) + "–" + cornerName((i + 1) % runs.size());
            }
        }
        return room.walk().checks().stream()
                .filter(c -> c.id().equals(suspect.id()))
                .map(c -> "check " + cornerName(c.from()) + "–" + cornerName(c.to()))
                .findFirst()
                .orElse(suspect.id());
    }

    private static Doubt crossing(List<Wall> walls) {
        return new Doubt(
                "crossing",
                "The walls cross one another",
                walls.size() + " walls that meet between their corners",
                "walls that meet only at corners",
                "A floor whose walls cross has no area.",
                "Look for a turn keyed the wrong way.",
                List.of());
    }

    private static Doubt crossed(DrawnOpening opening) {
        return new Doubt(
                "crossing",
                opening.name() + " crosses itself",
                "its sides cross between their corners",
                "sides that meet only at corners",
                "What crosses itself encloses no area; it was left out of account.",
                "Look for two of its corners that changed places.",
                List.of(opening.id()));
    }

    private static Doubt outside(DrawnOpening opening) {
        return new Doubt(
                "outside",
                opening.name() + " reaches outside the floor",
                "partly beyond the walls",
                "wholly within them",
                "Only what lies on the floor is taken off its area; the rest was left out of account.",
                "Measure where it stands again.",
                List.of(opening.id()));
    }
}
