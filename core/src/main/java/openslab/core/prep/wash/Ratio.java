package openslab.core.prep.wash;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Measure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Unit;

/**
 * How much concentrate goes into how much water, by volume.
 *
 * @param water parts of water to one part of concentrate; 0 for neat
 * @param typed as it was written
 * @param bagL of water to a bag of powder, L, which adds nothing to the volume; 0 for liquids
 */
public record Ratio(double water, String typed, double bagL) {
    /** Of a liquid. */
    public Ratio(double water, String typed) {
        this(water, typed, 0);
    }

    private static final String ACCEPTED =
            "1:4 (one part into four of water), 4 water : 1, 12 fl oz/gal, 60 ml/L, 5 %, 1 bag/2 gal, or neat; no weaker than 1:1000";

    private static final double WEAKEST = 1000;
    private static final double LEAST_BAG_L = 0.1;
    private static final double MOST_BAG_L = 1000;

    private static final Pattern PARTS = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*:\\s*(\\d+(?:\\.\\d+)?)");
    private static final Pattern WATER_FIRST =
            Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*(?:parts?\\s*)?water\\s*(?::|to)\\s*(\\d+(?:\\.\\d+)?)");
    private static final Pattern PERCENT = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*%");
    private static final Pattern BAGS =
            Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*(?:bags?|packs?)\\s*(?:/|per|in|to)\\s*(?:a\\s+)?(.+)");

    /** Parted at the last stroke: a quarter of a cup has one of its own. */
    private static final Pattern DOSE = Pattern.compile("(.+)\\s*(?:/|\\bper\\b|\\bin\\b)\\s*(?:a\\s+)?(.+)");

    /** "1/4": one part into four, or a quarter of the mix. */
    private static final Pattern EITHER = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*(?:/|per|in)\\s*(\\d+(?:\\.\\d+)?)");

    /** What a person writes after the stroke when they leave the number out: "12 fl oz/gal". */
    private static final Map<String, String> ONE = Map.of(
            "gal", "1 gal", "gallon", "1 gal", "qt", "1 qt", "quart", "1 qt", "l", "1 l", "litre", "1 l", "liter",
            "1 l");

    /**
     * "1:n" is one part of concentrate to n of water, so 1 + n parts in all; a dose is to so much water, not to so much mix.
     *
     * @throws InvalidInput naming {@code path}, what was typed and what is accepted
     */
    public static Ratio parse(String path, String text) {
        String plain = text == null ? "" : text.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        // nobody weighs a wash: ounces of it are fluid ones
        plain = plain.replaceAll("(?<!fl )\\boz\\b", "fl oz");
        if (plain.equals("neat") || plain.equals("undiluted")) {
            return new Ratio(0, plain);
        }
        Matcher waterFirst = WATER_FIRST.matcher(plain);
        if (waterFirst.matches()) {
            return of(path, text, number(waterFirst, 1) / number(waterFirst, 2));
        }
        Matcher parts = PARTS.matcher(plain);
        if (parts.matches()) {
            return of(path, text, number(parts, 2) / number(parts, 1));
        }
        Matcher percent = PERCENT.matcher(plain);
        if (percent.matches()) {
            double share = number(percent, 1) / 100;
            return of(path, text, share > 1 ? Double.NaN : (1 - share) / share);
        }
        Matcher bags = BAGS.matcher(plain);
        if (bags.matches()) {
            return bags(path, text, number(bags, 1), bags.group(2));
        }
        Matcher either = EITHER.matcher(plain);
        if (either.matches()) {
            throw new InvalidInput(path, text, either(number(either, 1), number(either, 2)));
        }
        Matcher dose = DOSE.matcher(plain);
        if (dose.matches()) {
            double concentrate = litres(path, text, dose.group(1));
            double into = litres(path, text, ONE.getOrDefault(dose.group(2), dose.group(2)));
            return of(path, text, into / concentrate);
        }
        throw new InvalidInput(path, text, ACCEPTED);
    }

    /** Both ways to read it. */
    private static String either(double part, double of) {
        String into = Show.number(part, 0) + ":" + Show.number(of, 0);
        return part > 0 && part < of
                ? into + " (" + Show.number(part, 0) + " into " + Show.number(of, 0) + " of water) or "
                        + Show.number(100 * part / of, 1) + " % (" + Show.number(part, 0) + " of every "
                        + Show.number(of, 0) + " of the mix): a stroke is read both ways"
                : ACCEPTED;
    }

    private static Ratio bags(String path, String typed, double bags, String into) {
        double litres = litres(path, typed, ONE.getOrDefault(into, into)) / bags;
        if (!(litres >= LEAST_BAG_L && litres <= MOST_BAG_L)) {
            throw new InvalidInput(path, typed, ACCEPTED);
        }
        return new Ratio(0, typed.strip(), litres);
    }

    /** How much water there is to it, parts or litres to a bag: less is stronger. */
    public double thinness() {
        return isBags() ? bagL : water;
    }

    /** Whether it is told in bags of powder. */
    public boolean isBags() {
        return bagL > 0;
    }

    private static double number(Matcher m, int group) {
        return Double.parseDouble(m.group(group));
    }

    private static double litres(String path, String whole, String part) {
        try {
            return Measure.parse(path, part, Unit.LITRE, 1e-6, 1e6);
        } catch (InvalidInput e) {
            throw new InvalidInput(path, whole, ACCEPTED);
        }
    }

    private static Ratio of(String path, String typed, double water) {
        if (!(water >= 0 && water <= WEAKEST)) {
            throw new InvalidInput(path, typed, ACCEPTED);
        }
        return new Ratio(water, typed.strip());
    }

    /** Share of the mix that is concentrate. */
    public double share() {
        return isBags() ? 0 : 1 / (1 + water);
    }

    /** Said so that nobody takes one for the other: "1 part into 4 of water (20 %)". */
    public String words() {
        if (isBags()) {
            return "one bag into " + Show.in(Unit.LITRE, bagL) + " (" + Show.in(Unit.GALLON, bagL) + ") of water";
        }
        return water == 0
                ? "neat, no water"
                : (typed.contains("/") ? typed + ", " : "") + "1 part into "
                        + Show.number(water, water == Math.rint(water) ? 0 : 2) + " of water ("
                        + Show.number(100 * share(), share() < 0.1 ? 2 : 1) + " % of the mix)";
    }
}
