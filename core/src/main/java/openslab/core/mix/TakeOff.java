package openslab.core.mix;

import java.util.List;
import java.util.Optional;
import openslab.core.product.Broadcast;
import openslab.core.product.Kit;
import openslab.core.product.Liquid;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * How much of one product a zone takes, and what to buy.
 *
 * @param amount litres or kilograms, allowance included
 * @param cover empty when the sheet lists no kit
 * @param cost of the kits, in the shop's money
 * @param leftover what the kits hold beyond the amount
 */
public record TakeOff(Figure amount, Optional<KitCover> cover, Optional<Figure> cost, Optional<Figure> leftover) {
    private static final Source GEOMETRY = Source.arithmetic("area over spread rate, and the allowance on top");

    public static TakeOff of(double areaM2, Liquid liquid, List<Kit> kits, Crew crew, UnitSystem system) {
        return bought(volume(areaM2, liquid, crew, system), kits, Unit.LITRE, system);
    }

    public static TakeOff of(double areaM2, Broadcast broadcast, List<Kit> kits, Crew crew, UnitSystem system) {
        return bought(mass(areaM2, broadcast, crew, system), kits, Unit.KILOGRAM, system);
    }

    /** Mixed litres for {@code areaM2}: area / spread · (1 + allowance). */
    static Figure volume(double areaM2, Liquid liquid, Crew crew, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "area", areaM2, Unit.SQUARE_METRE);
        w.given("s", "spread rate of one coat", liquid.spreadM2PerL(), Unit.SQUARE_METRE_PER_LITRE);
        w.given("w", "allowance on top", crew.allowance(), Unit.ONE);
        double litres = areaM2 / liquid.spreadM2PerL() * (1 + crew.allowance());
        return w.figure("mixed volume", "V", "A/s·(1+w)", litres, Unit.LITRE, GEOMETRY);
    }

    /** Kilograms thrown on {@code areaM2}. */
    static Figure mass(double areaM2, Broadcast broadcast, Crew crew, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "area", areaM2, Unit.SQUARE_METRE);
        w.given("q", "broadcast on the floor", broadcast.kgPerM2(), Unit.KILOGRAM_PER_SQUARE_METRE);
        w.given("w", "allowance on top", crew.allowance(), Unit.ONE);
        double kg = areaM2 * broadcast.kgPerM2() * (1 + crew.allowance());
        return w.figure("broadcast", "m", "A·q·(1+w)", kg, Unit.KILOGRAM, GEOMETRY);
    }

    private static TakeOff bought(Figure amount, List<Kit> kits, Unit unit, UnitSystem system) {
        if (kits.isEmpty()) {
            return new TakeOff(amount, Optional.empty(), Optional.empty(), Optional.empty());
        }
        KitCover cover = KitCover.of(amount.value(), kits);
        var w = new Worksheet(system);
        w.given("K", "all kits bought", cover.size(), unit);
        w.from("V", amount);
        Figure over = w.figure(
                "left over",
                "r",
                "K-V",
                cover.size() - amount.value(),
                unit,
                Source.arithmetic("cheapest whole kits that hold enough, sizes as on the sheet"));
        return new TakeOff(amount, Optional.of(cover), Optional.of(cost(cover, system)), Optional.of(over));
    }

    private static Figure cost(KitCover cover, UnitSystem system) {
        var w = new Worksheet(system);
        var sum = new StringBuilder();
        double cost = 0;
        for (int i = 1; i <= cover.kits().size(); i++) {
            KitCover.Bought bought = cover.kits().get(i - 1);
            String label = bought.kit().label();
            int n = (int) w.given("n" + i, "how many, " + label, bought.count(), Unit.ONE);
            cost += n * w.given("p" + i, "price, " + label, bought.kit().priceCents() / 100.0, Unit.MONEY);
            sum.append(i == 1 ? "" : "+").append("n" + i + "·p" + i);
        }
        return w.figure(
                "cheapest whole kits that hold enough",
                "C",
                sum.isEmpty() ? "0" : sum.toString(),
                cost,
                Unit.MONEY,
                Source.sheet("sizes and prices; every combination that holds enough is compared"));
    }
}
