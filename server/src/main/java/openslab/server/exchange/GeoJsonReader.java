package openslab.server.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import openslab.core.floor.Box;
import openslab.core.floor.trace.Stroke;
import openslab.core.floor.trace.Stroke.Vertex;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Unit;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** Reads GeoJSON in local metres: docs/formats/plan-geojson.md. Degrees are refused, since a floor cannot be measured in them. */
final class GeoJsonReader {
    private static final int MOST_STROKES = 20_000;
    private static final int MOST_PLACES = 200_000;
    private static final double FARTHEST_M = 100_000;
    /** A floor smaller than this, within reach of degrees, was written in degrees. */
    private static final double LEAST_FLOOR = 0.05;

    private final List<Stroke> strokes = new ArrayList<>();
    private final Map<String, Integer> skipped = new LinkedHashMap<>();
    private int places;

    private GeoJsonReader() {}

    /** @throws InvalidInput naming the line, or the path of what is wrong, and what was expected there */
    static ReadDrawing read(String text, ObjectMapper json) {
        var reader = new GeoJsonReader();
        reader.top(tree(text, json));
        reader.refuseDegrees();
        return new ReadDrawing("GeoJSON", reader.strokes, Optional.of(Unit.METRE), reader.skipped);
    }

    private static JsonNode tree(String text, ObjectMapper json) {
        try {
            return json.readTree(text);
        } catch (StreamReadException e) {
            throw new InvalidInput(
                    "line " + e.getLocation().getLineNr(),
                    "column " + e.getLocation().getColumnNr(),
                    "well-formed JSON");
        } catch (JacksonException e) {
            throw new InvalidInput("line 1", "something else", "well-formed JSON, not nested without end");
        }
    }

    private void top(JsonNode root) {
        String type = root.path("type").asString("");
        switch (type) {
            case "FeatureCollection" -> {
                JsonNode features = root.path("features");
                if (!features.isArray()) {
                    throw fault("features", features, "a list of features");
                }
                for (int i = 0; i < features.size(); i++) {
                    feature("features[" + i + "]", features.get(i));
                }
            }
            case "Feature" -> feature("feature", root);
            default -> geometry("geometry", root, root, "");
        }
        if (strokes.isEmpty()) {
            throw new InvalidInput("features", "none that are lines or polygons", "at least one line or polygon");
        }
    }

    private void feature(String path, JsonNode feature) {
        if (!feature.isObject() || !feature.path("type").asString("").equals("Feature")) {
            throw fault(path + ".type", feature.path("type"), "Feature");
        }
        JsonNode geometry = feature.path("geometry");
        if (geometry.isNull()) {
            skip("feature without a geometry");
            return;
        }
        geometry(path + ".geometry", geometry, feature.path("properties"), layer(feature.path("properties")));
    }

    /** What our own files call a thing, or the layer that another tool gave it; empty for neither. */
    private static String layer(JsonNode properties) {
        String what = properties.path("what").asString("");
        String kind = properties.path("kind").asString("");
        String own = what.equals("opening") || what.equals("line") ? kind : what;
        String layer = own.isEmpty() ? properties.path("layer").asString("") : own;
        return clean(layer).toLowerCase(Locale.ROOT);
    }

    private static String clean(String text) {
        String plain = text.replaceAll("[\\p{Cntrl}<>]", " ").strip();
        return plain.length() > 60 ? plain.substring(0, 60) : plain;
    }

    private void geometry(String path, JsonNode geometry, JsonNode properties, String layer) {
        JsonNode coordinates = geometry.path("coordinates");
        String type = geometry.path("type").asString("");
        switch (type) {
            case "Polygon" -> polygon(path + ".coordinates", coordinates, properties, named(layer, "polygon"));
            case "MultiPolygon" ->
                each(path, coordinates, (p, c) -> polygon(p, c, properties, named(layer, "polygon")));
            case "LineString" -> line(path + ".coordinates", coordinates, properties, named(layer, "line"), false);
            case "MultiLineString" ->
                each(path, coordinates, (p, c) -> line(p, c, properties, named(layer, "line"), false));
            case "GeometryCollection" -> {
                JsonNode parts = geometry.path("geometries");
                for (int i = 0; i < parts.size(); i++) {
                    geometry(path + ".geometries[" + i + "]", parts.get(i), properties, layer);
                }
            }
            case "Point", "MultiPoint" -> skip(type);
            default -> throw fault(path + ".type", geometry.path("type"), "a GeoJSON geometry");
        }
    }

