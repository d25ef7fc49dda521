package openslab.core.floor;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import openslab.core.Cases;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.walk.Bow;
import openslab.core.floor.walk.Check;
import openslab.core.floor.walk.Residual;
import openslab.core.floor.walk.Run;
import openslab.core.floor.walk.Simpson;
import openslab.core.floor.walk.Turn;
import openslab.core.floor.walk.Walk;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Measure;
import openslab.core.quantity.TapeText;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.Test;

/** Walks round the walls: what closes, what is shared out, what is adjusted, and who is suspected. */
public class WalkTest {
    private static final double FOOT = 0.3048;
    private static final double L = Math.PI / 2;
    private static final double R = -L;

    /** Lengths in feet and the turn before each. */
    private static Walk walk(double... feetAndTurns) {
        var runs = new ArrayList<Run>();
        for (int i = 0; i < feetAndTurns.length; i += 2) {
            runs.add(Run.straight("r" + i / 2, feetAndTurns[i] * FOOT, feetAndTurns[i + 1]));
        }
        return new Walk(runs, List.of());
    }

    private static Walk with(Walk walk, Check... checks) {
        return new Walk(walk.runs(), List.of(checks));
    }

    @Test
    public void the_compass_rule_balances_the_textbook_traverse() {
        var runs = new ArrayList<Run>();
        double heading = 0;
        Object[][] courses = Cases.read("compass-rule.csv");
        for (Object[] row : courses) {
            var c = (Cases) row[0];
            double azimuth =
                    Math.toRadians(c.number("degrees") + c.number("minutes") / 60 + c.number("seconds") / 3600);
            double to = Math.PI / 2 - azimuth;
            runs.add(Run.straight(c.text("course"), c.number("length"), to - heading));
            heading = to;
        }
        var closed = new Walk(runs, List.of()).close();
        // azimuths are rounded to the second, half of which is 0.0015 ft in 650
        assertEquals(closed.closure().dxM(), 0.026, 0.002);
        assertEquals(closed.closure().dyM(), 0.077, 0.002);
        assertEquals(closed.closure().walkedM(), 2466.00, 1e-9);
        assertEquals(closed.method(), Walk.Method.SHARED);
        // the book lets every bearing go; ours keeps the first, so the whole is turned back by what AB was turned
        Corner b = closed.corners().get(1);
        assertEquals(Math.atan2(b.y(), b.x()), runs.get(0).turn(), 1e-12);
        var ab = (Cases) courses[0][0];
        double turned = Math.atan2(ab.number("latitude"), ab.number("departure"))
                - runs.get(0).turn();
        for (int i = 0; i < courses.length; i++) {
            var c = (Cases) courses[i][0];
            Corner from = closed.corners().get(i);
            Corner to = closed.corners().get((i + 1) % courses.length);
            double x = to.x() - from.x();
            double y = to.y() - from.y();
            assertEquals(x * Math.cos(turned) - y * Math.sin(turned), c.number("departure"), 0.0015, c.text("course"));
            assertEquals(x * Math.sin(turned) + y * Math.cos(turned), c.number("latitude"), 0.0015, c.text("course"));
        }
    }

    @Test
    public void a_square_room_closes_to_the_last_bit() {
        var closed = walk(24.5, 0, 18, L, 24.5, L, 18, L).close();
        assertEquals(closed.method(), Walk.Method.CLOSED);
        assertEquals(new Outline(closed.corners()).areaM2(), 24.5 * 18 * FOOT * FOOT, 1e-12);
        assertTrue(closed.holds());
        assertEquals(closed.closure().lengthM(), 0.0);
    }

    /** 20 ft × 24 ft with a 6 ft × 2 ft bump-out; the far wall read half an inch short. */
    @Test
    public void half_an_inch_is_shared_out() {
        double half = 0.5 / 12;
        var closed =
                walk(24, 0, 20, L, 9, L, 2, R, 6, L, 2, L, 9 - half, R, 20, L).close();
        assertEquals(closed.closure().lengthM(), 0.0127, 1e-12);
        assertEquals(closed.method(), Walk.Method.SHARED);
        assertTrue(closed.holds());
        assertEquals(new Outline(closed.corners()).areaM2() / FOOT / FOOT, 24 * 20 + 6 * 2, 0.5);
    }

