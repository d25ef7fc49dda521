package openslab.server.system;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import openslab.core.product.ProductSheet;
import openslab.core.system.FloorSystem;
import openslab.core.system.Way;
import openslab.core.system.Ways;
import openslab.server.store.Shipped;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/**
 * The systems that ship with the application: one JSON file each under {@code catalogue/systems}, one line each in
 * {@code catalogue/systems.txt}; ways of laying that several share under {@code catalogue/ways}.
 */
@Component
public class Systems {
    private final Map<String, SystemForm> forms = new LinkedHashMap<>();
    private final Map<String, FloorSystem> systems = new LinkedHashMap<>();
    private final Map<String, Way> ways = new TreeMap<>();

    public Systems(ObjectMapper json) {
        for (String id : Shipped.lines("catalogue/ways.txt")) {
            String text = Shipped.text("catalogue/ways/" + id + ".json");
            ways.put(id, new SystemReader(ways.keySet()).way(id, json.readValue(text, SystemForm.WayForm.class)));
        }
        for (String id : Shipped.lines("catalogue/systems.txt")) {
            SystemForm form = json.readValue(Shipped.text("catalogue/systems/" + id + ".json"), SystemForm.class);
            var read = new SystemReader(ways.keySet()).read(form);
            forms.put(id, form);
            systems.put(id, read.system());
            read.ways().forEach(w -> ways.put(w.id(), w));
        }
    }

    /** In the order of the list. */
    public List<FloorSystem> all() {
        return List.copyOf(systems.values());
    }

    /** As they are written in their files. */
    List<SystemForm> forms() {
        return new ArrayList<>(forms.values());
    }

    /** Empty where there is none of this id, or none any more. */
    public Optional<FloorSystem> find(String id) {
        return Optional.ofNullable(systems.get(id));
    }

    /** How a layer is laid; as its material usually is where nobody said, or where that way is no more. */
    public Way way(String id, ProductSheet sheet) {
        Way known = ways.get(id);
        return known == null ? Ways.usual(sheet) : known;
    }

    /** The ids of all ways there are. */
    public List<String> ways() {
        return List.copyOf(ways.keySet());
    }
}
