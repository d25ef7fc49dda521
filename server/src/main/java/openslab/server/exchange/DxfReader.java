package openslab.server.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.floor.trace.Stroke;
import openslab.core.floor.trace.Stroke.Vertex;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Unit;

/**
 * Reads an ASCII DXF of release 12 to 2000: lines, polylines of either kind, arcs, circles. A group is a pair of lines, a code
 * and its value, which is the whole grammar; what is not a line on the floor (texts, blocks, hatches) is counted and left
 * out. Every fault names its line. Group codes from memory of the published reference.
 */
final class DxfReader {
    private static final int MOST_STROKES = 20_000;
    private static final int MOST_VERTICES = 200_000;
    private static final double FARTHEST = 1e9;
    private static final int MOST_BULGE = 100;
    private static final double MOST_RADIUS = 1e7;
    private static final int CLOSED = 1;
    /** 3D meshes, which lie on no floor. */
    private static final int MESH = 16 | 64;

    private static final int SPLINE_FRAME = 16;

    private record Group(int code, String value, int line) {}

    private final String[] lines;
    private int at;
    private final List<Stroke> strokes = new ArrayList<>();
    private final Map<String, Integer> skipped = new LinkedHashMap<>();
    private Unit unit;
    private int vertices;
    private boolean entities;

    private DxfReader(String text) {
        lines = text.split("\r\n|\r|\n", -1);
    }

    /** @throws InvalidInput naming the line and what was expected there */
    static ReadDrawing read(String text) {
        return new DxfReader(text).file();
    }

    private ReadDrawing file() {
        Group group = next();
        while (!is(group, 0, "EOF")) {
            group = is(group, 0, "SECTION") ? section() : next();
        }
        if (!entities) {
            throw fault(group.line(), "the end of the file", "a section of ENTITIES before it");
        }
        return new ReadDrawing("DXF", strokes, Optional.ofNullable(unit), skipped);
    }

    /** @return the group after the section */
    private Group section() {
        Group name = next();
        Group group = next();
        if (is(name, 2, "HEADER")) {
            while (!is(group, 0, "ENDSEC")) {
                if (is(group, 9, "$INSUNITS")) {
                    group = next();
                    unit = group.code() == 70 ? unit(whole(group)) : unit;
                }
                group = next();
            }
        } else if (is(name, 2, "ENTITIES")) {
            entities = true;
            while (!is(group, 0, "ENDSEC")) {
                group = entity(group);
            }
        } else {
            while (!is(group, 0, "ENDSEC")) {
                group = next();
            }
        }
        return next();
    }

    /** @return the group that begins the next entity */
    private Group entity(Group begin) {
        if (begin.code() != 0) {
            throw fault(begin.line(), begin.code() + " " + begin.value(), "an entity, which begins with group 0");
        }
        var own = new ArrayList<Group>();
        Group group = next();
        while (group.code() != 0) {
            own.add(group);
            group = next();
        }
        switch (begin.value()) {
            case "LINE" -> add(line(begin, own));
            case "ARC" -> add(arc(begin, own));
            case "CIRCLE" -> add(circle(begin, own));
            case "LWPOLYLINE" -> add(polyline(begin, own, lightVertices(own)));
            case "POLYLINE" -> {
                var places = new ArrayList<Vertex>();
                boolean mesh = (flags(own) & MESH) != 0;
                boolean mirrored = mirrored(own);
                while (is(group, 0, "VERTEX")) {
                    var vertex = new ArrayList<Group>();
                    group = next();
                    while (group.code() != 0) {
                        vertex.add(group);
                        group = next();
                    }
                    if ((flags(vertex) & SPLINE_FRAME) == 0) {
                        places.add(vertex(vertex, mirrored));
                        count(begin);
                    }
                }
                if (!is(group, 0, "SEQEND")) {
                    throw fault(
                            group.line(), group.value(), "a VERTEX or SEQEND of the polyline at line " + begin.line());
                }
                group = next();
                while (group.code() != 0) {
                    group = next();
                }
                if (mesh) {
                    skip("POLYLINE mesh");
                } else {
                    add(polyline(begin, own, places));
                }
            }
            default -> skip(begin.value());
        }
        return group;
    }

    private void skip(String what) {
        String name = what.length() > 40 ? what.substring(0, 40) : what;
        if (skipped.size() < 50 || skipped.containsKey(name)) {
            skipped.merge(name, 1, Integer::sum);
        }
    }

    private void count(Group begin) {
        if (++vertices > MOST_VERTICES) {
            throw fault(begin.line(), "more than " + MOST_VERTICES + " places", "at most so many in one file");
        }
    }

    private void add(Stroke stroke) {
        if (stroke == null) {
            return;
        }
        if (strokes.size() >= MOST_STROKES) {
            throw fault(at, "more than " + MOST_STROKES + " lines", "at most so many in one file");
        }
        strokes.add(stroke);
    }

    private Stroke line(Group begin, List<Group> own) {
        var from = new Vertex(number(begin, own, 10), number(begin, own, 20), 0);
        var to = new Vertex(number(begin, own, 11), number(begin, own, 21), 0);
        return Stroke.of(layer(own), List.of(from, to), false);
    }

    private Stroke circle(Group begin, List<Group> own) {
        double radius = radius(begin, own);
        double x = number(begin, own, 10);
        return Stroke.circle(layer(own), mirrored(own) ? -x : x, number(begin, own, 20), radius);
    }

