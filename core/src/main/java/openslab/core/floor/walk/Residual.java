package openslab.core.floor.walk;

/**
 * What became of one measure when all of them were made to agree.
 *
 * @param what the run's or the check's id
 * @param kind which of its measures
 * @param measured m, or radians for a turn
 * @param adjusted likewise
 * @param standardized residual over its own expected spread; about 3 and more is a misreading, not an accident
 */
public record Residual(String what, Kind kind, double measured, double adjusted, double standardized) {
    public enum Kind {
        LENGTH,
        TURN,
        CHECK
    }

    /** Adjusted less measured. */
    public double value() {
        return adjusted - measured;
    }
}
