package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import openslab.core.system.LayUp;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import tools.jackson.databind.JsonNode;

/**
 * A floor's story as it is written down: one line a deed or an expectation, its words apart by " | ", its hour since the story
 * began where something happens. A line that begins with ! is refused, its last word said in the refusal.
 */
final class StoryScript {
    private static final int MOST_STEPS = 60;
    /** What passes at gates that ask for more than one look; a story may say another. */
    private final Map<String, String> passes = new TreeMap<>(Map.of(
            "settled", "settled=yes, with=Mara",
            "patch", "chemical=etch-liquid, water=4, dwell=2 min, result=works",
            "rinse-ph", "water=7, floor=7",
            "joints-cut", "tagged=4, cut=4"));

    static final Instant BEGAN = Instant.parse("2026-04-01T08:00:00Z");

    private final App app;
    private final String script;
    private Floor floor;
    private int line;
    private int expectations;
    /** What was answered since anything was written; null where nobody asked. */
    private JsonNode told;

    /** Where the crew stands, hours since the story began. */
    private double at;
    /** When it last did anything but wait for it to dry. */
    private double wet;

    private StoryScript(App app, String script) {
        this.app = app;
        this.script = script;
    }

    /** @return how many expectations it held */
    static int tell(App app, String name) {
        var story = new StoryScript(app, name);
        for (String text : App.text("stories/" + name + ".txt").lines().toList()) {
            story.line++;
            if (!text.isBlank() && !text.startsWith("#")) {
                story.take(text);
            }
        }
        return story.expectations;
    }

    /** The floor of a story as it stands before anything is done to it. */
    static Floor surveyed(App app, String name) {
        var story = new StoryScript(app, name);
        for (String text : App.text("stories/" + name + ".txt").lines().toList()) {
            if (text.matches("(floor|choose) .*|.* READING .*")) {
                story.take(text);
            } else if (!text.isBlank() && !text.startsWith("#") && !text.startsWith("is ")) {
                break;
            }
        }
        return story.floor;
    }

    private void take(String text) {
        if (!text.startsWith("is ")) {
            told = null;
        }
        String[] w = Arrays.stream(text.split("\\|")).map(String::strip).toArray(String[]::new);
        switch (w[0]) {
            case "floor" -> floor = begin(w);
            case "choose" -> choose(w);
            case "is" -> expect(w);
            case "ticks" -> ticks(w);
            case "cycle" -> begin(w[1], w[2]);
            case "prepared" -> crew("", Double.parseDouble(w[1]));
            case "laid" -> crew(w[1], Double.parseDouble(w[2]));
            case "passes" -> passes.put(w[1], w[2]);
            default -> log(w);
        }
    }

    /**
     * prepared | hour, laid | layer | hour: the crew does every step that is left, in order, each as soon as it may; every gate
     * passes.
     */
    private void crew(String layer, double hour) {
        at = hour;
        air();
        for (int done = 0; done < MOST_STEPS; done++) {
            JsonNode stage = stage(layer);
            JsonNode next = next(layer, stage);
            if (next == null) {
                return;
            }
            named(layer, stage, next);
            step(layer, stage, next);
        }
        throw new AssertionError(where() + ": no end of steps in " + (layer.isEmpty() ? "preparation" : layer));
    }

