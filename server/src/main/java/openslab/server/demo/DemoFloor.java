package openslab.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Supplier;
import openslab.core.floor.Outline;
import openslab.server.form.BuildUpForm;
import openslab.server.form.CycleForm;
import openslab.server.form.LayerForm;
import openslab.server.form.LogForm;
import openslab.server.job.Jobs;
import openslab.server.store.Shipped;

/** One zone of one job, as a story is told about it, hours before or after now. */
final class DemoFloor {
    private static final String WREN = "Wren";
    private static final String TAMSIN = "Tamsin";

    private final Jobs jobs;
    private final Clock clock;
    private final Supplier<Jobs.Seen> seen;

    private final UUID job;
    private final UUID zone;
    private Instant at;

    DemoFloor(Jobs jobs, Clock clock, UUID job, UUID zone, Supplier<Jobs.Seen> seen) {
        this.jobs = jobs;
        this.clock = clock;
        this.seen = seen;
        this.job = job;
        this.zone = zone;
        this.at = clock.instant().truncatedTo(ChronoUnit.MINUTES);
    }

    /** Everything that this system always lays, and its optional layers that are named. */
    DemoFloor choose(String system, String... with) {
        jobs.build(job, zone, seen.get(), new BuildUpForm(system, List.of(with), null));
        return this;
    }

    /**
     * What happened here as {@code demo/NAME.txt} tells it: hour, kind, subject, place, values and note, apart by bars; {@code
     * ready} what was ticked, {@code next} a cycle that was begun.
     *
     * @param began hours ago
     */
    DemoFloor story(String name, double began) {
        for (String line : Shipped.lines("demo/" + name + ".txt")) {
            String[] w = Arrays.stream(line.split("\\|")).map(String::strip).toArray(String[]::new);
            switch (w[0]) {
                case "ready" -> hoursAgo(began - Double.parseDouble(w[1])).ready(w[2].split(" "));
                case "next" -> hoursAgo(began - Double.parseDouble(w[1])).next(w[2], w[3], "");
                default -> {
                    hoursAgo(began - Double.parseDouble(w[0]));
                    log(w[1], word(w, 2), word(w, 3), word(w, 5), values(word(w, 4)));
                }
            }
        }
        return this;
    }

    private static String word(String[] words, int at) {
        return at < words.length ? words[at] : "";
    }

    private static Map<String, String> values(String text) {
        var values = new TreeMap<String, String>();
        for (String pair : text.isEmpty() ? new String[0] : text.split(", ")) {
            values.put(pair.substring(0, pair.indexOf('=')), pair.substring(pair.indexOf('=') + 1));
        }
        return values;
    }

    DemoFloor hoursAgo(double hours) {
        at = clock.instant().truncatedTo(ChronoUnit.MINUTES).minus(Duration.ofMinutes(Math.round(hours * 60)));
        return this;
    }

    DemoFloor reading(String method, String place, String... fieldsAndValues) {
        return log("READING", method, place, "", pairs(fieldsAndValues));
    }

    /** The walk-over, with what was found on it. */
    DemoFloor walkOver(String... found) {
        var answers = new TreeMap<String, String>();
        for (String what : List.of("sealer", "oil", "coating", "dusting", "hollow")) {
            answers.put(what, List.of(found).contains(what) ? "yes" : "no");
        }
        return log("READING", "walk-over", "", "", answers);
    }

    /** A probe 2 in deep in a 5 in slab that dries from one side. */
    DemoFloor probe(String place, String rh, String wait) {
        return reading(
                "in-slab-rh", place, "rh", rh, "depth", "2 in", "thickness", "5 in", "drying", "one", "wait", wait);
    }

    DemoFloor dish(String place, String gain, String hours) {
        return reading("calcium-chloride", place, "dishArea", "0.445 ft²", "gain", gain, "hours", hours);
    }

    DemoFloor place(String name, String along, String off) {
        return log("PLACE", name, name, "", Map.of("along", along, "off", off));
    }

    /** A test set out here, to be read later. */
    DemoFloor set(String method, String place) {
        return log("SET", method, place, "", Map.of());
    }

    /** Something drawn on the floor, its corners as x and y in turn, metres. */
    DemoFloor area(String defect, String name, double... xy) {
        List<Outline.Corner> ring = ring(xy);
        jobs.log(
                job,
                zone,
                UUID.randomUUID(),
                new LogForm("AREA", defect, name, at.toString(), WREN, "", Map.of(), null, ring));
        return this;
    }

