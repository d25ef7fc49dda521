package openslab.core.mix;

import java.util.ArrayList;
import java.util.List;
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
        parts.add(part("A", liquid.partsA(), liquid.densityA(), liquid, eachVolume, system));
        if (liquid.isTwoPart()) {
            parts.add(part("B", liquid.partsB(), liquid.densityB(), liquid, eachVolume, system));
        }
        return new Batching(count, eachArea, eachVolume, List.copyOf(parts), scale(parts, liquid, system));
    }

    private static PartAmount part(
            String name, double parts, double density, Liquid liquid, Figure batch, UnitSystem system) {
        double litres = batch.value() * parts / (liquid.partsA() + liquid.partsB());
        Source source = Source.sheet("mix ratio by volume, density");
        var mass = shares(name, parts, liquid, batch, system);
        mass.let("V" + name, "part " + name, "V·p/(pA+pB)", litres, Unit.LITRE);
        mass.given("ρ", "density of part " + name, density, Unit.KILOGRAM_PER_LITRE);
        return new PartAmount(
                name,
                shares(name, parts, liquid, batch, system)
                        .figure("part " + name, "V" + name, "V·p/(pA+pB)", litres, Unit.LITRE, source),
                shares(name, parts, liquid, batch, system)
                        .figure(
                                "part " + name,
                                "oz" + name,
                                "V·p/(pA+pB)/0.0295735295625",
                                Unit.FLUID_OUNCE.fromBase(litres),
                                Unit.FLUID_OUNCE,
                                source),
                mass.figure(
                        "part " + name + " by weight",
                        "m" + name,
                        "V" + name + "·ρ",
                        litres * density,
                        Unit.KILOGRAM,
                        source));
    }

    private static Worksheet shares(String name, double parts, Liquid liquid, Figure batch, UnitSystem system) {
        var w = new Worksheet(system);
        w.from("V", batch);
        w.given("p", "parts of " + name, parts, Unit.ONE);
        w.given("pA", "parts of A", liquid.partsA(), Unit.ONE);
        w.given("pB", "parts of B", liquid.partsB(), Unit.ONE);
        return w;
    }

    /** In pouring order; each target is what the scale shows once that part is in. */
    private static List<PartAmount> scale(List<PartAmount> parts, Liquid liquid, UnitSystem system) {
        var order = new ArrayList<>(parts);
        if (liquid.firstIn() == Liquid.Part.B && parts.size() > 1) {
            java.util.Collections.reverse(order);
        }
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
