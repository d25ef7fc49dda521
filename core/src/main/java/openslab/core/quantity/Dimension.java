package openslab.core.quantity;

/** What kind of quantity a figure is; each has one base unit, in which the core computes and the store keeps it. */
public enum Dimension {
    LENGTH,
    AREA,
    VOLUME,
    MASS,
    FILM,
    TEMPERATURE,
    TEMPERATURE_DIFFERENCE,
    SPREAD,
    DENSITY,
    MASS_PER_AREA,
    PACE,
    /** Along a line, as pace is over a floor. */
    ADVANCE,
    AIRFLOW,
    /** Of dust in air. */
    CONCENTRATION,
    TIME,
    PERCENT,
    EMISSION,
    STRESS,
    FORCE,
    RESISTANCE,
    VOLTAGE,
    /** Times watched with a stopwatch, apart from the clocks of a floor. */
    SECONDS,
    NUMBER,
    MONEY
}
