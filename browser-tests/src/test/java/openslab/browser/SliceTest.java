package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/**
 * The whole slice as a user walks it. The figures were worked out by hand from STANDARDS' formulas and the generic sheets:
 *
 * <pre>
 * floor        24' 6" × 18' = 441 ft², 85 ft round it; 3 tests of each kind up to 1000 ft²
 * MVER         52.911 · 1.2 / (0.445 · 64) = 2.23 lb; 1.8 g in 62 h: 3.45 lb, over 3
 * dew point    25 °C, 50 %: 13.858 °C (A-E); slab 70 °F = 21.111 °C: 7.253 K = 13.1 °F above
 * body coat    441 / 160 · 1.1 = 3.03 gal; 1604.17 / 160 = 10.0 mil
 * batches      pot life 45 min at 70 °F, 11 ft²/min, 80 %: 396 ft² a batch, so 2 of 220.5 ft², shown 221, 1.516 gal each
 *              A 2/3 = 129.4 fl oz = 1.0106 gal · 11.6 lb/gal = 11.72 lb = 5.32 kg
 *              B 1/3 = 64.7 fl oz = 0.5053 gal · 8.6 = 4.35 lb = 1.97 kg; scale 5.32, then 7.29 kg (16.07 lb)
 * kits         3.03 gal: 3 gal 232.00 + 1.5 gal 126.00 = 358.00
 * flake        441 · 0.12 · 1.1 = 58.2 lb in 2 bays of 29.1 lb; 40 lb 128.00 + 2 · 10 lb 72.00 = 200.00
 * clocks       primer at 09:00: window 6 h to 36 h at 70 °F, 15:00 to Tue 21:00
 * clear        Wed 6 May 2026 08:00: vehicles after 7 d, 13 May 08:00; reseal after 5 years, 6 May 2031
 * </pre>
 */
public class SliceTest {
    private static final String NBSP = "\u00a0";

    @Test
    public void from_a_bare_floor_to_the_day_it_is_due_again() throws IOException {
        Path data = Running.emptyFolder();
        Path file = data.resolve("export.json");
        String job;
        try (Running app = Running.start(data)) {
            Page page = app.page(1280, 800);
            var hands = new Hands(page);
            page.navigate(app.address);
            assertThat(page.getByText("No floor on the rack yet")).isVisible();
            createJob(hands);
            addZone(hands);
            job = page.url();
            surveyWithHold(hands);
            surveyToGo(hands);
            prepare(hands);
            mix(hands);
            clocks(hands);
            logbook(hands);
            export(hands, file);
            page.reload();
            assertThat(page.getByText("Coat done: primer")).isVisible();
            assertEquals(String.join("\n", app.complaints), "");
        }
        // the process is gone; another one finds everything
        try (Running again = Running.start(data)) {
            Page page = again.page(1280, 800);
            page.navigate(again.address + job.substring(job.indexOf("/#")));
            var hands = new Hands(page);
            hands.climbTo("Primer");
            assertThat(page.getByRole(AriaRole.MAIN)).containsText("Mon 15:00");
            importCopy(hands, file, again.address);
            assertEquals(again.complaints, List.of());
        }
    }

    private static void createJob(Hands hands) {
        hands.press("New job");
        hands.fill("Name", "");
        hands.dialog()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Create job"))
                .click();
        assertThat(hands.dialog()).containsText("Accepted: 1 to 120 characters");
        hands.fill("Name", "Boat-repair workshop");
        hands.sayMore();
        hands.fill("Client", "Kittiwake Boats");
        hands.fill("Place", "Saltmarsh Quay");
        hands.fill("Time zone", "America/Halifax");
        hands.fill("Latitude", "44.36");
        hands.fill("Longitude", "-64.31");
        hands.dialog()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Create job"))
                .click();
        assertThat(hands.page().getByText("Measure the first zone")).isVisible();
    }

