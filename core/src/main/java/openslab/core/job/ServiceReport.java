package openslab.core.job;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import openslab.core.care.Leaving;
import openslab.core.care.Reseal;
import openslab.core.care.UseAsks;
import openslab.core.product.Clock;
import openslab.core.quantity.UnitSystem;
import openslab.core.survey.Readings;

/**
 * Return to service and the day it is due again.
 *
 * @param ladder the service clocks of the top layer, in order
 * @param whyNoReseal empty when {@code reseal} is present
 * @param leaving what is done before the crew leaves, while its top coat cures; none before and after that
 * @param asked what the use asks of the finished floor
 * @param care how the floor is looked after, as the sheet of its top layer has it
 */
public record ServiceReport(
        List<LayerReport.TimedClock> ladder,
        LayerReport.Started started,
        Optional<Reseal> reseal,
        String whyNoReseal,
        String care,
        List<String> leaving,
        List<UseAsks.Asked> asked,
        Mark mark) {

    /**
     * @param top what goes on last in this cycle; empty where nothing does
     * @param before what an earlier cycle laid last over the whole floor: its date holds until this cycle has done the same
     */
    static ServiceReport of(
            Optional<LayerReport> top,
            Optional<LayerReport> before,
            ZoneFacts zone,
            ZoneId where,
            UnitSystem system,
            Instant now) {
        Optional<LayerReport> worked = top.or(() -> before);
        if (worked.isEmpty()) {
            return new ServiceReport(
                    List.of(),
                    LayerReport.Started.UNKNOWN,
                    Optional.empty(),
                    "No build-up is chosen yet.",
                    "",
                    List.of(),
                    UseAsks.of(zone.use(), zone.exposure(), finished(zone, Optional.empty())),
                    Mark.NOT_STARTED);
        }
        LayerReport layer = worked.get();
        boolean allOver = layer.coated() && zone.cycle().kind() != CycleKind.REPAIR;
        LayerReport floor = allOver ? layer : before.orElse(layer);
        Optional<Reseal> reseal =
                floor.start().flatMap(at -> Reseal.of(floor.sheet(), zone.exposure(), at, where, system));
        String whyNot = reseal.isPresent()
                ? ""
                : floor.start().isEmpty()
                        ? "The top layer has no start yet."
                        : "The sheet gives no interval for this exposure.";
        boolean cures =
                layer.coated() && layer.at(Clock.FULL_CURE).map(now::isBefore).orElse(true);
        return new ServiceReport(
                layer.clocks().stream().filter(c -> c.clock().isService()).toList(),
                layer.started(),
                reseal,
                whyNot,
                floor.sheet().care(),
                cures
                        ? Leaving.after(
                                layer.sheet(),
                                zone.exposure(),
                                PrepLog.masking(zone).isPresent())
                        : List.of(),
                UseAsks.of(
                        zone.use(),
                        zone.exposure(),
                        finished(zone, floor.start().filter(s -> floor.coated()))),
                mark(floor, reseal, cures, now));
    }

    /** What was read since the top coat went on: before that it was another floor. */
    private static Readings finished(ZoneFacts zone, Optional<Instant> coated) {
        return new Readings(zone.survey().found().all().stream()
                .filter(r -> coated.map(at -> !r.at().isBefore(at)).orElse(false))
                .toList());
    }

    private static Mark mark(LayerReport floor, Optional<Reseal> reseal, boolean cures, Instant now) {
        if (!floor.coated()) {
            return Mark.NOT_STARTED;
        }
        if (reseal.isPresent() && !now.isBefore(reseal.get().due())) {
            return Mark.OVERDUE;
        }
        return cures ? Mark.CURING : Mark.GO;
    }
}
