package openslab.core.survey.map;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import openslab.core.floor.Outline.Corner;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The interpolator against what it claims of itself, on fields whose truth is known. */
public class KrigingTest {
    private static final double SIDE_M = 20;
    private static final int PROBES = 300;

    /** Drawn from the model it assumes: exponential likeness over {@code rangeM}, spread 4 about 70. */
    private static double[] field(List<Corner> at, double rangeM, Random random) {
        int n = at.size();
        var covariance = MatrixUtils.createRealMatrix(n, n);
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                double d = Math.hypot(
                        at.get(i).x() - at.get(j).x(), at.get(i).y() - at.get(j).y());
                covariance.setEntry(i, j, 16 * Math.exp(-d / rangeM) + (i == j ? 1e-9 : 0));
            }
        }
        double[] noise = random.doubles(n).map(u -> 0).toArray();
        for (int i = 0; i < n; i++) {
            noise[i] = random.nextGaussian();
        }
        double[] values = new CholeskyDecomposition(covariance).getL().operate(noise);
        for (int i = 0; i < n; i++) {
            values[i] += 70;
        }
        return values;
    }

    private static Corner anywhere(Random random) {
        return new Corner(SIDE_M * random.nextDouble(), SIDE_M * random.nextDouble());
    }

    private record Known(List<MapPoint> spots, List<MapPoint> truth) {}

    private static Known known(int readings, double rangeM, long seed) {
        var random = new Random(seed);
        var at = new ArrayList<Corner>();
        for (int i = 0; i < readings + PROBES; i++) {
            at.add(anywhere(random));
        }
        double[] values = field(at, rangeM, random);
        var all = new ArrayList<MapPoint>();
        for (int i = 0; i < values.length; i++) {
            all.add(new MapPoint("p" + i, at.get(i), values[i]));
        }
        return new Known(List.copyOf(all.subList(0, readings)), List.copyOf(all.subList(readings, all.size())));
    }

    @Test
    public void it_passes_through_its_readings_and_is_sure_there() {
        for (int seed = 0; seed < 20; seed++) {
            Known known = known(12, 6, seed);
            Kriging kriging = Kriging.of(known.spots());
            for (MapPoint spot : known.spots()) {
                Kriging.Guess guess = kriging.at(spot.at());
                assertEquals(guess.value(), spot.value(), 1e-6);
                assertTrue(guess.sigma() < 1e-3, guess.toString());
                assertTrue(kriging.supports(spot.at()));
            }
        }
    }

    @Test
    public void what_the_others_say_is_what_it_says_without_that_one() {
        Known known = known(9, 5, 3);
        Kriging kriging = Kriging.of(known.spots());
        double squares = 0;
        for (MapPoint left : known.spots()) {
            var others = known.spots().stream().filter(s -> s != left).toList();
            double miss = left.value();
            double[][] ranges = kriging.ranges();
            for (int i = 0; i < ranges[0].length; i++) {
                miss -= ranges[1][i] * refitted(others, ranges[0][i], left.at());
            }
            squares += miss * miss;
        }
        assertEquals(kriging.leaveOneOut(), Math.sqrt(squares / known.spots().size()), 1e-6);
    }

    /** The same system written out again and solved at once, for one of the ranges. */
    private static double refitted(List<MapPoint> spots, double rangeM, Corner at) {
        int n = spots.size();
        var system = MatrixUtils.createRealMatrix(n + 1, n + 1);
        var right = MatrixUtils.createRealVector(new double[n + 1]);
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                system.setEntry(i, j, likeness(spots.get(i).at(), spots.get(j).at(), rangeM));
            }
            system.setEntry(i, n, 1);
            system.setEntry(n, i, 1);
            right.setEntry(i, likeness(spots.get(i).at(), at, rangeM));
        }
        right.setEntry(n, 1);
        var weights =
                new org.hipparchus.linear.QRDecomposition(system).getSolver().solve(right);
        double value = 0;
        for (int i = 0; i < n; i++) {
            value += weights.getEntry(i) * spots.get(i).value();
        }
        return value;
    }

    private static double likeness(Corner a, Corner b, double rangeM) {
        return Math.exp(-Math.hypot(a.x() - b.x(), a.y() - b.y()) / rangeM);
    }

    @DataProvider
    Object[][] fields() {
        return new Object[][] {{6, 3.0}, {12, 3.0}, {12, 8.0}, {30, 8.0}};
    }

    /** Where it says it is supported, the truth lies within two of its standard deviations nearly as often as it claims. */
    @Test(dataProvider = "fields")
    public void it_is_as_sure_as_it_should_be(int readings, double rangeM) {
        int within = 0;
        int supported = 0;
        int beyond = 0;
        double missed = 0;
        double guessed = 0;
        double leftOut = 0;
        int trials = 40;
        for (int seed = 0; seed < trials; seed++) {
            Known known = known(readings, rangeM, 100 + seed);
            Kriging kriging = Kriging.of(known.spots());
            leftOut += kriging.leaveOneOut();
            for (MapPoint truth : known.truth()) {
                Kriging.Guess guess = kriging.at(truth.at());
                double off = Math.abs(guess.value() - truth.value());
                double nearest = known.spots().stream()
                        .mapToDouble(s -> Math.hypot(
                                s.at().x() - truth.at().x(),
                                s.at().y() - truth.at().y()))
                        .min()
                        .orElseThrow();
                assertEquals(kriging.supports(truth.at()), nearest <= kriging.reachM());
                if (kriging.supports(truth.at())) {
                    supported++;
                    missed += off;
                    within += off <= 2 * guess.sigma() ? 1 : 0;
                } else {
                    beyond++;
                    guessed += off;
                }
            }
        }
        System.out.printf(
                "map of %d readings, likeness over %.0f m: left one out missed %.2f; within reach off by %.2f, beyond by %.2f; truth within two sigma %.1f %%%n",
                readings, rangeM, leftOut / trials, missed / supported, guessed / beyond, 100.0 * within / supported);
        assertTrue(within >= 0.88 * supported, within + " of " + supported);
        assertTrue(missed / supported < guessed / beyond, "no better within reach than beyond it");
    }

    /** Far from everything it falls back to the middle of what was read, as unsure as the readings are spread. */
    @Test
    public void far_away_it_knows_that_it_is_guessing() {
        Known known = known(12, 4, 8);
        Kriging kriging = Kriging.of(known.spots());
        Corner far = new Corner(500, 500);
        assertFalse(kriging.supports(far));
        double widest = known.truth().stream()
                .filter(t -> kriging.supports(t.at()))
                .mapToDouble(t -> kriging.at(t.at()).sigma())
                .max()
                .orElseThrow();
        assertTrue(kriging.at(far).sigma() > widest);
    }

    @Test
    public void a_floor_that_reads_the_same_everywhere_is_flat_and_still_has_a_reach() {
        var spots = List.of(
                new MapPoint("A", new Corner(0, 0), 70),
                new MapPoint("B", new Corner(4, 0), 70),
                new MapPoint("C", new Corner(0, 5), 70));
        Kriging kriging = Kriging.of(spots);
        assertEquals(kriging.at(new Corner(2, 2)).value(), 70, 1e-9);
        assertEquals(kriging.leaveOneOut(), 0, 1e-9);
        assertFalse(kriging.supports(new Corner(30, 30)));
    }
}
