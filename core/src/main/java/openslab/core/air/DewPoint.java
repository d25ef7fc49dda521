package openslab.core.air;

import openslab.core.quantity.Figure;
import openslab.core.quantity.Require;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * Dew point (below 0 °C: frost point) of air and the margin of a slab above it. Relative humidity is over water at every
 * temperature, as hygrometers are calibrated and meteorologists report it (WMO-No. 8, vol. I, chapter 4, from memory); what
 * forms below the triple point is frost, whose point lies nearer to the air than dew's would. Alduchov and Eskridge, "Improved
 * Magnus form approximation of saturation vapor pressure", J. Appl. Meteor. 35 (1996) 601–609, water and ice forms (from
 * memory). Meant for −10…45 °C and 5…100 % RH.
 */
public final class DewPoint {
    static final Source MAGNUS =
            Source.published("Alduchov and Eskridge, J. Appl. Meteor. 35 (1996) 601–609, from memory");
    static final Source MARGIN = Source.published("ISO 8502-4, from memory: slab at least 3 °C (5 °F) above dew point");

    /** One surface's saturation pressure, e = scaleHpa · exp(b·T/(c+T)). */
    private record Magnus(double scaleHpa, double b, double c) {
        double pressureHpa(double celsius) {
            return scaleHpa * Math.exp(b * celsius / (c + celsius));
        }

        double temperatureC(double pressureHpa) {
            double gamma = Math.log(pressureHpa / scaleHpa);
            return c * gamma / (b - gamma);
        }
    }

    private static final Magnus WATER = new Magnus(6.1094, 17.625, 243.04);
    private static final Magnus ICE = new Magnus(6.1121, 22.587, 273.86);

    private DewPoint() {}

    /** Saturation vapour pressure over water, supercooled below 0 °C, hPa. */
    public static double saturationHpa(double celsius) {
        return WATER.pressureHpa(celsius);
    }

    /** Dew point or frost point, °C. */
    public static double celsius(double airC, double rhPct) {
        double vapour = vapourHpa(airC, rhPct);
        return overWater(vapour) ? WATER.temperatureC(vapour) : ICE.temperatureC(vapour);
    }

    /** The dew point with its working. */
    public static Figure figure(double airC, double rhPct, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("T", "air", airC, Unit.CELSIUS);
        w.given("RH", "relative humidity of the air", rhPct, Unit.PERCENT);
        double vapour = w.let(
                "e",
                "vapour pressure, hPa; humidity is over water",
                "RH/100·6.1094·exp(17.625·T/(243.04+T))",
                vapourHpa(airC, rhPct),
                Unit.ONE);
        Magnus side = overWater(vapour) ? WATER : ICE;
        w.let("γ", "its logarithm", "ln(e/" + side.scaleHpa + ")", Math.log(vapour / side.scaleHpa), Unit.ONE);
        String formula = side.c + "·γ/(" + side.b + "-γ)";
        return w.figure(
                side == ICE ? "frost point" : "dew point",
                "Td",
                formula,
                side.temperatureC(vapour),
                Unit.CELSIUS,
                MAGNUS);
    }

    /** How far the slab is above the dew point. */
    public static Figure margin(double airC, double rhPct, double slabC, UnitSystem system) {
        Figure dew = figure(airC, rhPct, system);
        var w = new Worksheet(system);
        dew.lines().forEach(line -> w.let(line.symbol(), line.meaning(), line.formula(), line.value(), line.unit()));
        w.given("Ts", "slab surface", slabC, Unit.CELSIUS);
        return w.figure("above dew point", "margin", "Ts-Td", slabC - dew.value(), Unit.KELVIN, MARGIN);
    }

    private static double vapourHpa(double airC, double rhPct) {
        Require.that(rhPct > 0 && rhPct <= 100, "relative humidity must be above 0 and at most 100 %%, got %s", rhPct);
        Require.that(airC >= -40 && airC <= 60, "air must be from -40 to 60 °C, got %s", airC);
        return rhPct / 100 * saturationHpa(airC);
    }

    /** Above the triple point's pressure vapour meets water first, below it ice. */
    private static boolean overWater(double vapourHpa) {
        return vapourHpa >= WATER.scaleHpa;
    }
}
