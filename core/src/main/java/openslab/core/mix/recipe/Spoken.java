package openslab.core.mix.recipe;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;

/**
 * A volume as it is measured out with what is at hand: gallons, quarts and ounces by the jug, what is small by cup and spoon. Of all
 * ways to say it that are as much to within a hundredth the shortest is taken; where none is, it is told in one unit, with its
 * decimals. It is counted in whole ones of the smallest measure, so that no measure ever reaches the next.
 */
public final class Spoken {
    /** OURS: no ratio is off by more than two hundredths for being measured so. */
    static final double CLOSE = 0.01;

    private static final int DIGITS = 3;

    /**
     * A measure.
     *
     * @param smallest how many of the smallest of its set it is
     * @param parts into how many it may be read; only the last of a set in parts that no other measure tells
     */
    private record Jug(String one, String more, long smallest, int parts) {}

    /**
     * Measures that are used together, the largest first.
     *
     * @param litres of the smallest
     * @param below how many of the smallest would be a measure of another set
     */
    private record Measures(double litres, long below, List<Jug> jugs) {}

    private static final Measures JUGS = new Measures(
            Unit.FLUID_OUNCE.toBase(1) / 2,
            Long.MAX_VALUE,
            List.of(new Jug("gal", "gal", 256, 1), new Jug("qt", "qt", 64, 1), new Jug("fl oz", "fl oz", 2, 2)));

    private static final Measures SPOONS = new Measures(
            Unit.TEASPOON.toBase(1) / 4,
            768,
            List.of(new Jug("cup", "cups", 192, 4), new Jug("tbsp", "tbsp", 12, 1), new Jug("tsp", "tsp", 4, 4)));

    /** Less than this is measured by cup and spoon. */
    private static final double A_PINT = Unit.GALLON.toBase(1) / 8;

    private static final String[] QUARTERS = {"", "1/4", "1/2", "3/4"};

    /**
     * One way to say it.
     *
     * @param numbers how many somebody has to keep in mind: "2 1/2" are two
     * @param off by how much of it, 0–1
     */
    private record Said(List<String> words, int numbers, double off) {}

    private Spoken() {}

    /** @param litres above 0 */
    public static String of(double litres, UnitSystem system) {
        if (system == UnitSystem.METRIC) {
            // what rounds to a litre is one
            return litres < 0.9995 ? Show.significant(Unit.MILLILITRE, litres, DIGITS) : Show.in(Unit.LITRE, litres);
        }
        List<Measures> usualFirst = litres < A_PINT ? List.of(SPOONS, JUGS) : List.of(JUGS, SPOONS);
        Optional<Said> shortest =
                usualFirst.stream().flatMap(m -> ways(litres, m)).min(Comparator.comparingInt(Said::numbers));
        return shortest.map(w -> String.join(" ", w.words()))
                .orElseGet(() -> Show.significant(Unit.FLUID_OUNCE, litres, DIGITS));
    }

    /** Those that are close enough, rounded to each measure and to each part of one. */
    private static Stream<Said> ways(double litres, Measures measures) {
        return measures.jugs().stream()
                .flatMap(jug ->
                        Stream.of(jug.smallest(), jug.smallest() / jug.parts()).distinct())
                .map(grain -> way(litres, grain, measures))
                .filter(way -> !way.words().isEmpty() && way.off() <= CLOSE);
    }

    private static Said way(double litres, long grain, Measures measures) {
        long smallest = Math.round(litres / measures.litres() / grain) * grain;
        var words = new ArrayList<String>();
        int numbers = 0;
        long left = smallest < measures.below() ? smallest : 0;
        for (Jug jug : measures.jugs()) {
            long part = jug.smallest() / jug.parts();
            long parts = left / part;
            if (parts > 0) {
                words.add(count(parts, jug));
                numbers += parts > jug.parts() && parts % jug.parts() > 0 ? 2 : 1;
            }
            left -= parts * part;
        }
        return new Said(words, numbers, Math.abs(smallest * measures.litres() - litres) / litres);
    }

    private static String count(long parts, Jug jug) {
        long whole = parts / jug.parts();
        String rest = QUARTERS[(int) (parts % jug.parts()) * (4 / jug.parts()) % 4];
        String number = rest.isEmpty() ? Show.number(whole, 0) : whole == 0 ? rest : whole + " " + rest;
        return number + "\u00a0" + (parts > jug.parts() ? jug.more() : jug.one());
    }
}
