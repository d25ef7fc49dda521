package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.testng.annotations.Test;

/** A floor is made fit to coat: the method by what is found and allowed, and a wash mixed for it. */
public class PrepareTest extends OnTheDemo {
    private static Locator main(Page page) {
        return page.getByRole(AriaRole.MAIN);
    }

    /** What the place allows decides: grind, then etch in quiet hours, then nothing where water freezes as well. */
    @Test
    public void the_place_decides_between_the_methods() {
        Page page = openJob(1280, 800, "Pottery kiln");
        var hands = new Hands(page);
        hands.climbTo("Preparation");
        assertThat(main(page).locator(".method")).hasText("Grind");
        hands.climbTo("Slab");
        hands.press("Edit zone");
        page.getByLabel("Quiet hours all day").check();
        hands.press("Save zone");
        hands.climbTo("Preparation");
        assertThat(main(page).locator(".method")).hasText("No method fits");
        assertThat(main(page)).containsText("It is loud, and it is quiet hours here.");
        assertThat(main(page)).containsText("For other floors: scrub and dull the tile");
        page.reload();
        assertThat(main(page).locator(".method")).hasText("No method fits");
        hands.climbTo("Slab");
        hands.press("Edit zone");
        assertThat(page.getByLabel("Quiet hours all day")).isChecked();
        page.getByLabel("Quiet hours all day").uncheck();
        page.getByLabel("Made of").selectOption("QUARRY");
        hands.press("Save zone");
        hands.climbTo("Preparation");
        assertThat(main(page).locator(".method")).hasText("Scrub and dull the tile");
        assertFit(page, "preparation of tile");
    }

    /**
     * 400 ft² at 100 ft²/gal are 4 gal; 1:4 in pails of 2 gal: 2 of them, in each 1.6 gal of water and 51.2 fl oz of acid.
     * Of 4 gal a fifth is acid: 0.8 gal, for which STANDARDS 9 gives 7.015 lb of soda a gallon, 5.61 lb in all.
     */
    @Test(dataProvider = "sizes")
    public void a_wash_is_mixed_and_what_must_not_meet_is_blocked(int width, int height) {
        Page page = openJob(width, height, "Ferry line");
        var hands = new Hands(page);
        hands.climbTo(width > 700 ? "Preparation" : "Prep");
        page.getByText("Mix a wash").click();
        page.getByLabel("What goes in").selectOption("MURIATIC");
        hands.fill("How strong", "4:1");
        hands.fill("One vessel holds", "2 gal");
        hands.fill("Floor to be washed", "400 ft²");
        hands.fill("How far it goes", "100 ft²/gal");
        hands.press("Work it out");
        assertThat(main(page)).containsText("was it meant the other way round?");
        hands.fill("How strong", "1:4");
        page.getByLabel("On this floor before").selectOption("BLEACH");
        hands.press("Work it out");
        assertThat(main(page)).containsText("chlorine");
        page.getByLabel("On this floor before").selectOption("");
        hands.press("Work it out");
        Locator answer = main(page).locator(".answer");
        assertThat(answer).containsText("1 part into 4 of water (20.0 % of the mix).");
        assertThat(answer).containsText("2 vessels, 4.00" + NBSP + "gal in all");
        assertThat(answer).containsText("Water first, to its line. 1.60" + NBSP + "gal");
        assertThat(answer).containsText("never water into acid");
        assertThat(answer).containsText("51.2" + NBSP + "fl oz");
        assertThat(answer).containsText("5.61" + NBSP + "lb");
        assertFit(page, "a wash");
    }
}
