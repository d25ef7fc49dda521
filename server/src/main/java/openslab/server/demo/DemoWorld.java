package openslab.server.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.server.floor.PlanForm;
import openslab.server.floor.Plans;
import openslab.server.form.JobForm;
import openslab.server.form.ZoneForm;
import openslab.server.job.JobStore;
import openslab.server.job.Jobs;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/**
 * Brackenrow Floors of Saltmarsh Quay, invented: a floor of each kind at different heights of the core, laid relative to now so
 * that the world is always mid-story. Everything goes in through the doors a user has.
 */
@Component
@Order(2)
@ConditionalOnProperty("demo")
class DemoWorld implements ApplicationRunner {
    private static final Map<String, String> CREW = Map.of("pace", "11 ft²/min", "share", "80 %", "allowance", "10 %");

    private final Jobs jobs;
    private final JobStore store;
    private final Plans plans;
    private final ObjectMapper json;
    private final Clock clock;

    DemoWorld(Jobs jobs, JobStore store, Plans plans, ObjectMapper json, Clock clock) {
        this.jobs = jobs;
        this.store = store;
        this.plans = plans;
        this.json = json;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments args) {
        if (store.all().isEmpty()) {
            workshop();
            cafe();
            ropewalk();
            bakery();
            ferryStore();
            kilnRoom();
            seedBank();
            school();
            cottage();
            terrace();
            forecourt();
        }
    }

    private Jobs.Seen seen(UUID job) {
        return new Jobs.Seen(UUID.randomUUID(), store.get(job).version());
    }

    private UUID job(String name, String client, String units) {
        return jobs.create(
                UUID.randomUUID(),
                new JobForm(
                        name,
                        client,
                        "Saltmarsh Quay",
                        "44.36",
                        "-64.31",
                        "America/Halifax",
                        units,
                        "INDOORS",
                        false,
                        Map.of()));
    }

    private DemoFloor zone(UUID job, String name, Use use, Map<String, String> sides) {
        return zone(job, name, Substrate.BARE_CONCRETE, use, sides);
    }

    private DemoFloor zone(UUID job, String name, Substrate substrate, Use use, Map<String, String> sides) {
        return zone(job, name, substrate, use, "INDOORS", sides);
    }

    private DemoFloor zone(
            UUID job, String name, Substrate substrate, Use use, String exposure, Map<String, String> sides) {
        String shape = sides.containsKey("cutLength") ? "ell" : "rectangle";
        UUID zone = jobs.addZone(
                job,
                seen(job),
                new ZoneForm(name, shape, sides, substrate.name(), use.name(), exposure, true, true, List.of(), CREW));
        return new DemoFloor(jobs, clock, job, zone, () -> seen(job));
    }

