package openslab.core;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** A table of cases from {@code cases/}: lines beginning with # name the source, the first other line names the columns. */
public record Cases(Map<String, String> columns) {
    /** For a TestNG data provider. Surplus commas belong to the first column. */
    public static Object[][] read(String file) {
        List<String> lines =
                lines(file).stream().filter(l -> !l.startsWith("#")).toList();
        String[] header = lines.get(0).split(",");
        return lines.stream()
                .skip(1)
                .map(line -> new Object[] {of(header, line)})
                .toArray(Object[][]::new);
    }

    private static Cases of(String[] header, String line) {
        String[] cells = line.split(",", -1);
        int surplus = cells.length - header.length;
        Map<String, String> columns = new LinkedHashMap<>();
        columns.put(header[0], String.join(",", Arrays.copyOf(cells, surplus + 1)));
        for (int i = 1; i < header.length; i++) {
            columns.put(header[i], cells[i + surplus]);
        }
        return new Cases(columns);
    }

    private static List<String> lines(String file) {
        var in = Objects.requireNonNull(Cases.class.getResourceAsStream("/cases/" + file), file);
        try (var reader = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            return reader.lines().toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public String text(String column) {
        return columns.get(column);
    }

    public double number(String column) {
        return Double.parseDouble(columns.get(column));
    }

    public int whole(String column) {
        return Integer.parseInt(columns.get(column));
    }

    public boolean yes(String column) {
        return Boolean.parseBoolean(columns.get(column));
    }

    @Override
    public String toString() {
        return columns.toString();
    }
}
