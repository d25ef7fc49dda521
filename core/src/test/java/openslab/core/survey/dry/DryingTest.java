package openslab.core.survey.dry;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import openslab.core.Cases;
import org.hipparchus.special.Erf;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The drying of a slab against the series and the short-time form of a textbook. */
public class DryingTest {
    private static final double DAY = 86_400;
    /** A thousandth of the difference between slab and air. */
    private static final double TOLERANCE = 1e-3;

    @DataProvider
    Object[][] crank() {
        return Cases.read("crank-plane-sheet.csv");
    }

    @Test(dataProvider = "crank")
    public void one_open_face_follows_the_series(Cases c) {
        assertSeries(c, new Drying(1, false, Diffusivity.constant(1), 1, 0), 1);
    }

    @Test(dataProvider = "crank")
    public void two_open_faces_are_half_as_thick(Cases c) {
        assertSeries(c, new Drying(2, true, Diffusivity.constant(1), 1, 0), 1);
    }

    private static void assertSeries(Cases c, Drying drying, double path) {
        drying.advance(c.number("fo"));
        assertEquals(drying.mean(), c.number("mean"), TOLERANCE);
        assertEquals(drying.at(path), c.number("base"), TOLERANCE);
        assertEquals(drying.at(0.4 * path), c.number("depth40"), TOLERANCE);
        assertEquals(drying.at(0.2 * path), c.number("depth20"), TOLERANCE);
    }

    /** STANDARDS 10.5: 20 mm deep after 30 days at 1e-10 m²/s, 0.62028 by the error function; and at other depths. */
    @Test
    public void a_deep_slab_begins_as_the_error_function_says() {
        var drying = new Drying(0.15, false, Diffusivity.constant(1e-10), 1, 0);
        drying.advance(30 * DAY);
        assertEquals(drying.at(0.020), 0.62028, TOLERANCE);
        for (double depth = 0.005; depth < 0.08; depth += 0.005) {
            double expected = Erf.erf(depth / (2 * Math.sqrt(1e-10 * 30 * DAY)));
            assertEquals(drying.at(depth), expected, TOLERANCE, depth + " m");
        }
    }

    /** STANDARDS 10.5: 100 mm from 0.97 in air of 0.50; at 40 % depth, and the day it is down to 0.80. */
    @Test
    public void a_slab_of_a_hand_reaches_eighty_percent_in_sixteen_weeks() {
        double[] days = {30, 60, 90, 180};
        double[] humidity = {0.9329, 0.8694, 0.8241, 0.7456};
        var drying = new Drying(0.1, false, Diffusivity.constant(1e-10), 0.97, 0.5);
        for (int i = 0; i < days.length; i++) {
            drying.advance(days[i] * DAY);
            assertEquals(drying.at(0.04), humidity[i], 0.47 * TOLERANCE);
        }
        var again = new Drying(0.1, false, Diffusivity.constant(1e-10), 0.97, 0.5);
        assertEquals(again.reaches(0.04, 0.8, 400 * DAY) / DAY, 111.2, 0.3);
        assertEquals(
                new Drying(0.1, false, Diffusivity.constant(1e-10), 0.97, 0.85).reaches(0.04, 0.8, 999 * DAY),
                Double.POSITIVE_INFINITY);
    }

    @DataProvider
    Object[][] diffusivities() {
        return Cases.read("diffusivity.csv");
    }

    @Test(dataProvider = "diffusivities")
    public void diffusivity_falls_as_the_pores_empty(Cases c) {
        assertEquals(Diffusivity.modelCode(1).at(c.number("humidity")), c.number("ratio"), c.number("tolerance"));
        assertEquals(Diffusivity.saturated(38), 3.333e-10, 5e-14);
    }

    /** Against the same equation on a much finer grid, since no series is known for it. */
    @Test
    public void a_finer_grid_changes_little_and_less_each_time() {
        for (Diffusivity d : new Diffusivity[] {Diffusivity.constant(3e-10), Diffusivity.modelCode(3e-10)}) {
            double[] at = new double[6];
            for (int i = 0; i < at.length; i++) {
                var drying = new Drying(0.1, false, d, 0.97, 0.5, 15 << i);
                drying.advance(60 * DAY);
                at[i] = drying.at(0.04);
            }
            double coarse = Math.abs(at[1] - at[5]);
            double fine = Math.abs(at[3] - at[5]);
            System.out.printf(
                    "drying, %s: error at 30, 60, 120 cells %.1e %.1e %.1e, order %.2f%n",
                    d.alpha() == 1 ? "constant diffusivity" : "model code",
                    coarse,
                    Math.abs(at[2] - at[5]),
                    fine,
                    Math.log(coarse / fine) / Math.log(4));
            assertTrue(Math.abs(at[2] - at[5]) < 0.47 * TOLERANCE, "60 cells");
            assertTrue(fine < coarse);
        }
    }

    @Test
    public void a_copy_goes_its_own_way() {
        var drying = new Drying(0.1, false, Diffusivity.modelCode(3e-10), 0.96, 0.5);
        drying.advance(40 * DAY);
        Drying same = drying.copy();
        Drying warmer = drying.copy();
        Drying damper = drying.copy();
        warmer.change(2, 0.5);
        damper.change(1, 0.8);
        for (Drying each : new Drying[] {drying, same, warmer, damper}) {
            each.advance(80 * DAY);
            assertEquals(each.elapsedS(), 80 * DAY, 1e-3);
        }
        assertEquals(same.at(0.04), drying.at(0.04), 1e-12);
        assertTrue(warmer.at(0.04) < drying.at(0.04));
        assertTrue(damper.at(0.04) > drying.at(0.04));
        // twice as fast for as long again is where twice the time leads
        drying.advance(120 * DAY);
        assertEquals(warmer.at(0.04), drying.at(0.04), 5e-4);
    }

    /** Q 4700 K: from 20 to 30 °C by exp(4700·(1/293.15 - 1/303.15)) = 1.697. */
    @Test
    public void warm_concrete_lets_more_through() {
        assertEquals(Diffusivity.constant(1).warmedTo(30).d1(), 1.697, 0.001);
        assertEquals(Diffusivity.constant(1).warmedTo(20).d1(), 1, 1e-12);
    }
}
