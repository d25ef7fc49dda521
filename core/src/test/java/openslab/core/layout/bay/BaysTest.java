package openslab.core.layout.bay;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import openslab.core.Formula;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.quantity.UnitSystem;
import org.locationtech.jts.coverage.CoverageUnion;
import org.locationtech.jts.coverage.CoverageValidator;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.testng.annotations.Test;

public class BaysTest {
    private static final UnitSystem METRIC = UnitSystem.METRIC;

    private static List<Corner> ring(double... xy) {
        var ring = new ArrayList<Corner>();
        for (int i = 0; i < xy.length; i += 2) {
            ring.add(new Corner(xy[i], xy[i + 1]));
        }
        return ring;
    }

    private static List<Corner> box(double x, double y, double w, double h) {
        return ring(x, y, x + w, y, x + w, y + h, x, y + h);
    }

    private static Bays bays(List<List<Corner>> rings, List<List<Corner>> joints, Corner exit, double most) {
        return Bays.of(List.of(rings), joints, List.of(exit), most, 1, METRIC);
    }

    /**
     * 10 × 6 m with a joint each way, so four panels of 15 m²; 32 m² to a batch: two bays of 30, split at a joint. The way out is
     * the corner at 0, 0: the far half first.
     */
    @Test
    public void bays_end_at_joints_and_the_way_out_comes_last() {
        Bays bays = bays(List.of(box(0, 0, 10, 6)), List.of(ring(5, 0, 5, 6), ring(0, 3, 10, 3)), new Corner(0, 0), 32);
        assertEquals(bays.bays().size(), 2);
        for (Bays.Laid bay : bays.bays()) {
            assertEquals(bay.area().base(), 30, 1e-9);
            Formula.assertRecomputes(bay.area());
            Formula.assertRecomputes(bay.cutIn());
            Formula.assertRecomputes(bay.minutes());
            // three ribbons, each drawn towards the way out
            assertEquals(bay.ribbons().size(), 3);
            for (List<Corner> r : bay.ribbons()) {
                assertTrue(Math.hypot(r.get(1).x(), r.get(1).y())
                        <= Math.hypot(r.get(0).x(), r.get(0).y()) + 1e-9);
            }
        }
        Polygon last = Shapes2D.polygon(bays.bays().get(1).rings().get(0));
        assertTrue(Shapes2D.holds(last, new Corner(0.1, 0.1)));
        // round both 32 m, of which 10 or 6 m lie along the other
        double cut = bays.bays().stream().mapToDouble(b -> b.cutIn().base()).sum();
        assertEquals(cut, 32, 1e-9);
    }

    /** 12 × 5 m without a joint, 16 m² to a batch: four strips of 15 across the long way. */
    @Test
    public void without_joints_it_is_strips_across_the_long_way() {
        Bays bays = bays(List.of(box(0, 0, 12, 5)), List.of(), new Corner(0, 2.5), 16);
        assertEquals(bays.bays().size(), 4);
        for (int i = 0; i < 4; i++) {
            assertEquals(bays.bays().get(i).area().base(), 15, 1e-6);
            // from the far end to the door
            assertEquals(bays.bays().get(i).label().x(), 10.5 - 3 * i, 0.01);
        }
        assertTrue(bays.shut().isEmpty());
        assertTrue(bays.drawn());
    }

    @Test
    public void where_nobody_drew_a_way_out_one_is_reckoned() {
        Bays bays = Bays.of(List.of(List.of(box(0, 0, 12, 5))), List.of(), List.of(), 16, 1, METRIC);
        assertFalse(bays.drawn());
        assertEquals(bays.outs(), List.of(new Corner(6, 0)));
    }

