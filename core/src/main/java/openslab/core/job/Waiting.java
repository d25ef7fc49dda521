package openslab.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import openslab.core.course.Step;
import openslab.core.course.Wait;
import openslab.core.product.Clock;
import openslab.core.product.ProductSheet;
import openslab.core.product.TemperatureCurve;
import openslab.core.quantity.Unit;
import openslab.core.system.LayUp;
import openslab.core.system.Way;

/** How long is waited at one temperature of the slab, minutes, where everything goes as it usually does. */
final class Waiting {
    /** Nobody has read the slab: the temperature at which sheets are written, 70 °F. */
    private static final double USUAL_C = Unit.FAHRENHEIT.toBase(70);

    private final double slabC;
    private boolean unsaid;

    /** @param slabC °C */
    private Waiting(double slabC) {
        this.slabC = slabC;
    }

    /** On a floor as it is planned, or was read last. */
    static Waiting on(ZoneFacts zone, Instant now) {
        return new Waiting(zone.plannedSlabC(now).orElse(USUAL_C));
    }

    /** Whether a sheet did not say how long something takes at this temperature. */
    boolean isUnsaid() {
        return unsaid;
    }

    double steps(List<Wait> waits) {
        return waits.stream().mapToDouble(this::usual).sum();
    }

    /** The waits of a layer's own steps. */
    double laid(Way way, ProductSheet sheet) {
        return steps(LayUp.steps("layer", way, sheet).stream().map(Step::waits).toList());
    }

    /** Until the next coat may go on it; 0 where its sheet sets no such time. */
    double recoat(ProductSheet sheet) {
        Optional<TemperatureCurve> curve = sheet.curve(Clock.RECOAT_OPENS);
        return curve.map(c -> minutes(c)).orElse(0.0);
    }

    /** Until people walk on it; empty where the sheet says nothing of it. */
    OptionalDouble foot(ProductSheet sheet) {
        return sheet.curve(Clock.FOOT)
                .or(() -> sheet.curve(Clock.LIGHT_FOOT))
                .map(c -> OptionalDouble.of(minutes(c)))
                .orElse(OptionalDouble.empty());
    }

    double usual(Wait wait) {
        if (wait instanceof Wait.Fixed fixed) {
            return fixed.minutes();
        }
        if (wait instanceof Wait.Open open) {
            return open.usualMin();
        }
        if (wait instanceof Wait.Window window) {
            return minutes(window.opens().minutes(slabC));
        }
        return minutes(((Wait.ByTemperature) wait).timing().minutes(slabC));
    }

    private double minutes(TemperatureCurve curve) {
        return minutes(curve.covers(slabC) ? OptionalDouble.of(curve.minutesAt(slabC)) : OptionalDouble.empty());
    }

    private double minutes(OptionalDouble minutes) {
        unsaid |= minutes.isEmpty();
        return minutes.orElse(0);
    }
}
