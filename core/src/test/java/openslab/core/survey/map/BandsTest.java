package openslab.core.survey.map;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Random;
import java.util.function.DoubleBinaryOperator;
import org.testng.annotations.Test;

/** Fields whose areas and lines geometry knows. */
public class BandsTest {
    private static final double STEP = 0.1;

    private static double[] field(int columns, int rows, DoubleBinaryOperator of) {
        double[] values = new double[columns * rows];
        for (int i = 0; i < values.length; i++) {
            values[i] = of.applyAsDouble((i % columns + 0.5) * STEP, (i / columns + 0.5) * STEP);
        }
        return values;
    }

    /** Signed, so that holes take away. */
    private static double area(List<double[]> rings) {
        double twice = 0;
        for (double[] xy : rings) {
            for (int i = 0; i < xy.length; i += 2) {
                int j = (i + 2) % xy.length;
                twice += xy[i] * xy[j + 1] - xy[j] * xy[i + 1];
            }
        }
        return twice / 2;
    }

    private static boolean inside(List<double[]> rings, double x, double y) {
        boolean in = false;
        for (double[] xy : rings) {
            for (int i = 0; i < xy.length; i += 2) {
                int j = (i + 2) % xy.length;
                if (xy[i + 1] > y != xy[j + 1] > y
                        && x < (xy[j] - xy[i]) * (y - xy[i + 1]) / (xy[j + 1] - xy[i + 1]) + xy[i]) {
                    in = !in;
                }
            }
        }
        return in;
    }

    /** The area of a circle, and of a ring that is left when a smaller one is taken out of it. */
    @Test
    public void a_hill_is_cut_in_circles_and_a_crater_in_rings() {
        double[] hill = field(60, 60, (x, y) -> 10 - Math.hypot(x - 3, y - 3));
        List<double[]> top = new Bands(0, 0, STEP, 60, hill).atLeast(8);
        assertEquals(top.size(), 1);
        assertEquals(area(top), Math.PI * 4, 0.05);
        for (int i = 0; i < top.get(0).length; i += 2) {
            assertEquals(Math.hypot(top.get(0)[i] - 3, top.get(0)[i + 1] - 3), 2, 0.01);
        }
        double[] crater = field(60, 60, (x, y) -> 1 - Math.abs(Math.hypot(x - 3, y - 3) - 1.5));
        List<double[]> rim = new Bands(0, 0, STEP, 60, crater).atLeast(0.5);
        assertEquals(rim.size(), 2);
        assertEquals(area(rim), Math.PI * (4 - 1), 0.08);
    }

    @Test
    public void everything_is_drawn_to_past_the_edge_and_nothing_where_nothing_is_so_much() {
        double[] even = field(20, 10, (x, y) -> 3);
        List<double[]> all = new Bands(0, 0, STEP, 20, even).atLeast(Double.NEGATIVE_INFINITY);
        assertEquals(all.size(), 1);
        for (double[] corner : new double[][] {{0, 0}, {2, 0}, {2, 1}, {0, 1}}) {
            assertTrue(inside(all, corner[0], corner[1]), corner[0] + " " + corner[1]);
        }
        assertTrue(new Bands(0, 0, STEP, 20, even).atLeast(3.1).isEmpty());
    }

    /** Of 300 rough fields, saddles and all: the middle of a cell lies in a band exactly where its value says so. */
    @Test
    public void every_middle_lies_on_the_side_of_the_line_that_its_value_says() {
        var random = new Random(12);
        for (int trial = 0; trial < 300; trial++) {
            int columns = 2 + random.nextInt(12);
            int rows = 2 + random.nextInt(12);
            double[] values = field(columns, rows, (x, y) -> random.nextInt(100));
            double least = random.nextInt(100) + 0.5;
            List<double[]> rings = new Bands(0, 0, 1, columns, values).atLeast(least);
            for (int i = 0; i < values.length; i++) {
                double x = i % columns + 0.5;
                double y = i / columns + 0.5;
                assertEquals(inside(rings, x + 1e-4, y + 1e-4), values[i] >= least, trial + ": " + x + " " + y);
            }
            assertTrue(area(rings) >= 0, "what is in lies on the left");
        }
    }
}
