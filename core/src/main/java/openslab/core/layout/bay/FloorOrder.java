package openslab.core.layout.bay;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
     * @param out where it is left; empty where nothing leads out that anybody drew
     * @param over id of the zone that it is left over; empty where a door or a floor that nobody coats leads out
     */
    public record Left(String zoneId, Optional<Corner> out, Optional<String> over) {}

    /** OURS: a door lies in its wall, and a wall is thinner than this. */
    private static final double WALL_M = 0.3;

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

    /** What two floors share at most in one line. */
    private record Border(double lengthM, Corner middle) {}

    private record Pair(String zone, String other) {}

    /** A part of a floor, and in which room. */
    private record Part(int room, Geometry shape) {}

    private static final class Finding {
        private final Ground ground;

        /** Parts of each floor; those that nobody coats under an empty id. */
        private final Map<String, List<Part>> parts = new LinkedHashMap<>();

        private final Map<String, Left> left = new LinkedHashMap<>();
        private final Map<Pair, Optional<Border>> borders = new HashMap<>();

        Finding(Ground ground) {
            this.ground = ground;
            for (int r = 0; r < ground.rooms().size(); r++) {
                for (Ground.Piece p : ground.rooms().get(r).pieces()) {
                    parts.computeIfAbsent(p.zoneId().orElse(""), id -> new ArrayList<>())
                            .add(new Part(r, Shapes2D.polygon(p.rings(), 0)));
                }
            }
        }

        FloorOrder order() {
            List<String> zones =
                    parts.keySet().stream().filter(z -> !z.isEmpty()).toList();
            var stay = new ArrayList<String>();
            zones.forEach(z -> door(z).ifPresent(d -> {
                left.put(z, new Left(z, Optional.of(d.middle()), Optional.empty()));
                // what is left by the door that stays open comes last of all
                stay.add(d.line().kind() == DrawnLine.Kind.EXIT ? stay.size() : 0, z);
            }));
            while (left.size() < zones.size()) {
                if (!reachOne(zones)) {
                    String alone = zones.stream()
                            .filter(z -> !left.containsKey(z))
                            .findFirst()
                            .orElseThrow();
                    left.put(alone, new Left(alone, Optional.empty(), Optional.empty()));
                    stay.add(0, alone);
                }
            }
            var order = new ArrayList<Left>();
            left.values().stream()
                    .filter(l -> l.over().isEmpty() && !stay.contains(l.zoneId()))
                    .forEach(l -> emit(l, order));
            stay.forEach(z -> emit(left.get(z), order));
            return new FloorOrder(order);
        }

        /** A floor after all that are left over it. */
        private void emit(Left floor, List<Left> order) {
            left.values().stream()
                    .filter(l -> l.over().equals(Optional.of(floor.zoneId())))
                    .forEach(l -> emit(l, order));
            order.add(floor);
        }

        /** The floor that shares most with one that somebody gets out of. */
        private boolean reachOne(List<String> zones) {
            Left best = null;
            double longest = 0;
            for (String zone : zones) {
                if (left.containsKey(zone)) {
                    continue;
                }
                for (String other : parts.keySet()) {
                    Optional<Border> border = other.isEmpty() || left.containsKey(other)
                            ? borders.computeIfAbsent(new Pair(zone, other), this::border)
                            : Optional.empty();
                    if (border.isPresent() && border.get().lengthM() > longest) {
                        longest = border.get().lengthM();
                        best = new Left(
                                zone,
                                Optional.of(border.get().middle()),
                                Optional.of(other).filter(o -> !o.isEmpty()));
                    }
                }
            }
            if (best != null) {
                left.put(best.zoneId(), best);
            }
            return best != null;
        }

        private Optional<Door> door(String zone) {
            return parts.get(zone).stream()
                    .flatMap(part -> ground.rooms().get(part.room()).lines().stream()
                            .filter(l -> l.kind() == DrawnLine.Kind.EXIT || l.kind() == DrawnLine.Kind.DOOR)
                            .filter(l -> leads(l, part.shape()))
                            .map(Door::new))
                    .min(Door.BEST);
        }

        private static boolean leads(DrawnLine door, Geometry floor) {
            LineString line = Shapes2D.line(door.points());
            return floor.distance(line) <= WALL_M;
        }

        private Optional<Border> border(Pair of) {
            Border best = null;
            for (Part mine : parts.get(of.zone())) {
                var near = new Envelope(mine.shape().getEnvelopeInternal());
                near.expandBy(WALL_M);
                for (Part theirs : parts.get(of.other())) {
                    if (mine.room() == theirs.room()
                            && near.intersects(theirs.shape().getEnvelopeInternal())) {
                        best = longer(mine.shape(), theirs.shape(), best);
                    }
                }
            }
            return Optional.ofNullable(best);
        }

        private static Border longer(Geometry mine, Geometry theirs, Border best) {
            Border longest = best;
            for (LineSegment a : Borders.sides(mine)) {
                for (LineSegment b : Borders.sides(theirs)) {
                    double m = Borders.along(a, b);
                    if (m >= Borders.PASSABLE_M && (longest == null || m > longest.lengthM())) {
                        longest = new Border(m, middle(a, b));
                    }
                }
            }
            return longest;
        }

        /** The middle of what lies on one another. */
        private static Corner middle(LineSegment a, LineSegment b) {
            double p = Math.min(1, Math.max(0, a.projectionFactor(b.p0)));
            double q = Math.min(1, Math.max(0, a.projectionFactor(b.p1)));
            Coordinate at = a.pointAlong((p + q) / 2);
            return new Corner(at.x, at.y);
        }
    }
}
