/** A stamped floor: how many mats a row takes, in which order they are laid, and which rows are placed as one strip. */
package openslab.core.layout.stamp;