    /** One floor in two rooms: each is left by its own door, and the one without by its first wall. */
    @Test
    public void every_part_by_itself_has_a_way_out() {
        List<List<List<Corner>>> parts = List.of(List.of(box(0, 0, 12, 5)), List.of(box(20, 0, 12, 5)));
        Bays bays = Bays.of(parts, List.of(), List.of(new Corner(0, 2), new Corner(32, 2)), 16, 1, METRIC);
        assertEquals(bays.outs(), List.of(new Corner(0, 2), new Corner(32, 2)));
        assertTrue(bays.drawn());
        assertTrue(bays.shut().isEmpty());
        assertEquals(bays.bays().get(3).label().x(), 1.5, 0.01);
        assertEquals(bays.bays().get(7).label().x(), 30.5, 0.01);
        // the other way round the other part comes first
        Bays turned = Bays.of(parts, List.of(), List.of(new Corner(32, 2), new Corner(0, 2)), 16, 1, METRIC);
        assertEquals(turned.bays().get(3).label().x(), 30.5, 0.01);
        Bays one = Bays.of(parts, List.of(), List.of(new Corner(0, 2)), 16, 1, METRIC);
        assertEquals(one.outs(), List.of(new Corner(26, 0), new Corner(0, 2)));
        assertFalse(one.drawn());
        assertTrue(one.shut().isEmpty());
    }

    /** Two halls joined by a gap of 40 cm: nobody carries a pail through, and the far one is told. */
    @Test
    public void what_nobody_gets_to_is_told() {
        List<Corner> waist = ring(0, 0, 4, 0, 4, 1.8, 5, 1.8, 5, 0, 9, 0, 9, 4, 5, 4, 5, 2.2, 4, 2.2, 4, 4, 0, 4);
        Bays bays = bays(List.of(waist), List.of(ring(4, 1.8, 4, 2.2), ring(5, 1.8, 5, 2.2)), new Corner(0, 2), 16);
        assertFalse(bays.shut().isEmpty());
        assertEquals(bays.shut().get(0), "bay 1");
    }

    /** 300 × 300 m in 3600 panels, a batch for a hundredth of a square metre: bounded, and covered all the same. */
    @Test
    public void a_floor_of_very_many_panels_is_answered() {
        var joints = new ArrayList<List<Corner>>();
        for (int i = 1; i < 60; i++) {
            joints.add(ring(5 * i, 0, 5 * i, 300));
            joints.add(ring(0, 5 * i, 300, 5 * i));
        }
        Bays bays = bays(List.of(box(0, 0, 300, 300)), joints, new Corner(0, 0), 0.01);
        assertTrue(bays.bays().size() <= 3600, "bays " + bays.bays().size());
        assertEquals(bays.bays().stream().mapToDouble(b -> b.area().base()).sum(), 90_000, 1e-3);
        Bays strips = bays(List.of(box(0, 0, 300, 300)), List.of(), new Corner(0, 0), 0.01);
        assertEquals(strips.bays().size(), 400);
    }

    /** A floor with notches, openings, joints and a way out, drawn by chance; all of one piece. */
    private record Drawn(List<List<Corner>> rings, List<List<Corner>> joints, Corner exit, double most) {
        static Drawn of(Random random) {
            double w = 4 + 26 * random.nextDouble();
            double h = 4 + 16 * random.nextDouble();
            double nx = w * (0.4 + 0.5 * random.nextDouble());
            double ny = h * (0.4 + 0.5 * random.nextDouble());
            List<Corner> outer = random.nextBoolean() ? box(0, 0, w, h) : ring(0, 0, w, 0, w, ny, nx, ny, nx, h, 0, h);
            var rings = new ArrayList<List<Corner>>();
            double turn = random.nextInt(3) == 0 ? random.nextDouble() : 0;
            rings.add(turned(outer, turn));
            if (random.nextInt(3) == 0) {
                rings.add(turned(box(w * 0.15, h * 0.15, w * 0.15, h * 0.15), turn));
            }
            var joints = new ArrayList<List<Corner>>();
            int across = random.nextInt(4);
            for (int i = 1; i <= across; i++) {
                double x = w * i / (across + 1);
                joints.add(turned(ring(x, -0.05, x, h + 0.05), turn));
            }
            if (random.nextBoolean()) {
                double y = h * (0.3 + 0.4 * random.nextDouble());
                joints.add(turned(ring(0.05, y, w - 0.05, y), turn));
            }
            Corner exit = turned(ring(0, h * 0.4 * random.nextDouble()), turn).get(0);
            return new Drawn(rings, joints, exit, 6 + 40 * random.nextDouble());
        }

