package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Mixing: half a kit on the scale, a batch by its card, and a scale that shows too much. */
public class MixTest extends OnTheDemo {
    private static final Page.GetByTextOptions EXACT = new Page.GetByTextOptions().setExact(true);

    private String layer(String job, String stratum) {
        Page page = openJob(1280, 800, job);
        new Hands(page).climbTo(stratum);
        return page.url();
    }

    @Test
    public void half_a_kit_by_weight_is_half_of_each_part() {
        Page page = app.page(1280, 800);
        page.navigate(app.address + "/#/shelf/epoxy-kit");
        page.getByText("Mix some of it").click();
        var hands = new Hands(page);
        hands.press("A share of a kit");
        page.getByLabel("Kit, 3 gal").check();
        page.getByLabel("How many of it").fill("1/2");
        hands.press("Work it out");
        Locator recipe = page.getByLabel("Recipe");
        assertThat(recipe).containsText("2 of A to 1 of B by volume; by weight 100 of A");
        // by hand: 1 gal of A at 11.2 lb/gal, half a gallon of B at 8.6
        assertThat(recipe.getByRole(AriaRole.ROW)
                        .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^\\s*1 A"))))
                .containsText("11.20");
        assertThat(recipe).containsText("15.50");
        assertFit(page, "half a kit");
        // and every figure shows its working
        recipe.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("15.50"))
                .click();
        assertThat(page.getByText("what is already on the scale")).isVisible();
        // what makes no sense is told at its field
        page.getByLabel("How many of it").fill("none");
        hands.press("Work it out");
        assertThat(page.getByText("Accepted: a number from 0.01")).isVisible();
    }

    /** The demo's clear coat, its body still wet: asked why, weighed, poured too far, mended, stirred, and kept so. */
    @Test
    public void a_batch_goes_by_its_card_and_a_scale_that_shows_too_much_is_answered() {
        String at = layer("Boat-repair", "Clear coat");
        Page page = app.page(1280, 800);
        page.navigate(at);
        page.getByText("with the card").click();
        var hands = new Hands(page);
        assertThat(page.getByText("2 of A to 1 of B by volume")).isVisible();
        assertFit(page, "card before it begins");
        hands.press("Begin batch 1");
        assertBig(page, "on the scale");
        hands.press("It shows that");
        // 13.82 lb of A are in; B went to 7.5 lb where 6.31 would be right: that asks for 7.5 / 6.31 of A, 2.6 lb more
        assertThat(page.locator(".part")).hasText("B");
        hands.press("It shows something else");
        page.getByLabel("The scale shows").fill("21.32 lb");
        hands.press("That is what it shows");
        assertThat(page.getByText("Not whole yet")).isVisible();
        assertThat(page.locator(".big")).containsText(Pattern.compile("\\+ 2\\.6\\d\\s*lb\\s*of A"));
        assertFit(page, "card with a correction");
        // a reload in the middle loses nothing
        page.reload();
        assertThat(page.getByText("Not whole yet")).isVisible();
        hands.press("It is in");
        assertThat(page.getByText("Stir all together")).isVisible();
        hands.fill("By", "Wren");
        page.getByLabel("Why").first().fill("Client wants it today");
        hands.press("Start stirring");
        assertThat(page.getByText("on the floor by")).isVisible();
        hands.press("Go on without it");
        // it grew with what was put right: 410 ft² by 7.5 / 6.31
        assertThat(page.locator(".big")).containsText("487");
        hands.press("It is on the floor");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Mixed so far")))
                .isVisible();
        Locator mixed = page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Wren"))
                .filter(new Locator.FilterOptions().setHasText("487"));
        assertThat(mixed).containsText("go");
        // larger than planned by what went in: 2.25 gal by 7.5 / 6.31
        assertThat(mixed).containsText("2.6");
        assertThat(page.getByText("Mix batch 2, with the card")).isVisible();
    }

    /** What cannot be saved is thrown away, and kept so in the log; on a phone. */
    @Test
    public void what_no_longer_fits_is_thrown_away_and_noted() {
        String at = layer("Boat-repair", "Clear coat");
        Page page = app.page(390, 844);
        page.navigate(at + "/batch");
        var hands = new Hands(page);
        hands.press("Begin batch");
        hands.press("It shows something else");
        page.getByLabel("The scale shows").fill("90 lb");
        hands.press("That is what it shows");
        assertThat(page.getByText("Throw it away", EXACT)).isVisible();
        assertFit(page, "card that says throw it away");
        hands.fill("By", "Wren");
        hands.press("Thrown away");
        assertThat(page.getByText(Pattern.compile("Begin batch \\d"))).isVisible();
        page.navigate(at.substring(0, at.lastIndexOf('/')) + "/log");
        assertThat(page.getByText("thrown away. To make it whole")).isVisible();
    }

    /**
     * The demo's clear coat on a phone: the far bay first, each mixed by its card, and the plan shows how far it is.
     */
    @Test
    public void a_floor_is_walked_bay_by_bay_on_a_phone() {
        String at = layer("Boat-repair", "Clear coat");
        Page page = app.page(390, 844);
        page.navigate(at + "/bays");
        Locator bay = page.getByLabel("The bay");
        assertThat(bay).containsText("next");
        String first = bay.getByRole(AriaRole.HEADING).innerText();
        int nth = Integer.parseInt(first.replaceAll("\\D", ""));
        assertThat(bay).containsText("cut in by brush");
        assertFit(page, "bays on a phone");
        Locator rows = page.getByRole(AriaRole.MAIN).getByRole(AriaRole.LISTITEM);
        int bays = rows.count();
        assertTrue(bays >= 2, "bays " + bays);
        // each can be looked at before it is its turn
        rows.last().getByRole(AriaRole.BUTTON).click();
        assertThat(bay).containsText("bay " + bays);
        assertThat(bay).not().containsText("next");
        rows.nth(nth - 1).getByRole(AriaRole.BUTTON).click();
        var hands = new Hands(page);
        page.getByText(Pattern.compile("^Mix batch \\d+ for it")).click();
        hands.press("Begin batch");
        hands.press("It shows that");
        hands.press("It shows that");
        hands.fill("By", "Wren");
        page.getByLabel("Why").first().fill("Client wants it today");
        hands.press("Start stirring");
        hands.press("Go on without it");
        hands.press("It is on the floor");
        page.navigate(at + "/bays");
        assertThat(rows.nth(nth - 1)).containsText("done");
        assertThat(bay).containsText("bay " + (nth + 1));
    }

    /** Legible from two metres: 48 px or more at 1280 wide. */
    private static void assertBig(Page page, String beside) {
        Locator figure = page.locator(".big").filter(new Locator.FilterOptions().setHasText(beside));
        double px = ((Number) figure.evaluate("e => parseFloat(getComputedStyle(e).fontSize)")).doubleValue();
        assertTrue(px >= 48, "figure of " + px + " px");
        double tap = page.locator(".taps button.main").boundingBox().height;
        assertTrue(tap >= 72, "button of " + tap + " px");
    }
}
