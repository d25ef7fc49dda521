package openslab.core.layout.bay;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.DrawnLine;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.layout.Ground;
import openslab.core.quantity.UnitSystem;
import org.locationtech.jts.geom.Geometry;
import org.testng.annotations.Test;

public class FloorOrderTest {
    private static List<Corner> ring(double... xy) {
        var ring = new ArrayList<Corner>();
        for (int i = 0; i < xy.length; i += 2) {
            ring.add(new Corner(xy[i], xy[i + 1]));
        }
        return ring;
    }

    /** @param zone empty for a floor that nobody coats */
    private static Ground.Piece piece(String zone, double x, double y, double w, double h) {
        return new Ground.Piece(
                Optional.of(zone).filter(z -> !z.isEmpty()), List.of(ring(x, y, x + w, y, x + w, y + h, x, y + h)));
    }

    private static DrawnLine door(DrawnLine.Kind kind, double... ends) {
        return new DrawnLine("d", kind, ring(ends), 0, 0);
    }

    private static Ground ground(List<Ground.Piece> pieces, DrawnLine... lines) {
        return new Ground(List.of(new Ground.Room(pieces, List.of(lines))));
    }

    private static List<String> order(Ground ground) {
        return FloorOrder.of(ground).floors().stream()
                .map(FloorOrder.Left::zoneId)
                .toList();
    }

    private static final List<Ground.Piece> THREE =
            List.of(piece("hall", 0, 0, 3, 6), piece("bar", 3, 0, 4, 6), piece("store", 7, 0, 3, 6));

    /** One after another behind the only door: the store first, over the bar, and the hall by the door last. */
    @Test
    public void what_lies_behind_is_coated_first() {
        FloorOrder order = FloorOrder.of(ground(THREE, door(DrawnLine.Kind.EXIT, 0, 2, 0, 3)));
        assertEquals(
                order.floors().stream().map(FloorOrder.Left::zoneId).toList(),
                List.of("store", "bar", "hall"),
                order.toString());
        assertEquals(order.of("store").over(), List.of("bar"));
        assertEquals(order.of("store").outs(), List.of(new Corner(7, 3)));
        assertEquals(order.of("bar").over(), List.of("hall"));
        assertEquals(order.of("hall").over(), List.of());
        assertEquals(order.of("hall").outs(), List.of(new Corner(0, 2.5)));
    }

    /** With a door of its own nobody leaves over another floor; the door that stays open comes last. */
    @Test
    public void a_door_of_its_own_comes_before_the_neighbours_floor() {
        Ground ground = ground(THREE, door(DrawnLine.Kind.EXIT, 0, 2, 0, 3), door(DrawnLine.Kind.DOOR, 10, 2, 10, 3));
        FloorOrder order = FloorOrder.of(ground);
        assertEquals(order.of("store").over(), List.of());
        assertEquals(order(ground).get(2), "hall");
        // the bar shares as much with either: it is left over one of them, and coated before it
        String over = order.of("bar").over().get(0);
        assertTrue(order(ground).indexOf("bar") < order(ground).indexOf(over));
    }

    @Test
    public void a_floor_that_nobody_coats_is_a_way_out() {
        Ground ground = ground(List.of(piece("bar", 0, 0, 4, 6), piece("", 4, 0, 2, 6), piece("store", 6, 0, 4, 6)));
        for (String zone : List.of("bar", "store")) {
            assertTrue(FloorOrder.of(ground).of(zone).outs().size() == 1);
            assertTrue(FloorOrder.of(ground).of(zone).over().isEmpty());
        }
    }

    /** Nobody drew a door: one of them has no way out, and the others are left over it. */
    @Test
    public void without_a_door_the_first_is_left_last() {
        Ground ground = ground(THREE);
        assertEquals(order(ground), List.of("store", "bar", "hall"));
        assertTrue(FloorOrder.of(ground).of("hall").outs().isEmpty());
    }

    /** 50 cm between two floors: nobody gets through with a pail. */
    @Test
    public void a_gap_too_narrow_leads_nowhere() {
        Ground ground = ground(
                List.of(piece("hall", 0, 0, 3, 6), piece("nook", 3, 0, 2, 0.5)), door(DrawnLine.Kind.DOOR, 0, 2, 0, 3));
        assertTrue(FloorOrder.of(ground).of("nook").outs().isEmpty());
        assertEquals(order(ground).get(0), "nook");
    }

