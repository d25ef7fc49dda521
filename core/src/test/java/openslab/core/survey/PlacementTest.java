package openslab.core.survey;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import openslab.core.Cases;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.Tape;
import openslab.core.floor.plan.Room;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.method.InSlabHumidity;
import openslab.core.survey.place.Placement;
import openslab.core.survey.place.Placement.Marked;
import openslab.core.survey.place.Placement.Proposal;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.testng.annotations.AfterClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Places on the floors of the tape: as many as asked, clear of the walls, further apart than chance would put them. */
public class PlacementTest {
    private static final GeometryFactory JTS = new GeometryFactory();
    private static final int CHANCES = 200;

    private final List<Double> apart = new ArrayList<>();
    private final List<Double> byChance = new ArrayList<>();

    @DataProvider
    Object[][] floors() {
        return Cases.read("floors.csv");
    }

    private static List<List<Corner>> rings(Cases floor) {
        RoomPlan plan = RoomPlan.of(Room.of("a", "a", Tape.walk(floor.text("walk"))), UnitSystem.METRIC);
        return List.of(plan.outline().corners());
    }

    private static Geometry polygon(List<Corner> ring) {
        var closed = new ArrayList<Coordinate>();
        ring.forEach(c -> closed.add(new Coordinate(c.x(), c.y())));
        closed.add(closed.get(0));
        return JTS.createPolygon(closed.toArray(Coordinate[]::new));
    }

    private static Geometry point(Corner at) {
        return JTS.createPoint(new Coordinate(at.x(), at.y()));
    }

    private static double meanNearest(List<Corner> places) {
        return places.stream()
                .mapToDouble(a -> places.stream()
                        .filter(b -> b != a)
                        .mapToDouble(b -> Math.hypot(a.x() - b.x(), a.y() - b.y()))
                        .min()
                        .orElseThrow())
                .average()
                .orElseThrow();
    }

    @Test(dataProvider = "floors")
    public void places_are_as_many_as_asked_and_clear_of_walls(Cases floor) {
        Geometry whole = polygon(rings(floor).get(0));
        int needed = new InSlabHumidity().count().of(whole.getArea());
        List<Proposal> places = Placement.propose(rings(floor), List.of(), List.of(), List.of(), needed, true);
        assertEquals(places.size(), needed);
        assertEquals(places.stream().map(Proposal::name).distinct().count(), needed);
        // in a floor too narrow for it, half as much clearance has to do, and so on
        double room = Placement.CLEAR_M;
        while (whole.buffer(-room).getArea() < 0.4 * whole.getArea()) {
            room /= 2;
        }
        for (Proposal p : places) {
            assertTrue(whole.contains(point(p.at())), p.toString());
            assertTrue(whole.getBoundary().distance(point(p.at())) >= room - 1e-9, p + " less than " + room);
        }
        assertTrue(
                places.stream().anyMatch(p -> whole.getBoundary().distance(point(p.at())) <= Placement.NEAR_WALL_M),
                "none near a wall");
    }

    @Test(dataProvider = "floors")
    public void places_are_further_apart_than_by_chance(Cases floor) {
        Geometry whole = polygon(rings(floor).get(0));
        int count = 6;
        List<Corner> places = Placement.propose(rings(floor), List.of(), List.of(), List.of(), count, false).stream()
                .map(Proposal::at)
                .toList();
        var random = new Random(3);
        double sum = 0;
        for (int i = 0; i < CHANCES; i++) {
            sum += meanNearest(random(whole, random, count));
        }
        apart.add(meanNearest(places) / Math.sqrt(whole.getArea()));
        byChance.add(sum / CHANCES / Math.sqrt(whole.getArea()));
        assertTrue(meanNearest(places) > 1.3 * sum / CHANCES, meanNearest(places) + " against " + sum / CHANCES);
    }

    private static List<Corner> random(Geometry whole, Random random, int count) {
        var box = whole.getEnvelopeInternal();
        var places = new ArrayList<Corner>();
        while (places.size() < count) {
            var c = new Corner(
                    box.getMinX() + box.getWidth() * random.nextDouble(),
                    box.getMinY() + box.getHeight() * random.nextDouble());
            if (whole.contains(point(c))) {
                places.add(c);
            }
        }
        return places;
    }

    @AfterClass
    public void tell() {
        System.out.printf(
                "six places on %d floors: mean nearest distance %.3f of the root of the area, by chance %.3f%n",
                apart.size(),
                apart.stream().mapToDouble(d -> d).average().orElseThrow(),
                byChance.stream().mapToDouble(d -> d).average().orElseThrow());
    }

    @Test
    public void what_is_marked_counts_and_is_kept_away_from() {
        var ring = List.of(new Corner(0, 0), new Corner(12, 0), new Corner(12, 8), new Corner(0, 8));
        var marked = List.of(new Marked("B", new Corner(2, 4)), new Marked("Door", new Corner(10, 2)));
        List<Proposal> more = Placement.propose(List.of(ring), List.of(), List.of(), marked, 4, false);
        assertEquals(more.stream().map(Proposal::name).toList(), List.of("A", "C"));
        for (Proposal p : more) {
            marked.forEach(
                    m -> assertTrue(Math.hypot(p.at().x() - m.at().x(), p.at().y() - m.at().y()) > 3, p + " " + m));
        }
        assertEquals(Placement.propose(List.of(ring), List.of(), List.of(), marked, 2, true), List.of());
        assertEquals(Placement.propose(List.of(ring), List.of(), List.of(), marked, 4, false), more);
    }

    @Test
    public void openings_and_joints_are_kept_clear() {
        var ring = List.of(new Corner(0, 0), new Corner(9, 0), new Corner(9, 6), new Corner(0, 6));
        var pit = List.of(new Corner(3, 2), new Corner(6, 2), new Corner(6, 4), new Corner(3, 4));
        var joint = List.of(new Corner(4.5, 0), new Corner(4.5, 6));
        List<Proposal> places = Placement.propose(List.of(ring, pit), List.of(joint), List.of(), List.of(), 7, true);
        assertEquals(places.size(), 7);
        for (Proposal p : places) {
            assertTrue(polygon(pit).distance(point(p.at())) >= Placement.CLEAR_M, p.toString());
            assertTrue(Math.abs(p.at().x() - 4.5) >= Placement.CLEAR_M, p.toString());
        }
    }
}
