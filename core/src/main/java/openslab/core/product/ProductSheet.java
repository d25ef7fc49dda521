package openslab.core.product;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.quantity.Require;
import openslab.core.quantity.Source;
import openslab.core.survey.Limits;

/**
 * What the sheet in hand says of one product. Exactly one of {@code liquid} and {@code broadcast} is present.
 *
 * @param slug stays the same when the sheet is edited
 * @param limits what it asks of slab and air; a broadcast usually asks nothing of its own
 * @param clocks empty for a broadcast, which cures with the layer it lies in
 * @param resealYears how long it lasts by exposure; empty when the sheet is silent
 */
public record ProductSheet(
        String slug,
        String name,
        LayerRole role,
        Optional<Liquid> liquid,
        Optional<Broadcast> broadcast,
        Optional<Limits> limits,
        Map<Clock, TemperatureCurve> clocks,
        List<Kit> kits,
        Map<Exposure, Double> resealYears,
        Advice advice) {

    public ProductSheet {
        Require.that(
                liquid.isPresent() != broadcast.isPresent(),
                "a sheet is either a liquid or a broadcast, got %s and %s",
                liquid,
                broadcast);
        clocks = clocks.isEmpty() ? Map.of() : new EnumMap<>(clocks);
        kits = List.copyOf(kits);
        resealYears = resealYears.isEmpty() ? Map.of() : new EnumMap<>(resealYears);
    }

    /** The sheet as the origin of a number. */
    public Source source() {
        return Source.sheet(name);
    }

    /** How it is mixed, in words. */
    public String mixing() {
        return advice.mixing(liquid);
    }

    /** How a floor is looked after that ends in it, in words. */
    public String care() {
        return advice.careOr();
    }

    public Optional<TemperatureCurve> curve(Clock clock) {
        return Optional.ofNullable(clocks.get(clock));
    }
}
