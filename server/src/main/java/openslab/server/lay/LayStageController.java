package openslab.server.lay;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import openslab.core.job.Conduct;
import openslab.core.job.JobBuying;
import openslab.core.job.LaySheet;
import openslab.core.job.LayerChoice;
import openslab.core.job.LayerReport;
import openslab.core.mix.Buying;
import openslab.core.system.FloorSystem;
import openslab.server.job.JobViews;
import openslab.server.job.KnownZone;
import openslab.server.job.PhotoStore;
import openslab.server.job.ZoneReader;
import openslab.server.prep.PaceStore;
import openslab.server.system.Systems;
import openslab.server.web.Brief;
import openslab.server.web.NotHere;
import openslab.server.web.WireFormat;
import openslab.server.web.Workings;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What goes on a zone: all of it as it was chosen, and each layer as it is laid. */
@RestController
@RequestMapping("/api/jobs/{jobId}/zones/{zoneId}/stages")
class LayStageController {
    /**
     * @param layers which sheet the layer has; {@code buying} what the job buys of it, all its zones together
     * @param sheet what its steps take
     * @param photos of the log entries of the job that have any, by the entry's key
     */
    record LayerStage(
            long changes,
            OneLayer report,
            List<JobViews.LayerView> layers,
            Optional<Buying> buying,
            LaySheet sheet,
            Map<UUID, List<UUID>> photos) {}

    /** One layer, and what stood against it. */
    record OneLayer(List<LayerReport> layers, List<Conduct.Stood> conduct) {}

    /**
     * @param system what it was chosen from; empty where nobody chose one
     * @param layers from the floor upward
     * @param more layers of the system that are laid where somebody wants them, and are not there
     */
    record BuildUpStage(
            long changes,
            BuildUpPart report,
            Optional<SystemName> system,
            List<JobViews.LayerView> layers,
            List<Offered> more) {}

    /** @param begun ids of the layers in which something was logged: they stay as they are */
    record BuildUpPart(List<String> begun) {}

    record SystemName(String id, String title, String note) {}

    /** @param when why it would be laid */
    record Offered(String id, String title, String when) {}

    private final JobViews views;
    private final ZoneReader reader;
    private final PaceStore paces;
    private final PhotoStore photos;
    private final Systems systems;
    private final Workings workings;

    LayStageController(
            JobViews views, ZoneReader reader, PaceStore paces, PhotoStore photos, Systems systems, Workings workings) {
        this.views = views;
        this.reader = reader;
        this.paces = paces;
        this.photos = photos;
        this.systems = systems;
        this.workings = workings;
    }

    @Brief
    @GetMapping("/layers/{layerId}")
    LayerStage layer(@PathVariable UUID jobId, @PathVariable UUID zoneId, @PathVariable String layerId) {
        return reader.job(jobId, job -> {
            KnownZone zone = job.zones().stream()
                    .filter(z -> z.stored().id().equals(zoneId))
                    .findFirst()
                    .orElseThrow(() -> new NotHere("zoneId", zoneId));
            LayerReport layer = zone.report().layers().stream()
                    .filter(l -> l.id().equals(layerId))
                    .findFirst()
                    .orElseThrow(() -> new NotHere("layerId", layerId));
            LayerChoice choice = zone.facts().layers().stream()
                    .filter(l -> l.id().equals(layerId))
                    .findFirst()
                    .orElseThrow();
            Optional<Buying> buying = JobBuying.of(job.reports(), job.units()).stream()
                    .filter(b -> b.uses().stream()
                            .anyMatch(u -> u.zone().equals(zoneId.toString())
                                    && u.layer().equals(layerId)))
                    .findFirst();
            return new LayerStage(
                    job.stored().changes(),
                    new OneLayer(
                            List.of(layer),
                            zone.report().conduct().stream()
                                    .filter(s -> s.isOf(layerId))
                                    .toList()),
                    views.layers(zone.stored()).stream()
                            .filter(l -> l.id().equals(layerId))
                            .toList(),
                    buying,
                    LaySheet.of(zone.facts(), choice, paces.all(), zone.units(), zone.now()),
                    photos.of(jobId));
        });
    }

    @GetMapping("/layers/{layerId}/working")
    WireFormat.FigureView layerWorking(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @PathVariable String layerId,
            @RequestParam String at) {
        return workings.at(layer(jobId, zoneId, layerId), at);
    }

    @Brief
    @GetMapping("/build-up")
    BuildUpStage buildUp(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        return reader.zone(jobId, zoneId, zone -> {
            var stored = zone.stored().cycle().buildUp();
            Optional<FloorSystem> system = systems.find(stored.system());
            List<JobViews.LayerView> layers = views.layers(zone.stored());
            return new BuildUpStage(
                    zone.job().changes(),
                    new BuildUpPart(
                            zone.facts().begun().stream().map(LayerChoice::id).toList()),
                    system.map(s -> new SystemName(s.id(), s.title(), s.note())),
                    layers,
                    system.stream()
                            .flatMap(s -> s.layers().stream())
                            .filter(FloorSystem.Layer::isOptional)
                            .filter(o -> layers.stream().noneMatch(l -> l.id().equals(o.id())))
                            .map(o -> new Offered(o.id(), o.title(), o.when()))
                            .toList());
        });
    }
}
