package openslab.server.system;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import openslab.core.product.ProductSheet;
import openslab.core.system.Candidate;
import openslab.core.system.FloorSystem;
import openslab.core.system.Way;
import openslab.server.product.SheetStore;
import org.springframework.stereotype.Component;

/** The systems that every floor is judged for. Their sheets are the ones on the shelf, as somebody may have edited them. */
@Component
public class Candidates {
    private record Shelved(Map<String, String> digests, List<Candidate> candidates) {}

    private final SheetStore sheets;
    private final Systems systems;
    private volatile Shelved shelved = new Shelved(Map.of(), List.of());

    Candidates(SheetStore sheets, Systems systems) {
        this.sheets = sheets;
        this.systems = systems;
    }

    /** With the sheets that stand on the shelf now; without those of which a sheet is missing there. */
    public List<Candidate> all() {
        Map<String, String> now = sheets.digests();
        Shelved known = shelved;
        if (!known.digests.equals(now)) {
            known = new Shelved(now, read(now));
            shelved = known;
        }
        return known.candidates;
    }

    private List<Candidate> read(Map<String, String> digests) {
        return systems.all().stream()
                .filter(f -> digests.keySet().containsAll(slugs(f)))
                .map(f -> of(f, digests))
                .toList();
    }

    private Candidate of(FloorSystem system, Map<String, String> digests) {
        List<ProductSheet> laid = slugs(system).stream()
                .map(slug -> sheets.of(digests.get(slug)).sheet())
                .toList();
        var ways = new ArrayList<Way>();
        for (int i = 0; i < laid.size(); i++) {
            ways.add(systems.way(system.usual().get(i).way(), laid.get(i)));
        }
        return new Candidate(system, laid, ways);
    }

    private static List<String> slugs(FloorSystem system) {
        return system.usual().stream().map(FloorSystem.Layer::sheet).toList();
    }
}
