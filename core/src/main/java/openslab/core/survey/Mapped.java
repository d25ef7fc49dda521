package openslab.core.survey;

import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import openslab.core.quantity.Unit;

/**
 * How a method's readings are put on a map.
 *
 * @param label "vapour emission"
 * @param unit of the value, base unit
 * @param repeats by how much the method misses itself at one place, standard deviation (OURS)
 * @param value of a reading
 * @param limit what the sheet asks at most
 */
public record Mapped(
        String label,
        Unit unit,
        double repeats,
        ToDoubleFunction<Reading> value,
        Function<Site, Optional<Double>> limit) {

    /** A sheet that asks nothing has no finite limit. */
    public static Optional<Double> limit(double most) {
        return Double.isFinite(most) ? Optional.of(most) : Optional.empty();
    }
}
