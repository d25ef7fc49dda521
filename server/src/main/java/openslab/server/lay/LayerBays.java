package openslab.server.lay;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.job.LayerBatches;
import openslab.core.job.LayerReport;
import openslab.core.job.Mark;
import openslab.core.job.OntoBay;
import openslab.core.layout.Ground;
import openslab.core.layout.bay.Bays;
import openslab.core.layout.bay.FloorOrder;
import openslab.core.mix.BatchPlan;
import openslab.core.mix.Bay;
import openslab.core.mix.Front;
import openslab.server.job.KnownJob;
import openslab.server.job.KnownZone;
import openslab.server.web.NotHere;

/**
 * The floors that get one material in one room, in the bays that it is put on in; none where a patch is made good.
 *
 * @param floors the one that is coated first stands first
 * @param here which of them was asked for
 */
record LayerBays(long changes, List<FloorBays> floors, int here) {
    /**
     * One floor.
     *
     * @param layerId which of its layers it is
     * @param bays in the order in which they are coated; {@code onto} how it gets onto each
     * @param floor its parts, each its outer ring first; {@code joints} on it
     * @param outs the ways out, one for each part that lies by itself; {@code drawn} whether somebody drew them all
     * @param over the floor that it is left over; empty where it has a way out of its own
     * @param shut names of bays that nobody gets to from there
     * @param next index of the bay that comes next; all of them where all are on
     */
    record FloorBays(
            String zoneId,
            String zone,
            String layerId,
            List<BayView> bays,
            OntoBay onto,
            List<List<List<Corner>>> floor,
            List<List<Corner>> joints,
            List<Corner> outs,
            boolean drawn,
            Optional<Over> over,
            List<String> shut,
            int next) {}

    /** @param batches which batches are for it: "batch 2", "batches 3 to 5"; empty where none are planned */
    record BayView(Bays.Laid laid, String batches, Mark mark) {}

    /**
     * The floor that another is left over.
     *
     * @param wetUntil when somebody may walk on what lies on it; empty where somebody may now
     * @param begun whether the same was put on there already, so that whoever coats the floor behind it is shut in
     */
    record Over(String zone, Optional<Instant> wetUntil, boolean begun) {}

    /** OURS: what keeps in its can is put on from wet edge to wet edge, half an hour at a time. */
    private static final double WET_EDGE_MIN = 30;

    /** @throws NotHere where {@code zone} has no such layer */
    static LayerBays of(KnownJob job, KnownZone zone, String layerId, ZoneBays zoneBays) {
        return new Telling(job, zone, layer(zone, layerId), zoneBays).bays();
    }

    private static LayerReport layer(KnownZone zone, String layerId) {
        return zone.report().layers().stream()
                .filter(l -> l.id().equals(layerId))
                .findFirst()
                .orElseThrow(() -> new NotHere("layerId", layerId));
    }

    private record Telling(KnownJob job, KnownZone zone, LayerReport layer, ZoneBays zoneBays) {
        LayerBays bays() {
            if (ZoneBays.isPatch(zone)) {
                return new LayerBays(job.stored().changes(), List.of(), 0);
            }
            Ground ground = zoneBays.ground(zone);
            String id = zone.facts().id();
            var floors = new ArrayList<FloorBays>();
            int here = 0;
            for (FloorOrder.Left left : FloorOrder.of(ground).floors()) {
                if (left.zoneId().equals(id)) {
                    here = floors.size();
                    floors.add(floor(zone, layer, ground, left));
                } else if (ground.isOneRoom(id, left.zoneId())) {
                    KnownZone other = known(left.zoneId());
                    same(other).ifPresent(l -> floors.add(floor(other, l, ground, left)));
                }
            }
            return new LayerBays(job.stored().changes(), floors, here);
        }

        private KnownZone known(String id) {
            return job.zones().stream()
                    .filter(z -> z.facts().id().equals(id))
                    .findFirst()
                    .orElseThrow();
        }

        /** The same material, in the same place of what goes on. */
        private Optional<LayerReport> same(KnownZone other) {
            return ZoneBays.isPatch(other)
                    ? Optional.empty()
                    : other.report().layers().stream()
                            .filter(l -> l.role() == layer.role()
                                    && l.sheet().slug().equals(layer.sheet().slug()))
                            .findFirst();
        }

        private FloorBays floor(KnownZone of, LayerReport l, Ground ground, FloorOrder.Left left) {
            LayerBatches batches = LayerBatches.of(
                    of.facts(),
                    l,
                    of.report().layers(),
                    m2 -> ZoneBays.batches(of, ground, left, m2),
                    of.units(),
                    of.now());
            double most = batches.plan().map(p -> p.most().base()).orElse(ZoneBays.pace(of) * WET_EDGE_MIN);
            Bays bays = ZoneBays.of(of, ground, left, most);
            boolean on = l.mark() == Mark.DONE || l.started() == LayerReport.Started.COATED;
            Front front = Front.of(
                    bays.bays().stream()
                            .map(b -> new Bay(b.name(), b.area().base()))
                            .toList(),
                    l.used().map(u -> u.covered().base()).orElse(0.0));
            var views = new ArrayList<BayView>();
            int next = on ? bays.bays().size() : -1;
            for (int i = 0; i < bays.bays().size(); i++) {
                int at = i;
                var run = batches.plan().flatMap(p -> p.runs().stream()
                        .filter(r -> r.from() <= at && at < r.to())
                        .findFirst());
                Mark mark = on ? Mark.DONE : mark(front, i);
                if (next < 0 && mark != Mark.DONE) {
                    next = i;
                }
                views.add(
                        new BayView(bays.bays().get(i), run.map(Telling::words).orElse(""), mark));
            }
            return new FloorBays(
                    left.zoneId(),
                    of.facts().name(),
                    l.id(),
                    views,
                    OntoBay.of(of.facts(), l.id(), of.units()),
                    ground.parts(left.zoneId()),
                    ground.joints(left.zoneId()),
                    bays.outs(),
                    bays.drawn(),
                    left.over().stream().findFirst().map(this::known).map(this::over),
                    bays.shut(),
                    next < 0 ? views.size() : next);
        }

        private Over over(KnownZone other) {
            boolean begun = same(other)
                    .filter(l -> l.started() == LayerReport.Started.COATED || l.batchesLogged() > 0)
                    .isPresent();
            return new Over(other.facts().name(), other.report().wetUntil(job.now()), begun);
        }

        private static Mark mark(Front front, int bay) {
            return bay < front.whole()
                    ? Mark.DONE
                    : bay == front.whole() && front.inNextM2() > 0 ? Mark.IN_HAND : Mark.NOT_STARTED;
        }

        private static String words(BatchPlan.BatchRun run) {
            return run.first() == run.last() ? "batch " + run.first() : "batches " + run.first() + " to " + run.last();
        }
    }
}
