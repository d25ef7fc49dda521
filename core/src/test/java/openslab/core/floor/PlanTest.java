package openslab.core.floor;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import openslab.core.Cases;
import openslab.core.Formula;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.joint.SawCuts;
import openslab.core.floor.plan.Doubt;
import openslab.core.floor.plan.JointMap;
import openslab.core.floor.plan.Ring;
import openslab.core.floor.plan.Room;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.floor.plan.SawPlan;
import openslab.core.floor.plan.SlopeCheck;
import openslab.core.floor.walk.Run;
import openslab.core.floor.walk.Walk;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.polygonize.Polygonizer;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Plans: areas against closed forms and the geometry library, zones that add up, quantities with their working. */
public class PlanTest {
    private static final double FOOT = Tape.FOOT;
    private static final double L = Math.PI / 2;

    @DataProvider
    Object[][] floors() {
        return Cases.read("floors.csv");
    }

    @Test(dataProvider = "floors")
    public void a_floor_has_its_area(Cases floor) {
        RoomPlan plan = RoomPlan.of(Room.of("a", floor.text("name"), Tape.walk(floor.text("walk"))), UnitSystem.US);
        double area = floor.number("area");
        assertEquals(plan.quantities().gross().value(), area, 1e-9 * area);
        assertEquals(jts(plan.outline()) / FOOT / FOOT, area, 1e-9 * area);
        assertEquals(plan.doubts(), List.of());
        assertEquals(plan.pieces().size(), 1);
        assertEquals(plan.pieces().get(0).areaM2() / FOOT / FOOT, area, 1e-9 * area);
        figures(plan).forEach(PlanTest::assertWorking);
    }

    private static double jts(Outline outline) {
        return polygon(outline.corners()).getArea();
    }

    private static Polygon polygon(List<Corner> corners) {
        var ring = new ArrayList<Coordinate>();
        corners.forEach(c -> ring.add(new Coordinate(c.x(), c.y())));
        ring.add(ring.get(0));
        return new GeometryFactory().createPolygon(ring.toArray(Coordinate[]::new));
    }

    private static List<Figure> figures(RoomPlan plan) {
        var q = plan.quantities();
        var figures = new ArrayList<>(List.of(q.gross(), q.net(), q.trueArea(), q.perimeter()));
        figures.addAll(q.lengths());
        figures.addAll(q.fills());
        figures.add(plan.closing().misclosure());
        figures.add(plan.closing().tolerance());
        return figures;
    }

    private static void assertWorking(Figure figure) {
        Formula.assertRecomputes(figure);
    }

    /** A star-shaped ring never crosses itself, whatever its radii. */
    private static Walk random(Random random, int corners) {
        var ring = new ArrayList<Corner>();
        for (int i = 0; i < corners; i++) {
            double a = 2 * Math.PI * (i + 0.8 * random.nextDouble()) / corners;
            double r = 3 + 9 * random.nextDouble();
            ring.add(new Corner(r * Math.cos(a), r * Math.sin(a)));
        }
        return walk(ring);
    }

    private static Walk walk(List<Corner> ring) {
        var runs = new ArrayList<Run>();
        double heading = 0;
        for (int i = 0; i < ring.size(); i++) {
            Corner from = ring.get(i);
            Corner to = ring.get((i + 1) % ring.size());
            double bearing = Math.atan2(to.y() - from.y(), to.x() - from.x());
            runs.add(Run.straight("r" + i, Math.hypot(to.x() - from.x(), to.y() - from.y()), bearing - heading));
            heading = bearing;
        }
        return new Walk(runs, List.of());
    }

