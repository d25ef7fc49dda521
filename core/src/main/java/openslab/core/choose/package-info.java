/**
 * Which system for which floor and which people: what somebody needs, what speaks for each system and what against it, what refuses
 * it. Needs that were stated decide the order, and nothing else does in secret.
 */
package openslab.core.choose;
