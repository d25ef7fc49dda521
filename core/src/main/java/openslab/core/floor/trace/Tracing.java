package openslab.core.floor.trace;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import openslab.core.floor.Outline;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Ring;
import openslab.core.floor.plan.Room;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.floor.trace.Stroke.Vertex;
import openslab.core.floor.walk.Run;
import openslab.core.floor.walk.Walk;
import openslab.core.quantity.InvalidInput;
import org.locationtech.jts.geom.Polygon;

/** Rooms from a drawing: each layer's lines are what its role says. */
public final class Tracing {
    /** Walls shorter than a finger's breadth are a drawing's, not a floor's. */
    private static final double SHORTEST_M = 0.005;

    private static final double LEAST_ROOM_M2 = 0.01;
    private static final double SQUARE = 1e-6;
    /** Nobody coats more rooms, columns or fixtures by one drawing. */
    private static final int MOST_RINGS = 2_000;
    /** Joints and cracks that the drawing gives no width or depth: ours, told, and to be measured on the floor. */
    private static final double WIDTH_M = 0.006;

    private static final double DEPTH_M = 0.025;
    private static final String ASSUMED =
            "without a width or a depth, taken as 6 mm (1/4 in) wide and 25 mm (1 in) deep";

    /**
     * @param left what was not taken over, why, and how many: "walls: not closed (3)"
     * @param assumed what the drawing does not say and was taken as something, likewise
     */
    public record Traced(List<Room> rooms, List<String> left, List<String> assumed) {
        public Traced {
            rooms = List.copyOf(rooms);
            left = List.copyOf(left);
            assumed = List.copyOf(assumed);
        }
    }

    private final List<Outer> outers = new ArrayList<>();
    private final Map<String, Integer> left = new LinkedHashMap<>();
    private final Map<String, Integer> assumed = new LinkedHashMap<>();

    private Tracing() {}

    /**
     * @param strokes in metres
     * @param roles by layer; a layer that is not named is left out
     * @param firstRoom the number of the first room, of which ids and names are made
     */
    public static Traced of(List<Stroke> strokes, Map<String, Role> roles, int firstRoom) {
        var tracing = new Tracing();
        tracing.rooms(tracing.rings(strokes, roles, Role.ROOM));
        tracing.zones(tracing.rings(strokes, roles, Role.ZONE));
        for (Role role : List.of(Role.CUT_OUT, Role.COLUMN, Role.DRAIN, Role.FIXTURE)) {
            tracing.rings(strokes, roles, role).forEach(ring -> tracing.opening(ring, role));
        }
        strokes.forEach(s -> tracing.line(s, roles.getOrDefault(s.layer(), Role.LEAVE)));
        var rooms = new ArrayList<Room>();
        for (Outer outer : tracing.outers) {
            rooms.add(outer.room(firstRoom + rooms.size()));
        }
        return new Traced(rooms, counted(tracing.left), counted(tracing.assumed));
    }

    private static List<String> counted(Map<String, Integer> told) {
        return told.entrySet().stream()
                .map(e -> e.getKey() + " (" + e.getValue() + ")")
                .toList();
    }

    private void leave(String layer, String why) {
        left.merge(layer + ": " + why, 1, Integer::sum);
    }

    /** The closed lines of every layer of {@code role}; what does not close is told. */
    private List<Stroke> rings(List<Stroke> strokes, Map<String, Role> roles, Role role) {
        Map<String, List<Stroke>> byLayer = strokes.stream()
                .filter(s -> roles.get(s.layer()) == role)
                .collect(Collectors.groupingBy(Stroke::layer, LinkedHashMap::new, Collectors.toList()));
        var rings = new ArrayList<Stroke>();
        byLayer.forEach((layer, own) -> {
            Map<Boolean, List<Stroke>> joined =
                    Joining.joined(own).stream().collect(Collectors.partitioningBy(Stroke::closed));
            for (Stroke ring : joined.get(true)) {
                walkable(ring).ifPresentOrElse(rings::add, () -> leave(layer, "too small"));
            }
            for (List<Corner> face : faces(layer, joined.get(false))) {
                var vertices =
                        face.stream().map(c -> new Vertex(c.x(), c.y(), 0)).toList();
                walkable(Stroke.of(layer, vertices, true)).ifPresent(rings::add);
            }
        });
        if (rings.size() > MOST_RINGS) {
            throw new InvalidInput(
                    "roles",
                    rings.size() + " closed lines",
                    "layers of at most " + MOST_RINGS + " closed lines of one kind");
        }
        return rings;
    }

    /** Where walls fork, as between two rooms, the rooms are the faces between them; curves become points. */
    private List<List<Corner>> faces(String layer, List<Stroke> open) {
        if (open.size() > 1) {
            List<List<Corner>> faces =
                    Shapes2D.faces(open.stream().map(Stroke::drawn).toList(), "layer " + layer);
            if (!faces.isEmpty()) {
                return faces;
            }
        }
        open.forEach(stroke -> leave(layer, "not closed"));
        return List.of();
    }

