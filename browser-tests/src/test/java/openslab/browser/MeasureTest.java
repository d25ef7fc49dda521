package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Map;
import org.testng.annotations.Test;

/** The plan, as it is walked, dragged, undone and parted; figures worked out by hand. */
public class MeasureTest extends OnTheDemo {
    private Page measure(int width, int height, String job) {
        Page page = openJob(width, height, job);
        new Hands(page).openDoor();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Plan").setExact(true))
                .click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Measure"))
                .waitFor();
        return page;
    }

    private static Locator length(Page page, String wall) {
        return page.getByLabel("Length of " + wall, new Page.GetByLabelOptions().setExact(true));
    }

    @Test(dataProvider = "sizes")
    public void the_plan_is_fit_for_everybody(int width, int height) {
        Page page = measure(width, height, "Boat-repair");
        assertThat(main(page)).containsText("closes well enough");
        assertFit(page, "plan");
        page.getByText("Not coated", new Page.GetByTextOptions().setExact(true)).click();
        new Hands(page).press("Add: cut-out");
        assertFit(page, "a cut-out being keyed in");
    }

    /**
     * A garage 24 ft by 20 ft with a bump-out of 6 ft by 2 ft, its far wall half an inch short: 492 ft² by hand, and
     * 1/2 in on 91 ft 11 1/2 in is 1 in 2,207. The job reads metric; the tape is in feet.
     */
    @Test
    public void a_garage_is_walked_by_keyboard_alone() {
        Page page = measure(1280, 800, "Seed bank");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("New room"))
                .focus();
        page.keyboard().press("Enter");
        page.getByLabel("Length of the next wall").focus();
        for (String wall : new String[] {"24'", "l20'", "l9'", "r2'", "l6'", "l2'", "r8' 11-1/2\"", "l20'"}) {
            page.keyboard().type(wall);
            page.keyboard().press("Enter");
        }
        assertThat(main(page)).containsText("492" + NBSP + "ft²");
        assertThat(main(page)).containsText("13" + NBSP + "mm");
        assertThat(main(page)).containsText("1 in 2\u202f207");
        assertThat(main(page)).containsText("closes well enough");
        page.reload();
        assertThat(length(page, "G–H")).hasValue("8' 11-1/2\"");
        // a corner is moved by arrows, twelve steps of a centimetre with shift: 7.3152 m less its share of the half
        // inch, 12.7 mm · 24/91.958, and 12 cm on
        page.getByLabel("Corner B: arrows move it").focus();
        page.keyboard().press("Shift+ArrowRight");
        assertThat(length(page, "A–B")).hasValue("7.4319 m");
        page.keyboard().press("ControlOrMeta+z");
        assertThat(length(page, "A–B")).hasValue("24'");
    }

    /** 24 ft read as 26 ft: the walls do not close, the zone is on hold, and the right length lets it go again. */
    @Test
    public void a_wall_misread_is_shown_and_mended() {
        Page page = measure(1280, 800, "Bakery");
        new Hands(page).press("Put on the plan");
        assertThat(main(page)).containsText("closes");
        length(page, "A–B").fill("26'");
        length(page, "A–B").press("Tab");
        Locator doubt = main(page).locator(".doubt");
        assertThat(doubt).containsText("The walls do not close");
        assertThat(doubt).containsText("wall A–B (24.00" + NBSP + "ft would close)");
        new Hands(page).climbTo("Slab");
        assertThat(main(page)).containsText("The walls do not close");
        page.keyboard().press("p");
        length(page, "A–B").fill("24'");
        length(page, "A–B").press("Tab");
        assertThat(doubt).hasCount(0);
        // and what cannot be read is told beside the field, with nothing lost
        length(page, "A–B").fill("as long as a boat");
        length(page, "A–B").press("Tab");
        assertThat(main(page)).containsText("Accepted: a length from");
        assertThat(length(page, "A–B")).hasValue("as long as a boat");
        length(page, "A–B").fill("24'");
        length(page, "A–B").press("Tab");
        assertThat(main(page).getByText("Accepted: a length from")).hasCount(0);
    }

    @Test
    public void a_corner_is_dragged_and_undone_by_touch() {
        Page page = measure(390, 844, "Pottery");
        new Hands(page).press("Put on the plan");
        Locator corner = page.getByLabel("Corner C: arrows move it");
        corner.waitFor();
        String before = length(page, "B–C").inputValue();
        drag(page, corner, 0, -30);
        assertThat(length(page, "B–C")).not().hasValue(before);
        new Hands(page).press("Undo");
        assertThat(length(page, "B–C")).hasValue(before);
        new Hands(page).press("Redo");
        assertThat(length(page, "B–C")).not().hasValue(before);
        BoundingBox target = corner.boundingBox();
        assertTrue(target.width >= 44 && target.height >= 44, target.width + " by " + target.height);
    }

    private static void drag(Page page, Locator corner, double dx, double dy) {
        corner.scrollIntoViewIfNeeded();
        BoundingBox box = corner.locator(".touch").boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        for (int i = 1; i <= 30; i++) {
            page.mouse().move(x + dx * i / 30, y + dy * i / 30);
        }
        page.mouse().up();
    }

    /** 31 by 20.5 ft parted at 10 ft: 205 and 430.5 ft² by hand. */
    @Test
    public void a_line_parts_the_floor_and_the_other_part_becomes_a_zone() {
        Page page = measure(1280, 800, "Ferry line");
        new Hands(page).press("Put on the plan");
        page.getByText("Zone lines").click();
        new Hands(page).press("Add: line");
        Map.of("From: Along A–B", "10'", "From: Off it", "0'", "To: Along A–B", "10'", "To: Off it", "5'")
                .forEach((label, value) -> {
                    page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                            .fill(value);
                    page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                            .press("Tab");
                });
        assertThat(main(page)).containsText("in no zone yet");
        new Hands(page).press("Make it a zone");
        page.getByLabel("Name of the zone").fill("Net store");
        new Hands(page).press("Make it");
        assertThat(page.getByRole(AriaRole.BANNER).first()).containsText("Net store");
        Locator zones = main(page).getByLabel("Zones of Rope store");
        assertThat(zones).containsText("205" + NBSP + "ft²");
        assertThat(zones).containsText("431" + NBSP + "ft²");
    }

    @Test
    public void two_browsers_on_one_plan_are_told_of_one_another() {
        Page mine = measure(1280, 800, "School");
        new Hands(mine).press("Put on the plan");
        length(mine, "A–B").waitFor();
        Page yours = measure(1280, 800, "School");
        // a screen where nobody types follows by itself
        length(yours, "C–D").fill("28' 1/8\"");
        length(yours, "C–D").press("Tab");
        assertThat(length(mine, "C–D")).hasValue("28' 1/8\"");
        // one where somebody does is told what changed
        length(mine, "A–B").fill("28' 1/4\"");
        length(yours, "B–C").fill("22' 1/4\"");
        yours.waitForResponse(
                r -> r.request().method().equals("PUT") && r.url().endsWith("/plan"),
                () -> length(yours, "B–C").press("Tab"));
        length(mine, "A–B").press("Tab");
        Locator told = mine.getByRole(AriaRole.ALERT);
        assertThat(told).containsText("Boiler house, wall B–C, length: 22' 0\" is now 22' 1/4\"");
        assertThat(length(mine, "A–B")).hasValue("28' 1/4\"");
        new Hands(mine).press("Take theirs");
        assertThat(length(mine, "B–C")).hasValue("22' 1/4\"");
        assertThat(length(mine, "A–B")).hasValue("28' 0\"");
    }

    /** What the plan was a moment ago arrives after what was changed since: the change stays. */
    @Test
    public void an_answer_that_was_overtaken_takes_nothing_back() {
        Page mine = measure(1280, 800, "Ropewalk");
        new Hands(mine).press("Put on the plan");
        length(mine, "A–B").waitFor();
        Deque<Runnable> held = new ArrayDeque<>();
        mine.route("**/plan", route -> {
            if (route.request().method().equals("GET") && held.isEmpty()) {
                APIResponse asked = route.fetch();
                held.add(() -> route.fulfill(new Route.FulfillOptions().setResponse(asked)));
            } else {
                route.resume();
            }
        });
        Page yours = measure(1280, 800, "Ropewalk");
        String before = length(yours, "B–C").inputValue();
        length(yours, "B–C").fill("5.61 m");
        length(yours, "B–C").press("Tab");
        // it is asked for, and comes late
        mine.waitForCondition(() -> !held.isEmpty());
        mine.getByText("Along the walls").click();
        Locator cove = mine.getByLabel("Cove", new Page.GetByLabelOptions().setExact(true))
                .first();
        cove.check();
        Locator told = mine.getByRole(AriaRole.ALERT);
        assertThat(told).containsText("wall B–C, length");
        mine.waitForResponse(r -> r.url().endsWith("/head"), () -> new Hands(mine).press("Save mine over it"));
        assertThat(told).not().isVisible();
        mine.waitForResponse(r -> r.url().endsWith("/plan"), () -> held.forEach(Runnable::run));
        // it has been read by the time that the next drawing but one is due
        mine.evaluate("() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))");
        assertThat(cove).isChecked();
        assertThat(length(mine, "B–C")).hasValue(before);
    }

    private Page potteryOnThePlan() {
        Page page = measure(1280, 800, "Pottery");
        Locator put = main(page).getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Put on the plan"));
        length(page, "A–B").or(put).first().waitFor();
        if (put.count() > 0) {
            put.first().click();
        }
        // the plan is there, and what is done next is done on it
        length(page, "A–B").waitFor();
        return page;
    }

    @Test
    public void a_cove_and_the_masking_film_have_their_measures() {
        Page page = potteryOnThePlan();
        page.getByText("Along the walls").click();
        page.getByLabel("Cove", new Page.GetByLabelOptions().setExact(true))
                .first()
                .check();
        Locator radius = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Cove of A–B"))
                .getByLabel("Radius");
        radius.fill("wide");
        radius.press("Tab");
        assertThat(main(page)).containsText("Radius: accepted is");
        radius.fill("50 mm");
        radius.press("Tab");
        assertThat(main(page)).not().containsText("Radius: accepted is");
        Locator film = page.getByLabel("Masking film, width");
        film.fill("1.2 m");
        page.waitForResponse(r -> r.request().method().equals("PUT"), () -> film.press("Tab"));
        page.reload();
        page.getByText("Along the walls").click();
        assertThat(radius).hasValue("50 mm");
        assertThat(film).hasValue("1.2 m");
        assertFit(page, "a cove");
    }

    /** 7.45 by 6.10 m, 100 mm thick: 3 m at most, so three panels by three and four cuts; a hollow of 4 mm in 1 m². */
    @Test
    public void saw_cuts_are_proposed_and_levels_keyed_in() {
        Page page = potteryOnThePlan();
        page.getByText("Saw cuts for a new slab").click();
        new Hands(page).fill("Thickness of the slab", "thin");
        new Hands(page).press("Propose");
        assertThat(main(page)).containsText("Accepted: a length from");
        new Hands(page).fill("Thickness of the slab", "100");
        new Hands(page).press("Propose");
        assertThat(main(page)).containsText("4 cuts");
        assertThat(main(page)).containsText("3.00" + NBSP + "m");
        new Hands(page).press("Put them on the plan");
        assertThat(main(page)).containsText("0 marked, 0 buried, 0 cut again of 4");
        page.getByText("Levels", new Page.GetByTextOptions().setExact(true)).click();
        new Hands(page).press("Key in levels");
        page.getByLabel("Apart").fill("1 m");
        page.getByLabel("Heights").fill("0, 0, 0\n0, -4, 0\n0, 0, high");
        page.getByLabel("Heights").press("Tab");
        assertThat(main(page)).containsText("high: accepted is a length from");
        page.getByLabel("Heights").fill("0, 0, 0\n0, -4, 0\n0, 0, 0");
        page.getByLabel("Heights").press("Tab");
        assertThat(main(page)).containsText("Low spot: 4" + NBSP + "mm deep, 1.0" + NBSP + "m², 4.00" + NBSP + "L");
        assertFit(page, "levels");
    }

    /** An L of 6 by 4 m less 2 by 1.5 m walked with a finger, 21 m² by hand; a corner dragged, the plan pinched nearer. */
    @Test
    public void a_room_is_walked_by_touch() {
        Page page = measure(390, 844, "Old tram shed");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("New room"))
                .tap();
        String[][] walls = {
            {"", "6 m"},
            {"Left, square", "2.5 m"},
            {"Left, square", "2 m"},
            {"Right, square", "1.5 m"},
            {"Left, square", "4 m"},
            {"Left, square", "4 m"}
        };
        for (String[] wall : walls) {
            if (!wall[0].isEmpty()) {
                page.getByLabel(wall[0], new Page.GetByLabelOptions().setExact(true))
                        .tap();
            }
            page.getByLabel("Length of the next wall").fill(wall[1]);
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add wall"))
                    .tap();
        }
        assertThat(main(page)).containsText("21.0" + NBSP + "m²");
        assertThat(length(page, "F–A")).hasValue("4 m");
        Locator corner = page.getByLabel("Corner B: arrows move it");
        corner.scrollIntoViewIfNeeded();
        BoundingBox box = corner.locator(".touch").boundingBox();
        int x = (int) (box.x + box.width / 2);
        int y = (int) (box.y + box.height / 2);
        var finger = page.context().newCDPSession(page);
        touch(finger, "touchStart", x, y);
        touch(finger, "touchMove", x - 10, y);
        touch(finger, "touchMove", x - 25, y);
        touch(finger, "touchEnd");
        assertThat(length(page, "A–B")).not().hasValue("6 m");
        // a tap in the same breath as a swipe is swallowed by the browser, as it is on a phone: a key is not
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo"))
                .press("Enter");
        assertThat(length(page, "A–B")).hasValue("6 m");
        String bar = page.locator("svg .bar text").textContent();
        touch(finger, "touchStart", 150, y, 250, y);
        touch(finger, "touchMove", 90, y, 310, y);
        touch(finger, "touchMove", 30, y, 360, y);
        touch(finger, "touchEnd");
        assertThat(page.locator("svg .bar text")).not().hasText(bar);
        assertThat(length(page, "A–B")).hasValue("6 m");
    }

    private static void touch(CDPSession finger, String type, int... xy) {
        var points = new JsonArray();
        for (int i = 0; i < xy.length; i += 2) {
            var point = new JsonObject();
            point.addProperty("x", xy[i]);
            point.addProperty("y", xy[i + 1]);
            point.addProperty("id", i);
            points.add(point);
        }
        var event = new JsonObject();
        event.addProperty("type", type);
        event.add("touchPoints", points);
        finger.send("Input.dispatchTouchEvent", event);
    }

    /** A garage of 24 by 20 ft with a bump-out of 6 by 2 ft, drawn in inches as loose lines: 492 ft², by hand. */
    @Test
    public void a_drawing_is_taken_over_and_what_is_no_drawing_is_not() {
        Page page = measure(1280, 800, "Ferry line");
        new Hands(page).press("From a drawing");
        Locator file = page.getByLabel("Drawing", new Page.GetByLabelOptions().setExact(true));
        file.setInputFiles(payload("plan.svg", "<svg/>"));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("XML or SVG");
        file.setInputFiles(payload("cut.dxf", GARAGE.substring(0, GARAGE.length() / 2)));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("it was cut short");
        file.setInputFiles(payload("garage.dxf", GARAGE));
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("288 by 264 of what?");
        page.getByLabel("Drawn in").selectOption("in");
        assertThat(page.getByLabel("Layer walls")).hasValue("ROOM");
        assertFit(page, "a drawing");
        new Hands(page).press("Put on the plan");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
        assertThat(main(page)).containsText("492" + NBSP + "ft²");
        new Hands(page).press("Undo");
        assertThat(main(page)).not().containsText("492" + NBSP + "ft²");
    }

    /** Levels from a file, a drain, a fall to it; a lip of 5/8 in asks for a ramp of 12 · 5/8 = 7.5 in. */
    @Test
    public void levels_come_from_a_file_and_fall_to_a_drain() {
        Page page = measure(1280, 800, "Boat-repair");
        page.getByText("Levels", new Page.GetByTextOptions().setExact(true)).click();
        Locator file = page.getByLabel("Levels from a file");
        file.setInputFiles(payload("levels.csv", "along [ft],off [ft],height [in]\n0,0,high\n"));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("line 2");
        // a hollow of 1/2 in over one square of 2 ft: 4 ft² · 1/24 ft = 1/6 ft³, 1.25 gal
        var csv = new StringBuilder("along [ft],off [ft],height [in]\n");
        for (int i = 0; i < 25; i++) {
            csv.append("%d,%d,%s\n".formatted(2 + 2 * (i % 5), 2 + 2 * (i / 5), i == 12 ? "-1/2" : "0"));
        }
        file.setInputFiles(payload("levels.csv", csv.toString()));
        assertThat(main(page)).containsText("Low spot: 0.50" + NBSP + "in deep, 4" + NBSP + "ft², 1.25" + NBSP + "gal");
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
        page.getByLabel("Fall to the drain").fill("1/8 in per ft");
        page.getByLabel("Fall to the drain").press("Tab");
        assertThat(main(page)).containsText("A fall needs a drain");
        page.getByText("Not coated", new Page.GetByTextOptions().setExact(true)).click();
        new Hands(page).press("Add: cut-out");
        page.locator("select:has(option[value=DRAIN])").first().selectOption("DRAIN");
        key(page, "Along A–B", "6'");
        key(page, "Off it", "6'");
        key(page, "Length or diameter", "1'");
        assertThat(main(page)).containsText("fill to fall to the drain");
        // where the drain is, the hollow runs off
        assertThat(main(page)).not().containsText("Low spot:");
        page.getByText("Lips", new Page.GetByTextOptions().setExact(true)).click();
        new Hands(page).press("Add: lip");
        key(page, "From: Along A–B", "0'");
        key(page, "From: Off it", "8'");
        key(page, "To: Along A–B", "0'");
        key(page, "To: Off it", "20'");
        key(page, "Height", "5/8\"");
        assertThat(main(page)).containsText("over 1/2 in: ramp it, 1:12 at most");
        assertThat(main(page)).containsText("7.50" + NBSP + "in");
        for (int i = 0; i < 3; i++) {
            new Hands(page).press("Undo");
        }
        assertThat(main(page)).not().containsText("ramp it, 1:12 at most");
    }

    private static void key(Page page, String label, String value) {
        Locator field = page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                .last();
        field.fill(value);
        field.press("Tab");
    }

    /** A zone on vinyl is held, with the caution that belongs to it; concrete again, it goes. */
    @Test
    public void a_zone_says_what_it_is_made_of() {
        Page page = openJob(1280, 800, "Ferry line");
        assertThat(main(page).locator(".verdict")).containsText("go");
        for (String[] made : new String[][] {{"VCT", "hold"}, {"BARE_CONCRETE", "go"}}) {
            new Hands(page).press("Edit zone");
            page.getByLabel("Made of").selectOption(made[0]);
            page.getByLabel("Used as").selectOption("PLANT");
            new Hands(page).press("Save zone");
            assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
            assertThat(main(page).locator(".verdict")).containsText(made[1]);
            if (made[1].equals("hold")) {
                assertThat(main(page)).containsText("asbestos");
            }
        }
    }

    /** A ring of 10 by 10 ft within a room of 25 by 20 ft: 100 and 400 ft², and the wheel brings it nearer. */
    @Test
    public void a_ring_parts_a_zone_within_the_floor() {
        Page page = measure(1280, 800, "Seed bank");
        new Hands(page).press("New room");
        for (String wall : new String[] {"25'", "l20'", "l25'", "l20'"}) {
            page.getByLabel("Length of the next wall").pressSequentially(wall);
            page.keyboard().press("Enter");
        }
        page.getByText("Zone lines").click();
        new Hands(page).press("Add: line");
        key(page, "From: Along A–B", "5'");
        key(page, "From: Off it", "5'");
        key(page, "To: Along A–B", "15'");
        key(page, "To: Off it", "5'");
        key(page, "And on through", "15', 15'; 5', 15'");
        page.getByLabel("Ring", new Page.GetByLabelOptions().setExact(true)).check();
        Locator zones = main(page).locator("section[aria-label^='Zones of Room']");
        assertThat(zones).containsText("9.3" + NBSP + "m²");
        assertThat(zones).containsText("37.2" + NBSP + "m²");
        String bar = page.locator("svg .bar text").textContent();
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Plan of Room"))
                .hover();
        for (int i = 0; i < 6; i++) {
            page.mouse().wheel(0, -200);
        }
        assertThat(page.locator("svg .bar text")).not().hasText(bar);
        new Hands(page).press("Whole room");
        assertThat(page.locator("svg .bar text")).hasText(bar);
        String svg = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Print"))
                .getAttribute("href");
        assertTrue(svg.contains("scale="), svg);
        assertEquals(page.request().get(app.address + svg).status(), 200);
    }

    private static FilePayload payload(String name, String text) {
        return new FilePayload(name, "application/octet-stream", text.getBytes(StandardCharsets.UTF_8));
    }

    /** Eight loose lines without a unit. */
    static final String GARAGE = garage();

    private static String garage() {
        int[][] c = {{0, 0}, {288, 0}, {288, 240}, {180, 240}, {180, 264}, {108, 264}, {108, 240}, {0, 240}};
        var dxf = new StringBuilder("0\nSECTION\n2\nENTITIES\n");
        for (int i = 0; i < c.length; i++) {
            int[] to = c[(i + 1) % c.length];
            dxf.append("0\nLINE\n8\nwalls\n10\n%d\n20\n%d\n11\n%d\n21\n%d\n".formatted(c[i][0], c[i][1], to[0], to[1]));
        }
        return dxf.append("0\nENDSEC\n0\nEOF\n").toString();
    }
}
