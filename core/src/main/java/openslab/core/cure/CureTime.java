package openslab.core.cure;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import openslab.core.product.Clock;
import openslab.core.product.ProductSheet;
import openslab.core.product.TemperatureCurve;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * One of a sheet's times at the slab's temperature, or why there is none.
 *
 * @param minutes in the working as log-interpolated between the two listed temperatures
 * @param whyNot empty when there is a time
 */
public record CureTime(Clock clock, Optional<Figure> minutes, String whyNot) {
    private static final Source INTERPOLATED = Source.sheet(
            "listed times, log(time) interpolated over temperature (equivalent age after ASTM C1074, from memory)");

    public static CureTime of(ProductSheet sheet, Clock clock, double slabC, UnitSystem system) {
        Optional<TemperatureCurve> curve = sheet.curve(clock);
        if (curve.isEmpty()) {
            return new CureTime(clock, Optional.empty(), "The sheet gives no time.");
        }
        OptionalDouble minutes = Readiness.minutes(curve.get(), List.of(new Spell(0, slabC)));
        if (minutes.isEmpty()) {
            return new CureTime(clock, Optional.empty(), outside(curve.get(), slabC, system));
        }
        return new CureTime(clock, Optional.of(figure(clock, curve.get(), slabC, minutes.getAsDouble(), system)), "");
    }

    private static Figure figure(Clock clock, TemperatureCurve curve, double slabC, double minutes, UnitSystem system) {
        TemperatureCurve.Point cool = curve.below(slabC);
        TemperatureCurve.Point warm = curve.above(slabC);
        var w = new Worksheet(system);
        w.given("T", "slab", slabC, Unit.CELSIUS);
        w.given("T1", "listed temperature", cool.celsius(), Unit.CELSIUS);
        w.given("t1", "listed time", cool.minutes(), Unit.MINUTE);
        if (cool.equals(warm)) {
            return w.figure(clock.label(), "t", "t1", minutes, Unit.MINUTE, INTERPOLATED);
        }
        w.given("T2", "next listed temperature", warm.celsius(), Unit.CELSIUS);
        w.given("t2", "next listed time", warm.minutes(), Unit.MINUTE);
        String formula = "exp(ln(t1)+(T-T1)/(T2-T1)·ln(t2/t1))";
        return w.figure(clock.label(), "t", formula, minutes, Unit.MINUTE, INTERPOLATED);
    }

    private static String outside(TemperatureCurve curve, double slabC, UnitSystem system) {
        List<TemperatureCurve.Point> points = curve.points();
        return "The sheet lists "
                + Show.in(system, Dimension.TEMPERATURE, points.get(0).celsius()) + " to "
                + Show.in(
                        system,
                        Dimension.TEMPERATURE,
                        points.get(points.size() - 1).celsius()) + "; the slab is at "
                + Show.in(system, Dimension.TEMPERATURE, slabC) + ". No time is given outside the sheet.";
    }
}
