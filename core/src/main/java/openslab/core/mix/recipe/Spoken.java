package openslab.core.mix.recipe;

import java.util.ArrayList;
import java.util.List;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;

/**
 * A volume as it is measured out with what is at hand: whole gallons and quarts by the jug, the rest in ounces, what is small by
 * cup and spoon. Said so only where it is as much to within a hundredth; otherwise in one unit, with its decimals.
 */
public final class Spoken {
    /** OURS: no ratio is off by more than two hundredths for being measured so. */
    static final double CLOSE = 0.01;

    /** A measure, and into how many parts one may be read. */
    private record Jug(Unit unit, String one, String more, int parts) {}

    private static final List<Jug> US = List.of(
            new Jug(Unit.GALLON, "gal", "gal", 1),
            new Jug(Unit.QUART, "qt", "qt", 1),
            new Jug(Unit.FLUID_OUNCE, "fl oz", "fl oz", 2));

    private static final List<Jug> SMALL = List.of(
            new Jug(Unit.CUP, "cup", "cups", 4),
            new Jug(Unit.TABLESPOON, "tbsp", "tbsp", 1),
            new Jug(Unit.TEASPOON, "tsp", "tsp", 4));

    /** Less than this is measured by cup and spoon. */
    private static final double A_PINT = Unit.GALLON.toBase(1) / 8;

    private static final String[] QUARTERS = {"", "1/4", "1/2", "3/4"};

    private Spoken() {}

    /** @param litres above 0 */
    public static String of(double litres, UnitSystem system) {
        if (system == UnitSystem.METRIC) {
            return litres >= 1
                    ? Show.in(Unit.LITRE, litres)
                    : Show.in(Unit.MILLILITRE, litres, litres < 0.01 ? 2 : litres < 0.1 ? 1 : 0);
        }
        return litres < A_PINT ? first(litres, SMALL, US) : first(litres, US, SMALL);
    }

    private static String first(double litres, List<Jug> usual, List<Jug> otherwise) {
        String said = compound(litres, usual);
        if (said.isEmpty()) {
            said = compound(litres, otherwise);
        }
        return said.isEmpty()
                ? Show.in(Unit.FLUID_OUNCE, litres, litres < 0.003 ? 4 : litres < 0.02 ? 3 : litres < 0.1 ? 2 : 1)
                : said;
    }

    /** Empty where these measures do not tell it closely enough. */
    private static String compound(double litres, List<Jug> jugs) {
        var said = new ArrayList<String>();
        double left = litres;
        for (int i = 0; i < jugs.size(); i++) {
            Jug jug = jugs.get(i);
            double many = jug.unit.fromBase(left) * jug.parts;
            boolean last = i == jugs.size() - 1;
            // a gallon short by the last bit of a conversion is a gallon
            long parts = last ? Math.round(many) : (long) Math.floor(many + CLOSE * 1e-3);
            if (parts > 0) {
                said.add(count(parts, jug));
                left -= jug.unit.toBase((double) parts / jug.parts);
            }
            if (Math.abs(left) <= CLOSE * 1e-3 * litres) {
                break;
            }
        }
        return Math.abs(left) <= CLOSE * litres && !said.isEmpty() ? String.join(" ", said) : "";
    }

    private static String count(long parts, Jug jug) {
        long whole = parts / jug.parts;
        String rest = QUARTERS[(int) (parts % jug.parts) * (4 / jug.parts) % 4];
        String number = rest.isEmpty() ? Show.number(whole, 0) : whole == 0 ? rest : whole + " " + rest;
        return number + "\u00a0" + (parts > jug.parts ? jug.more : jug.one);
    }
}
