package openslab.server;

import static org.testng.Assert.assertEquals;

import java.util.List;
import openslab.server.App.Answer;
import org.springframework.boot.availability.ReadinessState;
import org.testng.annotations.Test;

/** Nobody sees a world that is not all there yet. */
public class BegunTest extends OnApp {
    @Test
    public void nothing_is_answered_before_all_is_laid() {
        app.ready(ReadinessState.REFUSING_TRAFFIC);
        try {
            for (String path : List.of("/api/jobs", "/", "/api/sheets")) {
                Answer early = app.get(path);
                assertEquals(early.status(), 503, early.text());
                assertEquals(early.raw().headers().firstValue("Retry-After").orElse(""), "1");
                assertEquals(early.raw().headers().firstValue("Refresh").orElse(""), "1");
            }
            assertEquals(app.post("/api/jobs", App.jobForm("Early")).status(), 503);
            // what the demo reads while it is laid; there are none here
            assertEquals(app.get("/stand-ins/logger-4").status(), 404);
        } finally {
            app.ready(ReadinessState.ACCEPTING_TRAFFIC);
        }
        assertEquals(app.get("/api/jobs").body().size(), 0, "nothing was saved");
    }
}
