package openslab.server.lay;

import openslab.core.layout.stamp.StampRules;
import openslab.core.quantity.Faults;
import openslab.core.quantity.Measure;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;

/**
 * With which mats a layer is stamped, as it is typed.
 *
 * @param along a mat along its row; {@code across} across it
 * @param shift percent of a mat by which every other row begins later
 * @param grain degrees that the rows run to the left of along the first wall
 */
public record StampForm(String along, String across, String shift, String grain) {
    private static final double MOST_SHIFT = 99;

    /** As it is stamped where nobody said otherwise. */
    static StampForm usual(UnitSystem system) {
        String mat = system == UnitSystem.US ? "24 in" : "600 mm";
        return new StampForm(mat, mat, "50 %", "0");
    }

    /** @throws openslab.core.quantity.InvalidInput naming every fault */
    public StampRules read(UnitSystem system) {
        var faults = new Faults();
        Unit small = Unit.small(system);
        Double a = faults.read(() -> Measure.parse("along", along, small, StampRules.SMALLEST_M, StampRules.LARGEST_M));
        Double b =
                faults.read(() -> Measure.parse("across", across, small, StampRules.SMALLEST_M, StampRules.LARGEST_M));
        Double s = faults.read(() -> Measure.parse("shift", shift, Unit.PERCENT, 0, MOST_SHIFT));
        Double g = faults.read(() -> Measure.parse("grain", grain, Unit.ONE, -180, 180));
        faults.check();
        return new StampRules(a, b, s / 100, Math.toRadians(g));
    }
}
