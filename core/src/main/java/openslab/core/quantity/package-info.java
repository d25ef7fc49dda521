/**
 * How much, in which unit, and how do we know. Inside the core every quantity is a double in its base unit, and the unit
 * is in the name: metres, square metres, litres, kilograms, micrometres of film, °C, kelvins of difference, minutes,
 * percent. {@link openslab.core.quantity.Unit} is the one place where anything is converted;
 * {@link openslab.core.quantity.Worksheet} is the one way a figure and its working are made.
 */
package openslab.core.quantity;
