package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.testng.annotations.Test;

/** What a shop settles for all its jobs: how it works where others differ, its own systems, its sheets. */
public class ShopTest extends OnTheDemo {
    /** Another school is looked at before it is followed; a job keeps its own. */
    @Test(dataProvider = "sizes")
    public void another_school_shows_what_it_changes_before_anybody_follows_it(int width, int height) {
        Page page = rack(width, height);
        var hands = new Hands(page);
        hands.openDoor();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Practices"))
                .click();
        Locator changes = page.getByLabel("What it changes");
        assertThat(changes).containsText("Pick another answer");
        assertFit(page, "practices");
        boolean first = width > 500;
        Locator label = page.locator("fieldset", new Page.LocatorOptions().setHasText("How strong is etching acid"))
                .getByLabel("As the label says");
        Locator order = page.locator("fieldset", new Page.LocatorOptions().setHasText("into the bucket first"));
        order.getByLabel(first ? "B first" : "A first").check();
        assertThat(changes).containsText(first ? "Body coat: pour" : "Primer: pour");
        assertThat(changes).containsText(first ? "B, then A" : "A, then B");
        label.check();
        assertThat(changes).containsText("floors");
        assertFit(page, "practices, changed");
        hands.press("Leave it as it was");
        assertThat(changes).containsText("Pick another answer");
        assertThat(label).not().isChecked();
        order.getByLabel(first ? "B first" : "A first").check();
        hands.press("Work so from now on");
        assertThat(changes).containsText("Pick another answer");
        page.reload();
        assertThat(order.getByLabel(first ? "B first" : "A first")).isChecked();
        hands.press("As usual");
        hands.press("Work so from now on");
        assertThat(changes).containsText("Pick another answer");
    }

    @Test
    public void a_job_works_otherwise_than_its_shop() {
        Page page = openJob(1280, 800, "Pottery");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Practices"))
                .click();
        Locator masking = page.locator("fieldset", new Page.LocatorOptions().setHasText("walls and trim kept clean"));
        masking.getByLabel("Cut in by brush").check();
        Locator changes = page.getByLabel("What it changes");
        assertThat(changes).containsText("Prepare: mask");
        assertThat(changes).containsText("falls away");
        new Hands(page).press("Work this job so");
        assertThat(changes).containsText("Pick another answer");
        page.getByText("Back to the job").click();
        page.getByRole(AriaRole.NAVIGATION)
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Preparation"))
                .first()
                .click();
        assertThat(main(page)).not().containsText("Mask walls and posts");
    }

    /** A system made of another: a mistake is told where it stands, then it can be chosen, with the shop's own words. */
    @Test
    public void a_shop_makes_a_system_of_its_own() {
        Page page = rack(1280, 800);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Systems"))
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Epoxy with flake 4 layers"))
                .click();
        assertThat(main(page)).containsText("Epoxy clear coat");
        assertFit(page, "a system");
        var hands = new Hands(page);
        hands.press("Make one of your own of it");
        hands.fill("Called", "Harbour floor");
        hands.fill("Its word in files", "Harbour Floor");
        hands.press("Offer it from now on");
        assertThat(page.getByText("small letters, figures and hyphens").last()).isVisible();
        hands.fill("Its word in files", "harbour-floor");
        hands.press("Add a coat on top");
        page.getByLabel("Layer", new Page.GetByLabelOptions().setExact(true))
                .first()
                .fill("Grit coat");
        page.getByLabel("It is", new Page.GetByLabelOptions().setExact(true))
                .first()
                .selectOption("CLEAR");
        page.getByLabel("Of the sheet", new Page.GetByLabelOptions().setExact(true))
                .first()
                .selectOption("polyaspartic-clear");
        assertFit(page, "a system of one's own");
        hands.press("Offer it from now on");
        assertThat(main(page)).containsText("Version 1");
        page.navigate(app.address);
        page = openJob(1280, 800, "Pottery");
        page.getByRole(AriaRole.MAIN).getByText("Weigh them by what is needed").click();
        Locator line = main(page)
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Harbour floor"))
                .last();
        line.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Choose Harbour floor"))
                .click();
        assertThat(main(page).locator("section ol")).containsText("Grit coat");
    }

    /** A sheet that was taken off the shelf as a file comes back in the form, where it is checked as if it were keyed in. */
    @Test
    public void a_sheet_goes_out_as_a_file_and_comes_back_in_the_form() {
        Page page = app.page(1280, 800);
        page.navigate(app.address + "/#/shelf/tile-base");
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))
                .waitFor();
        var file = page.waitForDownload(() -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("CSV"))
                .first()
                .click());
        Path path = Running.emptyFolder().resolve("sheet.csv");
        file.saveAs(path);
        assertTrue(path.toFile().length() > 500);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Add a sheet"))
                .click();
        page.locator("input[type=file]").setInputFiles(path);
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Tile coat, base");
        assertFit(page, "a sheet from a file");
    }
}
