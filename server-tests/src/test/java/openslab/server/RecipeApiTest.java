package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import openslab.server.App.Answer;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Any sheet in any vessel, through the API, and what the scale showed. */
public class RecipeApiTest extends OnApp {
    private static Map<String, Object> form(String way, String measuring, Map<String, String> values) {
        var form = new HashMap<String, Object>();
        form.put("way", way);
        form.put("measuring", measuring);
        form.put("values", values);
        form.put("vessel", Map.of());
        form.put("extras", Map.of());
        form.put("units", "US");
        return form;
    }

    private static Map<String, Object> with(Map<String, Object> form, String group, Map<String, String> more) {
        form.put(group, more);
        return form;
    }

    private Answer mix(String slug, Map<String, Object> form) {
        return app.post("/api/sheets/" + slug + "/recipe", form);
    }

    private static double volume(JsonNode portion) {
        return portion.path("volume").path("value").asDouble();
    }

    private static final double LITRES_A_GALLON = 3.785411784;

    /**
     * Every sheet that is mixed, in a spoon, a jug, a pail and a drum, in both units: what is poured is what was asked for, and fits;
     * and whoever reads it aloud pours the same.
     */
    @Test
    public void every_sheet_fits_every_vessel_adds_up_and_reads_as_it_is() {
        int mixed = 0;
        int read = 0;
        for (JsonNode sheet : app.get("/api/sheets").body()) {
            String slug = sheet.path("slug").asString();
            if (sheet.path("role").asString().equals("BROADCAST")) {
                assertEquals(
                        mix(slug, form("mixed", "volume", Map.of("volume", "1 gal")))
                                .status(),
                        400,
                        slug);
                continue;
            }
            JsonNode fields = app.get("/api/sheets/" + slug + "/recipe/fields").body();
            assertFalse(fields.path("ways").isEmpty(), slug);
            for (JsonNode measured : fields.path("measurings")) {
                for (String vessel : List.of("10 fl oz", "1 qt", "5 gal", "55 gal")) {
                    for (String units : List.of("US", "METRIC")) {
                        for (double gallons : new double[] {6, 0.75, 0.0625}) {
                            var form = with(
                                    form("mixed", measured.path("id").asString(), Map.of("volume", gallons + " gal")),
                                    "vessel",
                                    Map.of("holds", vessel, "lines", "10", "tare", "1.5 lb"));
                            form.put("units", units);
                            Answer answer = mix(slug, form);
                            assertEquals(answer.status(), 200, slug + answer.text());
                            String about = slug + ", " + gallons + " gal in " + vessel + ", " + units;
                            assertAddsUp(answer.body(), gallons * LITRES_A_GALLON, about);
                            for (JsonNode p : answer.body().path("portions")) {
                                read += assertReads(p.path("measured").asString(), volume(p), about);
                            }
                            assertReads(
                                    answer.body().path("measured").asString(),
                                    answer.body().at("/all/value").asDouble(),
                                    about);
                            mixed++;
                        }
                    }
                }
            }
        }
        assertTrue(mixed > 1500 && read > 2500, "mixed " + mixed + ", read " + read);
    }

    /** Litres of every measure that is read aloud, by its name. */
    private static final Map<String, Double> JUGS = Map.of(
            "gal", LITRES_A_GALLON,
            "qt", LITRES_A_GALLON / 4,
            "fl oz", LITRES_A_GALLON / 128,
            "cup", LITRES_A_GALLON / 16,
            "tbsp", LITRES_A_GALLON / 256,
            "tsp", LITRES_A_GALLON / 768,
            "L", 1.0,
            "mL", 0.001);

    /** What each measure is not to reach, being one of the next by then. */
    private static final Map<String, String> NEXT =
            Map.of("qt", "gal", "fl oz", "qt", "tsp", "tbsp", "tbsp", "cup", "mL", "L");

    private static final Pattern MEASURE = Pattern.compile(
            "(?:(\\d[\\d\u202f\u00a0,]*(?:\\.\\d+)?)(?: |$|(?=\u00a0)))?(?:(\\d)/(\\d))?\u00a0(gal|qt|fl oz|cups?|tbsp|tsp|L|mL)");

    /** @return 1 where it is told by the measure, 0 for bags, or where it is said by its weight alone */
    private static int assertReads(String words, double litres, String about) {
        if (words.isEmpty() || words.contains("bag") || words.contains("mix")) {
            return 0;
        }
        Matcher m = MEASURE.matcher(words);
        double sum = 0;
        int at = 0;
        while (m.find()) {
            assertTrue(words.substring(at, m.start()).isBlank(), about + ": " + words);
            at = m.end();
            double count =
                    m.group(1) == null ? 0 : Double.parseDouble(m.group(1).replaceAll("[\u202f\u00a0,]", ""));
            count += m.group(2) == null ? 0 : Double.parseDouble(m.group(2)) / Double.parseDouble(m.group(3));
            String one = m.group(4).replace("cups", "cup");
            assertTrue(count > 0, about + ": " + words);
            if (NEXT.containsKey(one)) {
                assertTrue(
                        count * JUGS.get(one) < JUGS.get(NEXT.get(one)) * (1 - 1e-9),
                        about + ": \"" + words + "\" reaches the next measure");
            }
            sum += count * JUGS.get(one);
        }
        assertEquals(at, words.length(), about + ": \"" + words + "\" is not read");
        assertEquals(sum, litres, 0.01 * litres, about + ": " + words);
        return 1;
    }

