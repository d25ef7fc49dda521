package openslab.core.silica;

import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** The air that a vacuum has to draw through the shroud of a handheld grinder. */
public final class Airflow {
    /** Cubic feet a minute for every inch of wheel. */
    private static final double CFM_PER_INCH = 25;

    private static final Source TABLE_1 =
            Source.published("OSHA 29 CFR 1926.1153 Table 1: at least 25 cfm per inch of wheel diameter, from memory");

    private Airflow() {}

    /** @param wheelM diameter of the wheel, m */
    public static Figure atLeast(double wheelM, UnitSystem system) {
        var w = new Worksheet(system);
        double d = w.given("d", "wheel", Unit.INCH.fromBase(wheelM), Unit.INCH);
        w.given("k", "cfm for each inch of it", CFM_PER_INCH, Unit.ONE);
        return w.figure(
                "air at the shroud, at least", "q", "k·d", CFM_PER_INCH * d, Unit.CUBIC_FOOT_PER_MINUTE, TABLE_1);
    }
}
