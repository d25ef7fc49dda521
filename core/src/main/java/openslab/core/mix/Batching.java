package openslab.core.mix;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import openslab.core.product.Liquid;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * Equal batches, each small enough that the crew has it on the floor inside its share of the pot life.
 *
 * @param count how many, with the pot life and the pace in its working
 * @param eachArea what one batch covers: a bay
 * @param scale cumulative scale targets in pouring order, the vessel tared to zero
 */
public record Batching(
        Figure count, Figure eachArea, Figure eachVolume, List<PartAmount> parts, List<PartAmount> scale) {
    /**
     * One part of one batch.
     *
     * @param volume litres; {@code usVolume} the same in fluid ounces
     * @param mass kilograms; on the scale list cumulative
     */
    public record PartAmount(String part, Figure volume, Figure usVolume, Figure mass) {}

    private static final Source OURS =
            Source.ours("a batch must be on the floor inside the crew's share of the pot life, all batches alike");

    /** @param potLife at the slab's temperature, its working taken over */
    public static Batching plan(double areaM2, Liquid liquid, Figure potLife, Crew crew, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "area", areaM2, Unit.SQUARE_METRE);
        double life = w.from("tp", potLife);
        w.given("p", "pace of the crew", crew.paceM2PerMin(), Unit.SQUARE_METRE_PER_MINUTE);
        w.given("u", "share of the pot life used", crew.potLifeShare(), Unit.ONE);
        double most = w.let(
                "Ab",
                "most that one batch may cover",
                "p·tp·u",
                crew.paceM2PerMin() * life * crew.potLifeShare(),
                Unit.SQUARE_METRE);
        // a whole number of bays must not become one more through the last bit
        int n = Math.max(1, (int) Math.ceil(areaM2 / most - 1e-9));
        Figure count = w.figure("batches", "n", "ceil(A/Ab)", n, Unit.ONE, OURS);
        return of(areaM2, liquid, count, crew, system);
    }

    private static Batching of(double areaM2, Liquid liquid, Figure count, Crew crew, UnitSystem system) {
        double n = count.value();
        var area = new Worksheet(system);
        area.given("A", "area", areaM2, Unit.SQUARE_METRE);
        area.from("n", count);
        Figure eachArea = area.figure("area of one batch", "Ae", "A/n", areaM2 / n, Unit.SQUARE_METRE, OURS);
        Figure eachVolume = TakeOff.volume(eachArea.value(), liquid, crew, system);
        var parts = new ArrayList<PartAmount>();
        liquid.parts().forEach(p -> parts.add(part(p, liquid, eachVolume, system)));
        return new Batching(count, eachArea, eachVolume, List.copyOf(parts), scale(parts, liquid, system));
    }

    private static PartAmount part(Liquid.Part part, Liquid liquid, Figure batch, UnitSystem system) {
        String name = part.name();
        double litres = batch.value() * part.parts() / liquid.allParts();
        String formula =
                "V·p/(" + liquid.parts().stream().map(p -> "p" + p.name()).collect(Collectors.joining("+")) + ")";
        Source source = Source.sheet("mix ratio by volume, density");
        var mass = shares(part, liquid, batch, system);
        mass.let("V" + name, "part " + name, formula, litres, Unit.LITRE);
        mass.given("ρ", "density of part " + name, part.density(), Unit.KILOGRAM_PER_LITRE);
        return new PartAmount(
                name,
                shares(part, liquid, batch, system)
                        .figure("part " + name, "V" + name, formula, litres, Unit.LITRE, source),
                shares(part, liquid, batch, system)
                        .figure(
                                "part " + name,
                                "oz" + name,
                                formula + "/0.0295735295625",
                                Unit.FLUID_OUNCE.fromBase(litres),
                                Unit.FLUID_OUNCE,
                                source),
                mass.figure(
                        "part " + name + " by weight",
                        "m" + name,
                        "V" + name + "·ρ",
                        litres * part.density(),
                        Unit.KILOGRAM,
                        source));
    }

    private static Worksheet shares(Liquid.Part part, Liquid liquid, Figure batch, UnitSystem system) {
        var w = new Worksheet(system);
        w.from("V", batch);
        w.given("p", "parts of " + part.name(), part.parts(), Unit.ONE);
        liquid.parts().forEach(p -> w.given("p" + p.name(), "parts of " + p.name(), p.parts(), Unit.ONE));
        return w;
    }

    /** In pouring order; each target is what the scale shows once that part is in. */
    private static List<PartAmount> scale(List<PartAmount> parts, Liquid liquid, UnitSystem system) {
        List<PartAmount> order = liquid.pouring().stream()
                .flatMap(p -> parts.stream().filter(a -> a.part().equals(p.name())))
                .toList();
        var w = new Worksheet(system);
        var targets = new ArrayList<PartAmount>();
        double shown = 0;
        var sum = new StringBuilder();
        for (PartAmount part : order) {
            String symbol = "m" + part.part();
            shown += w.from(symbol, part.mass());
            sum.append(sum.isEmpty() ? "" : "+").append(symbol);
            Figure target = w.figure(
                    "scale shows",
                    "s" + part.part(),
                    sum.toString(),
                    shown,
                    Unit.KILOGRAM,
                    Source.arithmetic("what is already in the vessel, and this part on top"));
            targets.add(new PartAmount(part.part(), part.volume(), part.usVolume(), target));
        }
        return List.copyOf(targets);
    }
}
