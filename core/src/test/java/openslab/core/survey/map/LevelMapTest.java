package openslab.core.survey.map;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Heights;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.Test;

/** Heights over a zone: exact on a plane, and nobody knows beyond the readings. */
public class LevelMapTest {
    private static final List<Corner> FLOOR =
            List.of(new Corner(0, 0), new Corner(8, 0), new Corner(8, 4), new Corner(0, 4));

    /** A plane that falls 10 mm a metre along and 5 mm a metre off, read over the left half of the floor. */
    private static Heights plane() {
        double[] heights = new double[5 * 5];
        for (int i = 0; i < heights.length; i++) {
            heights[i] = 0.01 * (i % 5) + 0.005 * (i / 5);
        }
        return new Heights(new Corner(0, 0), 1, 5, heights);
    }

    @Test
    public void a_plane_is_a_plane_as_far_as_it_was_read() {
        SurveyMap map = LevelMap.of(plane(), List.of(FLOOR), UnitSystem.METRIC);
        SurveyMap.Grid grid = map.grid().orElseThrow();
        int known = 0;
        for (int i = 0; i < grid.values().length; i++) {
            double x = grid.x() + (i % grid.columns() + 0.5) * grid.stepM();
            double y = grid.y() + (i / grid.columns() + 0.5) * grid.stepM();
            assertEquals(grid.supported()[i], x < 4 && y < 4, x + " " + y);
            if (grid.supported()[i]) {
                known++;
                assertEquals(grid.values()[i], 10 * x + 5 * y, 1e-3);
                assertEquals(grid.sigmas()[i], 1, 1e-3, "what a staff repeats to");
            }
        }
        assertTrue(known > 1000);
        assertEquals(map.guessed(), 50, 1.5);
        assertEquals(map.missed(), "0.0\u00a0mm");
    }

    @Test
    public void one_reading_left_out_is_told_by_how_much_it_would_be_missed() {
        double[] heights = plane().heightsM().clone();
        heights[12] += 0.008;
        SurveyMap map = LevelMap.of(new Heights(new Corner(0, 0), 1, 5, heights), List.of(FLOOR), UnitSystem.METRIC);
        // of nine inner readings one is off by 8 mm and its four neighbours by 2 mm each: √((64 + 4·4)/9)
        assertEquals(map.missed(), "3.0\u00a0mm");
        heights[0] = Double.NaN;
        SurveyMap torn = LevelMap.of(new Heights(new Corner(0, 0), 1, 5, heights), List.of(FLOOR), UnitSystem.METRIC);
        assertEquals(torn.guessed() - map.guessed(), 100.0 / 32, 0.5);
    }
}
