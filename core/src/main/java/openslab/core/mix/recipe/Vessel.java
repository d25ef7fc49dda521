package openslab.core.mix.recipe;

import openslab.core.quantity.Require;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;

/**
 * What it is mixed in.
 *
 * @param holdsL what may be mixed in it, litres; of one with lines, up to the last of them
 * @param tareKg what the scale shows with it empty, kilograms; 0 where the scale is set to nothing with it on
 * @param lines on its wall, apart alike; 0 where it has none
 * @param scoopL what a level scoop holds, litres; 0 where nobody measures with one
 */
public record Vessel(double holdsL, double tareKg, int lines, double scoopL) {
    /** OURS: litres of a 5 gal or a 20 L pail, filled so that it can be stirred and carried. */
    public static double pailL(UnitSystem system) {
        return system == UnitSystem.US ? Unit.GALLON.toBase(4) : 15;
    }

    /** Set to nothing on the scale, without lines. */
    public static Vessel holding(double litres) {
        return new Vessel(litres, 0, 0, 0);
    }

    public Vessel {
        Require.positive(holdsL, "vessel");
        Require.that(tareKg >= 0, "an empty vessel weighs 0 kg or more, got %s", tareKg);
        Require.that(lines >= 0, "a vessel has 0 lines or more, got %s", lines);
        Require.that(scoopL >= 0, "a scoop holds 0 L or more, got %s", scoopL);
    }
}
