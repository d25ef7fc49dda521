/** How to mix: batches inside the pot life, parts by volume and on the scale, and what a floor takes of each. */
package openslab.core.mix;
