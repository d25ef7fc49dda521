package openslab.core.survey.map;

import java.util.List;
import java.util.function.Function;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Shapes2D;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;

/**
 * A zone cut into small squares, each asked for its value.
 *
 * @param inside which of them lie in the zone
 * @param exact values as they came, for lines that are drawn through them
 * @param within by how much each is within reach, whatever the unit; beyond reach where it is below 0
 */
record Cells(SurveyMap.Grid grid, boolean[] inside, double[] exact, double[] within) {
    /** As many squares as are drawn one by one without being seen. */
    static final int FINE = 3600;

    /** As fine as a value is sent. */
    private static final double ROUNDED = 1000;

    /** @param within by how much a reading is near enough to say so; below 0 where none is */
    record Value(double value, double sigma, double within) {}

    /** @param count about how many squares */
    static Cells over(List<List<Corner>> zone, int count, Function<Corner, Value> ask) {
        var outer = Shapes2D.polygon(zone.get(0));
        var box = outer.getEnvelopeInternal();
        double step = Math.sqrt(box.getArea() / count);
        int columns = (int) Math.ceil(box.getWidth() / step) + 1;
        int rows = (int) Math.ceil(box.getHeight() / step) + 1;
        double[] values = new double[rows * columns];
        double[] sigmas = new double[rows * columns];
        boolean[] supported = new boolean[rows * columns];
        boolean[] inside = new boolean[rows * columns];
        double[] exact = new double[rows * columns];
        double[] reach = new double[rows * columns];
        var floor = new IndexedPointInAreaLocator(outer);
        for (int i = 0; i < values.length; i++) {
            var at = new Corner(box.getMinX() + (i % columns + 0.5) * step, box.getMinY() + (i / columns + 0.5) * step);
            Value value = ask.apply(at);
            values[i] = Math.round(value.value * ROUNDED) / ROUNDED;
            sigmas[i] = Math.round(value.sigma * ROUNDED) / ROUNDED;
            supported[i] = value.within >= 0;
            exact[i] = value.value;
            reach[i] = value.within;
            inside[i] = floor.locate(new Coordinate(at.x(), at.y())) == Location.INTERIOR;
        }
        return new Cells(
                new SurveyMap.Grid(box.getMinX(), box.getMinY(), step, columns, values, sigmas, supported),
                inside,
                exact,
                reach);
    }

    /** Share of the zone that no reading supports, percent. */
    double guessed() {
        return share(i -> !grid.supported()[i], i -> true);
    }

    /** Share of what is supported that is over {@code limit}, percent. */
    double over(double limit) {
        return share(i -> grid.values()[i] > limit, i -> grid.supported()[i]);
    }

    private double share(java.util.function.IntPredicate counts, java.util.function.IntPredicate of) {
        int all = 0;
        int some = 0;
        for (int i = 0; i < inside.length; i++) {
            if (inside[i] && of.test(i)) {
                all++;
                some += counts.test(i) ? 1 : 0;
            }
        }
        return all == 0 ? 0 : 100.0 * some / all;
    }
}
