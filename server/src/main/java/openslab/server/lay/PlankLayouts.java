package openslab.server.lay;

import java.util.List;
import java.util.UUID;
import java.util.function.BiFunction;
import openslab.core.floor.Outline.Corner;
import openslab.core.job.LayerChoice;
import openslab.core.layout.Ground;
import openslab.core.layout.plank.Planks;
import openslab.core.quantity.Refusal;
import openslab.server.job.KnownZone;
import openslab.server.job.ZoneReader;
import openslab.server.web.NotHere;
import org.springframework.stereotype.Service;

/** The floor of a zone in planks, drawn from how its layer is laid out. */
@Service
public class PlankLayouts {
    private final ZoneReader reader;
    private final PlankStore store;
    private final ZoneBays bays;

    PlankLayouts(ZoneReader reader, PlankStore store, ZoneBays bays) {
        this.reader = reader;
        this.store = store;
        this.bays = bays;
    }

    /**
     * @param then what is made of it while it stands still
     * @throws NotHere where the zone has no such layer
     */
    public <T> T read(UUID jobId, UUID zoneId, String layerId, BiFunction<KnownZone, LayerPlanks, T> then) {
        return reader.zone(jobId, zoneId, zone -> then.apply(zone, planks(zone, stored(zone, layerId))));
    }

    /** The same, or why it cannot be drawn any more. */
    LayerPlanks opened(UUID jobId, UUID zoneId, String layerId) {
        return reader.zone(jobId, zoneId, zone -> {
            PlankStore.Stored stored = stored(zone, layerId);
            try {
                return planks(zone, stored);
            } catch (Refusal e) {
                return told(zone, stored, Planks.none(zone.units()), e.told());
            }
        });
    }

    private PlankStore.Stored stored(KnownZone zone, String layerId) {
        return store.find(of(zone, layerId)).orElseGet(() -> new PlankStore.Stored(0, PlankForm.usual(zone.units())));
    }

    /** @throws Refusal where it is more than anybody lays */
    LayerPlanks planks(KnownZone zone, PlankStore.Stored stored) {
        PlankForm.Read read = stored.form().read(zone.units());
        Ground ground = bays.ground(zone);
        List<List<List<Corner>>> floor = ground.parts(zone.facts().id());
        List<List<Corner>> joints = ground.joints(zone.facts().id());
        return told(zone, stored, Planks.ofParts(floor, joints, read.rules(), read.nudges(), zone.units()), "");
    }

    private LayerPlanks told(KnownZone zone, PlankStore.Stored stored, Planks planks, String undrawn) {
        Ground ground = bays.ground(zone);
        return new LayerPlanks(
                zone.job().changes(),
                stored.version(),
                stored.form(),
                undrawn,
                stored.form().read(zone.units()).rules().grain(),
                planks.planks(),
                planks.frames(),
                planks.ends(),
                planks.tape(),
                planks.butts(),
                planks.nails(),
                ground.parts(zone.facts().id()),
                ground.joints(zone.facts().id()));
    }

    /** @throws NotHere where the zone has no such layer in its cycle */
    static LayerKey of(KnownZone zone, String layerId) {
        if (zone.facts().layers().stream().map(LayerChoice::id).noneMatch(layerId::equals)) {
            throw new NotHere("layerId", layerId);
        }
        return new LayerKey(zone.stored().id(), zone.facts().cycle().number(), layerId);
    }
}