    @Test
    public void zones_and_openings_add_up_to_the_floor() {
        var random = new Random(11);
        for (int trial = 0; trial < 300; trial++) {
            Walk walk = random(random, 5 + random.nextInt(40));
            List<Corner> ring = RoomPlan.of(Room.of("a", "a", walk), UnitSystem.METRIC)
                    .outline()
                    .corners();
            double cx = ring.stream().mapToDouble(Corner::x).average().orElseThrow();
            double cy = ring.stream().mapToDouble(Corner::y).average().orElseThrow();
            var openings = IntStream.range(0, random.nextInt(4))
                    .mapToObj(i -> new Room.Opening(
                            "o" + i,
                            "Column",
                            Room.Opening.Kind.COLUMN,
                            new Ring.Circle(new Corner(cx + random.nextGaussian(), cy + random.nextGaussian()), 0.4)))
                    .toList();
            var cuts = IntStream.range(0, 1 + random.nextInt(4))
                    .mapToObj(i -> Room.Cut.through(
                            "c" + i,
                            new Corner(cx + random.nextGaussian(), cy + random.nextGaussian()),
                            new Corner(cx + random.nextGaussian(), cy + random.nextGaussian())))
                    .toList();
            RoomPlan plan = RoomPlan.of(room(walk, openings, cuts), UnitSystem.METRIC);
            double gross = plan.quantities().gross().base();
            double net = plan.quantities().net().base();
            double pieces =
                    plan.pieces().stream().mapToDouble(RoomPlan.Piece::areaM2).sum();
            assertEquals(pieces, net, 1e-9 * gross, "trial " + trial);
            assertEquals(gross, new Outline(ring).areaM2(), 1e-9 * gross);
            assertEquals(plan.pieces().size(), facesNodedWhole(plan, cuts), "trial " + trial);
        }
    }

    /** The faces that the library finds when every wall, opening and line is noded with every other. */
    private static long facesNodedWhole(RoomPlan plan, List<Room.Cut> cuts) {
        Geometry floor = polygon(plan.outline().corners());
        for (RoomPlan.DrawnOpening opening : plan.openings()) {
            floor = floor.difference(polygon(opening.ring()));
        }
        Geometry linework = floor.getBoundary();
        for (Room.Cut cut : cuts) {
            Corner a = cut.line().get(0);
            Corner b = cut.line().get(1);
            double far = 1000 / Math.hypot(b.x() - a.x(), b.y() - a.y());
            linework = linework.union(new GeometryFactory().createLineString(new Coordinate[] {
                new Coordinate(a.x() - far * (b.x() - a.x()), a.y() - far * (b.y() - a.y())),
                new Coordinate(b.x() + far * (b.x() - a.x()), b.y() + far * (b.y() - a.y()))
            }));
        }
        var polygonizer = new Polygonizer();
        polygonizer.add(linework);
        Geometry whole = floor;
        return ((Collection<?>) polygonizer.getPolygons())
                .stream()
                        .filter(face -> whole.contains(((Geometry) face).getInteriorPoint()))
                        .count();
    }

    private static Room room(Walk walk, List<Room.Opening> openings, List<Room.Cut> cuts) {
        return Room.draft("a", "a", walk).openings(openings).cuts(cuts).room();
    }

    @Test
    public void area_does_not_depend_on_where_or_how_one_walks() {
        var random = new Random(5);
        for (int trial = 0; trial < 200; trial++) {
            Walk walk = random(random, 4 + random.nextInt(30));
            double area = area(walk);
            var ring = new ArrayList<>(walk.close().corners());
            java.util.Collections.rotate(ring, random.nextInt(ring.size()));
            if (random.nextBoolean()) {
                java.util.Collections.reverse(ring);
            }
            double spin = random.nextDouble() * 7;
            var moved = ring.stream()
                    .map(c -> new Corner(
                            c.x() * Math.cos(spin) - c.y() * Math.sin(spin) + 3,
                            c.x() * Math.sin(spin) + c.y() * Math.cos(spin) - 8))
                    .toList();
            assertEquals(area(walk(moved)), area, 1e-9 * area, "trial " + trial);
        }
    }

    private static double area(Walk walk) {
        return RoomPlan.of(Room.of("a", "a", walk), UnitSystem.US)
                .quantities()
                .gross()
                .base();
    }

    @Test
    public void five_risers_have_four_treads_between_them() {
        var stair = new Room.Stair("s", "Front steps", 4 * FOOT, 5, 7 * FOOT / 12, 11 * FOOT / 12);
        Room room = Room.draft("a", "Porch", Tape.walk("10|L 6|L 10|L 6"))
                .stairs(List.of(stair))
                .room();
        RoomPlan plan = RoomPlan.of(room, UnitSystem.US);
        // 60 + 4·(5·7/12 + 4·11/12) = 60 + 4·6.5833 = 86.33 ft², nosings 5·4 = 20 ft, by hand
        assertEquals(plan.quantities().trueArea().value(), 60 + 4 * (35 + 44) / 12.0, 1e-9);
        assertEquals(named(plan, "nosings").value(), 20, 1e-9);
        figures(plan).forEach(PlanTest::assertWorking);
    }

