package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.testng.annotations.Test;

/** What goes on a floor: chosen, changed and taken back, and laid step by step. */
public class LayTest extends OnTheDemo {
    private static Locator line(Page page, String text) {
        return main(page)
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(text))
                .last();
    }

    private static void press(Locator in, String button) {
        in.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(button).setExact(true))
                .click();
    }

    /** A reactive stain: chosen for a floor that was to be coated, its optional coats added, dropped and brought back. */
    @Test
    public void a_system_is_chosen_and_its_layers_are_changed_and_taken_back() {
        Page page = openJob(1280, 800, "Pottery kiln");
        var hands = new Hands(page);
        hands.climbTo("Primer");
        main(page).getByText("Change what goes on").click();
        main(page).getByText("Choose another system").click();
        press(line(page, "Acid stain, sealed"), "Choose Acid stain, sealed");
        Locator layers = main(page).locator("section ol");
        assertThat(layers.getByRole(AriaRole.LISTITEM)).hasCount(5);
        assertFit(page, "what goes on");
        hands.press("Add: Sealer, coat 3");
        assertThat(layers.getByRole(AriaRole.LISTITEM)).hasCount(6);
        // where its system has it, below the wax that is part of it indoors
        assertThat(layers.getByRole(AriaRole.LISTITEM).nth(2)).containsText("Sealer, coat 3");
        press(layers.getByRole(AriaRole.LISTITEM).nth(1), "Again");
        assertThat(layers.getByRole(AriaRole.LISTITEM)).hasCount(7);
        press(layers.getByRole(AriaRole.LISTITEM).nth(1), "Drop");
        assertThat(layers.getByRole(AriaRole.LISTITEM)).hasCount(6);
        press(layers.getByRole(AriaRole.LISTITEM).nth(3), "Rate");
        layers.getByLabel("Laid at, empty for the sheet’s rate").fill("as far as it goes");
        hands.press("Save the rate");
        // told, and still there to be put right
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("as far as it goes");
        layers.getByLabel("Laid at, empty for the sheet’s rate").fill("6 m²/L");
        hands.press("Save the rate");
        assertThat(layers.getByRole(AriaRole.LISTITEM).nth(3)).containsText("laid at 6 m²/L");
        for (int i = 0; i < 4; i++) {
            hands.press("Undo");
        }
        assertThat(layers.getByRole(AriaRole.LISTITEM)).hasCount(5);
        hands.climbTo("Acid stain");
        Locator sample = line(page, "Sample agreed on this slab");
        press(sample, "Settle it");
        sample.getByLabel("Settled", new Locator.GetByLabelOptions().setExact(true))
                .check();
        sample.getByLabel("Agreed with").fill("Hollow Lane");
        sample.getByLabel("By").fill("Wren");
        press(sample, "Record it as settled");
        assertThat(line(page, "Sample agreed on this slab")).containsText("Hollow Lane");
        // nothing of the colour is undone once something was done in it
        main(page).getByText("Change what goes on").click();
        assertThat(layers.getByRole(AriaRole.LISTITEM).last()).containsText("begun: stays as it is");
        assertThat(main(page)).containsText("another system begins with the floor's next cycle");
    }

    /** What is needed decides the order; what refuses is said with its rule; three stand side by side for the client. */
    @Test(dataProvider = "sizes")
    public void needs_decide_which_system_and_the_client_sees_them_beside_one_another(int width, int height) {
        Page page = openJob(width, height, "Old tram shed");
        main(page).getByText("Weigh them by what is needed").click();
        var hands = new Hands(page);
        // on one screen nobody said anything yet; on the other somebody did on the first
        hands.button("what is needed").click();
        page.getByLabel("Even", new Page.GetByLabelOptions().setExact(true)).check();
        hands.fill("Closed for at most", "soon");
        hands.fill("By", "Wren");
        hands.press("Weigh the systems");
        assertThat(page.getByText("Accepted: a time from")).isVisible();
        hands.fill("Closed for at most", "400 h");
        assertFit(page, "what is needed");
        hands.press("Weigh the systems");
        assertThat(main(page)).containsText("Colour: even");
        Locator order = main(page).locator("section ol").first();
        assertThat(order).not().containsText("Acid stain, sealed");
        main(page).getByText("Not on this floor").click();
        assertThat(line(page, "Acid stain, sealed")).containsText("mottles by nature");
        assertThat(line(page, "Strip tile and grout, reseal")).containsText("floor.substrate");
        for (int i = 0; i < 3; i++) {
            order.getByRole(AriaRole.CHECKBOX).nth(i).check();
        }
        assertThat(order.getByRole(AriaRole.CHECKBOX).nth(3)).isDisabled();
        assertFit(page, "which system");
        hands.press("Side by side, for the client (3)");
        assertThat(page.locator("article")).hasCount(3);
        assertThat(page.locator("article").first()).containsText("Not walked on for");
        assertFit(page, "side by side");
        // a place of its own: it is there again after a reload, and Back leads to the list
        page.reload();
        assertThat(page.locator("article")).hasCount(3);
        page.getByText("Back to the list").click();
        assertThat(main(page)).containsText("In this order");
    }

    /** A tile coat on a phone: everything ready before the first stir, the coat looked at, and laid again where it does not hide. */
    @Test
    public void a_coat_that_does_not_hide_is_laid_again() {
        Page page = openJob(390, 844, "Bakery");
        var hands = new Hands(page);
        hands.climbTo("Base");
        assertThat(main(page)).containsText("The survey stops it");
        assertFit(page, "a layer on a phone");
        Locator stir = line(page, "Stir and mix");
        assertThat(stir).containsText("Not ticked yet");
        Locator coat = line(page, "Roll section by section");
        coat.getByLabel("By").fill("Wren");
        coat.getByLabel("Why it was done all the same").fill("Trial on a spare square");
        press(coat, "Coat done");
        press(coat, "It is on");
        Locator look = line(page, "Does it hide?");
        look.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Test:"))
                .click();
        look.getByLabel("Something shows through").check();
        look.getByLabel("By").fill("Wren");
        press(look, "Record the gate");
        assertThat(main(page)).containsText("Done again below");
        assertThat(main(page).locator("header").first()).containsText("hold");
        hands.press("Note colour and lot");
        hands.fill("Colour", "Dove");
        hands.fill("Lot", "K 114");
        hands.fill("Shade ordered", "Dove 2");
        hands.fill("Shade received", "Dove 3");
        hands.press("Save what came");
        assertThat(main(page)).containsText("Not the shade that was ordered");
    }

    /** A sheet is keyed in as what it is, and refused field by field. */
    @Test
    public void a_bag_is_keyed_in_as_a_bag() {
        Page page = app.page(1280, 800);
        page.navigate(app.address + "/#/shelf/new");
        var hands = new Hands(page);
        page.getByLabel("What it is").selectOption("POWDER");
        hands.fill("Name", "Quay micro-topping");
        page.getByLabel("Layer", new Page.GetByLabelOptions().setExact(true)).selectOption("OVERLAY");
        hands.fill("A bag holds", "50 lb");
        hands.fill("A bag makes", "3 gal");
        hands.fill("Water to a bag, at least", "4 qt");
        hands.fill("Water to a bag, at most", "5 qt");
        hands.fill("Laid", "3/4 in");
        hands.fill("At once at most", "1/2 in");
        hands.press("Put on the shelf");
        assertThat(main(page)).containsText("at most 1/2 in");
        assertFit(page, "a sheet with mistakes");
    }
}
