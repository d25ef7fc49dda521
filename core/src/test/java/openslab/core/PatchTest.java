package openslab.core;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.job.Patch;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import org.testng.annotations.Test;

/** A patch is as large as it was measured, and lies where it was drawn. */
public class PatchTest {
    /** 3 m by 1 m: schoolbook areas and edges. */
    private static final List<Corner> STRIP =
            List.of(new Corner(1, 1), new Corner(4, 1), new Corner(4, 2), new Corner(1, 2));

    private static Value measured(String typed) {
        return Patch.SIZE.parse("patch", typed, UnitSystem.METRIC);
    }

    @Test
    public void a_drawn_one_is_as_large_and_as_long_round_as_it_was_drawn() {
        var patch = new Patch(Optional.empty(), STRIP);
        assertEquals(patch.m2(), 3, 1e-12);
        assertEquals(patch.edge(UnitSystem.METRIC).base(), 8, 1e-12);
        assertTrue(
                patch.area(UnitSystem.METRIC).text().startsWith("3"),
                patch.area(UnitSystem.METRIC).text());
    }

    /** Four times the area, of the same shape, has twice the edge. */
    @Test
    public void what_was_measured_beats_what_was_drawn() {
        var patch = new Patch(Optional.of(measured("12 m²")), STRIP);
        assertEquals(patch.m2(), 12, 1e-12);
        assertEquals(patch.edge(UnitSystem.METRIC).base(), 16, 1e-12);
    }

    @Test
    public void one_that_nobody_drew_is_reckoned_square_and_may_lie_anywhere() {
        var patch = Patch.of(measured("4 m²"));
        assertEquals(patch.edge(UnitSystem.METRIC).base(), 8, 1e-12);
        assertTrue(patch.holds(new Corner(100, 100)));
    }

    @Test
    public void its_figures_come_out_as_they_say() {
        for (UnitSystem system : UnitSystem.values()) {
            for (Patch patch : List.of(
                    Patch.of(measured("4 m²")),
                    new Patch(Optional.empty(), STRIP),
                    new Patch(Optional.of(measured("12 m²")), STRIP))) {
                Formula.assertRecomputes(patch.area(system));
                Formula.assertRecomputes(patch.edge(system));
            }
        }
    }

    @Test
    public void it_holds_what_lies_in_it() {
        var patch = new Patch(Optional.empty(), STRIP);
        assertTrue(patch.holds(new Corner(2, 1.5)));
        assertFalse(patch.holds(new Corner(2, 2.5)));
    }

    @Test
    public void one_without_size_or_place_is_none() {
        expectThrows(IllegalArgumentException.class, () -> new Patch(Optional.empty(), List.of()));
    }
}
