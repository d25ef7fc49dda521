package openslab.server.floor;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.Ring;
import openslab.core.floor.plan.Room;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.floor.walk.Bow;
import openslab.core.floor.walk.Run;
import openslab.core.floor.walk.Walk;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A room that was traced is written as texts that say the same room again. */
public class PlanWriterTest {
    private static final double HAIR = 1e-6;

    @DataProvider
    Object[][] systems() {
        return new Object[][] {{UnitSystem.US}, {UnitSystem.METRIC}};
    }

    private static Room random(Random random) {
        int n = 3 + random.nextInt(20);
        var ring = new ArrayList<Corner>();
        for (int i = 0; i < n; i++) {
            double a = 2 * Math.PI * (i + 0.6 * random.nextDouble()) / n;
            double r = 5 + 9 * random.nextDouble();
            ring.add(new Corner(r * Math.cos(a), r * Math.sin(a)));
        }
        var runs = new ArrayList<Run>();
        double heading = Math.atan2(
                ring.get(1).y() - ring.get(0).y(), ring.get(1).x() - ring.get(0).x());
        for (int i = 0; i < n; i++) {
            Corner from = ring.get(i);
            Corner to = ring.get((i + 1) % n);
            double ahead = Math.atan2(to.y() - from.y(), to.x() - from.x());
            Bow bow = random.nextInt(4) == 0 ? new Bow.Arc(0.01 + random.nextDouble() / 5, -1) : Bow.NONE;
            double turn = Math.IEEEremainder(ahead - heading, 2 * Math.PI);
            runs.add(new Run("w" + i, Math.hypot(to.x() - from.x(), to.y() - from.y()), turn, bow));
            heading = ahead;
        }
        var column = new Room.Opening(
                "o1", "Column", Room.Opening.Kind.COLUMN, new Ring.Circle(place(random), 0.1 + random.nextDouble()));
        var pit = new Room.Opening(
                "o2", "Pit", Room.Opening.Kind.CUT_OUT, new Ring.Box(place(random), 1.25, 0.5, random.nextGaussian()));
        var odd = new Room.Opening(
                "o3",
                "Odd",
                Room.Opening.Kind.FIXTURE,
                new Ring.Path(List.of(place(random), place(random), place(random))));
        var joint = new Room.Joint(
                "j", Room.Joint.Kind.EXPANSION, place(random), place(random), 0.0127, 0.1, true, true, false, true);
        var crack = new Room.Crack("k", List.of(place(random), place(random), place(random)), 0.0015, 0.02, true);
        var cut = new Room.Cut("c", List.of(place(random), place(random), place(random)), random.nextBoolean());
        return Room.draft("room-1", "Random", new Walk(runs, List.of()))
                .openings(List.of(column, pit, odd))
                .joints(List.of(joint))
                .cracks(List.of(crack))
                .cuts(List.of(cut))
                .room();
    }

    private static Corner place(Random random) {
        return new Corner(random.nextGaussian() * 3, random.nextGaussian() * 3);
    }

    @Test(dataProvider = "systems")
    public void what_is_written_is_read_again(UnitSystem units) {
        var random = new Random(3);
        for (int trial = 0; trial < 200; trial++) {
            Room room = random(random);
            var form = new PlanForm(List.of(PlanWriter.form(room, units)), "");
            Room again = PlanReader.read(form, units).rooms().get(0);
            assertEquals(
                    again.joints().size() + again.cracks().size() + again.cuts().size(), 3);
            near(again.joints().get(0).from(), room.joints().get(0).from());
            assertEquals(again.joints().get(0).parts(), true);
            assertEquals(again.joints().get(0).widthM(), 0.0127, HAIR);
            assertEquals(again.cracks().get(0).lengthM(), room.cracks().get(0).lengthM(), 10 * HAIR);
            near(again.cuts().get(0).line().get(2), room.cuts().get(0).line().get(2));
            assertEquals(again.cuts().get(0).ring(), room.cuts().get(0).ring());
            for (int i = 0; i < 3; i++) {
                List<Corner> was = room.openings().get(i).ring().corners();
                List<Corner> is = again.openings().get(i).ring().corners();
                assertEquals(is.size(), was.size());
                for (int c = 0; c < was.size(); c++) {
                    // a turn is kept to a ten-thousandth of a degree
                    near(is.get(c), was.get(c));
                }
            }
            double area = RoomPlan.of(room, units).quantities().gross().base();
            assertEquals(RoomPlan.of(again, units).quantities().gross().base(), area, 1e-4 * area, "trial " + trial);
        }
    }

    private static void near(Corner is, Corner was) {
        assertTrue(Math.hypot(is.x() - was.x(), is.y() - was.y()) < 5 * HAIR, is + " and not " + was);
    }

    @Test
    public void what_a_tape_says_exactly_is_written_as_a_tape_says_it() {
        var runs = new ArrayList<Run>();
        double[] feet = {24.5, 18, 24.5, 18};
        for (int i = 0; i < 4; i++) {
            runs.add(Run.straight("w" + i, feet[i] * 0.3048, i == 0 ? 0 : Math.PI / 2));
        }
        var form = PlanWriter.form(Room.of("r", "R", new Walk(runs, List.of())), UnitSystem.US);
        assertEquals(
                form.runs().stream().map(r -> r.turn() + " " + r.length()).toList(),
                List.of("S 24' 6\"", "L 18' 0\"", "L 24' 6\"", "L 18' 0\""));
        var odd = Room.of(
                "r",
                "R",
                new Walk(List.of(Run.straight("a", 1.23456, 0), Run.straight("b", 1.23456, Math.PI)), List.of()));
        assertEquals(PlanWriter.form(odd, UnitSystem.METRIC).runs().get(0).length(), "1.23456 m");
    }
}
