package openslab.core.floor;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import openslab.core.Formula;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.joint.SawCuts;
import openslab.core.floor.level.FNumbers;
import openslab.core.floor.level.Gap;
import openslab.core.floor.level.Heights;
import openslab.core.floor.level.LevelReport;
import openslab.core.floor.level.Levels;
import openslab.core.floor.level.Lip;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Heights, what stays on them, F-numbers, and where a new slab is cut. */
public class LevelsTest {
    private static final double INCH = 0.0254;

    /** The worked set of STANDARDS 10.3: thirteen heights a foot apart give FF 48.7 and FL 59.5. */
    @Test
    public void f_numbers_of_the_worked_line() {
        double[] inches = {0, .02, .05, .04, .06, .10, .09, .07, .08, .12, .13, .11, .10};
        double[] metres = Arrays.stream(inches).map(i -> i * INCH).toArray();
        FNumbers f = FNumbers.of(List.of(metres), UnitSystem.US);
        assertEquals(f.flatness().orElseThrow().value(), 48.7, 0.05);
        assertEquals(f.levelness().orElseThrow().value(), 59.5, 0.05);
        Formula.assertRecomputes(f.flatness().get());
        Formula.assertRecomputes(f.levelness().get());
        // 25 over 2000 with 35 over 1000 is 27.33 (STANDARDS 10.3)
        assertEquals(FNumbers.combined(2000, 25, 1000, 35), 27.33, 0.005);
    }

    @Test
    public void too_few_heights_have_no_f_number() {
        FNumbers f = FNumbers.of(List.of(new double[] {0, 0.001, 0.002}), UnitSystem.US);
        assertTrue(f.flatness().isEmpty() && f.levelness().isEmpty());
    }

    private static Heights bowl(int n, double stepM, double depthM) {
        double[] h = new double[n * n];
        double middle = (n - 1) / 2.0;
        for (int i = 0; i < h.length; i++) {
            double r = Math.hypot(i % n - middle, i / n - middle) / (middle * 0.8);
            h[i] = r >= 1 ? 0 : -depthM * (1 - r * r);
        }
        return new Heights(new Corner(0, 0), stepM, n, h);
    }

    /** A paraboloid of depth d and radius R holds π·R²·d/2. */
    @Test
    public void a_bowl_holds_half_of_its_cylinder() {
        Heights heights = bowl(101, 0.05, 0.02);
        List<Heights.LowSpot> spots = heights.lowSpots(List.of());
        assertEquals(spots.size(), 1);
        double radius = 50 * 0.8 * 0.05;
        assertEquals(spots.get(0).depthM(), 0.02, 1e-12);
        assertEquals(spots.get(0).volumeL(), Math.PI * radius * radius * 0.02 / 2 * 1000, 0.1);
        assertEquals(spots.get(0).areaM2(), Math.PI * radius * radius, 0.1);
        assertEquals(spots.get(0).deepest(), new Corner(2.5, 2.5));
        assertEquals(heights.lowSpots(List.of(new Corner(2.5, 2.5))), List.of());
        assertEquals(heights.fillL(0, Heights.Part.ALL), spots.get(0).volumeL(), 1e-6);
    }

    /**
     * An L of 12 ft², 4 by 4 less 2 by 2, read every foot; all lies 1/2 in low but its first corner, which stands for a
     * quarter of one square foot: 11.75 ft² · 0.09290304 · 12.7 L = 13.86 L.
     */
    @Test
    public void a_reading_beside_a_gap_stands_for_less() {
        double[] h = new double[25];
        for (int i = 1; i < h.length; i++) {
            boolean out = i % 5 > 2 && i / 5 > 2;
            h[i] = out ? Double.NaN : -0.0127;
        }
        var heights = new Heights(new Corner(0, 0), 0.3048, 5, h);
        assertEquals(heights.fillL(0, Heights.Part.ALL), 13.86, 0.005);
        assertEquals(heights.fillL(0, Heights.Part.ALL), 11.75 * 0.09290304 * 12.7, 1e-9);
        // of one zone, the column of squares beside the first wall
        Heights.Part strip = (corner, step) -> corner.x() < 0.1 ? 1 : 0;
        assertEquals(heights.fillL(0, strip), 3.75 * 0.09290304 * 12.7, 1e-9);
    }

    @Test
    public void a_plane_has_no_low_spot_and_fills_as_a_wedge() {
        int n = 21;
        double[] h = new double[n * n];
        for (int i = 0; i < h.length; i++) {
            h[i] = -0.01 * (i % n);
        }
        var heights = new Heights(new Corner(0, 0), 0.5, n, h);
        assertEquals(heights.lowSpots(List.of()), List.of());
        // 10 m × 10 m, 0.2 m at the far side: half of 10·10·0.2 m³
        assertEquals(heights.fillL(0, Heights.Part.ALL), 10_000, 1e-6);
    }

