package openslab.server.product;

import java.util.UUID;
import openslab.server.store.Shipped;
import openslab.server.store.Writes;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/**
 * The generic sheets that ship with the application: one JSON file each under {@code catalogue/sheets}, one line each in
 * {@code catalogue/sheets.txt}. Put on the shelf at the first start; never over a sheet that somebody edited.
 */
@Component
@Order(1)
public class Catalogue implements ApplicationRunner {
    private final SheetStore sheets;
    private final Writes writes;
    private final ObjectMapper json;

    Catalogue(SheetStore sheets, Writes writes, ObjectMapper json) {
        this.sheets = sheets;
        this.writes = writes;
        this.json = json;
    }

    @Override
    public void run(ApplicationArguments args) {
        for (String slug : Shipped.lines("catalogue/sheets.txt")) {
            SheetForm form = json.readValue(Shipped.text("catalogue/sheets/" + slug + ".json"), SheetForm.class);
            if (sheets.onShelf(slug).isEmpty()) {
                writes.once(UUID.randomUUID(), form, () -> sheets.shelve(form));
            }
        }
    }
}
