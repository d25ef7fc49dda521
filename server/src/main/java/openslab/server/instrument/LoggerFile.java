package openslab.server.instrument;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Text;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** A logger's text file: one line of column names, then one line after another. */
record LoggerFile(Path path, char delimiter, List<String> columns, List<List<String>> first) {
    private static final int SHOWN = 6;
    private static final int MOST_COLUMNS = 100;
    /** OURS: of a column's name, and of what is shown of a cell. */
    private static final int LONGEST = 80;
    /** Of the first line, to see what parts its columns. */
    private static final int HEAD = 1 << 16;
    /** Of a first line that names nothing. */
    private static final int HEARD = 400;

    /** @throws InvalidInput naming {@code file}, unless it begins with a line of names and holds at least one more */
    static LoggerFile open(Path path) {
        try {
            char delimiter = delimiter(path);
            var rows = new ArrayList<List<String>>();
            try (var in = new Counted(Files.newInputStream(path));
                    CSVParser parser = parser(path, delimiter, in)) {
                for (CSVRecord row : parser) {
                    in.ended();
                    rows.add(row.toList());
                    if (rows.size() > SHOWN) {
                        break;
                    }
                }
            }
            List<String> columns = rows.isEmpty()
                    ? List.of()
                    : rows.get(0).stream().map(String::strip).toList();
            boolean named = columns.size() >= 2
                    && columns.size() <= MOST_COLUMNS
                    && columns.stream().allMatch(c -> !c.isEmpty() && c.length() <= LONGEST && Text.isLine(c))
                    && columns.stream().distinct().count() == columns.size();
            if (!named || rows.size() < 2) {
                throw new InvalidInput(
                        "file",
                        columns.isEmpty() ? "an empty file" : Text.shortened(String.join(" | ", columns), HEARD),
                        "a text file whose first line names its 2 to " + MOST_COLUMNS
                                + " columns, each by another name of at most " + LONGEST
                                + " characters, and that holds lines under it");
            }
            List<List<String>> first = rows.subList(1, rows.size()).stream()
                    .map(row -> row.stream()
                            .map(cell -> Text.shortened(cell, LONGEST))
                            .toList())
                    .toList();
            return new LoggerFile(path, delimiter, columns, first);
        } catch (UncheckedIOException | IOException e) {
            throw new InvalidInput(
                    "file", e.getMessage(), "a text file in UTF-8, its columns apart by comma, semicolon or tab");
        }
    }

    /** Whichever of the three stands most often in the first line. */
    private static char delimiter(Path path) throws IOException {
        try (InputStream in = Files.newInputStream(path)) {
            String head = new String(in.readNBytes(HEAD), StandardCharsets.UTF_8);
            String line = head.lines().findFirst().orElse("");
            return Arrays.asList(',', ';', '\t').stream()
                    .max(Comparator.comparingLong(
                            c -> line.chars().filter(x -> x == c).count()))
                    .orElseThrow();
        }
    }

    private static CSVParser parser(Path path, char delimiter, InputStream in) throws IOException {
        CSVFormat format = CSVFormat.DEFAULT.builder().setDelimiter(delimiter).get();
        return CSVParser.builder()
                .setReader(new InputStreamReader(new NoMark(in), StandardCharsets.UTF_8))
                .setFormat(format)
                .get();
    }

    CSVParser lines(InputStream in) throws IOException {
        return parser(path, delimiter, in);
    }

    /** Leaves out the mark that some programs put before UTF-8. */
    private static final class NoMark extends java.io.FilterInputStream {
        private static final int[] MARK = {0xef, 0xbb, 0xbf};
        private boolean looked;

        NoMark(InputStream in) {
            super(new java.io.BufferedInputStream(in, 1 << 16));
        }

        private void look() throws IOException {
            if (!looked) {
                looked = true;
                in.mark(MARK.length);
                for (int expected : MARK) {
                    if (in.read() != expected) {
                        in.reset();
                        return;
                    }
                }
            }
        }

        @Override
        public int read() throws IOException {
            look();
            return super.read();
        }

        @Override
        public int read(byte[] b, int off, int len) throws IOException {
            look();
            return super.read(b, off, len);
        }
    }
}
