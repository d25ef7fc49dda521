package openslab.browser;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.AfterClass;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;

/** Tests that drive the demo: one application for the class, and pages that complained of nothing. */
abstract class OnTheDemo {
    static final String NBSP = "\u00a0";

    Running app;

    @BeforeClass
    void start() {
        app = Running.demo();
    }

    @AfterMethod
    void leave() {
        app.leave();
    }

    @AfterClass
    void stop() {
        app.close();
        assertEquals(String.join("\n", app.complaints), "");
    }

    @DataProvider
    Object[][] sizes() {
        return new Object[][] {{1280, 800}, {390, 844}};
    }

    static Locator main(Page page) {
        return page.getByRole(AriaRole.MAIN);
    }

    Page rack(int width, int height) {
        Page page = app.page(width, height);
        page.navigate(app.address);
        page.getByText("Old tram shed café").waitFor();
        return page;
    }

    /** Opens a job from the rack, and then the slab of its first zone: the rack leads to wherever its next thing is. */
    Page openJob(int width, int height, String job) {
        Page page = rack(width, height);
        Locator link = page.getByRole(AriaRole.LINK)
                .filter(new Locator.FilterOptions().setHasText(job))
                .first();
        String id = link.getAttribute("href").split("/")[2];
        link.click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1).setName("The rack"))
                .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED));
        standAtSlab(page, id);
        return page;
    }

    static void standAtSlab(Page page, String job) {
        page.evaluate(
                """
                async (job) => {
                  const head = await (await fetch(`/api/jobs/${job}/head`)).json();
                  location.hash = `#/job/${job}/${head.zones[0].id}/slab`;
                }
                """,
                job);
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Slab survey"))
                .waitFor();
    }

    /** Nothing that axe-core finds, and nothing wider than the screen. */
    static void assertFit(Page page, String screen) {
        var violations = new ArrayList<String>();
        // every rule runs; only what it passed is not written out again
        var options = new AxeRunOptions();
        options.setResultTypes(List.of("violations"));
        // in the page itself: without frames there is nothing that a page of its own would be opened for
        new AxeBuilder(page)
                .setLegacyMode(true)
                .options(options)
                .analyze()
                .getViolations()
                .forEach(v ->
                        violations.add(v.getId() + ": " + v.getNodes().get(0).getHtml()));
        assertEquals(String.join("\n", violations), "", screen);
        Object over = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth");
        assertTrue(((Number) over).intValue() == 0, screen + " is wider than the screen by " + over);
    }
}