    /** 12 ft level and 1 ft up at 4 ft wide: 4·(√145 - 12) = 0.1664 ft² more than it looks. */
    @Test
    public void a_ramp_is_longer_than_it_looks() {
        var ramp = new Room.Ramp("p", "Ramp", new Ring.Box(new Corner(0, 0), 12 * FOOT, 4 * FOOT, 0), FOOT);
        Room room = Room.draft("a", "Loading bay", Tape.walk("20|L 10|L 20|L 10"))
                .ramps(List.of(ramp))
                .room();
        RoomPlan plan = RoomPlan.of(room, UnitSystem.US);
        assertEquals(plan.quantities().trueArea().value(), 200 + 4 * (Math.sqrt(145) - 12), 1e-9);
        assertEquals(plan.quantities().net().value(), 200, 1e-9);
    }

    /** STANDARDS 11.4: r 1 in takes 2.575 in³ a foot; a 4 in face 1/8 in thick besides, 3.063 gal for 100 ft. */
    @Test
    public void a_cove_takes_what_the_fillet_says() {
        double inch = FOOT / 12;
        var cove = new Room.Cove(inch, 4 * inch, inch / 8, 0);
        var edges = List.of(new Room.Edge("r0", true, true, true, cove));
        Room room = Room.draft("a", "Kitchen", Tape.walk("103|L 10|L 103|L 10"))
                .edges(edges)
                .doors(List.of(new Room.Door("d", "r0", FOOT, 3 * FOOT, true)))
                .room();
        RoomPlan plan = RoomPlan.of(room, UnitSystem.US);
        assertEquals(named(plan, "cove").value(), 100, 1e-9);
        assertEquals(named(plan, "to mask").value(), 226 - 3, 1e-9);
        assertEquals(named(plan, "cove mortar").base() / 3.785411784, 3.063, 0.0005);
        figures(plan).forEach(PlanTest::assertWorking);
    }

    private static Figure named(RoomPlan plan, String label) {
        return figures(plan).stream()
                .filter(f -> f.label().equals(label))
                .findFirst()
                .orElseThrow(
                        () -> new AssertionError(plan.quantities().lengths().toString()));
    }

    @Test
    public void a_column_comes_off_and_one_in_the_wall_is_told() {
        Walk hall = Tape.walk("30|L 20|L 30|L 20");
        var inside = new Room.Opening(
                "in", "Column", Room.Opening.Kind.COLUMN, new Ring.Box(new Corner(3, 3), 0.5, 0.5, 0.3));
        var across =
                new Room.Opening("out", "Pier", Room.Opening.Kind.COLUMN, new Ring.Box(new Corner(-0.5, 1), 1, 1, 0));
        RoomPlan plan = RoomPlan.of(room(hall, List.of(inside, across), List.of()), UnitSystem.METRIC);
        assertEquals(plan.quantities().net().base(), 600 * FOOT * FOOT - 0.25 - 0.5, 1e-9);
        assertEquals(plan.doubts().size(), 1);
        assertEquals(plan.doubts().get(0).where(), List.of("out"));
    }

    /** A bow tie keyed in by its corners: told, and the rest of the floor still reckoned. */
    @Test
    public void an_opening_that_crosses_itself_is_told() {
        var tie = new Room.Opening(
                "o",
                "Pit",
                Room.Opening.Kind.CUT_OUT,
                new Ring.Path(List.of(new Corner(1, 1), new Corner(2, 2), new Corner(2, 1), new Corner(1, 2))));
        RoomPlan plan = RoomPlan.of(room(Tape.walk("60|L 10|L 60|L 10"), List.of(tie), List.of()), UnitSystem.METRIC);
        assertEquals(plan.doubts().stream().map(Doubt::title).toList(), List.of("Pit crosses itself"));
        assertEquals(plan.quantities().net().base(), 600 * FOOT * FOOT, 1e-9);
    }

