package openslab.server.system;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import openslab.core.job.ZoneFacts;
import openslab.core.practice.Place;
import openslab.core.practice.Practices;
import openslab.core.product.ProductSheet;
import openslab.core.system.Candidate;
import openslab.core.system.FloorSystem;
import openslab.core.system.Way;
import openslab.server.product.SheetStore;
import org.springframework.stereotype.Component;

/** The systems that every floor is judged for. Their sheets are the ones on the shelf, as somebody may have edited them. */
@Component
public class Candidates {
    private final SheetStore sheets;
    private final Systems systems;

    Candidates(SheetStore sheets, Systems systems) {
        this.sheets = sheets;
        this.systems = systems;
    }

    /**
     * With the sheets that stand on the shelf now, as they are taken there; without those of which a sheet is missing.
     *
     * @param followed schools that say which layers are laid on {@code place} where nobody says more
     */
    public List<Candidate> of(Practices followed, Place place) {
        Map<String, String> now = sheets.digests();
        var candidates = new ArrayList<Candidate>();
        for (FloorSystem system : systems.all()) {
            List<FloorSystem.Layer> laid = followed.proposed(system, place);
            if (laid.stream().allMatch(l -> now.containsKey(l.sheet()))) {
                candidates.add(of(system, laid, followed, now));
            }
        }
        return candidates;
    }

    /** For a floor, by the schools that it follows. */
    public List<Candidate> of(ZoneFacts zone) {
        return of(zone.settings().practices(), zone.surroundings());
    }

    private Candidate of(
            FloorSystem system, List<FloorSystem.Layer> layers, Practices followed, Map<String, String> digests) {
        var laid = new ArrayList<ProductSheet>();
        var ways = new ArrayList<Way>();
        for (FloorSystem.Layer layer : layers) {
            ProductSheet sheet = sheets.of(digests.get(layer.sheet())).sheet();
            laid.add(followed.taken(sheet));
            ways.add(systems.way(layer.way(), sheet));
        }
        return new Candidate(system, laid, ways);
    }
}
