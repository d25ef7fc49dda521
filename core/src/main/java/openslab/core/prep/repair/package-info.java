/**
 * What the plan and the survey found broken, and how it is made good before the floor is closed: one rule a file, its steps,
 * its quantities and what is said in writing.
 */
package openslab.core.prep.repair;
