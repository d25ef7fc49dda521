package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import openslab.server.App.Floor;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What the shop follows where practitioners do not agree, what a job follows instead, and what a change would change. */
public class PracticesTest {
    private App app;
    private Floor floor;

    @BeforeClass
    public void start() {
        app = App.start(App.emptyFolder());
    }

    /** Every test has a shop that chose nothing, and a job of its own on the rack. */
    @BeforeMethod
    public void begin() {
        shop(Map.of());
        app.get("/api/jobs").body().forEach(this::putAway);
        floor = app.floor("Ferry shed");
    }

    private void putAway(JsonNode job) {
        if (!job.path("archived").asBoolean()) {
            var form = App.jobForm("Ferry shed");
            form.put("archived", true);
            app.put(
                    "/api/jobs/" + job.path("id").asString(),
                    job.path("version").asInt(),
                    form);
        }
    }

    @AfterClass
    public void stop() {
        app.close();
    }

    private App.Answer shop(Map<String, String> practices) {
        return app.write(
                "PUT",
                "/api/practices",
                Map.of("practices", practices),
                Map.of("Idempotency-Key", UUID.randomUUID().toString()));
    }

    private App.Answer own(Map<String, String> practices) {
        JsonNode job = app.get(floor.path()).body();
        var form = App.jobForm("Ferry shed");
        form.put("practices", practices);
        return app.put(floor.path(), job.path("version").asInt(), form);
    }

    private JsonNode effects(String path, Map<String, String> practices) {
        App.Answer answer = app.post(path + "/practices/effects", Map.of("practices", practices));
        assertEquals(answer.status(), 200, answer.text());
        return answer.body();
    }

    private List<String> laid(String system) {
        int version = app.get(floor.path()).body().path("version").asInt();
        App.Answer answer = app.put(floor.zonePath() + "/layers", version, Map.of("system", system));
        assertEquals(answer.status(), 200, answer.text());
        var laid = new ArrayList<String>();
        app.get(floor.path())
                .body()
                .at("/zones/0/layers")
                .forEach(l ->
                        laid.add(l.path("id").asString() + "=" + l.path("slug").asString()));
        return laid;
    }

    @Test
    public void a_change_shows_what_it_changes_before_anybody_saves_it() {
        JsonNode told = effects("/api", Map.of("pour-order", "B_FIRST"));
        assertEquals(told.path("looked").asInt(), 1);
        JsonNode zone = told.path("zones").path(0);
        assertEquals(zone.path("job").asString(), "Ferry shed");
        assertEquals(zone.path("effects").size(), 2, "the primer is poured B first by its card already");
        JsonNode first = zone.path("effects").path(0);
        assertEquals(first.path("where").asString(), "Body coat: pour");
        assertEquals(first.path("was").asString(), "A, then B");
        assertEquals(first.path("becomes").asString(), "B, then A");
        assertEquals(app.get("/api/practices").body().at("/5/shop").asString(), "", "nothing was saved");
        assertEquals(effects("/api", Map.of()).path("zones").size(), 0);
    }

    @Test
    public void a_job_follows_its_shop_until_it_says_otherwise() {
        assertEquals(
                shop(Map.of("sealer-coats", "THREE", "sealer-carrier", "WATER")).status(), 200);
        assertEquals(
                laid("acid-stain"),
                List.of(
                        "stain=acid-stain",
                        "sealer-1=water-acrylic",
                        "sealer-2=water-acrylic",
                        "sealer-3=water-acrylic",
                        "wax-1=floor-wax",
                        "wax-2=floor-wax"));
        assertEquals(
                own(Map.of("sealer-carrier", "SOLVENT", "sealer-coats", "TWO")).status(), 200);
        assertEquals(
                laid("acid-stain"),
                List.of(
                        "stain=acid-stain",
                        "sealer-1=solvent-acrylic",
                        "sealer-2=solvent-acrylic",
                        "wax-1=floor-wax",
                        "wax-2=floor-wax"));
        // the shop's next change goes past a job that has its own
        assertEquals(
                effects("/api", Map.of("sealer-carrier", "WATER")).path("zones").size(), 0);
        JsonNode back = effects(floor.path(), Map.of());
        assertEquals(
                back.path("zones").path(0).path("effects").path(0).path("where").asString(),
                "Acid stain, sealed, chosen anew");
    }

    @Test
    public void what_somebody_looks_at_is_told_of_a_change_of_the_shop() {
        String before = app.get(floor.path() + "/head").body().path("changes").asString();
        shop(Map.of("fans", "NEVER"));
        assertNotEquals(app.get(floor.path() + "/head").body().path("changes").asString(), before);
        String steps = app.get(floor.path()).body().at("/zones/0/report").toString();
        assertTrue(steps.contains("No fan."));
        shop(Map.of());
        assertFalse(
                app.get(floor.path()).body().at("/zones/0/report").toString().contains("No fan."));
    }

    @Test
    public void a_job_takes_its_own_along_and_leaves_the_shops_at_home() {
        shop(Map.of("fans", "NEVER"));
        own(Map.of("pour-order", "B_FIRST"));
        JsonNode file = app.get("/api/job-files/" + floor.job()).body();
        assertEquals(file.at("/job/practices").toString(), "{\"pour-order\":\"B_FIRST\"}");
        App.Answer copy = app.post("/api/job-files?copy=true", file);
        assertEquals(copy.status(), 201, copy.text());
        JsonNode taken =
                app.get("/api/jobs/" + copy.body().path("jobId").asString()).body();
        assertEquals(taken.at("/facts/practices").toString(), "{\"pour-order\":\"B_FIRST\"}");
    }

    @Test
    public void what_is_not_known_is_named_with_what_is() {
        App.Answer shop = shop(Map.of("fans", "SOMETIMES"));
        assertEquals(shop.status(), 400);
        assertEquals(shop.faultyFields(), List.of("practices.fans"));
        App.Answer job = own(Map.of("tea", "MILK_FIRST"));
        assertEquals(job.status(), 400);
        assertEquals(job.faultyFields(), List.of("practices.tea"));
        assertTrue(job.text().contains("pour-order"), job.text());
    }
}
