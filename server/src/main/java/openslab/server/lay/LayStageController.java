package openslab.server.lay;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import openslab.core.buy.Buying;
import openslab.core.job.ChoiceReport;
import openslab.core.job.Conduct;
import openslab.core.job.LaySheet;
import openslab.core.job.LayerBatches;
import openslab.core.job.LayerChoice;
import openslab.core.job.LayerMoisture;
import openslab.core.job.LayerReport;
import openslab.core.mix.FlakeSplit;
import openslab.core.quantity.InvalidInput;
import openslab.core.system.FloorSystem;
import openslab.core.system.LayerChecks;
import openslab.server.buy.TakeOffs;
import openslab.server.job.JobViews;
import openslab.server.job.KnownJob;
import openslab.server.job.KnownZone;
import openslab.server.job.PhotoStore;
import openslab.server.job.ZoneReader;
import openslab.server.prep.PaceStore;
import openslab.server.system.Candidates;
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
     * @param layers which sheet the layer has; {@code buying} what is bought of it, all zones together; empty where it is on
     * @param came of what was bought for it
     * @param batches those that were mixed, and the next
     * @param sheet what its steps take
     * @param photos of the log entries of the job that have any, by the entry's key
     */
    record LayerStage(
            long changes,
            OneLayer report,
            List<JobViews.LayerView> layers,
            Optional<Buying> buying,
            TakeOffs.Came came,
            LayerBatches batches,
            LaySheet sheet,
            Map<UUID, List<UUID>> photos) {}

    /**
     * @param said what somebody said is needed, as it was typed, by the need's id
     * @param chosen the id of the system that was chosen; empty where none was
     * @param begun whether something of it was logged, so that no other can be chosen in this cycle
     */
    record ChoiceStage(long changes, ChoiceReport report, Map<String, String> said, String chosen, boolean begun) {}

    /** The others stand in the logbook. */
    private static final int MOST_STOOD = 30;

    /**
     * One layer.
     *
     * @param conduct what stood against it, the last {@value #MOST_STOOD}; {@code earlier} how many before these
     */
    record OneLayer(List<LayerReport> layers, List<Conduct.Stood> conduct, int earlier) {
        static OneLayer of(LayerReport layer, List<Conduct.Stood> all) {
            List<Conduct.Stood> its =
                    all.stream().filter(s -> s.isOf(layer.id())).toList();
            int earlier = Math.max(0, its.size() - MOST_STOOD);
            return new OneLayer(List.of(layer), its.subList(earlier, its.size()), earlier);
        }
    }

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

    /**
     * @param begun ids of the layers in which something was logged: they stay as they are
     * @param checks what speaks against a layer where it lies, whatever was measured
     */
    record BuildUpPart(List<String> begun, List<LayerChecks.LayerCheck> checks) {}

    record SystemName(String id, String title, String note) {}

    /** @param when why it would be laid */
    record Offered(String id, String title, String when) {}

    private final JobViews views;
    private final ZoneReader reader;
    private final PaceStore paces;
    private final PhotoStore photos;
    private final Systems systems;
    private final Workings workings;
    private final Candidates candidates;
    private final ZoneBays bays;
    private final TakeOffs takeOffs;

    LayStageController(
            JobViews views,
            ZoneReader reader,
            PaceStore paces,
            PhotoStore photos,
            Systems systems,
            Workings workings,
            Candidates candidates,
            ZoneBays bays,
            TakeOffs takeOffs) {
        this.views = views;
        this.reader = reader;
        this.paces = paces;
        this.photos = photos;
        this.systems = systems;
        this.workings = workings;
        this.candidates = candidates;
        this.bays = bays;
        this.takeOffs = takeOffs;
    }

    @Brief
    @GetMapping("/layers/{layerId}")
    LayerStage layer(@PathVariable UUID jobId, @PathVariable UUID zoneId, @PathVariable String layerId) {
        return reader.job(jobId, job -> {
            KnownZone zone = zone(job, zoneId);
            LayerReport layer = zone.report().layers().stream()
                    .filter(l -> l.id().equals(layerId))
                    .findFirst()
                    .orElseThrow(() -> new NotHere("layerId", layerId));
            LayerChoice choice = zone.facts().layers().stream()
                    .filter(l -> l.id().equals(layerId))
                    .findFirst()
                    .orElseThrow();
            // nothing is bought for what is on
            Optional<Buying> buying = layer.started() == LayerReport.Started.COATED
                    ? Optional.empty()
                    : takeOffs.of(job, zoneId.toString(), layerId);
            return new LayerStage(
                    job.stored().changes(),
                    OneLayer.of(layer, zone.report().conduct()),
                    views.layers(zone.stored()).stream()
                            .filter(l -> l.id().equals(layerId))
                            .toList(),
                    buying,
                    takeOffs.came(job, zone.facts(), choice),
                    LayerBatches.of(
                            zone.facts(),
                            layer,
                            zone.report().layers(),
                            m2 -> bays.batches(zone, m2),
                            zone.units(),
                            zone.now()),
                    LaySheet.of(zone.facts(), choice, paces.all(), zone.units(), zone.now()),
                    photos.of(jobId));
        });
    }

    /** OURS: nobody throws a floor in more parts. */
    private static final int MOST_SECTIONS = 1000;

    /** What is thrown, in as many parts as somebody asks for. */
    @GetMapping("/layers/{layerId}/split")
    FlakeSplit split(
            @PathVariable UUID jobId,
            @PathVariable UUID zoneId,
            @PathVariable String layerId,
            @RequestParam int sections) {
        if (sections < 1 || sections > MOST_SECTIONS) {
            throw new InvalidInput("sections", String.valueOf(sections), "a whole number from 1 to " + MOST_SECTIONS);
        }
        return reader.zone(jobId, zoneId, zone -> zone.facts().layers().stream()
                .filter(l -> l.id().equals(layerId) && l.isBroadcast())
                .findFirst()
                .map(l -> LayerBatches.split(zone.facts(), l, sections, zone.units()))
                .orElseThrow(() -> new NotHere("layerId", layerId)));
    }

    private static KnownZone zone(KnownJob job, UUID zoneId) {
        return job.zones().stream()
                .filter(z -> z.stored().id().equals(zoneId))
                .findFirst()
                .orElseThrow(() -> new NotHere("zoneId", zoneId));
    }

    /** The floor in the bays that a layer is put on in, and how far it is; with the floors of its room that get the same. */
    @GetMapping("/layers/{layerId}/bays")
    LayerBays bays(@PathVariable UUID jobId, @PathVariable UUID zoneId, @PathVariable String layerId) {
        return reader.job(jobId, job -> LayerBays.of(job, zone(job, zoneId), layerId, bays));
    }

    /** Which systems there are for this floor, in order, and which are refused. */
    @Brief
    @GetMapping("/choices")
    ChoiceStage choices(@PathVariable UUID jobId, @PathVariable UUID zoneId) {
        return reader.zone(
                jobId,
                zoneId,
                zone -> new ChoiceStage(
                        zone.job().changes(),
                        ChoiceReport.of(candidates.of(zone.facts()), zone.facts(), zone.units(), zone.now()),
                        ChoiceReport.said(zone.facts()).entrySet().stream()
                                .collect(Collectors.toMap(
                                        Map.Entry::getKey, e -> e.getValue().typed())),
                        zone.stored().cycle().buildUp().system(),
                        !zone.facts().begun().isEmpty()));
    }

    @GetMapping("/choices/working")
    WireFormat.FigureView choicesWorking(@PathVariable UUID jobId, @PathVariable UUID zoneId, @RequestParam String at) {
        return workings.at(choices(jobId, zoneId), at);
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
                            zone.facts().begun().stream().map(LayerChoice::id).toList(),
                            Stream.concat(
                                            LayerChecks.of(
                                                    zone.facts().checked(),
                                                    zone.facts().substrate(),
                                                    zone.facts().exposure(),
                                                    zone.units())
                                                    .stream(),
                                            LayerMoisture.of(zone.facts(), zone.units(), zone.now()).stream())
                                    .toList()),
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
