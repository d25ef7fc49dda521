package openslab.core.quantity;

/**
 * Where a rule or a number comes from.
 *
 * @param text the publication and clause, or who says so; "from memory" stands in it where nobody could read it again
 */
public record Source(Kind kind, String text) {
    public enum Kind {
        PUBLISHED("Published"),
        COMMON_PRACTICE("Common practice, no source"),
        OURS("Our default"),
        SHEET("Product sheet"),
        ARITHMETIC("Arithmetic");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    public static Source published(String text) {
        return new Source(Kind.PUBLISHED, text);
    }

    public static Source commonPractice(String text) {
        return new Source(Kind.COMMON_PRACTICE, text);
    }

    public static Source ours(String text) {
        return new Source(Kind.OURS, text);
    }

    public static Source sheet(String text) {
        return new Source(Kind.SHEET, text);
    }

    public static Source arithmetic(String text) {
        return new Source(Kind.ARITHMETIC, text);
    }

    /** "Published: ASTM F1869." */
    public String sentence() {
        return kind.word() + (text.isEmpty() ? "." : ": " + text + ".");
    }
}