    /** Anticlockwise, without pieces too short to measure. */
    private static Optional<Stroke> walkable(Stroke ring) {
        var vertices = new ArrayList<Vertex>();
        for (Vertex v : ring.vertices()) {
            Vertex before = vertices.isEmpty() ? null : vertices.get(vertices.size() - 1);
            if (before == null || before.to(v) >= SHORTEST_M) {
                vertices.add(v);
            } else {
                // the shorter piece gives way to the longer one that follows
                vertices.set(vertices.size() - 1, new Vertex(before.x(), before.y(), v.bulge()));
            }
        }
        while (vertices.size() > 2 && vertices.get(vertices.size() - 1).to(vertices.get(0)) < SHORTEST_M) {
            vertices.remove(vertices.size() - 1);
        }
        if (vertices.size() < 2) {
            return Optional.empty();
        }
        var clean = new Stroke(ring.layer(), ring.name(), vertices, true, 0, 0);
        double area = new Outline(clean.drawn()).signedAreaM2();
        return Math.abs(area) < LEAST_ROOM_M2 / 100
                ? Optional.empty()
                : Optional.of(area > 0 ? clean : startingWhereItDid(clean.reversed()));
    }

    /** A walk the other way round begins at the corner it began at. */
    private static Stroke startingWhereItDid(Stroke reversed) {
        var vertices = new ArrayList<Vertex>(reversed.vertices());
        vertices.add(0, vertices.remove(vertices.size() - 1));
        return new Stroke(reversed.layer(), reversed.name(), vertices, true, 0, 0);
    }

    /** Largest first: a ring within a room's walls is a cut-out of it, one within that is a room again. */
    private void rooms(List<Stroke> rings) {
        rings.stream()
                .sorted(Comparator.comparingDouble((Stroke s) -> -new Outline(s.drawn()).areaM2()))
                .forEach(ring -> {
                    Corner inside = inside(ring);
                    Optional<Outer> around = around(inside);
                    if (around.isPresent() && !around.get().isCutAt(inside)) {
                        around.get().cutOut(ring);
                    } else {
                        begin(ring);
                    }
                });
    }

    private void begin(Stroke ring) {
        if (new Outline(ring.drawn()).areaM2() < LEAST_ROOM_M2) {
            leave(ring.layer(), "too small for a room");
        } else {
            outers.add(new Outer(ring));
        }
    }

    /** A zone within a room is parted off by its own line; one outside every room is a room. */
    private void zones(List<Stroke> rings) {
        for (Stroke ring : rings) {
            around(inside(ring)).ifPresentOrElse(outer -> outer.zone(ring), () -> begin(ring));
        }
    }

    private void opening(Stroke ring, Role role) {
        around(inside(ring))
                .ifPresentOrElse(
                        outer -> outer.opening(ring, Room.Opening.Kind.valueOf(role.name())),
                        () -> leave(ring.layer(), "in no room"));
    }

    private void line(Stroke stroke, Role role) {
        if (role.isRing() || role == Role.LEAVE) {
            return;
        }
        List<Corner> points = new ArrayList<>(stroke.drawn());
        if (stroke.closed()) {
            points.add(points.get(0));
        }
        // half way along is on the floor even where the ends touch its walls
        Corner a = points.get((points.size() - 1) / 2);
        Corner b = points.get((points.size() - 1) / 2 + 1);
        around(new Corner((a.x() + b.x()) / 2, (a.y() + b.y()) / 2))
                .ifPresentOrElse(
                        outer -> {
                            outer.line(stroke, points, role);
                            if (role != Role.ZONE_LINE && (stroke.widthM() <= 0 || stroke.depthM() <= 0)) {
                                assumed.merge(stroke.layer() + ": " + ASSUMED, 1, Integer::sum);
                            }
                        },
                        () -> leave(stroke.layer(), "in no room"));
    }

    /** The smallest room that holds a place. */
    private Optional<Outer> around(Corner place) {
        return outers.stream().filter(o -> o.holds(place)).min(Comparator.comparingDouble(o -> o.drawn.getArea()));
    }

    private static Corner inside(Stroke ring) {
        return Shapes2D.inside(Shapes2D.polygon(ring.drawn()));
    }

    /** A room being traced. */
    private static final class Outer {
        private final Stroke ring;
        private final Polygon drawn;
        private final List<Polygon> holes = new ArrayList<>();
        private final List<Room.Opening> openings = new ArrayList<>();
        private final List<Room.Joint> joints = new ArrayList<>();
        private final List<Room.Crack> cracks = new ArrayList<>();
        private final List<Room.Cut> cuts = new ArrayList<>();
        private final Function<Corner, Corner> own;
        private final double bearing;