    private static void addZone(Hands hands) {
        hands.page()
                .getByRole(AriaRole.MAIN)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("New zone"))
                .click();
        hands.fill("Name", "North bay");
        hands.fill("Length", "24 m 6 ft");
        hands.fill("Width", "18");
        Locator save = hands.dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add zone"));
        hands.fill("Length", "24 miles");
        save.click();
        assertThat(hands.dialog()).containsText("written like 24' 6\", 7.45 m or 294 in");
        hands.fill("Length", "24' 6\"");
        assertThat(hands.dialog()).containsText("441" + NBSP + "ft²");
        assertThat(hands.dialog()).containsText("85.00" + NBSP + "ft");
        save.click();
        assertThat(hands.page().getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Slab survey")))
                .isVisible();
    }

    private static void surveyWithHold(Hands hands) {
        Locator main = hands.page().getByRole(AriaRole.MAIN);
        assertThat(main.locator(".verdict")).containsText("hold");
        hands.reading(
                "Walk-over",
                "",
                Map.of(
                        "Sealer, polish or wax",
                        ":No",
                        "Oil or grease",
                        ":No",
                        "Paint, coating or adhesive",
                        ":No",
                        "Dusting or chalking",
                        ":No",
                        "Hollow or drummy places",
                        ":No"));
        hands.done();
        hands.reading("In-slab humidity", "A", probe("71", "19"));
        hands.done();
        assertThat(main).containsText("Probe at A read too early");
        // 19 h when it was read at 09:00: 24 h at 14:00
        assertThat(main.locator(".verdict")).containsText("Earliest answer Mon 14:00");
        hands.reading("Calcium chloride", "A", dish("1.8", "62"));
        hands.done();
        assertThat(main.locator(".verdict")).containsText("stop");
        assertThat(main).containsText("3.45 lb");
        hands.reading("Calcium chloride", "A", dish("1.2", "59"));
        hands.done();
        assertThat(main.locator(".verdict")).containsText("hold");
        assertThat(main).containsText("Dish at A exposed 59.0" + NBSP + "h");
    }

    private static Map<String, String> dish(String grams, String hours) {
        return Map.of("Area under the cover", "0.445", "Weight gained", grams, "Time exposed", hours);
    }

    private static Map<String, String> probe(String rh, String wait) {
        return Map.of(
                "Humidity in the hole",
                rh,
                "Depth of the hole",
                "2",
                "Slab thickness",
                "5",
                "Slab dries from",
                ":Top only",
                "Hours since drilled",
                wait);
    }

    private static void surveyToGo(Hands hands) {
        Locator main = hands.page().getByRole(AriaRole.MAIN);
        for (String place : List.of("A", "B", "C")) {
            hands.reading("In-slab humidity", place, probe("70", "48"));
            hands.done();
            hands.reading("Calcium chloride", place, dish("1.2", "64"));
            hands.done();
            hands.reading("Water drop", place, Map.of("The drop", ":Soaks in within 60 s"));
            hands.done();
            hands.reading("pH of the surface", place, Map.of("pH", "8.5"));
            hands.done();
        }
        hands.reading("Surface profile", "", Map.of("Profile (CSP)", "1"));
        hands.done();
        hands.reading("Concrete age", "", Map.of("Age", "9 years"));
        hands.done();
        hands.reading("Air and slab", "", Map.of("Air", "25 °C", "Humidity of the air", "50", "Slab surface", "70"));
        hands.done();
        assertThat(main.locator(".verdict")).containsText("go");
        assertThat(main).containsText("2.23 lb");
        assertThat(hands.page().getByRole(AriaRole.BANNER)).containsText("13.1" + NBSP + "°F");
        // the working of the margin, opened from the header
        hands.page().getByRole(AriaRole.BANNER).getByText("13.1" + NBSP + "°F").click();
        Locator working = hands.page().getByLabel("The working");
        // 13.858 by hand; the working shows seven digits
        assertThat(working).containsText(Pattern.compile("= 13\\.85(7[5-9]|8[0-4])"));
        assertThat(working).containsText("ISO 8502-4");
        hands.page().keyboard().press("w");
        assertThat(working).hasCount(0);
    }

