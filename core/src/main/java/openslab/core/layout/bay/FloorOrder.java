package openslab.core.layout.bay;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.DrawnLine;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.layout.Ground;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineSegment;
import org.locationtech.jts.geom.LineString;

/**
 * How a crew leaves each floor of a plan, and so in which order they are coated where they are coated together: by a door of its
 * own, the one that stays open before any other; else over the floor next to it, which is then coated after it. Each is coated whole,
 * so whoever coats one leaves over floors that are still dry.
 */
public record FloorOrder(List<Left> floors) {
    /**
     * A floor.
     *
     * @param outs where it is left, one place for each part of it that lies by itself, the door that stays open last; none for one out
     *     of which nothing leads that anybody drew
     * @param over ids of the zones that it is left over; none where doors or floors that nobody coats lead out
     */
    public record Left(String zoneId, List<Corner> outs, List<String> over) {
        public Left {
            outs = List.copyOf(outs);
            over = List.copyOf(over);
        }
    }

    /** OURS: a door lies in its wall, and a wall is thinner than this. */
    static final double WALL_M = 0.3;

    public FloorOrder {
        floors = List.copyOf(floors);
    }

    /** The floor that is coated first stands first. */
    public static FloorOrder of(Ground ground) {
        return new Finding(ground).order();
    }

    /** How one floor is left. */
    public Left of(String zoneId) {
        return floors.stream()
                .filter(f -> f.zoneId().equals(zoneId))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no floor of zone " + zoneId));
    }

    /** A door of a floor. */
    private record Door(DrawnLine line) {
        /** The one that stays open before any other, of these the widest. */
        static final Comparator<Door> BEST = Comparator.comparing((Door d) -> d.line.kind() != DrawnLine.Kind.EXIT)
                .thenComparing(d -> -Shapes2D.line(d.line.points()).getLength());

        Corner middle() {
            Corner a = line.points().get(0);
            Corner b = line.points().get(line.points().size() - 1);
            return new Corner((a.x() + b.x()) / 2, (a.y() + b.y()) / 2);
        }
    }

    /** What two parts share at most in one line. */
    private record Border(double lengthM, Corner middle) {}

    private record Pair(Part part, Part other) {}

    /** What of a floor lies by itself in a room. @param zoneId empty where nobody coats it */
    private record Part(String zoneId, int room, Geometry shape) {
        boolean isFree() {
            return zoneId.isEmpty();
        }
    }

    /** How a part is left. @param over the part that it is left over */
    private record Way(Optional<Corner> out, Optional<Part> over, boolean stays) {}

    private static final class Finding {
        private final Ground ground;
        private final List<Part> parts = new ArrayList<>();
        private final Map<Part, Way> ways = new LinkedHashMap<>();
        private final Map<Pair, Optional<Border>> borders = new HashMap<>();

        Finding(Ground ground) {
            this.ground = ground;
            for (int r = 0; r < ground.rooms().size(); r++) {
                var byZone = new LinkedHashMap<String, List<Geometry>>();
                for (Ground.Piece p : ground.rooms().get(r).pieces()) {
                    byZone.computeIfAbsent(p.zoneId().orElse(""), id -> new ArrayList<>())
                            .add(Shapes2D.polygon(p.rings(), 0));
                }
                int room = r;
                byZone.forEach((zone, shapes) -> Borders.together(new Borders(shapes).touching())
                        .forEach(group -> parts.add(new Part(
                                zone,
                                room,
                                shapes.get(0)
                                        .getFactory()
                                        .buildGeometry(
                                                group.stream().map(shapes::get).toList())))));
            }
        }

        FloorOrder order() {
            for (Part part : parts) {
                door(part)
                        .ifPresent(d -> ways.put(
                                part,
                                new Way(
                                        Optional.of(d.middle()),
                                        Optional.empty(),
                                        d.line().kind() == DrawnLine.Kind.EXIT)));
            }
            List<Part> coated = parts.stream().filter(p -> !p.isFree()).toList();
            while (!ways.keySet().containsAll(coated)) {
                if (!reachOne(coated)) {
                    Part alone = coated.stream()
                            .filter(p -> !ways.containsKey(p))
                            .findFirst()
                            .orElseThrow();
                    ways.put(alone, new Way(Optional.empty(), Optional.empty(), false));
                }
            }
            return new FloorOrder(new Ordering(floors(coated)).all());
        }

