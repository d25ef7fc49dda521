package openslab.core.mix;

import openslab.core.product.Broadcast;
import openslab.core.product.Liquid;
import openslab.core.product.Material;
import openslab.core.product.Powder;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** How much of one product a floor takes, allowance included. What to buy of it is {@link Buying}'s. */
public final class TakeOff {
    private static final Source GEOMETRY = Source.arithmetic("area over spread rate, and the allowance on top");

    private static final Source BY_DEPTH = Source.arithmetic("area times depth over what a bag yields");

    private TakeOff() {}

    /**
     * What of a material {@code areaM2} takes: litres of what is spread, kilograms of all else.
     *
     * @param allowance on top, 0.1 for a tenth
     */
    public static Figure of(double areaM2, Material material, double allowance, UnitSystem system) {
        return material instanceof Liquid liquid
                ? volume(areaM2, liquid, allowance, system)
                : material instanceof Powder powder
                        ? powder(areaM2, powder, allowance, system)
                        : mass(areaM2, (Broadcast) material, allowance, system);
    }

    /** Mixed litres for {@code areaM2}: area / spread · (1 + allowance). */
    public static Figure volume(double areaM2, Liquid liquid, double allowance, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "area", areaM2, Unit.SQUARE_METRE);
        w.given("s", "spread rate of one coat", liquid.spreadM2PerL(), Unit.SQUARE_METRE_PER_LITRE);
        w.given("w", "allowance on top", allowance, Unit.ONE);
        double litres = areaM2 / liquid.spreadM2PerL() * (1 + allowance);
        return w.figure("mixed volume", "V", "A/s·(1+w)", litres, Unit.LITRE, GEOMETRY);
    }

    /** Kilograms of powder for {@code areaM2}: what the depth takes, at a bag's yield. */
    public static Figure powder(double areaM2, Powder powder, double allowance, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "area", areaM2, Unit.SQUARE_METRE);
        w.given("d", "depth", powder.depthM(), Unit.METRE);
        w.given("y", "yield of a bag", powder.yieldL(), Unit.LITRE);
        w.given("b", "a bag", powder.bagKg(), Unit.KILOGRAM);
        w.given("w", "allowance on top", allowance, Unit.ONE);
        double kg = areaM2 * powder.depthM() * 1000 / powder.yieldL() * powder.bagKg() * (1 + allowance);
        return w.figure("powder", "m", "A·d·1000/y·b·(1+w)", kg, Unit.KILOGRAM, BY_DEPTH);
    }

    /** Kilograms thrown on {@code areaM2}. */
    public static Figure mass(double areaM2, Broadcast broadcast, double allowance, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("A", "area", areaM2, Unit.SQUARE_METRE);
        w.given("q", "broadcast on the floor", broadcast.kgPerM2(), Unit.KILOGRAM_PER_SQUARE_METRE);
        w.given("w", "allowance on top", allowance, Unit.ONE);
        double kg = areaM2 * broadcast.kgPerM2() * (1 + allowance);
        return w.figure("broadcast", "m", "A·q·(1+w)", kg, Unit.KILOGRAM, GEOMETRY);
    }
}
