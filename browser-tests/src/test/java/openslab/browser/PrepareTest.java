package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** A floor is made fit to coat: the method by what is found and allowed, and a wash mixed for it. */
public class PrepareTest extends OnTheDemo {
    /** What the place allows decides: what is loud is refused in quiet hours, and what is ground already stays so; tile is scrubbed. */
    @Test
    public void the_place_decides_between_the_methods() {
        Page page = openJob(1280, 800, "Pottery kiln");
        var hands = new Hands(page);
        hands.climbTo("Preparation");
        assertThat(main(page).locator(".method")).hasText("Grind");
        quiet(page);
        assertThat(main(page).locator(".method")).hasText("Grind");
        assertThat(main(page)).containsText("It is loud, and it is quiet hours here.");
        assertThat(main(page)).containsText("For other floors: ");
        page.reload();
        assertThat(main(page).locator(".method")).hasText("Grind");
        hands.climbTo("Slab");
        hands.press("Edit zone");
        assertThat(page.getByLabel("Quiet hours all day")).isChecked();
        page.getByLabel("Quiet hours all day").uncheck();
        page.getByLabel("Made of").selectOption("QUARRY");
        hands.press("Save zone");
        hands.climbTo("Preparation");
        assertThat(main(page).locator(".method")).hasText("Scrub the tile");
        assertFit(page, "preparation of tile");
    }

    private static void quiet(Page page) {
        var hands = new Hands(page);
        hands.climbTo("Slab");
        hands.press("Edit zone");
        page.getByLabel("Quiet hours all day").check();
        hands.press("Save zone");
        hands.climbTo("Preparation");
    }

    /** Every way that fits stands there with what it takes; another one is planned with a reason, by somebody, and says so. */
    @Test(dataProvider = "sizes")
    public void another_way_is_chosen_with_its_reason(int width, int height) {
        Page page = openJob(width, height, width > 700 ? "Ferry line" : "Pottery kiln");
        var hands = new Hands(page);
        hands.climbTo(width > 700 ? "Preparation" : "Prep");
        assertThat(main(page).locator(".method")).hasText("Grind");
        page.getByText("Compare, choose another way").click();
        page.getByText("Do it this way").first().click();
        hands.fill("By", "Tamsin");
        hands.press("Plan it this way");
        assertThat(main(page)).containsText("the reason why it is done this way");
        plan(page, hands, "The grinder is broken");
        assertThat(main(page).locator(".method")).hasText("Shot-blast");
        assertThat(main(page)).containsText("The grinder is broken");
        assertFit(page, "another way " + width);
        // as long as nothing is begun it is only a plan
        page.getByText("Compare, choose another way").click();
        page.getByText("Do it this way").first().click();
        plan(page, hands, "It is mended");
        assertThat(main(page).locator(".method")).hasText("Grind");
    }

    private static void plan(Page page, Hands hands, String why) {
        hands.fill("Why this way", why);
        hands.press("Plan it this way");
        assertThat(main(page)).containsText(why);
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

    /** Fills the gate that is open, at a moment of the floor's own clock; empty for now. */
    private static void test(Hands hands, String gate, String choice, String when) {
        hands.press("Test: " + gate);
        Locator form = form(hands, "Record the gate");
        for (String entry : choice.split(";")) {
            String[] labelAndValue = entry.split("=");
            if (labelAndValue.length == 1) {
                form.getByLabel(entry, new Locator.GetByLabelOptions().setExact(true))
                        .check();
            } else {
                form.getByLabel(labelAndValue[0]).fill(labelAndValue[1]);
            }
        }
        send(form, when, "Record the gate");
    }

    private static Locator form(Hands hands, String button) {
        return hands.page().locator("form", new Page.LocatorOptions().setHasText(button));
    }

    private static void send(Locator form, String when, String button) {
        form.getByLabel("By", new Locator.GetByLabelOptions().setExact(true)).fill("Tamsin");
        form.getByLabel("When").fill(when);
        form.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(button))
                .click();
    }

