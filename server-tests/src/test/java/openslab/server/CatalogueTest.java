package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import openslab.core.choose.Asked;
import openslab.core.choose.Offer;
import openslab.core.choose.Reason;
import openslab.core.choose.Weighed;
import openslab.core.floor.Substrate;
import openslab.core.floor.Use;
import openslab.core.practice.Place;
import openslab.core.practice.Practices;
import openslab.core.product.Chemistry;
import openslab.core.product.Exposure;
import openslab.core.product.LayerRole;
import openslab.core.product.ProductSheet;
import openslab.core.product.Suits;
import openslab.core.product.Tone;
import openslab.core.product.TwoPart;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Verdict;
import openslab.core.system.Candidate;
import openslab.core.system.FloorSystem;
import openslab.core.system.Harm;
import openslab.core.system.LayStep;
import openslab.core.system.LayWorks;
import openslab.core.system.LayerChecks;
import openslab.core.system.Way;
import openslab.server.product.SheetStore;
import openslab.server.store.Shipped;
import openslab.server.system.Candidates;
import openslab.server.system.Systems;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** The catalogue that ships: complete, consistent in itself, and as the trade's notes have its numbers. */
public class CatalogueTest {
    /** Works at which nothing is held in the hand. */
    private static final Set<String> BARE_HANDS = Set.of("settle", "stand", "watch", "dry-out", "unmask", "pull-tape");

    private App app;
    private Systems systems;
    private Map<String, ProductSheet> sheets;

    @BeforeClass
    public void start() {
        app = App.start(App.emptyFolder());
        systems = app.bean(Systems.class);
        sheets = new java.util.TreeMap<>();
        app.bean(SheetStore.class).shelf().forEach(s -> sheets.put(s.sheet().slug(), s.sheet()));
    }

    @AfterClass
    public void stop() {
        app.close();
    }

    @Test
    public void all_twenty_ways_of_the_trade_are_there() {
        assertTrue(systems.all().size() >= 24, "24 systems: the trade's twenty, and four of the first days");
        assertEquals(
                app.bean(Candidates.class)
                        .of(Practices.USUAL, Place.at(Exposure.INDOORS))
                        .size(),
                systems.all().size(),
                "each of sheets that stand on the shelf");
    }

    /** Every system on everything, for every use, in every weather: it may be laid, or a rule says why not. */
    @Test
    public void every_system_on_every_floor_is_offered_or_refused_with_its_rule() {
        var offered = new TreeSet<String>();
        int refused = 0;
        for (Candidate candidate : app.bean(Candidates.class).of(Practices.USUAL, Place.at(Exposure.INDOORS))) {
            for (Substrate substrate : Substrate.values()) {
                for (Use use : Use.values()) {
                    for (Exposure exposure : Exposure.values()) {
                        var offer = new Offer(candidate, substrate, use, exposure, Optional.empty());
                        List<Asked> asked = Asked.of(Map.of(), use, exposure);
                        Weighed weighed = Weighed.of(offer, Verdict.HOLD, List.of(), asked, UnitSystem.US);
                        weighed.reasons().forEach(CatalogueTest::assertStandsAlone);
                        if (weighed.isRefused()) {
                            refused++;
                        } else {
                            offered.add(candidate.system().id());
                            assertTrue(candidate.system().on().contains(substrate));
                        }
                    }
                }
            }
        }
        assertEquals(offered.size(), systems.all().size(), "each goes somewhere: " + offered);
        assertTrue(refused > 0);
    }

    private static void assertStandsAlone(Reason reason) {
        assertFalse(reason.rule().isBlank());
        assertTrue(reason.words().endsWith("."), reason.words());
        assertFalse(reason.source().sentence().isBlank());
    }

    /** Every sheet alone on everything: it may lie there, or a check says why not. */
    @Test
    public void every_sheet_on_every_floor_lies_there_or_is_told_why_not() {
        for (ProductSheet sheet : sheets.values()) {
            var layer = new LayerChecks.Layer("one", "One", sheet, sheet, Optional.empty());
            for (Substrate substrate : Substrate.values()) {
                for (Exposure exposure : Exposure.values()) {
                    var checks = LayerChecks.of(List.of(layer), substrate, exposure, UnitSystem.METRIC);
                    checks.forEach(c -> assertTrue(c.words().endsWith("."), c.words()));
                    boolean stops = checks.stream().anyMatch(c -> c.rule().equals("on-this-floor"));
                    assertEquals(stops, !sheet.traits().mayLieOn(substrate), sheet.slug() + " on " + substrate);
                }
            }
        }
    }