    private static void prepare(Hands hands) {
        hands.page().keyboard().press("ArrowUp");
        Locator main = hands.page().getByRole(AriaRole.MAIN);
        assertThat(main).containsText("Preparation");
        assertThat(main.locator(".method")).hasText("Grind");
        assertThat(main).containsText("It opens concrete to about CSP 1; this build-up asks for CSP 3 to 5.");
        hands.gate("Profile", Map.of("Profile reached (CSP)", "2"));
        assertThat(main).containsText("Another pass with a coarser tool");
        hands.gate("Profile", Map.of("Profile reached (CSP)", "3"));
        hands.gate("Rub test", Map.of("Rub test", ":Fingers stay clean"));
        hands.gate("Water drop", Map.of("Water drop", ":Soaks in everywhere"));
        hands.gate("Last pass of the vacuum", Map.of("Last pass of the vacuum", ":Tack cloth stays clean"));
        assertThat(main.locator("header").first()).containsText("done");
    }

    private static void mix(Hands hands) {
        hands.climbTo("Body coat");
        Locator main = hands.page().getByRole(AriaRole.MAIN);
        for (String figure : List.of(
                "3.03" + NBSP + "gal",
                "10.0" + NBSP + "mil",
                "221" + NBSP + "ft²",
                "1.52" + NBSP + "gal",
                "1.01" + NBSP + "gal",
                "0.51" + NBSP + "gal",
                "11.72" + NBSP + "lb",
                "4.35" + NBSP + "lb",
                "5.32" + NBSP + "kg",
                "7.29" + NBSP + "kg",
                "358.00")) {
            assertThat(main).containsText(figure);
        }
        assertThat(main).containsText("2 batches");
        main.getByText("16.07" + NBSP + "lb").click();
        assertThat(hands.page().getByLabel("The working")).containsText("s = t+m1+m2");
        hands.page().keyboard().press("Escape");
        hands.climbTo("Broadcast");
        for (String figure : List.of("58.21" + NBSP + "lb", "29.11" + NBSP + "lb", "200.00")) {
            assertThat(main).containsText(figure);
        }
    }

    private static void clocks(Hands hands) {
        hands.climbTo("Primer");
        Locator main = hands.page().getByRole(AriaRole.MAIN);
        hands.fill("By", "Tamsin");
        hands.press("Batch mixed");
        main.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Save batch"))
                .click();
        assertThat(main).containsText("1 batch logged");
        hands.press("Batch mixed");
        main.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Save batch"))
                .click();
        assertThat(main).containsText("2 batches logged");
        // nothing more is asked: the batches cover it
        hands.press("Coat done");
        assertThat(main.locator("header").first()).containsText("wet");
        assertThat(main).containsText("Mon 15:00");
        assertThat(main).containsText("Tue 21:00");
        hands.climbTo("Clear coat");
        hands.fill("Start", "2026-05-06T08:00");
        hands.press("Save plan");
        assertThat(main).containsText("Wed 13 May 08:00");
        hands.climbTo("In service");
        assertThat(main).containsText("6 May 2031");
    }

    private static void logbook(Hands hands) {
        hands.page().keyboard().press("l");
        hands.fill("Note", "Roller door left open a hand's breadth");
        hands.press("Write note");
        Locator main = hands.page().getByRole(AriaRole.MAIN);
        assertThat(main).containsText("Coat done: primer");
        assertThat(main).containsText("Roller door left open a hand's breadth");
        assertThat(main).containsText("Profile: profile reached (CSP) 2");
        // a mistake is struck and stays readable
        main.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Roller door"))
                .getByRole(AriaRole.BUTTON)
                .click();
        assertThat(main.getByText("Struck: Note")).isVisible();
    }

    private static void export(Hands hands, Path file) throws IOException {
        Download download = hands.page().waitForDownload(() -> hands.page()
                .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Export"))
                .click());
        download.saveAs(file);
        assertTrue(Files.readString(file).contains("\"open-slab-job\""));
    }

    private static void importCopy(Hands hands, Path file, String address) {
        Page page = hands.page();
        page.navigate(address);
        hands.press("Import");
        page.getByLabel("Job file", new Page.GetByLabelOptions().setExact(true)).setInputFiles(file);
        hands.dialog()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Import job"))
                .click();
        assertThat(hands.dialog()).containsText("already on the rack");
        page.getByLabel("As a copy, beside a job that is already here").check();
        hands.dialog()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Import job"))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Slab survey")))
                .isVisible();
        assertThat(page.getByRole(AriaRole.MAIN)).containsText("441" + NBSP + "ft²");
    }
}
