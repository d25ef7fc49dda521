package openslab.server.instrument;

import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import openslab.core.survey.instrument.Quantity;
import openslab.core.survey.instrument.Sample;
import org.apache.commons.csv.CSVRecord;

/** Reads one line of a logger's file by its columns' places. */
final class RowReader {
    private final ColumnMapping mapping;
    private final TimeFormat format;
    private final ZoneId where;
    private final int time;
    private final int channel;
    private final int quantity;
    private final int unit;
    private final int battery;
    private final int[] values;
    private final Quantity[] quantities;
    /** Of the line before: the hour that an autumn repeats is told apart by what came first. */
    private Instant before = Instant.MIN;

    RowReader(List<String> columns, ColumnMapping mapping) {
        this.mapping = mapping;
        format = TimeFormat.valueOf(mapping.timeFormat());
        where = ZoneId.of(mapping.timeZone());
        time = columns.indexOf(mapping.time());
        channel = columns.indexOf(mapping.channel());
        quantity = columns.indexOf(mapping.quantity());
        unit = columns.indexOf(mapping.unit());
        battery = columns.indexOf(mapping.battery());
        values = mapping.values().stream()
                .mapToInt(v -> columns.indexOf(v.column()))
                .toArray();
        quantities = mapping.values().stream()
                .map(v -> quantity < 0 ? Quantity.valueOf(v.quantity()) : null)
                .toArray(Quantity[]::new);
    }

    /** @return why the line cannot be read; empty where it was */
    String read(CSVRecord line, SampleKeeper keeper) throws SQLException {
        if (line.size() <= time) {
            return "too few columns";
        }
        Instant at;
        try {
            at = format.read(line.get(time).strip(), where, before);
            before = at;
        } catch (DateTimeException e) {
            return "the time is not written as " + format.label();
        }
        double volts = battery < 0 ? Double.NaN : number(line, battery);
        for (int i = 0; i < values.length; i++) {
            var column = mapping.values().get(i);
            Quantity measured = quantities[i] == null ? quantity(line) : quantities[i];
            if (measured == null) {
                return "no such quantity: " + text(line, quantity);
            }
            String name = channel < 0 ? column.channel().strip() : text(line, channel);
            if (!DeviceClient.isChannel(name)) {
                return "no channel";
            }
            String spelt = unit < 0 ? column.unit() : text(line, unit);
            keeper.keep(name, measured, new Sample(at, number(line, values[i]), spelt == null ? "" : spelt, volts));
        }
        return "";
    }

    private Quantity quantity(CSVRecord line) {
        String word = text(line, quantity);
        for (Quantity q : Quantity.values()) {
            if (q.name().equalsIgnoreCase(word) || q.label().equalsIgnoreCase(word)) {
                return q;
            }
        }
        return null;
    }

    private static String text(CSVRecord line, int column) {
        return column < line.size() ? line.get(column).strip() : "";
    }

    /** NaN where no number stands there: the screening says so. */
    private static double number(CSVRecord line, int column) {
        String text = text(line, column);
        if (text.isEmpty()) {
            return Double.NaN;
        }
        try {
            return Double.parseDouble(text.indexOf(',') >= 0 && text.indexOf('.') < 0 ? text.replace(',', '.') : text);
        } catch (NumberFormatException e) {
            return Double.NaN;
        }
    }
}