        private static List<Corner> turned(List<Corner> ring, double by) {
            return ring.stream()
                    .map(c -> new Corner(
                            c.x() * Math.cos(by) - c.y() * Math.sin(by), c.x() * Math.sin(by) + c.y() * Math.cos(by)))
                    .toList();
        }
    }

    @Test
    public void a_thousand_floors_are_covered_and_left_dry() {
        var random = new Random(23);
        int many = 0;
        var edges = new int[2];
        for (int i = 0; i < 1000; i++) {
            Drawn d = Drawn.of(random);
            Bays bays = bays(d.rings, d.joints, d.exit, d.most);
            String about = "floor " + i;
            List<Geometry> shapes = bays.bays().stream()
                    .map(b -> Shapes2D.polygon(b.rings(), 0))
                    .toList();
            Geometry floor = Shapes2D.polygon(d.rings, 0);
            // exactly covered: none too much, none twice
            double sum = shapes.stream().mapToDouble(Geometry::getArea).sum();
            assertEquals(sum, floor.getArea(), 1e-6 * floor.getArea(), about);
            assertEquals(
                    CoverageUnion.union(shapes.toArray(Geometry[]::new)).getArea(),
                    floor.getArea(),
                    1e-6 * floor.getArea(),
                    about);
            // none lies over another, and none is next to another without sharing its border
            assertTrue(CoverageValidator.isValid(shapes.toArray(Geometry[]::new)), about);
            for (Bays.Laid bay : bays.bays()) {
                assertTrue(bay.area().base() <= d.most * (1 + 1e-6), about);
                assertTrue(bay.minutes().base() <= d.most * (1 + 1e-6), about);
                assertTrue(Shapes2D.holds(Shapes2D.polygon(bay.rings().get(0)), bay.label()), about);
            }
            assertLeftDry(bays, shapes, d.exit, about);
            many += shapes.size();
            countWetEdges(shapes, edges);
        }
        assertTrue(many > 5000, "bays in all " + many);
        System.out.printf(
                "bays of 1000 floors: %d, beside the one before %.1f %%, beside none that is coated %.1f %%%n",
                many, 100.0 * edges[0] / (many - 1000), 100.0 * edges[1] / (many - 1000));
        // a floor that forks has no order without a new beginning; a plain walk of the floor had 96.5 and 3.5 %
        assertTrue(edges[0] > 0.96 * (many - 1000) && edges[1] < 0.01 * (many - 1000), Arrays.toString(edges));
    }

    /** How many, but for the first, lie beside the one before, and how many beside none that is coated. */
    private static void countWetEdges(List<Geometry> shapes, int[] edges) {
        var borders = new Borders(shapes);
        for (int i = 1; i < shapes.size(); i++) {
            boolean beside = false;
            for (int j = 0; j < i; j++) {
                beside |= borders.isPassable(i, j);
            }
            edges[0] += borders.isPassable(i, i - 1) ? 1 : 0;
            edges[1] += beside ? 0 : 1;
        }
    }