    /** Tan of a quarter of an arc's angle: at a hundred all but two degrees of a circle. */
    private double bulge(Group group) {
        double bulge = number(group);
        if (Math.abs(bulge) > MOST_BULGE) {
            throw fault(
                    group.line(), group.value(), "a bulge from -" + MOST_BULGE + " to " + MOST_BULGE + " (group 42)");
        }
        return bulge;
    }

    private double radius(Group begin, List<Group> own) {
        double radius = number(begin, own, 40);
        if (radius <= 0 || radius > MOST_RADIUS) {
            throw fault(begin.line(), "a radius of " + radius, "a radius above 0, at most 1e7 (group 40)");
        }
        return radius;
    }

    /** Anticlockwise from its start angle to its end angle, degrees. */
    private Stroke arc(Group begin, List<Group> own) {
        double x = number(begin, own, 10);
        double y = number(begin, own, 20);
        double radius = radius(begin, own);
        double start = Math.toRadians(number(begin, own, 50));
        double swept = Math.toRadians(number(begin, own, 51)) - start;
        swept -= 2 * Math.PI * Math.floor(swept / (2 * Math.PI));
        if (swept < 1e-9 || swept > 2 * Math.PI - 1e-6) {
            return circle(begin, own);
        }
        boolean mirrored = mirrored(own);
        double side = mirrored ? -1 : 1;
        var from = new Vertex(
                side * (x + radius * Math.cos(start)), y + radius * Math.sin(start), side * Math.tan(swept / 4));
        var to = new Vertex(side * (x + radius * Math.cos(start + swept)), y + radius * Math.sin(start + swept), 0);
        return Stroke.of(layer(own), List.of(from, to), false);
    }

    private Stroke polyline(Group begin, List<Group> own, List<Vertex> places) {
        if (places.size() < 2) {
            skip(begin.value() + " of fewer than 2 places");
            return null;
        }
        return Stroke.of(layer(own), places, (flags(own) & CLOSED) != 0);
    }

    private List<Vertex> lightVertices(List<Group> own) {
        var places = new ArrayList<Vertex>();
        var vertex = new ArrayList<Group>();
        // asked once: it looks through all of a polyline that may have a hundred thousand places
        boolean mirrored = mirrored(own);
        for (Group group : own) {
            if (group.code() == 10 && !vertex.isEmpty()) {
                places.add(vertex(vertex, mirrored));
                vertex.clear();
            }
            if (group.code() == 10 || !vertex.isEmpty() && (group.code() == 20 || group.code() == 42)) {
                vertex.add(group);
            }
            if (group.code() == 10) {
                count(group);
            }
        }
        if (!vertex.isEmpty()) {
            places.add(vertex(vertex, mirrored));
        }
        return places;
    }

    private Vertex vertex(List<Group> own, boolean mirrored) {
        Group begin = own.isEmpty() ? new Group(0, "VERTEX", at) : own.get(0);
        double x = number(begin, own, 10);
        double bulge = find(own, 42).map(this::bulge).orElse(0.0);
        return new Vertex(mirrored ? -x : x, number(begin, own, 20), mirrored ? -bulge : bulge);
    }

    /** Drawn on a plane that is looked at from below. */
    private boolean mirrored(List<Group> own) {
        return find(own, 230).map(this::number).orElse(1.0) < 0;
    }

    private int flags(List<Group> own) {
        return find(own, 70).map(this::whole).orElse(0);
    }

    private static String layer(List<Group> own) {
        return find(own, 8).map(Group::value).filter(v -> !v.isEmpty()).orElse("0");
    }

    private static Optional<Group> find(List<Group> own, int code) {
        return own.stream().filter(g -> g.code() == code).findFirst();
    }

    private double number(Group begin, List<Group> own, int code) {
        return number(find(own, code)
                .orElseThrow(() -> fault(begin.line(), begin.value() + " without group " + code, "group " + code)));
    }

    private double number(Group group) {
        try {
            double value = Double.parseDouble(group.value());
            if (Math.abs(value) <= FARTHEST) {
                return value;
            }
        } catch (NumberFormatException e) {
            // told below, like a number out of reach
        }
        throw fault(group.line(), group.value(), "a number from -1e9 to 1e9 (group " + group.code() + ")");
    }

    private int whole(Group group) {
        try {
            return Integer.parseInt(group.value());
        } catch (NumberFormatException e) {
            throw fault(group.line(), group.value(), "a whole number (group " + group.code() + ")");
        }
    }

    /** Of $INSUNITS; null for one that no floor is drawn in. */
    private static Unit unit(int code) {
        return switch (code) {
            case 1 -> Unit.INCH;
            case 2 -> Unit.FOOT;
            case 4 -> Unit.MILLIMETRE;
            case 5 -> Unit.CENTIMETRE;
            case 6 -> Unit.METRE;
            default -> null;
        };
    }

    private static boolean is(Group group, int code, String value) {
        return group.code() == code && group.value().equals(value);
    }

    private Group next() {
        if (at + 1 >= lines.length) {
            throw fault(lines.length, "the end of the file", "0 EOF: it was cut short, or is no DXF");
        }
        int line = at + 1;
        String code = lines[at].strip();
        String value = lines[at + 1].strip();
        at += 2;
        if (!isCode(code)) {
            throw fault(line, code, "a group code, a whole number: this is no ASCII DXF");
        }
        return new Group(Integer.parseInt(code), value, line + 1);
    }

    private static boolean isCode(String text) {
        return text.length() <= 5 && text.matches("-?\\d+");
    }

    private static InvalidInput fault(int line, String found, String expected) {
        return new InvalidInput("line " + line, found.length() > 80 ? found.substring(0, 80) + "…" : found, expected);
    }
}
