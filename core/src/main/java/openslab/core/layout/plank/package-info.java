/**
 * A plank pattern over a floor: rows of tape along the grain, butts that never lie in line, openings framed; the same seed draws the
 * same floor.
 */
package openslab.core.layout.plank;
