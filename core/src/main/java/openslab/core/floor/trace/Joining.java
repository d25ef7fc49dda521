package openslab.core.floor.trace;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import openslab.core.floor.trace.Stroke.Vertex;

/**
 * Single lines joined end to end, as a hand would follow them. Ends within {@link #REACH_M} of one another meet; where three
 * meet, nobody can say which way the wall goes on, so all of them stop there.
 */
final class Joining {
    /** Ours: a drawn corner that misses by less was meant to meet. */
    static final double REACH_M = 0.003;

    private record Cell(long x, long y) {}

    private record End(int stroke, boolean first) {}

    private final List<Stroke> strokes;
    private final Map<Cell, List<End>> ends = new HashMap<>();
    private final boolean[] used;

    private Joining(List<Stroke> strokes) {
        this.strokes = strokes;
        this.used = new boolean[strokes.size()];
        for (int i = 0; i < strokes.size(); i++) {
            if (!strokes.get(i).closed()) {
                put(new End(i, true));
                put(new End(i, false));
            }
        }
    }

    /** Closed lines stay as they are; open ones are joined, and closed where their ends meet. */
    static List<Stroke> joined(List<Stroke> strokes) {
        return new Joining(strokes).all();
    }

    private void put(End end) {
        ends.computeIfAbsent(cell(place(end), 0, 0), c -> new ArrayList<>()).add(end);
    }

    private Vertex place(End end) {
        List<Vertex> vertices = strokes.get(end.stroke()).vertices();
        return end.first() ? vertices.get(0) : vertices.get(vertices.size() - 1);
    }

    private static Cell cell(Vertex v, int right, int up) {
        return new Cell((long) Math.floor(v.x() / REACH_M) + right, (long) Math.floor(v.y() / REACH_M) + up);
    }

    private List<Stroke> all() {
        var all = new ArrayList<Stroke>();
        for (int i = 0; i < strokes.size(); i++) {
            if (!used[i]) {
                used[i] = true;
                all.add(strokes.get(i).closed() ? strokes.get(i) : chain(i));
            }
        }
        return all;
    }

    private Stroke chain(int from) {
        Stroke first = strokes.get(from);
        Deque<Stroke> parts = new ArrayDeque<>(List.of(first));
        End tail = new End(from, false);
        for (End next = next(tail); next != null; next = next(tail)) {
            Stroke stroke = strokes.get(next.stroke());
            used[next.stroke()] = true;
            parts.addLast(next.first() ? stroke : stroke.reversed());
            tail = new End(next.stroke(), !next.first());
        }
        End head = new End(from, true);
        for (End next = next(head); next != null; next = next(head)) {
            Stroke stroke = strokes.get(next.stroke());
            used[next.stroke()] = true;
            parts.addFirst(next.first() ? stroke.reversed() : stroke);
            head = new End(next.stroke(), !next.first());
        }
        var vertices = new ArrayList<Vertex>();
        for (Stroke part : parts) {
            List<Vertex> own = part.vertices();
            vertices.addAll(own.subList(0, own.size() - 1));
        }
        Vertex last = parts.getLast().vertices().get(parts.getLast().vertices().size() - 1);
        boolean closes = vertices.size() >= 2 && last.to(vertices.get(0)) <= REACH_M;
        if (!closes) {
            vertices.add(last);
        }
        return new Stroke(first.layer(), first.name(), vertices, closes, first.widthM(), first.depthM());
    }

    /** The one other line's end that meets this one; null where there is none, or more than one. */
    private End next(End at) {
        Vertex here = place(at);
        End found = null;
        for (int right = -1; right <= 1; right++) {
            for (int up = -1; up <= 1; up++) {
                for (End end : ends.getOrDefault(cell(here, right, up), List.of())) {
                    if (end.equals(at) || place(end).to(here) > REACH_M) {
                        continue;
                    }
                    if (found != null) {
                        return null;
                    }
                    found = end;
                }
            }
        }
        return found == null || used[found.stroke()] ? null : found;
    }
}
