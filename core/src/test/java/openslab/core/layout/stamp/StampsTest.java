package openslab.core.layout.stamp;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import openslab.core.Cases;
import openslab.core.Formula;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Tape;
import openslab.core.floor.plan.Room;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.floor.plan.Shapes2D;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Refusal;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class StampsTest {
    private static final double FOOT = 0.3048;

    private static List<Corner> box(double x, double y, double w, double h) {
        return List.of(new Corner(x, y), new Corner(x + w, y), new Corner(x + w, y + h), new Corner(x, y + h));
    }

    private static Optional<Figure> most(double m2) {
        var w = new Worksheet(UnitSystem.US);
        w.given("a", "for the test", m2, Unit.SQUARE_METRE);
        return Optional.of(w.figure("most", "A", "a", m2, Unit.SQUARE_METRE, Source.arithmetic("given")));
    }

    @DataProvider
    Object[][] floors() {
        return Cases.read("floors.csv");
    }

    /** What is stamped is the floor but for slivers; strips follow one another and none is over its window unless a row is. */
    @Test(dataProvider = "floors")
    public void mats_cover_a_floor_strip_by_strip(Cases floor) {
        List<Corner> ring = RoomPlan.of(Room.of("a", floor.text("name"), Tape.walk(floor.text("walk"))), UnitSystem.US)
                .outline()
                .corners();
        double area = Shapes2D.polygon(ring).getArea();
        for (double grain : new double[] {0, Math.PI / 2, 0.4}) {
            var rules = new StampRules(2 * FOOT, 2 * FOOT, 0.5, grain);
            Stamps s = Stamps.of(List.of(List.of(ring)), ring.get(0), rules, most(area / 4), 0.5, UnitSystem.US);
            String about = floor.text("name") + ", grain " + grain;
            double stamped = s.mats().stream()
                    .mapToDouble(m -> Shapes2D.polygon(m.rings(), 0).getArea())
                    .sum();
            assertTrue(stamped > 0.97 * area && stamped < area * (1 + 1e-6), about + ": " + stamped + " of " + area);
            double strips =
                    s.strips().stream().mapToDouble(t -> t.area().base()).sum();
            assertEquals(strips, area, 1e-6 * area, about);
            int row = 0;
            for (Stamps.Strip t : s.strips()) {
                assertEquals(t.from(), row, about);
                row = t.to();
                assertTrue(s.tooLong() || t.area().base() <= area / 4 + 1e-9, about);
                Formula.assertRecomputes(t.minutes());
            }
            assertEquals(row, (int) s.rows().value(), about);
            for (int i = 0; i < s.mats().size(); i++) {
                assertEquals(s.mats().get(i).order(), i + 1);
                assertTrue(
                        i == 0 || s.mats().get(i).row() >= s.mats().get(i - 1).row(), about);
            }
        }
    }

    /**
     * By hand: 10 by 6 ft in mats of 2 ft: three rows of five, the second shifted by half a mat: six, of which two are halves. The door is
     * at the top right: the bottom row is laid first, and the last one ends at the door.
     */
    @Test
    public void mats_are_counted_row_by_row_towards_the_door() {
        List<List<List<Corner>>> floor = List.of(List.of(box(0, 0, 10 * FOOT, 6 * FOOT)));
        var door = new Corner(10 * FOOT, 6 * FOOT);
        Stamps s = Stamps.of(floor, door, StampRules.USUAL, most(25 * FOOT * FOOT), 0.1, UnitSystem.US);
        assertEquals(s.rows().value(), 3, 0);
        assertEquals(s.pressed().value(), 16, 0);
        assertEquals(s.textured().value(), 2, 0);
        assertTrue(s.mats().get(0).label().y() < 2 * FOOT);
        Corner last = s.mats().get(15).label();
        assertTrue(last.x() > 8 * FOOT && last.y() > 4 * FOOT, last.toString());
        // 20 ft² a row, 25 while the window is open: a strip a row; 1.858 m² at 0.1 m²/min are 18.6 min
        assertEquals(s.strips().size(), 3);
        assertEquals(s.strips().get(0).minutes().value(), 20 * FOOT * FOOT / 0.1, 1e-9);
        assertFalse(s.tooLong());
        assertTrue(Stamps.of(floor, door, StampRules.USUAL, most(1), 0.1, UnitSystem.US)
                .tooLong());
        assertEquals(
                Stamps.of(floor, door, StampRules.USUAL, Optional.empty(), 0.1, UnitSystem.US)
                        .strips()
                        .size(),
                1);
        // from the other side everything is turned round
        Stamps turned = Stamps.of(floor, new Corner(0, 0), StampRules.USUAL, most(25), 0.1, UnitSystem.US);
        assertTrue(turned.mats().get(0).label().y() > 4 * FOOT);
        assertTrue(turned.mats().get(15).label().x() < 2 * FOOT);
    }

    @Test
    public void rules_that_nobody_can_lay_are_refused() {
        assertThrows(IllegalArgumentException.class, () -> new StampRules(0.01, 0.6, 0, 0));
        assertThrows(IllegalArgumentException.class, () -> new StampRules(0.6, 0.6, 1, 0));
        var tiny = new StampRules(0.1, 0.1, 0, 0);
        assertThrows(
                Refusal.class,
                () -> Stamps.of(
                        List.of(List.of(box(0, 0, 30, 30))),
                        new Corner(0, 0),
                        tiny,
                        Optional.empty(),
                        1,
                        UnitSystem.US));
    }
}
