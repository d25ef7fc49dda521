package openslab.core.floor;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import openslab.core.floor.plan.Ring;
import openslab.core.floor.plan.Room;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.floor.trace.Role;
import openslab.core.floor.trace.Stroke;
import openslab.core.floor.trace.Stroke.Vertex;
import openslab.core.floor.trace.Tracing;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.Test;

/** Drawings traced: areas by closed forms, whatever way the lines were drawn. */
public class TracingTest {
    private static final Map<String, Role> ROLES = Map.of(
            "walls", Role.ROOM,
            "zones", Role.ZONE,
            "posts", Role.COLUMN,
            "joints", Role.CONTROL,
            "cracks", Role.CRACK,
            "lines", Role.ZONE_LINE);

    private static Stroke line(String layer, double... xy) {
        var vertices = new ArrayList<Vertex>();
        for (int i = 0; i < xy.length; i += 2) {
            vertices.add(new Vertex(xy[i], xy[i + 1], 0));
        }
        return Stroke.of(layer, vertices, false);
    }

    private static Stroke ring(String layer, double... xy) {
        return Stroke.of(layer, line(layer, xy).vertices(), true);
    }

    private static Tracing.Traced trace(Stroke... strokes) {
        return Tracing.of(List.of(strokes), ROLES, 1);
    }

    private static RoomPlan plan(Room room) {
        return RoomPlan.of(room, UnitSystem.METRIC);
    }

    private static double gross(Room room) {
        return plan(room).quantities().gross().base();
    }

    @Test
    public void loose_lines_are_joined_whatever_way_they_were_drawn() {
        Tracing.Traced traced = trace(
                line("walls", 10, 5, 14, 5),
                line("walls", 14, 8, 14, 5),
                line("walls", 10, 8, 14, 8),
                line("walls", 10, 8, 10, 5));
        assertEquals(traced.left(), List.of());
        assertEquals(traced.rooms().size(), 1);
        assertEquals(gross(traced.rooms().get(0)), 12, 1e-9);
        assertEquals(traced.rooms().get(0).walk().runs().size(), 4);
    }

    /** 4 by 3 m and a half circle of 3 m across: 12 + π·1.5²/2, by hand; drawn clockwise as well. */
    @Test
    public void a_round_end_keeps_its_arc_either_way_round() {
        double area = 12 + Math.PI * 1.5 * 1.5 / 2;
        var left = Stroke.of(
                "walls",
                List.of(new Vertex(0, 0, 0), new Vertex(4, 0, 1), new Vertex(4, 3, 0), new Vertex(0, 3, 0)),
                true);
        var right = Stroke.of(
                "walls",
                List.of(new Vertex(0, 0, 0), new Vertex(0, 3, 0), new Vertex(4, 3, -1), new Vertex(4, 0, 0)),
                true);
        for (Stroke drawn : List.of(left, right)) {
            Room room = trace(drawn).rooms().get(0);
            assertEquals(room.walk().runs().size(), 4);
            assertEquals(gross(room), area, 1e-9);
        }
    }

    @Test
    public void what_stands_in_a_room_comes_in_the_rooms_own_axes() {
        // turned a quarter left about (7, 2): the first wall runs up the sheet
        Tracing.Traced traced = trace(
                ring("walls", 7, 2, 7, 8, 3, 8, 3, 2),
                Stroke.circle("posts", 5, 4, 0.25),
                ring("posts", 6, 6, 6, 7, 5.5, 7, 5.5, 6),
                line("joints", 7, 5, 3, 5),
                line("cracks", 6, 3, 5, 3.5, 4, 3));
        Room room = traced.rooms().get(0);
        assertEquals(traced.left(), List.of());
        RoomPlan plan = plan(room);
        assertEquals(plan.quantities().gross().base(), 24, 1e-9);
        assertEquals(plan.quantities().net().base(), 24 - Math.PI * 0.0625 - 0.5, 1e-9);
        assertEquals(plan.doubts(), List.of());
        var post = (Ring.Circle) room.openings().get(0).ring();
        assertEquals(post.centre().x(), 2, 1e-9);
        assertEquals(post.centre().y(), 2, 1e-9);
        assertTrue(room.openings().get(1).ring() instanceof Ring.Box);
        assertEquals(room.joints().get(0).from().x(), 3, 1e-9);
        assertEquals(room.joints().get(0).to().y(), 4, 1e-9);
        assertEquals(room.cracks().get(0).lengthM(), 2 * Math.hypot(1, 0.5), 1e-9);
    }

