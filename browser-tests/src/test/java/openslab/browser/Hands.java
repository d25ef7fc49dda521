package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Map;

/** What a user does with a screen, by role and by name. */
record Hands(Page page) {
    void press(String button) {
        button(button).click();
    }

    Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                .first();
    }

    Locator dialog() {
        return page.getByRole(AriaRole.DIALOG);
    }

    void fill(String label, String value) {
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                .last()
                .fill(value);
    }

    void choose(String group, String choice) {
        dialog().getByRole(
                        AriaRole.GROUP,
                        new Locator.GetByRoleOptions().setName(group).setExact(true))
                .getByLabel(choice, new Locator.GetByLabelOptions().setExact(true))
                .check();
    }

    void climbTo(String stratum) {
        Locator link = page.getByRole(AriaRole.NAVIGATION)
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(stratum))
                .first();
        link.click();
        // the heading of where one was before is no sign that one has arrived
        assertThat(link).hasAttribute("aria-current", "page");
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))
                .waitFor();
    }

    /** On a phone everything but the clock is behind one door. */
    void openDoor() {
        Locator door = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Menu"));
        if (door.isVisible()) {
            door.click();
        }
    }

    /** What a new job may say and need not. */
    void sayMore() {
        dialog().getByText("Client, place and where it lies").click();
    }

    /** Opens every day of the logbook. */
    void unfold() {
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Logbook"))
                .waitFor();
        // the newest day is open
        page.getByRole(AriaRole.MAIN).locator("details time").first().waitFor();
        Locator shut = page.getByRole(AriaRole.MAIN).locator("details:not([open]) > summary");
        while (shut.count() > 0) {
            shut.first().click();
        }
    }

    /** Goes to another zone of the job. */
    void zone(String name) {
        openDoor();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    /** Takes a reading with the keyboard's n; @param entries value by label, a choice by {@code group:choice} */
    void reading(String method, String place, Map<String, String> entries) {
        page.keyboard().press("n");
        dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(method))
                .click();
        if (!place.isEmpty()) {
            fill("Place", place);
        }
        entries.forEach((label, value) -> {
            if (value.startsWith(":")) {
                choose(label, value.substring(1));
            } else {
                fill(label, value);
            }
        });
        fill("By", "Wren");
        dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Save reading"))
                .click();
    }

    void done() {
        dialog().getByText("saved. What next?").waitFor();
        dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Close"))
                .click();
    }

    void gate(String name, Map<String, String> entries) {
        press("Test: " + name);
        var form = page.locator("form", new Page.LocatorOptions().setHasText("Record the gate"));
        entries.forEach((label, value) -> {
            if (value.startsWith(":")) {
                form.getByLabel(value.substring(1), new Locator.GetByLabelOptions().setExact(true))
                        .check();
            } else {
                form.getByLabel(label).fill(value);
            }
        });
        form.getByLabel("By").fill("Tamsin");
        form.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Record the gate"))
                .click();
        form.waitFor(
                new Locator.WaitForOptions().setState(com.microsoft.playwright.options.WaitForSelectorState.DETACHED));
    }
}