    private static String named(String layer, String otherwise) {
        return layer.isEmpty() ? otherwise : layer;
    }

    private interface Part {
        void read(String path, JsonNode coordinates);
    }

    private void each(String path, JsonNode coordinates, Part part) {
        if (!coordinates.isArray()) {
            throw fault(path + ".coordinates", coordinates, "a list");
        }
        for (int i = 0; i < coordinates.size(); i++) {
            part.read(path + ".coordinates[" + i + "]", coordinates.get(i));
        }
    }

    private void polygon(String path, JsonNode rings, JsonNode properties, String layer) {
        if (!rings.isArray() || rings.isEmpty()) {
            throw fault(path, rings, "a list of rings");
        }
        for (int i = 0; i < rings.size(); i++) {
            line(path + "[" + i + "]", rings.get(i), properties, layer, true);
        }
    }

    private void line(String path, JsonNode coordinates, JsonNode properties, String layer, boolean ring) {
        int least = ring ? 4 : 2;
        if (!coordinates.isArray() || coordinates.size() < least) {
            throw fault(path, coordinates, "a list of at least " + least + " places");
        }
        var vertices = new ArrayList<Vertex>();
        for (int i = 0; i < coordinates.size(); i++) {
            vertices.add(place(path + "[" + i + "]", coordinates.get(i)));
        }
        if (ring) {
            Vertex first = vertices.get(0);
            Vertex last = vertices.remove(vertices.size() - 1);
            if (first.x() != last.x() || first.y() != last.y()) {
                throw fault(path, coordinates.get(coordinates.size() - 1), "a ring that ends where it begins");
            }
        }
        if (strokes.size() >= MOST_STROKES) {
            throw fault(path, coordinates, "at most " + MOST_STROKES + " lines in one file");
        }
        strokes.add(new Stroke(
                layer,
                clean(properties.path("name").asString("")),
                vertices,
                ring,
                measure(properties, "widthM"),
                measure(properties, "depthM")));
    }

    private static double measure(JsonNode properties, String name) {
        double value = properties.path(name).asDouble(0);
        return value > 0 && value < 1 ? value : 0;
    }

    private Vertex place(String path, JsonNode place) {
        JsonNode x = place.path(0);
        JsonNode y = place.path(1);
        boolean known = x.isNumber()
                && y.isNumber()
                && Math.abs(x.asDouble()) <= FARTHEST_M
                && Math.abs(y.asDouble()) <= FARTHEST_M;
        if (!known) {
            throw fault(path, place, "two numbers of metres, at most " + (int) FARTHEST_M);
        }
        if (++places > MOST_PLACES) {
            throw fault(path, place, "at most " + MOST_PLACES + " places in one file");
        }
        return new Vertex(x.asDouble(), y.asDouble(), 0);
    }

    private void refuseDegrees() {
        Box box = Box.round(strokes.stream().flatMap(s -> s.drawn().stream()).toList());
        boolean inReach = Math.abs(box.low().x()) <= 180 && Math.abs(box.low().y()) <= 90;
        if (inReach && box.width() < LEAST_FLOOR && box.height() < LEAST_FLOOR) {
            throw new InvalidInput(
                    "coordinates",
                    box.width() + " by " + box.height(),
                    "local metres: a floor this small was written in degrees of longitude and latitude");
        }
    }

    private void skip(String what) {
        skipped.merge(what, 1, Integer::sum);
    }

    private static InvalidInput fault(String path, JsonNode found, String expected) {
        String text = found.isMissingNode() ? "nothing" : found.toString();
        return new InvalidInput(path, text.length() > 80 ? text.substring(0, 80) + "…" : text, expected);
    }
}
