package openslab.core.survey.map;

import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Require;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * What lies between readings, and how far that may be trusted: ordinary kriging with an exponential covariance
 * (Matheron 1963; Cressie, Statistics for Spatial Data, 1993, section 3.2; from memory). It passes through its readings.
 * A dozen readings seldom say how far likeness reaches, so several ranges are weighed by how well each foretells every
 * reading from all the others (Dubrule 1983, from memory), and their disagreement counts as doubt.
 */
public final class Kriging {
    /** Fewer readings have no spread to learn from (OURS). */
    public static final int LEAST = 3;

    /** Likeness reaches these, in typical distances from a reading to its nearest neighbour. */
    private static final double[] RANGES = {0.5, 1, 2, 4, 8, 16};

    /** Of a normal spread, two sigma hold this share: so do two of ours, whose scale was itself read from few readings. */
    private static final double TWO_SIGMA = 0.97725;

    /** @param sigma its standard deviation */
    public record Guess(double value, double sigma) {}

    private final List<MapPoint> points;
    private final double spacingM;
    private final OneRange[] models;
    private final double[] weights;
    private final double fewness;

    private Kriging(List<MapPoint> points) {
        this.points = List.copyOf(points);
        spacingM = spacing(points);
        models = Arrays.stream(RANGES)
                .mapToObj(r -> new OneRange(this.points, r * spacingM))
                .toArray(OneRange[]::new);
        double best = Arrays.stream(models).mapToDouble(m -> m.score).max().orElseThrow();
        weights =
                Arrays.stream(models).mapToDouble(m -> Math.exp(m.score - best)).toArray();
        double sum = Arrays.stream(weights).sum();
        Arrays.setAll(weights, i -> weights[i] / sum);
        fewness = new TDistribution(points.size() - 1).inverseCumulativeProbability(TWO_SIGMA) / 2;
    }

    /** @param points at least {@link #LEAST}, no two at one place */
    public static Kriging of(List<MapPoint> points) {
        Require.that(points.size() >= LEAST, "points must be at least 3, got %s", points.size());
        return new Kriging(points);
    }

    /** The middle one of the distances from each reading to its nearest neighbour, m. */
    private static double spacing(List<MapPoint> points) {
        double[] nearest = points.stream()
                .mapToDouble(a -> points.stream()
                        .filter(b -> b != a)
                        .mapToDouble(b -> distance(a.at(), b.at()))
                        .min()
                        .orElseThrow())
                .sorted()
                .toArray();
        double middle = nearest[nearest.length / 2];
        Require.positive(middle, "distance between readings");
        return middle;
    }

    private double weighed(ToDoubleFunction<OneRange> of) {
        double sum = 0;
        for (int i = 0; i < models.length; i++) {
            sum += weights[i] * of.applyAsDouble(models[i]);
        }
        return sum;
    }

    /** What the others say of each reading's place is off by this much, root mean square. */
    public double leaveOneOut() {
        double squares = 0;
        for (int i = 0; i < points.size(); i++) {
            int reading = i;
            double miss = weighed(m -> m.misses[reading]);
            squares += miss * miss;
        }
        return Math.sqrt(squares / points.size());
    }

    /** The ranges that were tried, and what each counts. */
    double[][] ranges() {
        double[] ranges = Arrays.stream(models).mapToDouble(m -> m.rangeM).toArray();
        return new double[][] {ranges, weights.clone()};
    }

    /**
     * How far from a reading it still speaks: where likeness has fallen to a half, and never further than the readings are
     * from one another (OURS).
     */
    public double reachM() {
        return Math.min(weighed(m -> m.rangeM) * Math.log(2), spacingM);
    }

    /** Whether a reading is within reach of {@code at}. */
    public boolean supports(Corner at) {
        return withinM(at) >= 0;
    }

    /** By how much a place lies within reach of a reading, m; below 0 where it lies beyond. */
    public double withinM(Corner at) {
        double nearest = Double.POSITIVE_INFINITY;
        for (MapPoint p : points) {
            nearest = Math.min(nearest, distance(p.at(), at));
        }
        return reachM() - nearest;
    }

    public Guess at(Corner at) {
        double value = 0;
        double square = 0;
        double variance = 0;
        for (int i = 0; i < models.length; i++) {
            double[] one = models[i].at(at);
            value += weights[i] * one[0];
            square += weights[i] * one[0] * one[0];
            variance += weights[i] * one[1];
        }
        double disagreement = Math.max(0, square - value * value);
        return new Guess(value, fewness * Math.sqrt(variance + disagreement));
    }

    static double distance(Corner a, Corner b) {
        return Math.hypot(a.x() - b.x(), a.y() - b.y());
    }
}
