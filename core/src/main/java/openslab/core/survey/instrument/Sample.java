package openslab.core.survey.instrument;

import java.time.Instant;

/**
 * One value as an instrument gave it.
 *
 * @param value NaN where it gave none
 * @param unit as the instrument spells it
 * @param batteryV NaN where it does not say
 */
public record Sample(Instant at, double value, String unit, double batteryV) {}