    /** What is to be done is what the rack and every screen name next, so that doing what is named leads to service. */
    private void named(String layer, JsonNode stage, JsonNode step) {
        boolean gated = !step.path("gate").path("id").asString().isEmpty();
        boolean dries =
                !step.path("waits").asString().isEmpty() && !step.path("timed").asBoolean();
        told = null;
        JsonNode layers = report().path("layers");
        boolean top = layers.path(layers.size() - 1).path("id").asString().equals(layer);
        boolean thrown = stage.path("report")
                .path("layers")
                .path(0)
                .path("role")
                .asString()
                .equals("BROADCAST");
        // weeks later nobody is asked for what dried by itself, for the last coat's finish, or to throw into a hard
        // coat
        if (!gated && (dries || thrown || top && !step.path("coat").asBoolean())) {
            return;
        }
        String next = report().path("next").path("label").asString().toLowerCase(java.util.Locale.ROOT);
        var meant = new ArrayList<String>();
        meant.add(step.path("title").asString());
        meant.add(step.path("gate").path("title").asString());
        // what only dries is followed by what is done then
        boolean past = false;
        for (JsonNode other : stepsOf(layer, stage)) {
            if (past) {
                meant.add(other.path("title").asString());
                break;
            }
            past = other.path("id").equals(step.path("id"));
        }
        JsonNode whole = stage.path("report");
        meant.add((layer.isEmpty() ? whole.path("prep") : whole.path("layers").path(0))
                .path("title")
                .asString());
        assertTrue(
                meant.stream()
                        .filter(m -> !m.isEmpty())
                        .anyMatch(m -> next.contains(m.toLowerCase(java.util.Locale.ROOT))),
                where() + ": " + next + " names none of " + meant);
    }

    /** The preparation, or a layer as it is laid: its steps and what lies ready for them. */
    private JsonNode stage(String layer) {
        String stage = layer.isEmpty() ? "/stages/prep" : "/stages/layers/" + layer;
        return app.get(floor.zonePath() + stage).body();
    }

    private static JsonNode stepsOf(String layer, JsonNode stage) {
        JsonNode report = stage.path("report");
        return (layer.isEmpty() ? report.path("prep") : report.path("layers").path(0)).path("steps");
    }

    /** The first that is not through; null where none is left. */
    private static JsonNode next(String layer, JsonNode stage) {
        for (JsonNode step : stepsOf(layer, stage)) {
            String progress = step.path("progress").asString();
            if (!progress.equals("DONE") && !progress.equals("FAILED")) {
                return step;
            }
        }
        return null;
    }

    private void step(String layer, JsonNode stage, JsonNode step) {
        String id = step.path("id").asString();
        String gate = step.path("gate").path("id").asString();
        at += 0.05;
        boolean drying = LayUp.within(gate).equals("dry");
        if (!drying) {
            wet = at;
        }
        if (step.path("coat").asBoolean()) {
            ready(stage, id);
            air();
            say("COAT", layer, "");
            return;
        }
        if (step.path("timed").asBoolean() && !step.path("progress").asString().equals("RUNNING")) {
            ready(stage, id);
            say("BEGUN", id, "");
            step = one(stepsOf(layer, stage(layer)), "id", id);
        }
        at = Math.max(at, since(step.path("ready")) + 0.01);
        if (gate.isEmpty()) {
            say("DONE", id, "");
            return;
        }
        if (drying) {
            at = Math.max(at, wet + number(step.path("gate").path("needed")));
        }
        say("GATE", gate, passing(LayUp.within(gate), step.path("gate")));
    }

    /** Everything that a step asks for lies ready. */
    private void ready(JsonNode stage, String id) {
        JsonNode sheet = stage.path("sheet");
        for (JsonNode one : sheet.path("steps")) {
            if (one.path("id").asString().equals(id)) {
                for (JsonNode label : one.path("missing")) {
                    say(
                            "TICK",
                            one(sheet.path("staging"), "label", label.asString())
                                    .path("id")
                                    .asString(),
                            "");
                }
            }
        }
    }

    private void air() {
        say("READING", "climate", "air=20 °C, rh=50 %, slab=20 °C");
    }

    private void say(String kind, String subject, String values) {
        log(new String[] {String.valueOf(at), kind, subject, "", values});
    }

    private String passing(String gate, JsonNode report) {
        if (gate.equals("dry")) {
            return "dried=" + number(report.path("needed")) + " h, dark=none";
        }
        if (gate.equals("profile")) {
            // the lowest that is asked for
            return "csp=" + number(report.path("needed"));
        }
        String known = passes.get(gate);
        if (known != null) {
            return known;
        }
        // one look with two answers: what passes is called the first
        JsonNode field = report.path("fields").path(0);
        return field.path("id").asString() + "="
                + field.path("choices").path(0).path("id").asString();
    }

