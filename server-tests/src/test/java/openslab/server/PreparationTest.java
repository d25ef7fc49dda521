package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.air.Location;
import openslab.core.course.work.Paces;
import openslab.core.course.work.Work;
import openslab.core.floor.Rectangle;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.job.Cycle;
import openslab.core.job.CycleKind;
import openslab.core.job.KnownWorks;
import openslab.core.job.LayerChoice;
import openslab.core.job.LogEntry;
import openslab.core.job.Patch;
import openslab.core.job.PrepSheet;
import openslab.core.job.PrepWay;
import openslab.core.job.StepReport;
import openslab.core.job.ZoneFacts;
import openslab.core.job.ZoneFields;
import openslab.core.job.ZoneReport;
import openslab.core.practice.Place;
import openslab.core.practice.Practices;
import openslab.core.prep.SiteLimits;
import openslab.core.product.Exposure;
import openslab.core.product.LayerRole;
import openslab.core.quantity.Field;
import openslab.core.quantity.Figure;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Value;
import openslab.core.survey.Verdict;
import openslab.core.survey.method.TestMethods;
import openslab.core.system.Candidate;
import openslab.server.system.Candidates;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * How every system's floor is made ready, on everything that it may lie on, as it was read once line by line against the trade's
 * notes. {@code -Dopenslab.write=true} writes the table anew: read every line that changed before it is committed.
 */
public class PreparationTest {
    private static final Instant BEGAN = Instant.parse("2026-05-04T08:00:00Z");
    /** Years later. */
    private static final Instant AGAIN = Instant.parse("2029-05-04T08:00:00Z");

    private static final Location WHERE = Location.of(ZoneId.of("America/Halifax"), 44.65, -63.57);
    private static final Path TABLE = Path.of("src/test/resources/cases/preparation.txt");

    /** How a floor was found. @param age of the concrete */
    private enum Found {
        CLEAN("clean", "no", "no", "soaks", "12 years"),
        SEALED("an old sealer on it", "yes", "no", "beads", "12 years"),
        COATED("an old coat on it", "no", "yes", "beads", "12 years"),
        SLICK("bare and burnished", "no", "no", "beads", "12 years"),
        NEW("placed two days ago", "no", "no", "soaks", "2 d"),
        /** What an earlier cycle laid. */
        OUR_COAT("our own coat on it", "no", "yes", "beads", "15 years"),
        OUR_SEALER("our own sealer on it", "yes", "yes", "beads", "15 years");

        private final String words;
        private final String sealer;
        private final String coating;
        private final String drop;
        private final String age;

        Found(String words, String sealer, String coating, String drop, String age) {
            this.words = words;
            this.sealer = sealer;
            this.coating = coating;
            this.drop = drop;
            this.age = age;
        }
    }

    /** One floor of one system. */
    private record Floor(Candidate candidate, Substrate substrate, Exposure exposure, Found found) {
        String title() {
            return candidate.system().id() + " | " + place();
        }

        String place() {
            return substrate + " " + exposure + ", " + found.words;
        }
    }

    private App app;
    private List<Floor> floors;

    @BeforeClass
    public void start() {
        app = App.start(App.emptyFolder());
        floors = floors();
    }

    @AfterClass
    public void stop() {
        app.close();
    }

    private List<Floor> floors() {
        var all = new ArrayList<Floor>();
        for (Exposure exposure : List.of(Exposure.INDOORS, Exposure.SHADE)) {
            for (Candidate c : app.bean(Candidates.class).of(Practices.USUAL, Place.at(exposure))) {
                boolean outside = c.system().uses().contains(Use.PATIO)
                        || c.system().uses().contains(Use.RAMP);
                boolean inside = c.system().uses().stream().anyMatch(u -> u != Use.PATIO && u != Use.RAMP);
                if (exposure == Exposure.SHADE ? !outside : !inside) {
                    continue;
                }
                for (Substrate s : c.system().on()) {
                    found(c, s).forEach(f -> all.add(new Floor(c, s, exposure, f)));
                }
            }
        }
        return all;
    }

