/** What goes on: layers from the slab upward, each with its film, and what the whole asks of the slab. */
package openslab.core.buildup;
