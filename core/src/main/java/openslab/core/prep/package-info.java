/**
 * How to make the floor fit to coat: one method, why not the others, ordered steps with their reasons, and gates that let
 * the next step start. Grind or etch, never both for one coat.
 */
package openslab.core.prep;
