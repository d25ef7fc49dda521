package openslab.core.quantity;

/** Which units a job is read in. Either system's units may be typed in either. */
public enum UnitSystem {
    US,
    METRIC;

    public UnitSystem other() {
        return this == US ? METRIC : US;
    }
}
