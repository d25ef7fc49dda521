package openslab.core.product;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import openslab.core.quantity.Require;

/**
 * A time at several temperatures, minutes. Between two listed temperatures log(time) is interpolated against temperature:
 * reaction rates follow exp(temperature) closely over a few kelvins (ASTM C1074's equivalent age, from memory). Outside
 * them the sheet says nothing, and so does the curve.
 */
public record TemperatureCurve(List<Point> points) {
    public record Point(double celsius, double minutes) {
        public Point {
            Require.positive(minutes, "minutes");
        }
    }

    public TemperatureCurve {
        var sorted = new ArrayList<>(points);
        sorted.sort(Comparator.comparingDouble(Point::celsius));
        Require.that(!sorted.isEmpty(), "a curve must have at least one point, got %s", points);
        for (int i = 1; i < sorted.size(); i++) {
            Require.that(
                    sorted.get(i).celsius > sorted.get(i - 1).celsius,
                    "a curve lists each temperature once, got %s °C twice",
                    sorted.get(i).celsius);
        }
        points = List.copyOf(sorted);
    }

    /** Whether the sheet says anything at {@code celsius}. */
    public boolean covers(double celsius) {
        return celsius >= points.get(0).celsius && celsius <= points.get(points.size() - 1).celsius;
    }

    /** @throws IllegalArgumentException outside the listed temperatures; ask {@link #covers} first */
    public double minutesAt(double celsius) {
        Require.that(covers(celsius), "%s °C is outside %s", celsius, points);
        Point above = above(celsius);
        Point below = below(celsius);
        if (above.celsius == below.celsius) {
            return below.minutes;
        }
        double share = (celsius - below.celsius) / (above.celsius - below.celsius);
        return Math.exp(Math.log(below.minutes) + share * Math.log(above.minutes / below.minutes));
    }

    /** The warmest listed point not above {@code celsius}. */
    public Point below(double celsius) {
        for (int i = points.size() - 1; i >= 0; i--) {
            if (points.get(i).celsius <= celsius) {
                return points.get(i);
            }
        }
        throw new IllegalArgumentException(celsius + " °C is below " + points);
    }

    /** The coolest listed point not below {@code celsius}. */
    public Point above(double celsius) {
        for (Point point : points) {
            if (point.celsius >= celsius) {
                return point;
            }
        }
        throw new IllegalArgumentException(celsius + " °C is above " + points);
    }
}
