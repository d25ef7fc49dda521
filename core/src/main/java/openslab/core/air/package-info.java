/**
 * Moist air and the sun over it: saturation pressure, dew point, margin, sunrise. Temperatures °C, pressures hPa, relative
 * humidity percent, over water at every temperature. It stands before {@code survey} because the verdict needs the margin; forecasts
 * of it belong to the weather, later.
 */
package openslab.core.air;