    @Test
    public void a_foot_is_not_shared_out_but_asked_for() {
        var closed = walk(24, 0, 20, L, 25, L, 20, L).close();
        assertEquals(closed.method(), Walk.Method.OPEN);
        assertFalse(closed.holds());
        // either long wall could be it: nothing across was measured
        assertEquals(
                closed.suspects().stream()
                        .filter(s -> s.kind() == Residual.Kind.LENGTH)
                        .map(s -> s.id() + " " + Math.round(s.wouldBe().orElseThrow() / FOOT))
                        .sorted()
                        .toList(),
                List.of("r0 25", "r2 24"));
    }

    @Test
    public void a_turn_the_wrong_way_is_found() {
        // an L of six walls whose inner corner was keyed left instead of right
        var closed = walk(20, 0, 8, L, 8, L, 4, L, 12, L, 12, L).close();
        assertEquals(closed.method(), Walk.Method.OPEN);
        assertTrue(
                closed.suspects().stream()
                        .anyMatch(s -> s.kind() == Residual.Kind.TURN
                                && s.id().equals("r3")
                                && Math.abs(s.wouldBe().orElseThrow() - R) < 1e-9),
                closed.suspects().toString());
    }

    /** Three collinear points, 10.00 + 10.00 against 20.06: each gives 0.02, by hand with equal weights. */
    @Test
    public void a_check_along_one_line_is_adjusted_as_by_hand() {
        // far legs so long that they carry no weight in the line
        double far = 1000;
        var walk = with(
                walk(10 / FOOT, 0, 10 / FOOT, 0, far / FOOT, L, 20 / FOOT, L, far / FOOT, L),
                new Check("AC", 0, 2, 20.06));
        var closed = walk.close();
        double ab = residual(closed, "r0", Residual.Kind.LENGTH).value();
        double bc = residual(closed, "r1", Residual.Kind.LENGTH).value();
        double ac = residual(closed, "AC", Residual.Kind.CHECK).value();
        // weights are 1/σ², σ = 3 mm + L/2000: 8 mm for the halves, 13 mm for the whole; v ∝ σ²
        double whole = 0.06 / (64 + 64 + 169);
        assertEquals(ab, 64 * whole, 2e-4);
        assertEquals(bc, 64 * whole, 2e-4);
        assertEquals(ac, -169 * whole, 2e-4);
    }

