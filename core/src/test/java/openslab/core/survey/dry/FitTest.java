package openslab.core.survey.dry;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.testng.annotations.Test;

/** A slab that is known, read by probes that are noisy: does the fit find it again, and is it as sure as it says? */
public class FitTest {
    private static final double DAY = 86_400;
    private static final SlabFace SLAB = new SlabFace(0.1, false, 0.5, 20);
    private static final int TRIALS = 100;
    /** Nineteen in twenty of a normal spread. */
    private static final double BAND = 1.96;

    private static List<Fit.Point> read(double logD, double initial, Random noise, double... days) {
        Drying truth = SLAB.drying(Math.exp(logD), initial, 120);
        return DoubleStream.of(days)
                .mapToObj(day -> {
                    truth.advance(day * DAY);
                    double read = truth.at(0.04) + (noise == null ? 0 : Fit.READING * noise.nextGaussian());
                    return new Fit.Point(day * DAY, 0.04, read);
                })
                .toList();
    }

    private static Fit fit(List<Fit.Point> points) {
        return Fit.of(SLAB, points).orElseThrow();
    }

    /** Whatever was keyed in, there is an answer, and every draw of it can dry. */
    @Test
    public void no_readings_break_the_fit() {
        var random = new Random(9);
        for (int trial = 0; trial < 200; trial++) {
            var days = random.doubles(2 + random.nextInt(8), 0, 1500).sorted().toArray();
            var points = DoubleStream.of(days)
                    .mapToObj(day -> new Fit.Point(day * DAY, 0.1 * random.nextDouble(), random.nextDouble()))
                    .toList();
            Fit.of(SLAB, points).ifPresent(f -> f.draws(32)
                    .forEach(d -> assertTrue(Double.isFinite(d[0]) && d[1] <= 1, f.toString())));
        }
    }

    @Test
    public void what_was_put_in_lies_within_the_band_nineteen_times_in_twenty() {
        int diffusivities = 0;
        int beginnings = 0;
        for (int seed = 0; seed < TRIALS; seed++) {
            var random = new Random(seed);
            double logD = Fit.LOG_D + Fit.LOG_D_SPREAD * random.nextGaussian();
            double initial = Math.min(1, Fit.INITIAL + Fit.INITIAL_SPREAD * random.nextGaussian());
            Fit fit = fit(read(logD, initial, random, 40, 47, 54, 61, 75));
            diffusivities += Math.abs(fit.logD() - logD) <= BAND * Math.sqrt(fit.spread()[0][0]) ? 1 : 0;
            beginnings += Math.abs(fit.initial() - initial) <= BAND * Math.sqrt(fit.spread()[1][1]) ? 1 : 0;
        }
        System.out.printf(
                "fit of a drying slab, %d trials: diffusivity within its band %d times, beginning %d times%n",
                TRIALS, diffusivities, beginnings);
        assertTrue(diffusivities >= 90, diffusivities + " of " + TRIALS);
        assertTrue(beginnings >= 90, beginnings + " of " + TRIALS);
    }

    @Test
    public void many_true_readings_leave_little_doubt() {
        double[] often = DoubleStream.iterate(10, d -> d + 3).limit(80).toArray();
        double logD = Math.log(2e-10);
        Fit fit = fit(read(logD, 0.95, null, often));
        // what is commonly so still pulls a little
        assertEquals(fit.logD(), logD, 0.03);
        assertEquals(fit.initial(), 0.95, 0.003);
        Fit few = fit(read(logD, 0.95, null, 40, 47));
        assertTrue(few.spread()[0][0] > 4 * fit.spread()[0][0]);
    }

    @Test
    public void draws_are_spread_as_the_fit_says() {
        Fit fit = fit(read(Math.log(2e-10), 0.94, null, 30, 60, 90));
        List<double[]> draws = fit.draws(400);
        double mean = draws.stream().mapToDouble(d -> d[0]).average().orElseThrow();
        double variance =
                draws.stream().mapToDouble(d -> (d[0] - mean) * (d[0] - mean)).sum() / draws.size();
        double sigma = Math.sqrt(fit.spread()[0][0]);
        assertEquals(mean, fit.logD(), 0.05 * sigma);
        assertEquals(Math.sqrt(variance), sigma, 0.05 * sigma);
        assertTrue(draws.stream().allMatch(d -> d[1] <= 1));
    }

    @Test
    public void readings_that_follow_no_drying_lie_far_from_every_curve() {
        var stuck = List.of(
                new Fit.Point(30 * DAY, 0.04, 0.7),
                new Fit.Point(60 * DAY, 0.04, 0.95),
                new Fit.Point(90 * DAY, 0.04, 0.7));
        assertTrue(fit(stuck).worst() > 3);
    }
}
