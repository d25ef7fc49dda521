package openslab.core.floor.level;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * Flatness and levelness from lines of heights one foot apart, by ASTM E1155 (from memory): FF from the bends between
 * neighbouring steps, FL from the falls over ten feet. Several lines are pooled; that is ours.
 *
 * @param flatness empty with fewer than two bends
 * @param levelness empty with fewer than two falls
 */
public record FNumbers(Optional<Figure> flatness, Optional<Figure> levelness) {
    private static final Source E1155 = Source.published("ASTM E1155, from memory; arithmetic only, no acceptance");
    private static final int TEN_FEET = 10;

    /** @param lines heights in metres, 1 ft apart along each */
    public static FNumbers of(List<double[]> lines, UnitSystem system) {
        var bends = new ArrayList<Double>();
        var falls = new ArrayList<Double>();
        for (double[] h : lines) {
            for (int i = 2; i < h.length; i++) {
                bends.add(inches(h[i] - 2 * h[i - 1] + h[i - 2]));
            }
            for (int i = TEN_FEET; i < h.length; i++) {
                falls.add(inches(h[i] - h[i - TEN_FEET]));
            }
        }
        return new FNumbers(
                figure("flatness FF", "q", "bends between steps of 1 ft", bends, 4.57, system),
                figure("levelness FL", "D", "falls over 10 ft", falls, 12.5, system));
    }

    private static double inches(double metres) {
        return Unit.INCH.fromBase(metres);
    }

    private static Optional<Figure> figure(
            String label, String symbol, String what, List<Double> data, double factor, UnitSystem system) {
        if (data.size() < 2) {
            return Optional.empty();
        }
        double mean = data.stream().mapToDouble(d -> d).average().orElseThrow();
        double squares = data.stream().mapToDouble(d -> (d - mean) * (d - mean)).sum();
        double spread = Math.sqrt(squares / (data.size() - 1));
        double size = 3 * spread + Math.abs(mean);
        if (size < 1e-9) {
            return Optional.empty();
        }
        var w = new Worksheet(system);
        w.given("n", what, data.size(), Unit.ONE);
        w.given("m", "their mean, without its sign", Math.abs(mean), Unit.INCH);
        w.given("Q", "squares of what differs from it, added up, in²", squares, Unit.ONE);
        w.let("S", "their spread", "(Q/(n-1))^0.5", spread, Unit.INCH);
        return Optional.of(w.figure(label, "F" + symbol, factor + "/(3·S+m)", factor / size, Unit.ONE, E1155));
    }

    /** Of two areas together: √((A+B)/(A/F² + B/G²)), as commonly printed for the standard; from memory. */
    public static double combined(double area, double f, double otherArea, double otherF) {
        return Math.sqrt((area + otherArea) / (area / (f * f) + otherArea / (otherF * otherF)));
    }
}