    /** What there is to be found on such a floor. */
    private static List<Found> found(Candidate c, Substrate s) {
        if (c.system().id().equals("new-stamped")) {
            return List.of(Found.NEW);
        }
        if (s == Substrate.COATED_CONCRETE) {
            return List.of(Found.COATED);
        }
        if (s.family() != Substrate.Family.CEMENT) {
            return List.of(Found.CLEAN, Found.SEALED);
        }
        return List.of(Found.CLEAN, Found.SEALED, Found.SLICK);
    }

    @DataProvider
    Object[][] every() {
        return floors.stream().map(f -> new Object[] {f.title(), f}).toArray(Object[][]::new);
    }

    @Test
    public void the_table_is_as_it_was_read() throws IOException {
        String table = table();
        if (Boolean.getBoolean("openslab.write")) {
            Files.writeString(TABLE, HEAD + table);
        }
        assertEquals(HEAD + table, Files.readString(TABLE));
    }

    /** By system, and floors that are made ready alike together. */
    private String table() {
        Map<String, Map<String, List<String>>> bySystem = new LinkedHashMap<>();
        floors.forEach(f -> bySystem.computeIfAbsent(f.candidate().system().id(), s -> new LinkedHashMap<>())
                .computeIfAbsent(told(f), t -> new ArrayList<>())
                .add(f.place()));
        var text = new StringBuilder();
        bySystem.forEach((system, courses) -> {
            text.append("\n== ").append(system).append("\n");
            courses.forEach((course, places) -> text.append("\n")
                    .append(String.join("; ", places))
                    .append("\n")
                    .append(course));
        });
        return text.toString();
    }

    private static final String HEAD =
            """
            # How each system's floor of 10 x 5 m is made ready: its floor and how it was found, the way and the ways that fit besides, then
            # step by step what is mixed, what passes by itself and the gate that closes it; last the hours of one person, and what dwells
            # and dries. Read against the trade's notes; common practice, no source, except where a step says otherwise on its screen.
            """;

    private static String told(Floor floor) {
        ZoneFacts zone = zone(floor);
        var report = ZoneReport.of(zone, UnitSystem.METRIC, WHERE, BEGAN.plusSeconds(3600));
        PrepSheet sheet = PrepSheet.of(zone, new Paces(Map.of(), Map.of()), UnitSystem.METRIC, BEGAN);
        var text = new StringBuilder();
        String also =
                sheet.ways().stream().filter(w -> !w.chosen()).map(PrepWay::id).collect(Collectors.joining(" "));
        text.append(report.prep().method().isEmpty() ? "none" : report.prep().method())
                .append(also.isEmpty() ? "" : " (or " + also + ")")
                .append(
                        report.prep().need().isEmpty()
                                ? ""
                                : ", " + report.prep().need())
                .append("\n");
        report.prep().steps().forEach(s -> {
            var own = sheet.steps().stream()
                    .filter(t -> t.id().equals(s.id()))
                    .findFirst()
                    .orElseThrow();
            text.append("  ").append(s.title());
            own.mix().ifPresent(m -> text.append(" · ")
                    .append(m.chemical().label())
                    .append(" ")
                    .append(m.words())
                    .append(", ")
                    .append(plain(m.total())));
            text.append(s.waits().isEmpty() ? "" : " · " + plain(s.waits()));
            s.gate().ifPresent(g -> text.append(" · [").append(g.title()).append("]"));
            text.append("\n");
        });
        PrepWay way = sheet.ways().stream().filter(PrepWay::chosen).findFirst().orElse(null);
        if (way != null) {
            text.append("  = ").append(way.hours().map(PreparationTest::plain).orElse("0 h"));
            way.waits().ifPresent(w -> text.append(", waits ").append(plain(w)));
            text.append("\n");
        }
        return text.toString();
    }

    private static String plain(Figure figure) {
        return plain(figure.text());
    }

    private static String plain(String text) {
        return text.replace('\u00a0', ' ').replace('\u202f', ' ').replace('\u2009', ' ');
    }

    private static ZoneFacts zone(Floor floor) {
        return zone(floor, List.of(cycle(floor, 1, CycleKind.COAT)), List.of());
    }

