package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Papers are kept where they are needed: with the job in its logbook, with a product on the shelf. */
public class DocumentsTest extends OnTheDemo {
    private static final FilePayload PERMIT =
            new FilePayload("scan0007.pdf", "application/pdf", "%PDF-1.7 permit".getBytes(StandardCharsets.US_ASCII));
    private static final FilePayload WORDS =
            new FilePayload("notes.pdf", "application/pdf", "no page at all".getBytes(StandardCharsets.US_ASCII));

    @DataProvider
    Object[][] keepers() {
        return new Object[][] {{1280, 800, "log"}, {390, 844, "log"}, {1280, 800, "shelf"}, {390, 844, "shelf"}};
    }

    private Page at(int width, int height, String keeper) {
        if (keeper.equals("shelf")) {
            Page page = app.page(width, height);
            page.navigate(app.address + "/#/shelf/epoxy-body-coat");
            assertThat(page.getByText("data sheet.pdf").first()).isVisible();
            return page;
        }
        Page page = openJob(width, height, "Boat");
        var hands = new Hands(page);
        hands.openDoor();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Logbook"))
                .click();
        page.getByText("Documents").first().click();
        assertThat(page.getByText("as measured.pdf").first()).isVisible();
        return page;
    }

    @Test(dataProvider = "keepers")
    public void a_paper_is_kept_named_and_put_away(int width, int height, String keeper) {
        Page page = at(width, height, keeper);
        var hands = new Hands(page);
        page.locator("input[type=file]").first().setInputFiles(PERMIT);
        Locator link = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("scan0007.pdf"));
        assertThat(link).isVisible();
        assertEquals(page.request().get(app.address + link.getAttribute("href")).text(), "%PDF-1.7 permit");
        assertFit(page, "documents");
        // what is no document is told, and what is there stays
        page.locator("input[type=file]").first().setInputFiles(WORDS);
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("a PDF, or a JPEG or PNG picture");
        hands.press("Rename scan0007.pdf");
        hands.fill("Call it", "");
        hands.press("Save");
        assertThat(page.getByText("1 to 120 characters")).isVisible();
        hands.fill("Call it", "Permit, signed");
        hands.press("Save");
        Locator named = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Permit, signed"));
        assertThat(named).isVisible();
        hands.press("Put away Permit, signed");
        assertThat(named).isHidden();
        page.reload();
        if (keeper.equals("log")) {
            page.getByText("Documents").first().click();
        }
        page.getByText(Pattern.compile("\\d put away")).click();
        hands.press("Take out again Permit, signed");
        assertThat(hands.button("Put away Permit, signed")).isVisible();
        hands.press("Put away Permit, signed");
        assertThat(hands.button("Take out again Permit, signed")).isVisible();
    }
}
