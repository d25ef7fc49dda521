package openslab.core.mix;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import openslab.core.product.Clock;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.Powder;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * The batches of a layer, bay by bay: the fewest of which each is on the floor inside the crew's share of the pot life and goes
 * into the vessel; of these as even as can be.
 *
 * @param most floor that one batch may cover, with what bounds it in its working
 * @param runs batches alike, in the order in which they are mixed
 * @param boxed litres of the part that carries the colour, all of the layer, put together before the first batch; empty where
 *     nothing is boxed
 */
public record BatchPlan(Figure count, Figure most, List<BatchRun> runs, Optional<Figure> boxed) {
    /**
     * Batches alike.
     *
     * @param first number of the first of them, from 1; {@code last} of the last
     * @param bays which part of the floor they are for; empty where it is one bay
     * @param from index of the first of these bays; {@code to} of the one after the last
     * @param area that each covers; {@code volume} litres of each, all parts together
     */
    public record BatchRun(int first, int last, String bays, int from, int to, Figure area, Figure volume) {
        private BatchRun andOneMore() {
            return new BatchRun(first, last + 1, bays, from, to, area, volume);
        }

        private BatchRun after(int mixed, int bays) {
            return new BatchRun(first + mixed, last + mixed, this.bays, from + bays, to + bays, area, volume);
        }
    }

    private static final Source OURS = Source.ours(
            "the fewest that are on the floor inside the crew's share of the pot life and go into the vessel; of these the most"
                    + " even");

    private static final Source WHOLE_BAGS =
            Source.ours("whole bags, as many as go into the vessel and are down in time; the last is mixed whole too");

    private static final double ROUNDING = 1e-9;

    private static final Source BOXED = Source.commonPractice("all of it together first, so that the colour is one");

    public BatchPlan {
        runs = List.copyOf(runs);
    }

    /**
     * @param bays in the order in which they are coated, at least one
     * @param potLife minutes at the slab's temperature, its working taken over; empty where none runs
     */
    public static BatchPlan of(
            List<Bay> bays, ProductSheet sheet, Optional<Figure> potLife, Crew crew, UnitSystem system) {
        return new Planning(sheet, potLife, crew, system).of(bays);
    }

    /**
     * What is still to be mixed where it went otherwise than planned: the bare floor, from where the coat has come to. Numbers go on
     * after those that were mixed.
     *
     * @param bays of all the floor, as in {@link #of}
     * @param mixed how many batches were
     */
    public static BatchPlan rest(
            List<Bay> bays,
            double coveredM2,
            int mixed,
            ProductSheet sheet,
            Optional<Figure> potLife,
            Crew crew,
            UnitSystem system) {
        Front front = Front.of(bays, coveredM2);
        return new Planning(sheet, potLife, crew, system).rest(bays, front, mixed);
    }

    /** m² that one batch may cover: the least of what time, vessel and sheet allow. */
    public static Figure most(ProductSheet sheet, Optional<Figure> potLife, Crew crew, UnitSystem system) {
        return new Planning(sheet, potLife, crew, system).most();
    }

    /** Whether it is mixed batch by batch: what comes ready in its can and keeps is spread from it. */
    public static boolean isOf(ProductSheet sheet) {
        return switch (sheet.material().kind()) {
            case TWO_PART, CONCENTRATE, POWDER -> true;
            case ONE_PART, STAIN, DYE, FINISH -> sheet.curve(Clock.POT_LIFE).isPresent();
            case BROADCAST -> false;
        };
    }

    /** What batch {@code number} is; empty beyond the last. */
    public Optional<BatchRun> batch(int number) {
        return runs.stream()
                .filter(r -> r.first() <= number && number <= r.last())
                .findFirst();
    }

    private record Planning(ProductSheet sheet, Optional<Figure> potLife, Crew crew, UnitSystem system) {
        BatchPlan rest(List<Bay> bays, Front front, int mixed) {
            BatchPlan all = of(bays);
            List<Bay> bare = front.bare(bays);
            BatchPlan bareOnes =
                    bare.isEmpty() ? new BatchPlan(all.count(), all.most(), List.of(), all.boxed()) : of(bare);
            List<BatchRun> runs = bareOnes.runs().stream()
                    .map(r -> r.after(mixed, front.whole()))
                    .toList();
            double more = runs.isEmpty() ? 0 : runs.get(runs.size() - 1).last() - mixed;
            var w = new Worksheet(system);
            w.given("m", "mixed so far", mixed, Unit.ONE);
            if (bare.isEmpty()) {
                w.given("b", "still to be mixed", 0, Unit.ONE);
            } else {
                w.from("b", bareOnes.count());
            }
            Figure count = w.figure("batches", "n", "m+b", mixed + more, Unit.ONE, OURS);
            return new BatchPlan(count, all.most(), runs, all.boxed());
        }