    private static void assertAddsUp(JsonNode recipe, double litres, String about) {
        double poured = 0;
        double shown = 1.5 * 0.45359237;
        boolean bags = false;
        for (JsonNode p : recipe.path("portions")) {
            bags |= p.path("volume").path("unit").asString().equals("bags");
            poured += volume(p);
            if (p.has("scale")) {
                shown += kg(p.path("mass"));
                assertEquals(kg(p.path("scale")), shown, 1e-6, about);
            }
        }
        double each = recipe.path("each").path("value").asDouble();
        if (!bags) {
            assertEquals(poured, each, 1e-9 * each, about);
            assertEquals(each * recipe.path("fillings").path("value").asDouble(), litres, 1e-6, about);
        }
    }

    private static double kg(JsonNode figure) {
        return figure.path("value").asDouble() * (figure.path("unit").asString().equals("g") ? 0.001 : 1);
    }

    /** A kit of 3 gal, 2 to 1: half of it is 1 gal of A and half a gallon of B (SYSTEMS 1; half of A and half of B). */
    @Test
    public void half_a_kit_is_half_of_each() {
        JsonNode recipe = mix("epoxy-kit", form("kit", "scale", Map.of("kit", "2", "share", "1/2")))
                .body();
        assertEquals(volume(recipe.path("portions").path(0)), 3.785411784, 1e-9);
        assertEquals(volume(recipe.path("portions").path(1)), 3.785411784 / 2, 1e-9);
        assertEquals(recipe.path("portions").path(0).path("measured").asString(), "1\u00a0gal");
        // 11.2 lb/gal
        assertEquals(recipe.path("portions").path(0).path("mass").path("text").asString(), "11.20\u00a0lb");
    }

    @DataProvider
    Object[][] refused() {
        return new Object[][] {
            {"epoxy-kit", form("floor", "scale", Map.of("area", "-3")), "values.area"},
            {"epoxy-kit", form("bags", "scale", Map.of("bags", "2")), "way"},
            {"epoxy-kit", form("kit", "scale", Map.of("kit", "9", "share", "1")), "values.kit"},
            {"epoxy-kit", form("cans", "scale", Map.of("canA", "1 gal")), "values.canB"},
            {"aggregate-binder", form("mixed", "scale", Map.of("volume", "10 fl oz")), "measuring"},
            {"epoxy-kit", form("mixed", "spoon", Map.of("volume", "10 fl oz")), "measuring"},
            {
                "epoxy-kit",
                with(form("mixed", "scale", Map.of("volume", "1 gal")), "vessel", Map.of("holds", "0")),
                "vessel.holds"
            },
            {
                "overlay-sealer",
                with(form("mixed", "volume", Map.of("volume", "5 gal")), "extras", Map.of("grit", "5 gal/1 qt")),
                "extras.grit"
            },
            {
                "solvent-acrylic",
                with(
                        form("mixed", "volume", Map.of("volume", "5 gal")),
                        "extras",
                        Map.of("thin", "50 %", "thinner", "acetone")),
                "extras.thin"
            },
            {
                "solvent-acrylic",
                with(form("mixed", "volume", Map.of("volume", "5 gal")), "extras", Map.of("thin", "5 %")),
                "extras.thinner"
            },
            {"vinyl-flake", form("mixed", "volume", Map.of("volume", "1 gal")), "sheet"},
        };
    }

    @Test(dataProvider = "refused")
    public void what_makes_no_sense_is_told_where(String slug, Map<String, Object> form, String field) {
        Answer answer = mix(slug, form);
        assertEquals(answer.status(), 400, answer.text());
        assertTrue(answer.faultyFields().contains(field), answer.text());
    }

