package openslab.server.floor;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.UnitSystem;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.json.JsonMapper;

/** What stands in a room is described once: the description names every field of its form, and reading keeps to its bounds. */
public class RoomFeatureTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @DataProvider
    Object[][] features() {
        return Arrays.stream(RoomFeature.values()).map(f -> new Object[] {f}).toArray(Object[][]::new);
    }

    /** The record that the room's list of a feature holds. */
    private static Class<?> form(RoomFeature feature) {
        RecordComponent list = Arrays.stream(PlanForm.RoomForm.class.getRecordComponents())
                .filter(c -> c.getName().equals(feature.list()))
                .findFirst()
                .orElseThrow(() -> new AssertionError("a room has no list " + feature.list()));
        return (Class<?>) ((ParameterizedType) list.getGenericType()).getActualTypeArguments()[0];
    }

    @Test(dataProvider = "features")
    public void the_description_names_every_field_of_the_form(RoomFeature feature) {
        var described = feature.fields().stream().map(RoomField::id).collect(Collectors.toCollection(TreeSet::new));
        var there = Arrays.stream(form(feature).getRecordComponents())
                .map(RecordComponent::getName)
                .filter(n -> !n.equals("id"))
                .collect(Collectors.toCollection(TreeSet::new));
        assertEquals(described, there);
        for (RoomField field : feature.fields()) {
            assertTrue(field.unless().isEmpty() || described.contains(field.unless()), field.id());
        }
    }

    /** Filled with what lies well within its bounds, a feature is read; with anything beyond them the field is named. */
    @Test(dataProvider = "features")
    public void a_feature_is_read_within_its_bounds_and_not_beyond(RoomFeature feature) {
        PlanReader.read(plan(feature, entry(feature, null, 0)), UnitSystem.METRIC);
        for (RoomField field : feature.fields()) {
            double beyond = field.most() + Math.max(1, field.most());
            switch (field.kind()) {
                case LENGTH, SMALL, NUMBER -> {
                    refused(feature, field, entry(feature, field, beyond));
                    refused(feature, field, entry(feature, field, field.least() - 1));
                }
                case WORDS -> refused(feature, field, entry(feature, field, 0));
                default -> {}
            }
        }
    }

    private static void refused(RoomFeature feature, RoomField field, Map<String, Object> entry) {
        try {
            PlanReader.read(plan(feature, entry), UnitSystem.METRIC);
        } catch (InvalidInput e) {
            String path = "rooms[0]." + feature.list() + "[0]." + field.id();
            assertTrue(e.faults().stream().anyMatch(f -> f.field().equals(path)), e.getMessage());
            return;
        }
        throw new AssertionError(feature + " took " + entry);
    }

    /** @param odd the field that says {@code value} metres, or nothing where it holds words */
    private static Map<String, Object> entry(RoomFeature feature, RoomField odd, double value) {
        Map<String, Object> entry = new TreeMap<>(Map.of("id", "f1"));
        int places = 0;
        for (RoomField f : feature.fields()) {
            boolean wrong = odd != null && odd.id().equals(f.id());
            double middle = Math.max(f.least(), Math.min(f.most(), 0.4));
            entry.put(
                    f.id(),
                    switch (f.kind()) {
                        case WORDS -> wrong ? "" : f.freshMetric();
                        case LENGTH, SMALL -> (wrong ? value : middle) + " m";
                        case NUMBER -> (int) (wrong ? value : f.least());
                        case TURN -> "S";
                        case TICK -> false;
                        case CHOICE -> f.choices().get(f.choices().size() - 1).id();
                        case WALL, CORNER -> "abcd".charAt(Integer.parseInt(f.freshMetric())) + "";
                        case PLACE -> place(++places);
                        // of an opening it would say another shape, and then the rest is not asked for
                        case PLACES -> f.optional() ? List.of() : List.of(place(1), place(2));
                    });
        }
        return entry;
    }

    private static Map<String, String> place(int i) {
        return Map.of("along", i + " m", "off", "1 m");
    }

    private static PlanForm plan(RoomFeature feature, Map<String, Object> entry) {
        List<Map<String, Object>> runs = List.of("a", "b", "c", "d").stream()
                .map(id -> Map.<String, Object>of("id", id, "length", "10 m", "turn", "L"))
                .toList();
        Map<String, Object> room = Map.of("id", "r1", "name", "Hall", "runs", runs, feature.list(), List.of(entry));
        return JSON.convertValue(Map.of("rooms", List.of(room), "north", ""), PlanForm.class);
    }
}
