/**
 * What goes on a floor, and which one: systems as data, the steps by which each layer is laid, and what may lie on what. The steps
 * run on the engine of {@link openslab.core.course}; which kinds of work, gates and harms they name stands here.
 */
package openslab.core.system;
