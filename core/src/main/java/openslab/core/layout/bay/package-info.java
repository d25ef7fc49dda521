/**
 * A floor in bays: joints first, each small enough to be on the floor inside its pot life, in an order in which nobody is shut in
 * and nobody crosses wet work.
 */
package openslab.core.layout.bay;
