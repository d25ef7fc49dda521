package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.sql.DataSource;
import openslab.server.App.Answer;
import openslab.server.App.Floor;
import org.flywaydb.core.Flyway;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The shelf of product sheets: what ships on it, what editing does to it, and what it does not do to a job. */
public class ShelfTest extends OnApp {
    private static final Map<String, String> CSV = Map.of("Content-Type", "text/csv");

    @DataProvider
    Object[][] sheets() {
        return new Object[][] {{"epoxy-primer"}, {"epoxy-body-coat"}, {"vinyl-flake"}, {"epoxy-clear-coat"}};
    }

    @Test(dataProvider = "sheets")
    public void a_shipped_sheet_saved_unchanged_is_the_same_sheet(String slug) {
        JsonNode sheet = app.sheet(slug);
        Answer again = app.put("/api/sheets/" + slug, sheet.path("digest").asString(), sheet.path("form"));
        assertEquals(again.status(), 200, again.text());
        assertEquals(again.body().path("digest"), sheet.path("digest"));
    }

    /** Every sheet goes out as a file of either kind and says the same when it comes back. */
    @Test
    public void every_sheet_goes_out_to_a_file_and_comes_back() {
        for (JsonNode sheet : app.get("/api/sheets").body()) {
            String at = "/api/sheets/" + sheet.path("slug").asString() + "/sheet.";
            assertEquals(app.get(at + "json").body(), sheet.path("form"));
            Answer read =
                    app.write("POST", "/api/sheets/read", app.get(at + "csv").text(), CSV);
            assertEquals(read.status(), 200, read.text());
            assertEquals(read.body(), sheet.path("form"), at);
        }
    }

    @DataProvider
    Object[][] damaged() {
        return new Object[][] {
            {"slug,name\r\na,b", "field,value"},
            {"", "field,value"},
            {"field,value\r\nname,Clear,more", "line 2"},
            {"field,value\r\nname,Clear\r\nname,Other", "line 3"},
            {"field,value\r\nclocks/FOOT,24 h\r\nclocks/FOOT/0/at,70 °F", "line 3"},
            {"field,value\r\nkits,many", "the fields of a sheet"},
            {"field,value\r\n" + "a/".repeat(40) + "b,c", "line 2"},
            {"field,value\r\n" + "x,y\r\n".repeat(1001), "at most 1000 lines"},
            {"field,value\r\nname," + "x".repeat(100_000), "at most 100000"},
        };
    }

    @Test(dataProvider = "damaged")
    public void a_damaged_file_is_told_where(String file, String told) {
        Answer read = app.write("POST", "/api/sheets/read", file, CSV);
        assertEquals(read.status(), 400, read.text());
        assertTrue(read.text().contains(told), read.text());
    }

    @Test(dataProvider = "sheets")
    public void a_sheet_in_other_units_says_the_same(String slug) {
        var form = (ObjectNode) app.sheet(slug).path("form").deepCopy();
        form.put("units", "METRIC");
        form.put("name", form.path("name").asString() + ", read in metric").remove("slug");
        Answer metric = app.post("/api/sheets", form);
        assertEquals(metric.status(), 200, metric.text());
        // every number carries its unit, so nothing else changes
        assertEquals(metric.body().path("form").path("spread"), form.path("spread"));
        assertEquals(metric.body().path("form").path("clocks"), form.path("clocks"));
        JsonNode films = metric.body().path("films");
        for (int i = 0; i < films.size(); i++) {
            assertEquals(
                    films.path(i).path("text"),
                    app.sheet(slug).path("films").path(i).path("also"));
        }
    }

