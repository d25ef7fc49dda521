package openslab.server.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import openslab.core.floor.level.Heights;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Measure;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.server.floor.PlanForm;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Heights as CSV (RFC 4180): docs/formats/levels-csv.md. One reading a line with its place, in any order, or a bare table of
 * heights. Every fault names its line.
 */
final class LevelsCsv {
    private static final int MOST_CHARACTERS = 2_000_000;
    private static final int MOST_READINGS = 20_000;
    /** A reading belongs to the grid's place it lies this near to, of a step. */
    private static final double OFF_GRID = 0.1;

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setIgnoreSurroundingSpaces(true)
            .setIgnoreEmptyLines(true)
            .setRecordSeparator("\r\n")
            .get();

    private record Read(double along, double off, String height, long line) {}

    /** @param line where it begins in the file, empty lines counted */
    private record Row(long line, CSVRecord cells) {
        int size() {
            return cells.size();
        }

        String cell(int i) {
            return cells.get(i);
        }
    }

    private LevelsCsv() {}

    /** One line a reading, metres and millimetres. */
    static String write(Heights heights) {
        var out = new StringBuilder("along [m],off [m],height [mm]\r\n");
        for (int row = 0; row < heights.rows(); row++) {
            for (int column = 0; column < heights.columns(); column++) {
                double height = heights.at(row, column);
                if (!Double.isNaN(height)) {
                    out.append(decimal(heights.origin().x() + column * heights.stepM(), 6))
                            .append(',')
                            .append(decimal(heights.origin().y() + row * heights.stepM(), 6))
                            .append(',')
                            .append(decimal(height * 1000, 4))
                            .append("\r\n");
                }
            }
        }
        return out.toString();
    }

    private static String decimal(double value, int places) {
        BigDecimal exact =
                new BigDecimal(value).setScale(places, RoundingMode.HALF_EVEN).stripTrailingZeros();
        return exact.signum() == 0 ? "0" : exact.toPlainString();
    }

    /**
     * @param units what bare numbers are in: feet and inches, or metres and millimetres
     * @throws InvalidInput naming the line and what was expected there
     */
    static PlanForm.LevelsForm read(String text, UnitSystem units) {
        if (text == null || text.isBlank()) {
            throw new InvalidInput("text", null, "a table of heights");
        }
        if (text.length() > MOST_CHARACTERS || text.indexOf('\0') >= 0 || text.startsWith("PK")) {
            throw new InvalidInput("text", "something else", "CSV of at most " + MOST_CHARACTERS + " characters");
        }
        List<Row> rows = rows(text);
        if (rows.isEmpty()) {
            throw new InvalidInput("text", "nothing but empty lines", "a table of heights");
        }
        Row first = rows.get(0);
        boolean placed =
                first.size() == 3 && first.cell(0).toLowerCase(Locale.ROOT).startsWith("along");
        return placed ? placed(rows, units) : table(rows, units);
    }

    private static List<Row> rows(String text) {
        // what a spreadsheet of another country writes
        boolean semicolons = text.indexOf(';') >= 0;
        boolean tabs = text.indexOf('\t') >= 0 && !semicolons;
        CSVFormat format = FORMAT.builder()
                .setDelimiter(semicolons ? ';' : tabs ? '\t' : ',')
                .get();
        try (CSVParser parser = format.parse(new StringReader(text))) {
            var rows = new ArrayList<Row>();
            int line = 1;
            int at = 0;
            for (CSVRecord record : parser) {
                for (; at < record.getCharacterPosition(); at++) {
                    line += text.charAt(at) == '\n' ? 1 : 0;
                }
                rows.add(new Row(line, record));
            }
            return rows;
        } catch (IOException e) {
            throw new InvalidInput("line " + lineIn(e), "a quote that does not close", "CSV: quotes in pairs");
        } catch (UncheckedIOException e) {
            throw new InvalidInput("line " + lineIn(e), "a quote that does not close", "CSV: quotes in pairs");
        }
    }

    private static String lineIn(Exception e) {
        var number = java.util.regex.Pattern.compile("line:? (\\d+)").matcher(String.valueOf(e.getMessage()));
        return number.find() ? number.group(1) : "1";
    }

    /** Rows of heights, a step apart that the form asks for. */
    private static PlanForm.LevelsForm table(List<Row> rows, UnitSystem units) {
        int columns = rows.stream().mapToInt(Row::size).max().orElse(0);
        if (columns < 2 || rows.size() < 2 || (long) columns * rows.size() > MOST_READINGS) {
            throw new InvalidInput(
                    "line 1",
                    rows.size() + " rows of " + columns,
                    "at least 2 rows of 2 heights, at most " + MOST_READINGS
                            + " in all, or lines of along, off, height");
        }
        var heights = new ArrayList<String>();
        for (Row row : rows) {
            for (int i = 0; i < columns; i++) {
                String text = i < row.size() ? row.cell(i) : "";
                heights.add(text.isEmpty() ? "" : height(text, row.line(), small(units)));
            }
        }
        return new PlanForm.LevelsForm(
                new PlanForm.PlaceForm("0", "0"), units == UnitSystem.US ? "1 ft" : "1 m", columns, heights, "", "");
    }

