package openslab.core.floor.walk;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Refusal;
import openslab.core.quantity.Require;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Corners from more measures than they need, by least squares (Gauss-Newton on the observation equations, as in Ghilani,
 * <em>Adjustment Computations</em>, chapters on trilateration and traverse networks; from memory). The first corner is
 * where it is; the bearing of the first run is kept. Every measure has a spread, and what is left over after the
 * adjustment, over its own expected spread, tells which was most likely misread (Baarda's data snooping).
 */
final class Network {
    /** What a tape and an eye do, ours: 1/8 in and one in two thousand; half a degree for a corner. */
    private static final double TAPE_M = 0.003;

    private static final double TAPE_RATIO = 1.0 / 2000;
    private static final double EYE = Math.toRadians(0.5);
    private static final int MOST_CORNERS = 150;
    private static final int MOST_ROUNDS = 50;
    private static final double CLOSE_ENOUGH_M = 1e-10;

    /** @param corners adjusted; {@code residuals} of every measure, in the order walked, checks last */
    record Adjusted(List<Corner> corners, List<Residual> residuals, int redundancy) {}

    /** One equation: a distance between two corners, or the turn at one. */
    private record Measure(String id, Residual.Kind kind, int before, int from, int to, double value, double sigma) {}

    private final List<Run> runs;
    private final List<Measure> measures = new ArrayList<>();
    private final double[] x;
    private final double[] y;

    private Network(List<Run> runs, List<Check> checks, List<Corner> start) {
        this.runs = runs;
        int n = runs.size();
        x = start.stream().mapToDouble(Corner::x).toArray();
        y = start.stream().mapToDouble(Corner::y).toArray();
        for (int i = 0; i < n; i++) {
            Run run = runs.get(i);
            measures.add(
                    new Measure(run.id(), Residual.Kind.LENGTH, 0, i, (i + 1) % n, run.lengthM(), tape(run.lengthM())));
        }
        for (int i = 1; i < n; i++) {
            measures.add(new Measure(
                    runs.get(i).id(),
                    Residual.Kind.TURN,
                    i - 1,
                    i,
                    (i + 1) % n,
                    runs.get(i).turn(),
                    EYE));
        }
        for (Check check : checks) {
            measures.add(new Measure(
                    check.id(),
                    Residual.Kind.CHECK,
                    0,
                    check.from(),
                    check.to(),
                    check.lengthM(),
                    tape(check.lengthM())));
        }
    }

    private static double tape(double lengthM) {
        return TAPE_M + lengthM * TAPE_RATIO;
    }

    /**
     * @param start corners near the truth: the walk with its misclosure shared out
     * @throws Refusal when the measures contradict one another so much that nothing fits
     */
    static Adjusted adjust(List<Run> runs, List<Check> checks, List<Corner> start) {
        Require.that(
                runs.size() <= MOST_CORNERS,
                "corners must be at most " + MOST_CORNERS + " where checks are adjusted, got %s",
                runs.size());
        try {
            return new Network(runs, checks, start).solve();
        } catch (MathRuntimeException e) {
            throw new Refusal(
                    "measures-contradict",
                    "These measures cannot all be of one floor.",
                    "Measure the checks again, or take one out.");
        }
    }

    private int unknowns() {
        return 2 * runs.size() - 3;
    }

    /** The column of a corner's x (or, one on, y); -1 where it is held. The second corner moves along the first run only. */
    private int column(int corner) {
        return corner < 2 ? -1 : 2 * corner - 3;
    }

    private Adjusted solve() {
        double bearing = runs.get(0).turn();
        int n = runs.size();
        RealMatrix normal = null;
        RealMatrix design = null;
        for (int round = 0; round < MOST_ROUNDS; round++) {
            design = new Array2DRowRealMatrix(measures.size(), unknowns());
            var misfit = new ArrayRealVector(measures.size());
            for (int m = 0; m < measures.size(); m++) {
                linearize(measures.get(m), m, design, misfit, bearing);
            }
            normal = design.transposeMultiply(design);
            RealVector step = new CholeskyDecomposition(normal).getSolver().solve(design.preMultiply(misfit));
            x[1] += step.getEntry(0) * Math.cos(bearing);
            y[1] += step.getEntry(0) * Math.sin(bearing);
            for (int i = 2; i < n; i++) {
                x[i] += step.getEntry(column(i));
                y[i] += step.getEntry(column(i) + 1);
            }
            if (step.getLInfNorm() < CLOSE_ENOUGH_M) {
                return adjusted(design, normal);
            }
        }
        throw new Refusal(
                "measures-contradict",
                "These measures cannot all be of one floor.",
                "Measure the checks again, or take one out.");
    }

    /** Row {@code m}: the measure's slope by every unknown and how far it is off, both over its spread. */
    private void linearize(Measure measure, int m, RealMatrix design, RealVector misfit, double bearing) {
        double dx = x[measure.to] - x[measure.from];
        double dy = y[measure.to] - y[measure.from];
        double d = Math.hypot(dx, dy);
        double off;
        if (measure.kind == Residual.Kind.TURN) {
            double bx = x[measure.from] - x[measure.before];
            double by = y[measure.from] - y[measure.before];
            double b2 = bx * bx + by * by;
            // a bearing changes across its run: -dy/d² by x, dx/d² by y
            slope(design, m, measure.to, -dy / (d * d), dx / (d * d), measure.sigma, bearing);
            slope(design, m, measure.from, dy / (d * d) + by / b2, -dx / (d * d) - bx / b2, measure.sigma, bearing);
            slope(design, m, measure.before, -by / b2, bx / b2, measure.sigma, bearing);
            off = wrapped(measure.value - turned(measure));
        } else {
            slope(design, m, measure.to, dx / d, dy / d, measure.sigma, bearing);
            slope(design, m, measure.from, -dx / d, -dy / d, measure.sigma, bearing);
            off = measure.value - d;
        }
        misfit.setEntry(m, off / measure.sigma);
    }

    private void slope(RealMatrix design, int row, int corner, double byX, double byY, double sigma, double bearing) {
        if (corner == 1) {
            design.addToEntry(row, 0, (byX * Math.cos(bearing) + byY * Math.sin(bearing)) / sigma);
        } else if (corner > 1) {
            design.addToEntry(row, column(corner), byX / sigma);
            design.addToEntry(row, column(corner) + 1, byY / sigma);
        }
    }

    private double turned(Measure measure) {
        double in = Math.atan2(y[measure.from] - y[measure.before], x[measure.from] - x[measure.before]);
        double out = Math.atan2(y[measure.to] - y[measure.from], x[measure.to] - x[measure.from]);
        return out - in;
    }

    static double wrapped(double angle) {
        return Math.IEEEremainder(angle, 2 * Math.PI);
    }

    private Adjusted adjusted(RealMatrix design, RealMatrix normal) {
        RealMatrix cofactor = MatrixUtils.inverse(normal);
        var residuals = new ArrayList<Residual>(measures.size());
        for (int m = 0; m < measures.size(); m++) {
            Measure measure = measures.get(m);
            double value = measure.kind == Residual.Kind.TURN
                    ? measure.value - wrapped(measure.value - turned(measure))
                    : Math.hypot(x[measure.to] - x[measure.from], y[measure.to] - y[measure.from]);
            double[] row = design.getRow(m);
            // what share of an error in this measure shows in its own residual: 0 where nothing checks it
            double checked = 1 - new ArrayRealVector(row).dotProduct(cofactor.operate(new ArrayRealVector(row)));
            double standardized = checked < 1e-6 ? 0 : (value - measure.value) / (measure.sigma * Math.sqrt(checked));
            residuals.add(new Residual(measure.id, measure.kind, measure.value, value, standardized));
        }
        var corners = new ArrayList<Corner>(x.length);
        for (int i = 0; i < x.length; i++) {
            corners.add(new Corner(x[i], y[i]));
        }
        return new Adjusted(List.copyOf(corners), List.copyOf(residuals), measures.size() - unknowns());
    }
}
