package openslab.core.quantity;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How a person writes a fall: "1:48", "2 %", "1/4 in per ft", "20 mm/m". Height for every length. */
public final class FallText {
    private static final String ACCEPTED = "a fall under 1:1, written like 1:48, 2 %, 1/4 in per ft or 20 mm/m";
    private static final Pattern RATIO = Pattern.compile("1\\s*:\\s*(\\d{1,6}(?:\\.\\d{1,6})?)");
    private static final Pattern PERCENT = Pattern.compile("(\\d{1,3}(?:\\.\\d{1,6})?)\\s*%");
    private static final Pattern PER = Pattern.compile("(.{1,30}?)\\s*(?:per|/)\\s*(ft|foot|m)");

    private FallText() {}

    /** @throws InvalidInput naming {@code field} and what is accepted */
    public static double parse(String field, String text) {
        String plain = text == null ? "" : text.strip().toLowerCase(Locale.ROOT);
        double fall = fall(field, plain);
        if (!(fall >= 0 && fall < 1)) {
            throw new InvalidInput(field, text, ACCEPTED);
        }
        return fall;
    }

    private static double fall(String field, String plain) {
        Matcher ratio = RATIO.matcher(plain);
        if (ratio.matches()) {
            return 1 / Double.parseDouble(ratio.group(1));
        }
        Matcher percent = PERCENT.matcher(plain);
        if (percent.matches()) {
            return Double.parseDouble(percent.group(1)) / 100;
        }
        Matcher per = PER.matcher(plain);
        if (per.matches()) {
            double length = per.group(2).equals("m") ? 1 : Unit.FOOT.toBase(1);
            try {
                return Measure.parse(field, per.group(1), Unit.INCH, 0, length) / length;
            } catch (InvalidInput e) {
                return Double.NaN;
            }
        }
        return Double.NaN;
    }
}