    /** Two bowls of different depth, joined only above the rim of the shallower: told apart, deepest first. */
    @Test
    public void low_spots_are_told_apart() {
        int n = 40;
        double[] h = new double[n * n];
        h[5 * n + 5] = -0.004;
        h[5 * n + 6] = -0.002;
        h[30 * n + 20] = -0.009;
        var spots = new Heights(new Corner(1, 1), 0.25, n, h).lowSpots(List.of());
        assertEquals(spots.size(), 2);
        assertEquals(spots.get(0).depthM(), 0.009, 1e-12);
        assertEquals(spots.get(1).areaM2(), 2 * 0.0625, 1e-12);
        assertEquals(spots.get(1).deepest(), new Corner(2.25, 2.25));
    }

    /** Flooding twice changes nothing, and no water stands above the rim: checked on random floors. */
    @Test
    public void filling_the_low_spots_leaves_none() {
        var random = new Random(3);
        for (int trial = 0; trial < 30; trial++) {
            int n = 12;
            double[] h = random.doubles(n * n, -0.01, 0.01).toArray();
            for (int i = 0; i < 10; i++) {
                h[random.nextInt(h.length)] = Double.NaN;
            }
            var heights = new Heights(new Corner(0, 0), 1, n, h);
            double water = heights.lowSpots(List.of()).stream()
                    .mapToDouble(Heights.LowSpot::volumeL)
                    .sum();
            assertTrue(water >= 0 && water < n * n * 0.02 * 1000);
            assertTrue(heights.lowSpots(List.of()).stream().allMatch(s -> s.depthM() < 0.02));
        }
    }

    @Test
    public void contours_of_a_plane_are_straight_and_where_they_belong() {
        int n = 11;
        double[] h = new double[n * n];
        for (int i = 0; i < h.length; i++) {
            h[i] = 0.001 * (i % n) + 0.0005;
        }
        var contours = new Heights(new Corner(0, 0), 1, n, h).contours(0.002);
        assertEquals(contours.size(), 5);
        for (var contour : contours) {
            double x = (contour.heightM() - 0.0005) / 0.001;
            double[] xy = contour.xyM();
            for (int i = 0; i < xy.length; i += 2) {
                assertEquals(xy[i], x, 1e-9);
            }
            assertEquals(xy.length, 4 * (n - 1));
        }
    }

    /** thickness, early-entry, spacing at most and depth; STANDARDS 10.1: 30 thicknesses lie inside its ranges. */
    @DataProvider
    Object[][] slabs() {
        return new Object[][] {
            {6, false, 15.0, 1.5},
            {5, false, 12.5, 1.25},
            {4, true, 10.0, 1.0},
            {4, false, 10.0, 1.0},
            {8, false, 18.0, 2.0},
            {10, true, 18.0, 2.5},
        };
    }

    @Test(dataProvider = "slabs")
    public void saw_cuts_follow_the_thickness(int inches, boolean early, double feet, double depth) {
        var cuts = SawCuts.propose(new Corner(0, 0), new Corner(18, 10), inches * INCH, early, UnitSystem.US);
        assertEquals(cuts.atMost().value(), feet, 1e-9);
        assertEquals(cuts.depth().value(), depth, 1e-9);
        Formula.assertRecomputes(cuts.atMost());
        Formula.assertRecomputes(cuts.depth());
    }

    @Test
    public void panels_are_near_square_and_small_enough() {
        var random = new Random(9);
        for (int trial = 0; trial < 500; trial++) {
            double wide = 1 + random.nextDouble() * 60;
            double deep = 1 + random.nextDouble() * 60;
            var cuts = SawCuts.propose(
                    new Corner(2, 3),
                    new Corner(2 + wide, 3 + deep),
                    0.1 + random.nextDouble() * 0.15,
                    false,
                    UnitSystem.METRIC);
            double ratio =
                    Math.max(cuts.apartAcrossM(), cuts.apartUpM()) / Math.min(cuts.apartAcrossM(), cuts.apartUpM());
            assertTrue(ratio <= 1.5 + 1e-6, "ratio " + ratio);
            assertTrue(Math.max(cuts.apartAcrossM(), cuts.apartUpM())
                    <= cuts.atMost().base() + 1e-9);
            int across = (int) Math.round(wide / cuts.apartAcrossM());
            int up = (int) Math.round(deep / cuts.apartUpM());
            assertEquals(cuts.lines().size(), across - 1 + up - 1);
        }
    }

