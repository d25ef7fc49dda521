package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** The courtyard in planks: shuffled, a butt moved by tap and by drag, taken back, and printed to scale. */
public class PlanksTest extends OnTheDemo {
    private Page planks(int width, int height) {
        Page page = openJob(width, height, "Pottery");
        new Hands(page).openDoor();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Courtyard").setExact(true))
                .click();
        new Hands(page).climbTo("Tack coat over the tape");
        page.getByText("Lay it out in planks").click();
        page.getByText("nail holes").waitFor();
        return page;
    }

    private static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private static Locator oneButt(Page page) {
        return page.getByLabel("One butt");
    }

    /** Waits until the layout is kept. */
    private static void kept(Page page, Runnable act) {
        page.waitForResponse(r -> r.request().method().equals("PUT") && r.url().endsWith("/planks"), act);
    }

    @Test(dataProvider = "sizes")
    public void the_planks_are_fit_for_everybody(int width, int height) {
        Page page = planks(width, height);
        new Hands(page).press("Next butt");
        assertFit(page, "planks");
        field(page, "Widths, row by row").fill("wide");
        field(page, "Longest plank").fill("1 mm");
        kept(page, () -> new Hands(page).press("Lay it out"));
        assertThat(main(page)).containsText("Accepted: a length from");
        assertFit(page, "planks refused");
    }

    /** The kiln room is to be stamped: mats laid out from the far wall, in strips by the slab's temperature. */
    @Test(dataProvider = "sizes")
    public void mats_are_laid_out_strip_by_strip(int width, int height) {
        Page page = openJob(width, height, "Pottery");
        Object zone = page.evaluate(
                """
                async () => {
                  const job = location.hash.split('/')[2];
                  const head = await (await fetch(`/api/jobs/${job}/head`)).json();
                  const zone = head.zones.find((z) => z.report.name === 'Kiln room').id;
                  await fetch(`/api/jobs/${job}/zones/${zone}/layers`, {
                    method: 'PUT',
                    headers: {
                      'Content-Type': 'application/json',
                      'Idempotency-Key': crypto.randomUUID(),
                      'If-Match': `"${head.version}"`,
                    },
                    body: JSON.stringify({ system: 'stamped-overlay' }),
                  });
                  return `#/job/${job}/${zone}/overlay/stamps`;
                }""");
        page.navigate(app.address + "/" + zone);
        page.getByText("mats pressed").waitFor();
        assertFit(page, "mats");
        field(page, "A mat, along its row").fill("huge");
        new Hands(page).press("Lay them out");
        assertThat(main(page)).containsText("Accepted: a length from");
        field(page, "A mat, along its row").fill("900 mm");
        new Hands(page).press("Lay them out");
        assertThat(main(page)).not().containsText("Accepted: a length from");
        page.reload();
        assertThat(field(page, "A mat, along its row")).hasValue("900 mm");
        new Hands(page).press("Lay them out");
        new Hands(page).press("Undo");
    }

    @Test
    public void a_butt_is_nudged_taken_back_and_printed() {
        Page page = planks(1280, 800);
        var hands = new Hands(page);
        Locator drawing = main(page).getByRole(AriaRole.IMG);
        String before = drawing.getAttribute("aria-label");
        field(page, "Widths, row by row").fill("120 mm");
        kept(page, () -> hands.press("Lay it out"));
        assertThat(drawing).not().hasAttribute("aria-label", before);
        kept(page, () -> hands.press("Shuffle"));

        hands.press("Next butt");
        kept(page, () -> hands.press("On 20 mm"));
        assertThat(oneButt(page)).containsText("Row 1, butt 1, moved by hand");
        kept(page, () -> hands.press("Undo"));
        assertThat(oneButt(page)).not().containsText("moved by hand");
        // dragged far along its row it comes too near to something, and that is told
        Locator picked = page.locator(".butt.picked");
        // a line that stands upright has no width, and counts as hidden
        picked.waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.ATTACHED));
        drawing.scrollIntoViewIfNeeded();
        BoundingBox at = picked.boundingBox();
        double y = at.y + at.height / 2;
        page.mouse().move(at.x + at.width / 2, y);
        page.mouse().down();
        page.mouse().move(at.x + 20, y);
        page.mouse().move(at.x + 1200, y);
        kept(page, () -> page.mouse().up());
        assertThat(oneButt(page)).containsText("moved by hand");
        assertThat(oneButt(page)).containsText("It leaves a plank of");
        page.reload();
        page.getByText("nail holes").waitFor();
        assertThat(oneButt(page)).containsText("clash");
        assertThat(field(page, "Widths, row by row")).hasValue("120 mm");

        String href = main(page).getByText("1:20").getAttribute("href");
        String svg = page.request().get(app.address + href).text();
        Matcher size =
                Pattern.compile("width=\"([\\d.]+)mm\" height=\"([\\d.]+)mm\"").matcher(svg);
        assertTrue(size.find(), svg.substring(0, 120));
        // two margins of 12 mm; the rest are the courtyard's sides, a twentieth of them
        double wide = (Double.parseDouble(size.group(1)) - 24) * 20 / 1000;
        Object drawn = drawing.evaluate("s => s.viewBox.baseVal.width / s.viewBox.baseVal.height");
        double high = (Double.parseDouble(size.group(2)) - 36) * 20 / 1000;
        assertEquals((760.0 - 36) / (760 / ((Number) drawn).doubleValue() - 36), wide / high, 0.01);
        assertThat(main(page)).containsText("1 butt moved by hand; Undo brings them back");
    }
}
