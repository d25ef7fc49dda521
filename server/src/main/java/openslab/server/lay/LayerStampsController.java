package openslab.server.lay;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import openslab.core.floor.Outline.Corner;
import openslab.core.job.LayerChoice;
import openslab.core.job.Stamping;
import openslab.core.layout.stamp.StampRules;
import openslab.core.layout.stamp.Stamps;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Refusal;
import openslab.server.job.KnownZone;
import openslab.server.job.ZoneReader;
import openslab.server.prep.PaceStore;
import openslab.server.store.Writes;
import openslab.server.web.NotHere;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The floor in mats, where a layer is stamped. */
@RestController
@RequestMapping("/api/jobs/{jobId}/zones/{zoneId}/stages/layers/{layerId}/stamps")
class LayerStampsController {
    /**
     * @param undrawn why it is not drawn, as where a room grew since; empty where it is
     * @param most stamped while its window is open; empty where no slab temperature says how long that is
     * @param out the way out; {@code floor} its parts, each its outer ring first
     */
    record LayerStamps(
            long changes,
            StampForm form,
            String undrawn,
            Stamps stamps,
            Optional<Figure> most,
            Corner out,
            List<List<List<Corner>>> floor) {}

    private final ZoneReader reader;
    private final StampStore store;
    private final PaceStore paces;
    private final ZoneBays bays;
    private final Writes writes;

    LayerStampsController(ZoneReader reader, StampStore store, PaceStore paces, ZoneBays bays, Writes writes) {
        this.reader = reader;
        this.store = store;
        this.paces = paces;
        this.bays = bays;
        this.writes = writes;
    }

    @GetMapping
    LayerStamps stamps(@PathVariable UUID jobId, @PathVariable UUID zoneId, @PathVariable String layerId) {
        return reader.zone(jobId, zoneId, zone -> {
            StampForm form = store.find(PlankLayouts.of(zone, layerId)).orElseGet(() -> StampForm.usual(zone.units()));
            return stamps(zone, layerId, form, false);
        });
    }

    /** Mats have no version: the last who says so is right. */
    @PutMapping
    LayerStamps lay(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @PathVariable String layerId,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestBody StampForm form) {
        writes.onceIn(jobId, key, List.of("stamps", zoneId, layerId, form), () -> {
            LayerKey of = reader.zone(jobId, zoneId, zone -> {
                stamps(zone, layerId, form, true);
                return PlankLayouts.of(zone, layerId);
            });
            store.put(of, form);
            return layerId;
        });
        return stamps(jobId, zoneId, layerId);
    }

    /** @param strict whether one that cannot be drawn is refused; else it is told why */
    private LayerStamps stamps(KnownZone zone, String layerId, StampForm form, boolean strict) {
        StampRules rules = form.read(zone.units());
        LayerChoice layer = zone.facts().layers().stream()
                .filter(l -> l.id().equals(layerId))
                .findFirst()
                .orElseThrow(() -> new NotHere("layerId", layerId));
        Stamping stamping = Stamping.of(zone.facts(), layer, paces.all(), zone.units(), zone.now())
                .orElseThrow(() -> new NotHere("stamps of layerId", layerId));
        Corner out = bays.out(zone);
        List<List<List<Corner>>> floor = bays.ground(zone).parts(zone.facts().id());
        String undrawn = "";
        Stamps stamps;
        try {
            stamps = Stamps.of(floor, out, rules, stamping.most(), stamping.paceM2PerMin(), zone.units());
        } catch (Refusal e) {
            if (strict) {
                throw e;
            }
            undrawn = e.told();
            stamps = Stamps.none(zone.units());
        }
        return new LayerStamps(zone.job().changes(), form, undrawn, stamps, stamping.most(), out, floor);
    }
}
