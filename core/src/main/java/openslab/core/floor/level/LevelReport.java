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
 * @param spots hollows, deepest first, as they are read; of very many only the deepest
 * @param ponding all that stays in them
 * @param fill what brings it up to the height asked for, its highest reading where none was; {@code toGrind} how far the
 *     highest reading stands above that, empty where nothing does
 * @param toDrain what gives it the fall asked for; empty where none was, or there is no drain
 * @param fNumbers empty unless the readings are a foot apart
 */
public record LevelReport(
        Figure range,
        List<Spot> spots,
        Figure ponding,
        Figure fill,
        Optional<Figure> toGrind,
        Optional<Figure> toDrain,
        List<Heights.Contour> contours,
        Optional<FNumbers> fNumbers) {
    /** As a person reads a hollow. */
    public record Spot(Corner at, String depth, String area, String volume) {}

    private static final Source GRID =
            Source.arithmetic("each reading stands for a quarter of every square that was read at all four corners");
    private static final double FOOT_M = 0.3048;
    private static final int CONTOURS = 8;
    /** More hollows than this nobody reads one by one; the water that stays counts all of them. */
    private static final int MOST_SPOTS = 40;

    private static final double FLAT_M = 1e-9;
    /** A grid of 0.3 m is none of a foot: F-numbers go by the square of the step. */
    private static final double NEARLY_M = 0.0005;

    /** @param outlets where water may leave besides the rim: drains */
    public static LevelReport of(Levels levels, List<Corner> outlets, UnitSystem system) {
        Heights heights = levels.heights();
        double low = heights.lowest();
        double high = heights.highest();
        List<Heights.LowSpot> spots = heights.lowSpots(outlets);
        double pondedL = spots.stream().mapToDouble(Heights.LowSpot::volumeL).sum();
        boolean afoot = Math.abs(heights.stepM() - FOOT_M) < NEARLY_M;
        double to = levels.toM().orElse(high);
        return new LevelReport(
                range(low, high, system),
                spots.stream().limit(MOST_SPOTS).map(s -> spot(s, system)).toList(),
                volume("water that stays", spots.size() + " hollows, depth · area added up", pondedL, system),
                fill(heights, to, Heights.Part.ALL, system),
                high > to + FLAT_M ? Optional.of(toGrind(high, to, system)) : Optional.empty(),
                levels.fall() > 0
                        ? heights.falling(outlets, levels.fall(), Heights.Part.ALL)
                                .map(f -> toDrain(f, levels.fall(), system))
                        : Optional.empty(),
                high - low < 1e-6 ? List.of() : heights.contours(interval(high - low, system)),
                afoot ? Optional.of(FNumbers.of(heights.lines(), system)) : Optional.empty());
    }

    /** What a part of the floor is filled with to the height or the fall that was asked for; empty where neither was. */
    public static Optional<Figure> asked(Levels levels, List<Corner> outlets, Heights.Part part, UnitSystem system) {
        if (levels.toM().isPresent()) {
            return Optional.of(fill(levels.heights(), levels.toM().get(), part, system));
        }
        return levels.fall() > 0
                ? levels.heights().falling(outlets, levels.fall(), part).map(f -> toDrain(f, levels.fall(), system))
                : Optional.empty();
    }

    private static Figure fill(Heights heights, double toM, Heights.Part part, UnitSystem system) {
        Unit small = small(system);
        var w = new Worksheet(system);
        w.given("H", "height to fill to", small.fromBase(toM), small);
        double litres =
                w.given("S", "H less every reading below it, over its share", heights.fillL(toM, part), Unit.LITRE);
        return w.figure("fill to level", "V", "S", litres, Unit.LITRE, GRID);
    }

    private static Figure toGrind(double highM, double toM, UnitSystem system) {
        Unit small = small(system);
        var w = new Worksheet(system);
        double h = w.given("h", "highest reading", small.fromBase(highM), small);
        double to = w.given("H", "height to fill to", small.fromBase(toM), small);
        return w.figure(
                "stands above it, to grind", "d", "h-H", h - to, small, Source.arithmetic("highest less the plane"));
    }

    private static Figure toDrain(Heights.Falling falling, double fall, UnitSystem system) {
        Unit small = small(system);
        var w = new Worksheet(system);
        w.given("f", "fall for every length", fall, Unit.ONE);
        w.given(
                "D",
                "height at the drain so that no reading stands above the slope",
                small.fromBase(falling.drainM()),
                small);
        double litres = w.given(
                "S",
                "D + f·distance to the nearest drain, less the reading, over its share",
                falling.fillL(),
                Unit.LITRE);
        return w.figure("fill to fall to the drain", "V", "S", litres, Unit.LITRE, GRID);
    }

    private static Unit small(UnitSystem system) {
        return system == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
    }

    private static Spot spot(Heights.LowSpot s, UnitSystem system) {
        Unit small = small(system);
        return new Spot(
                s.deepest(),
                Show.in(small, s.depthM()),
                Show.in(system, openslab.core.quantity.Dimension.AREA, s.areaM2()),
                Show.in(system, openslab.core.quantity.Dimension.VOLUME, s.volumeL()));
    }

    private static Figure range(double low, double high, UnitSystem system) {
        Unit small = small(system);
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
