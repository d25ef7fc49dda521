package openslab.core.system;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import openslab.core.Cases;
import openslab.core.product.Chemistry;
import openslab.core.survey.Verdict;
import org.testng.annotations.Test;

/** What goes over what: the whole table, by TRADE 4, 5, 8, 14 and SYSTEMS. */
public class CompatibilityTest {
    /** Every pair that does not simply go, in a table; whatever is not in it goes. */
    @Test
    public void the_table_is_as_it_is_written() {
        var written = new ArrayList<String>();
        for (Object[] row : Cases.read("compatibility.csv")) {
            Cases c = (Cases) row[0];
            written.add(c.text("below") + " " + c.text("above") + " " + c.text("verdict") + " " + c.text("rule"));
        }
        var found = new ArrayList<String>();
        for (Chemistry below : Chemistry.values()) {
            for (Chemistry above : Chemistry.values()) {
                var over = Compatibility.of(below, above);
                assertTrue(over.words().endsWith("."), over.words());
                // what nobody knows is told once
                if (over.verdict() != Verdict.GO && below != Chemistry.UNSAID && above != Chemistry.UNSAID) {
                    found.add(below + " " + above + " " + over.verdict() + " " + over.rule());
                }
            }
        }
        assertEquals(String.join("\n", found), String.join("\n", written));
    }

    /** What is unknown is unknown both ways; finishes mix neither way; what is the same goes over itself. */
    @Test
    public void chemistry_is_symmetric_where_it_is() {
        for (Chemistry one : Chemistry.values()) {
            for (Chemistry other : Chemistry.values()) {
                String there = Compatibility.of(one, other).rule();
                String back = Compatibility.of(other, one).rule();
                for (String rule : List.of("unsaid", "finishes-never-mix", "same", "solvent-and-water")) {
                    assertEquals(there.equals(rule), back.equals(rule), one + " and " + other + ": " + rule);
                }
            }
        }
        assertEquals(Compatibility.of(Chemistry.EPOXY, Chemistry.EPOXY).verdict(), Verdict.GO);
    }
}
