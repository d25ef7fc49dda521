package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Which system a careful installer would name first for a floor and its people, which others will do, and what must be refused. */
public class ChoosingTest extends OnApp {
    @DataProvider
    Object[][] cases() {
        return App.text("cases/choosing.txt")
                .lines()
                .filter(l -> !l.startsWith("#") && !l.isBlank())
                .map(l -> new Object[] {l})
                .toArray(Object[][]::new);
    }

    /** substrate use exposure | needs | first | will do as well | refused by which rule | source */
    @Test(dataProvider = "cases")
    public void the_right_one_stands_first(String line) {
        String[] w = line.split(" *\\| *", -1);
        String[] floor = w[0].split(" ");
        var zone = App.zoneForm("Floor");
        zone.put("substrate", floor[0]);
        zone.put("use", floor[1]);
        zone.put("exposure", floor[2]);
        App.Floor made = app.floor("Choosing", zone);
        if (!w[1].isEmpty()) {
            assertEquals(
                    app.post(made.log(), App.logForm("NEED", "needs", "", values(w[1])))
                            .status(),
                    201,
                    line);
        }
        JsonNode report = app.get(made.zonePath() + "/stages/choices").body().path("report");
        List<String> offered = ids(report.path("offered"));
        String found = line + "\n offered " + offered + "\n refused " + refusals(report);
        assertEquals(offered.isEmpty() ? "none" : offered.get(0), w[2], found);
        for (String good : words(w[3])) {
            assertTrue(offered.contains(good), good + " will do as well: " + found);
        }
        for (String refused : words(w[4])) {
            String[] both = refused.split(":");
            assertTrue(refusals(report).getOrDefault(both[0], List.of()).contains(both[1]), refused + " of " + found);
        }
    }

    /** 38 m² at 55 pounds, the middle of 50 to 60: 2 090, between the 1 900 and 2 280 of the notes; whichever units the job has. */
    @Test
    public void replacing_a_vinyl_floor_has_its_figure() {
        for (String side : List.of("8 m", "26.24672 ft")) {
            var zone = App.zoneForm("Floor");
            zone.put("substrate", "VINYL_PLANK");
            zone.put("sides", Map.of("length", side, "width", "4.75 m"));
            JsonNode money = app.get(app.floor("Replacing", zone).zonePath() + "/stages/choices")
                    .body()
                    .path("report")
                    .path("replace")
                    .path("money");
            String text = money.path("text").asString().replaceAll("[^0-9.]", "");
            assertEquals(Double.parseDouble(text), 2090, 0.01);
        }
    }

    /** Two coats of one sheet wait for one another: 2 h at 70 °F between them, by the sheet of the resilient sealer. */
    @Test
    public void two_coats_of_one_sheet_wait_for_one_another() {
        var zone = App.zoneForm("Floor");
        zone.put("substrate", "VCT");
        String stage = app.floor("Two coats", zone).zonePath() + "/stages/choices";
        int at = ids(app.get(stage).body().path("report").path("offered")).indexOf("resilient-reseal");
        JsonNode working =
                app.get(stage + "/working?at=/report/offered/" + at + "/closed").body();
        String between = "";
        for (JsonNode step : working.path("steps")) {
            between += step.path("symbol").asString().equals("r")
                    ? step.path("value").asString()
                    : "";
        }
        assertEquals(Double.parseDouble(between.replaceAll("[^0-9.]", "")), 2, 0.01, working.toString());
    }

    private static Map<String, String> values(String text) {
        var values = new TreeMap<String, String>();
        for (String pair : text.split(", *")) {
            String[] both = pair.split("=", 2);
            values.put(both[0], both.length == 1 ? "yes" : both[1]);
        }
        return values;
    }

    private static List<String> words(String text) {
        return text.isBlank() ? List.of() : List.of(text.split(" "));
    }

    private static List<String> ids(JsonNode choices) {
        var ids = new ArrayList<String>();
        choices.forEach(c -> ids.add(c.path("id").asString()));
        return ids;
    }

    /** The rules that refuse, by system. */
    private static Map<String, List<String>> refusals(JsonNode report) {
        var refused = new TreeMap<String, List<String>>();
        for (JsonNode choice : report.path("refused")) {
            var rules = new ArrayList<String>();
            for (JsonNode reason : choice.path("reasons")) {
                if (reason.path("stance").asString().equals("REFUSES")) {
                    rules.add(reason.path("rule").asString());
                }
            }
            refused.put(choice.path("id").asString(), rules);
        }
        return refused;
    }
}
