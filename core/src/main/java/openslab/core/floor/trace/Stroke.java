package openslab.core.floor.trace;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.walk.Bow;
import openslab.core.quantity.Require;

/**
 * One line of a drawing: straight pieces and arcs from vertex to vertex.
 *
 * @param layer the layer's name as the drawing has it
 * @param name what it calls this line; empty where it calls it nothing
 * @param closed from the last vertex back to the first
 * @param widthM of a joint or crack, 0 where the drawing does not say; {@code depthM} likewise
 */
public record Stroke(String layer, String name, List<Vertex> vertices, boolean closed, double widthM, double depthM) {
    /** @param bulge of the piece that begins here: tan of a quarter of its angle, positive anticlockwise, 0 straight */
    public record Vertex(double x, double y, double bulge) {
        public Vertex {
            Require.that(Double.isFinite(x) && Double.isFinite(y), "a place must be finite, got %s", x);
            Require.that(Double.isFinite(bulge), "a bulge must be finite, got %s", bulge);
        }

        double to(Vertex other) {
            return Math.hypot(other.x - x, other.y - y);
        }
    }

    public Stroke {
        vertices = List.copyOf(vertices);
        Require.that(vertices.size() >= 2, "a line must have at least 2 places, got %s", vertices.size());
    }

    public static Stroke of(String layer, List<Vertex> vertices, boolean closed) {
        return new Stroke(layer, "", vertices, closed, 0, 0);
    }

    /** A circle, as two half circles. */
    public static Stroke circle(String layer, double x, double y, double radius) {
        return of(layer, List.of(new Vertex(x - radius, y, 1), new Vertex(x + radius, y, 1)), true);
    }

    /** Both ends stay, the way between them is walked the other way round. */
    Stroke reversed() {
        int n = vertices.size();
        var back = new ArrayList<Vertex>(n);
        for (int i = n - 1; i >= 0; i--) {
            Vertex at = vertices.get(i);
            // the piece that now begins here is the one that began at the vertex before
            double bulge = i == 0
                    ? (closed ? vertices.get(n - 1).bulge() : 0)
                    : vertices.get(i - 1).bulge();
            back.add(new Vertex(at.x(), at.y(), -bulge));
        }
        return new Stroke(layer, name, back, closed, widthM, depthM);
    }

    /** The same line, {@code k} times as large. */
    public Stroke scaled(double k) {
        return new Stroke(
                layer,
                name,
                vertices.stream()
                        .map(v -> new Vertex(v.x() * k, v.y() * k, v.bulge()))
                        .toList(),
                closed,
                widthM,
                depthM);
    }

    /** How the piece that begins at {@code v} leaves the straight line to {@code to}. */
    static Bow bow(Vertex v, Vertex to) {
        double chord = v.to(to);
        return v.bulge() == 0 || chord == 0
                ? Bow.NONE
                // an anticlockwise arc swells to the right of its chord
                : new Bow.Arc(Math.abs(v.bulge()) * chord / 2, v.bulge() > 0 ? -1 : 1);
    }

    /** Its places, arcs drawn by points; a closed line's first place is not repeated. */
    public List<Corner> drawn() {
        var points = new ArrayList<Corner>();
        int pieces = closed ? vertices.size() : vertices.size() - 1;
        for (int i = 0; i < pieces; i++) {
            Vertex from = vertices.get(i);
            Vertex to = vertices.get((i + 1) % vertices.size());
            var a = new Corner(from.x(), from.y());
            points.add(a);
            points.addAll(bow(from, to).between(a, new Corner(to.x(), to.y())));
        }
        if (!closed) {
            Vertex last = vertices.get(vertices.size() - 1);
            points.add(new Corner(last.x(), last.y()));
        }
        return Collections.unmodifiableList(points);
    }
}
