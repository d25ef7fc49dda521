/** Simulated instruments that ship with the demo: they answer over HTTP as a real one would, with all its failings. */
package openslab.server.standin;
