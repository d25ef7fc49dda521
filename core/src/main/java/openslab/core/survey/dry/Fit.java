package openslab.core.survey.dry;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.special.Erf;
import org.hipparchus.util.Pair;

/**
 * What a probe's readings say of its place: how fast the concrete lets moisture through, and how wet it began. What is
 * commonly so counts as one more reading of each, so that few readings give a wide answer and not a wild one.
 *
 * @param logD natural logarithm of the diffusivity at saturation, m²/s, at the slab's temperature so far
 * @param initial pore humidity when the drying began, share
 * @param spread how sure each is: covariance of (logD, initial)
 * @param worst how far the farthest reading lies from the curve, in spreads of a reading
 */
record Fit(double logD, double initial, double[][] spread, double worst) {
    /** A probe repeats to about 2 % of humidity: common practice, no source. */
    static final double READING = 0.02;

    /** Between a concrete of 20 and one of 60 MPa by the model code; twice either way is common. */
    static final double LOG_D = Math.log(Diffusivity.saturated(38));

    static final double LOG_D_SPREAD = Math.log(2);
    /** Concrete just closed, some of its water already bound: ours. */
    static final double INITIAL = 0.96;

    static final double INITIAL_SPREAD = 0.025;

    /** Coarser than the drying itself needs, and still ten times finer than a probe reads. */
    static final int CELLS = 30;

    private static final double LOG_STEP = 0.01;
    private static final double INITIAL_STEP = 0.002;
    private static final int MOST_ROUNDS = 100;

    /** One reading: seconds since the drying began, how deep, and what it read, share. */
    record Point(double atS, double depthM, double humidity) {}

    /**
     * @param points in the order they were read
     * @return empty where no curve can be settled on
     */
    static Optional<Fit> of(SlabFace slab, List<Point> points) {
        int n = points.size();
        var target = new double[n + 2];
        for (int i = 0; i < n; i++) {
            target[i] = points.get(i).humidity / READING;
        }
        target[n] = LOG_D / LOG_D_SPREAD;
        target[n + 1] = INITIAL / INITIAL_SPREAD;
        var problem = new LeastSquaresBuilder()
                .start(new double[] {LOG_D, INITIAL})
                .target(target)
                .model(theta -> valueAndSlope(slab, points, theta))
                .parameterValidator(Fit::possible)
                .maxEvaluations(MOST_ROUNDS)
                .maxIterations(MOST_ROUNDS)
                .lazyEvaluation(false)
                .build();
        try {
            return Optional.of(of(
                    new LevenbergMarquardtOptimizer()
                            .withCostRelativeTolerance(1e-6)
                            .withParameterRelativeTolerance(1e-6)
                            .optimize(problem),
                    n));
        } catch (MathRuntimeException e) {
            return Optional.empty();
        }
    }

    private static Fit of(LeastSquaresOptimizer.Optimum best, int readings) {
        double worst = 0;
        for (int i = 0; i < readings; i++) {
            worst = Math.max(worst, Math.abs(best.getResiduals().getEntry(i)));
        }
        return new Fit(
                best.getPoint().getEntry(0),
                best.getPoint().getEntry(1),
                best.getCovariances(1e-14).getData(),
                worst);
    }

    /** Pairs of (logD, initial) spread as sure as this fit is, the same every time. */
    List<double[]> draws(int count) {
        double a = Math.sqrt(spread[0][0]);
        double b = spread[0][1] / a;
        double c = Math.sqrt(Math.max(0, spread[1][1] - b * b));
        return IntStream.rangeClosed(1, count)
                .mapToObj(k -> {
                    double z1 = normal(halton(k, 2));
                    double z2 = normal(halton(k, 3));
                    return new double[] {logD + a * z1, Math.min(1, initial + b * z1 + c * z2)};
                })
                .toList();
    }

    /** The k-th of a series that fills 0 to 1 evenly, by Halton. */
    private static double halton(int k, int base) {
        double value = 0;
        double digit = 1.0 / base;
        for (int rest = k; rest > 0; rest /= base) {
            value += rest % base * digit;
            digit /= base;
        }
        return value;
    }

    private static double normal(double share) {
        return Math.sqrt(2) * Erf.erfInv(2 * share - 1);
    }

    private static RealVector possible(RealVector theta) {
        var within = theta.copy();
        within.setEntry(0, Math.max(LOG_D - 4, Math.min(LOG_D + 4, theta.getEntry(0))));
        within.setEntry(1, Math.max(0.5, Math.min(1, theta.getEntry(1))));
        return within;
    }

    private static Pair<RealVector, RealMatrix> valueAndSlope(SlabFace slab, List<Point> points, RealVector theta) {
        double logD = theta.getEntry(0);
        double initial = theta.getEntry(1);
        double[] here = model(slab, points, logD, initial);
        double[] faster = model(slab, points, logD + LOG_STEP, initial);
        double[] drier = model(slab, points, logD, initial - INITIAL_STEP);
        var slope = new double[here.length][2];
        for (int i = 0; i < here.length; i++) {
            slope[i][0] = (faster[i] - here[i]) / LOG_STEP;
            slope[i][1] = (here[i] - drier[i]) / INITIAL_STEP;
        }
        return new Pair<>(new ArrayRealVector(here, false), new Array2DRowRealMatrix(slope, false));
    }

    private static double[] model(SlabFace slab, List<Point> points, double logD, double initial) {
        Drying drying = slab.drying(Math.exp(logD), initial, CELLS);
        double[] values = new double[points.size() + 2];
        for (int i = 0; i < points.size(); i++) {
            drying.advance(points.get(i).atS);
            values[i] = drying.at(points.get(i).depthM) / READING;
        }
        values[points.size()] = logD / LOG_D_SPREAD;
        values[points.size() + 1] = initial / INITIAL_SPREAD;
        return values;
    }
}
