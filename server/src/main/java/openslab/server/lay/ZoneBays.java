package openslab.server.lay;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import openslab.core.floor.Outline.Corner;
import openslab.core.floor.plan.DrawnLine;
import openslab.core.floor.plan.RoomPlan;
import openslab.core.layout.bay.Bays;
import openslab.core.layout.bay.WayOut;
import openslab.core.mix.Bay;
import openslab.server.floor.PlanStore;
import openslab.server.job.KnownZone;
import org.springframework.stereotype.Component;

/** The floor of a zone in bays: its joints and its way out are the plan's. */
@Component
class ZoneBays {
    /** Where coating stops. A crack is filled, and coated over. */
    private static final Set<DrawnLine.Kind> STOPS =
            EnumSet.of(DrawnLine.Kind.CONTROL, DrawnLine.Kind.CONSTRUCTION, DrawnLine.Kind.EXPANSION);

    private final PlanStore plans;

    ZoneBays(PlanStore plans) {
        this.plans = plans;
    }

    /** @param mostM2 what one bay may be at most */
    Bays of(KnownZone zone, double mostM2) {
        Optional<String> id = Optional.of(zone.facts().id());
        List<RoomPlan> rooms = rooms(zone, id);
        List<DrawnLine> lines = rooms.stream().flatMap(r -> r.lines().stream()).toList();
        List<List<List<Corner>>> parts = zone.facts().shape().parts();
        List<List<List<Corner>>> others = rooms.stream()
                .flatMap(r -> r.pieces().stream())
                .filter(p -> !p.zoneId().equals(id))
                .map(RoomPlan.Piece::rings)
                .toList();
        return Bays.of(parts, joints(lines), WayOut.of(parts, lines, others), mostM2, pace(zone), zone.units());
    }

    /** The way out; the middle of the first wall where nobody drew one. */
    Corner out(KnownZone zone) {
        return of(zone, Double.MAX_VALUE).out();
    }

    List<List<Corner>> joints(KnownZone zone) {
        return joints(rooms(zone, Optional.of(zone.facts().id())).stream()
                .flatMap(r -> r.lines().stream())
                .toList());
    }

    private List<RoomPlan> rooms(KnownZone zone, Optional<String> id) {
        return plans.report(zone.job().id(), zone.units()).rooms().stream()
                .filter(r -> r.pieces().stream().anyMatch(p -> p.zoneId().equals(id)))
                .toList();
    }

    private static List<List<Corner>> joints(List<DrawnLine> lines) {
        return lines.stream()
                .filter(l -> STOPS.contains(l.kind()))
                .map(DrawnLine::points)
                .toList();
    }

    /** As batches are planned by: a floor of one bay has no name for it. */
    List<Bay> batches(KnownZone zone, double mostM2) {
        List<Bays.Laid> laid = of(zone, mostM2).bays();
        return laid.size() == 1
                ? List.of(Bay.whole(zone.report().area().base()))
                : laid.stream().map(b -> new Bay(b.name(), b.area().base())).toList();
    }

    static double pace(KnownZone zone) {
        return zone.facts().crew().paceM2PerMin();
    }
}