    private static Cycle cycle(Floor floor, int number, CycleKind kind) {
        Candidate c = floor.candidate();
        var layers = new ArrayList<LayerChoice>();
        for (int i = 0; i < c.sheets().size(); i++) {
            var sheet = c.sheets().get(i);
            layers.add(new LayerChoice(
                    "layer-" + i,
                    "Layer",
                    sheet.role(),
                    sheet,
                    c.ways().get(i),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty()));
        }
        Optional<Patch> patch = kind == CycleKind.REPAIR
                ? Optional.of(Patch.of(Patch.SIZE.parse("patch", "2 m²", UnitSystem.METRIC)))
                : Optional.empty();
        List<LayerChoice> goesOn = kind == CycleKind.RESEAL ? layers.subList(layers.size() - 1, layers.size()) : layers;
        return new Cycle(
                number,
                kind,
                number == 1 ? Instant.EPOCH : AGAIN,
                "Wren",
                "",
                patch,
                goesOn,
                c.system().prep());
    }

    private static ZoneFacts zone(Floor floor, List<Cycle> cycles, List<LogEntry> coats) {
        Candidate c = floor.candidate();
        var log = new ArrayList<LogEntry>(coats);
        log.add(reading(
                cycles.size(),
                "walk-over",
                Map.of(
                        "sealer", floor.found().sealer,
                        "oil", "no",
                        "coating", floor.found().coating,
                        "dusting", "no",
                        "hollow", "no")));
        log.add(reading(cycles.size(), "old-floor", Map.of("laid", "newer", "laboratory", "none")));
        log.add(reading(cycles.size(), "concrete-age", Map.of("age", floor.found().age)));
        if (floor.substrate().family() == Substrate.Family.CEMENT) {
            log.add(reading(cycles.size(), "water-drop", Map.of("drop", floor.found().drop)));
        }
        var settings = ZoneFields.settings(
                Field.parseAll(
                        "settings",
                        ZoneFields.ALL,
                        Map.of("pace", "1 m²/min", "share", "80 %", "allowance", "10 %"),
                        UnitSystem.METRIC),
                UnitSystem.METRIC);
        return new ZoneFacts(
                "zone",
                "Floor",
                new Rectangle(10, 5),
                ZoneFacts.PlanFacts.NONE,
                floor.substrate(),
                c.system().uses().iterator().next(),
                floor.exposure(),
                new SiteLimits(true, true),
                settings,
                cycles,
                log);
    }

    private static LogEntry reading(int cycle, String method, Map<String, String> typed) {
        Map<String, Value> values =
                new HashMap<>(Field.parseAll("values", TestMethods.of(method).fields(), typed, UnitSystem.METRIC));
        return new LogEntry(
                        UUID.nameUUIDFromBytes(method.getBytes(StandardCharsets.UTF_8))
                                .toString(),
                        LogEntry.Kind.READING,
                        method,
                        "whole floor",
                        cycle == 1 ? BEGAN : AGAIN.plusSeconds(60),
                        "Wren",
                        "",
                        values)
                .of(cycle);
    }

    /** Nothing sticks to a wet floor, and nothing that was wiped stays clean where the water still comes. */
    @Test(dataProvider = "every")
    public void a_floor_dries_before_it_is_masked_and_tacked_off(String title, Floor floor) {
        var steps = ZoneReport.of(zone(floor), UnitSystem.METRIC, WHERE, BEGAN)
                .prep()
                .steps();
        int dry = -1;
        int last = -1;
        for (int i = 0; i < steps.size(); i++) {
            String gate = steps.get(i).gate().map(g -> g.id()).orElse("");
            if (gate.equals("dry")) {
                dry = i;
            }
            if (gate.equals("no-dust") || steps.get(i).id().equals("mask")) {
                last = i;
                assertTrue(
                        dry >= 0 || noWaterBefore(steps, i),
                        title + ": " + steps.get(i).title());
            }
        }
        assertTrue(last < 0 || dry < last, title);
    }

