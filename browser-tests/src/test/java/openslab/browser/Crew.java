package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A crew that takes one floor from nothing to service on the screen, and counts every tap: a button, a link, an answer picked, a field
 * typed into. It writes its evening up, so each thing is logged with the hour at which it was done; who logs as he goes types no hour, and
 * none is counted.
 */
final class Crew {
    private static final Instant BEGAN = Instant.parse("2026-03-20T08:00:00Z");
    private static final JsonMapper JSON = new JsonMapper();
    private static final int MOST_STEPS = 80;

    final Page page;
    final Locator main;
    private final Running app;
    private String job;
    private String zone;
    /** Hours since it began. */
    double at;
    /** When anything was last done but waiting. */
    private double wet;

    private int taps;
    private int reasons;
    private double spilt;
    /** What a gate is to show once before it passes, by its id. */
    private final Map<String, String> fails = new HashMap<>();

    Crew(Running app, int width, int height) {
        this.app = app;
        page = app.page(width, height);
        main = page.getByRole(AriaRole.MAIN);
    }

    int taps() {
        return taps;
    }

    // hands

    private void press(Locator it) {
        taps++;
        it.click();
    }

    private void press(Locator in, String button) {
        press(button(in, button));
    }

    private static Locator button(Locator in, String name) {
        return in.getByRole(
                AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
    }

    private void type(Locator field, String value) {
        taps++;
        field.fill(value);
    }

    /** What stands there already is not typed again. */
    private void sign(Locator field) {
        if (field.count() > 0 && field.first().inputValue().isEmpty()) {
            type(field.first(), "Tamsin");
        }
    }

    private void answer(Locator in, String label) {
        taps++;
        in.getByLabel(label, new Locator.GetByLabelOptions().setExact(true)).check();
    }

    private void pick(Locator in, String field, String label) {
        Locator list = in.getByLabel(field).first();
        if (!list.locator("option:checked").textContent().equals(label)) {
            taps++;
            list.selectOption(new com.microsoft.playwright.options.SelectOption().setLabel(label));
        }
    }

    /** The hour at which it was done, which nobody types who logs as he goes. */
    private void when(Locator in) {
        in.getByLabel("When").first().fill(wall());
    }

    private Locator dialog() {
        return page.getByRole(AriaRole.DIALOG);
    }

    /** Up or down the core. */
    void climb(String stratum) {
        if (!page.url().endsWith("/" + zone + "/" + stratum)) {
            press(page.getByRole(AriaRole.NAVIGATION)
                    .locator("a[href$='/" + zone + "/" + stratum + "']")
                    .first());
            page.waitForURL("**/" + stratum);
        }
        assertThat(main.getByRole(AriaRole.HEADING, new Locator.GetByRoleOptions().setLevel(1)))
                .isVisible();
    }

    // what is read beside the screen, to know what to do next

    JsonNode get(String path) {
        return JSON.readTree(page.request().get(app.address + path).text());
    }

    JsonNode report() {
        return get("/api/jobs/" + job).at("/zones/0/report");
    }

    private String path() {
        return "/api/jobs/" + job + "/zones/" + zone;
    }

    private Instant moment() {
        return BEGAN.plus(Duration.ofMinutes(Math.round(at * 60)));
    }

    private String wall() {
        return LocalDateTime.ofInstant(moment(), ZoneOffset.UTC).toString().substring(0, 16);
    }

    // the work

    /** A job with its first floor, and what that is made of. */
    void floor(String name, String madeOf, String usedAs, String exposure) {
        page.navigate(app.address);
        press(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("New job"))
                .first());
        type(dialog().getByLabel("Name"), name);
        type(dialog().getByLabel("Length"), "6 m");
        type(dialog().getByLabel("Width"), "4 m");
        pick(dialog(), "Units", "Metric: metres, litres, °C");
        press(dialog(), "Create job");
        assertThat(main.getByRole(AriaRole.HEADING, new Locator.GetByRoleOptions().setName("Slab survey")))
                .isVisible();
        String[] at = page.url().replaceAll(".*#/job/", "").split("/");
        job = at[0];
        zone = get("/api/jobs/" + job).at("/zones/0/id").asString();
        press(main, "Edit zone");
        pick(dialog(), "Made of", madeOf);
        pick(dialog(), "Used as", usedAs);
        pick(dialog(), "Exposure", exposure);
        press(dialog(), "Save zone");
        assertThat(dialog()).hasCount(0);
    }

