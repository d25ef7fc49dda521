/**
 * The plan: rooms as they were walked, what stands in them, and what follows: areas, zones, edges, joints, quantities.
 * Places are metres from a room's first corner, along its first wall and off it to the left.
 */
package openslab.core.floor.plan;
