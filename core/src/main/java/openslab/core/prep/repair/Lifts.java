package openslab.core.prep.repair;

import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/** In how many lifts a hole is filled, none deeper than the product allows. */
final class Lifts {
    private static final Source LIMIT = Source.commonPractice("a resurfacer lifts 1/2 in; the sheet in hand beats it");

    private Lifts() {}

    static Figure figure(String label, double depthM, PatchLimits patch, UnitSystem system) {
        Unit small = Unit.small(system);
        var w = new Worksheet(system);
        double d = w.given("d", "depth", small.fromBase(depthM), small);
        double l = w.given("l", "deepest lift", small.fromBase(patch.liftM()), small);
        w.let("x", "before whole ones are counted", "d/l", d / l, Unit.ONE);
        return w.figure(label, "n", "max(1,ceil(x))", patch.lifts(depthM), Unit.ONE, LIMIT);
    }
}
