package openslab.core.survey.area;

import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.quantity.InvalidInput;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.valid.IsValidOp;

/**
 * A piece of floor with something on it or wrong with it.
 *
 * @param key the log entry that holds it; empty for what an earlier cycle left
 * @param name by which the crew calls it
 * @param ring its corners, metres of the zone's plan
 * @param areaM2 what of it lies in the zone
 */
public record DefectArea(String key, Defect defect, String name, List<Corner> ring, double areaM2, Instant at) {
    public static final int MOST_CORNERS = 200;

    private static final String WHOLE_FLOOR = "whole floor";

    /** What an earlier cycle left all over the floor. @param outer the zone's own corners */
    public static DefectArea everywhere(Defect defect, List<Corner> outer, double areaM2, Instant at) {
        return new DefectArea("", defect, WHOLE_FLOOR, outer, areaM2, at);
    }

    /** Whether it is all of the zone, wherever in it something is. */
    public boolean coversAll() {
        return key.isEmpty();
    }

    public DefectArea {
        ring = List.copyOf(ring);
    }

    /** @throws InvalidInput naming {@code path}, unless {@code ring} goes round something once */
    public static void require(String path, List<Corner> ring) {
        boolean many = ring.size() >= 3 && ring.size() <= MOST_CORNERS;
        if (!many || !new IsValidOp(Shapes2D.polygon(ring)).isValid()) {
            String said = ring.stream().map(c -> c.x() + " " + c.y()).collect(Collectors.joining(", "));
            throw new InvalidInput(
                    path, said, "3 to " + MOST_CORNERS + " corners, metres, of a ring that does not cross itself");
        }
    }

    /** What of {@code rings}, however they overlap, lies in the zone, m². */
    public static double withinM2(List<List<Corner>> zone, List<List<Corner>> rings) {
        if (rings.isEmpty()) {
            return 0;
        }
        List<Geometry> drawn =
                rings.stream().map(r -> (Geometry) Shapes2D.polygon(r)).toList();
        Polygon outer = Shapes2D.polygon(zone.get(0));
        Geometry floor = outer;
        for (List<Corner> hole : zone.subList(1, zone.size())) {
            floor = OverlayNGRobust.overlay(floor, Shapes2D.polygon(hole), OverlayNG.DIFFERENCE);
        }
        return OverlayNGRobust.overlay(OverlayNGRobust.union(drawn, outer.getFactory()), floor, OverlayNG.INTERSECTION)
                .getArea();
    }

    /** Whether a place lies in it. */
    public boolean holds(Corner place) {
        return Shapes2D.holds(Shapes2D.polygon(ring), place);
    }
}