    @Test
    public void a_ring_within_walls_is_a_cut_out_and_one_within_that_a_room() {
        Tracing.Traced traced = trace(
                ring("walls", 0, 0, 10, 0, 10, 10, 0, 10),
                ring("walls", 2, 2, 8, 2, 8, 8, 2, 8),
                ring("walls", 4, 4, 6, 4, 6, 6, 4, 6));
        assertEquals(traced.rooms().size(), 2);
        assertEquals(plan(traced.rooms().get(0)).quantities().net().base(), 100 - 36, 1e-9);
        assertEquals(gross(traced.rooms().get(1)), 4, 1e-9);
    }

    @Test
    public void zones_part_the_room_they_lie_in_and_stand_alone_without_one() {
        Tracing.Traced traced = trace(
                ring("walls", 0, 0, 10, 0, 10, 10, 0, 10),
                ring("zones", 2, 2, 5, 2, 5, 6, 2, 6),
                line("lines", 7, 1, 7, 2),
                ring("zones", 20, 0, 23, 0, 23, 3, 20, 3));
        List<Double> parts = plan(traced.rooms().get(0)).pieces().stream()
                .map(p -> (double) Math.round(p.areaM2() * 1e6) / 1e6)
                .sorted()
                .toList();
        assertEquals(parts, List.of(12.0, 30.0, 58.0));
        assertEquals(gross(traced.rooms().get(1)), 9, 1e-9);
    }

    @Test
    public void what_cannot_be_taken_over_is_told() {
        Tracing.Traced traced = trace(
                ring("walls", 0, 0, 4, 0, 4, 4, 0, 4),
                line("walls", 20, 0, 24, 0),
                Stroke.circle("posts", 50, 50, 0.2),
                line("cracks", 60, 60, 61, 61));
        assertEquals(traced.rooms().size(), 1);
        assertEquals(
                traced.left(), List.of("walls: not closed (1)", "posts: in no room (1)", "cracks: in no room (1)"));
    }

    @Test
    public void a_width_that_the_drawing_does_not_say_is_told() {
        Stroke wide = line("joints", 1, 0, 1, 4);
        Tracing.Traced traced = trace(
                ring("walls", 0, 0, 4, 0, 4, 4, 0, 4),
                new Stroke(wide.layer(), wide.name(), wide.vertices(), false, 0.01, 0.03),
                line("joints", 2, 0, 2, 4),
                line("lines", 3, 0, 3, 4));
        assertEquals(
                traced.assumed(),
                List.of("joints: without a width or a depth, taken as 6 mm (1/4 in) wide and 25 mm (1 in) deep (1)"));
        assertEquals(traced.left(), List.of());
    }

    /** A wall between two rooms is drawn once. */
    @Test
    public void rooms_that_share_a_wall_are_told_apart() {
        Tracing.Traced traced = trace(
                line("walls", 4, 0, 9, 0, 9, 3, 4, 3),
                line("walls", 4, 3, 0, 3, 0, 0, 4, 0),
                line("walls", 4, 0, 4, 3));
        List<Double> areas = traced.rooms().stream()
                .map(r -> (double) Math.round(gross(r) * 1e6) / 1e6)
                .sorted()
                .toList();
        assertEquals(areas, List.of(12.0, 15.0));
        assertEquals(traced.left(), List.of());
    }

