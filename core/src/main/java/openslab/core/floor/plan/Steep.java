package openslab.core.floor.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * What is coated of a zone beyond what its plan shows from above: slopes at their own length, flights of stairs beside the floor.
 *
 * @param moreM2 than it looks from above
 * @param beside whether it lies beside the floor, as a flight does, or within it, as a slope does
 */
public record Steep(String name, double moreM2, boolean beside) {
    /** Of a slope as much as lies in the zone's part; a flight goes with the largest part of its room, since nobody draws where it begins. */
    public static List<Steep> of(FloorPlan plan, PlanReport report, String zoneId) {
        var steep = new ArrayList<Steep>();
        for (int i = 0; i < plan.rooms().size(); i++) {
            Room room = plan.rooms().get(i);
            RoomPlan drawn = report.rooms().get(i);
            drawn.part(zoneId).ifPresent(part -> room.ramps()
                    .forEach(ramp -> ramp(ramp, part).ifPresent(steep::add)));
            boolean largest = drawn.pieces().stream()
                    .max(Comparator.comparingDouble(RoomPlan.Piece::areaM2))
                    .flatMap(RoomPlan.Piece::zoneId)
                    .filter(zoneId::equals)
                    .isPresent();
            if (largest) {
                room.stairs().forEach(s -> steep.add(new Steep(s.name(), s.coatedM2(), true)));
            }
        }
        return List.copyOf(steep);
    }

    private static Optional<Steep> ramp(Room.Ramp ramp, Geometry part) {
        Geometry box = Shapes2D.polygon(List.of(ramp.box().corners()), 0);
        double share = box.getArea() > 0 ? part.intersection(box).getArea() / box.getArea() : 0;
        return share > 0 ? Optional.of(new Steep(ramp.name(), ramp.moreM2() * share, false)) : Optional.empty();
    }
}