    /** A margin is a difference: 3 °C of it are 3 K and 5.4 °F, typed either way, and stay so through a file and an edit. */
    @Test
    public void a_margin_above_the_dew_point_goes_round() {
        for (String margin : List.of("3 °C", "3 K", "5.4 °F")) {
            var form = (ObjectNode) app.sheet("epoxy-primer").path("form").deepCopy();
            form.put("units", "METRIC").put("name", "Margin of " + margin).remove("slug");
            ((ObjectNode) form.path("limits")).put("dewMargin", margin);
            Answer made = app.post("/api/sheets", form);
            assertEquals(made.status(), 200, margin + ": " + made.text());
            String slug = made.body().path("slug").asString();
            Answer read = app.write(
                    "POST",
                    "/api/sheets/read",
                    app.get("/api/sheets/" + slug + "/sheet.csv").text(),
                    CSV);
            assertEquals(read.status(), 200, read.text());
            assertEquals(read.body().at("/limits/dewMargin").asString(), margin);
            Answer kept = app.put(
                    "/api/sheets/" + slug,
                    made.body().path("digest").asString(),
                    ((ObjectNode) read.body()).put("note", "Shake"));
            assertEquals(kept.status(), 200, kept.text());
            // 20 °C at 50 % has its dew point at 9.26 °C (Magnus): 2.9 K above it is too near, 3.1 K is not
            assertEquals(dewVerdict(kept.body().path("digest").asString(), "12.16 °C"), "HOLD", margin);
            assertEquals(dewVerdict(kept.body().path("digest").asString(), "12.36 °C"), "GO", margin);
        }
    }

    private String dewVerdict(String digest, String slab) {
        Floor floor = app.floor("Margin at " + slab + " " + digest.substring(0, 6));
        app.put(floor.zonePath() + "/layers/primer", 2, Map.of("sheet", digest, "plannedStart", ""));
        app.post(floor.log(), App.logForm("READING", "climate", "", Map.of("air", "20 °C", "rh", "50", "slab", slab)));
        return app.get(floor.path()).body().findParents("rule").stream()
                .filter(f -> f.path("rule").asString().equals("dew-point-margin"))
                .map(f -> f.path("verdict").asString())
                .findFirst()
                .orElseThrow();
    }

    @Test
    public void a_one_part_sealer_has_one_part() {
        var form = (ObjectNode) app.sheet("epoxy-clear-coat").path("form").deepCopy();
        form.put("name", "Solvent acrylic sealer")
                .put("partsA", "1")
                .put("partsB", "0")
                .remove("slug");
        form.remove("densityB");
        Answer sealer = app.post("/api/sheets", form);
        assertEquals(sealer.status(), 200, sealer.text());
        Floor floor = app.floor("One part");
        app.post(floor.log(), App.logForm("READING", "climate", "", Map.of("air", "70", "rh", "50", "slab", "70")));
        var layer = Map.of("sheet", sealer.body().path("digest").asString(), "plannedStart", "");
        app.put(floor.path() + "/zones/" + floor.zone() + "/layers/clear", 2, layer);
        Answer taken = app.get(floor.path() + "/zones/" + floor.zone() + "/stages/layers/clear");
        JsonNode portions =
                taken.body().path("batches").path("next").path("recipe").path("portions");
        assertEquals(portions.size(), 1, taken.text());
        assertEquals(portions.path(0).path("part").asString(), "A");
    }

    /** What a sheet asks, its floor is tested for: nothing measured is hold, and by the sheet's own figure. */
    @Test
    public void a_sheet_that_asks_for_more_has_its_floor_tested_for_it() {
        var form = (ObjectNode) app.sheet("epoxy-clear-coat").path("form").deepCopy();
        form.put("name", "Clear coat that asks").remove("slug");
        var limits = (ObjectNode) form.path("limits");
        limits.put("pullOff", "200 psi")
                .put("ohmsMin", "1 MΩ")
                .put("ohmsMax", "0.1 MΩ")
                .put("dcof", "0.42");
        assertEquals(app.post("/api/sheets", form).faultyFields(), List.of("limits.ohmsMin"));
        limits.put("ohmsMax", "1 GΩ");
        Answer asking = app.post("/api/sheets", form);
        assertEquals(asking.status(), 200, asking.text());
        assertEquals(asking.body().path("form").path("limits").path("pullOff").asString(), "200 psi");
        Floor floor = app.floor("Asked more");
        assertEquals(rules(app.get(floor.path()).body()).contains("pull-off-count"), false);
        var layer = Map.of("sheet", asking.body().path("digest").asString(), "plannedStart", "");
        app.put(floor.path() + "/zones/" + floor.zone() + "/layers/clear", 2, layer);
        JsonNode job = app.get(floor.path()).body();
        assertTrue(rules(job).containsAll(List.of("pull-off-count", "resistance-count", "slip-count")), job.toString());
        app.post(
                floor.log(),
                App.logForm(
                        "READING", "pull-off", "A", Map.of("force", "500 lbf", "disc", "50 mm", "gave", "concrete")));
        job = app.get(floor.path()).body();
        // 500 lbf on 50 mm is 164 psi
        assertTrue(job.toString().contains("164\u00a0psi"), job.toString());
        assertTrue(rules(job).contains("pull-off"), job.toString());
    }

