package openslab.core.quantity;

import java.util.ArrayList;
import java.util.List;

/**
 * Where arithmetic is done so that it can be shown: {@link #given} notes an input, {@link #let} notes a step and hands its
 * value back, {@link #figure} closes the sheet with the answer. The formula written is the formula run; a test evaluates
 * every line again from the lines above it.
 */
public final class Worksheet {
    private final UnitSystem system;
    private final List<Line> lines = new ArrayList<>();

    public Worksheet(UnitSystem system) {
        this.system = system;
    }

    /** Notes an input, {@code value} in {@code unit}. */
    public double given(String symbol, String meaning, double value, Unit unit) {
        lines.add(new Line(symbol, meaning, "", value, unit));
        return value;
    }

    /** Notes a step, {@code value} in {@code unit}. */
    public double let(String symbol, String meaning, String formula, double value, Unit unit) {
        lines.add(new Line(symbol, meaning, formula, value, unit));
        return value;
    }

    /** Takes over the working of an earlier figure and names its answer {@code symbol}. */
    public double from(String symbol, Figure earlier) {
        return given(symbol, earlier.label(), earlier.value(), earlier.unit());
    }

    /** The last step, and with it the figure. */
    public Figure figure(String label, String symbol, String formula, double value, Unit unit, Source source) {
        let(symbol, label, formula, value, unit);
        return new Figure(label, value, unit, system, lines, source);
    }
}
