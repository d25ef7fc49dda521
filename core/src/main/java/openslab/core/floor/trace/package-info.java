/**
 * Plans drawn elsewhere, traced: which lines are walls, which are openings, joints, cracks. A drawing keeps the axes it was
 * drawn in; a room gets its own, from its first corner along its first wall. Metres.
 */
package openslab.core.floor.trace;
