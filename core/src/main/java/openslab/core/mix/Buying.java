package openslab.core.mix;

import java.util.List;
import java.util.Optional;
import openslab.core.product.Kit;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Require;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * What to buy of one sheet for everything on a job that takes it: kits are opened for the job, not for a zone, so three zones
 * of half a kit each buy two, never three.
 *
 * @param amount litres or kilograms, allowance included, over all {@code uses}
 * @param cover empty when the sheet lists no kit
 * @param cost of the kits, in the shop's money
 * @param leftover what the kits hold beyond the amount
 */
public record Buying(
        String sheet,
        List<Use> uses,
        Figure amount,
        Optional<KitCover> cover,
        Optional<Figure> cost,
        Optional<Figure> leftover) {
    /** A layer of a zone, and what it takes. */
    public record Use(String zone, String name, String layer, Figure amount) {}

    public Buying {
        uses = List.copyOf(uses);
    }

    /** @param uses at least one, all of {@code sheet} */
    public static Buying of(ProductSheet sheet, List<Use> uses, UnitSystem system) {
        Require.that(!uses.isEmpty(), "there must be something that takes the sheet, got %s", uses);
        Figure amount = sum(uses, system);
        List<Kit> kits = sheet.kits();
        if (kits.isEmpty()) {
            return new Buying(sheet.name(), uses, amount, Optional.empty(), Optional.empty(), Optional.empty());
        }
        KitCover cover = KitCover.of(amount.value(), kits);
        var w = new Worksheet(system);
        w.given("K", "all kits bought", cover.size(), amount.unit());
        w.from("V", amount);
        Figure over = w.figure(
                "left over",
                "r",
                "K-V",
                cover.size() - amount.value(),
                amount.unit(),
                Source.arithmetic("cheapest whole kits that hold enough, sizes as on the sheet"));
        return new Buying(
                sheet.name(), uses, amount, Optional.of(cover), Optional.of(cost(cover, system)), Optional.of(over));
    }

    private static Figure sum(List<Use> uses, UnitSystem system) {
        if (uses.size() == 1) {
            return uses.get(0).amount();
        }
        var w = new Worksheet(system);
        var formula = new StringBuilder();
        double sum = 0;
        for (int i = 1; i <= uses.size(); i++) {
            Use use = uses.get(i - 1);
            sum += w.given(
                    "V" + i, use.name(), use.amount().value(), use.amount().unit());
            formula.append(i == 1 ? "" : "+").append("V").append(i);
        }
        return w.figure(
                "all zones together",
                "V",
                formula.toString(),
                sum,
                uses.get(0).amount().unit(),
                Source.arithmetic("what each zone takes, one bill of kits for the job"));
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
                Source.sheet("sizes and prices; the cheapest way to every amount up to the need is kept"));
    }
}
