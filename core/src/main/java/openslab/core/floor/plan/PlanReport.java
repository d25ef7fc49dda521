package openslab.core.floor.plan;

import java.util.List;
import java.util.Optional;
import openslab.core.quantity.UnitSystem;

/** Everything that follows from a plan. */
public record PlanReport(List<RoomPlan> rooms, double north) {
    public PlanReport {
        rooms = List.copyOf(rooms);
    }

    public static PlanReport of(FloorPlan plan, UnitSystem system) {
        return new PlanReport(
                plan.rooms().stream().map(r -> RoomPlan.of(r, system)).toList(), plan.north());
    }

    /** What a zone has of the plan; empty where no part is marked as its. */
    public Optional<PlanZone> zone(String zoneId) {
        List<RoomPlan.Piece> parts = rooms.stream()
                .flatMap(r -> r.pieces().stream())
                .filter(p -> p.zoneId().filter(zoneId::equals).isPresent())
                .toList();
        return parts.isEmpty() ? Optional.empty() : Optional.of(new PlanZone(parts));
    }

    /** What stands against the rooms that a zone has a part of. */
    public List<Doubt> doubts(String zoneId) {
        return rooms.stream()
                .filter(r -> r.pieces().stream()
                        .anyMatch(p -> p.zoneId().filter(zoneId::equals).isPresent()))
                .flatMap(r -> r.doubts().stream())
                .toList();
    }
}
