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
        assertEquals(order.of("store").over(), Optional.of("bar"));
        assertEquals(order.of("store").out(), Optional.of(new Corner(7, 3)));
        assertEquals(order.of("bar").over(), Optional.of("hall"));
        assertEquals(order.of("hall").over(), Optional.empty());
        assertEquals(order.of("hall").out(), Optional.of(new Corner(0, 2.5)));
    }

    /** With a door of its own nobody leaves over another floor; the door that stays open comes last. */
    @Test
    public void a_door_of_its_own_comes_before_the_neighbours_floor() {
        Ground ground = ground(THREE, door(DrawnLine.Kind.EXIT, 0, 2, 0, 3), door(DrawnLine.Kind.DOOR, 10, 2, 10, 3));
        FloorOrder order = FloorOrder.of(ground);
        assertEquals(order.of("store").over(), Optional.empty());
        assertEquals(order(ground).get(2), "hall");
        // the bar shares as much with either: it is left over one of them, and coated before it
        String over = order.of("bar").over().orElseThrow();
        assertTrue(order(ground).indexOf("bar") < order(ground).indexOf(over));
    }

    @Test
    public void a_floor_that_nobody_coats_is_a_way_out() {
        Ground ground = ground(List.of(piece("bar", 0, 0, 4, 6), piece("", 4, 0, 2, 6), piece("store", 6, 0, 4, 6)));
        for (String zone : List.of("bar", "store")) {
            assertTrue(FloorOrder.of(ground).of(zone).out().isPresent());
            assertTrue(FloorOrder.of(ground).of(zone).over().isEmpty());
        }
    }

    /** Nobody drew a door: one of them has no way out, and the others are left over it. */
    @Test
    public void without_a_door_the_first_is_left_last() {
        Ground ground = ground(THREE);
        assertEquals(order(ground), List.of("store", "bar", "hall"));
        assertTrue(FloorOrder.of(ground).of("hall").out().isEmpty());
    }

    /** 50 cm between two floors: nobody gets through with a pail. */
    @Test
    public void a_gap_too_narrow_leads_nowhere() {
        Ground ground = ground(
                List.of(piece("hall", 0, 0, 3, 6), piece("nook", 3, 0, 2, 0.5)), door(DrawnLine.Kind.DOOR, 0, 2, 0, 3));
        assertTrue(FloorOrder.of(ground).of("nook").out().isEmpty());
        assertEquals(order(ground).get(0), "nook");
    }

    /** Each room is measured from a corner of its own: that they cover one another means nothing. */
    @Test
    public void rooms_do_not_touch() {
        var one = new Ground.Room(List.of(piece("hall", 0, 0, 3, 6)), List.of(door(DrawnLine.Kind.DOOR, 0, 2, 0, 3)));
        var two = new Ground.Room(List.of(piece("bar", 3, 0, 4, 6)), List.of());
        FloorOrder order = FloorOrder.of(new Ground(List.of(one, two)));
        assertTrue(order.of("bar").out().isEmpty());
        // the same side by side in one room
        assertTrue(FloorOrder.of(ground(
                        List.of(one.pieces().get(0), two.pieces().get(0)),
                        one.lines().get(0)))
                .of("bar")
                .out()
                .isPresent());
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
                Bays.of(ground.parts(left.zoneId()), List.of(), left.out(), most, 1, UnitSystem.METRIC)
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
