package openslab.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.net.Socket;
import java.net.SocketException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Bodies that dribble, or never come: those who send them are told, and nobody else has to wait for them. */
public class SlowBodyTest {
    /** More than there are hands for, and more than there are threads: those without a hand hold none either. */
    private static final int SILENT = 250;

    private static final Map<String, Object> NOTHING = Map.of();

    private App app;

    @BeforeClass
    void start() {
        app = App.start(App.emptyFolder(), "--clock=2026-05-04T12:00:00Z", "--openslab.patience=0s");
    }

    @AfterClass
    void stop() {
        app.close();
    }

    /** Headers of a body that is still to come. */
    private Socket begun() throws IOException {
        var socket = new Socket("127.0.0.1", app.port);
        socket.getOutputStream()
                .write(("POST /api/jobs HTTP/1.1\r\nHost: 127.0.0.1:" + app.port
                                + "\r\nIdempotency-Key: " + UUID.randomUUID()
                                + "\r\nContent-Type: application/json\r\nContent-Length: 4000000\r\n\r\n{")
                        .getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    @Test
    public void a_body_that_dribbles_is_cut_off_and_others_write_meanwhile() throws Exception {
        try (Socket slow = begun()) {
            // a space after each write of somebody else, until the answer comes
            while (slow.getInputStream().available() == 0) {
                slow.getOutputStream().write(' ');
                assertEquals(app.post("/api/jobs", App.jobForm("Meanwhile")).status(), 201);
            }
            String answer = new String(slow.getInputStream().readAllBytes(), StandardCharsets.US_ASCII);
            assertTrue(answer.startsWith("HTTP/1.1 408"), answer);
        } catch (SocketException e) {
            throw new AssertionError("cut off without a word", e);
        }
    }

    /** So many that send nothing hold every hand there is for writing; reading goes on, and so does writing once they leave. */
    @Test
    public void who_never_sends_keeps_nobody_from_reading() throws Exception {
        List<Socket> silent = new ArrayList<>();
        try {
            for (int i = 0; i < SILENT; i++) {
                silent.add(begun());
            }
            // one more each time: on a slow machine the first may be let go of before the last is taken on
            int status = app.post("/api/jobs", NOTHING).status();
            while (status != 503) {
                assertEquals(status, 400);
                silent.add(begun());
                status = app.post("/api/jobs", NOTHING).status();
            }
            assertEquals(app.get("/api/jobs").status(), 200);
        } finally {
            for (Socket socket : silent) {
                socket.close();
            }
        }
        while (app.post("/api/jobs", App.jobForm("Afterwards")).status() != 201) {
            Thread.onSpinWait();
        }
    }
}
