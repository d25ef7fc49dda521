package openslab.server.lay;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.job.LayerBatches;
import openslab.core.job.LayerReport;
import openslab.core.job.Mark;
import openslab.core.layout.bay.Bays;
import openslab.core.mix.BatchPlan;
import openslab.server.job.KnownZone;

/**
 * The bays of a floor as one layer is put on in them.
 *
 * @param bays in the order in which they are coated
 * @param floor its parts, each its outer ring first; {@code joints} on it
 * @param out the way out; {@code drawn} whether somebody drew it
 * @param shut names of bays that nobody gets to from there
 * @param next index of the bay that comes next; all of them where all are on
 */
record LayerBays(
        long changes,
        List<BayView> bays,
        List<List<List<Corner>>> floor,
        List<List<Corner>> joints,
        Corner out,
        boolean drawn,
        List<String> shut,
        int next) {
    /** @param batches which batches are for it: "batch 2", "batches 3 to 5"; empty where none are planned */
    record BayView(Bays.Laid laid, String batches, Mark mark) {}

    /** OURS: what keeps in its can is put on from wet edge to wet edge, half an hour at a time. */
    private static final double WET_EDGE_MIN = 30;

    static LayerBays of(KnownZone zone, LayerReport layer, LayerBatches batches, ZoneBays zoneBays) {
        double most = batches.plan().map(p -> p.most().base()).orElse(ZoneBays.pace(zone) * WET_EDGE_MIN);
        Bays bays = zoneBays.of(zone, most);
        boolean on = layer.mark() == Mark.DONE || layer.started() == LayerReport.Started.COATED;
        int logged = batches.logged().size();
        var views = new ArrayList<BayView>();
        int next = on ? bays.bays().size() : -1;
        for (int i = 0; i < bays.bays().size(); i++) {
            int at = i;
            var run = batches.plan().flatMap(p -> p.runs().stream()
                    .filter(r -> r.from() <= at && at < r.to())
                    .findFirst());
            Mark mark = on ? Mark.DONE : run.map(r -> mark(r, logged)).orElse(Mark.NOT_STARTED);
            if (next < 0 && mark != Mark.DONE) {
                next = i;
            }
            views.add(new BayView(bays.bays().get(i), run.map(LayerBays::words).orElse(""), mark));
        }
        return new LayerBays(
                zone.job().changes(),
                views,
                zone.facts().shape().parts(),
                zoneBays.joints(zone),
                bays.out(),
                bays.drawn(),
                bays.shut(),
                next < 0 ? views.size() : next);
    }

    private static Mark mark(BatchPlan.BatchRun run, int logged) {
        return logged >= run.last() ? Mark.DONE : logged >= run.first() ? Mark.IN_HAND : Mark.NOT_STARTED;
    }

    private static String words(BatchPlan.BatchRun run) {
        return run.first() == run.last() ? "batch " + run.first() : "batches " + run.first() + " to " + run.last();
    }
}
