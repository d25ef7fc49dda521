package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import openslab.core.care.Leaving;
import openslab.core.product.Exposure;
import openslab.core.product.ProductSheet;
import org.testng.annotations.Test;

/** What is left to do when the last coat is on. */
public class LeavingTest {
    private static final ProductSheet CLEAR = Stories.epoxyWithFlake().get(3).sheet();

    @Test
    public void tape_comes_first_where_there_is_any_and_trim_last_where_there_is_a_wall() {
        for (Exposure exposure : Exposure.values()) {
            List<String> things = Leaving.after(CLEAR, exposure, true);
            assertTrue(things.get(0).startsWith("Pull the tape"), things.toString());
            assertEquals(things.get(things.size() - 1).startsWith("Trim"), exposure == Exposure.INDOORS);
            assertEquals(things.stream().distinct().count(), things.size());
            assertTrue(Leaving.after(CLEAR, exposure, false).stream().noneMatch(t -> t.contains("tape")));
        }
    }

    @Test
    public void a_door_is_left_ajar_indoors_and_sun_is_only_outdoors() {
        assertTrue(Leaving.after(CLEAR, Exposure.INDOORS, true).stream().anyMatch(t -> t.contains("ajar")));
        assertTrue(Leaving.after(CLEAR, Exposure.INDOORS, true).stream().noneMatch(t -> t.contains("sun")));
        assertTrue(Leaving.after(CLEAR, Exposure.SUN, true).stream().anyMatch(t -> t.contains("in sun and in shade")));
    }
}