    /** A pailful of the kit, B poured too far: how much of A makes it whole, and what the scale shows then. */
    @Test
    public void what_the_scale_showed_is_answered() {
        var recipe = form("mixed", "scale", Map.of("volume", "1.5 gal"));
        // 1 gal of A weighs 11.2 lb, half a gallon of B 4.3 lb; 5 lb of B ask for 13.02 of A
        Answer over = app.post(
                "/api/sheets/epoxy-kit/recipe/weigh-in",
                Map.of("recipe", recipe, "readings", List.of("11.2 lb", "16.2 lb")));
        assertEquals(over.status(), 200, over.text());
        assertEquals(over.body().path("call").asString(), "ADD");
        double add = over.body().path("parts").path(0).path("add").path("value").asDouble();
        assertEquals(add / 0.45359237, 5.0 / 4.3 * 11.2 - 11.2, 1e-6);
        Answer down = app.post(
                "/api/sheets/epoxy-kit/recipe/weigh-in",
                Map.of("recipe", recipe, "readings", List.of("11.2 lb", "11 lb")));
        assertEquals(down.status(), 400);
        assertTrue(down.faultyFields().contains("readings[1]"), down.text());
        Answer many = app.post(
                "/api/sheets/epoxy-kit/recipe/weigh-in",
                Map.of("recipe", recipe, "readings", List.of("1 lb", "2 lb", "3 lb")));
        assertTrue(many.faultyFields().contains("readings"), many.text());
    }

    /** TRADE 6: 4 to 5 quarts to a bag, heard as ounces, cannot wet it. */
    @Test
    public void ounces_of_water_to_a_bag_are_refused() {
        var form = (ObjectNode) app.sheet("stamp-overlay").path("form").deepCopy();
        form.put("name", "Heard wrongly").remove("slug");
        ((ObjectNode) form.path("numbers")).put("waterMin", "4 fl oz").put("waterMax", "5 fl oz");
        Answer refused = app.post("/api/sheets", form);
        assertEquals(refused.status(), 400);
        assertTrue(refused.faultyFields().contains("numbers.waterMin"), refused.text());
        assertTrue(refused.text().contains("were quarts meant?"), refused.text());
    }

    /**
     * 12 × 6 m of body coat at 20 °C: the sheet's pot life, four fifths of it at 1 m² a minute. By hand from what the plan says: as
     * many bays as the floor holds of that, each weighed batch kept with what the scale showed and judged again.
     */
    @Test
    public void a_floor_goes_bay_by_bay_and_what_was_weighed_is_kept() {
        var zone = new TreeMap<String, Object>(App.zoneForm("North bay"));
        zone.put("sides", Map.of("length", "12 m", "width", "6 m"));
        var floor = app.floor("Bay by bay", zone);
        app.post(floor.log(), App.logForm("READING", "climate", "", Map.of("air", "20", "rh", "50", "slab", "20")));
        String stage = floor.zonePath() + "/stages/layers/body";
        JsonNode batches = app.get(stage).body().path("batches");
        double most = batches.path("plan").path("most").path("value").asDouble();
        JsonNode bays = app.get(stage + "/bays").body().path("floors").path(0);
        assertEquals(bays.path("bays").size(), (int) Math.ceil(72 / most), bays.toString());
        assertFalse(bays.path("drawn").asBoolean());
        assertEquals(bays.path("next").asInt(), 0);
        double sum = 0;
        for (JsonNode bay : bays.path("bays")) {
            sum += bay.path("laid").path("area").path("value").asDouble();
        }
        assertEquals(sum, 72, 1e-6);
        // 3.0 kg of A ask for 3.0 kg / 2 parts · 1 part by its densities of B; a tenth too little is told for ever
        JsonNode portions = batches.path("next").path("recipe").path("portions");
        double a = kg(portions.path(0).path("mass"));
        double b = kg(portions.path(1).path("mass"));
        String area =
                batches.path("next").path("run").path("area").path("value").asDouble() + " m²";
        String volume =
                batches.path("next").path("run").path("volume").path("value").asDouble() + " L";
        app.post(
                floor.log(),
                App.allTheSame(
                        "BATCH",
                        "body",
                        Map.of("volume", volume, "area", area, "inA", a + " kg", "inB", 0.9 * b + " kg")));
        JsonNode logged = app.get(stage).body().path("batches").path("logged").path(0);
        assertEquals(logged.path("weighed").path("call").asString(), "ADD", logged.toString());
        assertEquals(
                app.get(stage + "/bays")
                        .body()
                        .path("floors")
                        .path(0)
                        .path("next")
                        .asInt(),
                1);
    }

    /** 10 % of acetone in a sealer, and what the place allows of solvent. */
    @Test
    public void thinned_it_says_what_becomes_of_it() {
        var form = with(
                form("mixed", "volume", Map.of("volume", "5.5 gal")),
                "extras",
                Map.of("thin", "10 %", "thinner", "acetone", "vocMost", "100 g/L"));
        JsonNode recipe = mix("solvent-acrylic", with(form, "vessel", Map.of("holds", "10 gal")))
                .body();
        assertEquals(recipe.path("portions").path(1).path("part").asString(), "Acetone");
        assertEquals(volume(recipe.path("portions").path(1)), 0.5 * 3.785411784, 1e-9);
        assertTrue(recipe.has("thinned"));
        assertTrue(recipe.path("findings").toString().contains("\"voc\""), recipe.toString());
    }
}