    private static List<String> rules(JsonNode job) {
        var rules = new java.util.ArrayList<String>();
        job.path("zones")
                .path(0)
                .path("report")
                .path("survey")
                .path("findings")
                .forEach(f -> rules.add(f.path("rule").asString()));
        return rules;
    }

    @Test
    public void a_sheet_can_be_added_in_metric() {
        var form = (tools.jackson.databind.node.ObjectNode)
                app.sheet("epoxy-primer").path("form").deepCopy();
        form.put("name", "Primer in hand").remove("slug");
        form.put("units", "METRIC").put("spread", "8").put("densityA", "1.13");
        Answer added = app.post("/api/sheets", form);
        assertEquals(added.status(), 200, added.text());
        assertEquals(added.body().path("form").path("spread").asString(), "8 m²/L");
        // 1000/8 µm
        assertEquals(added.body().path("films").path(0).path("text").asString(), "125\u00a0µm");
        assertEquals(app.post("/api/sheets", form).faultyFields(), List.of("name"));
    }

    /** How else it is thrown is the sheet's: makers differ. 0.05 lb/ft² over 441 ft², a tenth lost, is 24.255 lb. */
    @Test
    public void flake_is_thrown_by_the_classes_of_its_sheet() {
        JsonNode flake = app.sheet("vinyl-flake");
        JsonNode medium = flake.path("classes").path(1);
        assertEquals(medium.path("name").asString(), "medium");
        App.Floor floor = app.floor("Medium flake");
        JsonNode put = app.put(
                        floor.zonePath() + "/layers/flake",
                        app.get(floor.path()).body().path("version").asInt(),
                        Map.of(
                                "sheet",
                                flake.path("digest").asString(),
                                "rate",
                                medium.path("rate").asString()))
                .body();
        assertTrue(put.path("version").asInt() > 0, put.toString());
        String amount = app.get(floor.zonePath() + "/stages/layers/flake")
                .body()
                .path("report")
                .path("layers")
                .path(0)
                .path("amount")
                .path("text")
                .asString();
        assertEquals(amount, "24.26\u00a0lb");
        var form = (ObjectNode) flake.path("form").deepCopy();
        form.put("name", "Flake in hand").remove("slug");
        for (String wrong : List.of("0.05 lb/ft²", "light: a handful", "light: 0.02 lb/ft²; light: 0.03 lb/ft²")) {
            ((ObjectNode) form.path("numbers")).put("classes", wrong);
            assertEquals(app.post("/api/sheets", form).faultyFields(), List.of("numbers.classes"), wrong);
        }
    }

    @Test
    public void a_job_keeps_the_sheet_it_was_planned_with() {
        Floor floor = app.floor("Keeps its sheet");
        JsonNode sheet = app.sheet("epoxy-clear-coat");
        var form = (tools.jackson.databind.node.ObjectNode) sheet.path("form").deepCopy();
        form.put("spread", "100 ft²/gal");
        Answer edited =
                app.put("/api/sheets/epoxy-clear-coat", sheet.path("digest").asString(), form);
        assertEquals(edited.status(), 200, edited.text());
        JsonNode clear = app.get(floor.path())
                .body()
                .path("zones")
                .path(0)
                .path("layers")
                .path(3);
        assertEquals(clear.path("digest").asString(), sheet.path("digest").asString());
        assertEquals(
                clear.path("shelved").asString(), edited.body().path("digest").asString());
        var layer = Map.of("sheet", edited.body().path("digest").asString(), "plannedStart", "");
        app.put(floor.path() + "/zones/" + floor.zone() + "/layers/clear", 2, layer);
        Answer taken = app.get(floor.path());
        // 100 ft²/gal is 16.04 mil wet by geometry
        assertEquals(
                taken.body()
                        .path("zones")
                        .path(0)
                        .path("report")
                        .path("layers")
                        .path(3)
                        .path("wet")
                        .path("text")
                        .asString(),
                "16.0\u00a0mil");
        assertEquals(
                app.put("/api/sheets/epoxy-clear-coat", sheet.path("digest").asString(), form)
                        .status(),
                412);
        var wrong = Map.of("sheet", app.sheet("epoxy-primer").path("digest").asString(), "plannedStart", "");
        assertEquals(
                app.put(floor.path() + "/zones/" + floor.zone() + "/layers/clear", 3, wrong)
                        .faultyFields(),
                List.of("sheet"));
    }

