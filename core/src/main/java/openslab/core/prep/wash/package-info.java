/** Cleaners, acids and washes: how strong, how much into which vessel, what must never meet, what makes it harmless. */
package openslab.core.prep.wash;
