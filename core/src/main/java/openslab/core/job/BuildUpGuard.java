package openslab.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Show;

/** What of a build-up may be changed: what was already done stays as it was done. */
public final class BuildUpGuard {
    /** More coats than this nobody lays in one cycle. */
    public static final int MOST_LAYERS = 30;

    private BuildUpGuard() {}

    /**
     * Whether {@code next} may stand in the place of what goes on in this cycle.
     *
     * @throws openslab.core.quantity.InvalidInput naming the layers that were begun and are missing, moved, or of another sheet, and
     *     those that would lie below what is on already
     */
    public static void require(ZoneFacts zone, List<LayerChoice> next) {
        var faults = new Faults();
        if (next.size() > MOST_LAYERS) {
            faults.add("layers", next.size() + " layers", "at most " + MOST_LAYERS);
        }
        if (next.stream().map(LayerChoice::id).distinct().count() < next.size()) {
            faults.add("layers", "one id twice", "layers each of another id");
        }
        List<LayerChoice> begun = zone.begun();
        var kept = new ArrayList<String>();
        int top = -1;
        for (LayerChoice was : begun) {
            Optional<LayerChoice> is =
                    next.stream().filter(l -> l.id().equals(was.id())).findFirst();
            if (is.isEmpty()) {
                faults.add("layers", was.id(), "the " + Show.lower(was.title()) + " stays: it was begun in this cycle");
                continue;
            }
            if (!is.get().sheet().equals(was.sheet()) || !is.get().way().equals(was.way())) {
                faults.add(
                        "layers",
                        is.get().sheet().name(),
                        "the " + Show.lower(was.title()) + " stays as it was begun: of "
                                + was.sheet().name());
            }
            kept.add(was.id());
            top = Math.max(top, next.indexOf(is.get()));
        }
        List<String> below = next.subList(0, top + 1).stream()
                .map(LayerChoice::id)
                .filter(id -> begun.stream().anyMatch(l -> l.id().equals(id)))
                .toList();
        if (!below.equals(kept)) {
            faults.add(
                    "layers",
                    String.join(", ", below),
                    "in the order in which they were begun: " + String.join(", ", kept));
        }
        slipped(zone, next, top)
                .ifPresent(l -> faults.add(
                        "layers",
                        l.id(),
                        "the " + Show.lower(l.title())
                                + " goes above what was begun: nothing is laid below it any more"));
        faults.check();
    }

    /** A layer that did not stand there and would lie below what was begun. */
    private static Optional<LayerChoice> slipped(ZoneFacts zone, List<LayerChoice> next, int top) {
        return next.subList(0, top + 1).stream()
                .filter(l -> zone.layers().stream().noneMatch(w -> w.id().equals(l.id())))
                .findFirst();
    }
}
