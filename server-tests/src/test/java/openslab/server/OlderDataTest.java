package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A data folder from before a name was one instrument's, and a strike one entry's, opens with all that is in it. */
public class OlderDataTest {
    private static final UUID JOB = UUID.randomUUID();
    private static final UUID NOTE = UUID.randomUUID();
    private static final Map<String, String> TYPED =
            Map.of("length", "10 ft", "width", "10 ft", "pace", "11 ft²/min", "share", "80 %", "allowance", "10 %");

    private static Path older() {
        Path folder = App.emptyFolder();
        var source = new DriverManagerDataSource("jdbc:h2:file:" + folder.resolve("openslab"), "openslab", "");
        Flyway.configure().dataSource(source).target("7").load().migrate();
        var db = JdbcClient.create(source);
        db.sql("insert into job values (?, 'Older', 'Fern', '', 45, -63, 'UTC', 'US', 'INDOORS', false, 3, now())")
                .param(JOB)
                .update();
        UUID zone = UUID.randomUUID();
        db.sql(
                        """
                insert into zone (id, job_id, ordinal, name, shape, exposure, dust, wash_water)
                values (?, ?, 1, 'Bay', 'rectangle', 'INDOORS', true, true)""")
                .params(zone, JOB)
                .update();
        var values = Map.of("length", 3.048, "width", 3.048, "pace", 0.0003, "share", 0.8, "allowance", 0.1);
        values.forEach((field, base) -> db.sql("insert into zone_value values (?, ?, ?, ?)")
                .params(zone, field, TYPED.get(field), base)
                .update());
        entry(db, zone, NOTE, "NOTE", "");
        for (int i = 0; i < 3; i++) {
            entry(db, zone, UUID.randomUUID(), "STRIKE", NOTE.toString());
        }
        for (String name : List.of("Probe", "PROBE", "Other")) {
            UUID id = UUID.randomUUID();
            db.sql("insert into instrument values (?, ?, 'RH_PROBE', '2026-01-01', '2027-01-01', '', 0, 1)")
                    .params(id, name)
                    .update();
            db.sql("insert into series (instrument_id, channel, quantity) values (?, 'A', 'SLAB_RH')")
                    .param(id)
                    .update();
        }
        // three that count and two that do not, of the first series
        for (int i = 0; i < 5; i++) {
            db.sql(
                            """
                    insert into sample (series_id, read_at, measured, fault)
                    values ((select min(series_id) from series), dateadd(hour, ?, timestamp with time zone
                        '2026-04-01 00:00:00Z'), ?, ?)""")
                    .params(i, 80 + i, i % 2 == 0 ? null : "stuck")
                    .update();
        }
        return folder;
    }

    private static void entry(JdbcClient db, UUID zone, UUID key, String kind, String subject) {
        db.sql(
                        """
                insert into log_entry (entry_key, zone_id, kind, subject, place, happened_at, stored_at, done_by, note)
                values (?, ?, ?, ?, '', timestamp with time zone '2026-05-01 00:00:00Z', now(), 'Wren', 'damp')""")
                .params(key, zone, kind, subject)
                .update();
    }

    @Test
    public void it_opens_with_all_that_is_in_it() {
        try (App app = App.start(older(), "--clock=2026-05-04T12:00:00Z")) {
            JsonNode job = app.get("/api/jobs/" + JOB).body();
            assertEquals(job.path("facts").path("latitude").asDouble(), 45.0, job.toString());
            assertEquals(job.path("log").size(), 4);
            // what was struck three times goes out and comes back
            String file = app.get("/api/job-files/" + JOB).text();
            App.Answer copy = app.post("/api/job-files?copy=true", file);
            assertEquals(copy.status(), 201, copy.text());
            long counted = 0;
            long aside = 0;
            for (JsonNode instrument : app.get("/api/instruments").body()) {
                JsonNode sent = app.get(
                                "/api/instruments/" + instrument.path("id").asString() + "/samples")
                        .body();
                for (JsonNode series : sent.path("series")) {
                    counted += series.path("count").asLong();
                    if (series.path("count").asLong() > 0) {
                        assertEquals(series.path("newest").path("typed").asString(), "84 %");
                    }
                }
                for (JsonNode reason : sent.path("setAside")) {
                    aside += reason.path("count").asLong();
                }
            }
            assertEquals(counted, 5);
            assertEquals(aside, 2);
            var papers = Map.of("name", "probe", "calibrated", "2026-01-01", "due", "2027-01-01");
            var third = app.post("/api/instruments", Map.of("kind", "RH_PROBE", "address", "", "papers", papers));
            assertEquals(third.faultyFields(), List.of("papers.name"));
            // of the two that had one name one keeps it; the other is told when it is next edited
            int kept = 0;
            for (JsonNode instrument : app.get("/api/instruments").body()) {
                String id = instrument.path("id").asString();
                kept += app.put("/api/instruments/" + id, 1, instrument.path("form"))
                                        .status()
                                == 200
                        ? 1
                        : 0;
            }
            assertEquals(kept, 2);
            assertTrue(app.get("/api/jobs").text().contains("Older"));
        }
    }

    /** Tests, gates, defects and works come and go; what was logged with them stays, in its own words. */
    @Test
    public void what_names_something_that_is_no_more_is_read_as_words() {
        Path folder = older();
        var db = JdbcClient.create(
                new DriverManagerDataSource("jdbc:h2:file:" + folder.resolve("openslab"), "openslab", ""));
        UUID zone = db.sql("select id from zone").query(UUID.class).single();
        Map<String, String> gone = Map.of(
                "READING",
                "knock-test",
                "SET",
                "old-dish",
                "GATE",
                "old-gate",
                "AREA",
                "STARDUST",
                "DONE",
                "juggle",
                "BEGUN",
                "yodel",
                "TICK",
                "ladder",
                "BATCH",
                "glue",
                "PLACE",
                "nowhere");
        gone.forEach((kind, subject) -> entry(db, zone, UUID.randomUUID(), kind, subject));
        try (App app = App.start(folder, "--clock=2026-05-04T12:00:00Z")) {
            var job = app.get("/api/jobs/" + JOB);
            assertEquals(job.status(), 200, job.text());
            var told = new StringBuilder();
            job.body().path("log").forEach(e -> told.append(e.path("what").asString())
                    .append('\n'));
            gone.forEach((kind, subject) ->
                    assertTrue(kind.equals("PLACE") || told.toString().contains(subject), subject + " in " + told));
            assertEquals(app.get("/api/jobs").status(), 200);
            assertEquals(app.get("/api/job-files/" + JOB).status(), 200);
        }
    }
}
