package openslab.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.google.gson.Gson;
import com.google.gson.JsonObject;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.testng.annotations.Test;

/** Bay by bay over several floors of one room. */
public class BaysTest extends OnTheDemo {
    private static final Gson JSON = new Gson();

    private JsonObject send(Page page, String verb, String path, int version, Object body) {
        APIResponse answer = page.request()
                .fetch(
                        app.address + path,
                        RequestOptions.create()
                                .setMethod(verb)
                                .setHeader("Idempotency-Key", UUID.randomUUID().toString())
                                .setHeader("If-Match", "\"" + version + "\"")
                                .setHeader("Content-Type", "application/json")
                                .setData(body instanceof String s ? s : JSON.toJson(body)));
        assertTrue(answer.ok(), path + ": " + answer.text());
        return JSON.fromJson(answer.text(), JsonObject.class);
    }

    private static int version(JsonObject of) {
        return of.get("version").getAsInt();
    }

    /** The demo's kiln room, 7.45 × 6.1 m, cut in two across; the door that stays open is in the near part's wall. */
    String parted(Page page) {
        Page first = openJob(1280, 800, "Pottery kiln room");
        String[] at = first.url().replaceAll(".*#/job/", "").split("/");
        String job = "/api/jobs/" + at[0];
        String zone = at[1];
        send(page, "POST", job + "/zones/" + zone + "/walk", 0, Map.of());
        JsonObject plan =
                JSON.fromJson(page.request().get(app.address + job + "/plan").text(), JsonObject.class);
        JsonObject form = plan.getAsJsonObject("form");
        JsonObject room = form.getAsJsonArray("rooms").get(0).getAsJsonObject();
        String wall =
                room.getAsJsonArray("runs").get(3).getAsJsonObject().get("id").getAsString();
        room.add(
                "cuts",
                JSON.toJsonTree(List.of(Map.of(
                        "id",
                        "c1",
                        "from",
                        Map.of("along", "4 m", "off", "1 m"),
                        "to",
                        Map.of("along", "4 m", "off", "2 m")))));
        room.add(
                "doors",
                JSON.toJsonTree(
                        List.of(Map.of("id", "d1", "run", wall, "along", "2 m", "width", "1 m", "exit", true))));
        send(page, "PUT", job + "/plan", version(plan), JSON.toJson(form));
        JsonObject now =
                JSON.fromJson(page.request().get(app.address + job + "/plan").text(), JsonObject.class);
        Map<String, Object> store = Map.of(
                "name",
                "Clay store",
                "shape",
                "plan",
                "sides",
                Map.of(),
                "substrate",
                "BARE_CONCRETE",
                "use",
                "GARAGE",
                "exposure",
                "INDOORS",
                "dust",
                true,
                "washWater",
                true,
                "limits",
                List.of(),
                "settings",
                Map.of("pace", "0.5 m²/min", "share", "80", "allowance", "10 %"));
        send(
                page,
                "POST",
                job + "/plan/zones",
                version(now),
                Map.of(
                        "roomId",
                        room.get("id").getAsString(),
                        "in",
                        Map.of("along", "6 m", "off", "3 m"),
                        "zone",
                        store));
        return app.address + "/#/job/" + at[0] + "/" + zone;
    }

    @Test
    public void a_room_of_two_floors_is_walked_from_behind() {
        Page page = app.page(390, 844);
        String kiln = parted(page);
        page.navigate(kiln + "/primer/bays");
        Locator main = main(page);
        assertThat(main).containsText("2 floors of one room");
        assertThat(main).containsText("Clay store, then Kiln room");
        assertFit(page, "bays of two floors");
        Locator bay = page.getByLabel("The bay");
        assertThat(bay).containsText("Clay store, bay 1");
        // which is mixed for on its own floor
        page.getByText("Mix for it on Clay store").click();
        assertThat(page.getByText("Leave the card")).isVisible();
        page.navigate(kiln + "/primer/bays");
        Locator rows = main.getByRole(AriaRole.LISTITEM);
        rows.last().getByRole(AriaRole.BUTTON).click();
        assertThat(bay).containsText("Kiln room, bay");
    }
}
