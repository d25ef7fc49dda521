package openslab.core.floor.plan;

import openslab.core.quantity.Bound;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * A ramp against what may be walked and driven: 2010 ADA Standards, sections 403 and 405 (from memory): up to 1:20 it is a
 * walking surface, up to 1:12 a ramp, at most 30 in of rise in one run. Local rules decide.
 *
 * @param ratio "1:12.0"
 * @param fits false where it is too steep or rises too far
 * @param word what it is, in a few words
 */
public record SlopeCheck(String id, String name, Figure slope, String ratio, boolean fits, String word) {
    private static final Source ADA = Source.published("2010 ADA Standards 403.3, 405.2, 405.6, from memory");
    /** How much level length there is for one of rise. */
    private static final Bound WALK = Bound.atLeast(20, Unit.ONE).with(1);

    private static final Bound RAMP = Bound.atLeast(12, Unit.ONE).with(1);
    private static final Bound MOST_RISE = Bound.atMost(30 * 0.0254, Unit.INCH);

    static SlopeCheck of(Room.Ramp ramp, UnitSystem system) {
        Unit unit = system == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
        var w = new Worksheet(system);
        double rise = w.given("h", "rise", unit.fromBase(ramp.riseM()), unit);
        double run = w.given("r", "level length", unit.fromBase(ramp.box().lengthM()), unit);
        double ratio = ramp.box().lengthM() / ramp.riseM();
        Figure figure = w.figure("slope of " + ramp.name(), "s", "100·h/r", 100 * rise / run, Unit.PERCENT, ADA);
        boolean tooFar = !WALK.holds(ratio) && !MOST_RISE.holds(ramp.riseM());
        boolean fits = RAMP.holds(ratio) && !tooFar;
        String word = WALK.holds(ratio)
                ? "a walking surface, up to 1:20"
                : !RAMP.holds(ratio)
                        ? "too steep: a ramp is 1:12 at most"
                        : tooFar ? "rises over 30 in: it needs a landing" : "a ramp, up to 1:12";
        return new SlopeCheck(ramp.id(), ramp.name(), figure, "1:" + Bound.text(ratio, WALK, RAMP), fits, word);
    }
}
