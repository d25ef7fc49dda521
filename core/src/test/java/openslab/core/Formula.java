package openslab.core;

import java.util.Map;

/** Evaluates a formula as a working shows it, so that what is shown can be run: + - · / ^ ( ) , ln exp ceil min max. */
final class Formula {
    private final String text;
    private final Map<String, Double> known;
    private int at;

    private Formula(String text, Map<String, Double> known) {
        this.text = text.replace(" ", "");
        this.known = known;
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
        double value = factor();
        while (peek() == '·' || peek() == '/') {
            value = text.charAt(at++) == '·' ? value * factor() : value / factor();
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
        Double value = known.get(name);
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