    @DataProvider
    Object[][] shipped() {
        return listed().stream().map(s -> new Object[] {s}).toArray(Object[][]::new);
    }

    private static List<String> listed() {
        return Shipped.lines("catalogue/systems.txt");
    }

    /** What ships is not refused by its own neighbours, on any floor that it names, in the weather its top coat is for. */
    @Test(dataProvider = "shipped")
    public void nothing_that_ships_stands_against_itself(String id) {
        FloorSystem system = systems.find(id).orElseThrow();
        List<LayerChecks.Layer> layers = system.layers().stream()
                .map(l -> new LayerChecks.Layer(
                        l.id(), l.title(), sheets.get(l.sheet()), sheets.get(l.sheet()), Optional.empty()))
                .toList();
        ProductSheet top = layers.stream()
                .map(LayerChecks.Layer::sheet)
                .filter(s -> s.broadcast().isEmpty())
                .reduce((a, b) -> b)
                .orElseThrow();
        boolean outdoors = top.traits().suits().contains(Suits.OUTDOORS);
        for (Substrate substrate : system.on()) {
            LayerChecks.of(layers, substrate, outdoors ? Exposure.SUN : Exposure.INDOORS, UnitSystem.US).stream()
                    .filter(c -> c.verdict().compareTo(Verdict.WATCH) > 0)
                    .forEach(c -> {
                        throw new AssertionError(id + " on " + substrate + ": " + c);
                    });
        }
    }

    /** Tools, a wait or none, and the caution of TRADE 15 at every step of every layer. */
    @Test(dataProvider = "shipped")
    public void every_step_has_its_tools_and_its_caution(String id) {
        var missing = new ArrayList<String>();
        for (FloorSystem.Layer layer : systems.find(id).orElseThrow().layers()) {
            ProductSheet sheet = sheets.get(layer.sheet());
            Way way = systems.way(layer.way(), sheet);
            for (LayStep step : way.steps()) {
                String where = id + " " + layer.id() + "/" + step.id();
                if (step.work().items().isEmpty()
                        && !BARE_HANDS.contains(step.work().id())) {
                    missing.add(where + " has no tools");
                }
                wanted(sheet, step).stream()
                        .filter(h -> !step.harms().contains(h))
                        .forEach(h -> missing.add(where + " says nothing of " + h.id()));
            }
        }
        assertEquals(String.join("\n", missing), "");
    }

    /** What a step has to warn of, by what is in the hand. */
    private static List<Harm> wanted(ProductSheet sheet, LayStep step) {
        var harms = new ArrayList<Harm>();
        boolean handled =
                step.coat() || step.work().equals(LayWorks.STIR) || step.work().equals(LayWorks.STIR_STICK);
        if (handled && sheet.material() instanceof TwoPart && sheet.traits().chemistry() != Chemistry.UNSAID) {
            harms.add(Harm.AMINE);
        }
        if (step.coat() && sheet.traits().chemistry() == Chemistry.ACID_STAIN) {
            harms.add(Harm.ACID);
        }
        boolean solvent = Set.of(Chemistry.SOLVENT_ACRYLIC, Chemistry.SOLVENT_DYE)
                .contains(sheet.traits().chemistry());
        if (step.coat() && solvent) {
            harms.add(Harm.SOLVENT);
        }
        if (step.work().equals(LayWorks.MIX_BAGS)) {
            harms.add(Harm.CEMENT);
        }
        if (step.work().equals(LayWorks.CUT_JOINTS) || step.work().equals(LayWorks.NAIL_HOLES)) {
            harms.add(Harm.SILICA);
        }
        if (step.coat() && sheet.slug().equals("silica-sand")) {
            harms.add(Harm.SILICA);
        }
        return harms;
    }

    /** One number of the notes: the sheet, where it stands on it, what it is, where it comes from. */
    @Test(dataProvider = "numbers")
    public void a_number_is_as_the_notes_have_it(String file, String where, String value, String mark, String source) {
        JsonNode sheet = App.JSON.readTree(Shipped.text("catalogue/" + file + ".json"));
        JsonNode found = sheet;
        for (String part : where.split("\\.")) {
            if (part.startsWith("@")) {
                found = at(found, part.substring(1));
            } else if (part.matches("\\d+")) {
                found = found.path(Integer.parseInt(part));
            } else {
                found = found.path(part);
            }
        }
        assertEquals(found.asString(), value, file + " " + where + ", " + source);
        if (file.startsWith("sheets/")) {
            String field = where.replaceAll("\\.@.*", "");
            String kept = sheet.path("marks").path(field).asString();
            if (kept.isEmpty()) {
                // all of a group are marked at once
                kept = sheet.path("marks").path(field.replaceAll("\\..*", "")).asString();
            }
            assertTrue(kept.startsWith(mark), field + " is marked " + kept);
        }
    }