    /** Each room is measured from a corner of its own: that they cover one another means nothing. */
    @Test
    public void rooms_do_not_touch() {
        var one = new Ground.Room(List.of(piece("hall", 0, 0, 3, 6)), List.of(door(DrawnLine.Kind.DOOR, 0, 2, 0, 3)));
        var two = new Ground.Room(List.of(piece("bar", 3, 0, 4, 6)), List.of());
        FloorOrder order = FloorOrder.of(new Ground(List.of(one, two)));
        assertTrue(order.of("bar").outs().isEmpty());
        // the same side by side in one room
        assertTrue(FloorOrder.of(ground(
                                List.of(one.pieces().get(0), two.pieces().get(0)),
                                one.lines().get(0)))
                        .of("bar")
                        .outs()
                        .size()
                == 1);
    }

    /** The bar lies on both sides of the hall, and in a room of its own: each part has its own way out. */
    @Test
    public void a_floor_in_several_parts_is_left_part_by_part() {
        var one = new Ground.Room(
                List.of(piece("bar", 0, 0, 3, 6), piece("hall", 3, 0, 4, 6), piece("bar", 7, 0, 3, 6)),
                List.of(door(DrawnLine.Kind.EXIT, 4, 0, 5, 0)));
        var two = new Ground.Room(List.of(piece("bar", 20, 0, 4, 4)), List.of(door(DrawnLine.Kind.EXIT, 20, 1, 20, 2)));
        FloorOrder order = FloorOrder.of(new Ground(List.of(one, two)));
        assertEquals(order.of("bar").outs(), List.of(new Corner(3, 3), new Corner(7, 3), new Corner(20, 1.5)));
        assertEquals(order.of("bar").over(), List.of("hall"));
        assertEquals(order.floors().get(1).zoneId(), "hall");
        // pieces of one floor that lie next to one another are one part
        Ground split = ground(List.of(piece("hall", 0, 0, 3, 6), piece("hall", 3, 0, 4, 6)));
        assertEquals(FloorOrder.of(split).floors().size(), 1);
    }

    /** Two floors that are each left over the other, in two rooms: no order is right, and there is one. */
    @Test
    public void what_crosses_in_two_rooms_is_still_answered() {
        var one = new Ground.Room(
                List.of(piece("hall", 0, 0, 3, 6), piece("bar", 3, 0, 4, 6)),
                List.of(door(DrawnLine.Kind.EXIT, 0, 2, 0, 3)));
        var two = new Ground.Room(
                List.of(piece("bar", 20, 0, 3, 6), piece("hall", 23, 0, 4, 6)),
                List.of(door(DrawnLine.Kind.EXIT, 20, 2, 20, 3)));
        assertEquals(FloorOrder.of(new Ground(List.of(one, two))).floors().size(), 2);
    }

    /** Rooms in up to nine floors, each in bays, walked through: to every bay a dry way leads from a door. */
    @Test
    public void whole_rooms_are_left_dry() {
        var random = new Random(41);
        int bays = 0;
        for (int trial = 0; trial < 300; trial++) {
            int columns = 1 + random.nextInt(3);
            int rows = 1 + random.nextInt(3);
            double w = 2 + 6 * random.nextDouble();
            double h = 2 + 6 * random.nextDouble();
            var pieces = new ArrayList<Ground.Piece>();
            for (int i = 0; i < columns; i++) {
                for (int j = 0; j < rows; j++) {
                    pieces.add(piece("zone " + i + j, i * w, j * h, w, h));
                }
            }
            double at = random.nextInt(columns) * w + 0.4 * w;
            Ground ground = ground(pieces, door(DrawnLine.Kind.EXIT, at, 0, at + 0.9, 0));
            double most = 6 + 40 * random.nextDouble();
            var shapes = new ArrayList<Geometry>();
            for (FloorOrder.Left left : FloorOrder.of(ground).floors()) {
                Bays.of(ground.parts(left.zoneId()), List.of(), left.outs(), most, 1, UnitSystem.METRIC)
                        .bays()
                        .forEach(b -> shapes.add(Shapes2D.polygon(b.rings(), 0)));
            }
            assertLeftDry(shapes, "room " + trial);
            bays += shapes.size();
        }
        assertTrue(bays > 1500, "bays in all " + bays);
    }

    /** The last bay is the one at the door; while one is coated, those after it are dry. */
    private static void assertLeftDry(List<Geometry> shapes, String about) {
        var borders = new Borders(shapes);
        int last = shapes.size() - 1;
        for (int k = 0; k <= last; k++) {
            Set<Integer> reached = new HashSet<>(Set.of(last));
            var open = new ArrayList<>(List.of(last));
            while (!open.isEmpty()) {
                int from = open.remove(open.size() - 1);
                for (int j = k; j <= last; j++) {
                    if (borders.isPassable(from, j) && reached.add(j)) {
                        open.add(j);
                    }
                }
            }
            assertTrue(reached.contains(k), about + ", bay " + k + " of " + shapes.size());
        }
    }
}
