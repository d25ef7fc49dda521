package openslab.browser;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.testng.annotations.Test;

/** Takes the pictures in docs/screenshots; run by ./slab shots only, since its name does not end in Test. */
public class Shots {
    private final Path folder = Path.of(System.getProperty("openslab.shots"));

    @Test
    public void take_every_picture() {
        try (Running app = Running.demo()) {
            Page page = app.page(1280, 800);
            page.navigate(app.address);
            page.getByText("Boat-repair workshop").waitFor();
            shoot(page, "rack");
            job(app, page, "Old tram shed");
            shoot(page, "survey-hold");
            job(app, page, "Boat-repair");
            page.getByText("2.90 lb").first().click();
            shoot(page, "verdict-working");
            var hands = new Hands(page);
            job(app, page, "Boat-repair");
            hands.climbTo("Clear coat");
            Locator batch = page.getByText("Mix batch 1, with the card");
            batch.evaluate("e => e.scrollIntoView({ block: 'center' })");
            shoot(page, "mix");
            batch.evaluate("() => scrollTo(0, 0)");
            page.getByText("Walk it bay by bay").click();
            page.getByLabel("The bay").waitFor();
            shoot(page, "bays");
            page.getByText("Mix batch 1 for it").click();
            hands.press("Begin batch 1");
            page.getByText("It shows that").waitFor();
            shoot(page, "card");
            job(app, page, "Boat-repair");
            page.keyboard().press("p");
            page.getByLabel("Corner B: arrows move it").waitFor();
            shoot(page, "plan");
            job(app, page, "School boiler");
            hands.zone("Corridor");
            page.getByRole(AriaRole.NAVIGATION)
                    .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Urethane"))
                    .first()
                    .click();
            page.getByText("Change what goes on").click();
            page.getByText("Clear urethane on resilient").last().waitFor();
            shoot(page, "build-up");
            page.navigate(app.address + "/#/systems");
            page.getByLabel("Systems that fit").waitFor();
            shoot(page, "systems");
            job(app, page, "Old tram shed");
            place(page, "Maps");
            hands.press("Vapour emission");
            shoot(page, "map");
            job(app, page, "Old tram shed");
            page.getByText("Weigh them by what is needed").click();
            page.getByText("In this order").waitFor();
            shoot(page, "choices");
            job(app, page, "Bakery");
            hands.climbTo("Preparation");
            page.getByText("Degreaser: 1 part into 20").last().waitFor();
            shoot(page, "preparation");
            job(app, page, "Seed bank");
            hands.climbTo("In service");
            shoot(page, "in-service");
            job(app, page, "School boiler");
            hands.climbTo("In service");
            page.getByText("What it went through, and the next time").click();
            page.getByText("How it was done").nth(1).click();
            shoot(page, "history");
            page.navigate(app.address + "/#/shelf/epoxy-body-coat");
            page.getByLabel("Spread rate, one coat").waitFor();
            shoot(page, "sheet");
            page.navigate(app.address + "/#/practices");
            page.locator("label:has-text('thinner part wets')").click();
            page.locator("aside section").first().waitFor();
            shoot(page, "practices");
            Page phone = app.page(390, 844);
            job(app, phone, "Old tram shed");
            shoot(phone, "phone-survey");
            job(app, page, "Boat-repair");
            new Hands(page).openDoor();
            door(page, "Buy");
            page.getByText("Went out").last().waitFor();
            shoot(page, "buy");
            job(app, page, "Pottery");
            new Hands(page).openDoor();
            door(page, "Courtyard");
            new Hands(page).climbTo("Tack coat over the tape");
            page.getByText("Lay it out in planks").click();
            for (int i = 0; i < 5; i++) {
                new Hands(page).press("Next butt");
            }
            new Hands(page).press("On 20 mm");
            page.getByText("moved by hand").first().waitFor();
            shoot(page, "planks");
        }
    }

    private static void door(Page page, String name) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private static void place(Page page, String name) {
        page.getByLabel("Places on this screen")
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(name))
                .click();
    }

    private static void job(Running app, Page page, String name) {
        page.navigate(app.address);
        String id = page.getByRole(AriaRole.LINK)
                .filter(new Locator.FilterOptions().setHasText(name))
                .first()
                .getAttribute("href")
                .split("/")[2];
        OnTheDemo.standAtSlab(page, id);
    }

    private void shoot(Page page, String name) {
        page.waitForTimeout(350);
        page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
    }
}
