package openslab.core.floor.walk;

import openslab.core.quantity.Require;

/**
 * One pull of the tape from corner to corner.
 *
 * @param id the run's own, kept when runs are put in before it
 * @param lengthM straight from end to end, also where the wall is curved
 * @param turn at the run's first corner, radians, left positive; that of the first run is the bearing of the plan
 */
public record Run(String id, double lengthM, double turn, Bow bow) {
    public Run {
        Require.positive(lengthM, "length");
        Require.that(Double.isFinite(turn), "turn must be finite, got %s", turn);
    }

    public static Run straight(String id, double lengthM, double turn) {
        return new Run(id, lengthM, turn, Bow.NONE);
    }
}
