package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Getting about: Back, links within a long screen, the one line of a phone, and a rack in groups. */
public class PlacesTest extends OnTheDemo {
    private static Locator heading(Page page, String name) {
        return page.getByRole(
                AriaRole.HEADING, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator link(Page page, String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    public void back_closes_a_dialog_and_what_was_typed_is_still_there() {
        Page page = rack(1280, 800);
        String before = page.url();
        var hands = new Hands(page);
        hands.press("New job");
        hands.fill("Name", "Rope walk");
        hands.fill("Length", "30");
        page.goBack();
        assertThat(hands.dialog()).hasCount(0);
        assertEquals(page.url(), before);
        hands.press("New job");
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Rope walk");
        assertThat(hands.dialog()).containsText("What you typed before is still here.");
        hands.press("Start afresh");
        assertThat(page.getByLabel("Length", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("");
        // shut by its own button it leaves nothing in the history either
        hands.press("Close");
        assertThat(hands.dialog()).hasCount(0);
        openAnyJob(page);
        page.goBack();
        assertThat(heading(page, "The rack")).isVisible();
    }

    private static void openAnyJob(Page page) {
        page.getByRole(AriaRole.LINK)
                .filter(new Locator.FilterOptions().setHasText("Pottery"))
                .click();
        heading(page, "Tack coat over the tape").waitFor();
    }

    @Test
    public void a_dialog_does_not_outlive_its_screen() {
        Page page = openJob(1280, 800, "Pottery");
        String slab = page.url();
        var hands = new Hands(page);
        hands.press("Edit zone");
        hands.fill("Name", "Kiln floor");
        page.evaluate("location.hash = '#/'");
        assertThat(heading(page, "The rack")).isVisible();
        assertThat(hands.dialog()).hasCount(0);
        page.navigate(slab);
        hands.press("Edit zone");
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Kiln floor");
        hands.press("Save zone");
        assertThat(hands.dialog()).hasCount(0);
        assertThat(page.getByRole(AriaRole.BANNER).first()).containsText("Kiln floor");
        hands.press("Edit zone");
        assertThat(hands.dialog()).not().containsText("still here");
        hands.fill("Name", "Room");
        hands.press("Save zone");
    }

    /** A dialog's entry in the history is left in the browser's own time: a quick hand is not taken back by it. */
    @Test
    public void a_link_pressed_as_a_dialog_closes_leads_on() {
        Page page = openJob(1280, 800, "Pottery");
        var hands = new Hands(page);
        hands.press("Edit zone");
        page.evaluate(
                """
                async () => {
                  document.querySelector('dialog header button').click();
                  while (document.querySelector('dialog')) {
                    await Promise.resolve();
                  }
                  document.querySelector('nav a[href$="/prep"]').click();
                }
                """);
        assertThat(page).hasURL(Pattern.compile("/prep$"));
        assertThat(heading(page, "Preparation")).isVisible();
        page.goBack();
        assertThat(heading(page, "Slab survey")).isVisible();
        assertThat(hands.dialog()).hasCount(0);
    }

    @Test
    public void a_reading_that_was_begun_is_there_when_its_form_opens_again() {
        Page page = openJob(390, 844, "Pottery");
        var hands = new Hands(page);
        hands.press("New reading");
        Locator method =
                hands.dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Air and slab"));
        method.tap();
        hands.fill("Air", "21.5");
        page.goBack();
        assertThat(hands.dialog()).hasCount(0);
        hands.press("New reading");
        method.tap();
        assertThat(page.getByLabel("Air", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("21.5");
        hands.press("Close");
    }

    /** Every place of the survey is one tap away, each a link of its own. */
    @Test(dataProvider = "sizes")
    public void a_long_screen_has_places_that_are_links(int width, int height) {
        Page page = openJob(width, height, "Old tram shed café");
        Locator places = page.getByLabel("Places on this screen");
        places.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Readings"))
                .click();
        assertThat(page).hasURL(Pattern.compile("/slab/readings$"));
        assertThat(heading(page, "Readings")).isInViewport();
        String address = page.url();
        places.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Floor and tests"))
                .click();
        assertThat(heading(page, "The floor")).isInViewport();
        page.goBack();
        assertThat(heading(page, "Readings")).isInViewport();
        // sent to somebody else it leads there too
        Page other = app.page(width, height);
        other.navigate(address);
        assertThat(heading(other, "Readings")).isInViewport();
        assertFit(other, "survey at its readings");
    }

    @Test
    public void a_phone_has_one_line_above_the_core_and_the_rest_behind_a_door() {
        Page page = openJob(390, 844, "Boat-repair");
        Locator banner = page.getByRole(AriaRole.BANNER).first();
        assertTrue(banner.boundingBox().height <= 56, "banner " + banner.boundingBox().height);
        assertThat(banner).containsText("Boat-repair workshop, North bay");
        assertThat(link(page, "Export")).hasCount(0);
        var hands = new Hands(page);
        hands.press("Menu");
        assertThat(link(page, "Export")).isVisible();
        assertFit(page, "the phone's menu");
        link(page, "Logbook").click();
        assertThat(heading(page, "Logbook")).isVisible();
        assertThat(link(page, "Export")).hasCount(0);
        hands.press("Clocks:");
        assertThat(page.getByLabel("Day line")).containsText("to");
        assertFit(page, "the phone's clocks");
    }

    @Test
    public void the_day_line_folds_to_a_line_where_nothing_runs() {
        Page page = openJob(1280, 800, "Ropewalk extension");
        Locator line = page.getByLabel("Day line");
        assertThat(line).containsText("none is running in these hours");
        assertTrue(line.boundingBox().height < 48, "folded " + line.boundingBox().height);
        line.getByRole(AriaRole.BUTTON).click();
        assertThat(line).containsText("No clock is running in these hours.");
        line.getByRole(AriaRole.BUTTON).click();
        assertTrue(line.boundingBox().height < 48, "folded again " + line.boundingBox().height);
    }

    @Test
    public void a_job_with_its_first_floor_needs_a_name_and_two_lengths() {
        Page page = rack(1280, 800);
        var hands = new Hands(page);
        hands.press("New job");
        hands.fill("Name", "Tide mill");
        hands.fill("Length", "24' 6\"");
        hands.fill("Width", "18 miles");
        hands.press("Create job");
        assertThat(hands.dialog()).containsText("Width");
        assertThat(hands.dialog().locator("[aria-invalid=true]")).hasCount(1);
        hands.fill("Width", "18");
        hands.press("Create job");
        assertThat(heading(page, "Slab survey")).isVisible();
        // 24.5 ft by 18 ft
        assertThat(main(page)).containsText("441" + NBSP + "ft²");
        link(page, "OPEN SLAB").click();
        // the slip left no half job behind
        assertThat(page.getByText("Tide mill")).hasCount(1);
    }

    @Test
    public void the_rack_stands_in_groups_by_when_a_floor_wants_somebody() {
        Page page = rack(1280, 800);
        Locator today = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Due today"));
        Locator waiting = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Waiting"));
        assertThat(today).containsText("Boat-repair workshop");
        assertThat(waiting).containsText("Ropewalk extension");
        assertThat(waiting).not().containsText("Boat-repair");
    }

    @Test
    public void a_layer_shows_what_was_used_against_what_was_planned() {
        Page page = openJob(1280, 800, "Boat-repair");
        new Hands(page).climbTo("Primer");
        Locator used =
                main(page).locator("section").filter(new Locator.FilterOptions().setHasText("Used against planned"));
        assertThat(used).containsText("mixed so far");
        assertThat(used).containsText("4.40" + NBSP + "gal");
        assertThat(used).containsText("spread rate so far");
        used.getByRole(AriaRole.BUTTON).first().click();
        assertThat(page.getByLabel("The working")).containsText("mixed so far");
    }
}
