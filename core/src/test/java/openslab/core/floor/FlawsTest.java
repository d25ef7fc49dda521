package openslab.core.floor;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.level.Gap;
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
