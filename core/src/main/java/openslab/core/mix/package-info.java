/** How to mix and how much to buy: batches inside the pot life, parts by volume and on the scale, kits at least cost. */
package openslab.core.mix;
