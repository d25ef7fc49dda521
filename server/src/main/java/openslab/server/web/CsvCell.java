package openslab.server.web;

import java.util.regex.Pattern;

/** A cell of a file that a spreadsheet may open. */
public final class CsvCell {
    /** A spreadsheet runs what begins so; a minus before a number is one. */
    private static final Pattern RUNS = Pattern.compile("'*[=+\\-@\\t\\r].*", Pattern.DOTALL);

    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d[\\d.,]*(\\s?[^\\s\\d=+@|(!-]{1,8})?");

    private CsvCell() {}

    /** As it is written: an apostrophe keeps as a text what a spreadsheet would run. */
    public static Object harmless(Object cell) {
        String text = String.valueOf(cell);
        return RUNS.matcher(text).matches() && !NUMBER.matcher(text).matches() ? "'" + text : cell;
    }

    /** What {@link #harmless} was given. */
    public static String asWritten(String cell) {
        return cell.startsWith("'") && RUNS.matcher(cell).matches() ? cell.substring(1) : cell;
    }
}
