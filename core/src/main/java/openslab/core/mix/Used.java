package openslab.core.mix;

import java.util.List;
import java.util.Optional;
import openslab.core.product.Broadcast;
import openslab.core.product.Laid;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.Powder;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * What was used of one layer, against what was planned.
 *
 * @param amount so far: litres of what is spread, kilograms of all else
 * @param share of the plan, percent
 * @param covered so far, m²
 * @param rate as it went on: m² a litre, or kg on a m²; {@code asked} as the sheet has it
 * @param left of the plan; 0 where more was used
 * @param rest what the rest of the floor takes if it goes on so; {@code reaches} whether what is left is enough for that
 */
public record Used(
        Figure amount,
        Figure share,
        Figure covered,
        Figure rate,
        String asked,
        Figure left,
        Figure rest,
        boolean reaches) {
    private static final Source SUM = Source.arithmetic("what was logged, batch by batch");

    /** What reaches to the last hundredth reaches: nobody measures closer. */
    private static final double CLOSE = 1.01;

    /** @param areaM2 spread over */
    public record Batch(Laid laid, double areaM2) {}

    /**
     * Empty where nothing was logged.
     *
     * @param planned litres or kilograms, allowance included
     */
    public static Optional<Used> of(
            List<Batch> batches, Figure planned, double areaM2, Material material, UnitSystem system) {
        if (batches.isEmpty()) {
            return Optional.empty();
        }
        Unit unit = material instanceof Liquid ? Unit.LITRE : Unit.KILOGRAM;
        var amounts = new Worksheet(system);
        var areas = new Worksheet(system);
        double used = 0;
        double m2 = 0;
        for (int i = 0; i < batches.size(); i++) {
            String batch = "batch " + (i + 1);
            used += amounts.given("V" + (i + 1), batch, batches.get(i).laid().amount(), unit);
            m2 += areas.given("A" + (i + 1), batch, batches.get(i).areaM2(), Unit.SQUARE_METRE);
        }
        Figure amount = amounts.figure("used so far", "V", sum("V", batches.size()), used, unit, SUM);
        Figure covered = areas.figure("covered so far", "A", sum("A", batches.size()), m2, Unit.SQUARE_METRE, SUM);

        Worksheet w = of(amount, planned, system);
        Figure share = w.figure("of the plan", "s", "100·V/P", 100 * used / planned.value(), Unit.PERCENT, SUM);
        Figure left = of(amount, planned, system)
                .figure("left of the plan", "L", "max(0,P-V)", Math.max(0, planned.value() - used), unit, SUM);
        var rest = new Worksheet(system);
        rest.given("F", "the floor", areaM2, Unit.SQUARE_METRE);
        rest.from("A", covered);
        rest.from("V", amount);
        double more = Math.max(0, areaM2 - m2) * used / m2;
        Figure goesOn = rest.figure("the rest at this rate", "R", "max(0,F-A)·V/A", more, unit, SUM);
        return Optional.of(new Used(
                amount,
                share,
                covered,
                rate(amount, covered, material, system),
                asked(material, system),
                left,
                goesOn,
                more <= left.value() * CLOSE));
    }

    private static Worksheet of(Figure amount, Figure planned, UnitSystem system) {
        var w = new Worksheet(system);
        w.from("V", amount);
        w.from("P", planned);
        return w;
    }

    private static Figure rate(Figure amount, Figure covered, Material material, UnitSystem system) {
        var w = new Worksheet(system);
        w.from("V", amount);
        w.from("A", covered);
        return material instanceof Liquid
                ? w.figure(
                        "spread rate so far",
                        "r",
                        "A/V",
                        covered.value() / amount.value(),
                        Unit.SQUARE_METRE_PER_LITRE,
                        SUM)
                : w.figure(
                        "on the floor so far",
                        "r",
                        "V/A",
                        amount.value() / covered.value(),
                        Unit.KILOGRAM_PER_SQUARE_METRE,
                        SUM);
    }

    /** How far it goes, or how much lies on the floor, as its sheet has it. */
    public static String asked(Material material, UnitSystem system) {
        if (material instanceof Liquid l) {
            var s = l.spread();
            return s.isRange()
                    ? Show.number(Unit.of(Dimension.SPREAD, system).fromBase(s.leastM2PerL()), 0) + " to "
                            + Show.in(system, Dimension.SPREAD, s.mostM2PerL())
                    : Show.in(system, Dimension.SPREAD, s.usualM2PerL());
        }
        return Show.in(system, Dimension.MASS_PER_AREA, usual(material));
    }

    /** m² a litre of what is spread, kg on a m² of all else. */
    public static double usual(Material material) {
        return material instanceof Liquid l
                ? l.spreadM2PerL()
                : material instanceof Broadcast b ? b.kgPerM2() : perM2((Powder) material);
    }

    private static double perM2(Powder powder) {
        return powder.bagKg() / powder.bagM2();
    }

    private static String sum(String symbol, int count) {
        var sum = new StringBuilder();
        for (int i = 1; i <= count; i++) {
            sum.append(i == 1 ? "" : "+").append(symbol).append(i);
        }
        return sum.toString();
    }
}
