package openslab.core.survey;

import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * How many tests an area needs: {@code first} for the first {@code firstFt2}, then {@code more} for each further
 * {@code eachFt2} or part of it.
 */
public record TestCount(int first, double firstFt2, int more, double eachFt2, Source source) {
    /** A floor of exactly 1000 ft² needs no fourth test because of the last bit of a conversion. */
    private static final double ROUNDING_FT2 = 1e-6;

    /** One for the whole zone. */
    public static final TestCount ONE = new TestCount(1, 1e12, 0, 1, Source.ours("one for the zone"));

    public int of(double areaM2) {
        double beyondFt2 = Unit.SQUARE_FOOT.fromBase(areaM2) - firstFt2 - ROUNDING_FT2;
        return first + more * (int) Math.ceil(Math.max(0, beyondFt2) / eachFt2);
    }

    public Figure figure(double areaM2, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "area of the zone", Unit.SQUARE_FOOT.fromBase(areaM2), Unit.SQUARE_FOOT);
        if (more == 0) {
            return w.figure("tests needed", "n", Integer.toString(first), first, Unit.ONE, source);
        }
        String formula = first + "+" + more + "·ceil(max(0,A-" + (long) firstFt2 + ")/" + (long) eachFt2 + ")";
        return w.figure("tests needed", "n", formula, of(areaM2), Unit.ONE, source);
    }
}
