package openslab.browser;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
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
}