    /** A sheet of its own, so that tests do not edit one another's. */
    private JsonNode fresh(String name) {
        var form = (ObjectNode) app.sheet("epoxy-primer").path("form").deepCopy();
        form.put("name", name).remove("slug");
        return app.post("/api/sheets", form).body();
    }

    private Answer spread(JsonNode seen, String spread) {
        var form = (ObjectNode) seen.path("form").deepCopy();
        return app.put(
                "/api/sheets/" + seen.path("slug").asString(),
                seen.path("digest").asString(),
                form.put("spread", spread));
    }

    @Test
    public void a_sheet_can_be_put_back_as_it_was() {
        JsonNode first = fresh("Put back");
        JsonNode second = spread(first, "90 ft²/gal").body();
        assertNotEquals(second.path("digest"), first.path("digest"));
        JsonNode third =
                spread(second, first.path("form").path("spread").asString()).body();
        assertEquals(third.path("digest"), first.path("digest"));
        assertEquals(app.sheet("put-back").path("digest"), first.path("digest"));
    }

    @Test
    public void a_stale_sheet_is_told_every_field_that_changed() {
        JsonNode first = fresh("Edited twice");
        var form = (ObjectNode) first.path("form").deepCopy();
        form.put("spread", "90 ft²/gal").put("note", "Stir slowly.");
        ((ObjectNode) form.path("limits")).put("slabRh", "70 %");
        String path = "/api/sheets/edited-twice";
        assertEquals(app.put(path, first.path("digest").asString(), form).status(), 200);
        Answer stale = spread(first, "95 ft²/gal");
        assertEquals(stale.status(), 412);
        var told = new ArrayList<String>();
        stale.body()
                .path("changes")
                .forEach(c -> told.add(
                        c.path("field").asString() + " is " + c.path("is").asString()));
        assertEquals(told, List.of("limits.slabRh is 70 %", "note is Stir slowly.", "spread is 90 ft²/gal"));
        assertEquals(app.put(path, "never seen", form).status(), 404);
    }

    @Test
    public void a_job_file_leaves_the_readers_shelf_as_it_is() {
        JsonNode primer = app.sheet("epoxy-primer");
        Floor floor = app.floor("Brought along");
        String file = app.get("/api/job-files/" + floor.job()).text();
        JsonNode edited = spread(primer, "210 ft²/gal").body();
        assertEquals(app.post("/api/job-files?copy=true", file).status(), 201);
        assertEquals(app.sheet("epoxy-primer").path("digest"), edited.path("digest"));
    }

    @Test
    public void a_job_file_brings_a_sheet_that_the_readers_shelf_has_not() {
        JsonNode brought = fresh("Only mine");
        Floor floor = app.floor("Brings its own");
        var layer = Map.of("sheet", brought.path("digest").asString(), "plannedStart", "");
        app.put(floor.path() + "/zones/" + floor.zone() + "/layers/primer", 2, layer);
        String file = app.get("/api/job-files/" + floor.job()).text();
        try (App reader = App.start(App.emptyFolder())) {
            assertEquals(reader.post("/api/job-files", file).status(), 201);
            assertEquals(reader.sheet("only-mine").path("digest"), brought.path("digest"));
        }
    }

    /** The newest of each slug was what stood on the shelf before there was a table of it. */
    @Test
    public void an_older_data_folder_keeps_its_shelf() {
        DataSource source = new DriverManagerDataSource("jdbc:h2:mem:older;DB_CLOSE_DELAY=-1");
        Flyway.configure().dataSource(source).target("1").load().migrate();
        var db = JdbcClient.create(source);
        for (String digest : List.of("primer-1", "clear-1", "primer-2")) {
            db.sql(
                            """
                    insert into sheet (digest, slug, name, role, body, stored_at)
                    values (:digest, :slug, 'name', 'CLEAR', '{}', current_timestamp)""")
                    .param("digest", digest)
                    .param("slug", digest.substring(0, digest.length() - 2))
                    .update();
        }
        Flyway.configure().dataSource(source).load().migrate();
        assertEquals(
                db.sql("select digest from shelf order by slug")
                        .query(String.class)
                        .list(),
                List.of("clear-1", "primer-2"));
    }
}
