package openslab.server;

import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;

/** Tests on an application of their own: nothing in it but what ships, on the fourth of May at noon. */
public abstract class OnApp {
    App app;

    @BeforeClass
    void startApp() {
        app = App.start(App.emptyFolder(), "--clock=2026-05-04T12:00:00Z");
    }

    @AfterClass
    void closeApp() {
        app.close();
    }
}
