package openslab.server.exchange;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import openslab.core.floor.plan.FloorPlan;
import openslab.core.floor.plan.PlanReport;
import openslab.core.floor.plan.Room;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.floor.trace.Role;
import openslab.core.floor.trace.Tracing;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.UnitSystem;
import openslab.server.App;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.io.geojson.GeoJsonReader;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.json.JsonMapper;

/** Drawings from elsewhere: what they enclose by hand, what is refused, and that what goes out comes back. */
public class DrawingsTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final double FOOT = 0.3048;

    static String file(String name) {
        try (InputStream in = DrawingsTest.class.getResourceAsStream("/files/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new AssertionError(name, e);
        }
    }

    /** Traced as it is offered. */
    static Tracing.Traced traced(ReadDrawing drawing, String unit) {
        Drawings.Offer offer = Drawings.offer(drawing);
        Map<String, String> roles = new LinkedHashMap<>();
        offer.layers().forEach(l -> roles.put(l.name(), l.role()));
        return Drawings.trace(drawing, unit, roles, 1);
    }

    private static RoomPlan plan(Room room) {
        return RoomPlan.of(room, UnitSystem.METRIC);
    }

    /** File, unit to be asked for, walls, area of the floor and round the openings, ft² by hand. */
    @DataProvider
    Object[][] drawings() {
        double porch = 200 + Math.PI * 25 / 2;
        return new Object[][] {
            {"garage-r12-inches.dxf", "in", 8, 492.0, Math.PI / 4},
            {"porch-2000-mm.dxf", "mm", 4, porch, 0.0},
            {"porch-arc-feet.dxf", "", 4, porch, 0.0},
            {"from-below-metres.dxf", "m", 4, (12 + Math.PI * 2.25 / 2) / FOOT / FOOT, 0.0},
        };
    }

    @Test(dataProvider = "drawings")
    public void a_drawing_becomes_the_floor_it_draws(String name, String unit, int walls, double feet, double open) {
        ReadDrawing drawing = Drawings.read(file(name), JSON);
        assertEquals(Drawings.offer(drawing).unit(), unit);
        Tracing.Traced traced = traced(drawing, unit.isEmpty() ? "ft" : unit);
        assertEquals(traced.left(), List.of());
        assertEquals(traced.rooms().size(), 1);
        assertEquals(traced.rooms().get(0).walk().runs().size(), walls);
        RoomPlan plan = plan(traced.rooms().get(0));
        assertEquals(plan.quantities().gross().base() / FOOT / FOOT, feet, 1e-6 * feet);
        assertEquals(
                (plan.quantities().gross().base() - plan.quantities().net().base()) / FOOT / FOOT, open, 1e-6 * feet);
        assertEquals(plan.doubts(), List.of());
    }

    @Test
    public void a_drawing_is_offered_layer_by_layer() {
        Drawings.Offer offer = Drawings.offer(Drawings.read(file("garage-r12-inches.dxf"), JSON));
        assertEquals(
                offer.layers().stream().map(l -> l.name() + " " + l.role()).toList(),
                List.of("Garage walls ROOM", "posts COLUMN", "control joints CONTROL", "cracks CRACK"));
        assertEquals(offer.width(), 288.0);
        assertEquals(offer.skipped(), List.of("1 TEXT"));
        var roles = Map.of("Garage walls", "LEAVE", "posts", "COLUMN");
        ReadDrawing drawing = Drawings.read(file("garage-r12-inches.dxf"), JSON);
        InvalidInput none = expectThrows(InvalidInput.class, () -> Drawings.trace(drawing, "in", roles, 1));
        assertTrue(none.getMessage().contains("posts: in no room (1)"), none.getMessage());
        InvalidInput wrong = expectThrows(
                InvalidInput.class, () -> Drawings.trace(drawing, "yard", Map.of("hall", "ROOM", "posts", "WALL"), 1));
        assertEquals(
                wrong.faults().stream().map(InvalidInput.Fault::field).sorted().toList(),
                List.of("roles", "roles.posts", "unit"));
    }

    @Test
    public void names_of_layers_suggest_what_they_are() {
        Map.of(
                        "Expansion Joints", Role.EXPANSION,
                        "saw-cuts joint", Role.CONTROL,
                        "FLOOR DRAINS", Role.DRAIN,
                        "cracks moving", Role.MOVING_CRACK,
                        "zone_line", Role.ZONE_LINE,
                        "room", Role.ROOM)
                .forEach((layer, role) -> assertEquals(Role.suggestedBy(layer).orElse(null), role, layer));
        assertTrue(Role.suggestedBy("layer 1").isEmpty());
    }

    @DataProvider
    Object[][] bad() {
        return App.rows("bad-drawings.tsv");
    }

    @Test(dataProvider = "bad")
    public void what_is_no_drawing_says_where(String text, String field, String accepted) {
        String drawing = text.replace("\\n", "\n").replace("\\u0003", "\3").replace("\\u0004", "\4");
        InvalidInput e = expectThrows(InvalidInput.class, () -> Drawings.read(drawing, JSON));
        assertEquals(e.faults().get(0).field(), field, e.getMessage());
        assertTrue(e.faults().get(0).accepted().contains(accepted), e.getMessage());
    }

    /** Two rooms, one with everything that a drawing can carry. */
    private static PlanReport everything() {
        var rooms =
                traced(Drawings.read(file("garage-r12-inches.dxf"), JSON), "in").rooms();
        var porch = traced(Drawings.read(file("porch-2000-mm.dxf"), JSON), "mm").rooms();
        var garage = rooms.get(0);
        var cut = Room.Cut.through(
                "cuts-1", garage.joints().get(0).from(), garage.joints().get(0).to());
        Room full = Room.draft(garage.id(), "Garage", garage.walk())
                .openings(garage.openings())
                .joints(garage.joints())
                .cracks(garage.cracks())
                .cuts(List.of(cut))
                .room();
        return PlanReport.of(new FloorPlan(List.of(full, porch.get(0)), 0), UnitSystem.METRIC);
    }

    private static String summary(PlanReport plan) {
        return plan.rooms().stream()
                .map(r -> "%.4f %.4f parts %d openings %d joints %d lines %d"
                        .formatted(
                                r.quantities().gross().base(),
                                r.quantities().net().base(),
                                r.pieces().size(),
                                r.openings().size(),
                                r.joints().joints(),
                                r.lines().size()))
                .collect(Collectors.joining("\n"));
    }

    @Test
    public void what_goes_out_comes_back() {
        PlanReport plan = everything();
        String geoJson = JSON.writeValueAsString(PlanGeoJson.of(plan));
        for (String text : List.of(geoJson, PlanDxf.of(plan))) {
            ReadDrawing drawing = Drawings.read(text, JSON);
            assertEquals(drawing.unit().orElseThrow().symbol(), "m");
            Tracing.Traced traced = traced(drawing, "m");
            assertEquals(traced.left(), List.of());
            PlanReport back = PlanReport.of(new FloorPlan(traced.rooms(), 0), UnitSystem.METRIC);
            assertEquals(summary(back), summary(plan), drawing.format());
        }
        Room.Joint joint = traced(Drawings.read(geoJson, JSON), "m")
                .rooms()
                .get(0)
                .joints()
                .get(0);
        assertEquals(joint.widthM(), 0.006, 1e-12);
    }

    /** The geometry library's own reader finds the same floor in our file. */
    @Test
    public void another_reader_finds_the_same_floor() throws Exception {
        PlanReport plan = everything();
        Geometry all = new GeoJsonReader().read(JSON.writeValueAsString(PlanGeoJson.of(plan)));
        double net = plan.rooms().stream()
                .mapToDouble(r -> r.quantities().net().base())
                .sum();
        double gross = plan.rooms().stream()
                .mapToDouble(r -> r.quantities().gross().base())
                .sum();
        double open = gross - net;
        assertTrue(all.isValid() || all.getNumGeometries() > 1);
        // rooms, their parts, and their openings, each once
        assertEquals(all.getArea(), gross + net + open, 1e-6 * gross);
    }
}
