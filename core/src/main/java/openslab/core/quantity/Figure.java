package openslab.core.quantity;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A computed number that can show its working.
 *
 * @param label what it is, in the trade's words
 * @param value in {@code unit}
 * @param system whose units it is read in
 */
public record Figure(String label, double value, Unit unit, UnitSystem system, List<Line> lines, Source source) {
    public Figure {
        lines = List.copyOf(lines);
    }

    /** In the base unit of its dimension. */
    public double base() {
        return unit.toBase(value);
    }

    /** The unit the job reads it in. */
    public Unit unitRead() {
        return Unit.readable(Unit.counterpart(unit, system), base());
    }

    /** Whether a line is in the unit that its reader reads such a quantity in. */
    public boolean readsLike(Line line) {
        return Unit.counterpart(line.unit(), system) == line.unit();
    }

    /** As the job reads it: "10.0 mil". */
    public String text() {
        return Show.readable(Unit.counterpart(unit, system), base());
    }

    /** As the other system reads it, or empty where both read alike. */
    public String also() {
        String other = Show.readable(Unit.counterpart(unit, system.other()), base());
        return other.equals(text()) ? "" : other;
    }

    /** The formula of every line with today's numbers in it, "2.5/(0.445·66)"; empty for a given. */
    public List<String> substituted() {
        Map<String, String> above = new HashMap<>();
        var texts = new ArrayList<String>(lines.size());
        for (Line line : lines) {
            texts.add(line.isGiven() ? "" : substituted(line.formula(), above));
            above.put(line.symbol(), Show.exact(line.value()));
        }
        return texts;
    }

    /** A symbol is a letter and the letters, digits and underscores after it. */
    private static String substituted(String formula, Map<String, String> above) {
        var text = new StringBuilder(formula.length() * 2);
        int at = 0;
        while (at < formula.length()) {
            int from = at++;
            if (Character.isLetter(formula.charAt(from))) {
                while (at < formula.length()
                        && (Character.isLetterOrDigit(formula.charAt(at)) || formula.charAt(at) == '_')) {
                    at++;
                }
            }
            String part = formula.substring(from, at);
            text.append(above.getOrDefault(part, part));
        }
        return text.toString();
    }
}
