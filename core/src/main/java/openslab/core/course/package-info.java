/**
 * What is done in which order, and how far it is: steps of work with their mixes, waits and gates, and what a failed gate makes
 * anybody do again. One engine for preparation, lay-up and upkeep: which steps, gates and kinds of work there are is theirs.
 */
package openslab.core.course;
