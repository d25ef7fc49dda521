package openslab.server.lay;

import java.util.List;
import java.util.UUID;
import openslab.server.job.Jobs;
import openslab.server.job.ZoneReader;
import openslab.server.store.Writes;
import openslab.server.web.StaleWrite;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The floor in planks; {@code If-Match} is the layout's own version. */
@RestController
@RequestMapping("/api/jobs/{jobId}/zones/{zoneId}/stages/layers/{layerId}/planks")
class LayerPlanksController {
    private final PlankLayouts layouts;
    private final PlankStore store;
    private final ZoneReader reader;
    private final Writes writes;

    LayerPlanksController(PlankLayouts layouts, PlankStore store, ZoneReader reader, Writes writes) {
        this.layouts = layouts;
        this.store = store;
        this.reader = reader;
        this.writes = writes;
    }

    @GetMapping
    LayerPlanks planks(@PathVariable UUID jobId, @PathVariable UUID zoneId, @PathVariable String layerId) {
        return layouts.opened(jobId, zoneId, layerId);
    }

    @PutMapping
    LayerPlanks lay(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @PathVariable String layerId,
            @RequestHeader("Idempotency-Key") UUID key,
            @RequestHeader("If-Match") String version,
            @RequestBody PlankForm form) {
        Jobs.Seen seen = Jobs.Seen.of(key, version);
        writes.onceIn(jobId, key, List.of("planks", zoneId, layerId, seen.version(), form), () -> {
            LayerKey of = reader.zone(jobId, zoneId, zone -> {
                layouts.planks(zone, new PlankStore.Stored(0, form));
                return PlankLayouts.of(zone, layerId);
            });
            PlankStore.Stored stored = store.find(of).orElse(new PlankStore.Stored(0, form));
            if (stored.version() != seen.version()) {
                throw new StaleWrite(
                        "The planks were laid out otherwise meanwhile.",
                        List.of(new StaleWrite.Change(
                                "layout", "version " + seen.version(), "version " + stored.version())));
            }
            store.put(of, seen.version() + 1, form);
            return layerId;
        });
        return planks(jobId, zoneId, layerId);
    }
}
