/**
 * Moist air: saturation pressure, dew point, margin. Temperatures °C, pressures hPa, relative humidity percent, over water
 * at and above 0 °C and over ice below. It stands before {@code survey} because the verdict needs the margin; forecasts
 * of it belong to the weather, later.
 */
package openslab.core.air;
