package openslab.core.layout;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.DrawnLine;
import openslab.core.floor.plan.RoomPlan;

/**
 * The floors of a plan as layouts see them: its rooms laid side by side, each as it was measured from a corner of its own, so that what
 * lies next to something there is next to it.
 */
public record Ground(List<Room> rooms) {
    /** One room. @param pieces of its floor; {@code lines} joints, cracks and doors */
    public record Room(List<Piece> pieces, List<DrawnLine> lines) {
        public Room {
            pieces = List.copyOf(pieces);
            lines = List.copyOf(lines);
        }

        boolean isPartOf(String zoneId) {
            return pieces.stream().anyMatch(p -> p.isOf(zoneId));
        }
    }

    /** @param zoneId whose it is; empty where no zone has claimed it. @param rings its outer ring first */
    public record Piece(Optional<String> zoneId, List<List<Corner>> rings) {
        boolean isOf(String id) {
            return zoneId.equals(Optional.of(id));
        }
    }

    /** Where coating stops. A crack is filled, and coated over. */
    private static final Set<DrawnLine.Kind> STOPS =
            EnumSet.of(DrawnLine.Kind.CONTROL, DrawnLine.Kind.CONSTRUCTION, DrawnLine.Kind.EXPANSION);

    /** OURS: between two rooms, m; nobody walks over it. */
    private static final double APART_M = 2;

    public Ground {
        rooms = List.copyOf(rooms);
    }

    /** A floor that nobody drew: its shape alone. */
    public static Ground of(String zoneId, List<List<List<Corner>>> parts) {
        return new Ground(List.of(new Room(
                parts.stream().map(p -> new Piece(Optional.of(zoneId), p)).toList(), List.of())));
    }

    public static Ground of(List<RoomPlan> plan) {
        var rooms = new ArrayList<Room>();
        double east = 0;
        for (RoomPlan r : plan) {
            double west =
                    r.outline().corners().stream().mapToDouble(Corner::x).min().orElse(0);
            // the first room stays where it was measured
            double by = rooms.isEmpty() ? 0 : east + APART_M - west;
            east = by
                    + r.outline().corners().stream()
                            .mapToDouble(Corner::x)
                            .max()
                            .orElse(0);
            rooms.add(new Room(
                    r.pieces().stream()
                            .map(p -> new Piece(
                                    p.zoneId(),
                                    p.rings().stream()
                                            .map(ring -> shifted(ring, by))
                                            .toList()))
                            .toList(),
                    r.lines().stream()
                            .map(l -> new DrawnLine(l.id(), l.kind(), shifted(l.points(), by), l.widthM(), l.depthM()))
                            .toList()));
        }
        return new Ground(rooms);
    }

    private static List<Corner> shifted(List<Corner> line, double by) {
        return line.stream().map(c -> new Corner(c.x() + by, c.y())).toList();
    }

    /** Whether two zones have parts in one room. */
    public boolean isOneRoom(String zoneId, String other) {
        return rooms.stream().anyMatch(r -> r.isPartOf(zoneId) && r.isPartOf(other));
    }

    /** What is one zone's, each part its outer ring first. */
    public List<List<List<Corner>>> parts(String zoneId) {
        return rooms.stream()
                .flatMap(r -> r.pieces().stream())
                .filter(p -> p.isOf(zoneId))
                .map(Piece::rings)
                .toList();
    }

    /** Where coating stops in the rooms of a zone. */
    public List<List<Corner>> joints(String zoneId) {
        return rooms.stream()
                .filter(r -> r.isPartOf(zoneId))
                .flatMap(r -> r.lines().stream())
                .filter(l -> STOPS.contains(l.kind()))
                .map(DrawnLine::points)
                .toList();
    }
}