        /** Zones as they are left: those out of which nothing leads first, those with the door that stays open last. */
        private List<Left> floors(List<Part> coated) {
            Map<String, List<Way>> byZone = new LinkedHashMap<>();
            coated.forEach(p ->
                    byZone.computeIfAbsent(p.zoneId(), z -> new ArrayList<>()).add(ways.get(p)));
            return byZone.entrySet().stream()
                    .sorted(Comparator.comparing((Map.Entry<String, List<Way>> e) ->
                                    e.getValue().stream().anyMatch(Way::stays))
                            .thenComparing(e ->
                                    e.getValue().stream().anyMatch(w -> w.out().isPresent())))
                    .map(e -> new Left(
                            e.getKey(),
                            e.getValue().stream()
                                    .sorted(Comparator.comparing(Way::stays))
                                    .flatMap(w -> w.out().stream())
                                    .toList(),
                            e.getValue().stream()
                                    .flatMap(w -> w.over().stream())
                                    .filter(over -> !over.isFree())
                                    .map(Part::zoneId)
                                    .distinct()
                                    .toList()))
                    .toList();
        }

        /** The part that shares most with one that somebody gets out of. */
        private boolean reachOne(List<Part> coated) {
            Part best = null;
            Way way = null;
            double longest = 0;
            for (Part part : coated) {
                if (ways.containsKey(part)) {
                    continue;
                }
                for (Part other : parts) {
                    Optional<Border> border = other.isFree() || ways.containsKey(other)
                            ? borders.computeIfAbsent(new Pair(part, other), this::border)
                            : Optional.empty();
                    if (border.isPresent() && border.get().lengthM() > longest) {
                        longest = border.get().lengthM();
                        best = part;
                        way = new Way(Optional.of(border.get().middle()), Optional.of(other), false);
                    }
                }
            }
            if (best != null) {
                ways.put(best, way);
            }
            return best != null;
        }

        private Optional<Door> door(Part part) {
            return part.isFree()
                    ? Optional.empty()
                    : ground.rooms().get(part.room()).lines().stream()
                            .filter(l -> l.kind() == DrawnLine.Kind.EXIT || l.kind() == DrawnLine.Kind.DOOR)
                            .filter(l -> leads(l, part.shape()))
                            .map(Door::new)
                            .min(Door.BEST);
        }

        private static boolean leads(DrawnLine door, Geometry floor) {
            LineString line = Shapes2D.line(door.points());
            return floor.distance(line) <= WALL_M;
        }

        private Optional<Border> border(Pair of) {
            var near = new Envelope(of.part().shape().getEnvelopeInternal());
            near.expandBy(WALL_M);
            if (of.part().room() != of.other().room()
                    || !near.intersects(of.other().shape().getEnvelopeInternal())) {
                return Optional.empty();
            }
            Border longest = null;
            for (LineSegment a : Borders.sides(of.part().shape())) {
                for (LineSegment b : Borders.sides(of.other().shape())) {
                    double m = Borders.along(a, b);
                    if (m >= Borders.PASSABLE_M && (longest == null || m > longest.lengthM())) {
                        longest = new Border(m, middle(a, b));
                    }
                }
            }
            return Optional.ofNullable(longest);
        }

        /** The middle of what lies on one another. */
        private static Corner middle(LineSegment a, LineSegment b) {
            double p = Math.min(1, Math.max(0, a.projectionFactor(b.p0)));
            double q = Math.min(1, Math.max(0, a.projectionFactor(b.p1)));
            Coordinate at = a.pointAlong((p + q) / 2);
            return new Corner(at.x, at.y);
        }
    }

    /** Each after all that are left over it. Two that are each left over the other in another room come as they stand. */
    private static final class Ordering {
        private final List<Left> floors;
        private final Set<String> seen = new HashSet<>();
        private final List<Left> order = new ArrayList<>();

        Ordering(List<Left> floors) {
            this.floors = floors;
        }

        List<Left> all() {
            floors.stream().filter(f -> f.over().isEmpty()).forEach(this::emit);
            floors.forEach(this::emit);
            return order;
        }

        private void emit(Left floor) {
            if (seen.add(floor.zoneId())) {
                floors.stream().filter(f -> f.over().contains(floor.zoneId())).forEach(this::emit);
                order.add(floor);
            }
        }
    }
}
