package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** The batch card where things are not as planned: no signal, short cans, grit. */
public class CardTest extends OnTheDemo {
    private Page clearCoat(int width, int height, String section) {
        Page laptop = openJob(1280, 800, "Boat-repair");
        new Hands(laptop).climbTo("Clear coat");
        Page page = app.page(width, height);
        page.navigate(laptop.url() + "/" + section);
        return page;
    }

    /** In a basement: the signal goes while the first part is poured, and comes back when the second batch is in hand. */
    @Test
    public void a_batch_goes_on_without_a_signal_and_is_told_later() {
        Page page = clearCoat(390, 844, "batch");
        var hands = new Hands(page);
        String begins = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Begin batch"))
                .innerText();
        int first = Integer.parseInt(begins.replaceAll("\\D", ""));
        hands.press("Begin batch");
        assertThat(page.getByText(Pattern.compile("[\\d.]+\\s*lb to [\\d.]+\\s*lb is right")))
                .isVisible();
        page.context().setOffline(true);
        hands.press("It shows that");
        assertThat(page.locator(".part")).hasText("B");
        hands.press("It shows something else");
        page.getByLabel("The scale shows").fill("19 lb");
        hands.press("That is what it shows");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("it is right as it is");
        assertFit(page, "card without a signal");
        hands.press("It is within that");
        // who and why are asked for now: later nobody could say
        page.getByLabel("By", new Page.GetByLabelOptions().setExact(true)).fill("Wren");
        hands.press("Start stirring");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Not saved");
        page.getByLabel("Why").first().fill("Client wants it today");
        hands.press("Start stirring");
        assertThat(page.getByText("on the floor by")).isVisible();
        assertThat(page.getByText("one batch is kept on this device")).isVisible();
        hands.press("Go on without it");
        hands.press("It is on the floor");
        assertThat(page.getByLabel("Not sent yet")).containsText("batch " + first + " of Clear coat");
        assertThat(page.getByText("waits for a signal")).isVisible();
        assertFit(page, "a layer with what waits");
        page.getByText("Mix batch " + (first + 1) + ", with the card").click();
        hands.press("Begin batch " + (first + 1));
        page.context().setOffline(false);
        // it goes by itself, and is the one that was in hand
        assertThat(page.getByText("kept on this device")).isHidden();
        page.getByText("Leave the card").click();
        assertThat(page.getByLabel("Not sent yet")).isHidden();
        assertThat(page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("Wren")))
                .isVisible();
        assertThat(page.getByText("Mix batch " + (first + 1) + ", with the card"))
                .isVisible();
        app.complaints.removeIf(c -> c.contains("ERR_INTERNET_DISCONNECTED"));
    }

    /** On a full device a batch is written down, and its answer never comes: nobody stands and waits with a pail, and it is there once. */
    @Test
    public void an_answer_that_does_not_come_is_no_signal() {
        Page page = clearCoat(390, 844, "batch");
        var hands = new Hands(page);
        // a full device keeps nothing, and stops nobody
        page.evaluate(
                "() => { Storage.prototype.setItem = () => { throw new DOMException('full', 'QuotaExceededError'); }; }");
        hands.press("Begin batch");
        page.route("**/weigh-in", route -> {});
        hands.press("It shows that");
        assertThat(page.locator(".part")).hasText("B");
        page.unroute("**/weigh-in");
        hands.press("It shows that");
        page.route("**/log", Route::fetch);
        page.getByLabel("By", new Page.GetByLabelOptions().setExact(true)).fill("Corin");
        page.getByLabel("Why").first().fill("Client wants it today");
        hands.press("Start stirring");
        assertThat(page.getByText("on the floor by")).isVisible();
        hands.press("Go on without it");
        hands.press("It is on the floor");
        assertThat(page.getByLabel("Not sent yet")).containsText("leave this page open");
        page.unroute("**/log");
        // by itself, once the try that is on its way is given up
        assertThat(page.getByLabel("Not sent yet"))
                .isHidden(new LocatorAssertions.IsHiddenOptions().setTimeout(90_000));
        assertThat(page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("Corin")))
                .hasCount(1);
    }

    /** What was written down without a signal is declined when it gets there: nothing is lost, and it is said so that it is taken. */
    @Test
    public void what_is_declined_later_is_mended_and_sent() {
        Page page = clearCoat(390, 844, "batch");
        String[] at = page.url().replaceAll(".*#/job/", "").split("/");
        String held = "{key:'11111111-1111-1111-1111-111111111111', jobId:'" + at[0] + "', zoneId:'" + at[1]
                + "', words:'batch 9 of Clear coat', form:{kind:'BATCH', subject:'clear', place:'', at:'2026-05-04T11:00:00Z',"
                + " by:'Ines', note:'', values:{volume:'2 gal', area:'20 ft²'}}}";
        // what cannot be read besides is passed over
        page.evaluate("localStorage.setItem('openslab.held', JSON.stringify([null, 3, " + held + "]))");
        page.navigate(app.address);
        page.reload();
        Locator waiting = page.getByLabel("Not sent yet");
        assertThat(waiting).containsText("Declined: batch 9 of Clear coat");
        assertFit(page, "the rack with what was declined");
        page.getByLabel("Why it was done all the same").fill("The client moves in tonight");
        new Hands(page).press("Send it so");
        assertThat(waiting).isHidden();
        page.navigate(app.address + "/#/job/" + at[0] + "/" + at[1] + "/log");
        assertThat(page.getByText("The client moves in tonight").first()).isVisible();
    }

    /** What is left in short cans, with grit in it, goes by the card as far as it reaches. */
    @Test
    public void short_cans_with_grit_are_mixed_by_the_card() {
        Page page = clearCoat(1280, 800, "mix");
        var hands = new Hands(page);
        hands.press("All that the cans in hand make");
        hands.fill("In the cans of A", "1 gal");
        hands.fill("In the cans of B", "3 qt");
        page.getByText("Grit, thinner, a preview").click();
        hands.fill("Grit in it", "2 %");
        hands.press("Work it out");
        Locator recipe = page.getByLabel("Recipe");
        // by hand: 1 gal of A takes 2 qt of B, and one of the three stays
        // 1.5 gal at 200 ft²/gal, a tenth on top
        assertThat(recipe).containsText("273" + NBSP + "ft²");
        assertThat(recipe).containsText("stays in the cans of B");
        assertThat(recipe).containsText("Grit");
        assertFit(page, "short cans");
        hands.press("with the card");
        assertThat(page.locator(".part")).hasText("A");
        hands.press("It shows that");
        hands.press("It shows that");
        assertThat(page.locator(".part")).hasText("Grit");
        hands.press("It is in");
        hands.fill("By", "Wren");
        page.getByLabel("Why").first().fill("Client wants it today");
        hands.press("Start stirring");
        hands.press("Go on without it");
        hands.press("It is on the floor");
        assertThat(page.getByRole(AriaRole.LISTITEM)
                        .filter(new Locator.FilterOptions().setHasText("Wren"))
                        .filter(new Locator.FilterOptions().setHasText("1.50" + NBSP + "gal")))
                .isVisible();
    }
}
