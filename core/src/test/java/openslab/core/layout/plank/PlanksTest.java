package openslab.core.layout.plank;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import openslab.core.Cases;
import openslab.core.Formula;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Tape;
import openslab.core.floor.plan.Room;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.layout.plank.Planks.Plank;
import openslab.core.quantity.UnitSystem;
import org.locationtech.jts.geom.Geometry;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class PlanksTest {
    private static final double FOOT = 0.3048;
    private static final double INCH = 0.0254;
    private static final double CLOSE = 1e-6;

    /** The twelve floors of the walks, the kidney-shaped deck among them. */
    @DataProvider
    Object[][] floors() {
        return Cases.read("floors.csv");
    }

    private static List<Corner> outline(Cases floor) {
        return RoomPlan.of(Room.of("a", floor.text("name"), Tape.walk(floor.text("walk"))), UnitSystem.US)
                .outline()
                .corners();
    }

    private static List<Corner> box(double x, double y, double w, double h) {
        return List.of(new Corner(x, y), new Corner(x + w, y), new Corner(x + w, y + h), new Corner(x, y + h));
    }

    @Test(dataProvider = "floors")
    public void planks_cover_a_floor_and_never_butt_in_line(Cases floor) {
        List<Corner> ring = outline(floor);
        Geometry whole = Shapes2D.polygon(ring);
        Corner middle = Shapes2D.inside(Shapes2D.polygon(ring));
        List<Corner> joint =
                List.of(new Corner(middle.x(), middle.y() - 100), new Corner(middle.x() + 3, middle.y() + 100));
        List<Corner> drain = box(middle.x() - 0.1, middle.y() - 0.1, 0.2, 0.2);
        for (double grain : new double[] {0, Math.PI / 2, 0.4}) {
            for (long seed = 1; seed <= 4; seed++) {
                var rings = new ArrayList<List<Corner>>(List.of(ring));
                double holed = 0;
                if (seed % 2 == 0 && whole.contains(Shapes2D.polygon(drain))) {
                    rings.add(drain);
                    holed = 0.04;
                }
                PlankRules rules = PlankRules.usual(grain, seed);
                Planks planks = Planks.of(rings, List.of(joint), rules, UnitSystem.US);
                String about = floor.text("name") + ", grain " + grain + ", seed " + seed;
                double sum = planks.planks().stream()
                        .mapToDouble(p -> Shapes2D.polygon(p.rings(), 0).getArea())
                        .sum();
                sum += planks.frames().stream()
                        .mapToDouble(f -> Shapes2D.polygon(f, 0).getArea())
                        .sum();
                assertEquals(sum, whole.getArea() - holed, CLOSE * whole.getArea(), about);
                assertButts(planks, rules, joint, about);
                Formula.assertRecomputes(planks.tape());
                Formula.assertRecomputes(planks.butts());
                assertEquals(planks.nails().value(), 4 * planks.butts().value(), about);
                assertEquals(Planks.of(rings, List.of(joint), rules, UnitSystem.US), planks, "repeatable, " + about);
            }
        }
    }

    /** Where butts lie along the grain, by row. */
    private static void assertButts(Planks planks, PlankRules rules, List<Corner> joint, String about) {
        var rows = new TreeMap<Integer, List<double[]>>();
        double cos = Math.cos(rules.grain());
        double sin = Math.sin(rules.grain());
        List<Plank> all = planks.planks();
        int butts = 0;
        for (int i = 0; i < all.size(); i++) {
            Plank p = all.get(i);
            assertTrue(!p.cut() || p.lengthM() >= FOOT - CLOSE, p + " of " + about);
            boolean last = i + 1 == all.size()
                    || all.get(i + 1).row() != p.row()
                    || all.get(i + 1).run() != p.run();
            if (!p.cut() || last) {
                continue;
            }
            double x = Double.NEGATIVE_INFINITY;
            double low = Double.POSITIVE_INFINITY;
            double high = Double.NEGATIVE_INFINITY;
            for (Corner c : p.rings().get(0)) {
                x = Math.max(x, c.x() * cos + c.y() * sin);
                double y = -c.x() * sin + c.y() * cos;
                low = Math.min(low, y);
                high = Math.max(high, y);
            }
            rows.computeIfAbsent(p.row(), r -> new ArrayList<>()).add(new double[] {x, low, high});
            butts++;
        }
        for (var row : rows.entrySet()) {
            for (double[] mine : row.getValue()) {
                for (double[] next : rows.getOrDefault(row.getKey() + 1, List.of())) {
                    assertTrue(Math.abs(mine[0] - next[0]) > 6 * INCH - CLOSE, "row " + row.getKey() + " of " + about);
                }
                assertOffJoint(mine, joint, cos, sin, about);
            }
        }
        // a run that the floor parts in the middle of a plank has a piece more than it has planks
        assertTrue(butts >= planks.butts().value(), about);
    }

    private static void assertOffJoint(double[] butt, List<Corner> joint, double cos, double sin, String about) {
        var line = Shapes2D.line(joint.stream()
                .map(c -> new Corner(c.x() * cos + c.y() * sin, -c.x() * sin + c.y() * cos))
                .toList());
        Corner from = joint.get(0);
        Corner to = joint.get(joint.size() - 1);
        double off = Math.abs(-(to.x() - from.x()) * sin + (to.y() - from.y()) * cos);
        if (off < 0.5 * Math.hypot(to.x() - from.x(), to.y() - from.y())) {
            // it runs with the grain
            return;
        }
        var across = Shapes2D.line(List.of(new Corner(butt[0], butt[1]), new Corner(butt[0], butt[2])));
        assertTrue(!across.isWithinDistance(line, 2.5 * INCH), "butt at " + butt[0] + " on a joint of " + about);
    }

    /** By hand: 12 × 6 ft, rows of 6 in: twelve rows, eleven lines of 12 ft between them. */
    @Test
    public void tape_is_what_is_drawn() {
        var rules = new PlankRules(List.of(6 * INCH), FOOT, 20 * FOOT, 6 * INCH, 3 * INCH, 0, 0, 5);
        Planks planks = Planks.of(List.of(box(0, 0, 12 * FOOT, 6 * FOOT)), List.of(), rules, UnitSystem.US);
        double betweenFt = 11 * 12;
        double buttFt = planks.butts().value() * 0.5;
        assertEquals(planks.tape().base() / FOOT, betweenFt + buttFt, 1e-9);
        assertEquals(planks.planks().stream().mapToInt(Plank::row).max().orElseThrow(), 11);
    }

    /** A drain of 1 ft, framed 4 in wide: 4 · (12 + 4) · 4 in² of frame, and no plank nearer than that. */
    @Test
    public void a_drain_is_framed() {
        Planks planks = Planks.of(
                List.of(box(0, 0, 6, 4), box(3, 2, FOOT, FOOT)), List.of(), PlankRules.usual(0, 3), UnitSystem.US);
        Geometry frame = Shapes2D.polygon(planks.frames().get(0), 0);
        assertEquals(frame.getArea() / INCH / INCH, 4 * 16 * 4, 1e-6);
        Geometry drain = Shapes2D.polygon(box(3, 2, FOOT, FOOT));
        for (Plank p : planks.planks()) {
            assertTrue(Shapes2D.polygon(p.rings(), 0).distance(drain) >= 4 * INCH - CLOSE);
        }
    }

    @Test
    public void another_seed_is_another_floor_and_a_large_one_is_drawn() {
        var hall = List.of(box(0, 0, 25, 20));
        long since = System.nanoTime();
        Planks planks = Planks.of(hall, List.of(), PlankRules.usual(0, 1), UnitSystem.METRIC);
        System.out.printf(
                java.util.Locale.ROOT,
                "planks on 500 m²: %d, drawn in %d ms%n",
                planks.planks().size(),
                (System.nanoTime() - since) / 1_000_000);
        assertNotEquals(Planks.of(hall, List.of(), PlankRules.usual(0, 2), UnitSystem.METRIC), planks);
        long longer = planks.planks().stream()
                .filter(p -> p.lengthM() > 6 * FOOT + CLOSE)
                .count();
        assertEquals(longer, 0, "planks longer than asked where nothing is in the way");
    }

    /** One butt moved by 4 in: that one and nothing else lies elsewhere, and what it comes too near to is told. */
    @Test
    public void a_butt_is_nudged_and_the_rest_stays() {
        List<List<Corner>> floor = List.of(box(0, 0, 12 * FOOT, 8 * FOOT));
        PlankRules rules = PlankRules.usual(0, 7);
        Planks drawn = Planks.of(floor, List.of(), rules, UnitSystem.US);
        assertTrue(drawn.ends().stream().allMatch(b -> b.clash().isEmpty() && !b.nudged()));
        assertEquals(drawn.ends().size(), (int) drawn.butts().value());
        Planks.Butt first = drawn.ends().get(0);
        var nudge = new Planks.Nudge(first.row(), first.run(), first.index(), 4 * INCH);
        Planks moved = Planks.of(floor, List.of(), rules, List.of(nudge), UnitSystem.US);
        assertEquals(moved.ends().get(0).alongM(), first.alongM() + 4 * INCH, 1e-9);
        assertTrue(moved.ends().get(0).nudged());
        for (int i = 1; i < drawn.ends().size(); i++) {
            assertEquals(moved.ends().get(i).low(), drawn.ends().get(i).low());
        }
        assertEquals(moved.planks().size(), drawn.planks().size());
        double area = moved.planks().stream()
                .mapToDouble(p -> Shapes2D.polygon(p.rings(), 0).getArea())
                .sum();
        assertEquals(area, 96 * FOOT * FOOT, 1e-6);
        // onto the butt of the next row
        Planks.Butt beside = drawn.ends().stream()
                .filter(b -> b.row() == first.row() + 1)
                .min(Comparator.comparingDouble(b -> Math.abs(b.alongM() - first.alongM())))
                .orElseThrow();
        var onto = new Planks.Nudge(first.row(), 0, first.index(), beside.alongM() - first.alongM());
        Planks clashing = Planks.of(floor, List.of(), rules, List.of(onto), UnitSystem.US);
        long told = clashing.ends().stream().filter(b -> !b.clash().isEmpty()).count();
        assertTrue(told >= 2, clashing.ends().toString());
        // out of its run, or of a row that is not there: it stays on the floor
        var far = List.of(new Planks.Nudge(first.row(), 0, first.index(), 100), new Planks.Nudge(999, 0, 0, 1));
        double x = Planks.of(floor, List.of(), rules, far, UnitSystem.US)
                .ends()
                .get(0)
                .low()
                .x();
        assertTrue(x > 0 && x < 12 * FOOT, "at " + x);
    }

    @Test
    public void rows_begin_at_a_joint_along_the_grain() {
        double at = 3.1 * FOOT;
        var joint = List.of(new Corner(0, at), new Corner(12 * FOOT, at));
        Planks planks = Planks.of(
                List.of(box(0, 0, 12 * FOOT, 8 * FOOT)), List.of(joint), PlankRules.usual(0, 7), UnitSystem.US);
        Geometry line = Shapes2D.line(joint);
        for (Plank p : planks.planks()) {
            Geometry plank = Shapes2D.polygon(p.rings(), 0);
            assertTrue(
                    plank.intersection(line).getLength() < CLOSE
                            || plank.getBoundary().intersection(line).getLength() > CLOSE,
                    p.toString());
        }
        assertTrue(planks.ends().stream().anyMatch(b -> Math.abs(b.low().y() - at) < CLOSE));
    }

    @Test
    public void rules_that_contradict_one_another_are_refused() {
        assertThrows(IllegalArgumentException.class, () -> new PlankRules(List.of(0.1), 1, 1.5, 0.1, 0.1, 0.1, 0, 1));
        assertThrows(IllegalArgumentException.class, () -> new PlankRules(List.of(), 0.3, 1.5, 0.1, 0.1, 0.1, 0, 1));
    }
}
