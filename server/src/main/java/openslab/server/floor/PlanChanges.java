package openslab.server.floor;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import openslab.core.floor.plan.RoomPlan;
import openslab.server.store.Words;
import openslab.server.web.StaleWrite;
import tools.jackson.databind.ObjectMapper;

/** What two plans differ in, as people name it: "Garage, wall C–D, length". */
final class PlanChanges {
    private PlanChanges() {}

    static List<StaleWrite.Change> between(PlanForm was, PlanForm is, ObjectMapper json) {
        return Words.changes(words(was, json), words(is, json));
    }

    private static Map<String, String> words(PlanForm form, ObjectMapper json) {
        Map<String, String> words = new TreeMap<>();
        for (PlanForm.RoomForm room : form.rooms()) {
            List<PlanForm.RunForm> runs = room.runs();
            for (int i = 0; i < runs.size(); i++) {
                String wall = RoomPlan.cornerName(i) + "–" + RoomPlan.cornerName((i + 1) % runs.size());
                put(words, room.name() + ", wall " + wall, json, runs.get(i));
            }
            put(words, room.name(), json, room.withRuns(List.of()));
        }
        words.put("north", form.north() == null ? "" : form.north());
        return words;
    }

    private static void put(Map<String, String> into, String whose, ObjectMapper json, Object part) {
        Words.of(json.valueToTree(part)).forEach((path, text) -> {
            if (!path.equals("id") && !path.endsWith(".id")) {
                into.put(whose + ", " + path.replace('.', ' '), text);
            }
        });
    }
}
