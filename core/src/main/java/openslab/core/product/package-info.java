/**
 * What the sheet says. A product is data: a user can key in any sheet, and the sheet in hand beats every default. Volumes
 * litres, densities kg/L, spread m²/L, temperatures °C, times minutes, prices in hundredths of whatever money is used.
 */
package openslab.core.product;