        BatchPlan of(List<Bay> bays) {
            Figure most = most();
            if (sheet.material() instanceof Powder powder) {
                double bagM2 = bagM2(powder);
                int bags = (int) Math.floor(most.base() / bagM2 + ROUNDING);
                if (bags >= 1) {
                    return whole(bays, most, powder, bags, bagM2);
                }
            }
            List<Split.Part> parts = Split.of(bays.stream().map(Bay::areaM2).toList(), most.base());
            var runs = new ArrayList<BatchRun>();
            var counts = new Worksheet(system);
            var sum = new StringBuilder();
            int number = 1;
            for (int i = 0; i < parts.size(); i++) {
                Split.Part part = parts.get(i);
                String name = names(bays, part);
                double m2 = bays.subList(part.from(), part.to()).stream()
                        .mapToDouble(Bay::areaM2)
                        .sum();
                counts.given("A" + (i + 1), name.isEmpty() ? "area" : "area of " + name, m2, Unit.SQUARE_METRE);
                sum.append(i == 0 ? "" : "+").append("ceil(A").append(i + 1).append("/Ab)");
                runs.add(run(number, part, name, m2));
                number += part.batches();
            }
            counts.from("Ab", most);
            Figure count = counts.figure("batches", "n", sum.toString(), number - 1.0, Unit.ONE, OURS);
            double whole = bays.stream().mapToDouble(Bay::areaM2).sum();
            return new BatchPlan(count, most, runs, boxed(whole));
        }

        /** Floor that a bag is for as it is mixed, what goes on top of the bare arithmetic included. */
        private double bagM2(Powder powder) {
            return powder.bagKg()
                    / TakeOff.powder(1, powder, crew.allowance(), system).value();
        }

        /** Nobody weighs out a tenth of a bag: whole bags in every batch, one after another over the bays; what the last has more is kept. */
        private BatchPlan whole(List<Bay> bays, Figure most, Powder powder, int bags, double bagM2) {
            double floor = bays.stream().mapToDouble(Bay::areaM2).sum();
            var counts = new Worksheet(system);
            counts.given("A", "area", floor, Unit.SQUARE_METRE);
            counts.given("a", "a bag is for", bagM2, Unit.SQUARE_METRE);
            counts.from("Ab", most);
            counts.let("k", "whole bags in a batch", "floor(Ab/a)", bags, Unit.BAG);
            int all = (int) Math.max(1, Math.ceil(floor / (bags * bagM2) - ROUNDING));
            Figure count = counts.figure("batches", "n", "max(1,ceil(A/(k·a)))", all, Unit.ONE, WHOLE_BAGS);
            var runs = new ArrayList<BatchRun>();
            double from = 0;
            for (int i = 1; i <= all; i++) {
                double to = i == all ? floor : from + bags * bagM2;
                Split.Part over = over(bays, from, to);
                int held = i == all ? (int) Math.max(1, Math.ceil((to - from) / bagM2 - ROUNDING)) : bags;
                BatchRun last = runs.isEmpty() ? null : runs.get(runs.size() - 1);
                if (last != null && last.from() == over.from() && last.to() == over.to() && i < all) {
                    runs.set(runs.size() - 1, last.andOneMore());
                } else {
                    runs.add(bagged(i, bays, over, to - from, held, powder));
                }
                from = to;
            }
            return new BatchPlan(count, most, runs, Optional.empty());
        }

        /** The bays that the floor from here to there lies in. */
        private static Split.Part over(List<Bay> bays, double fromM2, double toM2) {
            int first = 0;
            double end = bays.get(0).areaM2();
            while (first < bays.size() - 1 && end <= fromM2 * (1 + ROUNDING)) {
                end += bays.get(++first).areaM2();
            }
            int last = first;
            while (last < bays.size() - 1 && end < toM2 * (1 - ROUNDING)) {
                end += bays.get(++last).areaM2();
            }
            return new Split.Part(first, last + 1, 1);
        }