    private static JsonNode at(JsonNode points, String temperature) {
        for (JsonNode point : points) {
            if (point.path("at").asString().equals(temperature)) {
                return point.path("time");
            }
        }
        throw new AssertionError("nothing at " + temperature + " among " + points);
    }

    @DataProvider
    Object[][] numbers() {
        return App.text("cases/system-numbers.txt")
                .lines()
                .filter(l -> !l.startsWith("#") && !l.isBlank())
                .map(l -> (Object[]) l.split(" \\| "))
                .toArray(Object[][]::new);
    }

    /** No number without a word on where it comes from. */
    @Test
    public void every_number_of_a_shipped_sheet_is_marked() {
        var bare = new ArrayList<String>();
        for (String slug : Shipped.lines("catalogue/sheets.txt")) {
            JsonNode sheet = App.JSON.readTree(Shipped.text("catalogue/sheets/" + slug + ".json"));
            JsonNode marks = sheet.path("marks");
            for (String field : List.of("densityA", "densityB", "volumeSolids", "spread", "broadcast")) {
                if (sheet.has(field) && marks.path(field).asString().isEmpty()) {
                    bare.add(slug + " " + field);
                }
            }
            for (String group : List.of("clocks", "limits", "numbers", "kits", "reseal")) {
                boolean said = sheet.has(group) && !sheet.path(group).isEmpty();
                boolean marked =
                        marks.propertyNames().stream().anyMatch(f -> f.equals(group) || f.startsWith(group + "."));
                if (said && !marked) {
                    bare.add(slug + " " + group);
                }
            }
        }
        assertEquals(String.join("\n", bare), "");
    }

    @Test
    public void a_layer_is_laid_of_a_sheet_of_its_kind() {
        for (FloorSystem system : systems.all()) {
            for (FloorSystem.Layer layer : system.layers()) {
                ProductSheet sheet = sheets.get(layer.sheet());
                boolean thrown = layer.role() == LayerRole.BROADCAST;
                assertEquals(sheet.broadcast().isPresent(), thrown, system.id() + " " + layer.id());
            }
        }
    }

    /** Nobody is asked how many joints were tagged who was not told to tag them. */
    @Test(dataProvider = "shipped")
    public void joints_are_tagged_before_anybody_asks(String id) {
        boolean tagged = false;
        for (FloorSystem.Layer layer : systems.find(id).orElseThrow().layers()) {
            for (LayStep step :
                    systems.way(layer.way(), sheets.get(layer.sheet())).steps()) {
                tagged |= step.work().is(LayWorks.TAG);
                boolean asks =
                        step.gate().filter(g -> g.id().equals("joints-cut")).isPresent();
                assertTrue(tagged || !asks, layer.id() + "/" + step.id() + " asks");
            }
        }
    }

    /** TRADE 8: lighter colour first; what is seen through never covers what is darker. */
    @Test
    public void light_over_dark_is_told_where_it_is_seen_through() {
        assertEquals(rules("acid-stain", Tone.DARK, "acetone-dye", Tone.LIGHT).contains("dark-over-light"), true);
        assertEquals(rules("acid-stain", Tone.LIGHT, "acetone-dye", Tone.DARK).contains("dark-over-light"), false);
        assertEquals(rules("acid-stain", Tone.DARK, "acetone-dye", Tone.DARK).contains("dark-over-light"), false);
        assertEquals(rules("tile-base", Tone.DARK, "tile-base", Tone.LIGHT).contains("dark-over-light"), false);
    }

    private List<String> rules(String below, Tone dark, String above, Tone light) {
        var layers = List.of(
                new LayerChecks.Layer("below", "Below", sheets.get(below), sheets.get(below), Optional.of(dark)),
                new LayerChecks.Layer("above", "Above", sheets.get(above), sheets.get(above), Optional.of(light)));
        return LayerChecks.of(layers, Substrate.BARE_CONCRETE, Exposure.INDOORS, UnitSystem.US).stream()
                .map(LayerChecks.LayerCheck::rule)
                .toList();
    }
}
