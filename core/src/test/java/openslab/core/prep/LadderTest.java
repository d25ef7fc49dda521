package openslab.core.prep;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import openslab.core.prep.patch.Ladder;
import openslab.core.prep.patch.Ladder.Result;
import openslab.core.prep.wash.Chemical;
import openslab.core.prep.wash.Ratio;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Strengths from far below the label to the label; the weakest that works is used everywhere. */
public class LadderTest {
    private static Ladder descaler(String... waterAndResult) {
        var squares = new ArrayList<Ladder.Square>();
        for (String s : waterAndResult) {
            String[] parts = s.split(" ");
            squares.add(
                    new Ladder.Square(Chemical.DESCALER, Double.parseDouble(parts[0]), 2, Result.valueOf(parts[1])));
        }
        return Ladder.of(Chemical.DESCALER, squares);
    }

    /** A label of 1:1 is tried from 1:16 on: common practice begins at 4 parts of water, this a little below it. */
    @Test
    public void rungs_double_from_far_below_the_label_up_to_it() {
        assertEquals(
                descaler().rungs().stream().map(r -> r.ratio().water()).toList(), List.of(16.0, 8.0, 4.0, 2.0, 1.0));
        assertEquals(descaler().next().orElseThrow().typed(), "1:16");
        assertTrue(descaler().word().startsWith("Now try 1 part into 16 of water"));
    }

    @DataProvider
    Object[][] stories() {
        return new Object[][] {
            {"16 WEAK", "1:8", ""},
            {"16 WEAK,8 WEAK", "1:4", ""},
            {"16 WEAK,8 WEAK,4 WORKS", "", "1:4"},
            {"4 WORKS,8 WORKS", "", "1:8"},
            {"4 WEAK", "1:2", ""},
            {"16 WEAK,1 HARMS", "1:8", ""},
            {"2 WEAK,1 HARMS", "", ""},
            {"16 WEAK,8 WEAK,4 WEAK,2 WEAK,1 WEAK", "", ""},
            {"6 WORKS", "", "1:6"},
            {"8 WORKS,8 WEAK", "1:4", ""},
        };
    }

    @Test(dataProvider = "stories")
    public void the_next_square_is_the_weakest_that_may_still_work(String tried, String next, String winner) {
        Ladder ladder = descaler(tried.split(","));
        assertEquals(ladder.next().map(Ratio::typed).orElse(""), next);
        assertEquals(ladder.winner().map(Ratio::typed).orElse(""), winner);
    }

    /** A file from elsewhere may hold anything: what no label knows is no rung. */
    @Test
    public void what_no_label_knows_is_left_out() {
        assertEquals(descaler("0 WORKS", "400 WORKS").winner(), Optional.empty());
        assertEquals(descaler("0 WORKS").rungs().size(), 5);
    }

    @Test
    public void a_ladder_at_its_end_says_why() {
        assertTrue(descaler("1 WEAK").word().contains("something else is on the floor"));
        assertTrue(descaler("2 WEAK", "1 HARMS").word().contains("another chemical"));
        assertTrue(descaler("4 WORKS").word().contains("Weaker ones were not tried"));
    }

    /** Every chemical's ladder ends at its label, never beyond, and its usual strength lies on it. */
    @Test
    public void no_ladder_is_stronger_than_its_label() {
        for (Chemical c : Chemical.values()) {
            assertEquals(Chemical.find(c.id()).orElseThrow(), c);
            assertTrue(c.usual().thinness() <= c.weakest().thinness() + 1e-9, c.label());
            assertTrue(c.usual().thinness() >= c.strongest().thinness() - 1e-9, c.label());
            if (c.usual().isBags()) {
                continue;
            }
            List<Ladder.Rung> rungs = Ladder.of(c, List.of()).rungs();
            assertEquals(rungs.get(0).ratio().water(), c.weakest().water());
            assertEquals(
                    rungs.get(rungs.size() - 1).ratio().water(), c.strongest().water());
        }
        assertTrue(Arrays.stream(Chemical.Family.values())
                .allMatch(f -> !f.caution().isBlank()));
        assertTrue(Chemical.Family.ACID.caution().contains("Never with bleach, nor stripper"));
    }
}
