package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpClient;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.TimeUnit;
import openslab.server.App.Floor;
import org.testng.annotations.Test;

/** Screens that watch a job are told of every write about it, and of no other. */
public class JobWatchTest {
    @Test
    public void every_screen_on_a_job_is_told_of_its_writes() throws Exception {
        var app = App.start(App.emptyFolder(), "--clock=2026-05-04T12:00:00Z");
        Floor watched = app.floor("Watched");
        Floor other = app.floor("Other");
        var told = new ArrayBlockingQueue<String>(100);
        var ended = HttpClient.newHttpClient()
                .sendAsync(app.request(watched.path() + "/changes").build(), HttpResponse.BodyHandlers.ofLines())
                .thenAccept(r -> r.body().filter(l -> l.startsWith("data:")).forEach(told::add));
        // the stream stands once its reader is told of something
        String first = null;
        while (first == null) {
            app.post(watched.path() + "/zones/" + watched.zone() + "/log", note());
            first = told.poll(200, TimeUnit.MILLISECONDS);
        }
        TimeUnit.MILLISECONDS.sleep(300);
        told.clear();
        app.post(other.path() + "/zones/" + other.zone() + "/log", note());
        // refused, so nothing was written
        app.post(watched.path() + "/plan/undo", UUID.randomUUID(), 0, Map.of());
        UUID key = UUID.randomUUID();
        assertEquals(
                app.post(watched.path() + "/zones/" + watched.zone() + "/walk", key, 0, Map.of())
                        .status(),
                200);
        assertEquals(told.poll(5, TimeUnit.SECONDS), "data:" + key + " " + watched.zone());
        assertTrue(told.isEmpty(), told.toString());
        // what comes for the other is this one's too, once they are bought for together
        app.put(watched.path() + "/together", 0, Map.of("jobs", List.of(other.job())));
        told.poll(5, TimeUnit.SECONDS);
        UUID came = UUID.randomUUID();
        var delivery = Map.of("slug", "epoxy-primer", "pack", "Kit, 3 gal", "number", "1", "by", "Wren");
        assertEquals(app.post(other.path() + "/deliveries", came, 0, delivery).status(), 200);
        assertEquals(told.poll(5, TimeUnit.SECONDS).strip(), "data:" + came);
        // and the server does not wait for those who watch
        app.close();
        ended.get(5, TimeUnit.SECONDS);
    }

    static Map<String, Object> note() {
        return Map.of(
                "kind",
                "NOTE",
                "subject",
                "",
                "place",
                "",
                "at",
                "2026-05-04T11:00:00Z",
                "by",
                "Wren",
                "note",
                "Swept.",
                "values",
                Map.of());
    }
}
