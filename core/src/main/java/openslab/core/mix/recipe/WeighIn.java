package openslab.core.mix.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Require;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * What the scale really showed, and what follows: go on, add so much of which part, or throw it away.
 *
 * <p>Only what is missing is added; nothing is taken out of a mix. The part of which there is most decides how large the batch
 * becomes, and the others follow it, so that the ratio is whole again.
 *
 * @param parts every part in pour order, also those that are not in yet
 * @param kg all parts together once it is right
 * @param amount of the material that it then is, litres, or bags of a powder: grit and thinner in it are not counted
 * @param inside what of it is in the vessel now
 * @param grown whether it is more than was planned by so much that somebody has to say where it goes; {@code over} how much more
 * @param covers how much floor it is for, as its sheet has it; empty where the recipe does not say
 */
public record WeighIn(
        Call call,
        String words,
        List<Weighed> parts,
        Figure kg,
        Figure amount,
        Figure inside,
        boolean grown,
        Optional<Figure> over,
        Optional<Figure> covers) {
    /** What is to be done. */
    public enum Call {
        GO,
        ADD,
        DISCARD
    }

    /**
     * One part.
     *
     * @param shown what went in, kilograms; empty where it is not in yet
     * @param off how far it is from what the others ask for, percent of it; empty likewise
     * @param add how much of it is missing; empty where nothing is
     * @param target what the scale shows when it is right, the vessel and what is in it included
     * @param amount how much of it that is, by weight; {@code measured} by jug, cup and spoon
     */
    public record Weighed(
            String part,
            Optional<Figure> shown,
            Optional<Figure> off,
            Optional<Figure> add,
            Figure target,
            Figure amount,
            String measured) {}

    /** OURS: what a pail scale and a steady hand do; a sheet that asks for less is not served by weighing pails. */
    public static final double TOLERANCE = 0.02;

    /** OURS: what has stood together longer than a quarter of its pot life is not saved by stirring more in. */
    private static final double TOO_LATE = 0.25;

    private static final Source WHOLE = Source.commonPractice("whole ratio, never a little more of one part");
    private static final Source OURS = Source.ours("a pail scale and a steady hand are good for 2 %");

    /** What went in of one part, and what would have been right. */
    private record In(Portion portion, double least, double most, Optional<Double> kg) {}

    /**
     * @param recipe one filling, each of whose parts can be weighed
     * @param readings what the scale showed after each part, kilograms, in pour order; fewer than there are parts where the rest
     *     is not in yet
     * @param mostKg what may be in the vessel at most
     * @param stoodShare how much of the pot life has gone since the parts met, 0–1; 0 where they have not
     */
    public static WeighIn of(
            Recipe recipe, Vessel vessel, List<Double> readings, double mostKg, double stoodShare, UnitSystem system) {
        List<Portion> portions =
                recipe.portions().stream().filter(p -> p.mass().isPresent()).toList();
        Require.that(
                !readings.isEmpty() && readings.size() <= portions.size(),
                "there is a reading for every part that is in, and not more, got %s",
                readings);
        var in = new ArrayList<In>();
        double before = vessel.tareKg();
        for (int i = 0; i < portions.size(); i++) {
            Portion p = portions.get(i);
            double least = p.mass().orElseThrow().base();
            double most =
                    least * p.most().map(m -> m.base() / p.volume().base()).orElse(1.0);
            Optional<Double> kg = Optional.empty();
            if (i < readings.size()) {
                Require.that(readings.get(i) > before, "each reading is above the one before, got %s", readings);
                kg = Optional.of(readings.get(i) - before);
                before = readings.get(i);
            }
            in.add(new In(p, least, most, kg));
        }
        return new Judging(in, vessel, recipe, mostKg, stoodShare, system).judge();
    }

    private record Judging(
            List<In> in, Vessel vessel, Recipe recipe, double mostKg, double stoodShare, UnitSystem system) {
        WeighIn judge() {
            double k = in.stream()
                    .flatMap(p -> p.kg().map(kg -> kg / p.most()).stream())
                    .mapToDouble(Double::doubleValue)
                    .max()
                    .orElseThrow();
            boolean missing = in.stream().anyMatch(p -> isShort(p, k));
            boolean open = in.stream().anyMatch(p -> p.kg().isEmpty());
            // the first part alone is in no ratio to anything: what follows follows it
            double total = in.stream()
                    .mapToDouble(
                            p -> Math.max(p.kg().orElse(0.0), p.kg().isPresent() && !isShort(p, k) ? 0 : p.least() * k))
                    .sum();
            List<Weighed> parts = parts(k);
            Figure kg = total(parts);
            if (total > mostKg * (1 + 1e-9)) {
                return told(
                        Call.DISCARD,
                        "To make it whole it would be " + Show.in(system, Dimension.MASS, total) + ", and "
                                + Show.in(system, Dimension.MASS, mostKg)
                                + " is what vessel and pot life allow. Throw it away by its sheet, and weigh anew.",
                        parts,
                        kg);
            }
            if (missing && stoodShare > TOO_LATE) {
                return told(
                        Call.DISCARD,
                        "It has stood for " + Show.number(100 * stoodShare, 0)
                                + " % of its pot life: what is stirred in now stays streaks. Throw it away by its sheet.",
                        parts,
                        kg);
            }
            return told(missing ? Call.ADD : Call.GO, words(parts, missing, open), parts, kg);
        }

        private WeighIn told(Call call, String words, List<Weighed> parts, Figure kg) {
            Figure amount = amount("mixed", kg);
            return new WeighIn(
                    call,
                    words,
                    parts,
                    kg,
                    amount,
                    amount("in the vessel", inside()),
                    amount.base() > planned() * (1 + TOLERANCE),
                    amount.base() > planned() ? Optional.of(over(amount)) : Optional.empty(),
                    recipe.covers().map(c -> covers(c, amount)));
        }

        private Figure over(Figure amount) {
            Unit of = amount.unit();
            var w = new Worksheet(system);
            w.from("V", amount);
            double planned = w.given("P", "as planned it is", of.fromBase(planned()), of);
            return w.figure("over", "o", "V-P", amount.value() - planned, of, Source.arithmetic("more than planned"));
        }

        /** Of one filling. */
        private double planned() {
            return recipe.amount().base() / recipe.fillings().value();
        }

        private Figure inside() {
            var w = new Worksheet(system);
            double sum = 0;
            var terms = new StringBuilder();
            for (int i = 0; i < in.size(); i++) {
                double of = unit().fromBase(in.get(i).kg().orElse(0.0));
                sum += w.given("m" + i, in.get(i).portion().part(), of, unit());
                terms.append(i == 0 ? "" : "+").append("m").append(i);
            }
            return w.figure("on the scale", "m", terms.toString(), sum, unit(), Source.arithmetic("part by part"));
        }

        private Figure covers(Figure all, Figure amount) {
            var w = new Worksheet(system);
            double each = all.value() / recipe.fillings().value();
            w.from("V", amount);
            w.given("P", "as planned it is", amount.unit().fromBase(planned()), amount.unit());
            w.given("A", "and that is for", each, all.unit());
            return w.figure(
                    "covers",
                    "Am",
                    "A·V/P",
                    each * amount.base() / planned(),
                    all.unit(),
                    Source.arithmetic("as much more as there is of it"));
        }

        private boolean isShort(In p, double k) {
            return p.kg().isPresent() && p.kg().get() < p.least() * k * (1 - TOLERANCE);
        }

        private static String words(List<Weighed> parts, boolean missing, boolean open) {
            if (!missing) {
                return open ? "Good. The next part follows what is in." : "Within 2 %: stir it.";
            }
            var words = new StringBuilder("Add ");
            boolean first = true;
            for (Weighed p : parts) {
                if (p.add().isPresent()) {
                    words.append(first ? "" : " and ")
                            .append(p.add().get().text())
                            .append(" of ")
                            .append(p.part());
                    first = false;
                }
            }
            return words.append(", then stir it. Nothing is ever scooped out of a mix to make it right.")
                    .toString();
        }

        private List<Weighed> parts(double k) {
            var parts = new ArrayList<Weighed>();
            double right = vessel.tareKg();
            for (In p : in) {
                double wanted = p.least() * k;
                double becomes = p.kg().isPresent() && !isShort(p, k) ? p.kg().get() : wanted;
                right += becomes;
                parts.add(new Weighed(
                        p.portion().part(),
                        p.kg().map(kg -> shown(p, kg)),
                        p.kg().map(kg -> off(p, kg, wanted)),
                        isShort(p, k) ? Optional.of(add(p, wanted)) : Optional.empty(),
                        target(right - becomes, becomes, p),
                        amount(p, becomes),
                        measured(p, becomes)));
            }
            return parts;
        }

        private Unit unit() {
            return in.get(0).portion().mass().orElseThrow().unit();
        }

        private Figure amount(In p, double kg) {
            var w = new Worksheet(system);
            w.given("M", "as planned", unit().fromBase(p.least()), unit());
            w.given("k", "times as much", kg / p.least(), Unit.ONE);
            return w.figure(p.portion().part() + " in all", "m", "M·k", unit().fromBase(kg), unit(), WHOLE);
        }

        private String measured(In p, double kg) {
            Figure planned = p.portion().volume();
            double times = kg / p.least();
            return planned.unit() == Unit.BAG
                    ? Show.in(Unit.BAG, planned.base() * times)
                    : Spoken.of(planned.base() * times, system);
        }

        private Figure shown(In p, double kg) {
            var w = new Worksheet(system);
            w.given("a", "by the scale", unit().fromBase(kg), unit());
            return w.figure(
                    p.portion().part() + " in it",
                    "m",
                    "a",
                    unit().fromBase(kg),
                    unit(),
                    Source.arithmetic("the scale, less what was on it before"));
        }

        private Figure off(In p, double kg, double wanted) {
            var w = new Worksheet(system);
            w.given("a", "what is in it", unit().fromBase(kg), unit());
            w.given("w", "what the others ask for", unit().fromBase(wanted), unit());
            return w.figure("off by", "o", "100·(a-w)/w", 100 * (kg - wanted) / wanted, Unit.PERCENT, OURS);
        }

        private Figure add(In p, double wanted) {
            var w = new Worksheet(system);
            w.given("w", "what the others ask for", unit().fromBase(wanted), unit());
            w.given("a", "what is in it", unit().fromBase(p.kg().orElseThrow()), unit());
            return w.figure(
                    "add of " + p.portion().part(),
                    "d",
                    "w-a",
                    unit().fromBase(wanted - p.kg().orElseThrow()),
                    unit(),
                    WHOLE);
        }

        private Figure target(double before, double becomes, In p) {
            var w = new Worksheet(system);
            w.given("b", "vessel and what is in it", unit().fromBase(before), unit());
            w.given("m", p.portion().part(), unit().fromBase(becomes), unit());
            return w.figure("scale shows", "s", "b+m", unit().fromBase(before + becomes), unit(), WHOLE);
        }

        /** As much more or less than planned as it weighs. */
        private Figure amount(String label, Figure kg) {
            Unit of = recipe.amount().unit();
            var w = new Worksheet(system);
            w.from("m", kg);
            w.given("M", "as planned it weighs", kg.unit().fromBase(recipe.kg()), kg.unit());
            w.given("V", "as planned it is", of.fromBase(planned()), of);
            return w.figure(
                    label,
                    "Vm",
                    "V·m/M",
                    of.fromBase(planned() * kg.base() / recipe.kg()),
                    of,
                    Source.arithmetic("as much more as it weighs"));
        }

        private Figure total(List<Weighed> parts) {
            var w = new Worksheet(system);
            w.from("s", parts.get(parts.size() - 1).target());
            w.given("t", "the empty vessel", unit().fromBase(vessel.tareKg()), unit());
            double kg = parts.get(parts.size() - 1).target().value() - unit().fromBase(vessel.tareKg());
            return w.figure("all parts together", "m", "s-t", kg, unit(), Source.arithmetic("less the vessel"));
        }
    }
}
