package openslab.browser;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitUntilState;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Frames the browser itself counts while a corner of the demo's largest plan is dragged; {@code ./slab bench} prints them. */
public class Frames extends OnTheDemo {
    /** Drags corner B to and fro for 120 frames; frames a second while it is dragged, and with nothing to do. */
    private static final String DRAG =
            """
                async () => {
                  const g = document.querySelector('[data-corner="1"] .touch');
                  const box = g.getBoundingClientRect();
                  const svg = g.closest('svg');
                  const at = (type, dx) => svg.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1,
                    clientX: box.x + box.width / 2 + dx, clientY: box.y + box.height / 2 }));
                  svg.setPointerCapture = () => undefined;
                  g.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, pointerId: 1,
                    clientX: box.x + box.width / 2, clientY: box.y + box.height / 2 }));
                  const times = [];
                  await new Promise((done) => {
                    let i = 0;
                    const step = (t) => {
                      times.push(t);
                      at('pointermove', Math.sin(i / 9) * 60);
                      if (++i < 120) requestAnimationFrame(step); else done();
                    };
                    requestAnimationFrame(step);
                  });
                  at('pointermove', 0);
                  at('pointerup', 0);
                  const idle = await new Promise((done) => {
                    let from = 0, i = 0;
                    const step = (t) => { from ||= t; if (++i < 60) requestAnimationFrame(step); else done(1000 * (i - 1) / (t - from)); };
                    requestAnimationFrame(step);
                  });
                  return [1000 * (times.length - 1) / (times.at(-1) - times[0]), idle];
                }""";

    @Test
    public void while_a_corner_is_dragged() {
        Page page = openJob(1280, 800, "Boat-repair");
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Plan").setExact(true))
                .click();
        new Hands(page).press("Slipway apron");
        page.getByLabel("Corner Q: arrows move it").waitFor();
        for (int i = 0; i < 3; i++) {
            var measured = (List<?>) page.evaluate(DRAG);
            System.out.printf(
                    "Browser, dragging a corner: %.0f frames a second, %.0f with nothing to do%n",
                    ((Number) measured.get(0)).doubleValue(), ((Number) measured.get(1)).doubleValue());
        }
    }

    /** A phone in a cellar: a processor four times slower, 1.6 Mbit/s, and each answer so long on its way. */
    private Page slow(int latencyMs) {
        Page page = app.page(390, 844);
        CDPSession session = page.context().newCDPSession(page);
        session.send("Network.enable");
        JsonObject cpu = new JsonObject();
        cpu.addProperty("rate", 4);
        session.send("Emulation.setCPUThrottlingRate", cpu);
        JsonObject net = new JsonObject();
        net.addProperty("offline", false);
        net.addProperty("latency", latencyMs);
        net.addProperty("downloadThroughput", 1_600_000 / 8);
        net.addProperty("uploadThroughput", 750_000 / 8);
        session.send("Network.emulateNetworkConditions", net);
        return page;
    }

    @DataProvider
    Object[][] latencies() {
        return new Object[][] {{0}, {40}, {150}};
    }

    @Test(dataProvider = "latencies")
    public void on_a_slow_phone(int latencyMs) {
        Page page = slow(latencyMs);
        long began = System.nanoTime();
        page.navigate(app.address, new Page.NavigateOptions().setWaitUntil(WaitUntilState.COMMIT));
        page.getByText("Old tram shed café").waitFor();
        tell(latencyMs, "the rack can be used", (System.nanoTime() - began) / 1e6);
        page.getByText("School boiler house").click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Preparation"))
                .waitFor();
        for (String stage : List.of("Preparation", "Primer", "Body coat", "In service", "Slab")) {
            Locator link = page.getByRole(AriaRole.NAVIGATION)
                    .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(stage))
                    .first();
            String heading = stage.equals("Slab") ? "Slab survey" : stage;
            tell(latencyMs, "from the core to " + heading, pressed(page, link, "main h1", heading));
        }
        var hands = new Hands(page);
        hands.press("New reading");
        hands.dialog()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Air and slab"))
                .click();
        hands.fill("Air", "71");
        hands.fill("Humidity of the air", "50");
        hands.fill("Slab surface", "66");
        hands.fill("By", "Wren");
        tell(
                latencyMs,
                "a reading saved, and seen",
                pressed(page, hands.button("Save reading"), "dialog", "saved. What next?"));
    }

    private static void tell(int latencyMs, String what, double ms) {
        System.out.printf("Browser, slow phone, latency %d ms: %s after %.0f ms%n", latencyMs, what, ms);
    }

    /** Milliseconds until an element says {@code words}, drawn, after something was pressed; as the page itself counts them. */
    private static double pressed(Page page, Locator what, String where, String words) {
        return ((Number) what.evaluate(
                        """
                        async (el, [where, words]) => {
                          const there = () => [...document.querySelectorAll(where)]
                            .some((e) => e.textContent.includes(words));
                          const from = performance.now();
                          el.click();
                          await new Promise((done) => {
                            const look = () => there() ? done() : undefined;
                            const watch = new MutationObserver(look);
                            watch.observe(document.body, { childList: true, subtree: true, characterData: true });
                            look();
                          });
                          await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
                          return performance.now() - from;
                        }""",
                        List.of(where, words)))
                .doubleValue();
    }
}
