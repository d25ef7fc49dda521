package openslab.core.floor.joint;

import java.util.ArrayList;
import java.util.List;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Dimension;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Require;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * Saw cuts proposed for a new, plain slab: panels near square, no farther apart than the thickness allows (ACI 302.1R-15 and
 * 224.3R, from memory). Not for slabs with fibre or post-tensioning: an engineer decides those.
 *
 * @param apartAcross as chosen, along the first wall; {@code apartUp} across it
 * @param lines from wall to wall of the rectangle round the floor
 */
public record SawCuts(
        Figure atMost, Figure depth, double apartAcrossM, double apartUpM, List<Line> lines, String when) {
    /** One cut. */
    public record Line(Corner from, Corner to) {}

    private static final double FARTHEST_M = 18 * 0.3048;
    private static final int THICKNESSES = 30;
    private static final double LEAST_DEPTH_M = 0.0254;
    private static final double EARLY_ENTRY_TO_M = 9 * 0.0254;
    private static final Source ACI = Source.published("ACI 302.1R-15, 24 to 36 thicknesses and 18 ft, from memory");

    /**
     * @param low least x and y of the floor, {@code high} greatest
     * @param early with an early-entry saw
     */
    public static SawCuts propose(Corner low, Corner high, double thicknessM, boolean early, UnitSystem system) {
        Require.positive(thicknessM, "thickness");
        Figure atMost = atMost(thicknessM, system);
        double wide = high.x() - low.x();
        double deep = high.y() - low.y();
        int across = (int) Math.ceil(wide / atMost.base() - 1e-9);
        int up = (int) Math.ceil(deep / atMost.base() - 1e-9);
        // long panels crack in the middle: more cuts until no side is more than half as long again as the other
        while (wide / across > 1.5 * (deep / up) * (1 + 1e-9)) {
            across++;
        }
        while (deep / up > 1.5 * (wide / across) * (1 + 1e-9)) {
            up++;
        }
        var lines = new ArrayList<Line>();
        for (int i = 1; i < across; i++) {
            double x = low.x() + wide * i / across;
            lines.add(new Line(new Corner(x, low.y()), new Corner(x, high.y())));
        }
        for (int i = 1; i < up; i++) {
            double y = low.y() + deep * i / up;
            lines.add(new Line(new Corner(low.x(), y), new Corner(high.x(), y)));
        }
        return new SawCuts(
                atMost,
                depth(thicknessM, early, system),
                wide / across,
                deep / up,
                List.copyOf(lines),
                early ? "1 to 4 h after finishing" : "4 to 12 h after finishing, as soon as edges do not ravel");
    }

    private static Figure atMost(double thicknessM, UnitSystem system) {
        Unit unit = Unit.of(Dimension.LENGTH, system);
        var w = new Worksheet(system);
        double t = w.given("t", "thickness of the slab", unit.fromBase(thicknessM), unit);
        double far = w.given("f", "never farther than", unit.fromBase(FARTHEST_M), unit);
        return w.figure(
                "joints at most", "s", "min(" + THICKNESSES + "·t,f)", Math.min(THICKNESSES * t, far), unit, ACI);
    }

    private static Figure depth(double thicknessM, boolean early, UnitSystem system) {
        Unit unit = system == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
        var w = new Worksheet(system);
        double t = w.given("t", "thickness of the slab", unit.fromBase(thicknessM), unit);
        double least = w.given("d", "at least", unit.fromBase(LEAST_DEPTH_M), unit);
        return early && thicknessM <= EARLY_ENTRY_TO_M
                ? w.figure("saw cut", "c", "d", least, unit, ACI)
                : w.figure("saw cut", "c", "max(t/4,d)", Math.max(t / 4, least), unit, ACI);
    }
}