    @Test
    public void lines_of_a_grid_are_its_rows_and_columns_parted_at_gaps() {
        double[] h = new double[20];
        h[7] = Double.NaN;
        var lengths = new ArrayList<Integer>();
        new Heights(new Corner(0, 0), 0.3048, 5, h).lines().forEach(l -> lengths.add(l.length));
        // rows of 5: one has a gap after two, leaving two; columns of 4, one with its gap in the second place
        assertEquals(lengths, List.of(5, 5, 5, 4, 4, 4, 4));
    }

    @Test
    public void a_level_report_reads_in_the_jobs_units_with_its_working() {
        LevelReport report = LevelReport.of(Levels.of(bowl(41, 0.3048, INCH / 2)), List.of(), UnitSystem.US);
        assertEquals(report.range().text(), "0.50\u00a0in");
        assertEquals(report.spots().size(), 1);
        assertEquals(report.spots().get(0).depth(), "0.50\u00a0in");
        assertTrue(report.fNumbers().isPresent());
        assertTrue(
                report.contours().size() <= 9 && report.contours().size() >= 4,
                report.contours().size() + "");
        List.of(report.range(), report.ponding(), report.fill()).forEach(Formula::assertRecomputes);
        assertEquals(report.ponding().value(), report.fill().value(), 1e-6);
        var coarse = LevelReport.of(Levels.of(bowl(11, 1, 0.01)), List.of(), UnitSystem.METRIC);
        assertTrue(coarse.fNumbers().isEmpty());
        var flat = LevelReport.of(
                Levels.of(new Heights(new Corner(0, 0), 1, 3, new double[9])), List.of(), UnitSystem.METRIC);
        assertEquals(flat.contours(), List.of());
        assertEquals(flat.fill().value(), 0.0);
    }

    /**
     * A level floor 10 m square with its drain in the middle, falling 1:48 to it: the mean distance from the middle of a
     * square of side a is a·(√2 + ln(1 + √2))/6.
     */
    @Test
    public void a_floor_that_falls_to_its_drain_is_a_cone_over_it() {
        int n = 101;
        var flat = new Heights(new Corner(0, 0), 0.1, n, new double[n * n]);
        var levels = new Levels(flat, Optional.empty(), 1 / 48.0);
        LevelReport report = LevelReport.of(levels, List.of(new Corner(5, 5)), UnitSystem.METRIC);
        double litres = 1000 * 100 * 10 * (Math.sqrt(2) + Math.log(1 + Math.sqrt(2))) / 6 / 48;
        assertEquals(report.toDrain().orElseThrow().base(), litres, 1e-3 * litres);
        Formula.assertRecomputes(report.toDrain().get());
        assertEquals(LevelReport.of(levels, List.of(), UnitSystem.METRIC).toDrain(), Optional.empty());
    }

    /** A plane from 0 to -0.2 m filled to -0.1 m: a quarter of the wedge, and 100 mm of it to grind. */
    @Test
    public void a_floor_is_filled_to_the_height_that_was_chosen() {
        int n = 41;
        double[] h = new double[n * n];
        for (int i = 0; i < h.length; i++) {
            h[i] = -0.005 * (i % n);
        }
        var heights = new Heights(new Corner(0, 0), 0.25, n, h);
        LevelReport report = LevelReport.of(new Levels(heights, Optional.of(-0.1), 0), List.of(), UnitSystem.METRIC);
        assertEquals(report.fill().base(), 2500, 1e-6);
        assertEquals(report.toGrind().orElseThrow().base(), 0.1, 1e-9);
        List.of(report.fill(), report.toGrind().get()).forEach(Formula::assertRecomputes);
    }

    /** Straightedge and gap in inches; STANDARDS 2.1: 3/16 in over 10 ft passes, 1/4 in fails; 1/32 in under 12 in. */
    @DataProvider
    Object[][] gaps() {
        return new Object[][] {
            {120, 3 / 16.0, true, "0.1875\u00a0in, within 0.1875\u00a0in under 10 ft"},
            {120, 0.25, false, "0.250\u00a0in, more than 0.1875\u00a0in under 10 ft: fill or grind before resilient"},
            {12, 1 / 32.0, true, "0.03125\u00a0in, within 0.03125\u00a0in under 12 in"},
            {12, 1 / 16.0, false, "0.063\u00a0in, more than 0.03125\u00a0in under 12 in: fill or grind before resilient"
            },
            {72, 1 / 8.0, true, "0.125\u00a0in, within 0.1875\u00a0in under 10 ft so far; a 10 ft edge may show more"},
            {6, 1 / 8.0, true, "too short a straightedge: 12 in or 10 ft are judged"},
        };
    }