        private BatchRun bagged(int number, List<Bay> bays, Split.Part part, double m2, int bags, Powder powder) {
            String name = names(bays, part);
            var w = new Worksheet(system);
            w.given("a", name.isEmpty() ? "area" : "area of " + name, m2, Unit.SQUARE_METRE);
            Figure area = w.figure("area of one batch", "Ae", "a", m2, Unit.SQUARE_METRE, WHOLE_BAGS);
            var v = new Worksheet(system);
            v.given("k", "whole bags", bags, Unit.BAG);
            v.given("y", "yield of a bag", powder.yieldL(), Unit.LITRE);
            Figure volume = v.figure(
                    "mixed volume", "V", "k·y", bags * powder.yieldL(), Unit.LITRE, Source.sheet("yield of a bag"));
            return new BatchRun(number, number, name, part.from(), part.to(), area, volume);
        }

        private static String names(List<Bay> bays, Split.Part part) {
            String first = bays.get(part.from()).name();
            String last = bays.get(part.to() - 1).name();
            return first.equals(last) ? first : first + " to " + last;
        }

        private BatchRun run(int number, Split.Part part, String name, double m2) {
            var w = new Worksheet(system);
            w.given("A", name.isEmpty() ? "area" : "area of " + name, m2, Unit.SQUARE_METRE);
            w.given("n", "batches for it", part.batches(), Unit.ONE);
            double each = m2 / part.batches();
            Figure area = w.figure("area of one batch", "Ae", "A/n", each, Unit.SQUARE_METRE, OURS);
            return new BatchRun(number, number + part.batches() - 1, name, part.from(), part.to(), area, volume(each));
        }

        /** What so much floor takes, litres as they are mixed. */
        private Figure volume(double m2) {
            Material material = sheet.material();
            if (material instanceof Powder powder) {
                Figure kg = TakeOff.powder(m2, powder, crew.allowance(), system);
                var w = new Worksheet(system);
                w.from("m", kg);
                w.given("b", "a bag", powder.bagKg(), Unit.KILOGRAM);
                w.given("y", "yield of a bag", powder.yieldL(), Unit.LITRE);
                double litres = kg.value() / powder.bagKg() * powder.yieldL();
                return w.figure("mixed volume", "V", "m/b·y", litres, Unit.LITRE, Source.sheet("yield of a bag"));
            }
            return TakeOff.volume(m2, (Liquid) material, crew.allowance(), system);
        }

        Figure most() {
            var w = new Worksheet(system);
            double most = Double.POSITIVE_INFINITY;
            var bounds = new ArrayList<String>();
            if (potLife.isPresent()) {
                double life = w.from("tp", potLife.get());
                w.given("p", "pace of the crew", crew.paceM2PerMin(), Unit.SQUARE_METRE_PER_MINUTE);
                w.given("u", "share of the pot life used", crew.potLifeShare(), Unit.ONE);
                most = crew.paceM2PerMin() * life * crew.potLifeShare();
                bounds.add("p·tp·u");
            }
            double perM2 = w.given("v", "mixed for a square metre", volume(1).base(), Unit.LITRE);
            double vessel = w.given("H", "the vessel, filled to be stirred", crew.vesselL(), Unit.LITRE);
            most = Math.min(most, vessel / perM2);
            bounds.add("H/v");
            double atOnce = sheet.handling().dosing().mostL();
            if (atOnce > 0) {
                w.given("M", "mixed at once at most, by the sheet", atOnce, Unit.LITRE);
                most = Math.min(most, atOnce / perM2);
                bounds.add("M/v");
            }
            String formula = bounds.size() == 1 ? bounds.get(0) : "min(" + String.join(",", bounds) + ")";
            return w.figure("most that one batch may cover", "Ab", formula, most, Unit.SQUARE_METRE, OURS);
        }

        private Optional<Figure> boxed(double m2) {
            if (!(sheet.material() instanceof Liquid liquid) || !liquid.isTwoPart()) {
                return Optional.empty();
            }
            Liquid.Part a = liquid.parts().get(0);
            var w = new Worksheet(system);
            double litres = w.from("V", volume(m2)) * a.parts() / liquid.allParts();
            w.given("p", "parts of " + a.name(), a.parts(), Unit.ONE);
            w.given("P", "all parts", liquid.allParts(), Unit.ONE);
            return Optional.of(w.figure("all " + a.name() + " of the layer", "B", "V·p/P", litres, Unit.LITRE, BOXED));
        }
    }
}
