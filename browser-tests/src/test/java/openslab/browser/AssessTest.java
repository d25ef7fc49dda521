package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** What is wrong with a floor, found with a phone in one hand, and what it is read with. */
public class AssessTest extends OnTheDemo {

    private static Locator section(Page page, String heading) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(heading).setExact(true));
    }

    private static Locator inDialog(Hands hands, String button) {
        return hands.dialog().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(button));
    }

    /** The south bay asks for three drops, three pH and more; each is keyed in and Enter brings the next place. */
    @Test
    public void a_phone_walks_from_place_to_place() {
        Page page = openJob(390, 844, "Boat-repair");
        var hands = new Hands(page);
        hands.openDoor();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("South bay"))
                .first()
                .click();
        hands.press("New reading");
        hands.dialog()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("pH of the surface"))
                .tap();
        hands.fill("By", "Wren");
        hands.fill("pH", "8.2");
        List<Double> seconds = new ArrayList<>();
        for (String place : List.of("A", "B", "C")) {
            long from = System.nanoTime();
            assertThat(page.getByLabel("Place", new Page.GetByLabelOptions().setExact(true)))
                    .hasValue(place);
            Locator value = page.getByLabel("pH", new Page.GetByLabelOptions().setExact(true));
            if (!place.equals("A")) {
                assertThat(value).isFocused();
                page.keyboard().type("8." + place.charAt(0) % 5);
            }
            page.keyboard().press("Enter");
            hands.dialog()
                    .getByText("pH of the surface at " + place + " saved. What next?")
                    .waitFor();
            seconds.add((System.nanoTime() - from) / 1e9);
        }
        System.out.println("phone walk-through, a reading by script, seconds: "
                + seconds.stream().map("%.2f"::formatted).collect(Collectors.joining(", ")));
        // enough of it: the list of methods is back, and the tally says so
        hands.dialog()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Water drop"))
                .waitFor();
        hands.press("Close");
        assertThat(main(page)
                        .getByRole(AriaRole.ROW)
                        .filter(new Locator.FilterOptions().setHasText("pH of the surface"))
                        .first())
                .containsText("go");
    }

    /** A dish is set out where its clock says when to come back; a probe is read from the logger. */
    @Test
    public void a_dish_is_set_out_and_a_probe_is_read_from_its_logger() {
        Page page = openJob(1280, 800, "Ropewalk");
        page.keyboard().press("n");
        var hands = new Hands(page);
        inDialog(hands, "Calcium chloride").click();
        hands.fill("By", "Wren");
        hands.dialog()
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("B").setExact(true))
                .click();
        hands.press("Set out now");
        hands.dialog().getByText("Calcium chloride set out at B saved.").waitFor();
        hands.press("Other method");
        inDialog(hands, "In-slab humidity").click();
        hands.dialog()
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("B").setExact(true))
                .click();
        page.getByLabel("Read with").selectOption("Logger 4");
        hands.press("Read it from there");
        assertThat(page.getByLabel("Humidity in the hole"))
                .hasValue(java.util.regex.Pattern.compile("8[345]\\.?\\d* %"));
        hands.press("Save reading");
        hands.dialog().getByText("In-slab humidity at B saved.").waitFor();
        hands.press("Close");
        assertThat(main(page)).containsText("Calcium chloride at B");
        assertThat(main(page)).containsText("come back");
        assertThat(page.locator("body")).containsText("dish stands at B");
        // opened straight on its method it is read with what was used last, though nothing else was loaded before
        page.evaluate(
                """
                () => fetch('/api/jobs/' + location.hash.split('/')[2] + '/zones/' + location.hash.split('/')[3] + '/log', {
                  method: 'POST',
                  headers: { 'Content-Type': 'application/json', 'Idempotency-Key': crypto.randomUUID() },
                  body: JSON.stringify({ kind: 'SET', subject: 'in-slab-rh', place: 'North door', by: 'Wren', note: '',
                    at: '2026-04-30T12:00:00Z', values: {} }),
                }).then((r) => { if (!r.ok) throw new Error(r.status); })""");
        page.reload();
        hands.press("Read it");
        assertThat(page.getByLabel("Read with").locator("option:checked")).hasText("Logger 4");
    }

    /** Oil drawn by tapping round it stops the floor; a drop that soaks in inside it lets it go again. */
    @Test
    public void oil_is_drawn_and_proved_gone() {
        Page page = openJob(1280, 800, "Pottery kiln");
        assertThat(page.locator(".verdict")).containsText("go");
        var hands = new Hands(page);
        hands.press("Draw an area");
        hands.fill("Name", "Kiln");
        Locator plan = hands.dialog().locator("svg");
        var box = plan.boundingBox();
        for (double[] at : new double[][] {{0.3, 0.3}, {0.6, 0.3}, {0.6, 0.6}, {0.3, 0.6}}) {
            page.mouse().click(box.x + box.width * at[0], box.y + box.height * at[1]);
        }
        assertFit(page, "an area being drawn");
        hands.fill("By", "Wren");
        hands.press("Save area");
        assertThat(page.locator(".verdict")).containsText("Oil or grease at Kiln");
        assertThat(page.locator(".verdict")).containsText("stop");
        assertThat(section(page, "On the floor")).containsText("%");
        // a place inside it, and a drop there
        hands.press("Where to test");
        hands.press("Mark them");
        assertThat(page.getByText("places, spread over the floor")).hasCount(0);
        Locator inside = page.locator("g.place").first();
        String name = inside.locator("text").textContent().strip();
        page.evaluate("scrollTo(0, 0)");
        var oil = page.locator("path.area-drawn").boundingBox();
        var grip = inside.boundingBox();
        page.mouse().move(grip.x + grip.width / 2, grip.y + grip.height / 2);
        page.mouse().down();
        page.mouse()
                .move(
                        oil.x + oil.width / 2,
                        oil.y + oil.height / 2,
                        new com.microsoft.playwright.Mouse.MoveOptions().setSteps(4));
        page.waitForResponse(
                r -> r.request().method().equals("POST"), () -> page.mouse().up());
        page.keyboard().press("n");
        inDialog(hands, "Water drop").click();
        hands.dialog()
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(name).setExact(true))
                .click();
        hands.choose("The drop", "Soaks in within 60 s");
        hands.press("Save reading");
        hands.dialog().getByText("saved. What next?").waitFor();
        hands.press("Close");
        assertThat(section(page, "On the floor")).containsText("proved gone at " + name);
        assertThat(page.locator(".verdict")).not().containsText("Kiln");
        hands.press("Strike Kiln");
        assertThat(section(page, "On the floor")).containsText("Nothing is drawn");
    }

    @Test
    public void one_floor_is_judged_for_every_build_up() {
        Page page = openJob(1280, 800, "Ferry line");
        Locator candidates = section(page, "What could go on this floor");
        assertThat(candidates.getByRole(AriaRole.LISTITEM)).hasCount(7);
        assertThat(candidates.getByRole(AriaRole.LISTITEM).first()).containsText("hold");
        assertThat(candidates.getByRole(AriaRole.LISTITEM).first()).containsText("plastic sheet (2) would settle it");
        assertThat(candidates.getByRole(AriaRole.LISTITEM).nth(2)).containsText("go");
    }

    @Test
    public void a_map_says_where_nobody_knows() {
        Page page = openJob(1280, 800, "Old tram shed");
        Locator maps = section(page, "Maps");
        maps.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Vapour emission"))
                .click();
        assertThat(maps).containsText("is out of reach");
        assertThat(maps).containsText("each reading is missed by");
        Locator drawing = maps.getByRole(AriaRole.IMG).first();
        drawing.scrollIntoViewIfNeeded();
        // B stands in the middle; the corner by the street has no dish near it
        drawing.hover(new Locator.HoverOptions()
                .setPosition(drawing.boundingBox().width / 3, drawing.boundingBox().height / 2));
        assertThat(drawing.locator("text.under")).containsText("±");
        String said = drawing.getAttribute("aria-label");
        assertTrue(said.contains("B 2.2,") && said.contains("percent of the floor is out of reach"), said);
        maps.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("In-slab humidity"))
                .click();
        assertThat(maps).containsText("begins with three readings that count");
    }

    @Test(dataProvider = "sizes")
    public void instruments_are_fit_for_everybody(int width, int height) {
        Page page = app.page(width, height);
        page.navigate(app.address + "/#/instruments");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Logger 4"))
                .click();
        assertThat(main(page)).containsText("Set aside");
        assertFit(page, "instrument");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Add an instrument"))
                .click();
        page.getByLabel("Good until").waitFor();
        assertFit(page, "new instrument");
    }

    @Test
    public void an_instrument_is_asked_what_it_is_and_collected_from() {
        Page page = app.page(1280, 800);
        page.navigate(app.address + "/#/instruments/new");
        var hands = new Hands(page);
        hands.fill("Address", app.address + "/stand-ins/hygro-2");
        hands.press("Ask what it is");
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Thermo-hygrometer 2");
        hands.press("Save instrument");
        assertThat(main(page)).containsText("a name that no other instrument has");
        hands.fill("Name", "Hygrometer again");
        hands.press("Save instrument");
        hands.press("Collect what is new");
        assertThat(main(page)).containsText("samples taken over, 11 of them set aside");
        assertThat(main(page).locator("figure")).hasCount(3);
        assertThat(main(page)).containsText("no value");
    }

    private static FilePayload file(String name, String text) {
        return new FilePayload(name, "text/csv", text.getBytes(StandardCharsets.UTF_8));
    }

    /** A short file goes in as it is mapped; a long one shows how far it is, and stopped it leaves nothing. */
    @Test
    public void a_loggers_file_is_taken_over_or_stopped() {
        Page page = app.page(1280, 800);
        page.navigate(app.address + "/#/instruments/new");
        var hands = new Hands(page);
        hands.fill("Name", "Bare logger");
        hands.fill("Calibrated", "2026-01-01");
        hands.press("Save instrument");
        hands.press("From a file");
        String csv = IntStream.range(0, 40)
                .mapToObj(
                        i -> "2026-04-%02d %02d:00,8%d.%d,%d.5".formatted(1 + i / 24, i % 24, i % 3, i % 7, 17 + i % 2))
                .collect(Collectors.joining("\n", "Taken,Probe RH,Room temperature\n", "\n"));
        page.locator("input[type=file]").setInputFiles(file("bare.csv", csv));
        assertThat(hands.dialog()).containsText("A first guess");
        assertFit(page, "a file being mapped");
        page.getByLabel("Time").selectOption("Taken");
        page.getByLabel("Written as").selectOption("YEAR_FIRST");
        hands.press("Take over");
        assertThat(hands.dialog()).containsText("80 samples taken over");
        hands.press("Done");
        assertThat(main(page).locator("figure")).hasCount(2);
        hands.press("From a file");
        String longer = IntStream.range(0, 300_000)
                .mapToObj(i -> (1_750_000_000 + 30L * i) + ",A," + (80 + i % 9 / 10.0) + ",%")
                .collect(Collectors.joining("\n", "time,channel,value,unit\n", "\n"));
        page.locator("input[type=file]").setInputFiles(file("long.csv", longer));
        hands.press("Take over");
        assertThat(hands.dialog()).containsText("samples so far");
        hands.press("Stop, and store nothing");
        assertThat(hands.dialog()).containsText("Nothing of it was stored");
        hands.press("Done");
        assertThat(main(page).locator("figure")).hasCount(2);
    }

    private static byte[] picture() {
        try (var out = new ByteArrayOutputStream()) {
            ImageIO.write(new BufferedImage(2400, 1800, BufferedImage.TYPE_INT_RGB), "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    @Test
    public void readings_come_in_as_a_file_go_out_on_paper_and_have_photos() {
        Page page = openJob(1280, 800, "Seed bank");
        String csv = "zone,method,place,at,by,ph.ph\nDrying hall,ph,Drain,2026-01-04T08:00:00Z,Wren,8.7\n";
        Locator files = section(page, "On paper, and in a spreadsheet");
        files.locator("input[type=file]").setInputFiles(file("readings.csv", csv));
        assertThat(files).containsText("1 readings taken over");
        Locator row = section(page, "Readings")
                .getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText("Drain"));
        assertThat(row).containsText("8.7");
        files.locator("input[type=file]").setInputFiles(file("readings.csv", csv.replace("Drying hall", "Attic")));
        assertThat(files).containsText("a zone of this job");
        row.locator("input[type=file]").setInputFiles(new FilePayload("drain.png", "image/png", picture()));
        assertThat(row.getByRole(AriaRole.IMG)).hasCount(1);
        page.reload();
        assertThat(row.getByRole(AriaRole.IMG)).hasCount(1);
        String report = files.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Survey report"))
                .getAttribute("href");
        var pdf = page.request().get(app.address + report);
        assertEquals(pdf.status(), 200);
        assertTrue(new String(pdf.body(), 0, 5, StandardCharsets.US_ASCII).equals("%PDF-"));
    }

    /** A gauge whose certificate ran out is named where it is chosen, and what it read holds and does not count. */
    @Test
    public void a_lapsed_instrument_is_told_before_and_after() {
        Page page = app.page(1280, 800);
        page.navigate(app.address + "/#/instruments/new");
        var hands = new Hands(page);
        hands.fill("Name", "Old meter");
        page.getByLabel("Kind").selectOption("PH_METER");
        hands.fill("Calibrated", "2026-01-02");
        // its paper says nothing: a month is what a pH meter's calibration is good for
        hands.press("Save instrument");
        assertThat(main(page)).containsText("calibration lapsed");
        page = openJob(1280, 800, "Seed bank");
        hands = new Hands(page);
        page.keyboard().press("n");
        inDialog(hands, "pH of the surface").click();
        page.getByLabel("Place", new Page.GetByLabelOptions().setExact(true)).fill("Sump");
        page.getByLabel("Read with").selectOption("Old meter");
        assertThat(hands.dialog()).containsText("its calibration has lapsed");
        hands.fill("pH", "8.4");
        hands.fill("By", "Wren");
        hands.press("Save reading");
        hands.dialog().getByText("saved. What next?").waitFor();
        hands.press("Close");
        assertThat(main(page)).containsText("at Sump read with a lapsed calibration");
        assertThat(main(page)).containsText("Old meter, calibrated 2026-01-02, good until 2026-02-02");
    }

    /** On a phone an area is typed, not only tapped, and what is wrong with it is told beside its field. */
    @Test
    public void an_area_is_typed_on_a_phone() {
        Page page = openJob(390, 844, "Bakery");
        var hands = new Hands(page);
        hands.press("Draw an area");
        page.getByLabel("What it is").selectOption("POLISH");
        hands.fill("By", "Wren");
        hands.fill("Corners", "1 1; 9 9; 9 1; 1 9");
        hands.press("Save area");
        assertThat(hands.dialog()).containsText("a ring that does not cross itself");
        hands.fill("Corners", "1 1; 9 1; 9 5; 1 5");
        hands.fill("Name", "Oven side");
        hands.press("Save area");
        assertThat(hands.dialog()).hasCount(0);
        // 8 by 4 ft of 24 by 15 ft 10 in
        assertThat(section(page, "On the floor")).containsText("Wax or shine polish 8" + NBSP + "%");
        // off a tile it is stripped, never ground
        assertThat(main(page)).containsText("Strip it wet, the weakest mix that works");
        assertFit(page, "a floor with an area");
    }
}
