package openslab.server.web;

import static org.testng.Assert.assertEquals;

import java.util.List;
import org.testng.annotations.Test;

/** A spreadsheet runs nothing that we write (OWASP, CSV injection, from memory: cells that begin with = + - @ tab or return). */
public class CsvCellTest {
    @Test
    public void what_would_be_run_is_kept_as_a_text_and_read_as_it_was() {
        for (String name : List.of("=1+1", "+cmd|x", "-2+3", "@SUM(A1)", "\tx", "'=1")) {
            assertEquals(CsvCell.harmless(name), "'" + name);
            assertEquals(CsvCell.asWritten("'" + name), name);
        }
    }

    @Test
    public void numbers_and_names_are_left_alone() {
        for (String name : List.of("-4.5", "+12", "-3 °C", "Quayside", "", "a=b", "'quoted")) {
            assertEquals(CsvCell.harmless(name), name);
            assertEquals(CsvCell.asWritten(name), name);
        }
    }
}