        Outer(Stroke ring) {
            this.ring = ring;
            this.drawn = Shapes2D.polygon(ring.drawn());
            Vertex a = ring.vertices().get(0);
            Vertex b = ring.vertices().get(1);
            bearing = Math.atan2(b.y() - a.y(), b.x() - a.x());
            double ux = Math.cos(bearing);
            double uy = Math.sin(bearing);
            own = c -> new Corner(
                    (c.x() - a.x()) * ux + (c.y() - a.y()) * uy, (c.y() - a.y()) * ux - (c.x() - a.x()) * uy);
        }

        boolean holds(Corner place) {
            return Shapes2D.holds(drawn, place);
        }

        boolean isCutAt(Corner place) {
            return holes.stream().anyMatch(h -> Shapes2D.holds(h, place));
        }

        void cutOut(Stroke hole) {
            holes.add(Shapes2D.polygon(hole.drawn()));
            opening(hole, Room.Opening.Kind.CUT_OUT);
        }

        void opening(Stroke line, Room.Opening.Kind kind) {
            int n = openings.size() + 1;
            String name = line.name().isEmpty() ? kind.label() + " " + n : line.name();
            openings.add(new Room.Opening("openings-" + n, name, kind, shape(line)));
        }

        void zone(Stroke line) {
            cuts.add(new Room.Cut("cuts-" + (cuts.size() + 1), own(line.drawn()), true));
        }

        void line(Stroke stroke, List<Corner> points, Role role) {
            double width = stroke.widthM() > 0 ? stroke.widthM() : WIDTH_M;
            double depth = stroke.depthM() > 0 ? stroke.depthM() : DEPTH_M;
            switch (role) {
                case CRACK, MOVING_CRACK ->
                    cracks.add(new Room.Crack(
                            "cracks-" + (cracks.size() + 1), own(points), width, depth, role == Role.MOVING_CRACK));
                case ZONE_LINE ->
                    cuts.add(new Room.Cut("cuts-" + (cuts.size() + 1), own(stroke.drawn()), stroke.closed()));
                default -> {
                    for (int i = 1; i < points.size(); i++) {
                        joints.add(new Room.Joint(
                                "joints-" + (joints.size() + 1),
                                Room.Joint.Kind.valueOf(role.name()),
                                own.apply(points.get(i - 1)),
                                own.apply(points.get(i)),
                                width,
                                depth,
                                false,
                                false,
                                false,
                                false));
                    }
                }
            }
        }

        private List<Corner> own(List<Corner> points) {
            return points.stream().map(own).toList();
        }

        /** A circle or a rectangle where it is one. */
        private Ring shape(Stroke line) {
            List<Vertex> v = line.vertices();
            if (v.size() == 2 && v.stream().allMatch(p -> Math.abs(p.bulge()) == 1)) {
                var centre = new Corner(
                        (v.get(0).x() + v.get(1).x()) / 2,
                        (v.get(0).y() + v.get(1).y()) / 2);
                return new Ring.Circle(own.apply(centre), v.get(0).to(v.get(1)));
            }
            if (v.size() == 4 && v.stream().allMatch(p -> p.bulge() == 0)) {
                List<Corner> c = own(line.drawn());
                double ux = c.get(1).x() - c.get(0).x();
                double uy = c.get(1).y() - c.get(0).y();
                double wx = c.get(3).x() - c.get(0).x();
                double wy = c.get(3).y() - c.get(0).y();
                double length = Math.hypot(ux, uy);
                double width = Math.hypot(wx, wy);
                double skew = Math.abs(ux * wx + uy * wy) / (length * width);
                double fourth = Math.hypot(
                        c.get(0).x() + ux + wx - c.get(2).x(),
                        c.get(0).y() + uy + wy - c.get(2).y());
                if (skew < SQUARE && fourth < SQUARE) {
                    return new Ring.Box(c.get(0), length, width, Math.atan2(uy, ux));
                }
            }
            return new Ring.Path(own(line.drawn()));
        }

        Room room(int number) {
            List<Vertex> v = ring.vertices();
            var runs = new ArrayList<Run>();
            double heading = bearing;
            for (int i = 0; i < v.size(); i++) {
                Vertex from = v.get(i);
                Vertex to = v.get((i + 1) % v.size());
                double ahead = Math.atan2(to.y() - from.y(), to.x() - from.x());
                double turn = Math.IEEEremainder(ahead - heading, 2 * Math.PI);
                runs.add(new Run("w" + (i + 1), from.to(to), turn, Stroke.bow(from, to)));
                heading = ahead;
            }
            return Room.draft(
                            "room-" + number,
                            ring.name().isEmpty() ? "Room " + number : ring.name(),
                            new Walk(runs, List.of()))
                    .openings(openings)
                    .joints(joints)
                    .cracks(cracks)
                    .cuts(cuts)
                    .room();
        }
    }
}
