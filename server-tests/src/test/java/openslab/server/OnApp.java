package openslab.server;

import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;

/** Tests on an application of their own: nothing in it but what ships. */
public abstract class OnApp {
    App app;

    /** When they begin; noon of the fourth of May where nothing else is said. */
    String clock() {
        return "2026-05-04T12:00:00Z";
    }

    @BeforeClass
    void startApp() {
        app = App.start(App.emptyFolder(), "--clock=" + clock());
    }

    @AfterClass
    void closeApp() {
        app.close();
    }
}
