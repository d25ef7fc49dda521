package openslab.server;

import static org.testng.Assert.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/**
 * The bill, read a second time: what the steps of a floor name in words is on it or brought by the crew, and what is on it is
 * named by one of them. Common practice, no source: the words are ours, {@code cases/consumables.txt}.
 */
public class TwoReadingsTest {
    /** @param named how a step speaks of it; {@code answer} what of the bill, or of what the crew brings, stands for it */
    private record Thing(Pattern named, Pattern answer) {}

    private static final List<Thing> THINGS = App.text("cases/consumables.txt")
            .lines()
            .filter(l -> !l.isBlank() && !l.startsWith("#"))
            .map(l -> l.split(" \\| "))
            .map(w -> new Thing(read(w[0]), read(w[1])))
            .toList();

    private App app;

    private static Pattern read(String words) {
        return Pattern.compile("\\b(" + words.strip() + ")", Pattern.CASE_INSENSITIVE);
    }

    @BeforeClass
    void start() {
        app = App.start(App.emptyFolder(), "--clock=2026-05-20T12:00:00Z");
    }

    @AfterClass(alwaysRun = true)
    void stop() {
        app.close();
    }

    @DataProvider
    static Object[] systems() {
        return App.text("stories/stories.txt").lines().filter(l -> !l.isBlank()).toArray();
    }

    @Test(dataProvider = "systems")
    public void every_consumable_is_on_the_bill_or_the_crews_own_and_nothing_else_is(String story) {
        App.Floor floor = StoryScript.surveyed(app, story);
        JsonNode takeOff = app.get(floor.path() + "/take-off").body().path("takeOff");
        List<String> told = told(floor);
        List<String> sundries = labels(takeOff.path("bill").path("sundries"), "label");
        List<String> materials = labels(takeOff.path("bill").path("materials"), "sheet");
        List<String> own = new ArrayList<>();
        takeOff.path("own").forEach(o -> own.add(o.asString()));
        List<String> answers =
                Stream.of(sundries, materials, own).flatMap(List::stream).toList();
        var missing = new TreeSet<String>();
        var explained = new TreeSet<String>();
        for (String text : told) {
            for (Thing thing : THINGS) {
                if (thing.named().matcher(text).find()) {
                    List<String> by = answers.stream()
                            .filter(a -> thing.answer().matcher(a).find())
                            .toList();
                    explained.addAll(by);
                    if (by.isEmpty()) {
                        missing.add(thing.named() + " in: " + text);
                    }
                }
            }
        }
        assertEquals(String.join("\n", missing), "", story + ": named by a step, and on no list");
        var nobodys = new TreeSet<>(sundries);
        nobodys.removeAll(explained);
        assertEquals(String.join("\n", nobodys), "", story + ": on the bill, and named by no step");
        assertEquals(new TreeSet<>(sundries).size(), sundries.size(), story + ": twice on the bill");
    }

    /** Every step that is still to be done, and what lies ready for it, in words. */
    private List<String> told(App.Floor floor) {
        var told = new ArrayList<String>();
        JsonNode prep = app.get(floor.zonePath() + "/stages/prep").body();
        tell(prep.path("report").path("prep").path("steps"), prep, told);
        for (JsonNode layer : app.get(floor.path())
                .body()
                .path("zones")
                .path(0)
                .path("report")
                .path("layers")) {
            JsonNode stage = app.get(floor.zonePath() + "/stages/layers/"
                            + layer.path("id").asString())
                    .body();
            tell(stage.path("report").path("layers").path(0).path("steps"), stage, told);
        }
        return told;
    }

    private static void tell(JsonNode steps, JsonNode stage, List<String> told) {
        steps.forEach(
                s -> told.add(s.path("title").asString() + ". " + s.path("does").asString()));
        stage.path("sheet")
                .path("staging")
                .forEach(i -> told.add(i.path("label").asString()));
    }

    private static List<String> labels(JsonNode all, String of) {
        var labels = new ArrayList<String>();
        all.forEach(n -> labels.add(n.path(of).asString()));
        return labels;
    }
}
