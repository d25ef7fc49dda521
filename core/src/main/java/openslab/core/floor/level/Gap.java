package openslab.core.floor.level;

import openslab.core.floor.Outline.Corner;
import openslab.core.quantity.Bound;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Require;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;

/**
 * The widest gap under a straightedge.
 *
 * @param at where its middle lay
 * @param edgeM how long the straightedge is
 */
public record Gap(String id, Corner at, double edgeM, double gapM) {
    private static final Source F710 =
            Source.published("ASTM F710, 3/16 in under 10 ft and 1/32 in under 12 in for resilient, from memory");
    private static final double FOOT_M = 0.3048;
    private static final double INCH_M = 0.0254;
    private static final double LONG_M = 10 * FOOT_M;
    private static final double SHORT_M = FOOT_M;
    /** An edge of 3 m and one of 300 mm are meant as 10 ft and 12 in. */
    private static final double NEARLY = 0.97;

    public Gap {
        Require.positive(edgeM, "straightedge");
        Require.that(gapM >= 0, "gap must be 0 or more, got %s", gapM);
    }

    /**
     * The gap, judged.
     *
     * @param gap with what it is held against
     * @param fits false where it is wider than resilient flooring takes
     * @param word what it is, in a few words
     */
    public record GapCheck(String id, Figure gap, boolean fits, String word) {}

    /** The widest gap that fits, the same in both units: 3/16 in are 4.7625 mm and read 4.8. */
    public static Bound most(boolean isShort, UnitSystem system) {
        double most = isShort ? INCH_M / 32 : 3 * INCH_M / 16;
        return system == UnitSystem.US ? Bound.atMost(most, Unit.INCH).with(3) : Bound.atMost(most, Unit.MILLIMETRE);
    }

    public GapCheck judge(UnitSystem system) {
        Unit small = Unit.small(system);
        var w = new Worksheet(system);
        boolean isShort = edgeM < LONG_M * NEARLY && edgeM <= SHORT_M / NEARLY;
        Bound most = most(isShort, system);
        double gap = w.given("g", "widest gap that was seen", small.fromBase(gapM), small);
        w.given("e", "straightedge", small.fromBase(edgeM), small);
        w.given("m", "at most, under " + (isShort ? "12 in" : "10 ft"), small.fromBase(most.limit()), small);
        Figure figure = w.figure("widest gap", "G", "g", gap, small, F710);
        if (edgeM < SHORT_M * NEARLY) {
            return new GapCheck(id, figure, true, "too short a straightedge: 12 in or 10 ft are judged");
        }
        boolean fits = most.holds(gapM);
        String seen = most.text(gapM);
        String limit = most.text() + " under " + (isShort ? "12 in" : "10 ft");
        String word = !fits
                ? seen + ", more than " + limit + ": fill or grind before resilient"
                : isShort || edgeM >= LONG_M * NEARLY
                        ? seen + ", within " + limit
                        : seen + ", within " + limit + " so far; a 10 ft edge may show more";
        return new GapCheck(id, figure, fits, word);
    }
}