    /** Puts a floor on the plan as {@code demo/NAME.json} has it walked. */
    private void onPlan(UUID job, DemoFloor floor, String name) {
        plans.walk(job, floor.zone(), new Jobs.Seen(UUID.randomUUID(), 0));
        try (InputStream in = DemoWorld.class.getResourceAsStream("/demo/" + name + ".json")) {
            var walked = json.readValue(in, PlanForm.class)
                    .marking(zone -> floor.zone().toString());
            plans.put(job, new Jobs.Seen(UUID.randomUUID(), 1), walked);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void workshop() {
        UUID job = job("Boat-repair workshop", "Kittiwake Boats", "US");
        DemoFloor north = zone(
                job,
                "North bay",
                Use.GARAGE,
                Map.of("length", "42' 6\"", "width", "29' 3\"", "cutLength", "10' 6\"", "cutWidth", "9' 0\""));
        north.surveyed(98, "61 °F", "64 %", "58 °F");
        north.hoursAgo(96).reading("water-drop", "Roller door", "drop", "soaks");
        north.dish("Roller door", "1.51 g", "62 h");
        north.probe("Roller door", "74 %", "30 h");
        north.reading("ph", "Roller door", "ph", "9.5");
        onPlan(job, north, "north-bay");
        north.hoursAgo(62).ground("1140 ft²", "5.5 h");
        north.hoursAgo(61).done("chase").hoursAgo(58).gate("set", "set", "hard").closed();
        north.hoursAgo(46)
                .climate("61 °F", "62 %", "58 °F")
                .hoursAgo(45.1)
                .batch("primer", "2.2 gal", "575 ft²")
                .hoursAgo(44.5)
                .batch("primer", "2.2 gal", "575 ft²")
                .hoursAgo(44)
                .coat("primer");
        north.hoursAgo(15).climate("60 °F", "63 %", "58 °F");
        for (double hoursAgo : List.of(14.7, 14.3, 13.9)) {
            north.hoursAgo(hoursAgo).batch("body", "2.63 gal", "383 ft²");
        }
        north.hoursAgo(13.4).coat("body").hoursAgo(13.2).coat("flake", "150 lb");
        north.note("Roller door left open a hand's breadth. Flake bag split in two before the first stir.");
        north.hoursAgo(2).climate("61 °F", "64 %", "58 °F");
        DemoFloor south = zone(job, "South bay", Use.GARAGE, Map.of("length", "24' 6\"", "width", "18' 0\""));
        south.hoursAgo(5).walkOver("dusting");
        south.probe("A", "71 %", "15 h");
        south.climate("61 °F", "64 %", "58 °F");
    }

    private void cafe() {
        UUID job = job("Old tram shed café", "Lantern & Rail", "METRIC");
        DemoFloor hall = zone(job, "Hall", Use.SHOP, Map.of("length", "9.2 m", "width", "8.4 m"));
        hall.choose("acid-stain").surveyed(6, "17 °C", "58 %", "15.5 °C");
        hall.place("A", "1.6 m", "6.7 m").place("B", "4.7 m", "4.2 m").place("C", "7.7 m", "1.4 m");
        hall.place("D", "1.5 m", "1.6 m").place("E", "7.8 m", "7 m").place("F", "4.4 m", "7.5 m");
        String[][] shown = {{"A", "41"}, {"B", "47"}, {"C", "66"}, {"D", "38"}, {"E", "52"}, {"F", "40"}};
        for (String[] placeAndValue : shown) {
            hall.reading("moisture-meter", placeAndValue[0], "shown", placeAndValue[1]);
        }
        hall.hoursAgo(5)
                .area("SEALER", "Counter", 6.6, 0.5, 9, 0.5, 9, 2.1, 7.4, 2.4, 6.6, 1.7)
                .area("EFFLORESCENCE", "Street wall", 0.3, 2.2, 1, 2.2, 1, 5.4, 0.3, 5.8);
        hall.hoursAgo(20).set("calcium-chloride", "D");
        hall.hoursAgo(4).probe("B", "72 %", "9 h");
        hall.reading("water-drop", "C", "drop", "beads");
        hall.needs("tone", "mottled", "hide-faded", "yes", "odour", "yes");
        hall.note("B drilled again this morning; the old hole had been left open.");
        zone(job, "Platform", Use.SHOP, Map.of("length", "7.5 m", "width", "4 m"))
                .choose("acid-stain")
                .story("platform", 25_420);
    }

    /** A slab ten weeks old, its probes read every week. */
    private void ropewalk() {
        UUID job = job("Ropewalk extension", "Quay Cordage", "METRIC");
        DemoFloor floor = zone(job, "Laying floor", Use.PLANT, Map.of("length", "14.2 m", "width", "5.6 m"));
        floor.choose("coved-polyaspartic");
        String[][] weeks = {
            {"85.9", "86.6", "84.9"},
            {"85.0", "85.7", "84.2"},
            {"84.2", "85.6", "83.4"},
            {"83.9", "84.6", "83.3"}
        };
        for (int week = 0; week < weeks.length; week++) {
            floor.hoursAgo(6 + 168 * (weeks.length - 1 - week));
            for (int i = 0; i < 3; i++) {
                floor.probe(String.valueOf((char) ('A' + i)), weeks[week][i] + " %", 48 + 168 * week + " h");
            }
        }
        floor.place("A", "2.4 m", "2.8 m").place("B", "7.1 m", "2.8 m").place("C", "11.8 m", "0.8 m");
        floor.hoursAgo(6).walkOver().reading("concrete-age", "", "age", "70 d");
        floor.climate("18 °C", "52 %", "17 °C");
    }

    private void bakery() {
        UUID job = job("Bakery", "Two Ovens", "US");
        DemoFloor floor = zone(
                job, "Bench room", Substrate.QUARRY, Use.KITCHEN, Map.of("length", "24' 0\"", "width", "15' 10\""));
        floor.choose("tile-coat").hoursAgo(3).walkOver("oil");
        floor.reading("tile-check", "", "loose", "0", "grout", "sound", "face", "bare")
                .reading("care-history", "", "with", "soap", "months", "36")
                .reading("what-below", "", "lies", "dry");
        floor.climate("72 °F", "55 %", "70 °F");
        floor.hoursAgo(2.6)
                .done("sweep", "amount", "380 ft²", "hours", "0.3 h", "hands", "1")
                .ready("scrubber", "brushes", "gloves", "goggles", "trained", "chemical:degreaser")
                .begin("degrease")
                .hoursAgo(1.2)
                .done("degrease", "amount", "380 ft²", "hours", "1.5 h", "hands", "2")
                .gate("residue", "residue", "residue");
    }

    private void ferryStore() {
        UUID job = job("Ferry line store", "Quay Ferries", "US");
        DemoFloor floor = zone(job, "Rope store", Use.PLANT, Map.of("length", "31' 0\"", "width", "20' 6\""));
        floor.surveyed(4, "64 °F", "60 %", "61 °F")
                .hoursAgo(1)
                .ground("636 ft²", "3.5 h")
                .gate("rub", "rub", "clean");
        DemoFloor gangway =
                zone(job, "Gangway", Substrate.METAL, Use.RAMP, Map.of("length", "26' 0\"", "width", "5' 0\""));
        gangway.choose("aggregate-ramp")
                .hoursAgo(9)
                .walkOver()
                .reading("rust", "", "rust", "light", "scale", "no")
                .reading("fall", "", "fall", "ramp", "face", "smooth")
                .climate("58 °F", "66 %", "57 °F");
        gangway.hoursAgo(8)
                .done("fix-loose")
                .done("solvent-wipe", "amount", "130 ft²", "hours", "0.5 h", "hands", "1")
                .gate("wipe", "wipe", "clean")
                .gate("coat-holds", "coat-holds", "lets-go");
        gangway.hoursAgo(5).done("abrade", "amount", "130 ft²", "hours", "1.5 h", "hands", "1");
        gangway.reading("rust", "", "rust", "none", "scale", "no")
                .gate("coat-holds", "coat-holds", "holds")
                .gate("dry", "dried", "6 h", "dark", "none")
                .hoursAgo(3)
                .done("mask")
                .gate("no-dust", "no-dust", "clean")
                .note("The boat lies at the other berth until the grit is fast.")
                .plan("binder", 14);
    }

    private void kilnRoom() {
        UUID job = job("Pottery kiln room", "Hollow Lane Pottery", "METRIC");
        DemoFloor floor = zone(job, "Kiln room", Use.GARAGE, Map.of("length", "7.45 m", "width", "6.1 m"));
        floor.surveyed(3, "19 °C", "52 %", "18 °C")
                .ground("45 m²", "2.5 h")
                .closed()
                .plan("primer", 15);
        zone(job, "Courtyard", Substrate.BARE_CONCRETE, Use.PATIO, "SHADE", Map.of("length", "9 m", "width", "5 m"))
                .choose("plank-overlay")
                .story("courtyard", 48)
                .plan("tack", 12);
    }

    private void seedBank() {
        UUID job = job("Seed bank packing room", "Fenland Seed Bank", "METRIC");
        DemoFloor floor = zone(job, "Drying hall", Use.LABORATORY, Map.of("length", "10.2 m", "width", "7.5 m"));
        floor.surveyed(150, "18 °C", "50 %", "17 °C")
                .hoursAgo(140)
                .ground("76 m²", "4.5 h")
                .closed();
        floor.hoursAgo(133)
                .climate("18 °C", "50 %", "17 °C")
                .hoursAgo(132)
                .coat("primer", "10.4 L")
                .hoursAgo(117)
                .climate("18 °C", "52 %", "17 °C")
                .hoursAgo(116)
                .coat("body", "20.9 L")
                .hoursAgo(115.8)
                .coat("flake", "46 kg")
                .hoursAgo(98)
                .climate("18 °C", "51 %", "17 °C")
                .hoursAgo(97)
                .coat("clear", "16.5 L");
        floor.hoursAgo(5).climate("18 °C", "50 %", "17 °C");
        zone(job, "Packing room", Substrate.STATIC_DISSIPATIVE, Use.LABORATORY, Map.of("length", "9 m", "width", "6 m"))
                .choose("static-finish")
                .story("packing-room", 830);
    }

    private void school() {
        UUID job = job("School boiler house", "Marsh Lane School", "US");
        DemoFloor floor = zone(job, "Boiler house", Use.PLANT, Map.of("length", "28' 0\"", "width", "22' 0\""));
        double fiveYearsLessSevenWeeks = (1826 - 49) * 24;
        floor.surveyed(fiveYearsLessSevenWeeks + 90, "68 °F", "50 %", "66 °F")
                .ground("616 ft²", "4 h")
                .closed();
        floor.hoursAgo(fiveYearsLessSevenWeeks + 61)
                .climate("68 °F", "50 %", "66 °F")
                .hoursAgo(fiveYearsLessSevenWeeks + 60)
                .coat("primer", "2.1 gal")
                .hoursAgo(fiveYearsLessSevenWeeks + 49)
                .climate("68 °F", "50 %", "66 °F")
                .hoursAgo(fiveYearsLessSevenWeeks + 48)
                .coat("body", "4.2 gal");
        floor.hoursAgo(fiveYearsLessSevenWeeks + 47.7)
                .coat("flake", "81 lb")
                .hoursAgo(fiveYearsLessSevenWeeks + 21)
                .climate("68 °F", "50 %", "66 °F")
                .hoursAgo(fiveYearsLessSevenWeeks + 20)
                .coat("clear", "3.3 gal");
        floor.note("Handed over with the care sheet.");
        double washed = 2.2 * 365 * 24;
        floor.hoursAgo(washed)
                .next("CLEAN", "Ash from the boiler, walked in", "")
                .hoursAgo(washed - 3)
                .gate("residue", "residue", "none")
                .hoursAgo(washed - 8)
                .gate("dry", "dried", "4 h", "dark", "none")
                .walkOver()
                .done("walk");
        double patched = 0.6 * 365 * 24;
        floor.hoursAgo(patched)
                .next("REPAIR", "A pallet truck tore it by the door", "14 ft²", 0.3, 0.2, 1.6, 0.2, 1.6, 1.2, 0.3, 1.2);
        floor.surveyed(patched - 24, "67 °F", "52 %", "65 °F")
                .done("cut-edge", "amount", "15 ft", "hours", "0.4 h", "hands", "1")
                .ground("14 ft²", "1 h")
                .gate("rub", "rub", "clean")
                .gate("soaks", "soaks", "soaks")
                .done("mask")
                .gate("no-dust", "no-dust", "clean")
                .hoursAgo(patched - 30)
                .climate("67 °F", "52 %", "65 °F")
                .coat("primer", "6 fl oz")
                .hoursAgo(patched - 42)
                .climate("67 °F", "52 %", "65 °F")
                .coat("body", "12 fl oz")
                .coat("flake", "1.8 lb")
                .hoursAgo(patched - 70)
                .climate("67 °F", "52 %", "65 °F")
                .coat("clear", "10 fl oz");
        DemoFloor corridor =
                zone(job, "Corridor", Substrate.VCT, Use.SCHOOL, Map.of("length", "62' 0\"", "width", "8' 6\""));
        corridor.choose("resilient-urethane")
                .hoursAgo(5)
                .walkOver("sealer")
                .reading("resilient-check", "", "bond", "fast", "seams", "tight", "face", "layers", "shade", "yes")
                .reading("care-history", "", "with", "polish", "months", "48")
                .reading("old-floor", "", "laid", "newer", "laboratory", "none")
                .climate("69 °F", "48 %", "67 °F");
        corridor.hoursAgo(4.5)
                .ready("mops", "gloves", "goggles", "boots", "air", "closed-off", "chemical:stripper")
                .begin("strip");
        corridor.hoursAgo(3.6).gate("lifts", "lifts", "lifts");
        corridor.hoursAgo(3.4).begin("strip");
        corridor.hoursAgo(2.6).gate("lifts", "lifts", "clean");
        corridor.hoursAgo(1.5)
                .done("rinse", "amount", "527 ft²", "hours", "0.8 h", "hands", "2")
                .gate("residue", "residue", "none");
    }

    private void cottage() {
        UUID job = job("Cottage garage", "3 Sandpiper Row", "US");
        zone(job, "Garage", Use.GARAGE, Map.of("length", "22' 0\"", "width", "16' 0\""))
                .choose("garage-kit", "chips")
                .story("cottage", 33)
                .plan("coat", 28);
    }

    private void terrace() {
        UUID job = job("Harbour terrace", "The Net Loft", "METRIC");
        zone(job, "Terrace", Substrate.STAMPED, Use.PATIO, "SUN", Map.of("length", "11.4 m", "width", "3.6 m"))
                .choose("new-stamped")
                .story("terrace", 26);
    }

    private void forecourt() {
        UUID job = job("Tile showroom", "Marram & Slate", "US");
        zone(job, "Forecourt", Substrate.STAMPED, Use.PATIO, "SHADE", Map.of("length", "20' 0\"", "width", "17' 0\""))
                .choose("dye-antique")
                .story("forecourt", 58);
    }
}