    private static Residual residual(Walk.Closed closed, String id, Residual.Kind kind) {
        return closed.residuals().stream()
                .filter(r -> r.what().equals(id) && r.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    @Test
    public void diagonals_of_a_true_rectangle_change_nothing() {
        var walk = with(
                walk(30, 0, 40, L, 30, L, 40, L), new Check("AC", 0, 2, 50 * FOOT), new Check("BD", 1, 3, 50 * FOOT));
        var closed = walk.close();
        assertEquals(closed.method(), Walk.Method.ADJUSTED);
        assertTrue(closed.holds());
        assertEquals(new Outline(closed.corners()).areaM2() / FOOT / FOOT, 1200, 1e-6);
        closed.residuals().forEach(r -> assertEquals(r.value(), 0, 1e-9));
    }

    /** A racked room, 30 × 40 with corners 2° off: diagonals by the law of cosines put it right, turns keyed as square. */
    @Test
    public void diagonals_put_a_racked_room_right() {
        double angle = Math.toRadians(89);
        double shortDiagonal = Math.sqrt(900 + 1600 - 2400 * Math.cos(angle));
        double longDiagonal = Math.sqrt(900 + 1600 + 2400 * Math.cos(angle));
        var closed = with(
                        walk(30, 0, 40, L, 30, L, 40, L),
                        new Check("AC", 0, 2, longDiagonal * FOOT),
                        new Check("BD", 1, 3, shortDiagonal * FOOT))
                .close();
        assertTrue(closed.holds(), closed.suspects().toString());
        double area = new Outline(closed.corners()).areaM2() / FOOT / FOOT;
        assertEquals(area, 1200 * Math.sin(angle), 0.1);
    }

    @Test
    public void a_misread_wall_is_named_among_good_measures() {
        var random = new Random(7);
        int right = 0;
        for (int trial = 0; trial < 60; trial++) {
            int wrong = random.nextInt(4);
            double[] sides = {30, 40, 30, 40};
            double[] feet = sides.clone();
            for (int i = 0; i < 4; i++) {
                feet[i] += random.nextGaussian() * 0.01;
            }
            feet[wrong] += 1;
            var closed = with(
                            walk(feet[0], 0, feet[1], L, feet[2], L, feet[3], L),
                            new Check("AC", 0, 2, (50 + random.nextGaussian() * 0.01) * FOOT),
                            new Check("BD", 1, 3, (50 + random.nextGaussian() * 0.01) * FOOT))
                    .close();
            assertFalse(closed.holds());
            right += closed.suspects().get(0).id().equals("r" + wrong) ? 1 : 0;
        }
        assertTrue(right >= 54, right + " of 60");
    }

    @Test
    public void simpson_is_exact_for_cubics_and_close_for_the_circle() {
        for (int intervals : new int[] {2, 3, 4, 5, 7, 8}) {
            double[] cubic = new double[intervals + 1];
            for (int i = 0; i <= intervals; i++) {
                double x = 3.0 * i / intervals;
                cubic[i] = x * x * x - 2 * x + 5;
            }
            // integral of x³ - 2x + 5 over 0..3 is 81/4 - 9 + 15
            assertEquals(Simpson.area(cubic, 3.0 / intervals), 26.25, 1e-12, intervals + " intervals");
        }
        double before = Double.MAX_VALUE;
        for (int intervals : new int[] {4, 8, 16, 64, 256}) {
            double[] half = new double[intervals + 1];
            for (int i = 0; i <= intervals; i++) {
                double x = 2.0 * i / intervals - 1;
                half[i] = Math.sqrt(Math.max(0, 1 - x * x));
            }
            double error = Math.abs(Simpson.area(half, 2.0 / intervals) - Math.PI / 2);
            assertTrue(error < before / 2, intervals + ": " + error);
            before = error;
        }
        assertEquals(Simpson.area(new double[] {2, 4}, 3), 9, 1e-12);
    }

    @Test
    public void an_arc_by_rise_and_by_radius_is_the_same_arc() {
        // chord 8, rise 2: r = 64/16 + 1 = 5; angle 2·asin(0.8); area r²/2·(θ - sin θ)
        var byRise = new Bow.Arc(2, 1);
        assertEquals(byRise.radiusM(8), 5, 1e-12);
        double angle = 2 * Math.asin(0.8);
        assertEquals(byRise.angle(8), angle, 1e-12);
        assertEquals(byRise.areaM2(8), 12.5 * (angle - Math.sin(angle)), 1e-12);
        assertEquals(byRise.lengthM(8), 5 * angle, 1e-12);
        assertEquals(Bow.Arc.ofRadius(5, 8, 1, false).riseM(), 2, 1e-12);
        assertEquals(Bow.Arc.ofRadius(5, 8, 1, true).riseM(), 8, 1e-12);
        // a half circle, either side
        assertEquals(new Bow.Arc(4, -1).areaM2(8), -8 * Math.PI, 1e-12);
    }

    @Test
    public void what_is_drawn_encloses_what_is_reckoned() {
        var bows = List.of(
                new Bow.Arc(0.3, 1),
                new Bow.Arc(4, -1),
                new Bow.Arc(7.9, 1),
                new Bow.Offsets(List.of(0.4, 0.9, 1.1, 0.6)),
                new Bow.Offsets(List.of(-0.2, 0.3, -0.1)));
        var from = new Corner(1, 2);
        var to = new Corner(1 + 8 * Math.cos(0.7), 2 + 8 * Math.sin(0.7));
        for (Bow bow : bows) {
            var ring = new ArrayList<>(List.of(from));
            ring.addAll(bow.between(from, to));
            ring.add(to);
            double twice = 0;
            for (int i = 0; i < ring.size(); i++) {
                Corner a = ring.get(i);
                Corner b = ring.get((i + 1) % ring.size());
                twice += a.x() * b.y() - b.x() * a.y();
            }
            // a swell to the left of the run turns the ring clockwise
            assertEquals(-twice / 2, bow.areaM2(8), 1e-10, bow.toString());
        }
    }

    @Test
    public void a_moved_corner_is_where_it_was_put_and_the_rest_stays() {
        var random = new Random(21);
        Walk room = walk(24, 0, 20, L, 9, L, 2, R, 6, L, 2, L, 9, R, 20, L);
        for (int corner = 0; corner < 8; corner++) {
            var before = room.close().corners();
            var to = new Corner(
                    before.get(corner).x() + random.nextDouble() / 3,
                    before.get(corner).y() - random.nextDouble() / 3);
            Walk moved = room.moved(corner, to);
            var closed = moved.close();
            assertTrue(closed.closure().lengthM() < 1e-9, "corner " + corner);
            Corner origin = corner == 0 ? to : before.get(0);
            for (int i = 0; i < 8; i++) {
                Corner expected = i == corner ? to : before.get(i);
                assertEquals(closed.corners().get(i).x(), expected.x() - origin.x(), 1e-9);
                assertEquals(closed.corners().get(i).y(), expected.y() - origin.y(), 1e-9);
            }
            assertEquals(moved.runs().get((corner + 3) % 8), room.runs().get((corner + 3) % 8));
        }
    }

    /** As typed, in degrees left. */
    @Test
    public void turns_are_read_and_written_again() {
        Object[][] turns = {
            {"L", 90.0}, {"r", -90.0}, {"S", 0.0}, {"L 45", 45.0}, {"22.5 R", -22.5}, {"R45°", -45.0}, {"l 180", 180.0}
        };
        for (Object[] turn : turns) {
            double radians = Turn.parse("turn", (String) turn[0]);
            assertEquals(Math.toDegrees(radians), (double) turn[1], 1e-12, (String) turn[0]);
            assertEquals(Turn.parse("turn", Turn.text(radians)), radians, 1e-9);
        }
        for (String bad : new String[] {"", "left", "90", "L 181", "S 5", "L R", "L45R", "L -3", "L NaN", "<b>"}) {
            assertThrows(InvalidInput.class, () -> Turn.parse("turn", bad));
        }
    }

    /** To 1/64 in or 0.1 mm, and exactly where the tape shows it. */
    @Test
    public void what_is_written_as_a_tape_reads_is_read_back() {
        assertEquals(TapeText.of(24.5 * FOOT, UnitSystem.US), "24' 6\"");
        assertEquals(TapeText.of((12 + 4.5 / 12) * FOOT, UnitSystem.US), "12' 4-1/2\"");
        assertEquals(TapeText.of(FOOT / 96, UnitSystem.US), "1/8\"");
        assertEquals(TapeText.of(7.45, UnitSystem.METRIC), "7.45 m");
        var random = new Random(13);
        for (int i = 0; i < 5000; i++) {
            double metres = Math.pow(10, random.nextDouble() * 5 - 2.5);
            for (UnitSystem system : UnitSystem.values()) {
                String text = TapeText.of(metres, system);
                Unit bare = system == UnitSystem.US ? Unit.FOOT : Unit.METRE;
                double half = system == UnitSystem.US ? 0.0254 / 128 : 0.00005;
                double again = Measure.parse("length", text, bare, 0, 1e6);
                assertEquals(again, metres, half + 1e-9, text);
                assertEquals(TapeText.of(again, system), text);
            }
        }
    }
}
