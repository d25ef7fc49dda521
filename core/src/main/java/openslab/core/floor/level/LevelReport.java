package openslab.core.floor.level;

import java.util.List;
import java.util.Optional;
import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Show;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * What follows from a floor's heights.
 *
 * @param range from the lowest reading to the highest
 * @param spots hollows, deepest first, as they are read
 * @param ponding all that stays in them
 * @param fill what brings the floor up to its highest reading, level
 * @param fNumbers empty unless the readings are a foot apart
 */
public record LevelReport(
        Figure range,
        List<Spot> spots,
        Figure ponding,
        Figure fill,
        List<Heights.Contour> contours,
        Optional<FNumbers> fNumbers) {
    /** As a person reads a hollow. */
    public record Spot(Corner at, String depth, String area, String volume) {}

    private static final Source GRID = Source.arithmetic("each reading stands for the square round it");
    private static final double FOOT_M = 0.3048;
    private static final int CONTOURS = 8;

    /** @param outlets where water may leave besides the rim: drains */
    public static LevelReport of(Heights heights, List<Corner> outlets, UnitSystem system) {
        double low = heights.lowest();
        double high = heights.highest();
        List<Heights.LowSpot> spots = heights.lowSpots(outlets);
        double pondedL = spots.stream().mapToDouble(Heights.LowSpot::volumeL).sum();
        boolean afoot = Math.abs(heights.stepM() - FOOT_M) < 0.005;
        return new LevelReport(
                range(low, high, system),
                spots.stream().map(s -> spot(s, system)).toList(),
                volume("water that stays", spots.size() + " hollows, depth · area added up", pondedL, system),
                volume("fill to level", "highest less every reading", heights.fillL(high, heights.origin(), 0), system),
                high - low < 1e-6 ? List.of() : heights.contours(interval(high - low, system)),
                afoot ? Optional.of(FNumbers.of(heights.lines(), system)) : Optional.empty());
    }

    private static Spot spot(Heights.LowSpot s, UnitSystem system) {
        Unit small = system == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
        return new Spot(
                s.deepest(),
                Show.in(small, s.depthM()),
                Show.in(system, openslab.core.quantity.Dimension.AREA, s.areaM2()),
                Show.in(system, openslab.core.quantity.Dimension.VOLUME, s.volumeL()));
    }

    private static Figure range(double low, double high, UnitSystem system) {
        Unit small = system == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
        var w = new Worksheet(system);
        double h = w.given("h", "highest reading", small.fromBase(high), small);
        double l = w.given("l", "lowest reading", small.fromBase(low), small);
        return w.figure("out of level", "d", "h-l", h - l, small, Source.arithmetic("highest less lowest"));
    }

    private static Figure volume(String label, String what, double litres, UnitSystem system) {
        var w = new Worksheet(system);
        w.given("S", what, litres, Unit.LITRE);
        return w.figure(label, "V", "S", litres, Unit.LITRE, GRID);
    }

    /** A round interval that gives at most eight lines: 1, 2 or 5 of a millimetre, or an eighth of an inch and its doubles. */
    private static double interval(double rangeM, UnitSystem system) {
        double step = system == UnitSystem.US ? Unit.INCH.toBase(1.0 / 16) : 0.001;
        for (int i = 0; rangeM / step > CONTOURS; i++) {
            step *= system == UnitSystem.US ? 2 : i % 3 == 1 ? 2.5 : 2;
        }
        return step;
    }
}