    @Test
    public void overlapping_openings_are_taken_off_once() {
        Walk hall = Tape.walk("30|L 20|L 30|L 20");
        var one = new Room.Opening("a", "Pit", Room.Opening.Kind.CUT_OUT, new Ring.Box(new Corner(1, 1), 2, 2, 0));
        var two = new Room.Opening("b", "Pit", Room.Opening.Kind.CUT_OUT, new Ring.Box(new Corner(2, 1), 2, 2, 0));
        RoomPlan plan = RoomPlan.of(room(hall, List.of(one, two), List.of()), UnitSystem.METRIC);
        assertEquals(plan.quantities().net().base(), 600 * FOOT * FOOT - 6, 1e-9);
    }

    @Test
    public void walls_that_cross_have_no_area_to_build_on() {
        RoomPlan plan = RoomPlan.of(
                Room.of("a", "a", Tape.walk("10|L135 14.142135623730951|R135 10|R135 14.142135623730951")),
                UnitSystem.US);
        assertTrue(
                plan.doubts().stream().anyMatch(d -> d.rule().equals("crossing")),
                plan.doubts().toString());
        assertEquals(plan.pieces(), List.of());
    }

    @Test
    public void a_floor_that_does_not_close_says_which_wall_to_measure_again() {
        RoomPlan plan = RoomPlan.of(Room.of("a", "a", Tape.walk("24|L 20|L 25|L 20")), UnitSystem.US);
        assertFalse(plan.closed().holds());
        assertEquals(plan.doubts().get(0).rule(), "closure");
        assertTrue(
                plan.doubts().get(0).remedy().contains("wall A–B (25.00\u00a0ft would close)"),
                plan.doubts().toString());
        assertTrue(plan.doubts().get(0).remedy().contains("wall C–D (24.00\u00a0ft would close)"));
    }

    @Test
    public void a_zone_is_the_part_it_was_marked_in() {
        Walk hall = Tape.walk("30|L 20|L 30|L 20");
        var cut = Room.Cut.through("c", new Corner(4, 1), new Corner(4, 2));
        Room room = Room.draft("a", "a", hall)
                .cuts(List.of(cut))
                .marks(List.of(new Room.ZoneMark("west", new Corner(1, 1))))
                .room();
        RoomPlan plan = RoomPlan.of(room, UnitSystem.METRIC);
        assertEquals(plan.pieces().size(), 2);
        RoomPlan.Piece west = plan.pieces().stream()
                .filter(p -> p.zoneId().isPresent())
                .findFirst()
                .orElseThrow();
        assertEquals(west.areaM2(), 4 * 20 * FOOT, 1e-9);
    }

    /** rise and level length in inches; STANDARDS 8.3: rise 4 in asks for 48 in, 1:20 and 1:12 are the limits, 30 in the most. */
    @DataProvider
    Object[][] ramps() {
        return new Object[][] {
            {4.0, 48.0, "1:12.0", true, "a ramp, up to 1:12"},
            {4.0, 47.0, "1:11.8", false, "too steep: a ramp is 1:12 at most"},
            {4.0, 80.0, "1:20.0", true, "a walking surface, up to 1:20"},
            {0.5, 18.0, "1:36.0", true, "a walking surface, up to 1:20"},
            {31.0, 400.0, "1:12.9", false, "rises over 30 in: it needs a landing"},
            {31.0, 640.0, "1:20.6", true, "a walking surface, up to 1:20"},
        };
    }

    @Test(dataProvider = "ramps")
    public void a_ramp_is_held_against_what_may_be_walked(
            double rise, double run, String ratio, boolean fits, String word) {
        double inch = FOOT / 12;
        var ramp = new Room.Ramp("r", "Ramp", new Ring.Box(new Corner(0, 0), run * inch, 1, 0), rise * inch);
        var room = Room.draft("a", "a", Tape.walk("60|L 10|L 60|L 10"))
                .ramps(List.of(ramp))
                .room();
        SlopeCheck check = RoomPlan.of(room, UnitSystem.US).slopes().get(0);
        assertEquals(List.of(check.ratio(), check.fits(), check.word()), List.of(ratio, fits, word));
        assertWorking(check.slope());
    }

