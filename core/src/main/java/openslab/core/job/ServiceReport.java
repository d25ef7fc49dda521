package openslab.core.job;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import openslab.core.care.Reseal;
import openslab.core.product.Clock;
import openslab.core.product.Exposure;
import openslab.core.quantity.UnitSystem;

/**
 * Return to service and the day it is due again.
 *
 * @param ladder the service clocks of the top layer, in order
 * @param whyNoReseal empty when {@code reseal} is present
 */
public record ServiceReport(
        List<LayerReport.TimedClock> ladder,
        LayerReport.Started started,
        Optional<Reseal> reseal,
        String whyNoReseal,
        Mark mark) {

    static ServiceReport of(
            Optional<LayerReport> top, Exposure exposure, ZoneId where, UnitSystem system, Instant now) {
        if (top.isEmpty()) {
            return new ServiceReport(
                    List.of(),
                    LayerReport.Started.UNKNOWN,
                    Optional.empty(),
                    "No build-up is chosen yet.",
                    Mark.NOT_STARTED);
        }
        LayerReport layer = top.get();
        Optional<Reseal> reseal = layer.start().flatMap(at -> Reseal.of(layer.sheet(), exposure, at, where, system));
        String whyNot = reseal.isPresent()
                ? ""
                : layer.start().isEmpty()
                        ? "The top layer has no start yet."
                        : "The sheet gives no interval for this exposure.";
        return new ServiceReport(
                layer.clocks().stream().filter(c -> c.clock().isService()).toList(),
                layer.started(),
                reseal,
                whyNot,
                mark(layer, reseal, now));
    }

    private static Mark mark(LayerReport top, Optional<Reseal> reseal, Instant now) {
        if (!top.coated()) {
            return Mark.NOT_STARTED;
        }
        if (reseal.isPresent() && !now.isBefore(reseal.get().due())) {
            return Mark.OVERDUE;
        }
        return top.at(Clock.FULL_CURE).map(now::isBefore).orElse(true) ? Mark.CURING : Mark.GO;
    }
}
