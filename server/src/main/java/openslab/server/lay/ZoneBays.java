package openslab.server.lay;

import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.layout.Ground;
import openslab.core.layout.bay.Bays;
import openslab.core.layout.bay.FloorOrder;
import openslab.core.mix.Bay;
import openslab.server.floor.PlanStore;
import openslab.server.job.KnownZone;
import org.springframework.stereotype.Component;

/** The floor of a zone in bays: its joints and its way out are the plan's. */
@Component
class ZoneBays {
    private final PlanStore plans;

    ZoneBays(PlanStore plans) {
        this.plans = plans;
    }

    /** Where a zone lies: all of the plan, or its shape alone where nobody drew it. */
    Ground ground(KnownZone zone) {
        return zone.stored().choice().isOnPlan()
                ? Ground.of(plans.report(zone.job().id(), zone.units()).rooms())
                : Ground.of(zone.facts().id(), zone.facts().shape().parts());
    }

    /** @param mostM2 what one bay may be at most */
    static Bays of(KnownZone zone, Ground ground, FloorOrder.Left left, double mostM2) {
        return Bays.of(
                ground.parts(left.zoneId()),
                ground.joints(left.zoneId()),
                left.outs(),
                mostM2,
                pace(zone),
                zone.units());
    }

    private Bays of(KnownZone zone, double mostM2) {
        Ground ground = ground(zone);
        return of(zone, ground, left(zone, ground), mostM2);
    }

    private static FloorOrder.Left left(KnownZone zone, Ground ground) {
        return FloorOrder.of(ground).of(zone.facts().id());
    }

    /** The way out, the first of several; the middle of the first wall where nobody drew one. */
    Corner out(KnownZone zone) {
        return of(zone, Double.MAX_VALUE).outs().get(0);
    }

    List<Bay> batches(KnownZone zone, double mostM2) {
        Ground ground = ground(zone);
        return batches(zone, ground, left(zone, ground), mostM2);
    }

    /** Whether a piece of the floor is made good: nobody says where it lies, so it is one bay, and not on the plan. */
    static boolean isPatch(KnownZone zone) {
        return zone.facts().cycle().patch().isPresent();
    }

    /** As batches are planned by: a floor of one bay has no name for it, nor has a patch. */
    static List<Bay> batches(KnownZone zone, Ground ground, FloorOrder.Left left, double mostM2) {
        if (isPatch(zone)) {
            return List.of(Bay.whole(zone.report().area().base()));
        }
        List<Bays.Laid> laid = of(zone, ground, left, mostM2).bays();
        return laid.size() == 1
                ? List.of(Bay.whole(zone.report().area().base()))
                : laid.stream().map(b -> new Bay(b.name(), b.area().base())).toList();
    }

    static double pace(KnownZone zone) {
        return zone.facts().crew().paceM2PerMin();
    }
}
