package openslab.server.instrument;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import openslab.core.quantity.Faults;
import openslab.core.survey.instrument.Quantity;

/**
 * How the columns of a logger's file are read. Either each line is one sample, its channel in a column; or each line is one
 * moment with a column for each channel.
 *
 * @param time the column with the moment
 * @param timeFormat one of {@link TimeFormat}
 * @param timeZone where the logger's clock stands, for formats without an offset
 * @param channel the column with the channel's name; empty where {@code values} name it
 * @param quantity the column with the quantity; empty where {@code values} say it
 * @param unit the column with the unit; empty where {@code values} say it
 * @param battery the column with volts; empty where there is none
 */
record ColumnMapping(
        String time,
        String timeFormat,
        String timeZone,
        String channel,
        String quantity,
        String unit,
        String battery,
        List<ValueColumn> values) {
    /** @param channel its name; {@code quantity} and {@code unit} likewise, where no column says so */
    record ValueColumn(String column, String channel, String quantity, String unit) {}

    private static final int MOST_VALUES = 64;
    private static final int LONGEST_UNIT = 20;

    ColumnMapping {
        timeFormat = blank(timeFormat);
        channel = blank(channel);
        quantity = blank(quantity);
        unit = blank(unit);
        battery = blank(battery);
        values = values == null ? List.of() : List.copyOf(values);
    }

    private static String blank(String text) {
        return text == null ? "" : text.strip();
    }

    /** @throws openslab.core.quantity.InvalidInput naming every field that does not fit {@code columns} */
    void check(List<String> columns) {
        var faults = new Faults();
        column(faults, "mapping.time", time, columns);
        faults.oneOf("mapping.timeFormat", timeFormat, TimeFormat.class);
        faults.timeZone("mapping.timeZone", timeZone);
        for (String[] optional :
                new String[][] {{"channel", channel}, {"quantity", quantity}, {"unit", unit}, {"battery", battery}}) {
            if (!optional[1].isEmpty()) {
                column(faults, "mapping." + optional[0], optional[1], columns);
            }
        }
        if (values.isEmpty() || values.size() > MOST_VALUES) {
            faults.add("mapping.values", values.size() + " columns", "1 to " + MOST_VALUES + " columns with values");
        }
        Set<String> named = new HashSet<>();
        for (int i = 0; i < values.size(); i++) {
            String path = "mapping.values[" + i + "].";
            ValueColumn v = values.get(i);
            column(faults, path + "column", v.column(), columns);
            if (channel.isEmpty()) {
                String name = faults.line(path + "channel", v.channel(), 1, 40);
                if (name != null && !named.add(name + " " + v.quantity())) {
                    faults.add(path + "channel", name, "a channel that no other column has");
                }
            }
            if (quantity.isEmpty()) {
                faults.oneOf(path + "quantity", v.quantity(), Quantity.class);
            }
            faults.line(path + "unit", v.unit(), 0, LONGEST_UNIT);
        }
        faults.check();
    }

    private static void column(Faults faults, String field, String name, List<String> columns) {
        if (!columns.contains(name)) {
            faults.add(field, name, "a column of the file: " + String.join(", ", columns));
        }
    }

    /** A first guess by the columns' names and what stands under them. */
    static ColumnMapping guess(List<String> columns, List<List<String>> rows, String timeZone) {
        String time = named(columns, "time", "date", "at", "when");
        int timeAt = Math.max(0, columns.indexOf(time));
        String format = Arrays.stream(TimeFormat.values())
                .filter(f -> rows.stream().allMatch(r -> timeAt < r.size() && f.reads(r.get(timeAt))))
                .findFirst()
                .map(Enum::name)
                .orElse(TimeFormat.ISO.name());
        String value = named(columns, "value", "reading", "measured");
        String battery = named(columns, "batt");
        if (value.isEmpty()) {
            List<ValueColumn> each = columns.stream()
                    .filter(c -> !c.equals(time) && !c.equals(battery))
                    .map(ColumnMapping::byName)
                    .filter(Objects::nonNull)
                    .toList();
            return new ColumnMapping(first(time, columns), format, timeZone, "", "", "", battery, each);
        }
        String channel = named(columns, "channel", "sensor", "probe");
        String quantity = named(columns, "quantity", "parameter");
        var column = new ValueColumn(value, channel.isEmpty() ? "1" : "", quantity.isEmpty() ? "SLAB_RH" : "", "");
        return new ColumnMapping(
                first(time, columns),
                format,
                timeZone,
                channel,
                quantity,
                named(columns, "unit"),
                battery,
                List.of(column));
    }

    private static String first(String found, List<String> columns) {
        return found.isEmpty() ? columns.get(0) : found;
    }

    private static ValueColumn byName(String column) {
        String name = column.toLowerCase(Locale.ROOT);
        String degrees = name.contains("f)") || name.contains("°f") ? "°F" : "°C";
        if (name.contains("rh") || name.contains("humid")) {
            boolean air = name.contains("air") || name.contains("ambient") || name.contains("room");
            return new ValueColumn(column, column, air ? "AIR_RH" : "SLAB_RH", "%");
        }
        if (name.contains("surface") || name.contains("slab") || name.contains("floor")) {
            return new ValueColumn(column, column, "SLAB_TEMPERATURE", degrees);
        }
        return name.contains("temp") || name.contains("air")
                ? new ValueColumn(column, column, "AIR_TEMPERATURE", degrees)
                : null;
    }

    /** The first column whose name has one of {@code words} as a word of its own, else as a part; empty where none has. */
    private static String named(List<String> columns, String... words) {
        for (String word : words) {
            for (String column : columns) {
                if (Arrays.asList(column.toLowerCase(Locale.ROOT).split("[^a-z]+"))
                        .contains(word)) {
                    return column;
                }
            }
        }
        for (String word : words) {
            for (String column : columns) {
                if (word.length() > 3 && column.toLowerCase(Locale.ROOT).contains(word)) {
                    return column;
                }
            }
        }
        return "";
    }
}