    private static List<Outline.Corner> ring(double... xy) {
        var ring = new ArrayList<Outline.Corner>();
        for (int i = 0; i < xy.length; i += 2) {
            ring.add(new Outline.Corner(xy[i], xy[i + 1]));
        }
        return ring;
    }

    DemoFloor climate(String air, String rh, String slab) {
        return reading("climate", "", "air", air, "rh", rh, "slab", slab);
    }

    DemoFloor begin(String step) {
        return log("BEGUN", step, "", "", Map.of());
    }

    /** A step that is done, with how much of it, in how many hours and by how many. */
    DemoFloor done(String step, String... fieldsAndValues) {
        return log("DONE", step, "", "", pairs(fieldsAndValues));
    }

    DemoFloor ready(String... things) {
        for (String thing : things) {
            log("TICK", thing, "", "", Map.of());
        }
        return this;
    }

    DemoFloor gate(String gate, String... fieldsAndValues) {
        return log("GATE", gate, "", "", pairs(fieldsAndValues));
    }

    DemoFloor batch(String layer, String volume, String area) {
        return log("BATCH", layer, "", "", Map.of("volume", volume, "area", area));
    }

    DemoFloor coat(String layer) {
        return log("COAT", layer, "", "", Map.of());
    }

    /** @param took where no batch was logged */
    DemoFloor coat(String layer, String took) {
        return log("COAT", layer, "", "", Map.of("used", took));
    }

    /** The zone's next cycle. @param patch of a repair; empty otherwise. {@code xy} where that lies */
    DemoFloor next(String kind, String why, String patch, double... xy) {
        jobs.begin(job, zone, seen.get(), new CycleForm(kind, at.toString(), TAMSIN, why, patch, ring(xy)));
        return this;
    }

    /** What somebody said is needed of it. */
    DemoFloor needs(String... fieldsAndValues) {
        return log("NEED", "needs", "", "", pairs(fieldsAndValues));
    }

    DemoFloor note(String words) {
        return log("NOTE", "", "", words, Map.of());
    }

    DemoFloor plan(String layer, double hoursFromNow) {
        String start = clock.instant()
                .truncatedTo(ChronoUnit.MINUTES)
                .plus(Duration.ofMinutes(Math.round(hoursFromNow * 60)))
                .toString();
        jobs.editLayer(job, zone, layer, seen.get(), LayerForm.of(null, start));
        return this;
    }

    private DemoFloor log(String kind, String subject, String place, String note, Map<String, String> values) {
        String by = kind.equals("READING") ? WREN : TAMSIN;
        jobs.log(job, zone, UUID.randomUUID(), new LogForm(kind, subject, place, at.toString(), by, note, values));
        return this;
    }

    /** All a floor of up to 1000 ft² needs, each reading well inside the generic sheets. */
    DemoFloor surveyed(double hoursAgo, String air, String rh, String slab) {
        hoursAgo(hoursAgo + 3).walkOver();
        for (String place : List.of("A", "B", "C")) {
            reading("water-drop", place, "drop", "soaks");
            dish(place, "1.2" + (place.charAt(0) - 'A') + " g", "64 h");
            probe(place, 67 + (place.charAt(0) - 'A') + " %", "48 h");
            reading("ph", place, "ph", "8." + (place.charAt(0) - 'A'));
        }
        reading("profile", "", "csp", "1").reading("concrete-age", "", "age", "9 years");
        return hoursAgo(hoursAgo).climate(air, rh, slab);
    }

    /** @param area as much as was ground, in so many hours of one person */
    DemoFloor ground(String area, String hours) {
        return done("grind", "amount", area, "hours", hours, "hands", "1").gate("profile", "csp", "3");
    }

    DemoFloor closed() {
        return gate("rub", "rub", "clean").gate("soaks", "soaks", "soaks").gate("no-dust", "no-dust", "clean");
    }

    UUID zone() {
        return zone;
    }

    private static Map<String, String> pairs(String... fieldsAndValues) {
        var pairs = new TreeMap<String, String>();
        for (int i = 0; i < fieldsAndValues.length; i += 2) {
            pairs.put(fieldsAndValues[i], fieldsAndValues[i + 1]);
        }
        return pairs;
    }
}
