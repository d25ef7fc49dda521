package openslab.server.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Line;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.util.CellReference;

/** The working of figures as rows of a sheet: each given a number, each step a formula over the rows above it. */
final class FigureCells {
    private static final int VALUE = 2;
    private static final int MOST_ARGUMENTS = 255;

    private final Sheet sheet;
    private final CellStyle head;
    private int next;

    FigureCells(Sheet sheet, CellStyle head) {
        this.sheet = sheet;
        this.head = head;
        text(0, "Symbol", "What", "Value", "Unit", "Formula", "Known from");
        sheet.getRow(0).forEach(c -> c.setCellStyle(head));
        next = 1;
    }

    /**
     * Writes a figure under a title of its own.
     *
     * @return where its answer stands, as another sheet names it
     */
    String write(String title, Figure figure) {
        next++;
        text(next, title).getCell(0).setCellStyle(head);
        next++;
        Map<String, String> cells = new HashMap<>();
        String answer = "";
        for (Line line : figure.lines()) {
            Row row = text(next, line.symbol(), line.meaning(), "", line.unit().symbol(), line.formula());
            if (line.isGiven()) {
                row.createCell(VALUE).setCellValue(line.value());
            } else {
                row.createCell(VALUE).setCellFormula(spelt(line.formula(), cells));
            }
            answer = new CellReference(next, VALUE, true, true).formatAsString();
            cells.put(line.symbol(), answer);
            next++;
        }
        sheet.getRow(next - 1)
                .createCell(VALUE + 3)
                .setCellValue(figure.source().sentence());
        return "'" + sheet.getSheetName() + "'!" + answer;
    }

    private Row text(int at, String... texts) {
        Row row = sheet.createRow(at);
        for (int i = 0; i < texts.length; i++) {
            if (!texts[i].isEmpty()) {
                row.createCell(i).setCellValue(texts[i]);
            }
        }
        return row;
    }

    /** A formula of ours as a spreadsheet spells it. @param cells where each symbol above stands */
    static String spelt(String formula, Map<String, String> cells) {
        var out = new StringBuilder();
        int at = 0;
        while (at < formula.length()) {
            char c = formula.charAt(at);
            if (Character.isLetter(c)) {
                int from = at;
                while (at < formula.length()
                        && (Character.isLetterOrDigit(formula.charAt(at)) || formula.charAt(at) == '_')) {
                    at++;
                }
                String word = formula.substring(from, at);
                boolean called = at < formula.length() && formula.charAt(at) == '(';
                if (called && word.equals("ceil")) {
                    int close = closing(formula, at);
                    // the last bits of a division make no further roll
                    out.append("ROUNDUP(")
                            .append(spelt(formula.substring(at + 1, close), cells))
                            .append("-1E-9,0)");
                    at = close + 1;
                } else if (called && word.equals("max")) {
                    int close = closing(formula, at);
                    out.append(most(arguments(formula.substring(at + 1, close)).stream()
                            .map(a -> spelt(a, cells))
                            .toList()));
                    at = close + 1;
                } else {
                    out.append(called ? word.toUpperCase(Locale.ROOT) : cell(word, cells));
                }
            } else {
                out.append(c == '·' ? '*' : c);
                at++;
            }
        }
        return out.toString();
    }

    /** In groups of as many as a spreadsheet takes at once: 255 (ECMA-376, from memory). */
    private static String most(List<String> of) {
        var groups = new ArrayList<String>();
        for (int i = 0; i < of.size(); i += MOST_ARGUMENTS) {
            groups.add("MAX(" + String.join(",", of.subList(i, Math.min(of.size(), i + MOST_ARGUMENTS))) + ")");
        }
        return groups.size() == 1 ? groups.get(0) : most(groups);
    }

    /** What stands between the commas that lie in no bracket of their own. */
    private static List<String> arguments(String list) {
        var arguments = new ArrayList<String>();
        int depth = 0;
        int from = 0;
        for (int i = 0; i < list.length(); i++) {
            char c = list.charAt(i);
            depth += c == '(' ? 1 : c == ')' ? -1 : 0;
            if (c == ',' && depth == 0) {
                arguments.add(list.substring(from, i));
                from = i + 1;
            }
        }
        arguments.add(list.substring(from));
        return arguments;
    }

    private static String cell(String symbol, Map<String, String> cells) {
        String at = cells.get(symbol);
        if (at == null) {
            throw new IllegalStateException("no row above holds " + symbol);
        }
        return at;
    }

    private static int closing(String formula, int open) {
        int depth = 0;
        for (int i = open; i < formula.length(); i++) {
            depth += formula.charAt(i) == '(' ? 1 : formula.charAt(i) == ')' ? -1 : 0;
            if (depth == 0) {
                return i;
            }
        }
        throw new IllegalStateException("a bracket is not closed in " + formula);
    }
}
