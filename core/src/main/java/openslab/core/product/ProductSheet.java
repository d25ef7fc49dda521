package openslab.core.product;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import openslab.core.quantity.Source;
import openslab.core.survey.Limits;

/**
 * What the sheet in hand says of one product.
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
        Material material,
        Optional<Limits> limits,
        Map<Clock, TemperatureCurve> clocks,
        List<Kit> kits,
        Map<Exposure, Double> resealYears,
        Traits traits,
        Handling handling,
        Advice advice) {
    private static final double TOGETHER_MIN = 3;

    public ProductSheet {
        clocks = clocks.isEmpty() ? Map.of() : new EnumMap<>(clocks);
        kits = List.copyOf(kits);
        resealYears = resealYears.isEmpty() ? Map.of() : new EnumMap<>(resealYears);
    }

    /** What is spread wet; empty for what is thrown and for what is laid by depth. */
    public Optional<Liquid> liquid() {
        return material instanceof Liquid l ? Optional.of(l) : Optional.empty();
    }

    /** What is thrown into the wet coat below; empty for all else. */
    public Optional<Broadcast> broadcast() {
        return material instanceof Broadcast b ? Optional.of(b) : Optional.empty();
    }

    /** What is laid by depth; empty for all else. */
    public Optional<Powder> powder() {
        return material instanceof Powder p ? Optional.of(p) : Optional.empty();
    }

    /** The same sheet, its material laid at another rate. */
    public ProductSheet at(double rate) {
        return of(material.at(rate));
    }

    /** The same sheet, asking this of slab and air. */
    public ProductSheet limited(Limits asked) {
        return new ProductSheet(
                slug, name, role, material, Optional.of(asked), clocks, kits, resealYears, traits, handling, advice);
    }

    /** The same sheet of another material. */
    public ProductSheet of(Material other) {
        return new ProductSheet(slug, name, role, other, limits, clocks, kits, resealYears, traits, handling, advice);
    }

    /** What is stirred in its own can before anything is poured, in the order in which it is poured. */
    public List<Liquid.Part> stirred() {
        return handling.stirMin() > 0
                ? liquid().stream()
                        .flatMap(l -> l.pouring().stream())
                        .filter(p -> !p.name().equals("Water"))
                        .toList()
                : List.of();
    }

    /** Minutes that all of it is stirred together; CP: 3 min for what reacts, where the sheet is silent. */
    public double togetherMin() {
        boolean reacts = liquid().map(Liquid::isTwoPart).orElse(false);
        return handling.combineMin() > 0 || !reacts ? handling.combineMin() : TOGETHER_MIN;
    }

    /** Minutes of stirring in all: each part by itself, then together. */
    public double stirringMin() {
        return stirred().size() * handling.stirMin() + togetherMin();
    }

    /** The sheet as the origin of a number. */
    public Source source() {
        return Source.sheet(name);
    }

    /** How it is mixed, in words. */
    public String mixing() {
        return advice.mixing(liquid());
    }

    /** How a floor is looked after that ends in it, in words. */
    public String care() {
        return advice.careOr();
    }

    public Optional<TemperatureCurve> curve(Clock clock) {
        return Optional.ofNullable(clocks.get(clock));
    }
}
