package openslab.core.quantity;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A computed number that can show its working.
 *
 * @param label what it is, in the trade's words
 * @param value in {@code unit}
 * @param system whose units it is read in
 */
public record Figure(String label, double value, Unit unit, UnitSystem system, List<Line> lines, Source source) {
    private static final Pattern SYMBOL = Pattern.compile("[\\p{L}][\\p{L}\\p{N}_]*");

    public Figure {
        lines = List.copyOf(lines);
    }

    /** In the base unit of its dimension. */
    public double base() {
        return unit.toBase(value);
    }

    /** The unit the job reads it in. */
    public Unit unitRead() {
        return Unit.counterpart(unit, system);
    }

    /** As the job reads it: "10.0 mil". */
    public String text() {
        return Show.in(unitRead(), base());
    }

    /** As the other system reads it, or empty where both read alike. */
    public String also() {
        String other = Show.in(Unit.counterpart(unit, system.other()), base());
        return other.equals(text()) ? "" : other;
    }

    /** The formula of {@code line} with today's numbers in it: "2.5 / (0.445·66)". */
    public String substituted(Line line) {
        Map<String, Line> above = new HashMap<>();
        for (Line other : lines) {
            if (other.equals(line)) {
                break;
            }
            above.put(other.symbol(), other);
        }
        Matcher symbols = SYMBOL.matcher(line.formula());
        return symbols.replaceAll(m -> {
            Line known = above.get(m.group());
            return Matcher.quoteReplacement(known == null ? m.group() : Show.exact(known.value()));
        });
    }
}
