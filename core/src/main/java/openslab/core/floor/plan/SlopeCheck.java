package openslab.core.floor.plan;

import java.util.Locale;
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
    private static final double WALK = 1 / 20.0;
    private static final double RAMP = 1 / 12.0;
    private static final double MOST_RISE_M = 30 * 0.0254;
    private static final double HAIR = 1 + 1e-9;

    static SlopeCheck of(Room.Ramp ramp, UnitSystem system) {
        Unit unit = system == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
        var w = new Worksheet(system);
        double rise = w.given("h", "rise", unit.fromBase(ramp.riseM()), unit);
        double run = w.given("r", "level length", unit.fromBase(ramp.box().lengthM()), unit);
        double slope = ramp.riseM() / ramp.box().lengthM();
        Figure figure = w.figure("slope of " + ramp.name(), "s", "100·h/r", 100 * rise / run, Unit.PERCENT, ADA);
        boolean tooFar = slope > WALK * HAIR && ramp.riseM() > MOST_RISE_M * HAIR;
        boolean fits = slope <= RAMP * HAIR && !tooFar;
        String word = slope <= WALK * HAIR
                ? "a walking surface, up to 1:20"
                : slope > RAMP * HAIR
                        ? "too steep: a ramp is 1:12 at most"
                        : tooFar ? "rises over 30 in: it needs a landing" : "a ramp, up to 1:12";
        return new SlopeCheck(
                ramp.id(), ramp.name(), figure, String.format(Locale.ROOT, "1:%.1f", 1 / slope), fits, word);
    }
}
