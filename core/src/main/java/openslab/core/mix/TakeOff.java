package openslab.core.mix;

import openslab.core.product.Broadcast;
import openslab.core.product.Concentrate;
import openslab.core.product.Laid;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.Powder;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** How much of one product a floor takes, allowance included. What to buy of it is {@code buy.Buying}'s. */
public final class TakeOff {
    private static final Source GEOMETRY = Source.arithmetic("area over spread rate, and the allowance on top");

    private static final Source BY_DEPTH = Source.arithmetic("area times depth over what a bag yields");

    private static final Source LET_DOWN = Source.sheet("its pack holds the concentrate; 1:w is 1 + w parts");

    private TakeOff() {}

    /** What of a material {@code areaM2} takes: litres of what is spread, kilograms of all else. */
    public static Figure of(double areaM2, Material material, Allowance allowance, UnitSystem system) {
        return material instanceof Liquid liquid
                ? volume(areaM2, liquid, allowance, system)
                : material instanceof Powder powder
                        ? powder(areaM2, powder, allowance, system)
                        : mass(areaM2, (Broadcast) material, allowance, system);
    }

    /** Mixed litres for {@code areaM2}: area · texture / spread · (1 + loss + reserve). */
    public static Figure volume(double areaM2, Liquid liquid, Allowance allowance, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "area", areaM2, Unit.SQUARE_METRE);
        String rough = "";
        if (allowance.texture() != 1) {
            w.given("k", "surface for each of the plan, by its texture", allowance.texture(), Unit.ONE);
            rough = "·k";
        }
        w.given("s", "spread rate of one coat", liquid.spreadM2PerL(), Unit.SQUARE_METRE_PER_LITRE);
        String onTop = onTop(w, allowance);
        double litres = areaM2 * allowance.texture() / liquid.spreadM2PerL() * allowance.onTop();
        return w.figure("mixed volume", "V", "A" + rough + "/s·" + onTop, litres, Unit.LITRE, GEOMETRY);
    }

    /** Kilograms of powder for {@code areaM2}: what the depth takes, at a bag's yield. */
    public static Figure powder(double areaM2, Powder powder, Allowance allowance, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "area", areaM2, Unit.SQUARE_METRE);
        w.given("d", "depth", powder.depthM(), Unit.METRE);
        w.given("y", "yield of a bag", powder.yieldL(), Unit.LITRE);
        w.given("b", "a bag", powder.bagKg(), Unit.KILOGRAM);
        String onTop = onTop(w, allowance);
        double kg = areaM2 * powder.depthM() * 1000 / powder.yieldL() * powder.bagKg() * allowance.onTop();
        return w.figure("powder", "m", "A·d·1000/y·b·" + onTop, kg, Unit.KILOGRAM, BY_DEPTH);
    }

    /**
     * The floor that so much of it is for: the way back.
     *
     * @param amount litres of what is spread, bags of a powder
     */
    public static Figure covers(Figure amount, Material material, Allowance allowance, UnitSystem system) {
        var w = new Worksheet(system);
        if (material instanceof Powder powder) {
            w.from("n", amount);
            w.given("y", "yield of a bag", powder.yieldL(), Unit.LITRE);
            w.given("d", "depth", powder.depthM(), Unit.METRE);
            String onTop = onTop(w, allowance);
            double m2 = amount.base() * powder.yieldL() / 1000 / powder.depthM() / allowance.onTop();
            return w.figure("covers", "A", "n·y/1000/d/" + onTop, m2, Unit.SQUARE_METRE, BY_DEPTH);
        }
        double spread = ((Liquid) material).spreadM2PerL();
        w.from("V", amount);
        w.given("s", "spread rate of one coat", spread, Unit.SQUARE_METRE_PER_LITRE);
        w.given("k", "surface for each of the plan, by its texture", allowance.texture(), Unit.ONE);
        String onTop = onTop(w, allowance);
        double m2 = amount.base() * spread / allowance.texture() / allowance.onTop();
        return w.figure("covers", "A", "V·s/k/" + onTop, m2, Unit.SQUARE_METRE, GEOMETRY);
    }

    /** Kilograms thrown on {@code areaM2}. */
    public static Figure mass(double areaM2, Broadcast broadcast, Allowance allowance, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "area", areaM2, Unit.SQUARE_METRE);
        w.given("q", "broadcast on the floor", broadcast.kgPerM2(), Unit.KILOGRAM_PER_SQUARE_METRE);
        String onTop = onTop(w, allowance);
        double kg = areaM2 * broadcast.kgPerM2() * allowance.onTop();
        return w.figure("broadcast", "m", "A·q·" + onTop, kg, Unit.KILOGRAM, GEOMETRY);
    }

    /** What its packs have to hold of so much on the floor: of a concentrate, what is in it without its water. */
    public static Figure packed(Figure laid, Material material, UnitSystem system) {
        if (!(material instanceof Concentrate concentrate)) {
            return laid;
        }
        var w = new Worksheet(system);
        w.from("V", laid);
        w.given("w", "parts of water to one of it", concentrate.water(), Unit.ONE);
        double litres = concentrate.packed(new Laid(laid.base())).amount();
        return w.figure("concentrate", "C", "V/(1+w)", litres, Unit.LITRE, LET_DOWN);
    }

    private static String onTop(Worksheet w, Allowance allowance) {
        w.given("w", "allowance on top", allowance.loss(), Unit.ONE);
        if (allowance.reserve() == 0) {
            return "(1+w)";
        }
        w.given("r", "held back for touching up", allowance.reserve(), Unit.ONE);
        return "(1+w+r)";
    }
}
