package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;

import java.util.HashMap;
import java.util.Map;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Line;

/** Evaluates a formula as a working shows it, so that what is shown can be run: + - · / ^ ( ) , ln exp ceil floor min max. */
public final class Formula {
    private final String text;
    private final Map<String, Double> known;
    private int at;

    private Formula(String text, Map<String, Double> known) {
        this.text = text.replace(" ", "");
        this.known = known;
    }

    /** Computes every step again from the lines above it. @return how many steps there were */
    public static int assertRecomputes(Figure figure) {
        Map<String, Double> above = new HashMap<>();
        int steps = 0;
        for (Line line : figure.lines()) {
            if (!line.isGiven()) {
                double again = value(line.formula(), above);
                assertEquals(line.value(), again, 1e-9 * Math.max(1, Math.abs(again)), figure.label() + ": " + line);
                steps++;
            }
            above.put(line.symbol(), line.value());
        }
        assertEquals(
                figure.value(), figure.lines().get(figure.lines().size() - 1).value(), figure.label());
        assertFalse(figure.source().sentence().isBlank());
        return steps;
    }

    static double value(String text, Map<String, Double> known) {
        var formula = new Formula(text, known);
        double value = formula.sum();
        if (formula.at != formula.text.length()) {
            throw new IllegalArgumentException("cannot read " + text + " from " + formula.at);
        }
        return value;
    }

    private double sum() {
        double value = product();
        while (peek() == '+' || peek() == '-') {
            value = text.charAt(at++) == '+' ? value + product() : value - product();
        }
        return value;
    }

    private double product() {
        double value = power();
        while (peek() == '·' || peek() == '/') {
            value = text.charAt(at++) == '·' ? value * power() : value / power();
        }
        return value;
    }

    private double power() {
        double value = factor();
        if (peek() == '^') {
            at++;
            return Math.pow(value, factor());
        }
        return value;
    }

    private double factor() {
        if (peek() == '(') {
            at++;
            double value = sum();
            expect(')');
            return value;
        }
        int from = at;
        while (Character.isDigit(peek()) || peek() == '.') {
            at++;
        }
        if (at > from) {
            return Double.parseDouble(text.substring(from, at));
        }
        while (Character.isLetterOrDigit(peek())) {
            at++;
        }
        String name = text.substring(from, at);
        return peek() == '(' ? function(name) : variable(name);
    }

    private double function(String name) {
        expect('(');
        double a = sum();
        double value =
                switch (name) {
                    case "ln" -> Math.log(a);
                    case "exp" -> Math.exp(a);
                    case "ceil" -> Math.ceil(a - 1e-9);
                    case "floor" -> Math.floor(a + 1e-9);
                    case "max" -> Math.max(a, second());
                    case "min" -> Math.min(a, second());
                    default -> throw new IllegalArgumentException("no function " + name + " in " + text);
                };
        expect(')');
        return value;
    }

    private double second() {
        expect(',');
        return sum();
    }

    private double variable(String name) {
        Double value = name.equals("π") ? Double.valueOf(Math.PI) : known.get(name);
        if (value == null) {
            throw new IllegalArgumentException(name + " stands in " + text + " but not above it");
        }
        return value;
    }

    private void expect(char c) {
        if (peek() != c) {
            throw new IllegalArgumentException("expected " + c + " at " + at + " of " + text);
        }
        at++;
    }

    private char peek() {
        return at < text.length() ? text.charAt(at) : '\0';
    }
}
