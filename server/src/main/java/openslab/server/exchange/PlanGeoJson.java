package openslab.server.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import openslab.core.floor.Outline;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.DrawnLine;
import openslab.core.floor.plan.PlanReport;
import openslab.core.floor.plan.RoomPlan;

/**
 * A plan as GeoJSON (RFC 7946) in local metres, which the RFC leaves to prior arrangement: docs/formats/plan-geojson.md is
 * that arrangement. Derived shapes, for other tools to draw; the job file holds what was measured.
 */
final class PlanGeoJson {
    private PlanGeoJson() {}

    static Map<String, Object> of(PlanReport plan) {
        var features = new ArrayList<Map<String, Object>>();
        for (SideBySide.Placed placed : SideBySide.of(plan).rooms()) {
            RoomPlan room = placed.room();
            features.add(feature(
                    "room",
                    room,
                    Map.of("name", room.name()),
                    polygon(List.of(placed.on(room.outline().corners())))));
            for (RoomPlan.Piece piece : room.pieces()) {
                features.add(feature(
                        "part",
                        room,
                        Map.of("zone", piece.zoneId().orElse(""), "areaM2", piece.areaM2()),
                        polygon(piece.rings().stream().map(placed::on).toList())));
            }
            for (RoomPlan.DrawnOpening opening : room.openings()) {
                features.add(feature(
                        "opening",
                        room,
                        Map.of("name", opening.name(), "kind", opening.kind().name()),
                        polygon(List.of(placed.on(opening.ring())))));
            }
            for (DrawnLine line : room.lines()) {
                features.add(feature("line", room, line(line), line(placed.on(line.points()))));
            }
        }
        return ordered("type", "FeatureCollection", "features", features);
    }

    private static Map<String, Object> line(DrawnLine line) {
        return line.widthM() > 0 || line.depthM() > 0
                ? Map.of("kind", line.kind().name(), "widthM", line.widthM(), "depthM", line.depthM())
                : Map.of("kind", line.kind().name());
    }

    private static Map<String, Object> feature(
            String what, RoomPlan room, Map<String, Object> more, Map<String, Object> geometry) {
        Map<String, Object> properties = ordered("what", what, "room", room.id());
        properties.putAll(new java.util.TreeMap<>(more));
        return ordered("type", "Feature", "properties", properties, "geometry", geometry);
    }

    /** Rings closed, the outer anticlockwise and the inner clockwise, as the RFC asks. */
    private static Map<String, Object> polygon(List<List<Corner>> rings) {
        var coordinates = new ArrayList<List<double[]>>();
        for (int i = 0; i < rings.size(); i++) {
            var ring = new ArrayList<>(rings.get(i));
            boolean anticlockwise = new Outline(ring).signedAreaM2() > 0;
            if (anticlockwise == i > 0) {
                java.util.Collections.reverse(ring);
            }
            ring.add(ring.get(0));
            coordinates.add(points(ring));
        }
        return ordered("type", "Polygon", "coordinates", coordinates);
    }

    private static Map<String, Object> line(List<Corner> points) {
        return ordered("type", "LineString", "coordinates", points(points));
    }

    private static List<double[]> points(List<Corner> corners) {
        return corners.stream().map(c -> new double[] {c.x(), c.y()}).toList();
    }

    private static Map<String, Object> ordered(Object... keysAndValues) {
        Map<String, Object> map = new LinkedHashMap<>();
        for (int i = 0; i < keysAndValues.length; i += 2) {
            map.put((String) keysAndValues[i], keysAndValues[i + 1]);
        }
        return map;
    }
}
