package openslab.core.mix;

import java.util.List;
import java.util.Optional;
import openslab.core.product.Liquid;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * What was mixed of one layer, against what was planned.
 *
 * @param mixed litres so far
 * @param share of the plan, percent
 * @param covered so far, m²
 * @param spread m² a litre as it went on; {@code asked} as the sheet has it
 * @param atThisRate litres that the whole layer takes if it goes on so
 */
public record Used(Figure mixed, Figure share, Figure covered, Figure spread, String asked, Figure atThisRate) {
    private static final Source SUM = Source.arithmetic("what was logged, batch by batch");

    /** @param litres mixed; {@code areaM2} spread over */
    public record Batch(double litres, double areaM2) {}

    /**
     * Empty where nothing was logged.
     *
     * @param planned litres, allowance included
     */
    public static Optional<Used> of(
            List<Batch> batches, Figure planned, double areaM2, Liquid liquid, UnitSystem system) {
        if (batches.isEmpty()) {
            return Optional.empty();
        }
        var volumes = new Worksheet(system);
        var areas = new Worksheet(system);
        double litres = 0;
        double m2 = 0;
        for (int i = 0; i < batches.size(); i++) {
            litres += volumes.given(
                    "V" + (i + 1), "batch " + (i + 1), batches.get(i).litres(), Unit.LITRE);
            m2 += areas.given("A" + (i + 1), "batch " + (i + 1), batches.get(i).areaM2(), Unit.SQUARE_METRE);
        }
        Figure mixed = volumes.figure("mixed so far", "V", sum("V", batches.size()), litres, Unit.LITRE, SUM);
        Figure covered = areas.figure("covered so far", "A", sum("A", batches.size()), m2, Unit.SQUARE_METRE, SUM);

        var w = new Worksheet(system);
        w.from("V", mixed);
        w.from("P", planned);
        Figure share = w.figure("of the plan", "s", "100·V/P", 100 * litres / planned.value(), Unit.PERCENT, SUM);

        var rate = new Worksheet(system);
        rate.from("A", covered);
        rate.from("V", mixed);
        Figure spread = rate.figure("spread rate so far", "r", "A/V", m2 / litres, Unit.SQUARE_METRE_PER_LITRE, SUM);

        var whole = new Worksheet(system);
        whole.given("F", "the floor", areaM2, Unit.SQUARE_METRE);
        whole.from("r", spread);
        Figure atThisRate =
                whole.figure("all of it at this rate", "T", "F/r", areaM2 / spread.value(), Unit.LITRE, SUM);
        return Optional.of(new Used(mixed, share, covered, spread, asked(liquid, system), atThisRate));
    }

    private static String asked(Liquid liquid, UnitSystem system) {
        return Show.in(system, Dimension.SPREAD, liquid.spreadM2PerL());
    }

    private static String sum(String symbol, int count) {
        var sum = new StringBuilder();
        for (int i = 1; i <= count; i++) {
            sum.append(i == 1 ? "" : "+").append(symbol).append(i);
        }
        return sum.toString();
    }
}
