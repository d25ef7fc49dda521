package openslab.core.mix.recipe;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Map;
import openslab.core.mix.Allowance;
import openslab.core.mix.TakeOff;
import openslab.core.product.Concentrate;
import openslab.core.product.Kit;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.Powder;
import openslab.core.product.ProductSheet;
import openslab.core.quantity.Figure;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** How much is to be mixed, said as a person says it. */
public sealed interface Wanted {
    /**
     * What that is: litres of the sheet's own parts mixed, bags of a powder. What is stirred in besides comes on top of it.
     *
     * @param besides litres of grit and thinner to one litre of it
     */
    Figure amount(ProductSheet sheet, double besides, UnitSystem system);

    /** Enough for so much floor. @param allowance on top, 0.1 for a tenth */
    record Floor(double m2, double allowance) implements Wanted {
        @Override
        public Figure amount(ProductSheet sheet, double besides, UnitSystem system) {
            Figure takes = TakeOff.of(m2, sheet.material(), Allowance.of(allowance), system);
            return sheet.powder().map(p -> bags(takes, p, system)).orElse(takes);
        }

        private static Figure bags(Figure mass, Powder powder, UnitSystem system) {
            var w = new Worksheet(system);
            w.given("m", mass.label(), mass.base(), Unit.KILOGRAM);
            w.given("b", "a bag", powder.bagKg(), Unit.KILOGRAM);
            return w.figure("bags", "n", "m/b", mass.base() / powder.bagKg(), Unit.BAG, mass.source());
        }
    }

    /** So many litres of the mix, all that is in it together: grit and thinner too. */
    record Mixed(double litres) implements Wanted {
        @Override
        public Figure amount(ProductSheet sheet, double besides, UnitSystem system) {
            var w = new Worksheet(system);
            if (sheet.material() instanceof Powder powder) {
                w.given("V", "mix that is wanted", litres, Unit.LITRE);
                w.given("y", "yield of a bag", powder.yieldL(), Unit.LITRE);
                return w.figure("bags", "n", "V/y", litres / powder.yieldL(), Unit.BAG, Source.sheet("yield of a bag"));
            }
            w.given("W", "mix that is wanted", litres, Unit.LITRE);
            if (besides > 0) {
                w.given("x", "stirred in to one part of it", besides, Unit.ONE);
                return w.figure(
                        "of its own parts",
                        "V",
                        "W/(1+x)",
                        litres / (1 + besides),
                        Unit.LITRE,
                        Source.arithmetic("all together is all: what is stirred in comes inside it"));
            }
            return w.figure("mixed volume", "V", "W", litres, Unit.LITRE, Source.arithmetic("as it was asked for"));
        }
    }

    /** A share of a kit or of a can: half a kit is half of each part, never one part of it. */
    record OfKit(Kit kit, double share) implements Wanted {
        @Override
        public Figure amount(ProductSheet sheet, double besides, UnitSystem system) {
            Unit unit = sheet.liquid().isPresent() ? Unit.LITRE : Unit.KILOGRAM;
            var w = new Worksheet(system);
            w.given("K", kit.label() + " holds, by its label", kit.size().amount(), unit);
            w.given("s", "how much of it", share, Unit.ONE);
            if (sheet.material() instanceof Powder powder) {
                w.given("b", "a bag", powder.bagKg(), Unit.KILOGRAM);
                double bags = kit.size().amount() * share / powder.bagKg();
                return w.figure("bags", "n", "K·s/b", bags, Unit.BAG, Source.sheet("what the label says it holds"));
            }
            double litres = sheet.material().laid(kit.size().times(share)).amount();
            if (sheet.material() instanceof Concentrate concentrate) {
                w.given("w", "parts of water to one of it", concentrate.water(), Unit.ONE);
                return w.figure(
                        "mixed volume",
                        "V",
                        "K·s·(1+w)",
                        litres,
                        Unit.LITRE,
                        Source.sheet("the pack holds the concentrate, and the water comes to it"));
            }
            return w.figure(
                    "mixed volume",
                    "V",
                    "K·s",
                    litres,
                    Unit.LITRE,
                    Source.sheet("what the label says it holds; half a kit is half of each part"));
        }
    }

    /** So many bags, halves and quarters too. */
    record Bags(double bags) implements Wanted {
        @Override
        public Figure amount(ProductSheet sheet, double besides, UnitSystem system) {
            var w = new Worksheet(system);
            w.given("w", "bags that are wanted", bags, Unit.BAG);
            return w.figure("bags", "n", "w", bags, Unit.BAG, Source.arithmetic("as it was asked for"));
        }
    }

    /**
     * As much as the cans in hand make, by what their labels say they hold: the part that runs out first decides.
     *
     * @param litres of every part, by its name
     */
    record Cans(Map<String, Double> litres) implements Wanted {
        public Cans {
            litres = Map.copyOf(litres);
        }

        @Override
        public Figure amount(ProductSheet sheet, double besides, UnitSystem system) {
            Liquid liquid = sheet.liquid().orElseThrow(() -> noLiquid(sheet));
            Liquid.Part least = liquid.parts().stream()
                    .min(Comparator.comparingDouble(p -> makes(p, liquid)))
                    .orElseThrow();
            var w = new Worksheet(system);
            w.given("L", "in the cans of " + least.name() + ", by the label", litres.get(least.name()), Unit.LITRE);
            w.given("p", "parts of " + least.name(), least.parts(), Unit.ONE);
            w.given("P", "all parts", liquid.allParts(), Unit.ONE);
            return w.figure(
                    "mixed volume",
                    "V",
                    "L·P/p",
                    makes(least, liquid),
                    Unit.LITRE,
                    Source.sheet("whole ratio: " + least.name() + " runs out first"));
        }

        private double makes(Liquid.Part part, Liquid liquid) {
            return litres.get(part.name()) * liquid.allParts() / part.parts();
        }

        /** What stays in the cans, litres by part. */
        public Map<String, Double> left(Liquid liquid) {
            double mixed = liquid.parts().stream()
                    .mapToDouble(p -> makes(p, liquid))
                    .min()
                    .orElseThrow();
            Map<String, Double> left = new LinkedHashMap<>();
            liquid.parts()
                    .forEach(p -> left.put(
                            p.name(), Math.max(0, litres.get(p.name()) - mixed * p.parts() / liquid.allParts())));
            return left;
        }
    }

    /** @throws InvalidInput always made to be thrown, where a sheet is not mixed of liquids */
    private static InvalidInput noLiquid(ProductSheet sheet) {
        return new InvalidInput(
                "how", Show.lower(sheet.name()), "another way of saying how much: it has no parts in cans");
    }

    /** What nobody mixes: it is thrown as it comes. */
    static boolean isMixed(Material material) {
        return material.kind() != Material.Kind.BROADCAST;
    }
}
