package openslab.core.mix;

import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
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
 * How far a layer has come: what was mixed of it, what lies, what is bare, what is left of the plan and what the rest takes. Card,
 * layer, bays, bill and verdict ask here and nowhere else.
 *
 * @param amount mixed or thrown so far: litres of what is spread, kilograms of all else
 * @param wasted of that, what did not come to lie on the floor; empty where all of it did
 * @param share of the plan, percent
 * @param covered so far, m²; {@code bare} what is not, nothing where the layer is on
 * @param rate as it went on: m² a litre, or kg on a m²; {@code asked} as the sheet has it
 * @param left of the plan; 0 where more was used
 * @param rest what the bare floor takes: as planned, or if it goes on so where that is more
 * @param reaches whether what is left of the plan is enough for that
 * @param batches in the order in which they were logged
 */
public record Used(
        Figure amount,
        Optional<Figure> wasted,
        Figure share,
        Figure covered,
        Figure bare,
        Figure rate,
        String asked,
        Figure left,
        Figure rest,
        boolean reaches,
        int batches) {
    private static final Source SUM = Source.arithmetic("what was logged, batch by batch");

    private static final Source REST = Source.ours(
            "what is bare, as the plan has it or as it went so far, whichever takes more: short at the end is worst");

    /** Beyond this a working that lists every batch is not read. */
    private static final int MOST_LISTED = 12;

    /** @param laid mixed or thrown; {@code wasted} of it not on the floor; {@code areaM2} spread over */
    public record Batch(Laid laid, Laid wasted, double areaM2) {
        /** What came to lie on the floor. */
        public double lies() {
            return Math.max(0, laid.amount() - wasted.amount());
        }
    }

    /**
     * What a layer is held against.
     *
     * @param planned litres or kilograms, allowance and reserve included
     * @param perM2 what a square metre takes as it is mixed, nothing held back
     * @param areaM2 of the floor
     * @param on whether all of it was said to be on: then nothing is bare, whatever the batches say
     */
    public record Plan(Figure planned, double perM2, double areaM2, boolean on, Material material) {}

    /** Empty where nothing was logged. */
    public static Optional<Used> of(List<Batch> batches, Plan plan, UnitSystem system) {
        return batches.isEmpty() ? Optional.empty() : Optional.of(new Reckoning(batches, plan, system).used());
    }

    /** What the batches say is covered, m²; never more than the floor, and all of it to within a hundredth. */
    public static double coveredM2(List<Batch> batches, double areaM2) {
        double m2 = batches.stream().mapToDouble(Batch::areaM2).sum();
        return m2 >= areaM2 * (1 - Front.CLOSE) ? areaM2 : m2;
    }

    private record Reckoning(List<Batch> batches, Plan plan, UnitSystem system) {
        Used used() {
            Unit unit = plan.material() instanceof Liquid ? Unit.LITRE : Unit.KILOGRAM;
            Figure amount = total("mixed so far", "V", b -> b.laid().amount(), unit);
            Figure lost = total("not on the floor", "W", b -> b.wasted().amount(), unit);
            Figure covered = covered();
            Figure bare = bare(covered);
            double mixed = amount.value();
            double wasted = lost.value();
            double m2 = batches.stream().mapToDouble(Batch::areaM2).sum();
            double lies = Math.max(0, mixed - wasted);
            Figure left = against(amount)
                    .figure(
                            "left of the plan",
                            "L",
                            "max(0,P-V)",
                            Math.max(0, plan.planned().value() - mixed),
                            unit,
                            SUM);
            Figure rest = rest(bare, lies, m2, unit);
            return new Used(
                    amount,
                    wasted > 0 ? Optional.of(lost) : Optional.empty(),
                    against(amount)
                            .figure(
                                    "of the plan",
                                    "s",
                                    "100·V/P",
                                    100 * mixed / plan.planned().value(),
                                    Unit.PERCENT,
                                    SUM),
                    covered,
                    bare,
                    rate(lies, m2),
                    asked(plan.material(), system),
                    left,
                    rest,
                    rest.value() <= left.value() * (1 + Front.CLOSE),
                    batches.size());
        }

        private Worksheet against(Figure amount) {
            var w = new Worksheet(system);
            w.from("V", amount);
            w.from("P", plan.planned());
            return w;
        }

        private Figure covered() {
            var w = new Worksheet(system);
            double floor = w.given("F", "the floor", plan.areaM2(), Unit.SQUARE_METRE);
            w.from("S", total("all batches", "S", Batch::areaM2, Unit.SQUARE_METRE));
            double covered = coveredM2(batches, floor);
            return w.figure("covered so far", "A", covered < floor ? "S" : "F", covered, Unit.SQUARE_METRE, SUM);
        }

        /** Batch by batch where somebody would read it. */
        private Figure total(String label, String symbol, ToDoubleFunction<Batch> each, Unit unit) {
            var w = new Worksheet(system);
            double sum = 0;
            var terms = new StringBuilder();
            for (int i = 0; i < batches.size(); i++) {
                double of = each.applyAsDouble(batches.get(i));
                sum += of;
                if (batches.size() <= MOST_LISTED) {
                    w.given("b" + (i + 1), "batch " + (i + 1), of, unit);
                    terms.append(i == 0 ? "" : "+").append("b").append(i + 1);
                }
            }
            if (terms.isEmpty()) {
                w.given("b", batches.size() + " batches, as they stand in the logbook", sum, unit);
                terms.append("b");
            }
            return w.figure(label, symbol, terms.toString(), sum, unit, SUM);
        }

        private Figure bare(Figure covered) {
            var w = new Worksheet(system);
            w.given("F", "the floor", plan.areaM2(), Unit.SQUARE_METRE);
            w.from("A", covered);
            return plan.on()
                    ? w.figure(
                            "still bare",
                            "B",
                            "0·F",
                            0,
                            Unit.SQUARE_METRE,
                            Source.ours("somebody said all of it is on"))
                    : w.figure("still bare", "B", "F-A", plan.areaM2() - covered.value(), Unit.SQUARE_METRE, SUM);
        }

        private Figure rest(Figure bare, double lies, double m2, Unit unit) {
            var w = new Worksheet(system);
            w.from("B", bare);
            double planned = w.given("p", "for a square metre, as planned", plan.perM2(), unit);
            String most = "p";
            double perM2 = planned;
            if (m2 > 0) {
                double sofar = w.given("r", "for a square metre, so far", lies / m2, unit);
                perM2 = Math.max(planned, sofar);
                most = "max(p,r)";
            }
            return w.figure("the rest takes", "R", "B·" + most, bare.value() * perM2, unit, REST);
        }

        private Figure rate(double lies, double m2) {
            boolean liquid = plan.material() instanceof Liquid;
            Unit unit = liquid ? Unit.LITRE : Unit.KILOGRAM;
            var w = new Worksheet(system);
            w.given("V", "on the floor", lies, unit);
            w.given("A", "over", m2, Unit.SQUARE_METRE);
            if (lies <= 0 || m2 <= 0) {
                return w.figure(
                        "nothing on the floor yet",
                        "r",
                        "0·V",
                        0,
                        liquid ? Unit.SQUARE_METRE_PER_LITRE : Unit.KILOGRAM_PER_SQUARE_METRE,
                        SUM);
            }
            return liquid
                    ? w.figure("spread rate so far", "r", "A/V", m2 / lies, Unit.SQUARE_METRE_PER_LITRE, SUM)
                    : w.figure("on the floor so far", "r", "V/A", lies / m2, Unit.KILOGRAM_PER_SQUARE_METRE, SUM);
        }
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
}