    @Test
    public void joints_are_counted_in_and_out() {
        var joints = new ArrayList<Room.Joint>();
        boolean[][] states = {{true, true, true}, {true, true, false}, {true, false, false}, {false, true, false}};
        for (int i = 0; i < states.length; i++) {
            boolean[] s = states[i];
            joints.add(new Room.Joint(
                    "j" + i,
                    Room.Joint.Kind.CONTROL,
                    new Corner(i, 0),
                    new Corner(i, 3),
                    0.005,
                    0.03,
                    s[0],
                    s[1],
                    s[2],
                    false));
        }
        var room = Room.draft("a", "a", Tape.walk("60|L 10|L 60|L 10"))
                .joints(joints)
                .room();
        RoomPlan plan = RoomPlan.of(room, UnitSystem.METRIC);
        assertEquals(plan.joints(), new JointMap(4, 3, 3, 1, 1, 2, 1));
        assertEquals(named(plan, "control joints").base(), 12, 1e-9);
        // 12 m · 5 mm · 30 mm = 1.8 L
        assertEquals(named(plan, "joints to fill").base(), 1.8, 1e-9);
        // an expansion joint is kept open through every coat: it takes no filler, and its length is told
        joints.add(new Room.Joint(
                "x",
                Room.Joint.Kind.EXPANSION,
                new Corner(9, 0),
                new Corner(9, 3),
                0.012,
                0.05,
                false,
                false,
                false,
                false));
        RoomPlan open = RoomPlan.of(
                Room.draft("a", "a", Tape.walk("60|L 10|L 60|L 10"))
                        .joints(joints)
                        .room(),
                UnitSystem.METRIC);
        assertEquals(named(open, "joints to fill").base(), 1.8, 1e-9);
        assertEquals(named(open, "expansion joints").base(), 3, 1e-9);
        // 140 ft of wall, film 4 ft wide as a sprayed stain wants it
        var film = Room.draft("a", "a", Tape.walk("60|L 10|L 60|L 10"))
                .filmM(4 * 0.3048)
                .room();
        assertEquals(named(RoomPlan.of(film, UnitSystem.METRIC), "masking film").base(), 140 * 4 * 0.09290304, 1e-6);
    }

    /** An L of 42.5 by 29.25 ft, 5 in thick: 12.5 ft at most, so 4 panels by 3; no cut leaves the floor. */
    @Test
    public void saw_cuts_stay_on_the_floor() {
        Walk bay = Tape.walk("42.5|L 20.25|L 10.5|R 9|L 32|L 29.25");
        RoomPlan plan = RoomPlan.of(Room.of("a", "a", bay), UnitSystem.US);
        SawCuts cuts = SawPlan.propose(plan, 5 * FOOT / 12, false, UnitSystem.US);
        assertEquals(cuts.apartAcrossM() / FOOT, 42.5 / 4, 1e-9);
        assertEquals(cuts.apartUpM() / FOOT, 29.25 / 3, 1e-9);
        double length = cuts.lines().stream()
                .mapToDouble(l -> Math.hypot(
                        l.to().x() - l.from().x(), l.to().y() - l.from().y()))
                .sum();
        // up at 10.625, 21.25 and 31.875 ft, all left of the corner cut out; across at 9.75 ft and 19.5 ft, both below
        // it
        assertEquals(length / FOOT, 3 * 29.25 + 2 * 42.5, 1e-9);
        RoomPlan.Piece floor = plan.pieces().get(0);
        assertEquals(floor.areaM2() / FOOT / FOOT, 1148.625, 1e-9);
        SawCuts thin = SawPlan.propose(plan, 3 * FOOT / 12, false, UnitSystem.US);
        double across = thin.lines().stream()
                .mapToDouble(l -> Math.max(l.from().x(), l.to().x()))
                .max()
                .orElseThrow();
        assertTrue(across <= 42.5 * FOOT + 1e-9);
        thin.lines().stream()
                .filter(l -> l.from().y() > 20.25 * FOOT + 1e-9 && l.to().y() > 20.25 * FOOT + 1e-9)
                .forEach(l -> assertTrue(Math.max(l.from().x(), l.to().x()) <= 32 * FOOT + 1e-9, l.toString()));
    }

