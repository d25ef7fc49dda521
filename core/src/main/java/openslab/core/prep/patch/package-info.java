/** Squares tried in a corner, weakest mix first, and the one that is used everywhere after. */
package openslab.core.prep.patch;