    /** The first in a text. */
    private static int number(JsonNode text) {
        return Integer.parseInt(text.asString().replaceAll("\\D*(\\d+).*", "$1"));
    }

    private JsonNode report() {
        if (told == null) {
            told = app.get(floor.path()).body().path("zones").path(0).path("report");
        }
        return told;
    }

    private static double since(JsonNode moment) {
        return moment.asString().isEmpty() ? 0 : Double.parseDouble(hours(moment));
    }

    private String where() {
        return script + ":" + line;
    }

    /** floor | substrate | use | exposure | length | width */
    private Floor begin(String[] w) {
        var zone = App.zoneForm("Floor");
        zone.put("substrate", w[1]);
        zone.put("use", w[2]);
        zone.put("exposure", w[3]);
        zone.put("sides", Map.of("length", w[4], "width", w[5]));
        return app.floor(script, zone);
    }

    /** choose | system | optional layers */
    private void choose(String[] w) {
        List<String> with = w.length > 2 ? List.of(w[2].split(" ")) : List.of();
        Answer answer = app.put(floor.zonePath() + "/layers", version(), Map.of("system", w[1], "with", with));
        assertEquals(answer.status(), 200, where() + answer.text());
    }

    /** ticks | hour | things */
    private void ticks(String[] w) {
        for (String thing : w[2].split(" ")) {
            log(new String[] {w[1], "TICK", thing});
        }
    }

    /** cycle | kind | why */
    private void begin(String kind, String why) {
        Answer answer = app.write(
                "POST",
                floor.zonePath() + "/cycles",
                Map.of("kind", kind, "by", "Wren", "why", why),
                Map.of(
                        "Idempotency-Key",
                        java.util.UUID.randomUUID().toString(),
                        "If-Match",
                        String.valueOf(version())));
        assertEquals(answer.status(), 201, where() + answer.text());
    }

    private int version() {
        return app.get(floor.path()).body().path("version").asInt();
    }

    /** hour | kind | subject | place | field=value, field=value | note */
    private void log(String[] w) {
        boolean refused = w[0].startsWith("!");
        double hour = Double.parseDouble(refused ? w[0].substring(1).strip() : w[0]);
        Map<String, String> values = new TreeMap<>();
        if (w.length > 4 && !w[4].isEmpty()) {
            for (String pair : w[4].split(",(?= *[a-zA-Z]+=)")) {
                String[] both = pair.strip().split("=", 2);
                values.put(both[0], both[1]);
            }
        }
        var form = App.logForm(w[1], w[2], w.length > 3 ? w[3] : "", values);
        form.put("at", BEGAN.plusSeconds(Math.round(hour * 3600)).toString());
        form.put("note", !refused && w.length > 5 ? w[5] : "");
        Answer answer = app.post(floor.log(), form);
        told = null;
        assertEquals(answer.status(), refused ? 400 : 201, where() + " " + answer.text());
        if (refused) {
            assertTrue(answer.text().contains(w[5]), where() + " " + answer.text());
        } else {
            OneTruth.ask(app, floor, where());
        }
    }

