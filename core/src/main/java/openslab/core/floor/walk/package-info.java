/**
 * The walls as the tape walked them: runs and turns in, corners out, with what did not close. Metres and radians; a
 * positive turn is to the left, anticlockwise, as mathematics counts it.
 */
package openslab.core.floor.walk;
