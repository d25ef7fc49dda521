package openslab.server.system;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import openslab.core.floor.Substrate;
import openslab.core.job.Stratum;
import openslab.core.product.ProductSheet;
import openslab.core.system.FloorSystem;
import openslab.core.system.Way;
import openslab.core.system.Ways;
import openslab.server.store.Shipped;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/**
 * The systems there are. Those that ship with the application are files: one JSON file each under {@code catalogue/systems}, one line each in
 * {@code catalogue/systems.txt}; ways of laying that several share under {@code catalogue/ways}. With them those that the shop made.
 */
@Component
public class Systems {
    /**
     * A system as it is offered.
     *
     * @param version of it where it is the shop's own; 0 for one that ships
     * @param made what is drilled through where it is first made for
     */
    record Listed(SystemForm form, int version, Stratum.Made made) {
        static Listed of(SystemForm form, int version, FloorSystem system) {
            Substrate first = system.on().stream()
                    .filter(s -> !system.besides().contains(s))
                    .findFirst()
                    .orElseGet(() -> system.on().iterator().next());
            return new Listed(form, version, Stratum.Made.of(first));
        }
    }

    private record Known(Map<String, Listed> listed, Map<String, FloorSystem> systems, Map<String, Way> ways) {
        Known copy() {
            return new Known(new LinkedHashMap<>(listed), new LinkedHashMap<>(systems), new TreeMap<>(ways));
        }
    }

    /** The ways that several systems may share. */
    private final Set<String> shared;

    private volatile Known known = new Known(new LinkedHashMap<>(), new LinkedHashMap<>(), new TreeMap<>());

    public Systems(ObjectMapper json) {
        for (String id : Shipped.lines("catalogue/ways.txt")) {
            String text = Shipped.text("catalogue/ways/" + id + ".json");
            known.ways.put(id, new SystemReader(Set.of()).way(id, json.readValue(text, SystemForm.WayForm.class)));
        }
        shared = Set.copyOf(known.ways.keySet());
        for (String id : Shipped.lines("catalogue/systems.txt")) {
            take(json.readValue(Shipped.text("catalogue/systems/" + id + ".json"), SystemForm.class), 0);
        }
    }

    /** Offers a system from now on; the ways of its earlier versions stay known, since floors are laid by them. */
    final synchronized void take(SystemForm form, int version) {
        SystemReader.Read read = new SystemReader(shared).read(form, version);
        Known next = known.copy();
        next.listed.put(form.id(), Listed.of(form, version, read.system()));
        next.systems.put(form.id(), read.system());
        read.ways().forEach(w -> next.ways.put(w.id(), w));
        known = next;
    }

    /** @throws openslab.core.quantity.InvalidInput with every fault at once */
    void check(SystemForm form) {
        new SystemReader(shared).read(form, 1);
    }

    boolean isShipped(String id) {
        Listed listed = known.listed.get(id);
        return listed != null && listed.version() == 0;
    }

    /** 0 where there is none of this id. */
    int version(String id) {
        Listed listed = known.listed.get(id);
        return listed == null ? 0 : listed.version();
    }

    /** In the order of the list, the shop's own last. */
    public List<FloorSystem> all() {
        return List.copyOf(known.systems.values());
    }

    /** As they are written. */
    List<Listed> listed() {
        return List.copyOf(known.listed.values());
    }

    /** Empty where there is none of this id, or none any more. */
    public Optional<FloorSystem> find(String id) {
        return Optional.ofNullable(known.systems.get(id));
    }

    /** How a layer is laid; as its material usually is where nobody said, or where that way is no more. */
    public Way way(String id, ProductSheet sheet) {
        Way way = known.ways.get(id);
        return way == null ? Ways.usual(sheet) : way;
    }

    /** The ids of all ways there are. */
    public List<String> ways() {
        return List.copyOf(known.ways.keySet());
    }

    /** The ids of the ways that any system may use. */
    List<String> shared() {
        return shared.stream().sorted().toList();
    }
}
