package openslab.core.floor;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Gap;
import openslab.core.floor.level.Heights;
import openslab.core.floor.level.Levels;
import openslab.core.floor.level.Lip;
import openslab.core.floor.plan.Flaws;
import openslab.core.floor.plan.FloorPlan;
import openslab.core.floor.plan.PlanReport;
import openslab.core.floor.plan.Room;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.Test;

/** What a zone has to be made good, of a room that it shares with another: 10 m by 6, cut in the middle of its length. */
public class FlawsTest {
    private static Corner at(double x, double y) {
        return new Corner(x, y);
    }

    private static Flaws of(String zone, Room.Draft draft) {
        Room room = draft.cuts(List.of(Room.Cut.through("cut", at(5, 1), at(5, 2))))
                .marks(List.of(new Room.ZoneMark("west", at(1, 1)), new Room.ZoneMark("east", at(9, 1))))
                .room();
        var plan = new FloorPlan(List.of(room), 0);
        return Flaws.of(plan, PlanReport.of(plan, UnitSystem.METRIC), zone, UnitSystem.METRIC);
    }

    private static Room.Draft hall() {
        double f = 1 / 0.3048;
        return Room.draft("hall", "Hall", Tape.walk("%s|L %s|L %s|L %s".formatted(10 * f, 6 * f, 10 * f, 6 * f)));
    }

    @Test
    public void a_crack_counts_where_it_lies() {
        var crack = new Room.Crack("k1", List.of(at(2, 3), at(9, 3)), 0.003, 0.02, true);
        Flaws west = of("west", hall().cracks(List.of(crack)));
        Flaws east = of("east", hall().cracks(List.of(crack)));
        assertEquals(west.cracks().get(0).lengthM(), 3, 0.02);
        assertEquals(east.cracks().get(0).lengthM(), 4, 0.02);
        assertTrue(west.cracks().get(0).moving());
        assertEquals(of("nobody", hall().cracks(List.of(crack))), Flaws.NONE);
    }

    @Test
    public void joints_lips_and_gaps_are_the_zones_own() {
        var expansion = new Room.Joint(
                "j1", Room.Joint.Kind.EXPANSION, at(8, 0), at(8, 6), 0.01, 0.05, false, false, false, false);
        var lips = List.of(
                new Lip("l1", "Door", at(1, 0), at(2, 0), 0.0127), new Lip("l2", "Sill", at(3, 0), at(4, 0), 0.004));
        var gaps = List.of(new Gap("g1", at(1, 1), 3.048, 0.008), new Gap("g2", at(2, 2), 3.048, 0.002));
        Flaws west = of("west", hall().joints(List.of(expansion)).lips(lips).gaps(gaps));
        assertTrue(west.joints().isEmpty());
        assertEquals(west.lips().stream().map(Flaws.Rise::name).toList(), List.of("Door"));
        assertEquals(west.gaps().stream().map(Gap.GapCheck::id).toList(), List.of("g1"));
        Flaws east = of("east", hall().joints(List.of(expansion)));
        assertEquals(east.joints().get(0).lengthM(), 6, 0.02);
    }

    /** The first wall runs 10 m past both zones; a door of 0.9 m in it stands in the west. */
    @Test
    public void a_cove_runs_along_the_zones_own_walls() {
        Room.Draft draft = hall();
        String wall = draft.room().walk().runs().get(0).id();
        var cove = new Room.Edge(wall, true, false, false, new Room.Cove(0.0254, 0.1, 0.003, 0));
        Flaws east = of("east", draft.edges(List.of(cove)));
        assertEquals(east.coveM(), 5, 0.03);
        assertEquals(east.coveMortar().orElseThrow().label(), "cove mortar");
        assertEquals(of("west", hall().edges(List.of(cove))).coveM(), 5, 0.03);
    }

    /**
     * Two zones of one room share its cove and its low places by what lies in each: 5 m of a 25.4 mm fillet, 100 mm high and
     * 3 mm thick, are 1000·5·((1-π/4)·0.0254² + 0.0746·0.003) L; and 5 m × 6 m filled by 10 mm are 300 L.
     */
    @Test
    public void cove_and_fill_are_the_zones_own() {
        Room.Draft draft = hall();
        String wall = draft.room().walk().runs().get(0).id();
        var cove = new Room.Edge(wall, true, false, false, new Room.Cove(0.0254, 0.1, 0.003, 0));
        double[] low = new double[11 * 7];
        java.util.Arrays.fill(low, -0.01);
        var levels = new Levels(new Heights(at(0, 0), 1, 11, low), Optional.of(0.0), 0);
        for (String zone : List.of("west", "east")) {
            Flaws flaws = of(zone, hall().edges(List.of(cove)).levels(Optional.of(levels)));
            double section = (1 - Math.PI / 4) * 0.0254 * 0.0254 + (0.1 - 0.0254) * 0.003;
            assertEquals(flaws.coveMortar().orElseThrow().value(), 1000 * 5 * section, 0.01);
            assertEquals(flaws.fill().orElseThrow().value(), 300, 1.5);
        }
    }

    /** A door stands in one zone: the other's wall is not shorter for it. */
    @Test
    public void a_door_is_left_out_where_it_stands() {
        Room.Draft draft = hall();
        String wall = draft.room().walk().runs().get(0).id();
        var door = new Room.Door("d", wall, 1, 0.9, false);
        assertEquals(of("west", hall().doors(List.of(door))).maskM().orElseThrow(), 5 + 6 + 5 - 0.9, 0.06);
        assertEquals(of("east", hall().doors(List.of(door))).maskM().orElseThrow(), 5 + 6 + 5, 0.06);
    }

    /** Walls that nobody names are masked; one that is cut in is not. */
    @Test
    public void masking_runs_along_the_walls_that_are_masked() {
        assertEquals(of("west", hall()).maskM().orElseThrow(), 5 + 6 + 5, 0.06);
        Room.Draft draft = hall();
        String wall = draft.room().walk().runs().get(0).id();
        Flaws cutIn = of("west", draft.edges(List.of(new Room.Edge(wall, false, true, false, null))));
        assertEquals(cutIn.maskM().orElseThrow(), 6 + 5, 0.05);
        assertTrue(Flaws.NONE.maskM().isEmpty());
    }
}
