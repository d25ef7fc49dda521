package openslab.server.instrument;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import openslab.core.quantity.InvalidInput;
import openslab.server.App;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** How a logger's columns and moments are read: what is guessed, what is refused, and why. */
public class ColumnMappingTest {
    private static final ZoneId HALIFAX = ZoneId.of("America/Halifax");

    /** cases/logger-times.tsv: the format, the text, and the moment it means in Halifax; - where it is refused. */
    @DataProvider
    Object[][] times() {
        return App.rows("logger-times.tsv");
    }

    @Test(dataProvider = "times")
    public void a_moment_is_read_as_it_is_written(String format, String text, String moment) {
        TimeFormat read = TimeFormat.valueOf(format);
        if (moment.equals("-")) {
            assertThrows(DateTimeException.class, () -> read.read(text, HALIFAX, Instant.MIN));
            assertFalse(read.reads(text));
        } else {
            assertEquals(read.read(text, HALIFAX, Instant.MIN), Instant.parse(moment));
            assertTrue(read.reads(text));
        }
    }

    /** On 1 November 2026 Halifax shows one o'clock twice: the second time comes after the first. */
    @Test
    public void the_hour_that_autumn_repeats_is_told_apart_by_what_came_before() {
        Instant at = Instant.MIN;
        var told = new java.util.ArrayList<Instant>();
        for (String wall : List.of("00:45", "01:15", "01:45", "01:15", "01:45", "02:15")) {
            at = TimeFormat.YEAR_FIRST.read("2026-11-01 " + wall, HALIFAX, at);
            told.add(at);
        }
        assertEquals(
                told.stream().map(Instant::toString).toList(),
                List.of(
                        "2026-11-01T03:45:00Z",
                        "2026-11-01T04:15:00Z",
                        "2026-11-01T04:45:00Z",
                        "2026-11-01T05:15:00Z",
                        "2026-11-01T05:45:00Z",
                        "2026-11-01T06:15:00Z"));
    }

    /** cases/logger-columns.tsv: the columns, a line under them, and what is guessed of each part. */
    @DataProvider
    Object[][] columns() {
        return App.rows("logger-columns.tsv");
    }

    @Test(dataProvider = "columns")
    public void columns_are_guessed_by_their_names(
            String columns, String line, String time, String format, String channel, String unit, String values) {
        List<String> names = Arrays.asList(columns.split("\\|"));
        ColumnMapping guess = ColumnMapping.guess(names, List.of(Arrays.asList(line.split("\\|", -1))), "UTC");
        assertEquals(guess.time(), time);
        assertEquals(guess.timeFormat(), format);
        assertEquals(guess.channel(), channel);
        assertEquals(guess.unit(), unit);
        String said = String.join(
                " ",
                guess.values().stream()
                        .map(v -> v.column().replace(' ', '_') + "=" + v.quantity())
                        .toList());
        assertEquals(said, values);
        if (!guess.values().isEmpty()) {
            guess.check(names);
        }
    }

    private static ColumnMapping mapping(String time, String channel, ColumnMapping.ValueColumn... values) {
        return new ColumnMapping(time, "ISO", "UTC", channel, "", "", "", List.of(values));
    }

    private static List<String> faults(ColumnMapping mapping) {
        InvalidInput e =
                org.testng.Assert.expectThrows(InvalidInput.class, () -> mapping.check(List.of("at", "probe", "rh")));
        return e.faults().stream().map(InvalidInput.Fault::field).toList();
    }

    @Test
    public void every_part_of_a_mapping_that_does_not_fit_is_named() {
        var good = new ColumnMapping.ValueColumn("rh", "A", "SLAB_RH", "%");
        mapping("at", "", good).check(List.of("at", "probe", "rh"));
        mapping("at", "probe", new ColumnMapping.ValueColumn("rh", null, "SLAB_RH", null))
                .check(List.of("at", "probe", "rh"));
        assertEquals(faults(mapping("when", "", good)), List.of("mapping.time"));
        assertEquals(faults(mapping("at", "sensor", good)), List.of("mapping.channel"));
        assertEquals(faults(mapping("at", "")), List.of("mapping.values"));
        assertEquals(
                faults(mapping("at", "", new ColumnMapping.ValueColumn("salt", "A", "SLAB_RH", "%"))),
                List.of("mapping.values[0].column"));
        assertEquals(
                faults(mapping("at", "", new ColumnMapping.ValueColumn("rh", "", "SLAB_RH", "%"))),
                List.of("mapping.values[0].channel"));
        assertEquals(
                faults(mapping("at", "", new ColumnMapping.ValueColumn("rh", "A", "SALT", "%"))),
                List.of("mapping.values[0].quantity"));
        assertEquals(faults(mapping("at", "", good, good)), List.of("mapping.values[1].channel"));
        var many = new ColumnMapping.ValueColumn[65];
        Arrays.setAll(many, i -> new ColumnMapping.ValueColumn("rh", "C" + i, "SLAB_RH", "%"));
        assertEquals(faults(mapping("at", "", many)), List.of("mapping.values"));
        assertEquals(
                faults(new ColumnMapping("at", "OLD", "Moon", "", "", "", "volts", List.of(good))),
                List.of("mapping.timeFormat", "mapping.timeZone", "mapping.battery"));
    }

    private static LoggerFile file(String text) throws java.io.IOException {
        Path path = Files.createTempFile("openslab-test", ".csv");
        path.toFile().deleteOnExit();
        Files.write(path, text.getBytes(StandardCharsets.UTF_8));
        return LoggerFile.open(path);
    }

    @Test
    public void the_sign_between_columns_is_found() throws Exception {
        for (String sign : new String[] {",", ";", "\t"}) {
            LoggerFile file = file("at%1$srh%1$sroom\n2026-05-04T00:00:00Z%1$s80%1$s17\n".formatted(sign));
            assertEquals(file.columns(), List.of("at", "rh", "room"));
            assertEquals(file.first(), List.of(List.of("2026-05-04T00:00:00Z", "80", "17")));
        }
        assertEquals(file("\ufeffat,rh\n1,2\n").columns(), List.of("at", "rh"));
        assertEquals(file("\"at, local\",rh\n1,2\n").columns(), List.of("at, local", "rh"));
        assertEquals(file("at,rh\n" + "1,2\n".repeat(50)).first().size(), 6, "only as many as are shown");
    }

    @DataProvider
    Object[][] noFiles() {
        return new Object[][] {
            {""}, {"at\n1\n"}, {"at,rh\n"}, {"at,at\n1,2\n"}, {"at,\n1,2\n"}, {"\n\n"}, {"a,b".repeat(60) + "\n1,2\n"}
        };
    }

    @Test(dataProvider = "noFiles")
    public void what_is_no_table_is_refused(String text) {
        InvalidInput e = org.testng.Assert.expectThrows(InvalidInput.class, () -> file(text));
        assertEquals(e.faults().get(0).field(), "file");
    }
}
