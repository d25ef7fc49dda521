package openslab.server.buildup;

import java.util.List;
import java.util.Map;
import openslab.core.buildup.Candidate;
import openslab.server.product.SheetStore;
import openslab.server.store.Shipped;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/**
 * The build-ups that every floor is judged for: one JSON file each under {@code catalogue/candidates}, one line each in
 * {@code catalogue/candidates.txt}. Their sheets are the ones on the shelf, as somebody may have edited them.
 */
@Component
public class Candidates {
    private record Shelved(Map<String, String> digests, List<Candidate> candidates) {}

    /** @param layers slugs of sheets, from the slab upward */
    private record Form(String id, String title, String note, List<String> layers) {
        Form called(String name) {
            return new Form(name, title, note, layers);
        }
    }

    private final SheetStore sheets;
    private final List<Form> forms;
    private volatile Shelved shelved = new Shelved(Map.of(), List.of());

    Candidates(SheetStore sheets, ObjectMapper json) {
        this.sheets = sheets;
        this.forms = Shipped.lines("catalogue/candidates.txt").stream()
                .map(id -> json.readValue(Shipped.text("catalogue/candidates/" + id + ".json"), Form.class)
                        .called(id))
                .toList();
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
        return forms.stream()
                .filter(f -> digests.keySet().containsAll(f.layers()))
                .map(f -> new Candidate(
                        f.id(),
                        f.title(),
                        f.note(),
                        f.layers().stream()
                                .map(slug -> sheets.of(digests.get(slug)).sheet())
                                .toList()))
                .toList();
    }
}
