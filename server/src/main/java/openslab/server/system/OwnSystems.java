package openslab.server.system;

import jakarta.annotation.PostConstruct;
import java.util.List;
import java.util.UUID;
import openslab.core.quantity.Faults;
import openslab.core.quantity.InvalidInput;
import openslab.server.product.SheetStore;
import openslab.server.store.Writes;
import openslab.server.web.StaleWrite;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.ObjectMapper;

/** The systems that a shop made itself: checked like those that ship, kept in every version. */
@Component
class OwnSystems {
    private record Row(String id, int version, String body) {}

    private static final Logger LOG = LoggerFactory.getLogger(OwnSystems.class);

    private final JdbcClient db;
    private final ObjectMapper json;
    private final Systems systems;
    private final SheetStore sheets;
    private final Writes writes;

    OwnSystems(JdbcClient db, ObjectMapper json, Systems systems, SheetStore sheets, Writes writes) {
        this.db = db;
        this.json = json;
        this.systems = systems;
        this.sheets = sheets;
        this.writes = writes;
    }

    @PostConstruct
    void read() {
        db.sql("select id, version, body from own_system order by id, version")
                .query(Row.class)
                .list()
                .forEach(this::take);
    }

    /** One that an older version stored and this one cannot read is told and passed over: it must not keep anybody from his jobs. */
    private void take(Row row) {
        try {
            systems.take(json.readValue(row.body(), SystemForm.class), row.version());
        } catch (InvalidInput | JacksonException e) {
            LOG.warn(
                    "The shop's own system {}, version {}, is not offered: {}",
                    row.id(),
                    row.version(),
                    e.getMessage());
        }
    }

    /**
     * @param seen the version that was edited; 0 for a new one
     * @throws openslab.core.quantity.InvalidInput with every fault at once
     * @throws StaleWrite where somebody was faster
     */
    synchronized void put(UUID key, int seen, SystemForm form) {
        writes.once(key, List.of("system", seen, form), () -> {
            check(form);
            int now = systems.version(form.id());
            if (now != seen) {
                throw new StaleWrite(
                        seen == 0
                                ? "There is a system of this name already."
                                : "This was changed meanwhile: you saw version " + seen + ", it is now version " + now
                                        + ".",
                        List.of(new StaleWrite.Change("version", String.valueOf(seen), String.valueOf(now))));
            }
            db.sql("insert into own_system (id, version, body) values (:id, :version, :body)")
                    .param("id", form.id())
                    .param("version", seen + 1)
                    .param("body", json.writeValueAsString(form))
                    .update();
            return form.id();
        });
        if (systems.version(form.id()) == seen) {
            systems.take(form, seen + 1);
        }
    }

    private void check(SystemForm form) {
        systems.check(form);
        var faults = new Faults();
        if (systems.isShipped(form.id())) {
            faults.add("id", form.id(), "a name that no system has that came with Open Slab");
        }
        for (int i = 0; i < form.layers().size(); i++) {
            SystemForm.LayerPart layer = form.layers().get(i);
            for (String slug : layer.water() == null ? List.of(layer.sheet()) : List.of(layer.sheet(), layer.water())) {
                if (sheets.onShelf(slug).isEmpty()) {
                    faults.add("layers[" + i + "].sheet", slug, "a sheet that stands on the shelf");
                }
            }
        }
        faults.check();
    }
}
