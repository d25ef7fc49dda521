package openslab.core.survey.map;

import java.util.Arrays;
import java.util.List;
import openslab.core.floor.Outline.Corner;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/** Ordinary kriging with an exponential covariance that reaches one given range. */
final class OneRange {
    /** A jitter on the diagonal, share of the variance: keeps places that nearly coincide solvable. */
    private static final double JITTER = 1e-10;

    final double rangeM;
    /** By how much each reading is off what all the others say of its place. */
    final double[] misses;
    /** How well each reading was foretold from the others, as a log likelihood; the scale follows from the readings. */
    final double score;

    private final List<MapPoint> spots;
    private final RealMatrix inverse;
    private final double[] weights;
    private final double sill;

    OneRange(List<MapPoint> spots, double rangeM) {
        this.spots = spots;
        this.rangeM = rangeM;
        int n = spots.size();
        var system = MatrixUtils.createRealMatrix(n + 1, n + 1);
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                system.setEntry(i, j, likeness(spots.get(i).at(), spots.get(j).at()) + (i == j ? JITTER : 0));
            }
            system.setEntry(i, n, 1);
            system.setEntry(n, i, 1);
        }
        inverse = new LUDecomposition(system, 0).getSolver().getInverse();
        double[] values = new double[n + 1];
        Arrays.setAll(values, i -> i < n ? spots.get(i).value() : 0);
        weights = inverse.operate(values);
        misses = new double[n];
        double scaled = 0;
        double logs = 0;
        for (int i = 0; i < n; i++) {
            misses[i] = weights[i] / inverse.getEntry(i, i);
            scaled += misses[i] * misses[i] * inverse.getEntry(i, i);
            logs += Math.log(inverse.getEntry(i, i));
        }
        sill = scaled / n;
        score = 0.5 * logs - 0.5 * n * Math.log(Math.max(sill, 1e-300));
    }

    /** @return the value, and its variance */
    double[] at(Corner at) {
        int n = spots.size();
        double[] likeness = new double[n + 1];
        double value = weights[n];
        for (int i = 0; i < n; i++) {
            likeness[i] = likeness(spots.get(i).at(), at);
            value += likeness[i] * weights[i];
        }
        likeness[n] = 1;
        double[] solved = inverse.operate(likeness);
        double explained = 0;
        for (int i = 0; i <= n; i++) {
            explained += likeness[i] * solved[i];
        }
        return new double[] {value, Math.max(0, sill * (1 - explained))};
    }

    private double likeness(Corner a, Corner b) {
        return Math.exp(-Kriging.distance(a, b) / rangeM);
    }
}