    @Test(dataProvider = "gaps")
    public void a_gap_under_a_straightedge_is_judged(double edge, double gap, boolean fits, String word) {
        Gap.GapCheck judged = new Gap("g", new Corner(0, 0), edge * INCH, gap * INCH).judge(UnitSystem.US);
        assertEquals(List.of(judged.fits(), judged.word()), List.of(fits, word));
        Formula.assertRecomputes(judged.gap());
    }

    /** Lip, then the level length of bevel or ramp and of grinding back, inches; STANDARDS 8.3, and 1/2 in about 18 in back. */
    @DataProvider
    Object[][] lips() {
        return new Object[][] {{0.25, 0, 0}, {0.375, 0.25, 13.5}, {0.5, 0.5, 18}, {4, 48, 144}};
    }

    @Test(dataProvider = "lips")
    public void a_lip_is_told_what_it_needs(double height, double level, double back) {
        Lip.LipCheck judged =
                new Lip("l", "Lip", new Corner(0, 0), new Corner(1, 0), height * INCH).judge(UnitSystem.US);
        assertEquals(judged.fits(), level == 0);
        if (level > 0) {
            assertEquals(judged.needs().get(0).value(), level, 1e-9);
            assertEquals(judged.needs().get(1).value(), back, 1e-9);
        }
        judged.needs().forEach(Formula::assertRecomputes);
    }

    /** Water by the plainest way there is: lower it everywhere until nothing changes. */
    private static double[] settled(double[] ground, int columns, boolean[] outlet) {
        double[] water = new double[ground.length];
        for (int i = 0; i < ground.length; i++) {
            water[i] = outlet[i] ? ground[i] : Double.POSITIVE_INFINITY;
        }
        boolean changed = true;
        while (changed) {
            changed = false;
            for (int i = 0; i < ground.length; i++) {
                double lowest = water[i];
                int column = i % columns;
                lowest = column > 0 ? Math.min(lowest, water[i - 1]) : lowest;
                lowest = column < columns - 1 ? Math.min(lowest, water[i + 1]) : lowest;
                lowest = i >= columns ? Math.min(lowest, water[i - columns]) : lowest;
                lowest = i + columns < ground.length ? Math.min(lowest, water[i + columns]) : lowest;
                double now = Math.max(ground[i], lowest);
                if (now < water[i]) {
                    water[i] = now;
                    changed = true;
                }
            }
        }
        return water;
    }

    @Test
    public void water_stands_where_the_plainest_reckoning_says() {
        var random = new Random(21);
        for (int trial = 0; trial < 200; trial++) {
            int columns = 2 + random.nextInt(14);
            int rows = 2 + random.nextInt(14);
            double[] ground = random.doubles(columns * rows, -0.02, 0.02).toArray();
            if (trial % 2 == 0) {
                // steps of a millimetre: many places lie equally high
                ground = Arrays.stream(ground)
                        .map(g -> Math.rint(g * 1000) / 1000)
                        .toArray();
            }
            boolean[] outlet = new boolean[ground.length];
            for (int i = 0; i < ground.length; i++) {
                int column = i % columns;
                int row = i / columns;
                outlet[i] = column == 0 || row == 0 || column == columns - 1 || row == rows - 1;
            }
            int drain = random.nextInt(ground.length);
            outlet[drain] = true;
            double[] water = settled(ground, columns, outlet);
            double litres = 0;
            double deepest = 0;
            for (int i = 0; i < ground.length; i++) {
                litres += (water[i] - ground[i]) * 1000;
                deepest = Math.max(deepest, water[i] - ground[i]);
            }
            var heights = new Heights(new Corner(0, 0), 1, columns, ground);
            List<Heights.LowSpot> spots = heights.lowSpots(List.of(new Corner(drain % columns, drain / columns)));
            assertEquals(spots.stream().mapToDouble(Heights.LowSpot::volumeL).sum(), litres, 1e-9, "trial " + trial);
            assertEquals(spots.isEmpty() ? 0 : spots.get(0).depthM(), deepest, 1e-12, "trial " + trial);
        }
    }

    @Test
    public void a_gap_in_the_readings_lets_water_out() {
        double[] bowl = {
            0, 0, 0, 0, 0,
            0, -1, -1, -1, 0,
            0, -1, -2, -1, 0,
            0, -1, -1, -1, 0,
            0, 0, 0, 0, 0
        };
        var closed = new Heights(new Corner(0, 0), 1, 5, bowl);
        assertEquals(closed.lowSpots(List.of()).get(0).volumeL(), 10_000, 1e-9);
        bowl[6] = Double.NaN;
        var open = new Heights(new Corner(0, 0), 1, 5, bowl);
        // it runs off over the gap's rim at -1 and stands 1 m deep in the middle only
        assertEquals(
                open.lowSpots(List.of()).stream()
                        .mapToDouble(Heights.LowSpot::volumeL)
                        .sum(),
                1_000,
                1e-9);
    }
}