    private static void square(Hands hands, String result, String when) {
        hands.press("Record a square");
        Locator form = form(hands, "Record the square");
        form.getByLabel(result).check();
        form.getByLabel("Where").fill("Behind the counter");
        send(form, when, "Record the square");
        form.waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED));
    }

    private static Locator step(Page page, String title) {
        return main(page)
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByText(title, new Page.GetByTextOptions().setExact(true))))
                .last();
    }

    /**
     * A film is stripped where nothing may be ground. Weakest first; then a gate fails, its repeat stands in the course with a
     * drying clock of its own, nothing after it can be done, the core holds, and the log keeps all of it.
     */
    @Test
    public void a_failed_gate_inserts_its_repeat_restarts_the_clock_and_locks_what_follows() {
        Page page = openJob(1280, 800, "Old tram shed");
        var hands = new Hands(page);
        hands.press("Edit zone");
        page.getByLabel("Grinding is allowed here").uncheck();
        hands.press("Save zone");
        hands.climbTo("Preparation");
        assertThat(main(page).locator(".method")).hasText("Strip and test again");
        square(hands, "Too weak", "2026-05-01T09:00");
        assertThat(main(page)).containsText("Now try 1 part into 8 of water");
        square(hands, "Even: it works", "2026-05-01T09:10");
        assertThat(step(page, "Lay the stripper on and let it dwell"))
                .containsText("1 part into 8 of water (11.1 % of the mix)");
        test(hands, "Hand across the floor", "No residue", "2026-05-01T12:00");
        assertThat(step(page, "Dry 24 h")).containsText("Ready");
        test(hands, "Dry", "Hours since it was last wet=24 h;None", "2026-05-02T12:00");
        test(hands, "Water drop", "Beads somewhere", "2026-05-02T14:00");
        Locator core = page.getByRole(AriaRole.NAVIGATION).filter(new Locator.FilterOptions().setHasText("Acid stain"));
        assertThat(core).containsText("again: lay the stripper on");
        Locator again = step(page, "Lay the stripper on and let it dwell");
        assertThat(again).containsText("again");
        assertThat(again).containsText("to do");
        assertThat(step(page, "Dry 24 h")).containsText("waits");
        assertThat(hands.button("Test: Water drop")).hasCount(0);
        assertThat(hands.button("Test: Dry")).hasCount(0);
        hands.climbTo("Acid stain");
        assertThat(main(page)).containsText("Against putting it on now");
        hands.climbTo("Preparation");
        test(hands, "Hand across the floor", "No residue", "2026-05-03T10:00");
        assertThat(step(page, "Dry 24 h").getByRole(AriaRole.TIMER)).containsText("1:00 h");
        test(hands, "Dry", "Hours since it was last wet=24 h;None", "");
        assertThat(step(page, "Dry 24 h")).containsText("at most 23.0 h");
        assertFit(page, "a gate refused");
        form(hands, "Record the gate")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Not now"))
                .click();
        strikeNewest(page, hands, "Hand across the floor");
        hands.climbTo("Preparation");
        test(hands, "Hand across the floor", "No residue", "2026-05-03T08:00");
        test(hands, "Dry", "Hours since it was last wet=25 h;None", "");
        test(hands, "Water drop", "Soaks in everywhere", "");
        assertThat(step(page, "Walk it again")).containsText("to do");
        assertThat(main(page).getByText("Done again below:")).hasCount(1);
        assertFit(page, "a repeated preparation");
        page.keyboard().press("l");
        hands.unfold();
        for (String entry : List.of(
                "Test patch: what was tried floor stripper, parts of water to one 16, stood for 2 min, it came out too weak",
                "Test patch: what was tried floor stripper, parts of water to one 8, stood for 2 min, it came out even: it works",
                "Water drop: beads somewhere",
                "Water drop: soaks in everywhere",
                "Dry: hours since it was last wet 24 h, dark patches none",
                "Dry: hours since it was last wet 25 h, dark patches none",
                "Struck: Hand across the floor: no residue")) {
            assertThat(main(page)).containsText(entry);
        }
    }

    private static void strikeNewest(Page page, Hands hands, String entry) {
        page.keyboard().press("l");
        hands.unfold();
        Locator row = main(page)
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(entry))
                .first();
        row.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Strike"))
                .click();
        assertThat(main(page)).containsText("Struck: " + entry);
    }

    /** The clock of a step starts when everything it needs is ticked, counts down, and stands on the day line. */
    @Test(dataProvider = "sizes")
    public void a_timed_step_starts_when_everything_lies_ready(int width, int height) {
        Page page = openJob(width, height, "Old tram shed");
        var hands = new Hands(page);
        hands.openDoor();
        hands.press("New zone");
        hands.fill("Name", "Scullery " + width);
        hands.fill("Length", "4 m");
        hands.fill("Width", "3 m");
        page.getByLabel("Made of").selectOption("QUARRY");
        hands.press("Add zone");
        page.getByText("Scullery " + width).first().waitFor();
        hands.reading(
                "Walk-over",
                "",
                Map.of(
                        "Sealer, polish or wax", ":No",
                        "Oil or grease", ":Yes",
                        "Paint, coating or adhesive", ":No",
                        "Dusting or chalking", ":No",
                        "Hollow or drummy places", ":No"));
        hands.done();
        hands.climbTo(width > 700 ? "Preparation" : "Prep");
        Locator degrease = step(page, "Degrease and scrub");
        assertThat(degrease).containsText("Not ticked yet");
        degrease.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Start the clock"))
                .click();
        assertThat(degrease).containsText("begun before everything was at hand");
        assertThat(degrease.getByLabel("Why it was done all the same")).isVisible();
        assertFit(page, "staging " + width);
        if (main(page).getByLabel("Ticked by").count() > 0) {
            hands.fill("Ticked by", "Wren");
        }
        for (String thing : List.of(
                "175 rpm machine and pads, square pad for the walls",
                "Stiff brushes for edges, grout and corners",
                "Chemical-proof gloves",
                "Goggles",
                "A hand trained on the machine",
                "Degreaser")) {
            main(page).getByLabel(thing).click();
            assertThat(main(page).getByLabel(thing)).isChecked();
        }
        assertThat(degrease).not().containsText("Not ticked yet");
        hands.press("Start the clock: 10 min");
        assertThat(degrease.getByRole(AriaRole.TIMER)).containsText("10:00");
        if (width < 700) {
            hands.press("Clocks:");
        }
        assertThat(page.getByLabel("Day line"))
                .containsText(width > 700 ? "degrease and scrub" : "then hand across the floor");
        assertFit(page, "a running clock " + width);
    }

    /** How soon is printed: a busy machine is no fault. */
    @Test
    public void two_phones_see_each_others_ticks() {
        Page one = openJob(390, 844, "Bakery");
        Page two = openJob(390, 844, "Bakery");
        new Hands(one).climbTo("Prep");
        new Hands(two).climbTo("Prep");
        one.getByText("At hand:").click();
        two.getByText("At hand:").click();
        new Hands(one).fill("Ticked by", "Wren");
        new Hands(two).fill("Ticked by", "Tamsin");
        var seconds = new ArrayList<Double>();
        for (String thing : List.of("Masking tape, film, knife", "Fresh cloths, and a lidded tin for used ones")) {
            Page ticks = seconds.size() == 1 ? two : one;
            Page sees = seconds.size() == 1 ? one : two;
            long from = System.nanoTime();
            ticks.getByLabel(thing).click();
            assertThat(sees.getByLabel(thing)).isChecked();
            seconds.add((System.nanoTime() - from) / 1e9);
        }
        System.out.printf("a tick seen on the other phone, seconds: %s%n", seconds);
    }

    /** A pace that is set counts until three floors were logged; the sheet on paper is a click away. */
    @Test
    public void a_pace_is_set_where_the_log_has_none() {
        Page page = openJob(1280, 800, "Bakery");
        var hands = new Hands(page);
        hands.climbTo("Preparation");
        hands.press("Paces");
        Locator row = hands.dialog()
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Degrease and scrub"))
                .first();
        assertThat(row).containsText("323" + NBSP + "ft²/h");
        row.getByRole(AriaRole.BUTTON).click();
        row.getByLabel("Degrease and scrub").fill("quick");
        row.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Set").setExact(true))
                .click();
        assertThat(row).containsText("ft²/h");
        row.getByLabel("Degrease and scrub").fill("95 ft²/h");
        row.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Set").setExact(true))
                .click();
        assertThat(row).containsText("set by the shop");
        assertFit(page, "paces");
        // 380 ft² at 95 ft²/h
        hands.press("Close");
        assertThat(main(page)).containsText("4.0" + NBSP + "h");
        var paper =
                page.waitForPopup(() -> main(page).getByText("Prep sheet (PDF)").click());
        assertTrue(paper.url().contains("/api/prep-sheets/"), paper.url());
    }

    /** STANDARDS 7.1: 4 h at 90 and 4 h at 20 µg/m³ are 55 over eight hours. */
    @Test
    public void a_measured_shift_is_averaged_and_repairs_are_among_the_steps() {
        Page page = openJob(1280, 800, "Boat-repair");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("North bay"))
                .click();
        var hands = new Hands(page);
        hands.climbTo("Preparation");
        assertThat(main(page)).containsText("Chase the cracks open");
        assertThat(main(page)).containsText("Joints");
        page.getByText("Silica that was measured").click();
        hands.fill("Silica in the air", "90");
        hands.fill("For", "4 h");
        hands.press("Another part of the shift");
        hands.fill("Silica in the air", "20");
        hands.fill("For", "4");
        hands.press("Average it");
        assertThat(main(page)).containsText("55.0" + NBSP + "µg/m³");
        assertThat(main(page)).containsText("measured again within 3 months");
        assertFit(page, "a shift averaged");
    }
}