    private static boolean noWaterBefore(List<StepReport> steps, int at) {
        return steps.subList(0, at).stream()
                .noneMatch(s -> KnownWorks.ofStep(s.id()).map(Work::isWet).orElse(false));
    }

    /** A floor that a system may lie on can be made ready for it, however it was found, unless something says why not. */
    @Test(dataProvider = "every")
    public void every_floor_has_a_way_or_says_why_not(String title, Floor floor) {
        var prep = ZoneReport.of(zone(floor), UnitSystem.METRIC, WHERE, BEGAN).prep();
        if (prep.method().isEmpty()) {
            prep.refused().forEach(r -> assertFalse(r.reasons().isEmpty(), title));
        } else {
            assertFalse(prep.steps().isEmpty(), title);
        }
        assertFalse(floor.found() == Found.CLEAN && prep.method().isEmpty(), title + " has no way");
    }

    @DataProvider
    Object[][] ours() {
        return floors.stream()
                .filter(f -> f.found() == Found.CLEAN || f.found() == Found.COATED || f.found() == Found.NEW)
                .flatMap(f -> Stream.of(CycleKind.RESEAL, CycleKind.REPAIR, CycleKind.RECOAT)
                        .map(k -> new Object[] {f.title() + " | " + k, f, k}))
                .toArray(Object[][]::new);
    }

    /** Years later, whoever says truthfully that a coat or a sealer lies there is stopped by neither laboratory nor hold, and has a way. */
    @Test(dataProvider = "ours")
    public void what_was_laid_here_is_known_and_has_a_way(String title, Floor floor, CycleKind kind) {
        var first = cycle(floor, 1, CycleKind.COAT);
        var laid = new ArrayList<LogEntry>();
        first.layers()
                .forEach(l -> laid.add(new LogEntry(
                        "coat " + l.id(),
                        LogEntry.Kind.COAT,
                        l.id(),
                        "",
                        BEGAN.plusSeconds(86_400),
                        "Wren",
                        "",
                        Map.of())));
        // whoever walks on an acrylic says sealer, whoever walks on an epoxy says coating
        var top = floor.candidate().top();
        boolean sealer = List.of(LayerRole.SEALER, LayerRole.FINISH).contains(top.role())
                || top.traits().chemistry().label().contains("acrylic");
        var known = new Floor(
                floor.candidate(), floor.substrate(), floor.exposure(), sealer ? Found.OUR_SEALER : Found.OUR_COAT);
        ZoneFacts zone = zone(known, List.of(first, cycle(floor, 2, kind)), laid);
        var report = ZoneReport.of(zone, UnitSystem.METRIC, WHERE, AGAIN.plusSeconds(3600));
        assertFalse(
                report.prep().method().isEmpty(), title + " " + report.prep().refused());
        report.survey().findings().stream()
                .filter(f -> f.rule().startsWith("walk-over") || f.rule().startsWith("old-floor"))
                .forEach(f -> assertEquals(f.verdict(), Verdict.GO, title + ": " + f.brief()));
    }

    /** What the survey says of a sealer is what preparation does with it, on every floor of every system. */
    @Test(dataProvider = "every")
    public void survey_and_preparation_say_the_same_of_a_sealer(String title, Floor floor) {
        if (floor.found() != Found.SEALED) {
            return;
        }
        var report = ZoneReport.of(zone(floor), UnitSystem.METRIC, WHERE, BEGAN);
        var finding = report.survey().findings().stream()
                .filter(f -> f.rule().equals("walk-over-sealer") || f.rule().equals("walk-over-kept-sealer"))
                .findFirst()
                .orElseThrow();
        String said =
                switch (report.prep().method()) {
                    case "grind", "shot-blast", "scarify" -> "Grind";
                    case "strip", "strip-finish", "scrub-tile" -> "Strip";
                    case "media-blast" -> "Take it out of the lows";
                    case "abrade" -> "Wipe with solvent, sand it off";
                    case "wash-acrylic" -> "";
                    default -> "nobody thought of " + report.prep().method();
                };
        assertTrue(finding.remedy().startsWith(said), title + ": " + finding.remedy());
        assertEquals(finding.verdict() == Verdict.GO, said.isEmpty(), title);
    }
}