    private static Unit small(UnitSystem units) {
        return units == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
    }

    /** The text of a height, with its unit, once it was read. */
    private static String height(String text, long line, Unit bare) {
        Measure.parse("line " + line, text, bare, -20, 20);
        return Measure.withUnit(text, bare);
    }

    private static PlanForm.LevelsForm placed(List<Row> rows, UnitSystem units) {
        Unit length = units == UnitSystem.US ? Unit.FOOT : Unit.METRE;
        Row header = rows.get(0);
        Unit along = unit(header.cell(0), length);
        Unit off = unit(header.cell(1), length);
        Unit high = unit(header.cell(2), small(units));
        if (rows.size() - 1 > MOST_READINGS) {
            throw new InvalidInput("line 1", (rows.size() - 1) + " readings", "at most " + MOST_READINGS);
        }
        var read = new ArrayList<Read>();
        for (Row row : rows.subList(1, rows.size())) {
            String line = "line " + row.line();
            if (row.size() != 3) {
                throw new InvalidInput(line, row.size() + " cells", "3 cells: along, off, height");
            }
            read.add(new Read(
                    Measure.parse(line, row.cell(0), along, -1000, 1000),
                    Measure.parse(line, row.cell(1), off, -1000, 1000),
                    height(row.cell(2), row.line(), high),
                    row.line()));
        }
        return grid(read);
    }

    /** "along [ft]": the unit in brackets, or the job's own. */
    private static Unit unit(String title, Unit otherwise) {
        int from = title.indexOf('[');
        int to = title.indexOf(']');
        if (from < 0 && to < 0) {
            return otherwise;
        }
        Unit unit = from < to
                ? Unit.spelt(title.substring(from + 1, to).strip().toLowerCase(Locale.ROOT), otherwise.dimension())
                : null;
        if (unit == null) {
            throw new InvalidInput("line 1", title, "a unit of length in the brackets: m, mm, ft or in");
        }
        return unit;
    }

    private static PlanForm.LevelsForm grid(List<Read> read) {
        double step = Math.min(
                step(read.stream().mapToDouble(Read::along).toArray()),
                step(read.stream().mapToDouble(Read::off).toArray()));
        if (!(step < 1000)) {
            throw new InvalidInput("line 1", read.size() + " readings", "readings along and off, at least 2 each way");
        }
        double x0 = read.stream().mapToDouble(Read::along).min().orElseThrow();
        double y0 = read.stream().mapToDouble(Read::off).min().orElseThrow();
        double x1 = read.stream().mapToDouble(Read::along).max().orElseThrow();
        double y1 = read.stream().mapToDouble(Read::off).max().orElseThrow();
        long columns = Math.round((x1 - x0) / step) + 1;
        long rows = Math.round((y1 - y0) / step) + 1;
        if (columns < 2 || rows < 2 || columns * rows > MOST_READINGS) {
            throw new InvalidInput(
                    "line 1",
                    rows + " rows of " + columns,
                    "a square grid of at least 2 rows of 2 and at most " + MOST_READINGS + " places");
        }
        String[] heights = new String[(int) (columns * rows)];
        Arrays.fill(heights, "");
        for (Read r : read) {
            long column = Math.round((r.along() - x0) / step);
            long row = Math.round((r.off() - y0) / step);
            double missed = Math.hypot(r.along() - x0 - column * step, r.off() - y0 - row * step);
            if (missed > OFF_GRID * step) {
                throw new InvalidInput("line " + r.line(), "a place between the grid's", "places on a square grid");
            }
            int cell = (int) (row * columns + column);
            if (!heights[cell].isEmpty()) {
                throw new InvalidInput("line " + r.line(), "a place that was read before", "each place once");
            }
            heights[cell] = r.height();
        }
        return new PlanForm.LevelsForm(
                new PlanForm.PlaceForm(decimal(x0, 6) + " m", decimal(y0, 6) + " m"),
                decimal(step, 6) + " m",
                (int) columns,
                List.of(heights),
                "",
                "");
    }

    /** The middle one of the distances between neighbouring places; infinite where there is only one. */
    private static double step(double[] places) {
        double[] sorted = Arrays.stream(places).sorted().toArray();
        // the last bits of two readings at one place are no step
        double[] steps = IntStream.range(1, sorted.length)
                .mapToDouble(i -> sorted[i] - sorted[i - 1])
                .filter(d -> d > 1e-4)
                .sorted()
                .toArray();
        return steps.length == 0 ? Double.POSITIVE_INFINITY : steps[steps.length / 2];
    }
}
