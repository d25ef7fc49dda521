/** What to buy, from whom, and whether what came is right: whole packs at least cost, what is left over first, every lot kept. */
package openslab.core.buy;