    @Test
    public void any_ring_cut_up_and_shuffled_has_its_area() {
        var random = new Random(5);
        for (int trial = 0; trial < 200; trial++) {
            int n = 3 + random.nextInt(30);
            double[] xy = new double[2 * n];
            for (int i = 0; i < n; i++) {
                double a = 2 * Math.PI * (i + 0.8 * random.nextDouble()) / n;
                double r = 3 + 9 * random.nextDouble();
                xy[2 * i] = 40 + r * Math.cos(a);
                xy[2 * i + 1] = -7 + r * Math.sin(a);
            }
            var pieces = new ArrayList<Stroke>();
            for (int i = 0; i < n; i++) {
                int j = (i + 1) % n;
                boolean back = random.nextBoolean();
                pieces.add(
                        back
                                ? line("walls", xy[2 * j], xy[2 * j + 1], xy[2 * i], xy[2 * i + 1])
                                : line("walls", xy[2 * i], xy[2 * i + 1], xy[2 * j], xy[2 * j + 1]));
            }
            double area = new Outline(ring("walls", xy).drawn()).areaM2();
            Collections.shuffle(pieces, random);
            Room room = Tracing.of(pieces, ROLES, 1).rooms().get(0);
            assertEquals(gross(room), area, 1e-9 * area, "trial " + trial);
            assertEquals(room.walk().runs().size(), n);
        }
    }

    /** A star with arcs for some of its sides, drawn to either hand: as large as its points say, however it is cut up. */
    @Test
    public void arcs_keep_their_area_whichever_way_they_are_drawn() {
        var random = new Random(17);
        for (int trial = 0; trial < 200; trial++) {
            int n = 4 + random.nextInt(12);
            var vertices = new ArrayList<Vertex>();
            for (int i = 0; i < n; i++) {
                double a = 2 * Math.PI * (i + 0.4 * random.nextDouble()) / n;
                double r = 6 + 2 * random.nextDouble();
                double bulge = random.nextInt(3) == 0 ? 0.3 * (random.nextDouble() - 0.5) : 0;
                vertices.add(new Vertex(r * Math.cos(a), r * Math.sin(a), bulge));
            }
            Stroke ring = Stroke.of("walls", vertices, true);
            double area = new Outline(ring.drawn()).areaM2();
            var pieces = new ArrayList<Stroke>();
            for (int i = 0; i < n; i++) {
                Vertex from = vertices.get(i);
                Vertex to = vertices.get((i + 1) % n);
                pieces.add(
                        random.nextBoolean()
                                ? Stroke.of("walls", List.of(from, new Vertex(to.x(), to.y(), 0)), false)
                                : Stroke.of(
                                        "walls",
                                        List.of(
                                                new Vertex(to.x(), to.y(), -from.bulge()),
                                                new Vertex(from.x(), from.y(), 0)),
                                        false));
            }
            Collections.shuffle(pieces, random);
            for (List<Stroke> drawn : List.of(List.of(ring), pieces)) {
                Room room = Tracing.of(drawn, ROLES, 1).rooms().get(0);
                assertEquals(gross(room), area, 1e-9 * area, "trial " + trial);
                assertEquals(room.walk().runs().size(), n);
            }
        }
    }

    @Test
    public void ends_meet_within_three_millimetres_and_no_farther() {
        Tracing.Traced near = trace(
                line("walls", 0, 0, 4, 0), line("walls", 4.002, 0, 4, 3), line("walls", 4, 3.001, 0, 3, 0, 0.002));
        assertEquals(gross(near.rooms().get(0)), 12, 0.01);
        assertEquals(near.rooms().get(0).walk().runs().size(), 4);
        Tracing.Traced far = trace(line("walls", 0, 0, 4, 0, 4, 3), line("walls", 4, 3.01, 0, 3, 0, 0));
        assertEquals(far.rooms(), List.of());
        assertEquals(far.left(), List.of("walls: not closed (1)"));
    }

    @Test
    public void a_polygon_that_is_no_rectangle_stays_what_it_is() {
        Tracing.Traced traced = trace(
                ring("walls", 0, 0, 10, 0, 10, 8, 0, 8),
                ring("posts", 2, 2, 4, 2, 5, 4, 2, 4),
                ring("posts", 6, 2, 8, 3, 7, 5, 5, 4));
        Room room = traced.rooms().get(0);
        assertTrue(room.openings().get(0).ring() instanceof Ring.Path);
        // a rectangle that stands askew, √5 by √5
        var box = (Ring.Box) room.openings().get(1).ring();
        assertEquals(box.lengthM() * box.widthM(), 5, 1e-9);
        assertEquals(plan(room).quantities().net().base(), 80 - 5 - 5, 1e-9);
    }
}