    /** is | what | of which | value */
    private void expect(String[] w) {
        expectations++;
        JsonNode report = report();
        String found =
                switch (w[1]) {
                    case "verdict" -> report.path("survey").path("verdict").asString();
                    case "ground" -> ground(report);
                    case "asked" ->
                        Boolean.toString(tally(report, w[2]).path("required").asBoolean());
                    case "finding" -> verdictOf(report, w[2]);
                    case "method" -> report.path("prep").path("method").asString();
                    case "prep" -> report.path("prep").path("mark").asString();
                    case "step" -> step(report, w[2]).path("progress").asString();
                    case "ready" -> hours(step(report, w[2]).path("ready"));
                    case "usual" -> hours(step(report, w[2]).path("usual"));
                    case "mark" -> layer(report, w[2]).path("mark").asString();
                    case "amount" -> plain(layer(report, w[2]).path("amount"));
                    case "dry" -> plain(layer(report, w[2]).path("dry"));
                    case "wet" -> plain(layer(report, w[2]).path("wet"));
                    case "clock" -> hours(clock(report, w[2]).path("at"));
                    case "after" -> {
                        String on =
                                layer(report, w[2].split(" ")[0]).path("start").asString();
                        yield hours(clock(report, w[2]).path("at"), Instant.parse(on));
                    }
                    case "wash" -> {
                        String of = w[2].contains("/") ? w[2].substring(0, w[2].indexOf('/')) : "";
                        JsonNode mix = one(stage(of).path("sheet").path("steps"), "id", w[2])
                                .path("mix");
                        yield plain(mix.path("total")) + ", " + plain(mix.path("concentrate"));
                    }
                    case "left" -> plain(layer(report, w[2]).path("used").path("left"));
                    case "reaches" ->
                        Boolean.toString(
                                layer(report, w[2]).path("used").path("reaches").asBoolean());
                    case "service" -> report.path("service").path("mark").asString();
                    case "due" ->
                        report.path("service")
                                .path("reseal")
                                .path("due")
                                .asString()
                                .substring(0, 10);
                    case "next" -> report.path("next").path("what").asString();
                    case "caution", "does" ->
                        Boolean.toString(
                                step(report, w[2]).path(w[1]).asString().contains(w[3]));
                    default -> throw new AssertionError(where() + ": nobody knows " + w[1]);
                };
        String wanted = Set.of("caution", "does").contains(w[1]) ? "true" : w[w.length - 1];
        assertEquals(
                found,
                wanted,
                where() + " " + String.join(" | ", w) + "; "
                        + report.path("survey").path("summary").asString());
    }

    private static String plain(JsonNode figure) {
        return figure.path("text")
                .asString()
                .replace('\u00a0', ' ')
                .replace('\u202f', ' ')
                .replace('\u2009', ' ');
    }

    /** Since the story began. */
    private static String hours(JsonNode moment) {
        return hours(moment, BEGAN);
    }

    private static String hours(JsonNode moment, Instant since) {
        if (moment.asString().isEmpty()) {
            return "never";
        }
        double hours = (Instant.parse(moment.asString()).toEpochMilli() - since.toEpochMilli()) / 3_600_000.0;
        return String.format(java.util.Locale.ROOT, "%.2f", hours);
    }

    private static JsonNode tally(JsonNode report, String method) {
        return one(report.path("survey").path("tallies"), "method", method);
    }

    /** The verdict but for the age of the air's reading: a story is told weeks later. */
    private static String ground(JsonNode report) {
        for (JsonNode finding : report.path("survey").path("findings")) {
            if (!finding.path("rule").asString().startsWith("climate")) {
                return finding.path("verdict").asString();
            }
        }
        return "nothing found";
    }

    private static String verdictOf(JsonNode report, String rule) {
        for (JsonNode finding : report.path("survey").path("findings")) {
            // the worst stands first
            if (finding.path("rule").asString().equals(rule)) {
                return finding.path("verdict").asString();
            }
        }
        return "not found";
    }

    private static JsonNode layer(JsonNode report, String id) {
        return one(report.path("layers"), "id", id);
    }

    /** The last time that it is done or to be done. */
    private static JsonNode step(JsonNode report, String id) {
        String layer = id.contains("/") ? id.substring(0, id.indexOf('/')) : "";
        return one(
                layer.isEmpty()
                        ? report.path("prep").path("steps")
                        : layer(report, layer).path("steps"),
                "id",
                id);
    }

    /** layer CLOCK */
    private static JsonNode clock(JsonNode report, String which) {
        String[] both = which.split(" ");
        return one(layer(report, both[0]).path("clocks"), "clock", both[1]);
    }

    private static JsonNode one(JsonNode list, String field, String value) {
        JsonNode last = null;
        for (JsonNode n : list) {
            if (n.path(field).asString().equals(value)) {
                last = n;
            }
        }
        if (last == null) {
            throw new AssertionError("no " + value + " among " + list);
        }
        return last;
    }
}
