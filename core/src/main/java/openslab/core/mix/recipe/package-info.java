/**
 * What goes into the vessel: any sheet for any amount, part by part, by volume, on the scale or each in a pail of its own; what
 * the scale really showed, and what to do about it; what a solvent stirred in does to the film.
 */
package openslab.core.mix.recipe;