    /** Walked through: to each bay a dry way leads from the way out, and the last is the one there. */
    private static void assertLeftDry(Bays bays, List<Geometry> shapes, Corner exit, String about) {
        var borders = new Borders(shapes);
        int last = shapes.size() - 1;
        double nearest = shapes.stream()
                .mapToDouble(s -> s.distance(Shapes2D.polygon(box(exit.x(), exit.y(), 1e-9, 1e-9))))
                .min()
                .orElseThrow();
        assertEquals(
                shapes.get(last).distance(Shapes2D.polygon(box(exit.x(), exit.y(), 1e-9, 1e-9))), nearest, 1e-6, about);
        for (int k = 0; k <= last; k++) {
            var dry = new HashSet<Integer>();
            for (int j = k; j <= last; j++) {
                dry.add(j);
            }
            Set<Integer> reached = new HashSet<>(Set.of(last));
            var open = new ArrayList<>(List.of(last));
            while (!open.isEmpty()) {
                int at = open.remove(open.size() - 1);
                for (int j : dry) {
                    if (borders.isPassable(at, j) && reached.add(j)) {
                        open.add(j);
                    }
                }
            }
            String name = bays.bays().get(k).name();
            assertEquals(reached.contains(k), !bays.shut().contains(name), about + ", " + name);
        }
    }

    /** Every way to put up to eight cells together, tried: none has fewer bays. */
    @Test
    public void no_way_to_put_cells_together_is_better() {
        var random = new Random(7);
        int asGood = 0;
        int trials = 300;
        for (int i = 0; i < trials; i++) {
            int n = 1 + random.nextInt(8);
            double[] areas = random.doubles(n, 1, 9).toArray();
            var neighbours = new ArrayList<List<Integer>>();
            for (int k = 0; k < n; k++) {
                neighbours.add(new ArrayList<>());
            }
            for (int a = 0; a < n; a++) {
                for (int b = a + 1; b < n; b++) {
                    if (b == a + 1 || random.nextInt(3) == 0) {
                        neighbours.get(a).add(b);
                        neighbours.get(b).add(a);
                    }
                }
            }
            double most = 9 + 12 * random.nextDouble();
            int best = fewest(areas, neighbours, most, 0, new ArrayList<>());
            List<List<Integer>> groups = Grouping.of(areas, neighbours, most, 0);
            assertEquals(groups.size(), best, Arrays.toString(areas));
            groups.forEach(g -> assertTrue(isOnePiece(g, neighbours) && sum(g, areas) <= most * (1 + 1e-6)));
            // the way that larger floors go is no worse than one bay more
            List<List<Integer>> trees = Grouping.onTrees(areas, neighbours, most, 0);
            trees.forEach(g -> assertTrue(isOnePiece(g, neighbours) && sum(g, areas) <= most * (1 + 1e-6)));
            asGood += trees.size() == best ? 1 : 0;
            assertTrue(trees.size() <= best + 1);
        }
        System.out.println("bays of up to eight cells by trees: as few as can be in " + asGood + " of " + trials);
        assertTrue(asGood > 0.95 * trials);
    }

    /** Every cell in turn into each group so far, or into one of its own. */
    private static int fewest(
            double[] areas, List<List<Integer>> neighbours, double most, int cell, List<List<Integer>> groups) {
        if (cell == areas.length) {
            return groups.stream().allMatch(g -> isOnePiece(g, neighbours)) ? groups.size() : Integer.MAX_VALUE;
        }
        int best = Integer.MAX_VALUE;
        for (int g = 0; g <= groups.size(); g++) {
            if (g == groups.size()) {
                groups.add(new ArrayList<>());
            }
            List<Integer> group = groups.get(g);
            group.add(cell);
            if (group.size() == 1 || sum(group, areas) <= most) {
                best = Math.min(best, fewest(areas, neighbours, most, cell + 1, groups));
            }
            group.remove(group.size() - 1);
            if (group.isEmpty()) {
                groups.remove(g);
                break;
            }
        }
        return best;
    }

    private static double sum(List<Integer> group, double[] areas) {
        return group.stream().mapToDouble(i -> areas[i]).sum();
    }

    private static boolean isOnePiece(List<Integer> group, List<List<Integer>> neighbours) {
        var reached = new HashSet<>(Set.of(group.get(0)));
        boolean grew = true;
        while (grew) {
            grew = false;
            for (int a : group) {
                if (!reached.contains(a) && neighbours.get(a).stream().anyMatch(reached::contains)) {
                    grew |= reached.add(a);
                }
            }
        }
        return reached.size() == group.size();
    }
}
