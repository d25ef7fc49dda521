package openslab.server.exchange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import openslab.core.floor.Box;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.trace.Role;
import openslab.core.floor.trace.Stroke;
import openslab.core.floor.trace.Tracing;
import openslab.core.quantity.Faults;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Unit;
import tools.jackson.databind.ObjectMapper;

/** Drawings read, offered layer by layer, and traced as it was then decided. */
final class Drawings {
    private static final int MOST_CHARACTERS = 8_000_000;
    private static final int MOST_LAYERS = 500;
    /** A drawing of more places is shown by this many. */
    private static final int MOST_SHOWN = 20_000;

    /** Units that a drawing may be in, as they are asked for. */
    private static final List<Unit> UNITS = List.of(Unit.MILLIMETRE, Unit.CENTIMETRE, Unit.METRE, Unit.INCH, Unit.FOOT);

    /** @param role what it most likely is */
    record LayerOffer(String name, int lines, int closed, String role) {}

    /** One line to be shown, in the drawing's own unit. */
    record Shown(String layer, List<Corner> points, boolean closed) {}

    /**
     * What a drawing holds, before anything is taken over.
     *
     * @param unit its unit; empty where the file does not say
     * @param skipped what is not a line on a floor, and how many
     */
    record Offer(
            String format,
            String unit,
            List<String> units,
            double width,
            double height,
            List<LayerOffer> layers,
            List<Shown> lines,
            List<String> skipped) {}

    private Drawings() {}

    /** By what the text is, not by what it is called. */
    static ReadDrawing read(String text, ObjectMapper json) {
        if (text == null || text.isBlank()) {
            throw new InvalidInput("text", null, "a drawing: DXF (ASCII) or GeoJSON");
        }
        if (text.length() > MOST_CHARACTERS) {
            throw new InvalidInput("text", text.length() + " characters", "at most " + MOST_CHARACTERS);
        }
        String start = text.stripLeading();
        if (start.startsWith("{")) {
            return GeoJsonReader.read(text, json);
        }
        String other = start.startsWith("<")
                ? "XML or SVG"
                : start.startsWith("PK") ? "an archive" : text.indexOf('\0') >= 0 ? "a binary file" : "";
        if (!other.isEmpty()) {
            throw new InvalidInput("line 1", other, "a drawing: DXF (ASCII) or GeoJSON");
        }
        return DxfReader.read(text);
    }

    static Offer offer(ReadDrawing drawing) {
        Map<String, List<Stroke>> byLayer = byLayer(drawing);
        Map<String, Role> roles = suggested(byLayer);
        var layers = byLayer.entrySet().stream()
                .map(e -> new LayerOffer(
                        e.getKey(),
                        e.getValue().size(),
                        (int) e.getValue().stream().filter(Stroke::closed).count(),
                        roles.get(e.getKey()).name()))
                .toList();
        var lines = new ArrayList<Shown>();
        int shown = 0;
        for (Stroke stroke : drawing.strokes()) {
            List<Corner> points = stroke.drawn();
            shown += points.size();
            if (shown <= MOST_SHOWN) {
                lines.add(new Shown(stroke.layer(), points, stroke.closed()));
            }
        }
        Box box = round(drawing.strokes());
        return new Offer(
                drawing.format(),
                drawing.unit().map(Unit::symbol).orElse(""),
                UNITS.stream().map(Unit::symbol).toList(),
                box.width(),
                box.height(),
                layers,
                lines,
                drawing.skipped().entrySet().stream()
                        .map(e -> e.getValue() + " " + e.getKey())
                        .toList());
    }

    private static Map<String, List<Stroke>> byLayer(ReadDrawing drawing) {
        Map<String, List<Stroke>> byLayer = drawing.strokes().stream()
                .collect(Collectors.groupingBy(Stroke::layer, LinkedHashMap::new, Collectors.toList()));
        if (byLayer.size() > MOST_LAYERS) {
            throw new InvalidInput("layers", byLayer.size() + " layers", "at most " + MOST_LAYERS);
        }
        return byLayer;
    }

    /** By the layers' names; where none says walls, the one that encloses most of what says nothing is them. */
    private static Map<String, Role> suggested(Map<String, List<Stroke>> byLayer) {
        Map<String, Role> roles = new LinkedHashMap<>();
        byLayer.keySet().forEach(l -> roles.put(l, Role.suggestedBy(l).orElse(Role.LEAVE)));
        if (!roles.containsValue(Role.ROOM)) {
            byLayer.entrySet().stream()
                    .filter(e -> Role.suggestedBy(e.getKey()).isEmpty())
                    .max(Comparator.comparingDouble(e -> reach(e.getValue())))
                    .ifPresent(e -> roles.put(e.getKey(), Role.ROOM));
        }
        return roles;
    }

    private static double reach(List<Stroke> strokes) {
        Box box = round(strokes);
        return box.width() * box.height();
    }

    private static Box round(List<Stroke> strokes) {
        return Box.round(strokes.stream().flatMap(s -> s.drawn().stream()).toList());
    }

    /**
     * @param unitSymbol what the drawing is in
     * @param roleNames by layer
     * @throws InvalidInput where nothing of it is a room
     */
    static Tracing.Traced trace(ReadDrawing drawing, String unitSymbol, Map<String, String> roleNames, int firstRoom) {
        var faults = new Faults();
        Optional<Unit> unit =
                UNITS.stream().filter(u -> u.symbol().equals(unitSymbol)).findFirst();
        if (unit.isEmpty()) {
            faults.add(
                    "unit",
                    unitSymbol,
                    "what the drawing is in: one of "
                            + UNITS.stream().map(Unit::symbol).collect(Collectors.joining(", ")));
        }
        Map<String, List<Stroke>> byLayer = byLayer(drawing);
        Map<String, Role> roles = new LinkedHashMap<>();
        (roleNames == null ? Map.<String, String>of() : roleNames).forEach((layer, name) -> {
            if (!byLayer.containsKey(layer)) {
                faults.add("roles", layer, "a layer of the drawing");
            } else {
                roles.put(layer, faults.oneOf("roles." + layer, name, Role.class));
            }
        });
        faults.check();
        double toMetres = unit.orElseThrow().toBase(1);
        Tracing.Traced traced = Tracing.of(
                drawing.strokes().stream().map(s -> s.scaled(toMetres)).toList(), roles, firstRoom);
        if (traced.rooms().isEmpty()) {
            throw new InvalidInput(
                    "roles",
                    traced.left().isEmpty() ? "no layer of walls" : String.join("; ", traced.left()),
                    "a layer whose lines close to a room");
        }
        return traced;
    }
}
