package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import tools.jackson.databind.JsonNode;

/**
 * A floor's story as it is written down: one line a deed or an expectation, its words apart by " | ", its hour since the story
 * began where something happens. A line that begins with ! is refused, its last word said in the refusal.
 */
final class StoryScript {
    static final Instant BEGAN = Instant.parse("2026-04-01T08:00:00Z");

    private final App app;
    private final String script;
    private Floor floor;
    private int line;
    private int expectations;

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

    private void take(String text) {
        String[] w = Arrays.stream(text.split("\\|")).map(String::strip).toArray(String[]::new);
        switch (w[0]) {
            case "floor" -> floor = begin(w);
            case "choose" -> choose(w);
            case "is" -> expect(w);
            case "ticks" -> ticks(w);
            case "cycle" -> begin(w[1], w[2]);
            default -> log(w);
        }
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
        assertEquals(answer.status(), refused ? 400 : 201, where() + " " + answer.text());
        if (refused) {
            assertTrue(answer.text().contains(w[5]), where() + " " + answer.text());
        }
    }

    /** is | what | of which | value */
    private void expect(String[] w) {
        expectations++;
        JsonNode report = app.get(floor.path()).body().path("zones").path(0).path("report");
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
                    case "caution" ->
                        Boolean.toString(
                                step(report, w[2]).path("caution").asString().contains(w[3]));
                    default -> throw new AssertionError(where() + ": nobody knows " + w[1]);
                };
        String wanted = w[1].equals("caution") ? "true" : w[w.length - 1];
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
        if (moment.asString().isEmpty()) {
            return "never";
        }
        double hours = (Instant.parse(moment.asString()).toEpochMilli() - BEGAN.toEpochMilli()) / 3_600_000.0;
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
