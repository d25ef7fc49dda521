package openslab.server.exchange;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Heights;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.UnitSystem;
import openslab.server.App;
import openslab.server.floor.PlanForm;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Heights as CSV. */
public class LevelsCsvTest {
    @Test
    public void a_bare_table_is_read_as_it_stands() {
        PlanForm.LevelsForm form = LevelsCsv.read("0, 1/8, \n0.25;\n".replace(';', ','), UnitSystem.US);
        assertEquals(form.columns(), 3);
        assertEquals(form.heights(), List.of("0 in", "1/8 in", "", "0.25 in", "", ""));
        assertEquals(LevelsCsv.read("1;2\n3;4", UnitSystem.METRIC).heights(), List.of("1 mm", "2 mm", "3 mm", "4 mm"));
    }

    @Test
    public void readings_with_their_places_come_in_any_order() {
        String text = "along [ft],off [ft],height [in]\r\n4,0,0.5\r\n0,0,0\r\n0,4,-1/8\r\n2,2,0.25\r\n";
        PlanForm.LevelsForm form = LevelsCsv.read(text, UnitSystem.METRIC);
        assertEquals(form.columns(), 3);
        assertEquals(form.step(), "0.6096 m");
        assertEquals(form.heights(), List.of("0 in", "", "0.5 in", "", "0.25 in", "", "-1/8 in", "", ""));
    }

    @Test
    public void what_goes_out_comes_back() {
        double[] metres = {0, 0.0015, Double.NaN, -0.002, 0.004, 0.0001};
        var heights = new Heights(new Corner(0.3, 1.2), 0.6096, 3, metres);
        String csv = LevelsCsv.write(heights);
        assertEquals(csv.lines().count(), 6L);
        PlanForm.LevelsForm form = LevelsCsv.read(csv, UnitSystem.US);
        assertEquals(form.at(), new PlanForm.PlaceForm("0.3 m", "1.2 m"));
        assertEquals(form.step(), "0.6096 m");
        assertEquals(form.heights(), List.of("0 mm", "1.5 mm", "", "-2 mm", "4 mm", "0.1 mm"));
    }

    @DataProvider
    Object[][] bad() {
        return App.rows("bad-levels.tsv");
    }

    @Test(dataProvider = "bad")
    public void what_is_no_table_of_heights_says_where(String text, String field, String accepted) {
        InvalidInput e =
                expectThrows(InvalidInput.class, () -> LevelsCsv.read(text.replace("\\n", "\n"), UnitSystem.METRIC));
        assertEquals(e.faults().get(0).field(), field, e.getMessage());
        assertTrue(e.faults().get(0).accepted().contains(accepted), e.getMessage());
    }
}