    /** Out of those that fit, with what was needed unsaid. */
    void choose(String system) {
        press(main.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Weigh them by what is needed")));
        press(main.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(system))
                .last()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Choose " + system)));
        page.waitForURL("**/build-up");
    }

    /** A layer that its system lays only where somebody wants it. */
    void add(String layer) {
        press(main.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add: " + layer)));
        page.waitForCondition(() -> report().path("strata").toString().contains(layer));
    }

    /** Takes what the survey asks for, until it asks for nothing. @param answers "method|value, value" for a place, by its fields */
    void survey(Map<String, String> answers) {
        climb("slab");
        JsonNode methods = get("/api/reference").path("methods");
        press(main.locator(".verdict button").first());
        while (true) {
            String title = dialog().getByRole(AriaRole.HEADING).first().textContent();
            if (title.equals("New reading")) {
                Locator wanted = dialog().getByText("more needed");
                if (wanted.count() == 0) {
                    break;
                }
                press(wanted.first());
                continue;
            }
            JsonNode method = methods.valueStream()
                    .filter(m -> m.path("title").asString().equals(title))
                    .findFirst()
                    .orElseThrow();
            // what was saved before is said until the next is
            Locator said = dialog().getByText("saved. What next?");
            String before = said.count() > 0 ? said.textContent() : "";
            read(method, answers);
            page.waitForCondition(() -> said.count() > 0 && !said.textContent().equals(before));
        }
        press(dialog(), "Close");
    }

    private void read(JsonNode method, Map<String, String> answers) {
        String id = method.path("id").asString();
        String said = answers.get(id);
        assertTrue(said != null, "nobody knows what " + id + " showed");
        for (String pair : said.split(", ")) {
            String[] both = pair.split("=", 2);
            for (JsonNode field : method.path("fields")) {
                if (field.path("id").asString().equals(both[0])) {
                    enter(dialog(), field, both[1]);
                }
            }
        }
        sign(dialog().getByLabel("By", new Locator.GetByLabelOptions().setExact(true)));
        when(dialog());
        int before = entries();
        press(dialog(), "Save reading");
        page.waitForCondition(() -> entries() > before);
    }

    private int entries() {
        return get("/api/jobs/" + job).path("log").size();
    }

    private void enter(Locator in, JsonNode field, String value) {
        String label = field.path("label").asString();
        for (JsonNode choice : field.path("choices")) {
            if (choice.path("id").asString().equals(value)) {
                Locator group = in.getByRole(
                        AriaRole.GROUP,
                        new Locator.GetByRoleOptions().setName(label).setExact(true));
                answer(group, choice.path("label").asString());
                return;
            }
        }
        Locator box = in.getByLabel(label).first();
        if (!box.inputValue().equals(value)) {
            type(box, value);
        }
    }

    /** A gate that shows this the first time. */
    void fails(String gate, String label) {
        fails.put(gate, label);
    }

    /** Once before the first stir. */
    void readAir(Map<String, String> answers) {
        press(main, "Read air and slab");
        read(method("climate"), answers);
        assertThat(dialog()).hasCount(0);
    }

    /** Everything that a stage still asks for, step by step. @param layer empty for the preparation */
    void work(String layer) {
        climb(layer.isEmpty() ? "prep" : layer);
        for (int done = 0; done < MOST_STEPS; done++) {
            JsonNode step = next(layer);
            if (step == null) {
                return;
            }
            take(layer, step);
        }
        throw new AssertionError("no end of steps in " + layer);
    }

    private JsonNode next(String layer) {
        for (JsonNode step : steps(layer)) {
            String progress = step.path("progress").asString();
            if (!progress.equals("DONE") && !progress.equals("FAILED")) {
                return step;
            }
        }
        return null;
    }

    private JsonNode steps(String layer) {
        JsonNode report = get(path() + "/stages/" + (layer.isEmpty() ? "prep" : "layers/" + layer))
                .path("report");
        return layer.isEmpty() ? report.at("/prep/steps") : report.at("/layers/0/steps");
    }

    /** As the floor is told it: powder in bags, all else as it was planned. */
    private String planned(String layer) {
        JsonNode planned = get(path() + "/stages/layers/" + layer).at("/report/layers/0");
        double bagKg = planned.at("/sheet/material/bagKg").asDouble(0);
        return bagKg > 0
                ? String.valueOf(planned.at("/amount/value").asDouble() / bagKg)
                : planned.at("/amount/text").asString();
    }

    private void take(String layer, JsonNode step) {
        String gate = step.at("/gate/id").asString();
        at += 0.1;
        JsonNode from = step.path("ready");
        Instant ready = from.isMissingNode() || from.isNull() ? BEGAN : Instant.parse(from.asString());
        at = Math.max(at, Duration.between(BEGAN, ready).toMinutes() / 60.0 + 0.05);
        boolean drying = gate.equals("dry") || gate.endsWith("/dry");
        if (drying) {
            at = Math.max(at, wet + number(step.at("/gate/needed").asString()) + 0.05);
        } else {
            wet = at;
        }
        Locator now = main.locator("li.now")
                .filter(new Locator.FilterOptions()
                        .setHasText(step.path("title").asString()));
        assertThat(now).hasCount(1);
        int before = entries();
        if (step.path("coat").asBoolean()) {
            boolean thrown = layer.contains("aggregate") || layer.contains("flake");
            sign(now.getByLabel("By"));
            when(now);
            if (spilt > 0) {
                press(now, "Batch mixed");
                type(now.getByLabel("Mixed"), spilt + " L");
                type(now.getByLabel("Spread over"), "24 m²");
                spilt = 0;
                press(now, "Save batch");
                assertThat(now).containsText("1 batch logged");
                when(now);
                press(now, "Coat done");
            } else {
                press(now, thrown ? "All thrown" : "Coat done");
                type(now.getByLabel("It took"), planned(layer));
                press(now, thrown ? "It is thrown" : "It is on");
            }
            explain(now, before, thrown ? "It is thrown" : "It is on");
        } else if (gate.isEmpty()) {
            press(now, "Done");
            sign(now.getByLabel("By"));
            when(now);
            press(now, "Save as done");
            explain(now, before, "Save as done");
        } else {
            pass(now, step.path("gate"), drying);
        }
        page.waitForCondition(() -> entries() > before);
        page.waitForCondition(() -> {
            JsonNode then = next(layer);
            return then == null || !then.toString().equals(step.toString());
        });
    }

    /** What stands against it is told, and is done all the same only with a reason. */
    private void explain(Locator now, int before, String again) {
        Locator why = now.getByLabel("Why it was done all the same");
        page.waitForCondition(() -> entries() > before || why.count() > 0);
        if (entries() == before) {
            type(why, "The van broke down; it was abraded first");
            press(now, again);
            reasons++;
        }
    }

    /** How often it had to say why. */
    int reasons() {
        return reasons;
    }

    /** Litres that the next batch takes, far more than was planned. */
    void spills(double litres) {
        spilt = litres;
    }

    /** Another look round, where everything was tested already. */
    void walkAgain(Map<String, String> answers) {
        climb("slab");
        press(main.locator(".verdict")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("New reading")));
        press(dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Walk-over")));
        read(method("walk-over"), answers);
        press(dialog(), "Close");
    }

    private JsonNode method(String id) {
        return get("/api/reference")
                .path("methods")
                .valueStream()
                .filter(m -> m.path("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** What a floor goes through next. @param patch how much of it; empty for all */
    void begin(String kind, String why, String patch) {
        climb("service");
        press(main.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("What it went through")));
        press(main, kind);
        if (!patch.isEmpty()) {
            type(main.getByLabel("How large is the patch"), patch);
        }
        type(main.getByLabel("What for"), why);
        sign(main.getByLabel("By"));
        when(main);
        press(main, "Begin: " + kind);
        page.waitForURL("**/prep");
    }

    /** The whole list goes out to one supplier, and the first of it comes. @param lot on its label */
    void buy(String lot) {
        press(page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName("Buy").setExact(true)));
        Locator list = main.locator("#at-order form").first();
        type(list.getByLabel("Supplier"), "Quayside Paints");
        sign(list.getByLabel("By"));
        press(list, "This went out");
        page.waitForCondition(
                () -> get("/api/jobs/" + job + "/take-off").path("orders").size() == 1);
        press(main, "Check what came");
        Locator came = main.getByRole(AriaRole.FORM, new Locator.GetByRoleOptions().setName("What came"));
        type(came.getByLabel("Lot"), lot);
        sign(came.getByLabel("By"));
        press(came, "Save what came");
        assertThat(main.locator("#at-came")).containsText("lot " + lot);
    }

    /** What passes is the first answer, and a number is the one that is asked for. */
    private void pass(Locator now, JsonNode gate, boolean drying) {
        press(now.locator(".gate button").first());
        Locator form = now.locator(".gate form");
        String other = fails.remove(gate.path("id").asString());
        for (JsonNode field : gate.path("fields")) {
            String label = field.path("label").asString();
            if (field.path("choices").size() > 0) {
                answer(
                        form,
                        other != null ? other : field.at("/choices/0/label").asString());
            } else if (field.path("words").asBoolean()) {
                type(form.getByLabel(label), "Mara");
            } else {
                int wanted = number(gate.path("needed").asString());
                type(form.getByLabel(label), wanted + (drying ? " h" : ""));
            }
        }
        sign(form.getByLabel("By"));
        when(form);
        press(form.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Record")));
    }

    /** The first in a text; 4 where it says none. */
    private static int number(String text) {
        String digits = text.replaceAll("\\D*(\\d+).*", "$1");
        return digits.matches("\\d+") ? Integer.parseInt(digits) : 4;
    }

    List<String> layers() {
        return get(path() + "/stages/build-up")
                .path("layers")
                .valueStream()
                .map(l -> l.path("id").asString())
                .toList();
    }
}