    /** Parted by a joint instead of by a line: the same two parts. */
    @Test
    public void a_joint_may_part_two_zones() {
        var joint = new Room.Joint(
                "j",
                Room.Joint.Kind.EXPANSION,
                new Corner(4, 1),
                new Corner(4, 2),
                0.01,
                0.03,
                true,
                false,
                false,
                true);
        Room room = Room.draft("a", "a", Tape.walk("30|L 20|L 30|L 20"))
                .joints(List.of(joint))
                .room();
        RoomPlan plan = RoomPlan.of(room, UnitSystem.METRIC);
        assertEquals(plan.pieces().size(), 2);
        double smaller =
                plan.pieces().stream().mapToDouble(RoomPlan.Piece::areaM2).min().orElseThrow();
        assertEquals(smaller, 4 * 20 * FOOT, 1e-9);
    }

    /**
     * Mitred corners: at a distance d from the walls of any floor with square corners, the way round is 8·d shorter than the
     * walls, so the fillet's volume is the integral of its height over that way. Integrated here, not by its moment.
     */
    @Test
    public void a_cove_round_a_floor_takes_its_mitres_into_account() {
        double r = 0.05;
        var cove = new Room.Cove(r, r, 0, 0);
        for (String walls : List.of("10|L 10|L 10|L 10", "20|L 8|L 6|R 10|L 8|L 10|R 6|L 8")) {
            Walk walk = Tape.walk(walls);
            var edges = walk.runs().stream()
                    .map(w -> new Room.Edge(w.id(), true, false, false, cove))
                    .toList();
            double round = walk.runs().stream().mapToDouble(Run::lengthM).sum();
            int steps = 20_000;
            double litres = 0;
            for (int i = 0; i < steps; i++) {
                double d = (i + 0.5) * r / steps;
                double height = r - Math.sqrt(r * r - (r - d) * (r - d));
                litres += 1000 * height * (round - 8 * d) * r / steps;
            }
            RoomPlan plan = RoomPlan.of(Room.draft("a", "a", walk).edges(edges).room(), UnitSystem.METRIC);
            assertEquals(named(plan, "cove mortar").base(), litres, 1e-5 * litres, walls);
            long outside = walk.runs().stream().filter(w -> w.turn() < 0).count();
            assertEquals(
                    named(plan, "cove corners, inside").value(), walk.runs().size() - outside, walls);
            assertEquals(
                    figures(plan).stream()
                            .filter(f -> f.label().equals("cove corners, outside"))
                            .mapToDouble(Figure::value)
                            .sum(),
                    (double) outside,
                    walls);
            figures(plan).forEach(PlanTest::assertWorking);
        }
    }

    /** A bathroom 8 by 5 ft with a tub of 5 by 2.5 ft, a round pedestal of 1 ft and a 3 ft door: by hand. */
    @Test
    public void a_bathroom_is_measured_around_its_fixtures() {
        var tub = new Room.Opening(
                "t", "Tub", Room.Opening.Kind.FIXTURE, new Ring.Box(new Corner(0, 0), 5 * FOOT, 2.5 * FOOT, 0));
        var pedestal = new Room.Opening(
                "p", "Basin", Room.Opening.Kind.FIXTURE, new Ring.Circle(new Corner(7 * FOOT, 4 * FOOT), FOOT));
        Room room = Room.draft("a", "Bathroom", Tape.walk("8|L 5|L 8|L 5"))
                .openings(List.of(tub, pedestal))
                .doors(List.of(new Room.Door("d", "r2", FOOT, 3 * FOOT, true)))
                .room();
        RoomPlan plan = RoomPlan.of(room, UnitSystem.US);
        assertEquals(plan.quantities().net().value(), 40 - 12.5 - Math.PI / 4, 1e-9);
        assertEquals(named(plan, "round fixtures").value(), 15 + Math.PI, 1e-9);
        assertEquals(named(plan, "doorways").value(), 3, 1e-9);
        assertEquals(named(plan, "to mask").value(), 26 - 3, 1e-9);
        assertEquals(named(plan, "masking film").value(), 46, 1e-9);
        figures(plan).forEach(PlanTest::assertWorking);
    }
}
